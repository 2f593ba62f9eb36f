import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { scopeOf, stepOf } from '#core/design/model/step-keys'
import type { WorkParams } from '#core/findings/codes'
import type { Finding } from '#core/findings/finding'
import type { Grade, InspectionItem, ItemGroup } from '#core/inspection/items'
import { circuitOfKey } from '#core/testing/kinds/kinds'
import { GRADE_NAME, GROUP_NAME, ITEM_TEXT } from '../inspection'
import { STEP_TEXT } from '../steps'
import { readingText } from '../testing'
import { ADVICE_SENTENCES, ANSWER_SENTENCES, REFUSAL_SENTENCES } from './design'
import {
  FORM_SENTENCES,
  LIMIT_SENTENCES,
  PROCESS_SENTENCES,
  READING_SENTENCES,
  RELATION_SENTENCES,
} from './readings'
import type { Sentences, SentencesOf } from './sentence'
import { SLIP_SENTENCES } from './slips'

const WORK_SENTENCES: SentencesOf<WorkParams> = {
  'work.seen': (p) => {
    const remark = p.remark ? `${p.remark.replace(/\.+$/, '')}, ` : ''
    return `${ITEM_TEXT[p.what as InspectionItem['what']].name}, ${p.part}: ${remark}${GRADE_NAME[p.grade as Grade]}.`
  },
}

/** A sentence for every code; the compiler sees to it. */
const SENTENCES: Sentences = {
  ...FORM_SENTENCES,
  ...LIMIT_SENTENCES,
  ...READING_SENTENCES,
  ...RELATION_SENTENCES,
  ...PROCESS_SENTENCES,
  ...SLIP_SENTENCES,
  ...REFUSAL_SENTENCES,
  ...ANSWER_SENTENCES,
  ...ADVICE_SENTENCES,
  ...WORK_SENTENCES,
}

/** The finding as one or two plain sentences. */
export const findingSentence = ({ code, params }: Pick<Finding, 'code' | 'params'>): string =>
  (SENTENCES[code] as (params: Finding['params']) => string)(params).trim()

/** Names of circuits and boards by id. */
export type ScopeNames = Readonly<Record<string, string>>

/** What an item of a sheet is called; with its circuit or board where there are several. */
export function itemName(key: ItemKey, scopes: ScopeNames = {}): string {
  const item = key.slice(key.indexOf('.') + 1)
  if (key.startsWith('work.')) return `${GROUP_NAME[item as ItemGroup]}, as inspected`
  if (key.startsWith('reading.')) return readingName(item, scopes)
  const { name } = STEP_TEXT[stepOf(item)]
  return Object.keys(scopes).length > 1 ? `${name} (${scopes[scopeOf(item)]})` : name
}

/** A reading with its circuit and point, as in `Loop at the furthest point, Sockets, point 4`. */
function readingName(item: string, scopes: ScopeNames): string {
  const { name } = readingText(item)
  const circuit = circuitOfKey(item)
  const point = /p(\d+)$/.exec(item)?.[1]
  return [
    name,
    ...(circuit ? [scopes[circuit] ?? circuit] : []),
    ...(circuit && point ? [`point ${point}`] : []),
  ].join(', ')
}
