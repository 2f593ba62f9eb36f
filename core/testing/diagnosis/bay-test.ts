import { deadState, workingState, type BayState } from '../../bay/behaviour/state'
import { freeEnd, type Setup } from '../../bay/instruments/setup'
import type { DevicePart, Part, Rig, Wire } from '../../bay/model/rig'
import { residualBefore } from '../../bay/model/residual-before'
import { indexParts, partIdOf } from '../../bay/model/terminals'

export const TEST_KINDS = [
  'bonding',
  'r1',
  'rn',
  'r2',
  'r1r2',
  'r2Long',
  'irLL',
  'irLN',
  'irLE',
  'irNE',
  'polarity',
  'ze',
  'pfc',
  'rotation',
  'zs',
  'rcd',
  'rcdHalf',
  'rcdFive',
  'rcdButton',
  'functional',
  'drop',
  'clamp',
] as const
export type TestKind = (typeof TEST_KINDS)[number]

/** One test of a schedule: `c1.r1r2@c1p2`, `c1.irNE`, `ze`. */
export interface BayTest {
  readonly key: string
  readonly kind: TestKind
  /** Null for the supply's own. */
  readonly circuit: string | null
  /** Where it is measured; null at the board. */
  readonly point: string | null
}

const isPoint = (part: Part): boolean =>
  part.kind === 'socket' || part.kind === 'lampholder' || part.kind === 'appliance'
export const wayOf = (rig: Rig, circuit: string): DevicePart | undefined =>
  rig.parts.find(
    (part): part is DevicePart => part.kind === 'device' && part.role === 'way' && part.circuit === circuit,
  )
const lineOf = (device: DevicePart): string => device.poles.find((pole) => pole !== 'N') ?? device.poles[0]!
/** The line terminal of a point; of a board that is fed, the first line of its main switch. */
export const lineAt = (part: Part): string =>
  `${part.id}.${part.kind === 'device' ? `${lineOf(part)} in` : part.kind === 'appliance' ? part.poles[0]! : 'L'}`
const hasNeutral = (part: Part): boolean =>
  (part.kind !== 'appliance' && part.kind !== 'device') || part.poles.includes('N')
/** Where the protective conductor ends at a point; of a fed board where its feed brings it, else at its own bar. */
function earthAt(rig: Rig, part: Part): string | undefined {
  if (part.kind !== 'device') return `${part.id}.E`
  return rig.parts
    .find((bar) => bar.kind === 'bar' && bar.serves === 'E' && bar.board === part.board)
    ?.id.concat('.1')
}

