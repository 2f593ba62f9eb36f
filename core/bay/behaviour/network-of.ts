import { real } from '../network/complex'
import { EARTH, type Element, type Impedance, type Network } from '../network/network'
import { planFor, type Plan } from '../network/plan'
import { solve, type Solved, type Unsolved } from '../network/solve'
import { COPPER_OHM_PER_M, copperMultiplier } from '../../regulations/conductors'
import { busbarPieces } from '../model/busbar'
import type { Busbar, Rig, Run, Supply, Wire } from '../model/rig'
import { indexParts, nodeOf, type PartIndex } from '../model/terminals'
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
  const parts = indexParts(rig)
  const node = (ref: string) => (ref === EARTH ? EARTH : nodeOf(parts, ref))
  const supply = rig.parts.find((part): part is Supply => part.kind === 'supply')
  const loads = { state, hertz, volt: supply?.volt ?? USUAL_V }
  const warm = copperMultiplier(conductorC)
  return {
    hertz,
    elements: [
      ...(supply ? supplyElements(supply, state.isSupplyOn, hertz) : []),
      ...rig.parts.flatMap((part) => partElements(part, loads)),
      ...rig.busbars.flatMap(busbarElements),
      ...rig.wires.map((wire) => between(wire.id, [wire.from, wire.to], wireOhm(wire, warm), node)),
      ...rig.runs.flatMap((run) => metalElements(run, node)),
      ...insulation(rig, parts),
      ...rig.leaks.map(({ id, from, to, ohm }) => between(id, [from, to], ohm, node)),
      ...add.map((element) => ({ ...element, from: node(element.from), to: node(element.to) })),
    ],
  }
}

type NodeOf = (ref: string) => string

const between = (
  name: string,
  [from, to]: readonly [string, string],
  ohm: number,
  node: NodeOf,
): Impedance => ({ kind: 'impedance', name, from: node(from), to: node(to), ohm: real(ohm) })

const busbarElements = (busbar: Busbar): Impedance[] =>
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

const metalElements = ({ id, metal, lengthM }: Run, node: NodeOf): Impedance[] =>
  metal ? [between(`${id}:metal`, metal, STEEL_OHM_PER_M * lengthM, node)] : []

/** What leaks between the conductors of a run, drawn at their far ends. */
function insulation(rig: Rig, parts: PartIndex): Impedance[] {
  const byRun = new Map<string, Rig['wires'][number][]>()
  for (const wire of rig.wires)
    if (wire.run !== null) byRun.set(wire.run, [...(byRun.get(wire.run) ?? []), wire])
  return [...byRun].flatMap(([run, wires]) => {
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
  })
}

/** Plans of rigs that have been solved, by the joints of what was added. */
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
  const key = (options.add ?? []).map(({ kind, from, to }) => `${kind} ${from} ${to}`).join('|')
  const plan = kept.get(key) ?? planFor(network.elements)
  kept.set(key, plan)
  return solve(network, plan)
}
