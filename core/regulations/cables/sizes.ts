import { COPPER_OHM_PER_M, copperMultiplier } from '../conductors'
import type { Phases } from '../supply'
import { armoured70, armoured90 } from './armoured'
import type { Cable, CableKind, Method } from './cable'
import { mineral } from './mineral'
import { fireResistant, flatTwinEarth, multicore, singlesInConduit, singlesInTrunking } from './thermoplastic'

const ALL: readonly Cable[] = [
  flatTwinEarth,
  singlesInConduit,
  singlesInTrunking,
  multicore,
  armoured70,
  armoured90,
  mineral,
  fireResistant,
]

export const CABLES = Object.fromEntries(ALL.map((cable) => [cable.kind, cable])) as Readonly<
  Record<CableKind, Cable>
>

/** Methods for which the cable has a rating column, the usual one first. */
export const methodsOf = (kind: CableKind): readonly Method[] => CABLES[kind].methods

/** Is the cable laid in the ground by this method? */
export const isBuried = (method: Method): boolean => method === 'D'

/** Is the run drawn into something with a capacity of its own? */
export const isDrawnIn = (kind: CableKind): kind is 'singles-in-conduit' | 'singles-in-trunking' =>
  kind.startsWith('singles')

/** One size of a cable with everything the chain reads from its row. */
export interface CableSize {
  readonly lineMm2: number
  readonly cpcMm2: number
  readonly ratingA: number
  readonly voltDropVPerAm: number
  /** Line conductor and cpc at 20 °C, Ω/m. */
  readonly r1OhmPerM: number
  readonly r2OhmPerM: number
  /** r1 + r2 in service over r1 + r2 at 20 °C. */
  readonly hotMultiplier: number
  readonly k: number
}

const ROWS = new Map<CableKind, Map<Method, Map<Phases, readonly CableSize[]>>>()
for (const cable of ALL) {
  ROWS.set(
    cable.kind,
    new Map(
      Object.entries(cable.ratingsA).map(([method, columns]) => [
        method as Method,
        new Map(
          Object.entries(columns).map(([phases, ratings]) => [
            Number(phases) as Phases,
            rows(cable, Number(phases) as Phases, ratings),
          ]),
        ),
      ]),
    ),
  )
}

function rows(cable: Cable, phases: Phases, ratings: readonly number[]): CableSize[] {
  return ratings.map((ratingA, i) => {
    const r1OhmPerM = COPPER_OHM_PER_M[cable.lineMm2[i]!]!
    const r2OhmPerM = cable.cpc.ohmPerM[phases]![i]!
    const hot = r1OhmPerM * copperMultiplier(cable.conductorC) + r2OhmPerM * cable.cpc.hotMultiplier
    return {
      lineMm2: cable.lineMm2[i]!,
      cpcMm2: cable.cpc.areaMm2[phases]![i]!,
      ratingA,
      voltDropVPerAm: cable.voltDropVPerAm[phases]![i]!,
      r1OhmPerM,
      r2OhmPerM,
      hotMultiplier: hot / (r1OhmPerM + r2OhmPerM),
      k: cable.cpc.k,
    }
  })
}

const NONE: readonly CableSize[] = []

/** The rows of a cable for one method, smallest first; empty when the method has no such column. */
export const sizesOf = (kind: CableKind, method: Method, phases: Phases): readonly CableSize[] =>
  ROWS.get(kind)?.get(method)?.get(phases) ?? NONE

/** The row whose line conductor has this area, if the cable is made in it. */
export const sizeOf = (
  kind: CableKind,
  method: Method,
  phases: Phases,
  lineMm2: number,
): CableSize | undefined => sizesOf(kind, method, phases).find((size) => size.lineMm2 === lineMm2)

/** r1 + r2 at 20 °C, Ω/m. */
export const pairOhmPerM = (size: Pick<CableSize, 'r1OhmPerM' | 'r2OhmPerM'>): number =>
  size.r1OhmPerM + size.r2OhmPerM
