import { cost } from '../expected/fit'
import { predictAll, type Outcomes } from '../expected/predict'
import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { r1r2 } from '../kinds/r1r2'
import { LEADS_OHM } from '../relations/leads'
import { BASE_COST, type Hypothesis, type Slip } from './hypothesis'
import type { Study } from './study'

export interface SlipHypothesis {
  readonly hypothesis: Hypothesis
  /** What the sheet would then read. */
  readonly outcomes: Outcomes
}

/** A reading and its shifted decimal point may be this far apart. */
const SHIFT_SLACK = 0.15
const SHIFTS = [10, 0.1, 100, 0.01, 1000, 0.001]

/** Slips that could explain the odd readings, with what the sheet would then read. */
export function slipHypotheses(study: Study): SlipHypothesis[] {
  return [...leadsSlip(study), ...benchSlips(study), ...paperSlips(study)]
}

interface Made {
  readonly slip: Slip
  readonly priorCost: number
  readonly at?: readonly string[]
}

const slipHypothesis = (
  { sound }: Study,
  { slip, priorCost, at = [] }: Made,
  changed: Outcomes,
): SlipHypothesis => ({
  hypothesis: { faults: [], slip, at, priorCost, isScalable: false },
  outcomes: new Map([...sound, ...changed]),
})

const valueOf = (outcome: Outcome | undefined): number | undefined =>
  outcome?.is === 'value' ? outcome.value : undefined

/** The same resistance too much in every continuity reading, the short ones too. */
function leadsSlip(study: Study): SlipHypothesis[] {
  const readings = study.measured.flatMap(({ key, kind }) => {
    const [seen, expected] = [valueOf(study.observed.get(key)), valueOf(study.sound.get(key))]
    const isIn = kindOf(kind).relations.includes('leads') && seen !== undefined && expected !== undefined
    return isIn ? [{ key, expected, extra: seen - expected }] : []
  })
  const extras = readings.map(({ extra }) => extra).sort((a, b) => a - b)
  const ohm = extras[Math.floor(extras.length / 2)] ?? 0
  if (extras.length < 2 || ohm < LEADS_OHM.least || ohm > LEADS_OHM.most) return []
  const changed = readings.map(({ key, expected }): [string, Outcome] => [
    key,
    { is: 'value', value: expected + ohm },
  ])
  return [slipHypothesis(study, { slip: { kind: 'leads', ohm }, priorCost: BASE_COST }, new Map(changed))]
}

/** Lamps left in for an insulation test, a switch left open for continuity. */
function benchSlips(study: Study): SlipHypothesis[] {
  const { intended, measured, odd } = study
  const circuits = new Set(measured.flatMap(({ circuit, key }) => (circuit && odd.has(key) ? [circuit] : [])))
  return [...circuits].flatMap((circuit) => {
    const testsOf = (isWanted: (test: BayTest) => boolean) =>
      measured.filter((test) => test.circuit === circuit && isWanted(test))
    const lampsIn = predictAll(
      intended,
      testsOf(({ kind }) => kindOf(kind).fit.by === 'decades'),
      { lampsIn: true },
    )
    const switchOff = predictAll(
      intended,
      testsOf(({ kind }) => kind === r1r2.key),
      { switchesOn: false },
    )
    return [
      slipHypothesis(study, { slip: { kind: 'lampsIn', circuit }, priorCost: BASE_COST }, lampsIn),
      slipHypothesis(study, { slip: { kind: 'switchOff', circuit }, priorCost: BASE_COST + 0.5 }, switchOff),
    ]
  })
}

const fits = ({ measured, sound }: Study, key: string, value: number): boolean => {
  const { kind } = measured.find((test) => test.key === key)!
  return cost(kind, { is: 'value', value }, sound.get(key)!) === 0
}

/** The decimal point moved, or two figures changed places, in one reading. */
function paperSlips(study: Study): SlipHypothesis[] {
  return [...study.odd].flatMap((test) => {
    const [seen, expected] = [valueOf(study.observed.get(test)), valueOf(study.sound.get(test))]
    if (seen === undefined || expected === undefined) return []
    const changed = new Map([[test, study.observed.get(test)!]])
    const factor = SHIFTS.find((scale) => Math.abs(seen / (expected * scale) - 1) < SHIFT_SLACK)
    if (factor)
      return [
        slipHypothesis(
          study,
          { slip: { kind: 'decimal', test, factor }, priorCost: BASE_COST + 1, at: [test] },
          changed,
        ),
      ]
    if (!withFiguresSwapped(seen).some((meant) => fits(study, test, meant))) return []
    return [
      slipHypothesis(
        study,
        { slip: { kind: 'digits', test }, priorCost: BASE_COST + 1.5, at: [test] },
        changed,
      ),
    ]
  })
}

/**
 * What was meant when two figures beside each other changed places: of 0.74, 0.47 and 7.04. Two decimals, as
 * a display has them.
 */
export function withFiguresSwapped(written: number): number[] {
  const figures = written.toFixed(2).replace('.', '')
  return [...figures].slice(1).flatMap((figure, i) => {
    const before = figures[i]!
    if (figure === before) return []
    return [Number(figures.slice(0, i) + figure + before + figures.slice(i + 2)) / 100]
  })
}
