import { turnOf } from '../installation/shared-rcds'
import { ratedDiversity } from './heat'
import { circuitsAlone, leadOf } from './surge'
import { lineOfSeat, type EmptyBoard, type SeatedCircuit, type Seating } from './board'

/** What an arrangement comes to. */
export interface Measured {
  /** L1, L2, L3; a single-phase board has one. A. */
  readonly linesA: readonly number[]
  /** Of the fundamental as phasors and the third harmonics added up, A. */
  readonly neutralA: number
  /** Of the hottest seat with what its neighbours give it, W. */
  readonly hottestW: number
  readonly hottest: number | null
  /** Circuits whose neutral lead does not reach its bar. */
  readonly outOfReach: readonly number[]
  /** Circuits that load their device further than the assembly allows for hours, whatever stands where. */
  readonly aboveDiversity: readonly number[]
  /** Areas that one RCD takes down altogether. */
  readonly downAtOnce: readonly string[]
  /** Standing leakage behind each shared RCD, mA; none where nothing is shared. */
  readonly leakageMA: readonly number[]
  /** How often the area changes from one circuit to the next. */
  readonly changes: number
  /** Spare seats before the last circuit. */
  readonly gaps: number
  /** Leads of the SPD, m; null where the board has none. */
  readonly surgeLeadM: number | null
}

/** Of its loss a device hands so much on to each neighbour; a simple model, common practice, no source. */
export const HANDED_ON = 0.5
const SIN_120 = Math.sqrt(3) / 2

/**
 * The neutral current of three line currents at 0°, −120° and +120°, with third harmonics, which are in phase on
 * all lines and add up, A. First principles: the root of the sum of squares of what has different frequencies.
 */
export function neutralOf(linesA: ArrayLike<number>, thirdA: number): number {
  const a = linesA[0] ?? 0
  const b = linesA[1] ?? 0
  const c = linesA[2] ?? 0
  if (linesA.length === 1) return Math.hypot(a, thirdA)
  const real = a - (b + c) / 2
  const imaginary = SIN_120 * (c - b)
  return Math.hypot(real, imaginary, thirdA)
}

/** Currents of the lines and what the third harmonics come to in the neutral, A. */
export function currentsOf(circuits: readonly SeatedCircuit[], board: EmptyBoard, seating: Seating) {
  const linesA = Array.from({ length: board.phases }, () => 0)
  let thirdA = 0
  seating.forEach((place, seat) => {
    if (place === null) return
    const { currentA, thirdShare } = circuits[place]!
    linesA[lineOfSeat(board, seat)]! += currentA
    thirdA += currentA * thirdShare
  })
  return { linesA, neutralA: neutralOf(linesA, thirdA) }
}

const heatAt = (circuits: readonly SeatedCircuit[], seating: Seating, seat: number): number => {
  const place = seating[seat]
  return place === null || place === undefined ? 0 : circuits[place]!.heatW
}

/** Everything that can be said of an arrangement. */
export function measure(circuits: readonly SeatedCircuit[], board: EmptyBoard, seating: Seating): Measured {
  const warmth = seating.map(
    (_, seat) =>
      heatAt(circuits, seating, seat) +
      HANDED_ON * (heatAt(circuits, seating, seat - 1) + heatAt(circuits, seating, seat + 1)),
  )
  const hottestW = Math.max(0, ...warmth.filter((_, seat) => seating[seat] !== null))
  const hottest = seating.findIndex((place, seat) => place !== null && warmth[seat] === hottestW)
  const taken = seating.flatMap((place, seat) => (place === null ? [] : [{ place, seat }]))
  const firstSeats = taken.filter(({ place, seat }) => seating.indexOf(place) === seat)
  const places = firstSeats.map(({ place }) => place)
  const sections = sectionsOf(circuits, board, places)
  return {
    ...currentsOf(circuits, board, seating),
    hottestW,
    hottest: hottest < 0 ? null : hottest,
    outOfReach: firstSeats
      .filter(({ place, seat }) => circuits[place]!.hasLead && seat >= board.reach)
      .map(({ place }) => place),
    aboveDiversity: aboveDiversity(circuits),
    downAtOnce: areasDown(circuits, board, sections),
    leakageMA: Array.from({ length: board.sections }, (_, section) =>
      sum(
        places.filter((place) => sections.get(place) === section).map((place) => circuits[place]!.leakageMA),
      ),
    ),
    changes: changesOf(circuits, places),
    gaps: taken.length === 0 ? 0 : taken.at(-1)!.seat + 1 - taken.length,
    surgeLeadM: leadOf(circuits, seating),
  }
}

/** Poles of one device stand side by side whatever is done: over all losses squared, as it is counted. */
export function ownWarmth(circuits: readonly SeatedCircuit[], { phases }: EmptyBoard): number {
  if (phases === 1) return 0
  const squares = circuits.reduce((sum, { heatW, phases: n }) => sum + n * heatW ** 2, 0)
  const own = circuits.reduce((sum, { heatW, phases: n }) => sum + (n === 3 ? 2 * heatW ** 2 : 0), 0)
  return squares === 0 ? 0 : own / squares
}

/** How often the next circuit serves another part of the building. */
function changesOf(circuits: readonly SeatedCircuit[], places: readonly number[]): number {
  const areas = places.map((place) => circuits[place]!).flatMap(({ surge, area }) => (surge ? [] : [area]))
  return areas.filter((area, i) => i > 0 && area !== areas[i - 1]).length
}

const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0)

/** By circuit, the RCD that it shares: those that do take turns, from the left. */
function sectionsOf(
  circuits: readonly SeatedCircuit[],
  { sections }: EmptyBoard,
  places: readonly number[],
): ReadonlyMap<number, number> {
  const sharing = places.filter((place) => circuits[place]!.isShared)
  return new Map(sharing.map((place, i) => [place, turnOf(i, sections)]))
}

/** Areas of two circuits and more that stand behind one RCD of several. */
function areasDown(
  circuits: readonly SeatedCircuit[],
  board: EmptyBoard,
  sections: ReadonlyMap<number, number>,
): string[] {
  if (board.sections < 2) return []
  const behind = new Map<string, (number | undefined)[]>()
  circuits.forEach(({ area, surge }, place) => {
    if (!surge) behind.set(area, [...(behind.get(area) ?? []), sections.get(place)])
  })
  return [...behind]
    .filter(([, of]) => of.length > 1 && of[0] !== undefined && new Set(of).size === 1)
    .map(([area]) => area)
}

/** Circuits that load their device further than so many beside each other may be for hours. */
function aboveDiversity(circuits: readonly SeatedCircuit[]): number[] {
  const share = ratedDiversity(circuitsAlone(circuits).length)
  return circuits.flatMap(({ currentA, ratingA }, place) =>
    currentA > ratingA * share + 1e-9 ? [place] : [],
  )
}
