import type { Task } from '../model/task'
import { isFrom } from '../../regulations/editions'
import { SOURCES } from '../../regulations/source'
import { refused, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const NOT_ASKED = 0
const RECOMMENDED = 1
const REQUIRED = 2
/** Socket circuits up to this rating, A; BS 7671:2018+A2:2022 421.1.7, from memory. */
const SOCKETS_UP_TO_A = 32

/** What the edition says of arc fault detection on this circuit, and why. */
export function arcFaultRule(
  task: Pick<Task, 'edition' | 'use' | 'premises' | 'phases'>,
  ratingA: number,
): { readonly value: number; readonly why: string } {
  if (!isFrom(task.edition, '18')) return { value: NOT_ASKED, why: 'this edition does not know them' }
  if (task.use === 'distribution') return { value: NOT_ASKED, why: 'asked for on final circuits only' }
  if (!isFrom(task.edition, '18-A2')) return { value: RECOMMENDED, why: 'recommended for AC final circuits' }
  if (task.use !== 'sockets' || task.phases === 3 || ratingA > SOCKETS_UP_TO_A)
    return { value: NOT_ASKED, why: 'asked for on single-phase socket circuits up to 32 A' }
  return task.premises === 'shared-residence'
    ? { value: REQUIRED, why: 'sockets up to 32 A where many people live' }
    : { value: RECOMMENDED, why: 'recommended for sockets up to 32 A elsewhere' }
}

/** AFDD: not asked for, recommended or required. */
export const arcFaultDetection: CircuitStep = {
  key: 'afdd',
  ...STEP_KINDS.afdd,
  kind: 'chosen',
  needs: ['in'],
  derive: (task, values) => {
    const { value, why } = arcFaultRule(task, values.in!)
    return worked(value, 'AFDD by edition, premises and use', why, SOURCES.arcFault)
  },
  accept: (task, values) => refused('afddWrong', { why: arcFaultRule(task, values.in!).why }),
}
