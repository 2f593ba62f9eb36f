/* Calendars: what one package writes the other reads; examples of RFC 5545 read as that document says (from
   memory of its 3.8.5.3). */
import { describe, expect, it } from 'vitest'
import { readCalendar } from '#schemas/calendar/read'
import { writeCalendar } from '#schemas/calendar/write'

const SPAN = { from: '2026-01-01', to: '2027-12-31', zone: 'Europe/London' }
const wrap = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//', ...lines, 'END:VCALENDAR', ''].join('\r\n')
const event = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  'UID:a@b',
  'DTSTAMP:20260101T000000Z',
  ...lines,
  'END:VEVENT',
]
const days = (text: string) => {
  const read = readCalendar(text, SPAN)
  if (!read.ok) throw new Error(read.problem)
  return read.days.map(({ fromDay, toDay }) => (fromDay === toDay ? fromDay : `${fromDay}/${toDay}`))
}

describe('written here, read by the other package', () => {
  it('whole days, spans and times of day come back on the same days, in winter and in summer', () => {
    const text = writeCalendar(
      'Plan',
      [
        { uid: 'one', title: 'Calibration: MFT 1', day: '2026-12-03' },
        { uid: 'two', title: 'Half term', day: '2026-10-26', toDay: '2026-10-30' },
        {
          uid: 'three',
          title: 'Session; bays 1, 2',
          note: '09:00 bay 1\n09:30 bay 2',
          day: '2026-07-01',
          at: { time: '09:00', minutes: 360 },
        },
        { uid: 'four', title: 'Late', day: '2026-12-31', at: { time: '23:30', minutes: 30 } },
      ],
      '2026-11-01T12:00:00.000Z',
    )
    const read = readCalendar(text, SPAN)
    expect(read).toEqual({
      ok: true,
      days: [
        { title: 'Session; bays 1, 2', fromDay: '2026-07-01', toDay: '2026-07-01' },
        { title: 'Half term', fromDay: '2026-10-26', toDay: '2026-10-30' },
        { title: 'Calibration: MFT 1', fromDay: '2026-12-03', toDay: '2026-12-03' },
        { title: 'Late', fromDay: '2026-12-31', toDay: '2026-12-31' },
      ],
    })
    expect(text).toMatch(/DTSTART:20260701T090000\r\n/)
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75)
  })
})

describe('read from elsewhere', () => {
  it('repeats weekly until a day, without the days that are taken out and with the one that is moved', () => {
    const weekly = event(
      'SUMMARY:Away',
      'DTSTART;VALUE=DATE:20260903',
      'DTEND;VALUE=DATE:20260904',
      'RRULE:FREQ=WEEKLY;UNTIL=20260924',
      'EXDATE;VALUE=DATE:20260910',
    )
    const moved = event(
      'SUMMARY:Away',
      'RECURRENCE-ID;VALUE=DATE:20260917',
      'DTSTART;VALUE=DATE:20260918',
      'DTEND;VALUE=DATE:20260919',
    )
    expect(days(wrap(...weekly, ...moved))).toEqual(['2026-09-03', '2026-09-18', '2026-09-24'])
  })
  it('the second Monday of the month, three times (RFC 5545 3.8.5.3 has this form)', () => {
    const monthly = event('SUMMARY:x', 'DTSTART;VALUE=DATE:20260914', 'RRULE:FREQ=MONTHLY;COUNT=3;BYDAY=2MO')
    expect(days(wrap(...monthly))).toEqual(['2026-09-14', '2026-10-12', '2026-11-09'])
  })
  it('an evening elsewhere is the next day here, by name of its zone alone or as the file describes it', () => {
    const evening = event(
      'SUMMARY:x',
      'DTSTART;TZID=America/New_York:20261203T230000',
      'DTEND;TZID=America/New_York:20261203T233000',
    )
    expect(days(wrap(...evening))).toEqual(['2026-12-04'])
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Far',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:-0500',
      'TZOFFSETTO:-0500',
      'END:STANDARD',
      'END:VTIMEZONE',
    ]
    const far = event('SUMMARY:x', 'DTSTART;TZID=Far:20261203T230000', 'DTEND;TZID=Far:20261203T233000')
    expect(days(wrap(...zone, ...far))).toEqual(['2026-12-04'])
    expect(days(wrap(...event('SUMMARY:x', 'DTSTART:20260630T233000Z', 'DTEND:20260630T234500Z')))).toEqual([
      '2026-07-01',
    ])
  })
  it('repeats for ever: ends with the span; a thousand days are too many; no calendar is none', () => {
    const daily = event('SUMMARY:x', 'DTSTART;VALUE=DATE:20200101', 'RRULE:FREQ=DAILY')
    expect(days(wrap(...daily))).toHaveLength(730)
    expect(
      readCalendar(
        wrap(...daily, ...event('SUMMARY:y', 'DTSTART;VALUE=DATE:20200101', 'RRULE:FREQ=DAILY')),
        SPAN,
      ),
    ).toEqual({ ok: false, problem: 'tooMuch' })
    for (const text of ['', 'hello', '<html>', 'BEGIN:VCARD\r\nEND:VCARD\r\n', wrap(...event('SUMMARY:x'))])
      expect(readCalendar(text, SPAN), text).toEqual(
        text.startsWith('BEGIN:VCALENDAR')
          ? { ok: false, problem: 'notRead' }
          : { ok: false, problem: 'notRead' },
      )
  })
})
