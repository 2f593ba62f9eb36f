import type { BayState } from '../../bay/behaviour/state'
import { networkOf } from '../../bay/behaviour/network-of'
import { magnitude, real, subtract } from '../../bay/network/complex'
import type { Element } from '../../bay/network/network'
import { planFor, type Plan } from '../../bay/network/plan'
import { solve, type Solved } from '../../bay/network/solve'
import { readClamp } from '../../bay/instruments/clamp'
import { readVoltage } from '../../bay/instruments/voltage'
import { readInsulation } from '../../bay/instruments/insulation'
import { readFaultCurrent, readLoop } from '../../bay/instruments/loop'
import type { Reading } from '../../bay/instruments/reading'
import { readTripTime, type ResidualMultiple } from '../../bay/instruments/residual-test'
import { prepare, type Setup } from '../../bay/instruments/setup'
import { residualBefore } from '../../bay/model/residual-before'
import type { Rig } from '../../bay/model/rig'
import { indexParts, nodeOf } from '../../bay/model/terminals'
import { homeEnds, prepareTest, wayOf, type BayTest, type Prepared, type TestKind } from './bay-test'

/** What a test shows: a value, more than a range end, right or not, or nothing because the instrument refuses. */
export type Outcome =
  | { readonly is: 'value'; readonly value: number }
  | { readonly is: 'over'; readonly value: number }
  | { readonly is: 'tick' | 'cross' }
  | { readonly is: 'none' }

export type Outcomes = ReadonlyMap<string, Outcome>

/** Between this and an open conductor there is nothing that a sound circuit shows, Ω. */
const JOINED_OHM = 200
/** Where the displays end, Ω; and the least that a loop tester works from, V. */
const CONTINUITY_END = 1999
const INSULATION_END = 999e6
const LEAST_V = 180

const outcomeOf = ({ value, isOver }: Reading): Outcome =>
  value === undefined ? { is: 'none' } : { is: isOver ? 'over' : 'value', value }
const upTo = (ohm: number, end: number): Outcome =>
  ohm <= end ? { is: 'value', value: ohm } : { is: 'over', value: end }

/** Impedances between pairs of terminals of one set-up: one plan, and for each pair one ampere in at one side and out at the other. */
function impedances(
  rig: Rig,
  state: BayState,
  setup: Setup,
  hertz: number,
  pairs: readonly (readonly [string, string])[],
): { readonly ohm: readonly number[]; readonly openV: readonly number[] } {
  const bench = prepare(rig, state, setup)
  const parts = indexParts(bench.rig)
  const node = (ref: string) => nodeOf(parts, ref)
  const network = networkOf(bench.rig, state, { hertz, conductorC: 20, add: bench.links })
  const idle: Element = {
    kind: 'injection',
    name: 'probe',
    from: node(pairs[0]![0]),
    to: node(pairs[0]![1]),
    ampere: real(0),
  }
  // Every probed node must be in the plan, joined to anything or not.
  const present: Element[] = pairs.flatMap(([at, to], i) => [
    { kind: 'injection', name: `present ${i}`, from: node(at), to: node(to), ampere: real(0) } as const,
  ])
  const elements = [...network.elements, ...present, idle]
  const plan = planOf(elements)
  const last = elements.length - 1
  const solved = (at: string, to: string, ampere: number): Solved | undefined => {
    const [from, into] = [plan.from.slice(), plan.to.slice()]
    from[last] = plan.indexOf.get(node(at))!
    into[last] = plan.indexOf.get(node(to))!
    const result = solve(
      {
        hertz,
        elements: [
          ...elements.slice(0, last),
          { ...idle, from: node(at), to: node(to), ampere: real(ampere) } as Element,
        ],
      },
      { ...plan, from, to: into },
    )
    return result.ok ? result : undefined
  }
  const rest = hertz === 0 ? undefined : solved(pairs[0]![0], pairs[0]![1], 0)
  const across = (one: Solved, at: string, to: string) => subtract(one.volt(node(at)), one.volt(node(to)))
  return {
    openV: pairs.map(([at, to]) => (rest ? magnitude(across(rest, at, to)) : 0)),
    ohm: pairs.map(([at, to]) => {
      const one = solved(at, to, PROBE_A)
      if (!one) return Infinity
      const volt = across(one, at, to)
      return magnitude(rest ? subtract(volt, across(rest, at, to)) : volt) / PROBE_A
    }),
  }
}
/** Residual tests by their multiple of IΔn. */
export const MULTIPLES: Readonly<Partial<Record<TestKind, ResidualMultiple>>> = {
  rcd: 1,
  rcdHalf: 0.5,
  rcdFive: 5,
}
/** What somebody does and sees; no reading of a conductor. */
const TICKS: ReadonlySet<TestKind> = new Set<TestKind>(['rotation', 'rcdButton', 'functional'])
/** Three phases together: about twice one of them; common practice, no source. */
const THREE_PHASE = 2

