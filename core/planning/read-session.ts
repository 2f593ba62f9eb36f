import { PAIRINGS, type Pairing } from './pairs'
import type { AssessorTime, Placement, PlanTask, SessionFrame, StageMinutes } from './session'

/** A session as it stands in its boxes: `day`, `bays`, `assessor.4`, `task.a1`, `place.a1`, `reason.7`. */
export type SessionFields = Readonly<Record<string, string>>

export interface PlannedSession {
  readonly title: string
  /** YYYY-MM-DD, or empty. */
  readonly day: string
  /** HH:MM at which it begins. */
  readonly from: string
  readonly cohort: string
  readonly pairing: Pairing
  readonly frame: SessionFrame
  readonly tasks: readonly PlanTask[]
  readonly placements: readonly Placement[]
  /** Why a bay is used although its test is overdue, by bay. */
  readonly reasons: ReadonlyMap<number, string>
  /** Instruments that somebody wants to use, in calibration or not. */
  readonly wanted: readonly number[]
}

const whole = (text: string | undefined, usual: number, min: number, max: number): number => {
  const value = Number(text)
  return text && Number.isInteger(value) && value >= min && value <= max ? value : usual
}
export const idList = (text: string | undefined): number[] => [
  ...new Set(
    (text ?? '')
      .split(' ')
      .map(Number)
      .filter((id) => Number.isInteger(id) && id > 0),
  ),
]
type Raw = Readonly<Record<string, unknown>>
function parse(text: string): Raw | null {
  try {
    const value: unknown = JSON.parse(text)
    return value !== null && typeof value === 'object' ? (value as Raw) : null
  } catch {
    return null
  }
}
const isMinutes = (value: unknown): value is number =>
  typeof value === 'number' && Number.isInteger(value) && value >= 0 && value <= 24 * 60
const PARTS = ['design', 'build', 'dead', 'live'] as const satisfies readonly (keyof StageMinutes)[]

function taskOf(id: string, raw: Raw | null): PlanTask | undefined {
  const minutes = raw?.minutes as Partial<StageMinutes> | undefined
  if (!raw || !minutes || !PARTS.every((part) => isMinutes(minutes[part]))) return undefined
  if (minutes.live === 0 && minutes.build === 0) return undefined
  const people = Array.isArray(raw.people) ? raw.people.filter((one) => Number.isInteger(one)) : []
  const exercise = Number.isInteger(raw.exercise) ? (raw.exercise as number) : undefined
  if (people.length === 0 || exercise === undefined) return undefined
  const { isRepeat, isLocked } = raw
  const kept = minutes as StageMinutes
  return { id, people, exercise, minutes: kept, isRepeat: isRepeat === true, isLocked: isLocked === true }
}

const idOrNone = (value: unknown): number | null => (Number.isInteger(value) ? (value as number) : null)
function placementOf(task: string, raw: Raw | null): Placement | undefined {
  if (!raw || !isMinutes(raw.start) || !isMinutes(raw.live) || !Number.isInteger(raw.bay)) return undefined
  return {
    task,
    bay: raw.bay as number,
    start: raw.start,
    live: raw.live,
    assessor: idOrNone(raw.assessor),
    instrument: idOrNone(raw.instrument),
    liveInstrument: idOrNone(raw.liveInstrument),
  }
}

const WINDOW = /^(\d{1,4})-(\d{1,4})$/
const assessorOf = (id: string, text: string): AssessorTime[] => {
  const [, from, to] = WINDOW.exec(text) ?? []
  const one = { id: Number(id), from: Number(from), to: Number(to) }
  return from !== undefined && Number.isInteger(one.id) && one.from < one.to ? [one] : []
}

/** Boxes whose name begins with a part, by what follows it. */
const named = (fields: SessionFields, part: string): [string, string][] =>
  Object.entries(fields)
    .filter(([name, text]) => name.startsWith(`${part}.`) && text !== '')
    .map(([name, text]) => [name.slice(part.length + 1), text])

/**
 * Reads everything that can be read; tasks in the order of their ids. `usable` are instruments in calibration that
 * day.
 */
export function readSession(
  fields: SessionFields,
  usable: (instrument: number) => boolean = () => true,
): PlannedSession {
  const minutes = whole(fields.minutes, 180, 30, 720)
  const tasks = named(fields, 'task')
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([id, text]) => taskOf(id, parse(text)) ?? [])
  const known = new Set(tasks.map(({ id }) => id))
  const wanted = idList(fields.instruments)
  return {
    title: fields.title ?? '',
    day: /^\d{4}-\d{2}-\d{2}$/.test(fields.day ?? '') ? fields.day! : '',
    from: /^([01]\d|2[0-3]):[0-5]\d$/.test(fields.from ?? '') ? fields.from! : '09:00',
    cohort: fields.cohort ?? '',
    pairing: PAIRINGS.find((one) => one === fields.pairing) ?? 'alone',
    frame: {
      minutes,
      step: whole(fields.step, 15, 5, 60),
      bays: idList(fields.bays),
      assessors: named(fields, 'assessor').flatMap(([id, text]) => assessorOf(id, text)),
      instruments: wanted.filter(usable),
      desks: whole(fields.desks, 60, 0, 200),
      absent: idList(fields.absent),
      now: 0,
    },
    tasks,
    placements: named(fields, 'place')
      .filter(([id]) => known.has(id))
      .flatMap(([id, text]) => placementOf(id, parse(text)) ?? []),
    reasons: new Map(
      named(fields, 'reason').flatMap(([bay, text]) =>
        Number.isInteger(Number(bay)) ? [[Number(bay), text] as const] : [],
      ),
    ),
    wanted,
  }
}

/** A task or placement as the text of its box. */
export const taskText = ({ id: _, ...task }: PlanTask): string => JSON.stringify(task)
export const placementText = ({ task: _, ...placement }: Placement): string => JSON.stringify(placement)

/** Time of day of a minute of the session, `HH:MM`. */
export function timeOfDay(from: string, minute: number): string {
  const [hours, minutes] = from.split(':').map(Number)
  const all = hours! * 60 + minutes! + minute
  const two = (value: number) => String(value).padStart(2, '0')
  return `${two(Math.floor(all / 60) % 24)}:${two(all % 60)}`
}
/** Minute of the session at a time of day; below zero before it begins. */
export function minuteOf(from: string, time: string): number {
  const [a, b] = [from, time].map((text) => text.split(':').map(Number)) as [number[], number[]]
  return b[0]! * 60 + b[1]! - a[0]! * 60 - a[1]!
}
