import { randomLcg, randomNormal } from 'd3-random'
import { USUAL_LEADS_OHM } from '../bay/instruments/continuity'
import { displayText } from '../bay/instruments/display-text'
import { prepare } from '../bay/instruments/setup'
import type { Rig } from '../bay/model/rig'
import { predict, prepareTest } from './expected/predict'
import type { TesterSettings } from './kinds/kind'
import { kindOf } from './kinds/kinds'
import type { ScheduleTest } from './plan/schedule'

export interface SeededTester extends TesterSettings {
  /** Same seed, same errors of the instrument and the same cut lengths. */
  readonly seed: number
}

export const TESTER: SeededTester = { leadsOhm: USUAL_LEADS_OHM, nulledOhm: USUAL_LEADS_OHM, seed: 1 }
/** One standard deviation is a third of what the instrument may be off. */
const SIGMA = 1 / 3
/** The air of the day, °C around 20. */
const AIR_C = 8

export interface Shown {
  readonly test: ScheduleTest
  readonly shown: string
}

/**
 * A multifunction tester put to each of these tests of a bay as it is built, one after the other: what its
 * display shows, as somebody would write it. Tests that cannot be made show nothing.
 */
export function* testBay(
  built: Rig,
  schedule: readonly ScheduleTest[],
  settings: SeededTester = TESTER,
): Generator<Shown> {
  const random = randomNormal.source(randomLcg(((settings.seed * 7919) % 999983) / 999983))(0, SIGMA)
  const error = () => Math.max(-1, Math.min(1, random()))
  // The air of the day moves every conductor alike.
  const conductorC = 20 + AIR_C * error()
  for (const test of schedule) {
    const shown = showTest(built, test, { ...settings, conductorC, error: error() })
    if (shown !== undefined) yield { test, shown }
  }
}

export interface DayOfTest extends TesterSettings {
  readonly conductorC: number
  /** Of the instrument, −1 to 1 of its accuracy. */
  readonly error: number
}

/** What the display shows in one test of a bay as built; undefined where it cannot be made. */
export function showTest(
  rig: Rig,
  test: ScheduleTest,
  { conductorC, ...tester }: DayOfTest,
): string | undefined {
  const prepared = prepareTest(rig, test)
  if (!prepared) return undefined
  const bench = { ...prepare(rig, prepared.state, prepared.setup), conductorC }
  const measured = kindOf(test.kind).measure({
    ...tester,
    rig,
    test,
    bench,
    prepared,
    get predicted() {
      return predict(rig, test)
    },
  })
  if (typeof measured === 'boolean') return measured ? '✓' : '✗'
  return measured && displayText(measured)
}