/** With everything of the circuit running: the voltage that is lost from the origin to the point, or the current in the line at its way. */
export function underLoad(rig: Rig, test: BayTest, made: Prepared, error = 0): Reading {
  const bench = prepare(rig, made.state, made.setup)
  if (test.kind === 'clamp')
    return readClamp(
      bench,
      homeEnds(rig, test.circuit!)
        .line.slice(0, 1)
        .map(({ wire }) => wire.id),
      error,
    )
  const way = wayOf(rig, test.circuit!)!
  const supply = rig.parts.find(({ kind }) => kind === 'supply')!.id
  // The same meter at both: what it is off falls out of the difference.
  const isThree = made.to.endsWith('.L2')
  const origin = readVoltage(
    bench,
    { at: `${supply}.${way.poles[0]}`, to: `${supply}.${isThree ? 'L2' : 'N'}` },
    error,
  )
  const point = readVoltage(bench, { at: made.at, to: made.to }, error)
  return {
    ...point,
    value:
      origin.value === undefined || point.value === undefined
        ? undefined
        : Math.max(0, Math.round((origin.value - point.value) * 10) / 10),
  }
}

/** Line to neutral or line to earth at the origin, the larger. */
function highestFault(rig: Rig, made: Prepared): Outcome {
  const supply = rig.parts.find((part) => part.kind === 'supply')!
  const bench = prepare(rig, made.state, made.setup)
  const ways = [
    made.to,
    ...(supply.kind === 'supply' && supply.arrangement !== 'TT' ? [`${supply.id}.E`] : []),
  ]
  const ampere = Math.max(
    ...ways.map((to) => readFaultCurrent(bench, { at: made.at, to }, 'no-trip').value ?? 0),
  )
  return ampere === 0
    ? { is: 'none' }
    : { is: 'value', value: ampere * (supply.kind === 'supply' && supply.phases === 3 ? THREE_PHASE : 1) }
}

/** Bays that differ only in how strongly their nodes are joined have one plan: a loose screw, a longer run. */
const PLANS = new Map<string, Plan>()
const MOST_PLANS = 400

function planOf(elements: readonly Element[]): Plan {
  let key = ''
  for (const { name, from, to } of elements) key += `${name} ${from} ${to}|`
  const known = PLANS.get(key)
  if (known) return known
  if (PLANS.size >= MOST_PLANS) PLANS.clear()
  const made = planFor(elements)
  PLANS.set(key, made)
  return made
}

/** Small, so that nothing is driven far. */
const PROBE_A = 1e-3

type Options = { readonly lampsIn?: boolean; readonly switchesOn?: boolean }

/** What an instrument without error shows in this test of this bay. Undefined where the test cannot be made. */
export const predict = (rig: Rig, test: BayTest, options: Options = {}): Outcome | undefined =>
  predictAll(rig, [test], options).get(test.key)

