import { parseQuantity } from '../../units/parse'
import type { Plan } from '../plan/plan'
import { readPlan } from '../plan/read-plan'
import {
  ITEM_KEYS,
  SOURCES,
  itemOf,
  type ItemKey,
  type Objective,
  type SurveySource,
  OBJECTIVES,
} from './checklist'

/** A survey as it stands in its boxes: `item.intake.ze`, `source.intake.ze`, the plan's, `report.summary`. */
export type SurveyFields = Readonly<Record<string, string>>

export interface Answer {
  readonly text: string
  /** SI, of a figure; undefined where the text is no such figure. */
  readonly value?: number | undefined
  readonly source: SurveySource | null
  /** What is wrong with the text; null where it can be read or is empty. */
  readonly problem: 'notOne' | 'notANumber' | 'outOfRange' | 'notADay' | null
}

export interface SurveySheet {
  readonly answers: ReadonlyMap<ItemKey, Answer>
  readonly plan: Plan
  /** Boxes of the plan that cannot be read. */
  readonly unread: readonly string[]
  /** What the survey is for. */
  readonly objectives: readonly Objective[]
}

const DAY = /^\d{4}-\d{2}-\d{2}$/

function problemOf(key: ItemKey, text: string, value: number | undefined): Answer['problem'] {
  const { is, choices, min = -Infinity, max = Infinity } = itemOf(key)
  if (text === '') return null
  if (is === 'choice') return choices!.includes(text) ? null : 'notOne'
  if (is === 'day') return DAY.test(text) && !Number.isNaN(Date.parse(text)) ? null : 'notADay'
  if (is === 'words') return null
  if (value === undefined) return 'notANumber'
  return value < min || value > max ? 'outOfRange' : null
}

/** Reads everything that has been put down. What cannot be read says so and is kept. */
export function readSheet(fields: SurveyFields): SurveySheet {
  const answers = new Map<ItemKey, Answer>()
  for (const key of ITEM_KEYS) {
    const text = (fields[`item.${key}`] ?? '').trim()
    const source = SOURCES.find((one) => one === fields[`source.${key}`]) ?? null
    const { quantity } = itemOf(key)
    const read = quantity ? parseQuantity(text, quantity) : undefined
    const value = read?.ok ? read.value : undefined
    answers.set(key, { text, value, source, problem: problemOf(key, text, value) })
  }
  const asked = (fields['report.objectives'] ?? '').split(' ')
  const objectives = OBJECTIVES.filter((one) => asked.includes(one))
  return { answers, ...readPlan(fields), objectives: objectives.length > 0 ? objectives : OBJECTIVES }
}

/** What was put down, where it can be read; otherwise undefined. */
export function given(sheet: Pick<SurveySheet, 'answers'>, key: ItemKey): string | undefined {
  const answer = sheet.answers.get(key)
  return answer && answer.text !== '' && answer.problem === null ? answer.text : undefined
}
export const figureOf = (sheet: Pick<SurveySheet, 'answers'>, key: ItemKey): number | undefined =>
  given(sheet, key) === undefined ? undefined : sheet.answers.get(key)!.value
