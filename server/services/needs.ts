import { DESK_KINDS, type DeskKind } from '#core/floor/needs'
import type { DeskNeed, NeedsView, NeedView, OwnNeedsView } from '#schemas/floor'
import type { FloorRow } from '../repos/attempt-lists'
import type { Person } from '../repos/people'
import { allow, may, seesGroup } from './access'
import { listAccounts } from './accounts'
import { listAppeals } from './appeals'
import type { Context } from './context'
import { listSurveys } from './surveys'
import { showVerification } from './verification'

type Repos = Context['repos']

/** Everything that needs this assessor: at the bays, and at the desk. */
export function showNeeds(context: Context, actor: Person): NeedsView {
  allow(actor, 'cohorts.see')
  const { repos, now } = context
  if (!may(actor, 'floor.see')) return { now, walk: [], desk: deskNeeds(context, actor, 0), behaviours: [] }
  const rows = repos.attempts.onFloor().filter(({ cohort }) => seesGroup(actor, cohort))
  const walk = [
    ...stageNeeds(rows),
    ...callNeeds(context, actor),
    ...registerNeeds(context, actor, rows),
    ...questionNeeds(context, rows),
  ]
  const toMark = rows.filter(({ stage }) => stage === 'handedIn').length
  const behaviours = repos.centre.framework()?.behaviours ?? []
  return { now, walk, desk: deskNeeds(context, actor, toMark), behaviours }
}

const about = ({ stage, lastAct }: FloorRow) =>
  lastAct && stage === 'live' ? `permitted by ${lastAct.by}` : ''
const stageNeeds = (rows: readonly FloorRow[]): NeedView[] =>
  rows.flatMap((row) =>
    row.stage === 'live' || row.stage === 'permission'
      ? [needOf(row.stage === 'live' ? 'live' : 'energise', row, row.lastAct?.at ?? '', about(row))]
      : [],
  )

const needOf = (kind: NeedView['kind'], row: FloorRow, at: string, text: string): NeedView => ({
  kind,
  id: row.id,
  personId: row.personId,
  name: row.personName,
  bay: row.bay,
  attemptId: row.id,
  at,
  about: text,
})

const callNeeds = ({ repos }: Context, actor: Person): NeedView[] =>
  repos.calls
    .open()
    .filter(({ cohort }) => seesGroup(actor, cohort))
    .map(({ id, kind, personId, name, bay, attemptId, at }) => ({
      kind,
      id,
      personId,
      name,
      bay,
      attemptId,
      at,
      about: '',
    }))

/** Permits that ran out and were not handed back, and repeats whose day has come. */
function registerNeeds({ repos, now }: Context, actor: Person, rows: readonly FloorRow[]): NeedView[] {
  const permits = repos.locks
    .permits()
    .filter(({ returnedAt, untilAt }) => returnedAt === null && untilAt <= now)
    .map(({ id, holderId, holder, bay, untilAt, scope }): NeedView => ({
      kind: 'permit',
      id,
      personId: holderId,
      name: holder,
      bay,
      attemptId: null,
      at: untilAt,
      about: scope,
    }))
  const here = new Set(rows.map(({ personId }) => personId))
  const repeats = repos.observations
    .openRepeats()
    .filter(({ personId, plannedFor }) => plannedFor <= now.slice(0, 10) && here.has(personId))
    .map(({ id, personId, name, bay, plannedFor, reason }): NeedView => ({
      kind: 'repeat',
      id,
      personId,
      name,
      bay,
      attemptId: null,
      at: `${plannedFor}T00:00:00.000Z`,
      about: reason,
    }))
  return actor.groups == null
    ? [...permits, ...repeats]
    : [...permits.filter(({ personId }) => here.has(personId)), ...repeats]
}

/** At work at a bay with tests in hand, and nobody has asked anything about it. */
function questionNeeds({ repos }: Context, rows: readonly FloorRow[]): NeedView[] {
  const testing = rows.filter(({ stage }) => stage === 'dead' || stage === 'permission')
  const asked = repos.questions.counts(testing.map(({ id }) => id))
  return testing
    .filter(({ id }) => !asked.get(id))
    .map((row) => needOf('question', row, row.lastAct?.at ?? row.savedAt ?? '', ''))
}

interface KeptCount {
  readonly from: string
  readonly count: number
}
/** Counts of piles by person and pile, kept with what they were counted from. */
const COUNTS = new WeakMap<Repos['attempts'], Map<string, KeptCount>>()
function counted({ repos }: Context, key: string, from: string, count: () => number): number {
  const kept = COUNTS.get(repos.attempts) ?? new Map<string, KeptCount>()
  COUNTS.set(repos.attempts, kept)
  const known = kept.get(key)
  if (known?.from === from) return known.count
  const fresh = { from, count: count() }
  kept.set(key, fresh)
  return fresh.count
}

function deskNeeds(context: Context, actor: Person, toMark: number): DeskNeed[] {
  const { repos, now } = context
  const marks = repos.evidenceMarks.desk()
  const groups = (actor.groups ?? ['*']).join('|')
  const counts: Readonly<Record<DeskKind, () => number>> = {
    marking: () => toMark,
    claims: () =>
      counted(context, `claims ${actor.id}`, `${marks.accounts} ${groups}`, () =>
        may(actor, 'attempt.mark')
          ? listAccounts(context, actor).filter(({ waiting }) => waiting > 0).length
          : 0,
      ),
    surveys: () =>
      counted(context, `surveys ${actor.id}`, `${marks.surveys} ${groups}`, () =>
        may(actor, 'attempt.mark')
          ? listSurveys(context, actor).filter(
              ({ isOwn, handedInAt, met }) => !isOwn && handedInAt && met === null,
            ).length
          : 0,
      ),
    secondMarking: () =>
      counted(context, `second ${actor.id}`, `${marks.decisions} ${groups} ${now.slice(0, 10)}`, () =>
        may(actor, 'verification.judge')
          ? showVerification(context, actor).sample.filter(({ isOwn, isDone }) => !isOwn && !isDone).length
          : 0,
      ),
    appeals: () =>
      may(actor, 'appeal.answer')
        ? listAppeals(context, actor).filter(({ mayAnswer }) => mayAnswer).length
        : 0,
  }
  return DESK_KINDS.map((kind) => ({ kind, count: counts[kind]() })).filter(({ count }) => count > 0)
}

/** What waits for an apprentice: tasks that came back to them, claims that were refused. */
export function ownNeeds(context: Context, actor: Person): OwnNeedsView {
  allow(actor, 'work.own')
  const tasks = context.repos.attempts.cameBack(actor.id)
  const claims = listAccounts(context, actor).reduce((sum, { refused }) => sum + refused, 0)
  return { tasks, claims }
}
