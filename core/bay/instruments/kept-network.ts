import { freeEnd, linkElements, type Setup } from './setup'
import type { Rig, Wire } from '../model/rig'
import { indexParts, nodeOf, type PartIndex } from '../model/terminals'
import { answer, type Answers, type Injected } from '../network/answers'
import { add, magnitude, real, subtract } from '../network/complex'
import { change, elementAt, layNetwork, type Layer } from '../network/layers'
import { isSteady, ohmAt } from '../network/laws'
import { MOST_ROUNDS } from '../network/tolerances'
import type { Element, Impedance } from '../network/network'
import type { BayChange } from '../behaviour/bay-change'
import {
  busbarElements,
  leakElement,
  metalElements,
  networkOf,
  ownElements,
  ratedVolt,
  runInsulation,
  wireElement,
  wiresByRun,
} from '../behaviour/network-of'
import type { BayState } from '../behaviour/state'

/** A bench: how a bay stands, and what was taken out and linked for a test. */
export interface BenchSetting {
  readonly state: BayState
  readonly setup: Setup
  /** Hz; 0 for direct current. */
  readonly hertz: number
}

/** Names of elements that go, and those that come, each in place of one of its name. */
export interface ElementChange {
  readonly gone: readonly string[]
  readonly put: readonly Element[]
}

const CONDUCTOR_C = 20
/** Small, so that nothing is driven far, A. */
const PROBE_A = 1e-3

/** Between two terminals, Ω, and the voltage that stands there, V. */
export interface PairReading {
  readonly ohm: number
  readonly openV: number
}
interface Unprobed {
  readonly layer: Layer
  readonly reading: PairReading
  /** What the probe alone drives; undefined where it drives nothing. */
  readonly probed: Answers | undefined
}
/** A reading with what the probe alone drives. */
interface PairAnswer extends Unprobed {
  readonly probed: Answers
}

/**
 * The network of one bay kept taken apart, for every bench that is made of it; bays that differ a little are read from
 * there. What a test needs is worked out when it is asked, and kept.
 */
export class KeptNetwork {
  private readonly whole = new Map<number, Layer>()
  private readonly benches = new Map<string, Layer>()
  private readonly pairs = new Map<string, PairAnswer | null>()
  private readonly lawful: readonly string[]
  private readonly byRun: ReadonlyMap<string, readonly Wire[]>

  constructor(
    readonly rig: Rig,
    private readonly usual: BayState,
  ) {
    this.byRun = wiresByRun(rig.wires)
    this.lawful = networkOf(rig, usual).elements.flatMap((element) =>
      element.kind === 'impedance' && element.law ? [element.name] : [],
    )
  }

  /** The bay as it stands. */
  private wholeAt(hertz: number): Layer {
    const known = this.whole.get(hertz)
    if (known) return known
    const layer = layNetwork(networkOf(this.rig, this.usual, { hertz, conductorC: CONDUCTOR_C, add: [] }))
    this.whole.set(hertz, layer)
    return layer
  }

  /** A bench of the bay itself; `key` stands for its setting. */
  bench(key: string, { state, setup, hertz }: BenchSetting): Layer {
    const name = `${hertz} ${key}`
    const known = this.benches.get(name)
    if (known) return known
    const layer = this.settled(
      change(this.wholeAt(hertz), [], this.settingElements({ state, setup, hertz })),
      hertz,
    )
    this.benches.set(name, layer)
    return layer
  }

  /** What a setting changes of the bay: contacts that are not as usual, ends that hang free, links. */
  private settingElements({ state, setup, hertz }: BenchSetting): Element[] {
    const at = { state, hertz, volt: ratedVolt(this.rig) }
    const parts = indexParts(this.rig)
    const freed = new Set(setup.freed.map(({ wire }) => wire))
    const wires = this.rig.wires.filter(({ id }) => freed.has(id))
    const runs = new Set(wires.flatMap(({ run }) => run ?? []))
    return [
      ...this.rig.parts
        .filter((part) => part.kind === 'supply' || standsOtherwise(this.usual, state, part.id))
        .flatMap((part) => ownElements(part, at)),
      ...wires.map((wire) => wireElement(asFreed(wire, setup), parts, CONDUCTOR_C)),
      ...insulationOf(this.rig, runs, setup, parts),
      ...linkElements(setup.links).map((link) => ({
        ...link,
        from: nodeOf(parts, link.from),
        to: nodeOf(parts, link.to),
      })),
    ]
  }

  /** What follows its voltage is laid down as it settles with nothing in the bench. */
  private settled(bench: Layer, hertz: number): Layer {
    let layer = bench
    for (let round = 0; round < MOST_ROUNDS; round += 1) {
      const answers = answer(layer, [], true)
      const moved = answers
        ? this.lawful.flatMap((name) => settledElement(layer, name, answers, hertz) ?? [])
        : []
      if (moved.length === 0) return layer
      layer = change(layer, [], moved)
    }
    return layer
  }

  /** The same bench of a bay that differs by so much. */
  benchOf(layer: Layer, rig: Rig, by: BayChange, setting: BenchSetting): Layer {
    const { gone, put } = this.differences(rig, by, setting)
    return change(layer, gone, put)
  }

