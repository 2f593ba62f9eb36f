import { readCalendar } from '#schemas/calendar/read'
import { writeCalendar, type CalendarItem } from '#schemas/calendar/write'
import type { BayCheckBody, CalendarEntriesBody } from '#schemas/planning-requests'
import type { DatedItem, DateKind, ReadDay } from '#schemas/planning-views'
import { readSession, timeOfDay } from '#core/planning/read-session'
import { endOf, lengthsOf } from '#core/planning/session'
import { dayText } from '#words/day'
import { DATE_TEXT } from '#words/planning/dates'
import type { Person } from '../repos/people'
import { allow, found, may, seesGroup } from './access'
import type { Context } from './context'
import { dayAfter } from './planning'
import { Problem } from './problem'

/** How far back and ahead the page of dates looks, days. */
const BACK = 60
const AHEAD = 400
/** An appeal wants an answer within so many days; common practice, no source. */
const APPEAL_DAYS = 20

/**
 * Everything that falls on a day: checks of bays, calibrations, permits, appeals, repeats, sessions, terms,
 * absences.
 */
export function listDates(context: Context, actor: Person): DatedItem[] {
  allow(actor, 'dates.see')
  const today = context.now.slice(0, 10)
  const items = [
    ...ofThings(context, today),
    ...(may(actor, 'attempt.mark') ? ofPeople(context, actor, today) : []),
    ...ofCalendar(context, actor, today),
  ]
  return items.sort((a, b) => a.day.localeCompare(b.day) || a.key.localeCompare(b.key))
}

interface Made {
  readonly kind: DateKind
  readonly id: string | number
  readonly day: string
  readonly what: string
  readonly to?: string
}
const item = (today: string, { kind, id, day, what, to }: Made, isDue = true): DatedItem => ({
  key: `${kind}-${id}`,
  kind,
  day,
  what,
  isOverdue: isDue && day < today,
  to: to ?? null,
  entryId: null,
})

/** A voltage indicator is proved, anything else calibrated. */
const isIndicator = (kind: string): boolean => /indicator|proving/i.test(kind)

function ofThings({ repos }: Context, today: string): DatedItem[] {
  return [
    ...repos.planning
      .checks()
      .map(({ bay, kind, dueOn, doneOn }) =>
        item(today, {
          kind: kind === 'rcd' ? 'bayRcd' : 'bayInspection',
          id: bay,
          day: dueOn,
          what: `Bay ${bay}, last on ${dayText(doneOn)}`,
        }),
      ),
    ...repos.instruments
      .all()
      .map(({ id, name, serial, kind, dueOn }) =>
        item(today, {
          kind: isIndicator(kind) ? 'provingUnit' : 'calibration',
          id,
          day: dueOn,
          what: `${name} (${serial})`,
          to: '/stores',
        }),
      ),
    ...repos.locks
      .permits()
      .filter(({ returnedAt }) => returnedAt === null)
      .map(({ id, bay, holder, untilAt }) =>
        item(today, {
          kind: 'permit',
          id,
          day: untilAt.slice(0, 10),
          what: `Permit of ${holder} for bay ${bay}, until ${untilAt.slice(11, 16)} UTC`,
          to: '/isolation',
        }),
      ),
  ]
}

function ofPeople({ repos }: Context, actor: Person, today: string): DatedItem[] {
  return [
    ...repos.observations
      .openRepeats()
      .filter(({ personId }) => seesGroup(actor, repos.people.byId(personId)?.cohort ?? ''))
      .map(({ id, name, reason, plannedFor }) =>
        item(today, {
          kind: 'repeat',
          id,
          day: plannedFor.slice(0, 10),
          what: `${name}: ${reason}`,
          to: '/isolation',
        }),
      ),
    ...repos.appeals
      .all()
      .filter(({ outcome, cohort }) => outcome === null && seesGroup(actor, cohort))
      .map(({ id, person, exerciseTitle, at }) =>
        item(today, {
          kind: 'appeal',
          id,
          day: dayAfter(at.slice(0, 10), APPEAL_DAYS),
          what: `${person}: ${exerciseTitle}`,
          to: '/verification',
        }),
      ),
  ]
}

