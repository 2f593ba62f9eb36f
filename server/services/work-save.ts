import { writable } from '#core/exercise/attempt/stages'
import { presentKeys } from '#core/testing/upgrade'
import type { WorkBody } from '#schemas/requests'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { ownAttempt } from './access'
import { assignmentFor } from './assignment'
import { isDeadBox, sheetKeys } from './test-sheet'
import type { Context } from './context'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'
import { settled } from './stages'
import { forApprentice } from './work'

/** Saves what was typed, if its boxes are open at this stage. Boxes of other stages must come back unchanged. */
export const saveWork = (context: Context, actor: Person, id: number, body: WorkBody) =>
  saveIfCurrent(context, {
    sent: body.version,
    read: () => settled(context, ownAttempt(actor, context.repos.attempts.byId(id))),
    write: (attempt) => {
      const { tests } = assignmentFor(context, attempt)
      // What was typed before one circuit was a schedule may arrive only now.
      keepReadings(context, attempt, body.answers, presentKeys(body.readings, attempt.installation, tests))
    },
    theirs: (attempt) => forApprentice(context, attempt),
  })

/**
 * Writes a sheet as it now stands, if nothing on it is locked at this stage, and when each reading came in.
 * The caller has checked whose it is, and holds a transaction.
 */
export function keepReadings(
  context: Context,
  attempt: Attempt,
  answers: WorkBody['answers'],
  readings: WorkBody['readings'],
): void {
  refuseLocked(context, attempt, { answers, readings })
  const times = { ...attempt.readingTimes }
  for (const [key, text] of Object.entries(readings)) {
    if (key.includes(':') || (attempt.readings[key] ?? '') === text) continue
    // A file may say when it was measured.
    times[key] = readings[`at:${key}`] || context.now
  }
  if (
    !context.repos.attempts.saveWork(attempt.id, attempt.version, { answers, readings, times }, context.now)
  )
    throw new Problem('stale')
}

function refuseLocked(
  context: Context,
  attempt: Attempt,
  body: Pick<WorkBody, 'answers' | 'readings'>,
): void {
  const open = writable(attempt.stage)
  if (open !== 'design' && changedKeys(attempt.answers, body.answers).length > 0) throw new Problem('locked')
  const changed = changedKeys(attempt.readings, body.readings)
  if (changed.length === 0) return
  const known = sheetKeys(context, attempt)
  const strange = changed.filter((key) => !known.has(key))
  if (strange.length > 0)
    throw new Problem('readingUnknown', {
      fields: strange.map((field) => ({ field, message: 'is no test of this sheet.' })),
    })
  for (const key of changed) {
    const isDeadOne = isDeadBox(key)
    // What belongs to the sheet, such as the instrument, may be changed while anything is measured.
    if (key.startsWith('set:') && (open === 'dead' || open === 'live')) continue
    if (isDeadOne && open !== 'dead') throw new Problem('locked')
    if (!isDeadOne && open !== 'live') throw new Problem('liveLocked')
  }
}

type Texts = Readonly<Record<string, string | undefined>>

/** Boxes whose text differs; a missing one is as good as an empty one. */
const changedKeys = (before: Texts, after: Texts): string[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => (before[key] ?? '') !== (after[key] ?? ''),
  )
