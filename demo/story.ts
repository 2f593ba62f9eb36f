import { CHAIN } from '#core/design/chain'
import { STEP_KINDS } from '#core/design/step-kinds'
import { followFrom } from '#core/design/follow'
import { referenceDesign } from '#core/design/reference'
import type { StepKey, StepValues } from '#core/design/step'
import type { Task } from '#core/exercise/task'
import type { Answers } from '#core/marking/answer'
import type { Readings } from '#core/results/readings'
import { formatQuantity } from '#core/units/format'

/** How far somebody of the demo has come, and what they got wrong on the way. */
export interface Chapter {
  readonly number: string
  readonly exercise: 'T-01' | 'T-02'
  readonly upTo: 'nothing' | 'halfDesign' | 'dead' | 'halfDead' | 'permission' | 'refused' | 'live' | 'handedIn' | 'decided' | 'released'
  /** Values they wrote in place of the right ones; later steps follow from them. */
  readonly slips?: StepValues
  /** Answers that do not follow from anything before. */
  readonly typed?: Answers
  readonly readings?: Readings
  /** The bay whose readings they copied. */
  readonly copies?: string
}

/** For the demo alone; a real centre gives one-time passwords. */
export const DEMO_PASSWORD = 'tram-depot-14'

export const STORY: readonly Chapter[] = [
  { number: 'T-401', exercise: 'T-01', upTo: 'released' },
  { number: 'T-402', exercise: 'T-01', upTo: 'released', typed: { voltDrop: '0.40 V' } },
  { number: 'T-403', exercise: 'T-01', upTo: 'released' },
  { number: 'T-404', exercise: 'T-01', upTo: 'halfDead' },
  { number: 'T-405', exercise: 'T-01', upTo: 'released', slips: { cg: 0.8 } },
  { number: 'T-406', exercise: 'T-01', upTo: 'released' },
  { number: 'T-407', exercise: 'T-01', upTo: 'handedIn', readings: { r1r2: '0.09' } },
  { number: 'T-408', exercise: 'T-01', upTo: 'released', typed: { zs: '0.81' } },
  { number: 'T-409', exercise: 'T-01', upTo: 'decided' },
  { number: 'T-410', exercise: 'T-01', upTo: 'released' },

  { number: 'T-401', exercise: 'T-02', upTo: 'released' },
  { number: 'T-402', exercise: 'T-02', upTo: 'halfDesign' },
  { number: 'T-405', exercise: 'T-02', upTo: 'handedIn', slips: { ib: 9.59, ca: 0.87 }, typed: { residual: 'none' } },
  { number: 'T-406', exercise: 'T-02', upTo: 'live' },
  { number: 'T-408', exercise: 'T-02', upTo: 'refused', readings: { polarity: '✗' } },
  { number: 'T-409', exercise: 'T-02', upTo: 'handedIn', copies: 'T-403', typed: { zs: '0.50' } },
  { number: 'T-410', exercise: 'T-02', upTo: 'halfDesign' },
  { number: 'T-404', exercise: 'T-02', upTo: 'nothing' },
  { number: 'T-403', exercise: 'T-02', upTo: 'permission' },
  { number: 'T-407', exercise: 'T-02', upTo: 'permission', readings: { irNE: '0.4 MΩ' } },
]

/** Answers as somebody types them who reasons correctly from their slips. */
export function typedAnswers(task: Task, chapter: Pick<Chapter, 'slips' | 'typed'>): Answers {
  const values = followFrom(task, chapter.slips ?? {})
  const typed = CHAIN.flatMap((step) => {
    const value = values[step.key]
    return value === undefined ? [] : [[step.key, typedValue(step.key, value)] as const]
  })
  return { ...Object.fromEntries(typed), ...chapter.typed }
}

const typedValue = (key: StepKey, value: number): string => (key === 'residual' && value === 0 ? 'none' : formatQuantity(value, STEP_KINDS[key].quantity))

/** Readings as an instrument shows them at this bay, a little off the calculated values. */
export function typedReadings(task: Task, bay: number): Readings {
  const design = referenceDesign(task)
  if (!design.ok) throw new Error('The demo has a task without a solution')
  const scatter = 1 + ((bay * 7) % 5 - 2) / 100
  const r1r2 = design.values.r1r2 * scatter
  const ze = task.supply.zeOhm * (2 - scatter)
  return {
    r1r2: r1r2.toFixed(2),
    irLN: '>999',
    irLE: '>999',
    irNE: bay % 3 === 0 ? '640' : '>999',
    polarity: '✓',
    ze: ze.toFixed(2),
    zs: (ze + r1r2 + 0.01).toFixed(2),
    ...(task.residualA === null ? {} : { rcdTime: String(18 + ((bay * 5) % 9)) }),
  }
}
