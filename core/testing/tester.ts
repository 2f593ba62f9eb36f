import { randomLcg, randomNormal } from 'd3-random'
import { prepareTest, lineAt } from './diagnosis/bay-test'
import { MULTIPLES, predict, underLoad } from './diagnosis/predict'
import { readContinuity, USUAL_LEADS_OHM } from '../bay/instruments/continuity'
import { readInsulation } from '../bay/instruments/insulation'
import { readLoop } from '../bay/instruments/loop'
import { display, type Reading } from '../bay/instruments/reading'
import { readTripTime } from '../bay/instruments/residual-test'
import { prepare } from '../bay/instruments/setup'
import { readRotation, readVoltage } from '../bay/instruments/voltage'
import { residualBefore } from '../bay/model/residual-before'
import type { Rig } from '../bay/model/rig'
import { displayText } from '../bay/instruments/display-text'
import type { ScheduleTest } from './plan/schedule'

export interface TesterSettings {
  /** What was nulled before the first test, Ω; the leads themselves have 0.08 Ω unless told otherwise. */
  readonly leadsOhm: number
  readonly nulledOhm: number
  /** Same seed, same errors of the instrument and the same cut lengths. */
  readonly seed: number
}

export const TESTER: TesterSettings = { leadsOhm: USUAL_LEADS_OHM, nulledOhm: USUAL_LEADS_OHM, seed: 1 }
/** One standard deviation is a third of what the instrument may be off. */
const SIGMA = 1 / 3

/** A multifunction tester put to each of these tests of a bay as it is built, one after the other: what its display shows, as somebody would write it. Tests that cannot be made show nothing. */
export function* testBay(
  built: Rig,
  schedule: readonly ScheduleTest[],
  settings: TesterSettings = TESTER,
): Generator<{ readonly test: ScheduleTest; readonly shown: string }> {
  const random = randomNormal.source(randomLcg(((settings.seed * 7919) % 999983) / 999983))(0, SIGMA)
  const error = () => Math.max(-1, Math.min(1, random()))
  // The air of the day moves every conductor alike.
  const conductorC = 20 + 8 * error()
  for (const test of schedule) {
    const shown = showTest(built, test, settings, conductorC, error())
    if (shown !== undefined) yield { test, shown }
  }
}

/** What the display shows in one test of a bay as built; undefined where it cannot be made. */
export function showTest(
  rig: Rig,
  test: ScheduleTest,
  { leadsOhm, nulledOhm }: TesterSettings,
  conductorC: number,
  error: number,
): string | undefined {
  const made = prepareTest(rig, test)
  if (!made) return undefined
  const bench = { ...prepare(rig, made.state, made.setup), conductorC }
  const words = (reading: Reading) => displayText(reading)
  const multiple = MULTIPLES[test.kind]
  if (multiple !== undefined) {
    const ratedA = residualBefore(rig, test.circuit)?.residual?.ratedA ?? 0.03
    // Both half-cycles, the longer one.
    const both = ([0, 180] as const).map((start) => readTripTime(bench, made, ratedA, multiple, start, error))
    return words(both.reduce((a, b) => ((b.value ?? 0) > (a.value ?? 0) ? b : a)))
  }
  switch (test.kind) {
    case 'polarity':
      return tick(predict(rig, test)?.is === 'tick')
    case 'bonding':
    case 'r1':
    case 'rn':
    case 'r2':
    case 'r1r2':
    case 'r2Long':
      return words(readContinuity(bench, made, { ohm: leadsOhm, nulledOhm }, error))
    case 'irLN':
    case 'irLE':
    case 'irNE':
      return words(readInsulation(bench, made, 500, error))
    case 'irLL':
    case 'pfc': {
      const told = predict(rig, test)
      if (told?.is !== 'value' && told?.is !== 'over') return undefined
      return test.kind === 'pfc'
        ? words(
            display(
              'faultCurrent',
              told.value,
              [{ end: 20e3, step: 10 }],
              { relative: 0.05, digits: 5 },
              error,
            ),
          )
        : words(
            display(
              'insulation',
              told.is === 'over' ? Infinity : told.value,
              [{ end: 999e6, step: 1e6 }],
              { relative: 0.03, digits: 2 },
              error,
            ),
          )
    }
    case 'drop':
    case 'clamp':
      return words(underLoad(rig, test, made, error))
    case 'ze':
    case 'zs':
      return words(readLoop(bench, made, 'no-trip', error))
    case 'rotation':
      return tick(readRotation(bench, ['supply.L1', 'supply.L2', 'supply.L3']) === 'L1-L2-L3')
    case 'rcdButton':
      return tick(residualBefore(rig, test.circuit) !== undefined)
    case 'functional':
      return tick(worksAt(rig, test, bench))
    default:
      return undefined
  }
}

/** Is the voltage of the supply at every point of the circuit, its switches closed? */
function worksAt(rig: Rig, { circuit }: ScheduleTest, bench: ReturnType<typeof prepare>): boolean {
  const points = rig.parts.filter(
    (part) => part.circuit === circuit && ['socket', 'lampholder', 'appliance'].includes(part.kind),
  )
  return points.every((part) => {
    const to =
      part.kind === 'appliance' && !part.poles.includes('N') ? `${part.id}.${part.poles[1]}` : `${part.id}.N`
    return (readVoltage(bench, { at: lineAt(part), to }).value ?? 0) > 200
  })
}

const tick = (isRight: boolean): string => (isRight ? '✓' : '✗')
