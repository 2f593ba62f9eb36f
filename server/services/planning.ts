import { materialsOf } from '#core/design/materials/materials'
import { assignmentOf, builtCircuits, designOf } from '#core/exercise/assignment'
import type { CableNeed } from '#core/planning/facts'
import { learntStages, plannedMinutes } from '#core/planning/learn'
import type { Pair } from '#core/planning/pairs'
import { minuteOf, readSession, taskText, type SessionFields } from '#core/planning/read-session'
import { againstPlan, freeBays, type Doing } from '#core/planning/progress'
import type { PlanTask } from '#core/planning/session'
import type { Stage } from '#core/exercise/attempt/stages'
import type { SessionBody, SessionStartBody } from '#schemas/planning-requests'
import type { PlannedExercise, SessionItem, SessionNow, SessionView } from '#schemas/planning-views'
import type { Person } from '../repos/people'
import type { StoredSession } from '../repos/planning'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'
import { stockByCable } from './stores'

const DAY_MS = 86_400_000
export const dayAfter = (day: string, n: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + n * DAY_MS).toISOString().slice(0, 10)
/** How far back and ahead sessions are listed, days. */
const [BACK, AHEAD] = [35, 200]

/** Sessions of the last weeks and those to come; of the actor's groups. */
export function listSessions({ repos, now }: Context, actor: Person): SessionItem[] {
  allow(actor, 'session.see')
  const today = now.slice(0, 10)
  return [
    ...repos.planning.undated(),
    ...repos.planning.between(dayAfter(today, -BACK), dayAfter(today, AHEAD)),
  ]
    .filter(({ cohort }) => seesGroup(actor, cohort))
    .map(itemOf)
}
function itemOf({ id, fields }: StoredSession): SessionItem {
  const { title, day, from, cohort, tasks, placements } = readSession(fields)
  return { id, title, day, from, cohort, tasks: tasks.length, planned: placements.length }
}

const taskId = (n: number): string => `t${String(n).padStart(3, '0')}`
/** Attempts of a group that are not handed in yet, and repeats of isolation that are booked. */
function openTasks({ repos }: Pick<Context, 'repos'>, cohort: string): SessionView['open'] {
  const booked = new Map(repos.observations.openRepeats().map((repeat) => [repeat.personId, repeat]))
  return repos.attempts.openOf(cohort).map(({ personId, exerciseId, act, at, note }) => {
    const repeat = booked.get(personId)
    const because = repeat && ({ is: 'booked', at: repeat.plannedFor, note: repeat.reason } as const)
    return {
      person: personId,
      exercise: exerciseId,
      repeat: act === null ? (because ?? null) : { is: act, at: at!, note: note! },
    }
  })
}

/**
 * A session to begin with: the whole group, each with what is in hand, all bays, whoever may permit, all
 * instruments.
 */
export function startSession(
  context: Context,
  actor: Person,
  { cohort, tasks: wanted }: SessionStartBody,
): { readonly id: number } {
  allow(actor, 'session.plan')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos, now } = context
  const people = repos.people.inCohort(cohort)
  if (people.length === 0) throw new Problem('sessionNoGroup')
  const times = repos.planning.times()
  const minutesOf = new Map(
    repos.exercises
      .all()
      .map(({ id, exercise }) => [id, plannedMinutes(exercise.minutes, learntStages(times.get(id) ?? []))]),
  )
  const open =
    wanted.length > 0 ? wanted.map((one) => ({ ...one, repeat: null })) : openTasks(context, cohort)
  const tasks = open
    .filter(({ person, exercise }) => minutesOf.has(exercise) && people.some(({ id }) => id === person))
    .map(({ person, exercise, repeat }, i): PlanTask => ({
      id: taskId(i + 1),
      people: [person],
      exercise,
      minutes: minutesOf.get(exercise)!,
      isRepeat: repeat !== null,
      isLocked: false,
    }))
  const fields: SessionFields = {
    title: `Workshop, ${cohort}`,
    day: '',
    from: '09:00',
    minutes: '360',
    step: '15',
    cohort,
    bays: knownBays(context).join(' '),
    desks: '24',
    pairing: 'alone',
    instruments: testInstruments(context).join(' '),
    [`assessor.${actor.id}`]: '0-360',
    ...Object.fromEntries(tasks.map((task) => [`task.${task.id}`, taskText(task)])),
  }
  return { id: repos.planning.insert(cohort, fields, actor.id, now) }
}

/** One that tests dead and live alone; where the centre has none, all of them. */
function testInstruments({ repos }: Pick<Context, 'repos'>): number[] {
  const all = repos.instruments.all()
  const whole = all.filter(({ kind }) => kind === 'multifunction')
  return (whole.length > 0 ? whole : all).map(({ id }) => id)
}

/** Bays that somebody has worked at or that have been checked; the first sixteen where there is none. */
function knownBays({ repos }: Pick<Context, 'repos'>): number[] {
  const bays = new Set([...repos.attempts.bays(), ...repos.planning.checks().map(({ bay }) => bay)])
  return bays.size > 0 ? [...bays].sort((a, b) => a - b) : Array.from({ length: 16 }, (_, i) => i + 1)
}

