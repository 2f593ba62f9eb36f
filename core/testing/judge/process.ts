import { critical, note, type Finding } from '../../findings/finding'
import { isDead } from '../readings'
import type { ScheduleTest } from '../plan/schedule'

/** When each reading was taken or came in, ISO 8601 UTC, by test. */
export type ReadingTimes = Readonly<Record<string, string>>

export interface InstrumentFacts {
  readonly name: string
  /** The day until which its calibration holds, ISO date. */
  readonly dueOn: string
}

export interface ProcessFacts {
  readonly times: ReadingTimes
  /** The permissions that were given, and when each ended. */
  readonly permissions: readonly { readonly from: string; readonly until: string | null }[]
  readonly instrument: InstrumentFacts | null
  readonly isLeadsNulled: boolean
  /** Some readings are there at all. */
  readonly today: string
}

/** How the tests were gone about: order, permission, instrument. */
export function processFindings(
  schedule: readonly ScheduleTest[],
  { times, permissions, instrument, isLeadsNulled, today }: ProcessFacts,
): Finding[] {
  const taken = schedule.filter(({ key }) => times[key])
  if (taken.length === 0) return []
  const early = taken
    .filter(({ key }) => !isDead(key))
    .map(({ key }) => times[key]!)
    .filter((at) => !permissions.some(({ from, until }) => at >= from && (until === null || at <= until)))
    .sort()[0]
  const firstOf = (kinds: (kind: string) => boolean) =>
    taken
      .filter(({ kind }) => kinds(kind))
      .map(({ key }) => times[key]!)
      .sort()[0]
  const [insulation, continuity] = [
    firstOf((kind) => kind.startsWith('ir')),
    firstOf((kind) => ['r1r2', 'r2', 'r2Long', 'bonding'].includes(kind)),
  ]
  return [
    ...(early === undefined
      ? []
      : [
          critical('time.beforePermission', {
            at: minute(early),
            permitted: permissions[0] ? minute(permissions[0].from) : 'nobody',
          }),
        ]),
    ...(insulation && continuity && insulation < continuity ? [note('time.insulationFirst')] : []),
    ...(instrument === null
      ? [note('instrument.none')]
      : instrument.dueOn < today
        ? [note('instrument.overdue', { instrument: instrument.name, due: instrument.dueOn })]
        : []),
    ...(isLeadsNulled ? [] : [note('leads.notRecorded')]),
  ]
}

const minute = (iso: string): string => iso.slice(0, 16).replace('T', ' ')
