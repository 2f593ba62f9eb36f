import { describe, expect, test } from 'vitest'
import { dayText, localClock, localDay, localIsoDay, monthText, weekdayText } from '#words/day'

/** Every day of two years, one of them a leap year, at odd times. */
const DAYS = Array.from(
  { length: 731 },
  (_, i) => new Date(Date.UTC(2027, 0, 1 + i, (i * 7) % 24, (i * 11) % 60, i % 60)),
)

/** The platform's own British dates: the Unicode Common Locale Data Repository, en-GB, as Node.js ships it. */
const asCldr = (options: Intl.DateTimeFormatOptions, locale = 'en-GB') => {
  const format = new Intl.DateTimeFormat(locale, options)
  return (at: Date): string => format.format(at)
}
const UTC = { timeZone: 'UTC' } as const
const SHORT = { day: 'numeric', month: 'short' } as const

describe('days and times as the platform would write them in Britain', () => {
  test.each<[name: string, ours: (at: Date) => string, theirs: (at: Date) => string]>([
    ['a day', (at) => dayText(at.toISOString()), asCldr({ ...SHORT, year: 'numeric', ...UTC })],
    ['a month', (at) => monthText(at.toISOString()), asCldr({ month: 'long', year: 'numeric', ...UTC })],
    ['a weekday', (at) => weekdayText(at.toISOString()), asCldr({ weekday: 'short', ...SHORT, ...UTC })],
    ['a day here', localDay, asCldr({ ...SHORT, year: 'numeric' })],
    [
      'a day as it is stored',
      localIsoDay,
      asCldr({ year: 'numeric', month: '2-digit', day: '2-digit' }, 'en-CA'),
    ],
    ['a time', localClock, asCldr({ hour: '2-digit', minute: '2-digit', second: '2-digit' })],
  ])('%s', (_, ours, theirs) => {
    expect(DAYS.map(ours)).toEqual(DAYS.map(theirs))
  })

  test('what is no day stands as it is', () => {
    expect([dayText('soon'), monthText(''), weekdayText('2026-13-40')]).toEqual(['soon', '', '2026-13-40'])
  })
})
