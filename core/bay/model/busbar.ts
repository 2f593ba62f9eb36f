import type { Busbar, TerminalRef } from './rig'

/** A piece of a comb from one tooth to the next that is there. */
export interface BusbarPiece {
  readonly from: TerminalRef
  readonly to: TerminalRef
  /** Places of its teeth in the comb. */
  readonly places: readonly [number, number]
  /** The comb is cut between them. */
  readonly isCut: boolean
}

/** The comb as the current goes, from tooth to tooth. */
export function busbarPieces({ teeth, missing, cutAfter }: Busbar): BusbarPiece[] {
  const there = teeth.map((tooth, i) => ({ tooth, i })).filter(({ i }) => !missing.includes(i))
  return there.slice(1).map(({ tooth, i }, k): BusbarPiece => {
    const before = there[k]!
    return {
      from: before.tooth,
      to: tooth,
      places: [before.i, i],
      isCut: cutAfter.some((cut) => cut >= before.i && cut < i),
    }
  })
}
