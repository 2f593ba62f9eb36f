import { ZERO, phasor, real } from '../network/complex'
import { EARTH, type Element, type Impedance, type Network } from '../network/network'
import { planFor, type Plan } from '../network/plan'
import { solve, type Solved, type Unsolved } from '../network/solve'
import { COPPER_OHM_PER_M, copperMultiplier } from '../../regulations/conductors'
import type { DevicePart, Part, Pole, Rig, Supply } from '../model/rig'
import { indexParts, nodeOf, type PartIndex } from '../model/terminals'
import { SOURCE_EARTH_OHM } from '../model/supply'
import { loadElements } from './load-elements'
import type { BayState } from './state'

/** Heat that a pole turns its rated current into, W; common practice, no source (standards allow 3 W and more). */
const POLE_W = 1.2
const LEAST_POLE_OHM = 0.5e-3
/** A tooth to the next with its screw, Ω; common practice, no source. */
const BUSBAR_OHM = 0.3e-3
const METER_OHM = 0.5e-3
const SWITCH_OHM = 2e-3

/** Steel conduit and trunking with sound couplers; common practice, no source. */
const STEEL_OHM_PER_M = 3e-3
/** New insulation between two conductors of a run, Ω·m; common practice, no source. */
const INSULATION_OHM_M = 400e9
/** The test button makes two and a half times IΔn flow past one pole. */
const TEST_MULTIPLE = 2.5

export interface NetworkOptions {
  /** Hz; 0 for an instrument's direct current. */
  readonly hertz: number
  /** Conductor temperature, °C. */
  readonly conductorC: number
  /** Instruments, hands, faults that are being tried: joined between terminals. */
  readonly add: readonly Element[]
}

export const MAINS: NetworkOptions = { hertz: 50, conductorC: 20, add: [] }

/** The bay as a network, every contact present and open where it is open, so that the same rig always has the same plan. Of a checked rig. */
export function networkOf(
  rig: Rig,
  state: BayState,
  { hertz, conductorC, add }: NetworkOptions = MAINS,
): Network {
  const parts = indexParts(rig)
  const node = (ref: string) => nodeOf(parts, ref)
  const supply = rig.parts.find((part): part is Supply => part.kind === 'supply')
  const warm = copperMultiplier(conductorC)
  return {
    hertz,
    elements: [
      ...(supply ? supplyElements(supply, state.isSupplyOn, hertz) : []),
      ...rig.parts.flatMap((part) => partElements(part, state, hertz, supply?.volt ?? 230)),
      ...rig.busbars.flatMap(({ id, teeth, missing, cutAfter }) => {
        const there = teeth.map((tooth, i) => ({ tooth, i })).filter(({ i }) => !missing.includes(i))
        return there.slice(1).map(({ tooth, i }, k): Impedance => {
          const before = there[k]!
          return {
            kind: 'impedance',
            name: `${id}:${before.i}-${i}`,
            from: before.tooth,
            to: tooth,
            ohm: real(BUSBAR_OHM * (i - before.i)),
            isOpen: cutAfter.some((cut) => cut >= before.i && cut < i),
          }
        })
      }),
      ...rig.wires.map((wire): Impedance => ({
        kind: 'impedance',
        name: wire.id,
        from: node(wire.from),
        to: node(wire.to),
        ohm: real(
          (wire.ohmPerM ?? COPPER_OHM_PER_M[wire.areaMm2]!) * wire.lengthM * warm +
            (wire.looseOhm?.[0] ?? 0) +
            (wire.looseOhm?.[1] ?? 0),
        ),
      })),
      ...rig.runs.flatMap(({ id, metal, lengthM }): Impedance[] =>
        metal
          ? [
              {
                kind: 'impedance',
                name: `${id}:metal`,
                from: node(metal[0]),
                to: node(metal[1]),
                ohm: real(STEEL_OHM_PER_M * lengthM),
              },
            ]
          : [],
      ),
      ...insulation(rig, parts),
      ...rig.leaks.map(({ id, from, to, ohm }): Impedance => ({
        kind: 'impedance',
        name: id,
        from: node(from),
        to: node(to),
        ohm: real(ohm),
      })),
      ...add.map((element) => ({
        ...element,
        from: element.from === EARTH ? EARTH : node(element.from),
        to: element.to === EARTH ? EARTH : node(element.to),
      })),
    ],
  }
}

