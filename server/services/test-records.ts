import { createHash } from 'node:crypto'
import { sourcesOf, testRecord } from '#core/testing/records/test-record'
import type { RecordFacts, RecordKind } from '#core/testing/records/record-shape'
import { namedRecord } from '#words/test-record'
import type {
  TestRecordSaveBody,
  TestRecordSignBody,
  TestRecordsView,
  SignedContent,
} from '#schemas/test-record-views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { openOf } from './access'
import { saveIfCurrent } from './save-current'
import { bayOf, bayToTest, circuitHeads, judgedSheet } from './test-sheet'
import type { Context } from './context'
import { Problem } from './problem'
import { refuseUnseen, seenOf } from './seen'
import { checkSignature } from './signatures'

/** The attempt, for the one who tested and for those who mark. */
function recordedAttempt(context: Context, actor: Person, id: number): Attempt {
  const attempt = openOf(actor, 'record.open', context.repos.attempts.byId(id))
  if (bayOf(context, attempt) === undefined || attempt.stage === 'design') throw new Problem('notFound')
  return attempt
}

export function showTestRecords(context: Context, actor: Person, id: number): TestRecordsView {
  return viewOf(context, recordedAttempt(context, actor, id))
}

function viewOf(context: Context, attempt: Attempt): TestRecordsView {
  const { repos } = context
  const facts = factsOf(context, attempt)
  const draft = (kind: RecordKind) => {
    const stored = repos.testRecords.draft(attempt.id, kind)
    const paper = namedRecord(testRecord(kind, facts, stored.fields), facts.names)
    return { ...stored, paper, seen: seenOf(contentOf(attempt, headOf(context, attempt), paper)) }
  }
  return {
    attempt: headOf(context, attempt),
    circuits: circuitHeads(context, attempt),
    sources: sourcesOf(attempt.installation),
    readings: attempt.readings,
    signed: repos.testRecords.signed(attempt.id),
    tests: bayToTest(context, attempt).schedule.map(({ key, kind, circuit, isAsked }) => ({
      key,
      kind,
      circuit,
      isAsked,
    })),
    papers: { minor: draft('minor'), installation: draft('installation') },
  }
}

/** What a signature stands under. */
const contentOf = (
  attempt: Attempt,
  head: SignedContent['attempt'],
  paper: SignedContent['paper'],
): SignedContent => ({ paper, readings: attempt.readings, times: attempt.readingTimes, attempt: head })

function headOf({ repos }: Context, attempt: Attempt): TestRecordsView['attempt'] {
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  return {
    id: attempt.id,
    name: attempt.personName,
    bay: attempt.bay,
    code: exercise.code,
    title: exercise.title,
    edition: exercise.edition,
  }
}

function factsOf(context: Context, attempt: Attempt): RecordFacts {
  const { repos, now } = context
  const { design } = bayToTest(context, attempt)
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  return {
    edition: exercise.edition,
    installation: attempt.installation,
    design,
    readings: attempt.readings,
    marks: judgedSheet(context, attempt).marks,
    names: Object.fromEntries(circuitHeads(context, attempt).map((circuit) => [circuit.id, circuit.name])),
    instrument: repos.instruments.byName(attempt.readings['set:instrument'] ?? '') ?? null,
    isTested: ['handedIn', 'decided', 'released'].includes(attempt.stage),
    apprentice: attempt.personName,
    permittedBy: repos.attempts.events(attempt.id).findLast(({ act }) => act === 'permit')?.by ?? '',
    today: now.slice(0, 10),
  }
}

/** Saves what was typed; when somebody else saved in between, refuses and hands over what they saved. */
export const saveTestRecord = (
  context: Context,
  actor: Person,
  id: number,
  { kind, version, fields }: TestRecordSaveBody,
): { readonly version: number; readonly savedAt: string } =>
  saveIfCurrent(context, {
    sent: version,
    read: () => context.repos.testRecords.draft(recordedAttempt(context, actor, id).id, kind),
    write: () => context.repos.testRecords.save(id, kind, version, fields, context.now),
    theirs: () => showTestRecords(context, actor, id),
  })

/**
 * Signs a record by name and PIN, if nothing is missing and nothing fails. What is signed is kept with a hash
 * of its content.
 */
export async function signTestRecord(
  context: Context,
  actor: Person,
  id: number,
  { kind, version, name, pin, seen }: Signing & Pick<TestRecordSignBody, 'name' | 'pin'>,
): Promise<TestRecordsView> {
  const { repos, now } = context
  refuseUnsignable(showTestRecords(context, actor, id), { kind, version, seen })
  await checkSignature(context, actor.id, name, pin)
  // While the PIN was proved it may have changed: what is signed is looked at only now.
  return repos.transaction(() => {
    const attempt = recordedAttempt(context, actor, id)
    const view = viewOf(context, attempt)
    refuseUnsignable(view, { kind, version, seen })
    const content = contentOf(attempt, view.attempt, view.papers[kind].paper)
    const text = JSON.stringify(content)
    const hash = createHash('sha256').update(text).digest('hex')
    repos.testRecords.sign({ attemptId: attempt.id, kind, content: text, hash }, actor.id, now)
    repos.audit.add(now, actor.id, 'paperSigned', `attempt ${attempt.id}, ${kind}`)
    return viewOf(context, attempt)
  })
}

/** What is signed; without a hash nothing stood on a screen. */
type Signing = Pick<TestRecordSignBody, 'kind' | 'version'> & Partial<Pick<TestRecordSignBody, 'seen'>>

/** Only what stood on the screen is signed, and only where nothing is missing and nothing fails. */
function refuseUnsignable(view: TestRecordsView, { kind, version, seen }: Signing): void {
  const { paper, version: stored } = view.papers[kind]
  if (stored !== version) throw new Problem('stale', { extra: { theirs: view } })
  refuseUnseen(seen, view.papers[kind].seen, () => view)
  const { missing, failing } = paper
  if (missing.length + failing.length > 0)
    throw new Problem('paperIncomplete', { extra: { missing, failing } })
}
