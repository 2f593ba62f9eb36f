/* By hand: the platform's own formats take a slow tablet a sixth of a second to make, before anything is seen. */
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)
const MONTHS_SHORT = 'Jan Feb Mar Apr May Jun Jul Aug Sept Oct Nov Dec'.split(' ')
const WEEKDAYS = 'Sun Mon Tue Wed Thu Fri Sat'.split(' ')

/** A month as a British reader shortens it: `Nov`, `Sept`; from 0. */
export const monthShort = (month: number): string => MONTHS_SHORT[month]!

const twoDigits = (value: number): string => String(value).padStart(2, '0')
const isDay = (at: Date): boolean => !Number.isNaN(at.getTime())

/** A day as a British reader writes it: `2026-11-27` becomes `27 Nov 2026`; what is no day stands as it is. */
export function dayText(iso: string): string {
  const at = new Date(iso)
  return isDay(at) ? `${at.getUTCDate()} ${monthShort(at.getUTCMonth())} ${at.getUTCFullYear()}` : iso
}

/** The month of a day, in full: `November 2026`. */
export function monthText(iso: string): string {
  const at = new Date(iso)
  return isDay(at) ? `${MONTHS[at.getUTCMonth()]!} ${at.getUTCFullYear()}` : iso
}

/** A day of this term: `Fri 27 Nov`. */
export function weekdayText(iso: string): string {
  const at = new Date(iso)
  if (!isDay(at)) return iso
  return `${WEEKDAYS[at.getUTCDay()]!} ${at.getUTCDate()} ${monthShort(at.getUTCMonth())}`
}

/** The same moment where the reader is: `27 Nov 2026`. */
export const localDay = (at: Date): string =>
  `${at.getDate()} ${monthShort(at.getMonth())} ${at.getFullYear()}`

/** The day where the reader is, as it is stored: `2026-11-27`. */
export const localIsoDay = (at: Date): string =>
  `${at.getFullYear()}-${twoDigits(at.getMonth() + 1)}-${twoDigits(at.getDate())}`

/** The time where the reader is: `14:11`. */
export const localTime = (at: Date): string => `${twoDigits(at.getHours())}:${twoDigits(at.getMinutes())}`

/** The same with seconds: `14:11:52`. */
export const localClock = (at: Date): string => `${localTime(at)}:${twoDigits(at.getSeconds())}`
