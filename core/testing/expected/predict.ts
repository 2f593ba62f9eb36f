import { prepare } from '../../bay/instruments/setup'
import type { Rig } from '../../bay/model/rig'
import type { AskPairs, BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { outcomeOf } from '../kinds/shared'
import type { PrepareOptions } from '../setup/bench-state'
import { impedances } from '../setup/impedances'
import type { Prepared } from '../setup/prepared'

export type Outcomes = ReadonlyMap<string, Outcome>

/** How this test is made; undefined where the bay has nothing to put it to. */
export const prepareTest = (rig: Rig, test: BayTest, options: PrepareOptions = {}): Prepared | undefined =>
  kindOf(test.kind).prepare(rig, test, options)

/** What an instrument without error shows in this test of this bay. Undefined where the test cannot be made. */
export const predict = (rig: Rig, test: BayTest, options: PrepareOptions = {}): Outcome | undefined =>
  predictAll(rig, [test], options).get(test.key)

interface Ready {
  readonly test: BayTest
  readonly prepared: Prepared
}

/** All these tests of one bay; those of one set-up are solved together. */
export function predictAll(rig: Rig, tests: readonly BayTest[], options: PrepareOptions = {}): Outcomes {
  const outcomes = new Map<string, Outcome>()
  const groups = new Map<string, Ready[]>()
  for (const test of tests) {
    const { prediction } = kindOf(test.kind)
    if (prediction.by === 'hand') continue
    const prepared = prepareTest(rig, test, options)
    if (!prepared) continue
    if (prediction.by === 'instrument') outcomes.set(test.key, prediction.read(rig, test, prepared))
    else if (prediction.withLoads && options.lampsIn)
      outcomes.set(
        test.key,
        outcomeOf(prediction.withLoads(prepare(rig, prepared.state, prepared.setup), prepared)),
      )
    else {
      const key = JSON.stringify([prepared.setup, prepared.state.isSupplyOn, prepared.state.closed])
      groups.set(key, [...(groups.get(key) ?? []), { test, prepared }])
    }
  }
  for (const group of groups.values()) solveGroup(rig, group, outcomes)
  return outcomes
}

function solveGroup(rig: Rig, group: readonly Ready[], outcomes: Map<string, Outcome>): void {
  const { state, setup } = group[0]!.prepared
  const asked = group.flatMap(({ test, prepared: made }) => {
    const { prediction } = kindOf(test.kind)
    return prediction.by === 'impedance' ? [{ test, prediction, pairs: prediction.pairs(made) }] : []
  })
  const hertz = state.isSupplyOn ? 50 : 0
  const solved = impedances(
    { rig, state, setup, hertz },
    asked.flatMap(({ pairs }) => pairs),
  )
  let from = 0
  for (const { test, prediction, pairs } of asked) {
    const own = solved.slice(from, from + pairs.length)
    const ask: AskPairs = (other, wanted) =>
      impedances({ rig, state: other.state, setup: other.setup, hertz: 0 }, wanted)
    outcomes.set(test.key, prediction.read(own, rig, test, ask))
    from += pairs.length
  }
}
