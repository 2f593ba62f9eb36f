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
      const readings = presentKeys(body.readings, attempt.installation, tests)
      keepReadings(
        context,
        attempt,
        { answers: body.answers, readings },
        { by: actor.id, isInstrument: false },
      )
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
  { answers, readings }: Pick<WorkBody, 'answers' | 'readings'>,
  from: ReadingSource,
): void {
  refuseLocked(context, attempt, { answers, readings })
  const times = { ...attempt.readingTimes }
  for (const key of changedKeys(attempt.readings, readings)) {
    if (key.includes(':')) continue
    times[key] = context.now
    noteChange(context, attempt, { key, readings, from })
  }
  if (
    !context.repos.attempts.saveWork(attempt.id, attempt.version, { answers, readings, times }, context.now)
  )
    throw new Problem('stale')
}

/** Who changed a reading, and whether an instrument did. */
export interface ReadingSource {
  readonly by: number | null
  readonly isInstrument: boolean
}

/** Each change with who, when by the server's clock, and from where; what a file claims stands beside it. */
function noteChange(
  { repos, now }: Context,
  attempt: Attempt,
  {
    key,
    readings,
    from: { by, isInstrument },
  }: { readonly key: string; readonly readings: WorkBody['readings']; readonly from: ReadingSource },
): void {
  const claimedAt = readings[`at:${key}`] ?? ''
  const isFromFile = claimedAt !== '' && claimedAt !== attempt.readings[`at:${key}`]
  const byHand = isFromFile ? 'file' : 'typed'
  repos.readingChanges.add(attempt.id, by, now, {
    key,
    before: attempt.readings[key] ?? '',
    after: readings[key] ?? '',
    claimedAt: isFromFile ? claimedAt : '',
    via: isInstrument ? 'instrument' : byHand,
  })
}

function refuseLocked(
  context: Context,
  attempt: Attempt,
  body: Pick<WorkBody, 'answers' | 'readings'>,
): void {
  const open = writable(attempt.stage)
  const answers = open === 'design' ? [] : changedKeys(attempt.answers, body.answers)
  const changed = changedKeys(attempt.readings, body.readings)
  if (changed.length > 0) refuseStrange(sheetKeys(context, attempt), changed)
  // What belongs to the sheet, such as the instrument, may be changed while anything is measured.
  const measured = changed.filter((key) => !(key.startsWith('set:') && (open === 'dead' || open === 'live')))
  const readings = measured.filter((key) => open !== (isDeadBox(key) ? 'dead' : 'live'))
  if (answers.length + readings.length === 0) return
  const isLiveAlone = answers.length === 0 && !readings.some(isDeadBox)
  // The device keeps these boxes back and sends the others.
  throw new Problem(isLiveAlone ? 'liveLocked' : 'locked', { extra: { locked: { answers, readings } } })
}

function refuseStrange(known: ReadonlySet<string>, changed: readonly string[]): void {
  const strange = changed.filter((key) => !known.has(key))
  if (strange.length > 0)
    throw new Problem('readingUnknown', {
      fields: strange.map((field) => ({ field, message: 'is no test of this sheet.' })),
    })
}

type Texts = Readonly<Record<string, string | undefined>>

/** Boxes whose text differs; a missing one is as good as an empty one. */
const changedKeys = (before: Texts, after: Texts): string[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => (before[key] ?? '') !== (after[key] ?? ''),
  )
