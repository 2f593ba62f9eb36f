import { type Act } from '#core/exercise/attempt/stages'
import { stepOf } from '#core/design/model/step-keys'
import { askedNodes } from '#core/exercise/assignment'
import { readAnswer } from '#core/assessment/marking/answer'
import { parseReading } from '#core/testing/parse/parse-reading'
import { kindOf } from '#core/testing/kinds/kinds'
import type { WorkView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { ownAttempt } from './access'
import { assignmentFor } from './assignment'
import { askedKeys } from './test-sheet'
import type { Context } from './context'
import { keepMarks } from './kept-marks'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'
import { settled, nextStage } from './stages'
import { forApprentice } from './work'

export function handInDesign(context: Context, actor: Person, id: number, version: number) {
  const attempt = context.repos.attempts.byId(id)
  const isWired = attempt !== undefined && assignmentFor(context, attempt).tests !== null
  const what = isWired ? 'handInDesign' : 'handInAlone'
  const check = (current: Attempt) => {
    const missing = askedNodes(assignmentFor(context, current)).filter(
      (node) => !readAnswer(stepOf(node), current.answers[node] ?? '').ok,
    )
    if (missing.length > 0) throw new Problem('answersMissing', { extra: { missing } })
  }
  return act(context, actor, { id, version, what, check })
}

/** Tests of a stage must all be filled before the sheet goes on. */
const filled =
  (context: Context, isDead: boolean) =>
  (attempt: Attempt): void =>
    refuseEmpty(attempt, askedKeys(context, attempt, isDead))

export const askPermission = (context: Context, actor: Person, id: number, version: number) =>
  act(context, actor, { id, version, what: 'askPermission', check: filled(context, true) })

export const handInReadings = (context: Context, actor: Person, id: number, version: number) =>
  act(context, actor, { id, version, what: 'handIn', check: filled(context, false) })

function refuseEmpty(attempt: Attempt, keys: readonly string[]): void {
  const missing = keys.filter((key) =>
    ['empty', 'unreadable'].includes(parseReading(attempt.readings[key] ?? '', kindOf(key)).form),
  )
  if (missing.length > 0) throw new Problem('readingsMissing', { extra: { missing } })
}

interface Step {
  readonly id: number
  readonly version: number
  readonly what: Act
  readonly check: (attempt: Attempt) => void
}

function act(context: Context, actor: Person, { id, version, what, check }: Step): WorkView {
  const { repos, now } = context
  saveIfCurrent(context, {
    sent: version,
    read: () => settled(context, ownAttempt(actor, repos.attempts.byId(id))),
    check: (attempt) => void nextStage(attempt, what),
    write: (attempt) => {
      check(attempt)
      repos.attempts.setStage(id, nextStage(attempt, what))
      repos.attempts.addEvent(id, what, actor.id, now, '')
      keepMarks(context, id)
    },
    theirs: (attempt) => forApprentice(context, attempt),
  })
  return forApprentice(context, repos.attempts.byId(id)!)
}
