import type { ItemGroup } from '#core/inspection/items'
import type { IsolationPart } from '#core/isolation/model/rule'
import type { StepKey } from '#core/design/model/step-keys'
import type { Topic } from '#core/questions/topics'
import { KINDS } from '#core/testing/kinds/kinds'
import { TOPIC_NAME } from '../questions/labels'
import { STEP_TEXT } from '../steps'
import { readingText } from '../testing'

const ISOLATION: Readonly<Record<IsolationPart, string>> = {
  before: 'before switching',
  secure: 'switched off and secured',
  prove: 'proved dead',
  restore: 'given back',
}
const WORK: Readonly<Record<ItemGroup, string>> = {
  enclosure: 'enclosure',
  supply: 'supply and bonding',
  devices: 'devices',
  bars: 'bars',
  labels: 'labels and charts',
  accessories: 'accessories',
  conductors: 'conductors',
}
const RUN: Readonly<Record<string, string>> = { setOut: 'set out', level: 'level and plumb' }

const WORDS: Readonly<Record<string, (rest: string) => string>> = {
  design: (step) => `Design: ${STEP_TEXT[step as StepKey]?.name ?? step}`,
  reading: (shows) => {
    const kind = KINDS.find(({ key }) => key === shows) ?? KINDS.find((one) => one.shows === shows)
    return `Reading: ${kind ? readingText(kind.key).name : shows}`
  },
  process: () => 'Asking before energising',
  isolation: (part) => `Isolation observed: ${ISOLATION[part as IsolationPart]}`,
  work: (group) => `Inspection: ${WORK[group as ItemGroup]}`,
  run: (part) => `Containment measured: ${RUN[part]}`,
  question: (topic) => `Questions: ${TOPIC_NAME[topic as Topic]}`,
}

/** What a criterion may rest on, in words. */
export function evidenceKeySays(key: string): string {
  const [kind = '', rest = ''] = key.split('.')
  return WORDS[kind]?.(rest) ?? key
}
