import { critical, note, type Finding } from '../../findings/finding'
import type { TestKind } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { ScheduleTest } from '../plan/schedule'
import type { ReadingTimes } from '../readings'

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
  /** Test voltage of insulation as it was written down, V; empty where nobody did. */
  readonly insulationVolt?: string
  /** Some readings are there at all. */
  readonly today: string
}

/** How the tests were gone about: order, permission, instrument. */
export function processFindings(
  schedule: readonly ScheduleTest[],
  { times, permissions, instrument, isLeadsNulled, insulationVolt = '', today }: ProcessFacts,
): Finding[] {
  const taken = schedule.flatMap(({ key, kind }) =>
    times[key] ? [{ kind: kindOf(kind), at: times[key] }] : [],
  )
  if (taken.length === 0) return []
  return [
    ...beforePermission(taken, permissions),
    ...insulationFirst(taken),
    ...instrumentFindings(instrument, today),
    ...(isLeadsNulled ? [] : [note('leads.notRecorded')]),
    ...testVoltage(taken, insulationVolt),
  ]
}

interface Taken {
  readonly kind: TestKind
  readonly at: string
}

const firstOf = (taken: readonly Taken[], isWanted: (entry: Taken) => boolean): string | undefined =>
  taken
    .filter(isWanted)
    .map(({ at }) => at)
    .sort()[0]

function beforePermission(taken: readonly Taken[], permissions: ProcessFacts['permissions']): Finding[] {
  const isPermitted = (at: string) =>
    permissions.some(({ from, until }) => at >= from && (until === null || at <= until))
  const early = firstOf(taken, ({ kind, at }) => !kind.isDead && !isPermitted(at))
  if (early === undefined) return []
  const permitted = permissions[0] ? minute(permissions[0].from) : 'nobody'
  return [critical('time.beforePermission', { at: minute(early), permitted })]
}

/** Without continuous protective conductors an insulation test proves little. */
function insulationFirst(taken: readonly Taken[]): Finding[] {
  const insulation = firstOf(taken, ({ kind }) => kind.relations.includes('insulationFamily'))
  const continuity = firstOf(taken, ({ kind }) => kind.relations.includes('leads'))
  return insulation && continuity && insulation < continuity ? [note('time.insulationFirst')] : []
}

/** Circuits of 230 and 400 V are tested at 500 V d.c.; BS 7671 Table 64, from memory. */
const INSULATION_TEST_V = 500

/** Less is right only where something that 500 V would damage could not be disconnected. */
function testVoltage(taken: readonly Taken[], text: string): Finding[] {
  const volt = Number.parseFloat(text)
  const isTested = taken.some(({ kind }) => kind.relations.includes('insulationFamily'))
  return isTested && volt < INSULATION_TEST_V ? [note('insulation.lowVoltage', { volt })] : []
}

function instrumentFindings(instrument: InstrumentFacts | null, today: string): Finding[] {
  if (instrument === null) return [note('instrument.none')]
  const { name, dueOn } = instrument
  return dueOn < today ? [note('instrument.overdue', { instrument: name, due: dueOn })] : []
}

const minute = (iso: string): string => iso.slice(0, 16).replace('T', ' ')