function ofCalendar({ repos }: Context, actor: Person, today: string): DatedItem[] {
  const [from, to] = [dayAfter(today, -BACK), dayAfter(today, AHEAD)]
  const sessions = repos.planning.between(from, to).filter(({ cohort }) => seesGroup(actor, cohort))
  return [
    ...sessions.map(({ id, day, fields }) =>
      item(
        today,
        { kind: 'session', id, day, what: `${fields.title ?? ''}, ${fields.from ?? ''}`, to: `/plan/${id}` },
        false,
      ),
    ),
    ...repos.planning
      .entries(from, to)
      .map(({ id, kind, title, fromDay, toDay }): DatedItem => ({
        ...item(
          today,
          { kind, id, day: fromDay, what: toDay === fromDay ? title : `${title}, until ${dayText(toDay)}` },
          false,
        ),
        entryId: id,
      })),
  ]
}

/** A bay was inspected or its RCD tested. */
export function checkBay(context: Context, actor: Person, body: BayCheckBody): DatedItem[] {
  allow(actor, 'dates.keep')
  const { repos, now } = context
  if (body.dueOn <= body.doneOn)
    throw new Problem('datesWrong', { fields: [{ field: 'next', message: 'lies before the test itself.' }] })
  repos.transaction(() => {
    repos.planning.addCheck({ ...body, byId: actor.id, at: now })
    repos.audit.add(now, actor.id, 'bayChecked', `bay ${body.bay} ${body.kind}`)
  })
  return listDates(context, actor)
}

/** The days of a calendar file, to be looked at before anything is kept. `zone` is the centre's. */
export function readDays({ now }: Context, actor: Person, ics: string, zone: string): readonly ReadDay[] {
  allow(actor, 'dates.keep')
  const today = now.slice(0, 10)
  const read = readCalendar(ics, { from: dayAfter(today, -370), to: dayAfter(today, 800), zone })
  if (!read.ok) throw new Problem(read.problem === 'tooMuch' ? 'calendarTooMuch' : 'calendarNotRead')
  return read.days
}

export function keepDays(context: Context, actor: Person, { entries }: CalendarEntriesBody): DatedItem[] {
  allow(actor, 'dates.keep')
  const { repos, now } = context
  if (entries.some(({ fromDay, toDay }) => toDay < fromDay)) throw new Problem('datesWrong')
  repos.transaction(() => {
    for (const entry of entries) {
      if (entry.personId !== null) found(repos.people.byId(entry.personId))
      repos.planning.addEntry({ ...entry, byId: actor.id, at: now })
    }
    repos.audit.add(now, actor.id, 'calendarKept', `${entries.length} entries`)
  })
  return listDates(context, actor)
}

export function removeDay(context: Context, actor: Person, id: number): DatedItem[] {
  allow(actor, 'dates.keep')
  const { repos, now } = context
  repos.transaction(() => {
    if (!repos.planning.removeEntry(id)) throw new Problem('notFound')
    repos.audit.add(now, actor.id, 'calendarRemoved', `entry ${id}`)
  })
  return listDates(context, actor)
}

/** Everything dated as a calendar file. Sessions stand at their times, with who is where. */
export function calendarFile(context: Context, actor: Person): string {
  const { repos, now } = context
  const dated = listDates(context, actor).filter(({ kind }) => kind !== 'session')
  const today = now.slice(0, 10)
  const sessions = repos.planning
    .between(dayAfter(today, -BACK), dayAfter(today, AHEAD))
    .filter(({ cohort }) => seesGroup(actor, cohort))
  const names = new Map(repos.people.all().map(({ id, name }) => [id, name]))
  return writeCalendar(
    'Nakshi',
    [
      ...sessions.map((stored): CalendarItem =>
        sessionItem(stored.id, stored.fields, (id) => names.get(id) ?? ''),
      ),
      ...dated.map(({ key, kind, day, what }): CalendarItem => ({
        uid: `nakshi-${key}`,
        title: `${DATE_TEXT[kind]}: ${what}`,
        day,
      })),
    ],
    now,
  )
}

/** A session with who is at which bay when, as a note. */
function sessionItem(
  id: number,
  fields: Readonly<Record<string, string>>,
  name: (id: number) => string,
): CalendarItem {
  const { title, day, from, frame, tasks, placements } = readSession(fields)
  const lines = placements.map((placement) => {
    const task = tasks.find((one) => one.id === placement.task)!
    const end = endOf(placement, lengthsOf(task, frame.step))
    return (
      `${timeOfDay(from, placement.start)} to ${timeOfDay(from, end)} ` +
      `bay ${placement.bay}: ${task.people.map(name).join(' and ')}`
    )
  })
  return {
    uid: `nakshi-session-${id}`,
    title,
    day,
    note: lines.sort().join('\n'),
    at: { time: from, minutes: frame.minutes },
  }
}
