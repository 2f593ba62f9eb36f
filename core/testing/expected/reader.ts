import { bayChange, type BayChange } from '../../bay/behaviour/bay-change'
import { ratedVolt } from '../../bay/behaviour/network-of'
import { KeptNetwork, type ElementChange } from '../../bay/instruments/kept-network'
import type { SolveBench } from '../../bay/instruments/setup'
import type { Rig } from '../../bay/model/rig'
import { indexParts, nodeOf } from '../../bay/model/terminals'
import { isFelt, type Answers, type Injected } from '../../bay/network/answers'
import { change, type Layer } from '../../bay/network/layers'
import type { Element } from '../../bay/network/network'
import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { deadBench, type PrepareOptions } from '../setup/bench-state'
import type { PairReading } from '../../bay/instruments/kept-network'
import type { Prepared } from '../setup/prepared'
import { predictAll, prepareTest, type Outcomes } from './predict'
import { isSameSetting, Settings, type Own } from './settings'

/** Reads bays that differ a little from one that is known. */
export interface BayReader {
  /** What an instrument without error shows in these tests of this bay, as `predictAll` has it. */
  readonly read: (rig: Rig, tests: readonly BayTest[], options?: PrepareOptions) => Outcomes
}

/** A reading that the kept network cannot give: all has to be solved again. */
class NotKept extends Error {}

/** Readers by the bay that they know: each sheet of a bay is read by the same one. */
const READERS = new WeakMap<Rig, BayReader>()

/**
 * A reader that has taken this bay apart once. A cause that is tried costs what it changes, not what the bay is; where a
 * change reaches further, the bay is solved plainly.
 */
export function readerOf(known: Rig): BayReader {
  const kept = READERS.get(known)
  if (kept) return kept
  const network = new KeptNetwork(known, deadBench(known))
  const settings = new Settings(known)
  // A sheet is read piece by piece, as far as it is worth reading.
  const bays = new WeakMap<Rig, ChangedBay>()
  function readBay(rig: Rig, tests: readonly BayTest[], options: PrepareOptions): Outcomes {
    if (ratedVolt(rig) !== ratedVolt(known)) return predictAll(rig, tests, options)
    const bay =
      bays.get(rig) ??
      new ChangedBay({ network, settings }, rig, rig === known ? NO_CHANGE : bayChange(known, rig))
    bays.set(rig, bay)
    const outcomes = new Map<string, Outcome>()
    const ownOf = settings.madeWith(options)
    const left: BayTest[] = []
    for (const test of tests) {
      const read = readOne(bay, test, options, ownOf(test))
      if (read === 'plainly') left.push(test)
      else if (read) outcomes.set(test.key, read)
    }
    for (const [key, outcome] of left.length > 0 ? predictAll(rig, left, options) : [])
      outcomes.set(key, outcome)
    return outcomes
  }
  const readKnown = readOnce((tests, options) => readBay(known, tests, options))
  const reader: BayReader = {
    read: (rig, tests, options = {}) =>
      rig === known ? readKnown(tests, options) : readBay(rig, tests, options),
  }
  READERS.set(known, reader)
  return reader
}

type ReadTests = (tests: readonly BayTest[], options: PrepareOptions) => Outcomes
/** What the known bay reads, once for every sheet of it. */
function readOnce(read: ReadTests): ReadTests {
  const known = new Map<string, Outcome | undefined>()
  return (tests, options) => {
    const made = Object.entries(options).join(' ')
    const name = ({ key }: BayTest) => `${key} ${made}`
    const fresh = tests.filter((test) => !known.has(name(test)))
    const outcomes = read(fresh, options)
    for (const test of fresh) known.set(name(test), outcomes.get(test.key))
    return new Map(
      tests.flatMap((test) => {
        const outcome = known.get(name(test))
        return outcome ? [[test.key, outcome] as const] : []
      }),
    )
  }
}

const NOTHING = { gone: [], come: [] }
const NO_CHANGE: BayChange = {
  parts: NOTHING,
  busbars: NOTHING,
  runs: NOTHING,
  wires: NOTHING,
  leaks: NOTHING,
}

