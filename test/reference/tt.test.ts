/* A TT installation, with and without a metal water service in the ground. Parallel resistances: Ohm's law. That an
   earthing conductor is taken off for Ze and a bonded service lowers Zs: Guidance Note 3, from memory. */
import { describe, expect, it } from 'vitest'
import { referenceDesign } from '#core/design/reference'
import type { WaterService } from '#core/installation/installation'
import { toForm } from '#core/exercise/form/to-form'
import { readForm } from '#core/exercise/form/read-form'
import { expectedReadings } from '#core/testing/expected/expected'
import { judgeReadings, type JudgedBay } from '#core/testing/judge/judge'
import { circuitSchedule, scheduleOf } from '#core/testing/plan/schedule'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { rigOf, splitBoard } from '../support/bay'
import { RULES, anExercise } from '../support/task'

const RA_OHM = 70
const PIPE_OHM = 20
const installationWith = (service?: WaterService) =>
  splitBoard({
    intake: { ...splitBoard().intake, arrangement: 'TT', zeOhm: RA_OHM, ...(service ? { service } : {}) },
  })

function bayWith(service?: WaterService): JudgedBay {
  const installation = installationWith(service)
  const design = referenceDesign(installation, RULES)
  const rig = rigOf(installation)
  const schedule = scheduleOf(rig, { edition: '18-A2', rcdTests: 'edition' })
  return {
    schedule,
    design,
    expected: expectedReadings(rig, design, schedule),
    edition: '18-A2',
    arrangement: 'TT',
  }
}
const zsOf = (bay: JudgedBay) => {
  const key = bay.schedule.find(({ kind, circuit }) => kind === 'zs' && circuit === 'c1')!.key
  return { key, ohm: bay.expected.get(key)!.value! }
}

describe('a TT installation', () => {
  it('with the service in plastic: Zs is the electrode and the conductors', () => {
    const { ohm } = zsOf(bayWith())
    expect(ohm).toBeGreaterThan(RA_OHM)
    expect(ohm).toBeLessThan(RA_OHM + 1)
  })
  it('with a bonded metal service, said by the exercise: both earths in parallel', () => {
    const both = (RA_OHM * PIPE_OHM) / (RA_OHM + PIPE_OHM)
    const { ohm } = zsOf(bayWith('metal'))
    expect(ohm).toBeGreaterThan(both - 1)
    expect(ohm).toBeLessThan(both + 1.5)
  })
  it('Ze is the electrode alone in both: its conductor is off', () => {
    for (const service of [undefined, 'metal'] as const)
      expect(bayWith(service).expected.get('ze')!.value).toBeCloseTo(RA_OHM, 0)
  })
  it('Zs far below Ze is right where the exercise has a metal service, and out of tolerance where it has not', () => {
    const verdict = (bay: JudgedBay) => {
      const { key } = zsOf(bay)
      const readings = { ze: '70.2', [key]: zsOf(bayWith('metal')).ohm.toFixed(1) }
      return judgeReadings(bay, readings).marks.find(({ reading }) => reading === key)!.verdict
    }
    expect(verdict(bayWith('metal'))).toBe('right')
    expect(verdict(bayWith())).toBe('wrong')
  })
  it('a difference of 1 Ω in 70 is nothing: no finding above a remark', () => {
    const bay = bayWith()
    const { key, ohm } = zsOf(bay)
    for (const off of [-1, 1]) {
      const { marks, relations } = judgeReadings(bay, { ze: '70.2', [key]: (ohm + off).toFixed(1) })
      expect(
        marks.filter(({ reading }) => reading === key || reading === 'ze').map(({ verdict }) => verdict),
      ).toEqual(['right', 'right'])
      expect(relations.filter(({ finding }) => finding.seriousness !== 'note')).toEqual([])
    }
  })
  it('a sheet for one circuit expects the same as the schedule of the board', () => {
    const installation = installationWith('metal')
    const rig = rigOf(installation)
    const one = circuitSchedule(rig, { edition: '18-A2', rcdTests: 'edition' }, 'c1')
    const expected = expectedReadings(rig, referenceDesign(installation, RULES), one)
    const whole = bayWith('metal').expected
    for (const { key } of one) expect(expected.get(key)?.value, key).toBe(whole.get(key)?.value)
  })
})

describe('the service in an exercise', () => {
  const through = (arrangement: 'TT' | 'TN-S', service: WaterService) => {
    const exercise = anExercise({ installation: installationWith() })
    const form = { ...toForm(exercise), arrangement, service }
    return readForm(form, DEFAULT_POLICY).exercise!.installation.intake.service
  }
  it('is written down only where it is not the usual one', () => {
    expect(through('TT', 'metal')).toBe('metal')
    expect(through('TT', 'plastic')).toBeUndefined()
    expect(through('TN-S', 'plastic')).toBe('plastic')
    expect(through('TN-S', 'metal')).toBeUndefined()
  })
})
