import { isFrom } from '../../regulations/editions'
import type { Infeed } from '../../regulations/infeed'
import { SOURCES } from '../../regulations/source'
import type { Task } from '../model/task'
import { refused, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const EITHER_KIND = 0
const BIDIRECTIONAL = 1

const WORDS: Readonly<Record<Infeed, string>> = {
  photovoltaic: 'solar PV feeds',
  battery: 'a battery feeds',
  vehicle: 'a vehicle feeds',
  generator: 'a generator feeds',
}

/** Whether power may flow both ways through the circuit's device, what the edition says of it, and why. */
export function directionRule(task: Pick<Task, 'edition' | 'feedsBack'>): {
  readonly value: number
  readonly why: string
} {
  const { feedsBack, edition } = task
  if (!feedsBack?.length) return { value: EITHER_KIND, why: 'no source behind it: power flows one way' }
  const who = feedsBack.map((infeed) => WORDS[infeed]).join(', ')
  return isFrom(edition, '18-A3')
    ? { value: BIDIRECTIONAL, why: `${who} back through it` }
    : { value: BIDIRECTIONAL, why: `${who} back through it; before Amendment 3 by the maker’s instructions` }
}

/** Which way power flows through the device: a bidirectional one where a source lies behind it. */
export const deviceDirection: CircuitStep = {
  key: 'direction',
  ...STEP_KINDS.direction,
  kind: 'chosen',
  needs: [],
  appliesTo: ({ feedsBack }) => feedsBack !== null,
  derive: (task) => {
    const { value, why } = directionRule(task)
    return worked(value, 'device by which way the power flows', why, SOURCES.direction)
  },
  accept: (task, _values, answer) =>
    // A bidirectional device may stand anywhere; it is only not asked for.
    answer === BIDIRECTIONAL
      ? { accepted: true, note: 'moreThanAsked' }
      : refused('directionWrong', { why: directionRule(task).why }),
}