/** Undefined where the test cannot be made. */
function readOne(
  bay: ChangedBay,
  test: BayTest,
  options: PrepareOptions,
  own: Own | null,
): Outcome | 'plainly' | undefined {
  const { prediction } = kindOf(test.kind)
  if (prediction.by === 'hand') return undefined
  const prepared = prepareTest(bay.rig, test, options)
  if (!prepared) return undefined
  const isOwnInstrument = prediction.by === 'impedance' && prediction.withLoads && options.lampsIn
  if (!own || isOwnInstrument || !isSameSetting(own.prepared, prepared)) return 'plainly'
  try {
    if (prediction.by === 'instrument')
      return prediction.read(bay.rig, test, { ...prepared, solve: bay.solverFor(own.key, prepared) })
    const hertz = prepared.state.isSupplyOn ? 50 : 0
    const pairs = bay.impedances(own.key, prepared, hertz, prediction.pairs(prepared))
    return prediction.read(pairs, bay.rig, test, (other, asked) =>
      bay.impedances(bay.nameOf(other), other, 0, asked),
    )
  } catch (error) {
    if (error instanceof NotKept) return 'plainly'
    throw error
  }
}

/** One bay that differs from the known one, with what has been read of it. */
class ChangedBay {
  /** The bench that was asked last: tests of one set-up come together, and a thousand bays are kept. */
  private last: { readonly name: string; readonly layer: Layer } | undefined
  private differing: { readonly name: string; readonly by: ElementChange } | undefined
  private readonly pairs = new Map<string, PairReading>()

  constructor(
    private readonly known: { readonly network: KeptNetwork; readonly settings: Settings },
    readonly rig: Rig,
    readonly by: BayChange,
  ) {}

  nameOf(prepared: Prepared): string {
    return this.known.settings.nameOf(prepared)
  }

  private layerFor(key: string, { state, setup }: Prepared, hertz: number): Layer {
    const name = `${hertz} ${key}`
    if (this.last?.name === name) return this.last.layer
    const setting = { state, setup, hertz }
    const bench = this.known.network.bench(key, setting)
    const layer =
      this.by === NO_CHANGE ? bench : this.known.network.benchOf(bench, this.rig, this.by, setting)
    this.last = { name, layer }
    return layer
  }

  /** What the known bay reads here, where this one cannot read anything else. */
  private unmoved(
    key: string,
    prepared: Prepared,
    hertz: number,
    pair: readonly [string, string],
  ): PairReading | undefined {
    if (this.by === NO_CHANGE) return undefined
    const { state, setup } = prepared
    const setting = { state, setup, hertz }
    const own = this.known.network.pairOf(key, setting, pair)
    if (!own) return undefined
    const name = `${hertz} ${key}`
    if (this.differing?.name !== name)
      this.differing = { name, by: this.known.network.differences(this.rig, this.by, setting) }
    const { by } = this.differing
    return isFelt(own.layer, by, own.probed, pair) ? undefined : own.reading
  }

  private ask(
    layer: Layer,
    hertz: number,
    injected: readonly Injected[],
    isSupplied: boolean,
  ): Answers | undefined {
    const answers = this.known.network.read(layer, hertz, injected, isSupplied)
    if (answers === 'unknown') throw new NotKept()
    return answers
  }

  impedances(
    key: string,
    prepared: Prepared,
    hertz: number,
    pairs: readonly (readonly [string, string])[],
  ): PairReading[] {
    const parts = indexParts(this.rig)
    return pairs.map(([at, to]) => {
      const pair = [nodeOf(parts, at), nodeOf(parts, to)] as const
      const name = `${hertz} ${key} ${pair[0]} ${pair[1]}`
      const known = this.pairs.get(name) ?? this.unmoved(key, prepared, hertz, pair)
      const read = known
        ? undefined
        : this.known.network.readPair(this.layerFor(key, prepared, hertz), hertz, pair)
      if (read === 'unknown') throw new NotKept()
      const reading = known ?? read!.reading
      this.pairs.set(name, reading)
      return reading
    })
  }

  /** For an instrument that puts something of its own into the bench. */
  solverFor(key: string, prepared: Prepared): SolveBench {
    const parts = indexParts(this.rig)
    const node = (ref: string) => nodeOf(parts, ref)
    return (hertz, add) => {
      const own = add.map((element): Element => ({
        ...element,
        from: node(element.from),
        to: node(element.to),
      }))
      const bench = this.layerFor(key, prepared, hertz)
      const put = own.filter(({ kind }) => kind !== 'injection')
      const layer = put.length > 0 ? change(bench, [], put) : bench
      const injected = own.filter((element) => element.kind === 'injection')
      return this.ask(layer, hertz, injected, true)
    }
  }
}