  /** The elements that such a bay lacks and has on this bench. */
  differences(rig: Rig, by: BayChange, { state, setup, hertz }: BenchSetting): ElementChange {
    const parts = indexParts(rig)
    const at = { state, hertz, volt: ratedVolt(rig) }
    const freed = (wire: Wire) => asFreed(wire, setup)
    const runs = insulationTouched(by)
    const gone = [
      ...by.parts.gone.flatMap((part) => ownElements(part, at).map(({ name }) => name)),
      ...by.busbars.gone.flatMap((busbar) => busbarElements(busbar).map(({ name }) => name)),
      ...by.runs.gone.flatMap((run) => metalElements(run, parts).map(({ name }) => name)),
      ...by.wires.gone.map(({ id }) => id),
      ...by.leaks.gone.map(({ id }) => id),
      ...this.insulationNames(runs),
    ]
    const put: Element[] = [
      ...by.parts.come.flatMap((part) => ownElements(part, at)),
      ...by.busbars.come.flatMap(busbarElements),
      ...by.runs.come.flatMap((run) => metalElements(run, parts)),
      ...by.wires.come.map((wire) => wireElement(freed(wire), parts, CONDUCTOR_C)),
      ...by.leaks.come.map((leak) => leakElement(leak, parts)),
      ...insulationOf(rig, runs, setup, parts),
    ]
    const names = new Set(put.map(({ name }) => name))
    return { gone: gone.filter((name) => !names.has(name)), put }
  }

  /** Between two nodes of a bench of the bay itself; undefined where nothing can be shown. */
  pairOf(key: string, setting: BenchSetting, pair: readonly [string, string]): PairAnswer | undefined {
    const name = `${setting.hertz} ${key} ${pair[0]} ${pair[1]}`
    const known = this.pairs.get(name)
    if (known !== undefined) return known ?? undefined
    const read = this.readPair(this.bench(key, setting), setting.hertz, pair)
    const found = read !== 'unknown' && read.probed ? { ...read, probed: read.probed } : undefined
    this.pairs.set(name, found ?? null)
    return found
  }

  /** One milliampere in at one node and out at the other, beside what stands there. */
  readPair(layer: Layer, hertz: number, [from, to]: readonly [string, string]): Unprobed | 'unknown' {
    const across = ({ volt }: Answers) => subtract(volt(from), volt(to))
    const rest = hertz === 0 ? undefined : this.read(layer, hertz, [], true)
    if (rest === 'unknown') return 'unknown'
    const injected = [{ from, to, ampere: real(PROBE_A) }]
    const probed = answer(layer, injected, false)
    if (probed && this.lawful.some((name) => isMovedBy(layer, name, [probed, rest], hertz))) return 'unknown'
    return {
      layer,
      probed,
      reading: {
        ohm: probed ? magnitude(across(probed)) / PROBE_A : Infinity,
        openV: rest ? magnitude(across(rest)) : 0,
      },
    }
  }

  private insulationNames(runs: ReadonlySet<string>): string[] {
    const parts = indexParts(this.rig)
    return [...runs].flatMap((run) =>
      runInsulation(run, this.byRun.get(run) ?? [], parts).map(({ name }) => name),
    )
  }

  /**
   * What this bench shows with these currents and resistors in it. Undefined where nothing can be shown, `unknown`
   * where something would not stay as it is and all has to be solved again.
   */
  read(
    layer: Layer,
    hertz: number,
    injected: readonly Injected[],
    isSupplied: boolean,
  ): Answers | undefined | 'unknown' {
    const answers = answer(layer, injected, isSupplied)
    if (!answers) return undefined
    const isStill = this.lawful.every((name) => !settledElement(layer, name, answers, hertz))
    return isStill ? answers : 'unknown'
  }
}

/** An element that follows its voltage, as it would be at these; undefined where it is still what it was laid down as. */
function settledElement(layer: Layer, name: string, { volt }: Answers, hertz: number): Impedance | undefined {
  const element = elementAt(layer, name)?.element as Impedance | undefined
  if (!element?.law) return undefined
  const across = magnitude(subtract(volt(element.from), volt(element.to)))
  const ohm = ohmAt(element.law, across, hertz, element.ohm)
  return isSteady(ohm, element.ohm) ? undefined : { ...element, ohm }
}

const MARKS = ['closed', 'thrown', 'inUse', 'running', 'testing'] as const
/** Does a hand have to move something at this part? */
const standsOtherwise = (a: BayState, b: BayState, part: string): boolean =>
  MARKS.some((mark) => (a[mark][part] ?? false) !== (b[mark][part] ?? false))

/** Would the probe, over what stands there, move an element that follows its voltage? */
function isMovedBy(
  layer: Layer,
  name: string,
  [probed, rest]: readonly [Answers, Answers | undefined],
  hertz: number,
): boolean {
  const volt = (node: string) => (rest ? add(probed.volt(node), rest.volt(node)) : probed.volt(node))
  return settledElement(layer, name, { volt, ampere: probed.ampere }, hertz) !== undefined
}

/** Runs whose insulation is not what it was: a screw that is loose changes none. */
function insulationTouched({ wires: { gone, come } }: BayChange): ReadonlySet<string> {
  const before = new Map(gone.map((wire) => [wire.id, wire]))
  const isKept = ({ id, to, lengthM, run }: Wire): boolean => {
    const old = before.get(id)
    return old !== undefined && old.to === to && old.lengthM === lengthM && old.run === run
  }
  const kept = new Set(come.filter(isKept).map(({ id }) => id))
  return new Set([...gone, ...come].flatMap(({ id, run }) => (run === null || kept.has(id) ? [] : run)))
}

function asFreed(wire: Wire, { freed }: Setup): Wire {
  let made = wire
  for (const { wire: id, end } of freed) if (id === wire.id) made = { ...made, [end]: freeEnd(id, end) }
  return made
}

function insulationOf(
  { wires }: Rig,
  runs: ReadonlySet<string>,
  setup: Setup,
  parts: PartIndex,
): Impedance[] {
  if (runs.size === 0) return []
  const touched = wires.filter(({ run }) => run !== null && runs.has(run)).map((wire) => asFreed(wire, setup))
  return [...wiresByRun(touched)].flatMap(([run, own]) => runInsulation(run, own, parts))
}
