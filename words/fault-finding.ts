import { indexParts } from '#core/bay/model/terminals'
import type { Rig } from '#core/bay/model/rig'
import type { Symptom } from '#core/testing/fault-finding/symptom'
import type { Action } from '#core/bay/behaviour/happenings'
import { formatDuration } from '#core/units/format'
import { happeningSentence } from './happenings'
import type { FaultFindingMark, FaultFindingRule } from '#core/testing/fault-finding/judge'

export const FAULT_FINDING_TEXT: Readonly<
  Record<
    FaultFindingRule,
    { readonly name: string; readonly kept: string; readonly part: string; readonly broken: string }
  >
> = {
  isolation: {
    name: 'Isolated before touching',
    kept: 'Every dead test and the repair were made isolated.',
    part: 'Nothing was measured dead or repaired.',
    broken:
      'A dead test or the repair was begun on a circuit that was not isolated. In life that is where people are hurt: isolate, lock, prove dead, then touch.',
  },
  leastDanger: {
    name: 'Least dangerous first',
    kept: 'Looked first, then measured dead.',
    part: 'Look before you measure, and measure dead before live.',
    broken:
      'The first measurement was a live one, without having looked. Looking and dead tests find most faults without danger.',
  },
  split: {
    name: 'Halved',
    kept: 'No walk from end to end.',
    part: 'Nothing was measured.',
    broken:
      'The points were measured one after the other. Measure in the middle: half of the circuit is out of the question at once.',
  },
  reasoned: {
    name: 'Reasoned',
    kept: 'What the readings mean was written down before the conclusion.',
    part: '',
    broken:
      'No reasoning before the conclusion. Write what each reading rules out; it saves the next measurement.',
  },
  answer: {
    name: 'Answer',
    kept: 'That is it, or no test of this bay tells the two apart.',
    part: 'The right kind of fault at another place.',
    broken: 'That is not it.',
  },
  proof: {
    name: 'Proved after the repair',
    kept: 'The reading that was out of tolerance was taken again, and is in tolerance.',
    part: 'Something was measured afterwards, but not what was out of tolerance.',
    broken:
      'Nothing that was out of tolerance was measured again. A repair is a claim until it has been measured.',
  },
  restore: {
    name: 'Energised after the proof',
    kept: 'Restored after the dead test.',
    part: 'Not restored: say that it stays isolated.',
    broken: 'Energised before anything had been measured again.',
  },
}

export const faultFindingSentence = ({ rule, state }: Pick<FaultFindingMark, 'rule' | 'state'>): string =>
  FAULT_FINDING_TEXT[rule][state]

/** When it happens: what somebody had just done. */
function whenWords(after: Action | null, waitedS: number, name: (part: string) => string): string {
  const later = waitedS > 1 ? `, ${formatDuration(waitedS)} later` : ''
  switch (after?.kind) {
    case 'close':
      return ` when ${name(after.part)} is switched on${later}`
    case 'throw':
      return ` when ${name(after.part)} is turned on${later}`
    case 'use':
      return ` when a heater is plugged in at ${name(after.part)}${later}`
    default:
      return later
  }
}

/** What people report: what they saw and when, without currents. */
export function reportSentences(rig: Rig, symptoms: readonly Symptom[]): string[] {
  const parts = indexParts(rig)
  const name = (id: string) => parts.get(id)?.name ?? id
  return symptoms.map((symptom) => {
    if (symptom.is === 'dark') return `Does not work: ${symptom.parts.map(name).join(', ')}.`
    const { happening, after, waitedS } = symptom
    return happening.kind === 'overvoltage'
      ? `${name(happening.part)} is far too bright or hot${whenWords(after, waitedS, name)}.`
      : `${name(happening.part)} opens${whenWords(after, waitedS, name)}.`
  })
}

/** What was noticed, by the names of the bay, with its figures. */
export function symptomSentences(rig: Rig, symptoms: readonly Symptom[]): string[] {
  const parts = indexParts(rig)
  return symptoms.map((symptom) =>
    symptom.is === 'happening'
      ? happeningSentence(symptom.happening, parts)
      : `Does not work: ${symptom.parts.map((id) => parts.get(id)?.name ?? id).join(', ')}.`,
  )
}
