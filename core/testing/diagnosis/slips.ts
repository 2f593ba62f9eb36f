import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import { r1r2 } from '../kinds/r1r2'
import { LEADS_OHM } from '../relations/leads'
import { ringLE, ringLN } from '../kinds/ring-cross'
import { BASE_COST } from './hypothesis'
import { paperSlips } from './paper-slips'
import { slipHypothesis, valueOf, type SlipHypothesis } from './slip-hypothesis'
import type { Study } from './study'

/** Slips that could explain the odd readings, with what the sheet would then read. */
export function slipHypotheses(study: Study): SlipHypothesis[] {
  return [...leadsSlip(study), ...benchSlips(study), ...ringSlips(study), ...paperSlips(study)]
}

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
  const { intended, reader, measured, odd } = study
  const circuits = new Set(measured.flatMap(({ circuit, key }) => (circuit && odd.has(key) ? [circuit] : [])))
  return [...circuits].flatMap((circuit) => {
    const testsOf = (isWanted: (test: BayTest) => boolean) =>
      measured.filter((test) => test.circuit === circuit && isWanted(test))
    const lampsIn = reader.read(
      intended,
      testsOf(({ kind }) => kindOf(kind).fit.by === 'decades'),
      { lampsIn: true },
    )
    const switchOff = reader.read(
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

/** Steps 2 and 3 of a ring taken with each leg joined with itself: the readings climb towards the middle. */
function ringSlips(study: Study): SlipHypothesis[] {
  const steps = [
    ['both', [ringLN.key, ringLE.key]],
    [2, [ringLN.key]],
    [3, [ringLE.key]],
  ] as const
  const isStep = ({ kind, key }: BayTest) =>
    (kind === ringLN.key || kind === ringLE.key) && study.odd.has(key)
  const circuits = new Set(study.measured.filter(isStep).flatMap(({ circuit }) => circuit ?? []))
  return [...circuits].flatMap((circuit) =>
    steps.flatMap(([step, kinds]) => {
      const tests = study.measured.filter(
        (test) => test.circuit === circuit && (kinds as readonly string[]).includes(test.kind),
      )
      const joined = study.reader.read(study.intended, tests, { ownLegs: true })
      const priorCost = BASE_COST + (step === 'both' ? 0 : 0.5)
      return [slipHypothesis(study, { slip: { kind: 'legsJoined', circuit, step }, priorCost }, joined)]
    }),
  )
}
