import ICAL from 'ical.js'

/** One day or span of a calendar, as the days of the centre. */
export interface CalendarDay {
  readonly title: string
  /** YYYY-MM-DD, both included. */
  readonly fromDay: string
  readonly toDay: string
}
export type ReadCalendar =
  | { readonly ok: true; readonly days: readonly CalendarDay[] }
  | { readonly ok: false; readonly problem: 'notRead' | 'tooMuch' }

/** More days than this are no calendar of a year. */
export const MOST_DAYS = 1000
/** An event that repeats more often than this is not followed further. */
const MOST_REPEATS = 5000

/** What is looked at, YYYY-MM-DD, and the time zone of the centre. */
export interface CalendarSpan {
  readonly from: string
  readonly to: string
  readonly zone: string
}

const dayIn = (zone: string): ((at: Date) => string) => {
  const format = new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  })
  return (at) => format.format(at)
}

/**
 * The days of an iCalendar file (RFC 5545) within a span: repeated events one by one, with their exceptions; times of
 * another zone as the day that it is at the centre then. A zone that the file names without describing is looked up by
 * its name.
 */
export function readCalendar(text: string, span: CalendarSpan): ReadCalendar {
  let root: ICAL.Component
  try {
    root = new ICAL.Component(ICAL.parse(text) as never)
  } catch {
    return { ok: false, problem: 'notRead' }
  }
  if (root.name !== 'vcalendar') return { ok: false, problem: 'notRead' }
  ICAL.TimezoneService.reset()
  for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone as never)
  try {
    const days: CalendarDay[] = []
    for (const event of eventsOf(root)) {
      for (const day of daysOf(event, span)) {
        days.push(day)
        if (days.length > MOST_DAYS) return { ok: false, problem: 'tooMuch' }
      }
    }
    return { ok: true, days: days.sort((a, b) => (a.fromDay < b.fromDay ? -1 : 1)) }
  } catch {
    return { ok: false, problem: 'notRead' }
  }
}

/** Events with the exceptions of their repetitions. */
function eventsOf(root: ICAL.Component): ICAL.Event[] {
  const all = root.getAllSubcomponents('vevent')
  const isException = (one: ICAL.Component) => one.hasProperty('recurrence-id')
  return all
    .filter((one) => !isException(one))
    .map((one) => {
      const uid = one.getFirstPropertyValue('uid')
      const exceptions = all.filter(
        (other) => isException(other) && other.getFirstPropertyValue('uid') === uid,
      )
      return new ICAL.Event(one, { exceptions, strictExceptions: false })
    })
}

function* daysOf(event: ICAL.Event, span: CalendarSpan): Generator<CalendarDay> {
  const title = (item: ICAL.Event) => (item.summary ?? '').trim().slice(0, 160) || 'Without a title'
  const keep = (start: ICAL.Time, end: ICAL.Time, item: ICAL.Event): CalendarDay | null => {
    const [fromDay, toDay] = bounds(start, end, span.zone)
    return toDay < span.from || fromDay > span.to ? null : { title: title(item), fromDay, toDay }
  }
  if (!event.isRecurring()) {
    const one = keep(event.startDate, event.endDate, event)
    if (one) yield one
    return
  }
  const times = event.iterator()
  for (let n = 0; n < MOST_REPEATS; n += 1) {
    const next = times.next() as ICAL.Time | undefined
    if (!next || dayOf(next, span.zone) > span.to) return
    const { startDate, endDate, item } = event.getOccurrenceDetails(next)
    const one = keep(startDate, endDate, item)
    if (one) yield one
  }
}

/** First and last day; a whole day ends where the next begins, and so does a time at midnight. */
function bounds(start: ICAL.Time, end: ICAL.Time, zone: string): [string, string] {
  const first = dayOf(start, zone)
  if (end.compare(start) <= 0) return [first, first]
  const before = end.clone()
  before.adjust(end.isDate ? -1 : 0, 0, 0, end.isDate ? 0 : -1)
  const last = dayOf(before, zone)
  return [first, last < first ? first : last]
}

const two = (value: number): string => String(value).padStart(2, '0')
const plainDay = ({ year, month, day }: ICAL.Time): string => `${year}-${two(month)}-${two(day)}`

/** The day of a moment at the centre. A day, and a time without a zone, is the day that it names. */
function dayOf(time: ICAL.Time, zone: string): string {
  const named = zoneName(time)
  if (time.isDate || named === null) return plainDay(time)
  if (named === 'UTC' || ICAL.TimezoneService.has(named)) return dayIn(zone)(time.toJSDate())
  const moment = momentIn(named, time)
  return moment ? dayIn(zone)(moment) : plainDay(time)
}

/** The zone that a time is given in; null for one that floats. */
function zoneName(time: ICAL.Time): string | null {
  const { tzid } = (time.zone ?? {}) as { tzid?: string }
  const named = tzid === 'floating' || !tzid ? ((time as { timezone?: string }).timezone ?? tzid) : tzid
  if (!named || named === 'floating') return null
  return named === 'Z' ? 'UTC' : named
}

/** A wall-clock time of a named zone as a moment; undefined where no such zone is known. */
function momentIn(zone: string, { year, month, day, hour, minute, second }: ICAL.Time): Date | undefined {
  const wanted = Date.UTC(year, month - 1, day, hour, minute, second)
  try {
    const shift = (at: number): number => {
      const parts = new Intl.DateTimeFormat('en-GB', {
        timeZone: zone,
        hourCycle: 'h23',
        year: 'numeric',
        month: 'numeric',
        day: 'numeric',
        hour: 'numeric',
        minute: 'numeric',
        second: 'numeric',
      }).formatToParts(at)
      const of = (type: string) => Number(parts.find((part) => part.type === type)!.value)
      return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second')) - at
    }
    // The shift at the moment itself, which the first guess may miss by a change of the clocks.
    return new Date(wanted - shift(wanted - shift(wanted)))
  } catch {
    return undefined
  }
}
