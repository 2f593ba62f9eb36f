import { real } from '../network/complex'
import { EARTH, type Element, type Impedance, type Network } from '../network/network'
import { planFor, type Plan } from '../network/plan'
import { solve, type Solved, type Unsolved } from '../network/solve'
import { COPPER_OHM_PER_M, copperMultiplier } from '../../regulations/conductors'
import { busbarPieces } from '../model/busbar'
import type { Busbar, Leak, Part, Rig, Run, Supply, Wire } from '../model/rig'
import { indexParts, nodeOf, type PartIndex } from '../model/terminals'
import type { LoadsAt } from './load-elements'
import { partElements } from './part-elements'
import type { BayState } from './state'
import { supplyElements } from './supply-elements'

/** A tooth to the next with its screw, Ω; common practice, no source. */
const BUSBAR_OHM = 0.3e-3
/** Steel conduit and trunking with sound couplers; common practice, no source. */
const STEEL_OHM_PER_M = 3e-3
/** New insulation between two conductors of a run, Ω·m; common practice, no source. */
const INSULATION_OHM_M = 400e9
/** Where a rig has no supply, V. */
const USUAL_V = 230

export interface NetworkOptions {
  /** Hz; 0 for an instrument's direct current. */
  readonly hertz: number
  /** Conductor temperature, °C. */
  readonly conductorC: number
  /** Instruments, hands, faults that are being tried: joined between terminals. */
  readonly add: readonly Element[]
}

export const MAINS: NetworkOptions = { hertz: 50, conductorC: 20, add: [] }

/**
 * The bay as a network, every contact present and open where it is open, so that the same rig always has the
 * same plan. Of a checked rig.
 */
export function networkOf(
  rig: Rig,
  state: BayState,
  { hertz, conductorC, add }: NetworkOptions = MAINS,
): Network {
  const node = nodesOf(indexParts(rig))
  const loads = { state, hertz, volt: ratedVolt(rig) }
  return {
    hertz,
    elements: [
      ...rig.parts.flatMap((part) => ownElements(part, loads)),
      ...copperOf(rig, conductorC),
      ...add.map((element) => ({ ...element, from: node(element.from), to: node(element.to) })),
    ],
  }
}

/** What no switch moves, of rigs that have been solved, by the temperature of their conductors. */
const copper = new WeakMap<Rig, Map<number, readonly Element[]>>()

/** Busbars, conductors, metal and insulation of a rig: worked out once, since a change of them is another rig. */
function copperOf(rig: Rig, conductorC: number): readonly Element[] {
  const kept = copper.get(rig) ?? new Map<number, readonly Element[]>()
  copper.set(rig, kept)
  const known = kept.get(conductorC)
  if (known) return known
  const parts = indexParts(rig)
  const elements = [
    ...rig.busbars.flatMap(busbarElements),
    ...rig.wires.map((wire) => wireElement(wire, parts, conductorC)),
    ...rig.runs.flatMap((run) => metalElements(run, parts)),
    ...insulation(rig, parts),
    ...rig.leaks.map((leak) => leakElement(leak, parts)),
  ]
  kept.set(conductorC, elements)
  return elements
}

/** What loads are rated for, V. */
export const ratedVolt = ({ parts }: Pick<Rig, 'parts'>): number =>
  parts.find((part): part is Supply => part.kind === 'supply')?.volt ?? USUAL_V

/** What one part is by itself: contacts, loads, ways to earth, a source. */
export const ownElements = (part: Part, at: LoadsAt): Element[] =>
  part.kind === 'supply' ? supplyElements(part, at.state.isSupplyOn, at.hertz) : partElements(part, at)

/** A conductor at this temperature, °C. */
export const wireElement = (wire: Wire, parts: PartIndex, conductorC: number): Impedance =>
  between(wire.id, [wire.from, wire.to], wireOhm(wire, copperMultiplier(conductorC)), nodesOf(parts))

export const leakElement = ({ id, from, to, ohm }: Leak, parts: PartIndex): Impedance =>
  between(id, [from, to], ohm, nodesOf(parts))

type NodeOf = (ref: string) => string
const nodesOf =
  (parts: PartIndex): NodeOf =>
  (ref) =>
    ref === EARTH ? EARTH : nodeOf(parts, ref)

const between = (
  name: string,
  [from, to]: readonly [string, string],
  ohm: number,
  node: NodeOf,
): Impedance => ({ kind: 'impedance', name, from: node(from), to: node(to), ohm: real(ohm) })

/** A comb from tooth to tooth. */
export const busbarElements = (busbar: Busbar): Impedance[] =>
  busbarPieces(busbar).map(({ from, to, places: [before, i], isCut }) => ({
    kind: 'impedance',
    name: `${busbar.id}:${before}-${i}`,
    from,
    to,
    ohm: real(BUSBAR_OHM * (i - before)),
    isOpen: isCut,
  }))

/** The conductor and what a loose screw at either end adds, Ω. */
const wireOhm = ({ ohmPerM, areaMm2, lengthM, looseOhm }: Wire, warm: number): number =>
  (ohmPerM ?? COPPER_OHM_PER_M[areaMm2]!) * lengthM * warm + (looseOhm?.[0] ?? 0) + (looseOhm?.[1] ?? 0)

/** Metallic containment between its two earth terminals. */
export const metalElements = ({ id, metal, lengthM }: Run, parts: PartIndex): Impedance[] =>
  metal ? [between(`${id}:metal`, metal, STEEL_OHM_PER_M * lengthM, nodesOf(parts))] : []

const insulation = (rig: Rig, parts: PartIndex): Impedance[] =>
  [...wiresByRun(rig.wires)].flatMap(([run, wires]) => runInsulation(run, wires, parts))

/** Conductors by the run that they lie in; those in none are left out. */
export function wiresByRun(wires: readonly Wire[]): Map<string, Wire[]> {
  const byRun = new Map<string, Wire[]>()
  for (const wire of wires) {
    if (wire.run === null) continue
    const known = byRun.get(wire.run)
    if (known) known.push(wire)
    else byRun.set(wire.run, [wire])
  }
  return byRun
}

/** What leaks between the conductors of one run, drawn at their far ends. */
export function runInsulation(run: string, wires: readonly Wire[], parts: PartIndex): Impedance[] {
  const nodes = [...new Map(wires.map((wire) => [nodeOf(parts, wire.to), wire])).entries()]
  return nodes
    .slice(1)
    .map(([node, wire], i): Impedance => ({
      kind: 'impedance',
      name: `${run}:insulation ${i + 1}`,
      from: nodes[i]![0],
      to: node,
      ohm: real(INSULATION_OHM_M / wire.lengthM),
    }))
}

/** Plans of rigs that have been solved, by the names and joints of what was added. */
const plans = new WeakMap<Rig, Map<string, Plan>>()

/** The bay solved in this state; the plan of elimination is kept for the rig. */
export function solveBay(
  rig: Rig,
  state: BayState,
  options: Partial<NetworkOptions> = {},
): Solved | Unsolved {
  const network = networkOf(rig, state, { ...MAINS, ...options })
  const kept = plans.get(rig) ?? new Map<string, Plan>()
  plans.set(rig, kept)
  const key = (options.add ?? []).map(({ kind, name, from, to }) => `${name} ${kind} ${from} ${to}`).join('|')
  const plan = kept.get(key) ?? planFor(network.elements)
  kept.set(key, plan)
  return solve(network, plan)
}