function supplyElements(
  { id, arrangement, phases, volt, lineOhm, neutralOhm, earthOhm }: Supply,
  isOn: boolean,
  hertz: number,
): Element[] {
  const star = `${id}:star`
  if (arrangement === 'battery') {
    return [
      {
        kind: 'source',
        name: `${id}:+`,
        from: `${id}.−`,
        to: `${id}.+`,
        volt: hertz === 0 ? real(volt) : ZERO,
        ohm: real(lineOhm),
        isOpen: !isOn,
      },
      // A battery floats; its reference is the workshop's insulation.
      { kind: 'impedance', name: `${id}:float`, from: `${id}.−`, to: EARTH, ohm: real(1e6) },
    ]
  }
  const lines =
    phases === 1 ? [['L', 0] as const] : [['L1', 0] as const, ['L2', -120] as const, ['L3', 120] as const]
  const combined = `${id}:combined`
  return [
    ...lines.map(([line, angle]): Element => ({
      kind: 'source',
      name: `${id}:${line}`,
      from: star,
      to: `${id}.${line}`,
      volt: hertz === 0 ? ZERO : phasor(volt, angle),
      ohm: real(lineOhm),
      isOpen: !isOn,
    })),
    { kind: 'impedance', name: `${id}:source-earth`, from: star, to: EARTH, ohm: real(SOURCE_EARTH_OHM) },
    ...(arrangement === 'TN-C-S'
      ? [
          {
            kind: 'impedance',
            name: `${id}:combined`,
            from: star,
            to: combined,
            ohm: real(neutralOhm),
          } as const,
          {
            kind: 'impedance',
            name: `${id}:N`,
            from: combined,
            to: `${id}.N`,
            ohm: real(METER_OHM),
            isOpen: !isOn,
          } as const,
          { kind: 'impedance', name: `${id}:E`, from: combined, to: `${id}.E`, ohm: real(earthOhm) } as const,
        ]
      : [
          {
            kind: 'impedance',
            name: `${id}:N`,
            from: star,
            to: `${id}.N`,
            ohm: real(neutralOhm),
            isOpen: !isOn,
          } as const,
        ]),
    ...(arrangement === 'TN-S'
      ? [{ kind: 'impedance', name: `${id}:E`, from: star, to: `${id}.E`, ohm: real(earthOhm) } as const]
      : []),
  ]
}

function partElements(part: Part, state: BayState, hertz: number, volt: number): Element[] {
  const { id } = part
  const contact = (name: string, from: string, to: string, ohm: number, isClosed: boolean): Impedance => ({
    kind: 'impedance',
    name: `${id}:${name}`,
    from: `${id}.${from}`,
    to: `${id}.${to}`,
    ohm: real(ohm),
    isOpen: !isClosed,
  })
  switch (part.kind) {
    case 'meter':
      return (part.phases === 1 ? ['L', 'N'] : ['L1', 'L2', 'L3', 'N']).map((pole) =>
        contact(pole, `${pole} in`, `${pole} out`, METER_OHM, true),
      )
    case 'device':
      return [
        ...part.poles.map((pole) =>
          contact(
            pole,
            `${pole} in`,
            `${pole} out`,
            Math.max(LEAST_POLE_OHM, POLE_W / part.ratingA ** 2),
            part.solid.includes(pole) || (state.closed[id] ?? false),
          ),
        ),
        ...(part.residual && part.poles.length > 1
          ? [testButton(part, volt, state.testing[id] ?? false)]
          : []),
      ]
    case 'switch': {
      const isThrown = state.thrown[id] ?? false
      if (part.action === 'one-way') return [contact('1', 'C', 'L1', SWITCH_OHM, isThrown)]
      if (part.action === 'two-way')
        return [contact('1', 'C', 'L1', SWITCH_OHM, !isThrown), contact('2', 'C', 'L2', SWITCH_OHM, isThrown)]
      return [
        contact('a', 'A1', 'B1', SWITCH_OHM, !isThrown),
        contact('b', 'A2', 'B2', SWITCH_OHM, !isThrown),
        contact('c', 'A1', 'B2', SWITCH_OHM, isThrown),
        contact('d', 'A2', 'B1', SWITCH_OHM, isThrown),
      ]
    }
    case 'arrester':
      return part.poles.map((pole): Impedance => ({
        kind: 'impedance',
        name: `${id}:${pole}`,
        from: `${id}.${pole}`,
        to: `${id}.E`,
        ohm: real(1e9),
        law: { kind: 'varistor', clampV: part.clampV },
      }))
    case 'metalwork':
      return [
        { kind: 'impedance', name: `${id}:earth`, from: `${id}.E`, to: EARTH, ohm: real(part.toEarthOhm) },
      ]
    case 'socket':
      return part.load ? loadElements(id, ['L', 'N'], part.load, state, hertz, volt) : []
    case 'lampholder':
      return loadElements(id, ['L', 'N'], part.load, state, hertz, volt)
    case 'appliance':
      return loadElements(id, part.poles, part.load, state, hertz, volt)
    default:
      return []
  }
}

/** A resistor from behind one pole to before the neighbouring one, past the summing core. */
function testButton({ id, poles, residual }: DevicePart, volt: number, isHeld: boolean): Impedance {
  const [one, other] = [poles[0]!, poles.at(-1)!] as [Pole, Pole]
  const across = other === 'N' ? volt : volt * Math.sqrt(3)
  return {
    kind: 'impedance',
    name: `${id}:test`,
    from: `${id}.${one} out`,
    to: `${id}.${other} in`,
    ohm: real(across / (TEST_MULTIPLE * residual!.ratedA)),
    isOpen: !isHeld,
  }
}

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