/** Main switches of boards that a circuit feeds: the points of that circuit. */
function fedBy(rig: Rig, circuit: string): DevicePart[] {
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
const pointsOf = (rig: Rig, circuit: string): Part[] => {
  const own = rig.parts.filter((part) => part.circuit === circuit && isPoint(part))
  return own.length > 0 ? own : fedBy(rig, circuit)
}
/** Does the run of this circuit bring a protective conductor? An island has its own. */
const bringsEarth = (rig: Rig, circuit: string): boolean => homeEnds(rig, circuit).earth.length > 0

type HomeEnds = Readonly<
  Record<'line' | 'neutral' | 'earth', readonly { readonly wire: Wire; readonly end: 'from' | 'to' }[]>
>
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

function findHomeEnds(rig: Rig, circuit: string): HomeEnds {
  const parts = indexParts(rig)
  const home = wayOf(rig, circuit)?.board ?? null
  const found = { line: [], neutral: [], earth: [] } as Record<
    'line' | 'neutral' | 'earth',
    { wire: Wire; end: 'from' | 'to' }[]
  >
  for (const wire of rig.wires) {
    const [a, b] = [parts.get(partIdOf(wire.from)), parts.get(partIdOf(wire.to))]
    const isAway = (part: Part | undefined) =>
      part !== undefined && part.board !== home && (part.circuit === circuit || wire.run === `${circuit}run`)
    const end =
      a?.board && a.board === home && isAway(b)
        ? 'from'
        : b?.board && b.board === home && isAway(a)
          ? 'to'
          : null
    if (end)
      found[wire.colour === 'green-and-yellow' ? 'earth' : wire.colour === 'blue' ? 'neutral' : 'line'].push({
        wire,
        end,
      })
  }
  return found
}

/** Every test that tells something about the wiring of this bay: final circuits of one line or three, at each of their points. */
export function testsOf(rig: Rig): BayTest[] {
  const circuits = [
    ...new Set(
      rig.parts
        .filter(
          (part) =>
            isPoint(part) ||
            (part.kind === 'device' &&
              part.role === 'way' &&
              part.circuit !== null &&
              fedBy(rig, part.circuit).length > 0),
        )
        .flatMap(({ circuit }) => circuit ?? []),
    ),
  ]
  const test = (kind: TestKind, circuit: string | null, point: string | null = null): BayTest => ({
    key: `${circuit ? `${circuit}.` : ''}${kind}${point ? `@${point}` : ''}`,
    kind,
    circuit,
    point,
  })
  return [
    test('ze', null),
    ...circuits.flatMap((circuit) => {
      const points = pointsOf(rig, circuit)
      const isIsland = !bringsEarth(rig, circuit)
      const isRing =
        homeEnds(rig, circuit).line.length === 2 &&
        wayOf(rig, circuit)?.poles.filter((pole) => pole !== 'N').length === 1
      const isProtected = residualBefore(rig, circuit) !== undefined
      const last = points.at(-1)
      return [
        ...(isRing ? (['r1', 'rn', 'r2'] as const).map((kind) => test(kind, circuit)) : []),
        ...(isIsland
          ? []
          : [
              ...points.map(({ id }) => test('r1r2', circuit, id)),
              ...points.map(({ id }) => test('r2Long', circuit, id)),
            ]),
        ...(['irLN', 'irLE', 'irNE'] as const)
          .filter((kind) => kind === 'irLE' || (last && hasNeutral(last)))
          .map((kind) => test(kind, circuit)),
        ...points.filter(hasNeutral).map(({ id }) => test('polarity', circuit, id)),
        ...(isIsland ? [] : points.map(({ id }) => test('zs', circuit, id))),
        ...(isProtected && last ? [test('rcd', circuit, last.id)] : []),
      ]
    }),
  ]
}

/** The bay made ready for a test: state, links, free ends, and where the probes go. */
export interface Prepared {
  readonly state: BayState
  readonly setup: Setup
  readonly at: string
  readonly to: string
}

const throwSwitches = (rig: Rig, on: boolean): BayState['thrown'] =>
  Object.fromEntries(
    rig.parts.filter((part) => part.kind === 'switch' && part.action === 'one-way').map(({ id }) => [id, on]),
  )

/** Supply off, ways open, lamps out, switches and isolators closed. */
export function deadBench(rig: Rig, { lampsIn = false, switchesOn = true } = {}): BayState {
  const local = rig.parts.filter(
    (part) => part.kind === 'device' && (part.role === 'isolator' || part.role === 'connection-unit'),
  )
  return {
    ...deadState(rig),
    closed: Object.fromEntries(local.map(({ id }) => [id, true])),
    thrown: throwSwitches(rig, switchesOn),
    ...(lampsIn ? {} : { inUse: {} }),
  }
}

/** One circuit at a time: everything energised but the other ways, nothing in use. */
function liveBench(rig: Rig, way: string): BayState {
  const working = workingState(rig)
  const others = rig.parts.filter(
    (part) => part.kind === 'device' && part.role === 'way' && part.id !== way && !feeds(rig, part.id, way),
  )
  return {
    ...working,
    inUse: {},
    closed: { ...working.closed, ...Object.fromEntries(others.map(({ id }) => [id, false])) },
  }
}
/** A way that feeds the board in which the other one stands stays closed. */
const feeds = (rig: Rig, upper: string, lower: string): boolean => {
  const [a, b] = [rig.parts.find(({ id }) => id === upper), rig.parts.find(({ id }) => id === lower)]
  return (
    a?.board !== b?.board &&
    rig.wires.some(
      ({ from, to }) =>
        [from, to].some((ref) => partIdOf(ref) === upper) &&
        [from, to].some((ref) =>
          rig.parts.some(
            (part) =>
              part.id === partIdOf(ref) &&
              part.kind === 'device' &&
              part.role === 'main-switch' &&
              part.board === b?.board,
          ),
        ),
    )
  )
}

const earthBarOf = (rig: Rig, board: string | null): string | undefined =>
  rig.parts.find((part) => part.kind === 'bar' && part.serves === 'E' && part.board === board)?.id

/** How this test is made; undefined where the bay has nothing to put it to. */
export function prepareTest(
  rig: Rig,
  test: BayTest,
  options: { lampsIn?: boolean; switchesOn?: boolean } = {},
): Prepared | undefined {
  const { kind, circuit, point } = test
  const none: Setup = { freed: [], links: [] }
  if (kind === 'ze') {
    const supply = rig.parts.find(({ kind: is }) => is === 'supply')
    if (!supply || supply.kind !== 'supply' || supply.arrangement === 'battery') return undefined
    const line = supply.phases === 1 ? 'L' : 'L1'
    const earthing = rig.wires.find(({ from, to }) =>
      [from, to].some((ref) => ref === `${supply.id}.E` || ref === 'electrode.E'),
    )
    const at = supply.arrangement === 'TT' ? 'electrode.E' : `${supply.id}.E`
    return {
      state: { ...deadState(rig), isSupplyOn: true },
      setup: {
        ...none,
        freed: earthing ? [{ wire: earthing.id, end: earthing.from === at ? 'to' : 'from' }] : [],
      },
      at: `${supply.id}.${line}`,
      to: at,
    }
  }
  if (kind === 'pfc') {
    const supply = rig.parts.find(({ kind: is }) => is === 'supply')
    return supply?.kind === 'supply' && supply.arrangement !== 'battery'
      ? {
          state: { ...deadState(rig), isSupplyOn: true },
          setup: none,
          at: `${supply.id}.${supply.phases === 1 ? 'L' : 'L1'}`,
          to: `${supply.id}.N`,
        }
      : undefined
  }
  if (kind === 'rotation') {
    const supply = rig.parts.find(({ kind: is }) => is === 'supply')
    return supply
      ? {
          state: { ...deadState(rig), isSupplyOn: true },
          setup: none,
          at: `${supply.id}.L1`,
          to: `${supply.id}.L2`,
        }
      : undefined
  }
  if (kind === 'bonding') {
    const bond = rig.wires.find(({ from, to }) => [from, to].includes(`${point}.E`))
    // Without it the leads go to where it should be, and find the ground between.
    if (!bond) return { state: deadState(rig), setup: none, at: 'met.1', to: `${point}.E` }
    const end = bond.from === `${point}.E` ? 'to' : 'from'
    return {
      state: deadState(rig),
      setup: { ...none, freed: [{ wire: bond.id, end }] },
      at: freeEnd(bond.id, end),
      to: `${point}.E`,
    }
  }
  const way = wayOf(rig, circuit!)
  const bar = way && earthBarOf(rig, way.board)
  if (!way || !bar) return undefined
  const line = `${way.id}.${lineOf(way)} out`
  const home = homeEnds(rig, circuit!)
  const part = point ? indexParts(rig).get(point) : undefined
  const free = (ends: readonly { readonly wire: Wire; readonly end: 'from' | 'to' }[]) => ({
    freed: ends.map(({ wire, end }) => ({ wire: wire.id, end })),
    at: ends.map(({ wire, end }) => freeEnd(wire.id, end)),
  })
  switch (kind) {
    case 'r1':
    case 'rn':
    case 'r2': {
      const ends = free(home[{ r1: 'line', rn: 'neutral', r2: 'earth' }[kind] as 'line'])
      return ends.at.length < 2
        ? undefined
        : {
            state: deadBench(rig, options),
            setup: { freed: ends.freed, links: [] },
            at: ends.at[0]!,
            to: ends.at[1]!,
          }
    }
    case 'r1r2':
    case 'polarity':
      return (
        part && {
          state: deadBench(rig, options),
          setup: { freed: [], links: [[line, `${bar}.1`]] },
          at: lineAt(part),
          to: kind === 'polarity' && part.kind === 'device' ? `${bar}.1` : earthAt(rig, part)!,
        }
      )
    case 'r2Long': {
      // Out of the bar, so that no other way back is in the reading; of a ring from the end that left first.
      const ends = free(home.earth)
      return part && ends.at[0]
        ? {
            state: deadBench(rig, options),
            setup: { freed: ends.freed, links: [] },
            at: ends.at[0],
            to: earthAt(rig, part)!,
          }
        : undefined
    }
    case 'irLL':
      return { state: deadBench(rig, options), setup: none, at: line, to: `${way.id}.L2 out` }
    case 'irLN':
    case 'irLE':
    case 'irNE': {
      // The circuit's own neutral, out of the bar, so that the others are not in the reading.
      const neutral = free(home.neutral)
      const ring: Setup['links'] = neutral.at.length === 2 ? [[neutral.at[0]!, neutral.at[1]!]] : []
      if (kind !== 'irLE' && neutral.at.length === 0) return undefined
      const [at, to] = {
        irLN: [line, neutral.at[0]!],
        irLE: [line, `${bar}.1`],
        irNE: [neutral.at[0]!, `${bar}.1`],
      }[kind] as [string, string]
      return { state: deadBench(rig, options), setup: { freed: neutral.freed, links: ring }, at, to }
    }
    case 'drop':
    case 'clamp': {
      const loads = rig.parts.filter((one) => one.circuit === circuit && isPoint(one))
      return (
        part && {
          state: {
            ...liveBench(rig, way.id),
            inUse: Object.fromEntries(loads.map(({ id }) => [id, true])),
            running: Object.fromEntries(loads.map(({ id }) => [id, true])),
          },
          setup: none,
          at: lineAt(part),
          to: `${part.id}.${part.kind === 'appliance' && !part.poles.includes('N') ? part.poles[1]! : 'N'}`,
        }
      )
    }
    case 'functional': {
      const first = rig.parts.find((one) => one.circuit === circuit && isPoint(one))
      return (
        first && {
          state: { ...workingState(rig), inUse: {} },
          setup: none,
          at: lineAt(first),
          to: `${first.id}.E`,
        }
      )
    }
    default:
      return part && { state: liveBench(rig, way.id), setup: none, at: lineAt(part), to: earthAt(rig, part)! }
  }
}
