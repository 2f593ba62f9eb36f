const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })
const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})

/** Time of day on this device, such as `14:11:52`. */
export const clock = (iso: string): string => CLOCK.format(new Date(iso))

/** Day and time, such as `12 Nov, 14:11`. */
export const dayTime = (iso: string): string => DAY.format(new Date(iso))

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
/** A day, such as `12 Nov 2026`. */
export const date = (iso: string): string => DATE.format(new Date(iso))

/** Whole minutes from one moment to another, in words. */
export function minutesBetween(fromIso: string, toIso: string): string {
  const minutes = Math.max(0, Math.round((Date.parse(toIso) - Date.parse(fromIso)) / 60_000))
  if (minutes < 1) return 'just now'
  if (minutes < 90) return `${minutes} min`
  return minutes < 60 * 36 ? `${Math.round(minutes / 60)} h` : `${Math.round(minutes / 1440)} days`
}

/** How long ago a moment was, in words. */
export function ago(fromIso: string, nowIso: string): string {
  const passed = minutesBetween(fromIso, nowIso)
  return passed === 'just now' ? passed : `${passed} ago`
}
