import { learntStages } from '#core/planning/learn'
import { drifts, type Sums } from '#core/statistics/drift'
import type { Topic } from '#core/questions/topics'
import type { LessonBody } from '#schemas/planning-requests'
import type { GroupPicture, LessonView, TalkView } from '#schemas/picture-views'
import { isSlip, kindText } from '#words/picture/kinds'
import { unitGapSays } from '#words/evidence/gap'
import type { Person } from '../repos/people'
import type { SumsRow } from '../repos/picture'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { dayAfter } from './planning'
import { Problem } from './problem'
import { groupRecord, personRecord } from './records'

/** What a group does over weeks, from what was decided since a day. */
export function groupPicture(context: Context, actor: Person, cohort: string, since: string): GroupPicture {
  allow(actor, 'group.see')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos, now } = context
  const sums = repos.picture.sums(cohort, since)
  const byExercise = new Map<number, ReturnType<typeof repos.picture.times>>()
  for (const one of repos.picture.times(cohort, since))
    byExercise.set(one.exercise, [...(byExercise.get(one.exercise) ?? []), one])
  const record = groupRecord(context, actor, cohort)
  return {
    cohort,
    since,
    people: record.people.map(({ id, name }) => ({ id, name })),
    exercises: repos.exercises.heads(),
    sheets: repos.picture.sheets(cohort, since),
    lessons: lessonsOf(context, cohort, since),
    outcomes: outcomesOf(context, record),
    bays: drifts(grouped(sums, ({ bay }) => `Bay ${bay}`)),
    instruments: drifts(
      grouped(
        sums.filter(({ instrument }) => instrument !== ''),
        ({ instrument }) => instrument,
      ),
    ),
    times: [...byExercise].map(([exercise, times]) => ({ exercise, stages: learntStages(times) })),
    isolation: repos.picture.rules(cohort, since).map(({ rule, broken, n }) => ({ rule, broken, of: n })),
    questions: repos.picture
      .topics(cohort, since)
      .map(({ topic, asked, unaided }) => ({ topic: topic as Topic, asked, unaided })),
    brokenIn: repos.picture.brokenIn(cohort, since),
    helpedWith: repos.picture.helpedWith(cohort, since),
    progress: record.people.map(({ id, units }) => ({
      person: id,
      units: units.map(({ code, steps, closesAt }) => ({ code, steps, closesAt })),
    })),
    termEnds: termEnd(context, now.slice(0, 10)),
  }
}

/** Sums of readings put together by bay or by instrument, kind by kind. */
function grouped(rows: readonly SumsRow[], of: (row: SumsRow) => string): Map<string, Map<string, Sums>> {
  const groups = new Map<string, Map<string, Sums>>()
  for (const row of rows) {
    const kinds = groups.get(of(row)) ?? new Map<string, Sums>()
    const known = kinds.get(row.kind) ?? { n: 0, sum: 0, squares: 0 }
    kinds.set(row.kind, {
      n: known.n + row.n,
      sum: known.sum + row.sum,
      squares: known.squares + row.squares,
    })
    groups.set(of(row), kinds)
  }
  return groups
}

function outcomesOf(context: Context, record: ReturnType<typeof groupRecord>): GroupPicture['outcomes'] {
  return frameworkInForce(context).units.map(({ code, title, criteria }) => {
    const own = new Set(criteria.map((criterion) => criterion.code))
    return {
      code,
      title,
      by: record.people.map(({ id, coverage }) => {
        const rows = coverage.filter(({ criterion }) => own.has(criterion.code))
        return { person: id, met: rows.filter(({ isComplete }) => isComplete).length, of: rows.length }
      }),
    }
  })
}

/** The last day of the term that goes on. */
function termEnd({ repos }: Context, today: string): string | null {
  return repos.planning.entries(today, today).find(({ kind }) => kind === 'term')?.toDay ?? null
}

function lessonsOf({ repos }: Context, cohort: string, since: string): LessonView[] {
  const codes = new Map(repos.exercises.heads().map(({ id, code }) => [id, code]))
  return repos.picture
    .lessons(cohort, since)
    .map(({ exerciseId, ...lesson }) => ({
      ...lesson,
      starter:
        exerciseId === null
          ? null
          : {
              id: exerciseId,
              code: codes.get(exerciseId) ?? '',
              ...repos.picture.starter(lesson.id, cohort),
            },
    }))
}

/** A lesson was given: from its day on the picture says whether anything changed. */
export function addLesson(
  context: Context,
  actor: Person,
  lesson: LessonBody,
  exerciseId: number | null = null,
): void {
  allow(actor, 'lesson.keep')
  if (!seesGroup(actor, lesson.cohort)) throw new Problem('notFound')
  const { repos, now } = context
  repos.picture.addLesson(lesson, actor.id, now, exerciseId)
  repos.audit.add(now, actor.id, 'lessonKept', `${lesson.cohort} ${lesson.day}`)
}

/** How far back a talk looks, days, and how many things it holds. */
const TALK_DAYS = 120
const MOST = 3
/** What happens in more than one sheet recurs. */
const RECURS = 2

/** One apprentice: what is strong, what recurs, the next steps; in plain words, to be talked over. */
export function talkOf(context: Context, actor: Person, personId: number): TalkView {
  allow(actor, 'group.see')
  const { repos, now } = context
  const person = found(repos.people.byId(personId))
  if (person.role !== 'apprentice' || !seesGroup(actor, person.cohort)) throw new Problem('notFound')
  const since = dayAfter(now.slice(0, 10), -TALK_DAYS)
  const own = repos.picture.sheets(person.cohort, since).filter((sheet) => sheet.person === personId)
  const counts = new Map<string, number[]>()
  for (const { kinds, attempt } of own)
    for (const kind of new Set(kinds)) counts.set(kind, [...(counts.get(kind) ?? []), attempt])
  const recurring = [...counts]
    .filter(([, attempts]) => attempts.length >= RECURS)
    .sort(([, a], [, b]) => b.length - a.length)
    .slice(0, MOST)
    .map(([kind, attempts]) => ({ kind, sheets: attempts.length, of: own.length, attempts }))
  const record = personRecord(context, actor, personId)
  const { id, name, number, cohort } = person
  return {
    person: { id, name, number, cohort },
    since,
    strengths: strengthsOf(record),
    recurring,
    steps: nextSteps(
      record,
      recurring.map(({ kind }) => kind),
    ),
    sheets: repos.picture
      .ofPerson(personId, since)
      .map(({ met, ...sheet }) => ({ ...sheet, met: met === 1 })),
  }
}

/** Criteria that are closed with the most occasions. */
function strengthsOf({ units }: ReturnType<typeof personRecord>): string[] {
  return units
    .flatMap(({ coverage }) => coverage)
    .map(({ criterion, occasions }) => ({
      text: criterion.text,
      met: occasions.filter(({ met }) => met).length,
    }))
    .filter(({ met }) => met >= 2)
    .sort((a, b) => b.met - a.met)
    .slice(0, MOST)
    .map(({ text, met }) => `${text} (shown ${met} times)`)
}

function nextSteps(
  { units, behaviours }: ReturnType<typeof personRecord>,
  kinds: readonly string[],
): string[] {
  const slips = kinds
    .filter(isSlip)
    .map((kind) => `Practise until it no longer happens: ${kindText(kind).toLowerCase()}.`)
  const gaps = units.flatMap(({ gap }) => (gap.steps > 0 ? unitGapSays(gap, behaviours) : []))
  return [...slips.slice(0, 1), ...gaps].slice(0, MOST)
}
