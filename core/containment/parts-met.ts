import type { JudgedRun } from './measure'
import type { MeasuredMark } from './dimensions'

/** Parts of a run that are measured: dimensions and which way it goes, plumb and level. */
export const RUN_PARTS = ['setOut', 'level'] as const
export type RunPart = (typeof RUN_PARTS)[number]

/**
 * Share of what was taken that must be within tolerance, %; common practice, no source. A run may choose
 * another one.
 */
export const PASS_PERCENT = 80
/**
 * Off by more than so many tolerances is a blunder, which no share of right ones makes good; common practice,
 * no source.
 */
const BLUNDER_TOLERANCES = 5

/** How closely a run is compared with its drawing. */
export interface RunLimits {
  readonly toleranceMm: number
  /** Share of the dimensions that must be within tolerance, %. */
  readonly passPercent: number
}

export interface PartVerdict {
  readonly part: RunPart
  readonly right: number
  readonly taken: number
  /** Dimensions of this part that the drawing asks for. */
  readonly of: number
  /** Null while something of it has not been taken. */
  readonly isMet: boolean | null
}

const partOf = ({ dimension }: MeasuredMark): RunPart => (dimension.kind === 'bubble' ? 'level' : 'setOut')

/**
 * What a measured run shows of each part. A bend that goes the wrong way and a blunder are no matter of
 * tolerance: set out is then not met.
 */
export function runVerdicts(
  { marks }: Pick<JudgedRun, 'marks'>,
  { passPercent, toleranceMm }: RunLimits,
): PartVerdict[] {
  return RUN_PARTS.map((part) => {
    const measuredMarks = marks.filter((mark) => partOf(mark) === part)
    const taken = measuredMarks.filter(({ isRight }) => isRight !== null).length
    const right = measuredMarks.filter(({ isRight }) => isRight).length
    const isBlunder = measuredMarks.some(
      ({ dimension, entry, isRight }) =>
        (dimension.kind === 'way' && isRight === false) ||
        (entry.is === 'off' && Math.abs(entry.offMm) > BLUNDER_TOLERANCES * toleranceMm),
    )
    return {
      part,
      right,
      taken,
      of: measuredMarks.length,
      isMet:
        taken < measuredMarks.length ? null : !isBlunder && 100 * right >= passPercent * measuredMarks.length,
    }
  })
}
