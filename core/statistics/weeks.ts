import { inOrder } from '../in-order'
import { changeOf, type Change } from './proportions'

/** A sheet on its day, with the kinds of things that went wrong in it. */
export interface DatedSheet {
  readonly attempt: number
  readonly person: number
  /** YYYY-MM-DD. */
  readonly day: string
  readonly kinds: readonly string[]
}

export interface Week {
  /** Its Monday, YYYY-MM-DD. */
  readonly monday: string
  readonly sheets: readonly DatedSheet[]
}

const DAY_MS = 86_400_000
/** The Monday of the week that a day lies in. */
export function mondayOf(day: string): string {
  const at = Date.parse(`${day}T00:00:00Z`)
  const weekday = (new Date(at).getUTCDay() + 6) % 7
  return new Date(at - weekday * DAY_MS).toISOString().slice(0, 10)
}

/** Every week from the first sheet to the last, also those without any. */
export function weeksOf(sheets: readonly DatedSheet[]): Week[] {
  const days = sheets.map(({ day }) => day).sort()
  if (days.length === 0) return []
  const byMonday = new Map<string, DatedSheet[]>()
  for (const sheet of sheets) {
    const monday = mondayOf(sheet.day)
    byMonday.set(monday, [...(byMonday.get(monday) ?? []), sheet])
  }
  const weeks: Week[] = []
  const last = mondayOf(days.at(-1)!)
  for (let monday = mondayOf(days[0]!); monday <= last;) {
    weeks.push({ monday, sheets: byMonday.get(monday) ?? [] })
    monday = new Date(Date.parse(`${monday}T00:00:00Z`) + 7 * DAY_MS).toISOString().slice(0, 10)
  }
  return weeks
}

/** Kinds by the number of sheets that they are in, the most frequent first. */
export function kindsOf(sheets: readonly DatedSheet[]): { readonly kind: string; readonly sheets: number }[] {
  const counts = new Map<string, number>()
  for (const { kinds } of sheets)
    for (const kind of new Set(kinds)) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  return [...counts]
    .map(([kind, n]) => ({ kind, sheets: n }))
    .sort((a, b) => b.sheets - a.sheets || inOrder(a.kind, b.kind))
}

/** Whether sheets with this kind are fewer or more from a day on than before it. */
export function changeOfKind(sheets: readonly DatedSheet[], kind: string, day: string): Change {
  const share = (some: readonly DatedSheet[]) => ({
    hits: some.filter(({ kinds }) => kinds.includes(kind)).length,
    of: some.length,
  })
  return changeOf(share(sheets.filter((one) => one.day < day)), share(sheets.filter((one) => one.day >= day)))
}
