import { localClock, localDay, localIsoDay, localTime, monthShort } from '#words/day'

/** Time of day on this device, such as `14:11:52`. */
export const clock = (iso: string): string => localClock(new Date(iso))

/** Day and time, such as `12 Nov, 14:11`. */
export function dayTime(iso: string): string {
  const at = new Date(iso)
  return `${at.getDate()} ${monthShort(at.getMonth())}, ${localTime(at)}`
}

/** A day, such as `12 Nov 2026`. */
export const date = (iso: string): string => localDay(new Date(iso))

/** Today on this device, as days are stored. */
export const today = (): string => localIsoDay(new Date())

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