/** All these tests of one bay; those of one set-up are solved together. */
export function predictAll(rig: Rig, tests: readonly BayTest[], options: Options = {}): Outcomes {
  const outcomes = new Map<string, Outcome>()
  const groups = new Map<string, { readonly test: BayTest; readonly made: Prepared }[]>()
  for (const test of tests) {
    const made = prepareTest(rig, test, options)
    if (!made) continue
    const multiple = MULTIPLES[test.kind]
    if (TICKS.has(test.kind)) continue
    if (multiple !== undefined)
      outcomes.set(
        test.key,
        outcomeOf(
          readTripTime(
            prepare(rig, made.state, made.setup),
            made,
            residualBefore(rig, test.circuit)?.residual?.ratedA ?? 0.03,
            multiple,
          ),
        ),
      )
    else if (test.kind === 'drop' || test.kind === 'clamp')
      outcomes.set(test.key, outcomeOf(underLoad(rig, test, made)))
    else if (test.kind === 'pfc') outcomes.set(test.key, highestFault(rig, made))
    else if (test.kind === 'ze')
      outcomes.set(test.key, outcomeOf(readLoop(prepare(rig, made.state, made.setup), made, 'no-trip')))
    else if (test.kind.startsWith('ir') && options.lampsIn)
      outcomes.set(test.key, outcomeOf(readInsulation(prepare(rig, made.state, made.setup), made)))
    else {
      const key = JSON.stringify([made.setup, made.state.isSupplyOn, made.state.closed])
      groups.set(key, [...(groups.get(key) ?? []), { test, made }])
    }
  }
  for (const group of groups.values()) solveGroup(rig, group, outcomes)
  return outcomes
}

function solveGroup(
  rig: Rig,
  group: readonly { readonly test: BayTest; readonly made: Prepared }[],
  outcomes: Map<string, Outcome>,
): void {
  const { state, setup } = group[0]!.made
  const isLive = state.isSupplyOn
  const pairs = group.flatMap(({ test, made: { at, to } }): [string, string][] => {
    if (test.kind === 'irLL')
      return [
        [at, to],
        [to, third(to)],
        [third(to), at],
      ]
    return test.kind === 'polarity'
      ? [
          [at, to],
          [at.endsWith(' in') ? at.replace(/\.[^.]+$/, '.N in') : at.replace(/\.[^.]+$/, '.N'), to],
        ]
      : [[at, to]]
  })
  const { ohm, openV } = impedances(rig, state, setup, isLive ? 50 : 0, pairs)
  let k = 0
  for (const { test } of group) {
    const own = ohm[k]!
    if (test.kind === 'polarity') {
      const isLine = own < JOINED_OHM && !(ohm[k + 1]! < JOINED_OHM)
      outcomes.set(test.key, { is: isLine && !staysOn(rig, test) ? 'tick' : 'cross' })
      k += 2
      continue
    }
    if (test.kind === 'irLL') {
      outcomes.set(test.key, upTo(Math.min(own, ohm[k + 1]!, ohm[k + 2]!), INSULATION_END))
      k += 3
      continue
    }
    outcomes.set(
      test.key,
      test.kind === 'zs'
        ? openV[k]! < LEAST_V
          ? { is: 'none' }
          : upTo(own, CONTINUITY_END)
        : upTo(own, test.kind.startsWith('ir') ? INSULATION_END : CONTINUITY_END),
    )
    k += 1
  }
}

/** The third line, beside the second. */
const third = (second: string): string => second.replace('.L2', '.L3')

/** Is the line still at the point when its switch is open? */
function staysOn(rig: Rig, test: BayTest): boolean {
  if (!rig.parts.some((part) => part.kind === 'switch' && part.circuit === test.circuit)) return false
  const off = prepareTest(rig, test, { switchesOn: false })!
  return impedances(rig, off.state, off.setup, 0, [[off.at, off.to]]).ohm[0]! < JOINED_OHM
}

/** Only what these circuits touch: their points, every board and the intake. The rest cannot change their readings much. */
export function onlyCircuits(rig: Rig, circuits: ReadonlySet<string>): Rig {
  const gone = new Set(
    rig.parts
      .filter(({ board, circuit }) => board === null && circuit !== null && !circuits.has(circuit))
      .map(({ id }) => id),
  )
  const isLeft = (ref: string) => !gone.has(ref.slice(0, ref.indexOf('.')))
  return {
    ...rig,
    parts: rig.parts.filter(({ id }) => !gone.has(id)),
    wires: rig.wires.filter(({ from, to }) => isLeft(from) && isLeft(to)),
    leaks: rig.leaks.filter(({ from, to }) => isLeft(from) && isLeft(to)),
    runs: rig.runs.filter(({ metal }) => !metal || metal.every(isLeft)),
  }
}
