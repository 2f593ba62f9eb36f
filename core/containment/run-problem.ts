/** Something that cannot be bent or fixed as it is entered, at which straight, with the nearest that works. */
export interface RunProblem {
  readonly straight: number
  readonly code:
    | 'short'
    | 'detourTight'
    | 'flatShort'
    | 'turnsBack'
    | 'couplerTurns'
    | 'detourOutside'
    | 'angle'
    | 'crosses'
    | 'tooLong'
    | 'notPositive'
    | 'tooManyBends'
  /** The nearest value that works, mm or °. */
  readonly nearest: number | null
}

/** A spout and its lock need this much straight before a bend, mm; common practice, no source. */
export const AT_BOX_MM = 30

/** A problem, what would work rounded up to whole mm or °. */
export const runProblem = (
  straight: number,
  code: RunProblem['code'],
  nearest: number | null = null,
): RunProblem => ({ straight, code, nearest: nearest === null ? null : Math.ceil(nearest) })
