import type { DevicePart, Part, Rig, Supply, Wire } from '../../bay/model/rig'
import { indexParts, partIdOf } from '../../bay/model/terminals'

export const isPoint = (part: Part): boolean =>
  part.kind === 'socket' || part.kind === 'lampholder' || part.kind === 'appliance'

export const supplyOf = (rig: Rig): Supply | undefined =>
  rig.parts.find((part): part is Supply => part.kind === 'supply')
/** The supply where it is the mains: there is a loop to measure. */
export const mainsOf = (rig: Rig): Supply | undefined => {
  const supply = supplyOf(rig)
  return supply?.arrangement === 'battery' ? undefined : supply
}
/** The first line of a supply. */
export const firstLine = (supply: Supply): string => `${supply.id}.${supply.phases === 1 ? 'L' : 'L1'}`

/** The main switch of the board at which the supply arrives. */
export const mainSwitchOf = (rig: Rig): DevicePart | undefined =>
  rig.parts.find((part): part is DevicePart => part.kind === 'device' && part.role === 'main-switch')

/** The way that protects a circuit. */
export const wayOf = (rig: Rig, circuit: string): DevicePart | undefined =>
  rig.parts.find(
    (part): part is DevicePart => part.kind === 'device' && part.role === 'way' && part.circuit === circuit,
  )
const lineOf = (device: DevicePart): string => device.poles.find((pole) => pole !== 'N') ?? device.poles[0]!
export const linesOf = (device: DevicePart): readonly string[] => device.poles.filter((pole) => pole !== 'N')
/** Where a circuit's line leaves its way. */
export const lineOut = (way: DevicePart): string => `${way.id}.${lineOf(way)} out`

/** The line terminal of a point; of a board that is fed, the first line of its main switch. */
export function lineAt(part: Part): string {
  if (part.kind === 'device') return `${part.id}.${lineOf(part)} in`
  return `${part.id}.${part.kind === 'appliance' ? part.poles[0]! : 'L'}`
}
export const hasNeutral = (part: Part): boolean =>
  (part.kind !== 'appliance' && part.kind !== 'device') || part.poles.includes('N')
/** What a load at a point has its voltage against: neutral, or the second line of three. */
export const returnAt = (part: Part): string =>
  `${part.id}.${part.kind === 'appliance' && !part.poles.includes('N') ? part.poles[1]! : 'N'}`

/** Where the protective conductor ends at a point; of a fed board where its feed brings it, else at its own bar. */
export function earthAt(rig: Rig, part: Part): string | undefined {
  if (part.kind !== 'device') return `${part.id}.E`
  const bar = earthBarOf(rig, part.board)
  return bar && `${bar}.1`
}
export const earthBarOf = (rig: Rig, board: string | null): string | undefined =>
  rig.parts.find((part) => part.kind === 'bar' && part.serves === 'E' && part.board === board)?.id

/** Main switches of boards that a circuit feeds: the points of that circuit. */
export function fedBy(rig: Rig, circuit: string): DevicePart[] {
  const ends = new Set(
    rig.wires
      .filter(({ run }) => run === `${circuit}run`)
      .flatMap(({ from, to }) => [partIdOf(from), partIdOf(to)]),
  )
  return rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.role === 'main-switch' && ends.has(part.id),
  )
}

/** What a circuit is measured at. */
export function pointsOf(rig: Rig, circuit: string): Part[] {
  const parts = rig.parts.filter((part) => part.circuit === circuit && isPoint(part))
  return parts.length > 0 ? parts : fedBy(rig, circuit)
}

/** Circuits with something to measure, in the order of the bay. */
export function circuitsOf(rig: Rig): string[] {
  const isMeasured = (part: Part) =>
    isPoint(part) ||
    (part.kind === 'device' &&
      part.role === 'way' &&
      part.circuit !== null &&
      fedBy(rig, part.circuit).length > 0)
  return [...new Set(rig.parts.filter(isMeasured).flatMap(({ circuit }) => circuit ?? []))]
}

/** One end of a conductor. */
export interface WireEnd {
  readonly wire: Wire
  readonly end: 'from' | 'to'
}
export type HomeEnds = Readonly<Record<'line' | 'neutral' | 'earth', readonly WireEnd[]>>

/** A rig never changes, and every test of a circuit asks for its ends. */
const HOME_ENDS = new WeakMap<Rig, Map<string, HomeEnds>>()

/** Conductors of a circuit that end in the board, by what they serve as. */
export function homeEnds(rig: Rig, circuit: string): HomeEnds {
  const known = HOME_ENDS.get(rig) ?? new Map<string, HomeEnds>()
  HOME_ENDS.set(rig, known)
  const ends = known.get(circuit) ?? findHomeEnds(rig, circuit)
  known.set(circuit, ends)
  return ends
}

const ROLE_OF_COLOUR = { 'green-and-yellow': 'earth', blue: 'neutral' } as const

function findHomeEnds(rig: Rig, circuit: string): HomeEnds {
  const parts = indexParts(rig)
  const home = wayOf(rig, circuit)?.board ?? null
  const found: Record<keyof HomeEnds, WireEnd[]> = { line: [], neutral: [], earth: [] }
  const isHome = (part: Part | undefined) => part?.board && part.board === home
  for (const wire of rig.wires) {
    const [a, b] = [parts.get(partIdOf(wire.from)), parts.get(partIdOf(wire.to))]
    const isAway = (part: Part | undefined) =>
      part !== undefined && part.board !== home && (part.circuit === circuit || wire.run === `${circuit}run`)
    const wireEnds = found[ROLE_OF_COLOUR[wire.colour as keyof typeof ROLE_OF_COLOUR] ?? 'line']
    if (isHome(a) && isAway(b)) wireEnds.push({ wire, end: 'from' })
    else if (isHome(b) && isAway(a)) wireEnds.push({ wire, end: 'to' })
  }
  return found
}
