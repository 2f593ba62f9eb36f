import type { PlannedSession } from './read-session'

/** A day by which something has to be done again. */
export interface DueBay {
  readonly bay: number
  readonly kind: 'inspection' | 'rcd'
  /** YYYY-MM-DD. */
  readonly dueOn: string
}
export interface DueInstrument {
  readonly id: number
  readonly name: string
  readonly dueOn: string
}
/** Somebody or everybody is away. */
export interface Away {
  readonly personId: number | null
  readonly title: string
  readonly kind: 'term' | 'closed' | 'absence'
  readonly fromDay: string
  readonly toDay: string
}

/** Cable that one person’s exercise takes, m. */
export interface CableNeed {
  readonly person: number
  readonly exercise: number
  /** Kind, phases and size, as stores keep it. */
  readonly cable: string
  readonly metres: number
}

/** What the day of a session says against its plan. */
export type DayConflict =
  | { readonly code: 'noDay' | 'noBays' | 'noTasks' | 'noAssessors' | 'noInstruments' }
  | {
      readonly code: 'bayOverdue'
      readonly bay: number
      readonly kind: DueBay['kind']
      readonly dueOn: string
    }
  | { readonly code: 'outOfCalibration'; readonly instrument: string; readonly dueOn: string }
  | { readonly code: 'closed'; readonly title: string }
  | { readonly code: 'noTerm' }
  | { readonly code: 'cableShort'; readonly cable: string; readonly needM: number; readonly leftM: number }
  | { readonly code: 'away'; readonly person: number; readonly title: string }
  | { readonly code: 'tooMany'; readonly tasks: number; readonly planned: number; readonly bays: number }

const covers = ({ fromDay, toDay }: Away, day: string): boolean => fromDay <= day && day <= toDay

export interface DayFacts {
  readonly bays: readonly DueBay[]
  readonly instruments: readonly DueInstrument[]
  readonly away: readonly Away[]
  readonly needs: readonly CableNeed[]
  /** What is on the drums, m, by cable; what is not named has no drum in the register, and nothing is said of it. */
  readonly stock: Readonly<Record<string, number>>
}

/** Cables of which the tasks of a session take more than is on the drums. */
function shortages(tasks: PlannedSession['tasks'], { needs, stock }: DayFacts): DayConflict[] {
  const wanted = new Map<string, number>()
  for (const { people, exercise } of tasks)
    for (const need of needs.filter((one) => one.exercise === exercise && one.person === people[0]))
      wanted.set(need.cable, (wanted.get(need.cable) ?? 0) + need.metres)
  return [...wanted].flatMap(([cable, needM]) => {
    const leftM = stock[cable]
    return leftM !== undefined && leftM < needM ? [{ code: 'cableShort', cable, needM, leftM } as const] : []
  })
}

/**
 * What is against a session on its day: overdue bays without a reason, instruments out of calibration, holidays,
 * absences.
 */
export function dayConflicts(
  { day, frame, tasks, placements, reasons, wanted }: PlannedSession,
  facts: DayFacts,
): DayConflict[] {
  const used = new Set(frame.bays)
  const here = new Set(
    tasks.flatMap(({ people }) => people).filter((person) => !frame.absent.includes(person)),
  )
  const onDay = facts.away.filter((one) => day !== '' && covers(one, day))
  const terms = facts.away.filter(({ kind }) => kind === 'term')
  const closed = onDay.filter(({ kind, personId }) => kind === 'closed' && personId === null)
  return [
    ...(day === '' ? [{ code: 'noDay' } as const] : []),
    ...(frame.bays.length === 0 ? [{ code: 'noBays' } as const] : []),
    ...(tasks.length === 0 ? [{ code: 'noTasks' } as const] : []),
    ...(frame.assessors.length === 0 ? [{ code: 'noAssessors' } as const] : []),
    ...(frame.instruments.length === 0 ? [{ code: 'noInstruments' } as const] : []),
    ...facts.bays
      .filter(({ bay, dueOn }) => used.has(bay) && day !== '' && dueOn < day && !reasons.get(bay)?.trim())
      .map(({ bay, kind, dueOn }) => ({ code: 'bayOverdue', bay, kind, dueOn }) as const),
    ...facts.instruments
      .filter(({ id, dueOn }) => wanted.includes(id) && day !== '' && dueOn < day)
      .map(({ name, dueOn }) => ({ code: 'outOfCalibration', instrument: name, dueOn }) as const),
    ...shortages(tasks, facts),
    ...closed.map(({ title }) => ({ code: 'closed', title }) as const),
    ...(day !== '' && terms.length > 0 && !terms.some((term) => covers(term, day))
      ? [{ code: 'noTerm' } as const]
      : []),
    ...onDay.flatMap(({ kind, personId, title }) =>
      kind === 'absence' && personId !== null && here.has(personId)
        ? [{ code: 'away', person: personId, title } as const]
        : [],
    ),
    ...(placements.length > 0 && placements.length < tasks.length && tasks.length > frame.bays.length
      ? [
          {
            code: 'tooMany',
            tasks: tasks.length,
            planned: placements.length,
            bays: frame.bays.length,
          } as const,
        ]
      : []),
  ]
}

/** Why a task is done again: its live tests were stopped, it was sent back, or a repeat was booked. */
export interface RepeatWhy {
  readonly is: 'withdraw' | 'refuse' | 'booked'
  /** When, ISO 8601 UTC; for a booked one the day for which it was. */
  readonly at: string
  readonly note: string
}
