import type { FrameworkFault, FrameworkNote } from '#core/assessment/outcomes/check-framework'
import { KIND_TEXT, memberText } from './labels'

const WHAT = { unit: 'unit', criterion: 'criterion', quota: 'quota', behaviour: 'behaviour' } as const

/** What keeps a framework from being used, in a sentence. */
export function frameworkFaultSays(fault: FrameworkFault): string {
  switch (fault.code) {
    case 'twice':
      return `The ${WHAT[fault.what]} ${fault.of} is there twice. Give each its own code.`
    case 'unknownMember':
      return (
        `Quota ${fault.of} asks for “${fault.member}”, which is ` +
        'nothing that a task can show. Choose from the list.'
      )
    case 'tooMany':
      return `Quota ${fault.of} asks for ${fault.least}, and there are ${fault.most} in all. It can never be met.`
    case 'noSettings':
      return `Quota ${fault.of} names no setting that counts. Name one at least.`
    case 'needNotAllowed':
      return `Criterion ${fault.of} needs “${KIND_TEXT[fault.kind]}”, and does not allow it. Allow it, or remove it.`
  }
}

/** What should be known before a framework is relied on. */
export function frameworkNoteSays(note: FrameworkNote): string {
  switch (note.code) {
    case 'noExercise':
      return (
        `Nothing here evidences ${note.of}: no exercise names it, and it ` +
        'rests on no observation, run or question. Workplace evidence can.'
      )
    case 'noKind':
      return (
        `${note.of} asks for evidence that is “${KIND_TEXT[note.kind]}”, ` +
        'and what it rests on brings none. Workplace evidence can.'
      )
    case 'exercisesTooFew':
      return (
        `Quota ${note.of} asks for ${note.least}; the exercises of this ` +
        `centre show ${note.shown}. The rest has to come from the workplace.`
      )
    case 'memberNowhere':
      return `Quota ${note.of} makes ${memberText(note.member)} compulsory, and no exercise here shows it.`
  }
}
