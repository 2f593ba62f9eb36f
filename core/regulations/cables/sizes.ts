import { COPPER_OHM_MM2_PER_M, copperMultiplier } from '../conductors'
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

/** The printed columns that a cable's rows are put together from, by line area. */
export interface CableColumns {
  /** It by one method and number of loaded conductors, A. */
  readonly ratingA: Readonly<Record<number, number>>
  readonly voltDropVPerAm: Readonly<Record<number, number>>
  readonly copperOhmPerM: Readonly<Record<number, number>>
  readonly cpcMm2: Readonly<Record<number, number>>
  /** Of armour. */
  readonly cpcOhmPerM: Readonly<Record<number, number>>
  readonly k: number
}

/** The rows of a cable for which every column has a value, smallest first. */
export function cableSizes(kind: CableKind, columns: CableColumns): CableSize[] {
  const { conductorC, cpc } = CABLES[kind]
  return Object.keys(columns.ratingA)
    .map(Number)
    .sort((a, b) => a - b)
    .flatMap((lineMm2) => {
      const r1OhmPerM = columns.copperOhmPerM[lineMm2]
      const voltDropVPerAm = columns.voltDropVPerAm[lineMm2]
      const protective = cpcOf(kind, lineMm2, columns)
      if (r1OhmPerM === undefined || voltDropVPerAm === undefined || !protective) return []
      const { cpcMm2, r2OhmPerM } = protective
      const hot = r1OhmPerM * copperMultiplier(conductorC) + r2OhmPerM * cpc.hotMultiplier
      return [
        {
          lineMm2,
          cpcMm2,
          ratingA: columns.ratingA[lineMm2]!,
          voltDropVPerAm,
          r1OhmPerM,
          r2OhmPerM,
          hotMultiplier: hot / (r1OhmPerM + r2OhmPerM),
          k: columns.k,
        },
      ]
    })
}

/** Area and resistance of the cpc beside a line; one of copper as the copper table has it. */
function cpcOf(
  kind: CableKind,
  lineMm2: number,
  columns: CableColumns,
): Pick<CableSize, 'cpcMm2' | 'r2OhmPerM'> | undefined {
  const { lineMm2: made, cpc } = CABLES[kind]
  // A size that is not shipped: singles and cores of one cable are all of the same area.
  const cpcMm2 = made.includes(lineMm2) ? columns.cpcMm2[lineMm2] : lineMm2
  if (cpcMm2 === undefined) return undefined
  const r2OhmPerM = {
    copper: columns.copperOhmPerM[cpcMm2],
    armour: columns.cpcOhmPerM[lineMm2],
    sheath: COPPER_OHM_MM2_PER_M / cpcMm2,
  }[cpc.made]
  return r2OhmPerM === undefined ? undefined : { cpcMm2, r2OhmPerM }
}

/** r1 + r2 at 20 °C, Ω/m. */
export const pairOhmPerM = (size: Pick<CableSize, 'r1OhmPerM' | 'r2OhmPerM'>): number =>
  size.r1OhmPerM + size.r2OhmPerM
