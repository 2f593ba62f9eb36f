import ical, { ICalCalendarMethod } from 'ical-generator'

/** Something for a calendar: a whole day, or a time of day at the centre. */
export interface CalendarItem {
  /** Stays the same when the thing moves, so that a calendar moves it too. */
  readonly uid: string
  readonly title: string
  readonly note?: string
  /** YYYY-MM-DD. */
  readonly day: string
  /** Last day of a span, included; left out for one day. */
  readonly toDay?: string
  /** HH:MM and minutes; left out for the whole day. */
  readonly at?: { readonly time: string; readonly minutes: number }
}

const addDays = (day: string, n: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + n * 86_400_000).toISOString().slice(0, 10)

/**
 * An iCalendar file (RFC 5545). Times float: they are what the clock at the centre says, wherever the file is read;
 * `at` is when it was made, ISO 8601 UTC.
 */
export function writeCalendar(name: string, items: readonly CalendarItem[], at: string): string {
  const calendar = ical({
    name,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Nakshi', product: 'Plan' },
  })
  for (const { uid, title, note, day, toDay, at: time } of items) {
    // Built in local time and written without a zone: the hours are those that stand here.
    const start = new Date(`${day}T${time?.time ?? '00:00'}:00`)
    const end = time
      ? new Date(start.getTime() + time.minutes * 60_000)
      : new Date(`${addDays(toDay ?? day, 1)}T00:00:00`)
    calendar.createEvent({
      id: uid,
      summary: title,
      start,
      end,
      allDay: !time,
      floating: true,
      stamp: new Date(at),
      ...(note ? { description: note } : {}),
    })
  }
  return calendar.toString()
}
