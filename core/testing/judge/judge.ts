import type { Finding } from '../../findings/finding'
import { sourceLine } from '../../regulations/source'
import type { Edition } from '../../regulations/editions'
import type { ReadingMark } from './circuit'
import { parseReading, type ParsedReading } from '../parse/parse-reading'
import { readingKind, whyKey, type Readings } from '../readings'
import type { ScheduleExpected } from '../expected/expected'
import { insulationFamily } from '../relations/insulation'
import { leadsNotNulled } from '../relations/leads'
import { faultCurrentFits, loopSums } from '../relations/loop'
import { judgeOne } from './one'
import { radialGrows } from '../relations/radial'
import { residualTimes } from '../relations/residual'
import { ringRelations } from '../relations/ring'
import type { Relation, Sheet, SheetRule } from '../relations/rule'
import type { ScheduleTest } from '../plan/schedule'

const RULES: readonly SheetRule[] = [
  ringRelations,
  radialGrows,
  insulationFamily,
  loopSums,
  faultCurrentFits,
  residualTimes,
]

export interface JudgedSchedule {
  /** One for each test that is asked or was made, in the order of the schedule. */
  readonly marks: readonly ReadingMark[]
  /** What the readings say together. */
  readonly relations: readonly Relation[]
}

/** Judges a whole schedule: each reading by its form, limit and band, and all of them by their relations. Some microseconds a reading. */
export function judgeSchedule(
  schedule: readonly ScheduleTest[],
  expected: ReadonlyMap<string, ScheduleExpected>,
  readings: Readings,
  { edition, arrangement }: { readonly edition: Edition; readonly arrangement: string },
): JudgedSchedule {
  const parsed = new Map(
    schedule.map(({ key }): [string, ParsedReading] => [
      key,
      parseReading(readings[key] ?? '', readingKind(key)),
    ]),
  )
  const sheet: Sheet = { schedule, readings: parsed, expected, arrangement }
  const leads = leadsNotNulled(sheet)
  const withLeads = new Set(leads.flatMap(({ keys }) => keys))
  // What the leads explain needs no other reason.
  const relations = [
    ...leads,
    ...RULES.flatMap((rule) => rule(sheet)).filter(({ keys }) => !keys.some((key) => withLeads.has(key))),
  ]
  const related = new Map<string, Finding[]>()
  // A relation is told where it should be looked at first; leads concern every reading that they are in.
  for (const { finding, keys } of relations)
    for (const key of finding.code.startsWith('leads') ? keys : keys.slice(0, 1))
      related.set(key, [...(related.get(key) ?? []), finding])
  const marks = schedule.flatMap((test): ReadingMark[] => {
    const reading = parsed.get(test.key)!
    if (reading.form === 'empty' && !test.isAsked) return []
    const told = expected.get(test.key)!
    const own = judgeOne({
      key: test.key,
      reading,
      expected: told,
      edition,
      why: readings[whyKey(test.key)] ?? '',
    })
    const others = related.get(test.key) ?? []
    // Where the leads explain a reading, that it strays from its band says nothing more.
    const isExplained = own?.code === 'band.outside' && others.some(({ code }) => code.startsWith('leads'))
    const findings = [...(own && !isExplained ? [own] : []), ...others]
    const isWrong = findings.some(({ seriousness }) => seriousness !== 'note')
    const verdict = reading.form === 'empty' ? 'missing' : isWrong ? 'wrong' : 'right'
    return [
      {
        reading: test.key,
        verdict,
        typed: readings[test.key] ?? '',
        value: 'value' in reading ? reading.value : undefined,
        over: reading.form === 'over',
        expected: told,
        source: sourceLine(told.source, edition),
        findings,
        mark: test.isAsked && verdict === 'right' ? 1 : 0,
        outOf: test.isAsked ? 1 : 0,
      },
    ]
  })
  return { marks, relations }
}