const openOne = ({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): StoredSession => {
  allow(actor, 'session.see')
  const session = found(repos.planning.byId(id))
  if (!seesGroup(actor, session.cohort)) throw new Problem('notFound')
  return session
}

export const showSession = (context: Context, actor: Person, id: number): SessionView =>
  viewOf(context, openOne(context, actor, id))

function viewOf(context: Context, stored: StoredSession): SessionView {
  const { id, fields, version, savedAt, cohort, day } = stored
  const { repos, now } = context
  const on = day || now.slice(0, 10)
  const last = repos.planning.lastOf(cohort, on)
  return {
    id,
    fields,
    version,
    savedAt,
    people: repos.people.inCohort(cohort).map(({ id: person, name }) => ({ id: person, name })),
    staff: repos.people
      .all()
      .filter(({ role, isDisabled }) => ['instructor', 'assessor'].includes(role) && !isDisabled)
      .map(({ id: person, name }) => ({ id: person, name })),
    exercises: plannedExercises(context),
    instruments: repos.instruments.all().map(({ id: of, name, dueOn }) => ({ id: of, name, dueOn })),
    bays: repos.planning.checks().map(({ bay, kind, dueOn }) => ({ bay, kind, dueOn })),
    knownBays: knownBays(context),
    away: repos.planning.entries(dayAfter(on, -400), dayAfter(on, 400)),
    needs: cableNeeds(context, stored),
    stock: Object.fromEntries(
      [...stockByCable(context)].map(([cable, drums]) => [
        cable,
        drums.reduce((sum, { leftM }) => sum + leftM, 0),
      ]),
    ),
    open: openTasks(context, cohort),
    lastPairs: last ? lastPairs(last) : [],
  }
}

/** What the tasks of a session take from the drums: of whoever has the exercise, by their own lengths. */
function cableNeeds({ repos }: Context, { cohort, fields }: StoredSession): CableNeed[] {
  const { tasks } = readSession(fields)
  return [...new Set(tasks.map(({ exercise }) => exercise))].flatMap((id) => {
    const stored = repos.exercises.byId(id)
    if (!stored) return []
    const people = new Set(tasks.filter(({ exercise }) => exercise === id).map((task) => task.people[0]!))
    const built = builtCircuits(stored.exercise)
    return repos.attempts
      .ofGroup(id, cohort)
      .filter(({ personId }) => people.has(personId))
      .flatMap(({ personId, installation }) =>
        materialsOf(designOf(assignmentOf(stored.exercise, installation)), built).cables.map((cable) => ({
          person: personId,
          exercise: id,
          cable: `${cable.kind} ${cable.phases} ${cable.lineMm2}`,
          metres: cable.lengthM,
        })),
      )
  })
}

function plannedExercises({ repos }: Pick<Context, 'repos'>): PlannedExercise[] {
  const times = repos.planning.times()
  return repos.exercises
    .all()
    .map(({ id, exercise }) => ({
      id,
      code: exercise.code,
      title: exercise.title,
      minutes: exercise.minutes,
      learnt: learntStages(times.get(id) ?? []),
    }))
}

const lastPairs = ({ fields }: StoredSession): Pair[] =>
  readSession(fields)
    .tasks.map(({ people }) => people)
    .filter((people) => people.length === 2)

export function saveSession(context: Context, actor: Person, id: number, { version, fields }: SessionBody) {
  const { repos, now } = context
  allow(actor, 'session.plan')
  return saveIfCurrent(context, {
    sent: version,
    read: () => openOne(context, actor, id),
    check: () => {
      if (fields.cohort && !seesGroup(actor, fields.cohort)) throw new Problem('notFound')
    },
    write: () => repos.planning.save(id, version, fields, now),
    theirs: (stored) => viewOf(context, stored),
  })
}

export function removeSession(context: Context, actor: Person, id: number): void {
  allow(actor, 'session.plan')
  const { repos, now } = context
  repos.transaction(() => {
    const { fields } = openOne(context, actor, id)
    if (repos.planning.isIssued(id)) throw new Problem('sessionIssued')
    repos.planning.remove(id)
    repos.audit.add(now, actor.id, 'sessionRemoved', `${fields.title ?? ''} ${fields.day ?? ''}`)
  })
}

const DOING: Readonly<Record<Stage, Doing>> = {
  design: 'design',
  dead: 'dead',
  permission: 'permission',
  live: 'live',
  handedIn: 'done',
  decided: 'done',
  released: 'done',
}

/**
 * Sessions that go on at this moment, by the clock of the centre: plan against what is going on. `time` is HH:MM
 * there.
 */
export function sessionsNow(
  context: Context,
  actor: Person,
  { day, time }: { readonly day: string; readonly time: string },
): SessionNow[] {
  allow(actor, 'floor.see')
  const { repos } = context
  return repos.planning
    .between(day, day)
    .filter(({ cohort }) => seesGroup(actor, cohort))
    .map(({ id, fields, cohort }): SessionNow => {
      const { title, from, frame, tasks, placements } = readSession(fields)
      const minute = minuteOf(from, time)
      const stages = new Map(
        repos.attempts
          .stagesOf(cohort)
          .map(({ personId, exerciseId, stage }) => [`${personId} ${exerciseId}`, stage]),
      )
      const names = new Map(repos.people.inCohort(cohort).map((person) => [person.id, person.name]))
      const heads = new Map(repos.exercises.heads().map((head) => [head.id, head.code]))
      const doing = ({ people, exercise }: PlanTask): Doing => {
        const stage = stages.get(`${people[0]} ${exercise}`)
        return stage ? DOING[stage] : 'none'
      }
      const rows = againstPlan(tasks, placements, frame.step, { minute, doing })
      return {
        id,
        title,
        from,
        minute,
        minutes: frame.minutes,
        rows: rows.map((row) => ({
          ...row,
          names: row.people.map((person) => names.get(person) ?? '').join(' and '),
          code: heads.get(row.exercise) ?? '',
        })),
        free: freeBays(frame.bays, rows, Math.max(0, minute), frame.minutes),
      }
    })
}
