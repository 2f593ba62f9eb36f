import type { CircuitDesign, InstallationDesign } from '../../design/reference'
import { note, type Finding } from '../../findings/finding'
import type { Edition } from '../../regulations/editions'
import { sourceLine } from '../../regulations/source'
import type { Arrangement } from '../../regulations/supply'
import type { Expected, ExpectedReading } from '../expected/expected'
import { kindOf } from '../kinds/kinds'
import { parseReading, type ParsedReading } from '../parse/parse-reading'
import { askedAsMeasured, type ScheduleTest } from '../plan/schedule'
import { whyKey, type Readings } from '../readings'
import type { Relation } from '../relations/relation'
import { relationsOf } from '../relations/relations'
import { judgeReading } from './one'
import type { OtherBay, Sheet } from '../relations/sheet'

export interface ReadingMark {
  readonly reading: string
  readonly verdict: 'right' | 'wrong' | 'missing'
  readonly typed: string
  /** SI, for the gauge; undefined for ticks and empty boxes. */
  readonly value?: number
  /** True when the instrument ran off its range above `value`. */
  readonly over: boolean
  readonly expected: ExpectedReading
  readonly source: string
  readonly findings: readonly Finding[]
  readonly mark: number
  readonly outOf: number
}

export interface JudgedSheet {
  /** One for each test that is asked or was made, in the order of the schedule. */
  readonly marks: readonly ReadingMark[]
  /** What the readings say together. */
  readonly relations: readonly Relation[]
}

/** A bay as it is meant, with its schedule and what each test should show there. */
export interface JudgedBay {
  readonly schedule: readonly ScheduleTest[]
  readonly expected: Expected
  readonly design: InstallationDesign
  readonly edition: Edition
  readonly arrangement: Arrangement
}

/**
 * Judges a sheet, of one circuit or of a whole board: each reading by its form, limit and band, and all of
 * them by their relations. Some microseconds a reading.
 */
export function judgeReadings(
  meant: JudgedBay,
  readings: Readings,
  others: readonly OtherBay[] = [],
): JudgedSheet {
  const isMeasured = (key: string) => (readings[key] ?? '').trim() !== ''
  const bay = { ...meant, schedule: askedAsMeasured(meant.schedule, isMeasured) }
  const sheet = readSheetOf(bay, readings, others)
  const relations = relationsOf(sheet)
  const byReading = findingsByReading(relations)
  const marks = bay.schedule.flatMap((test): ReadingMark[] => {
    const reading = sheet.readings.get(test.key)!
    if (reading.form === 'empty' && !test.isAsked) return []
    const findings = findingsOf(sheet, test, bay.edition, readings, byReading.get(test.key) ?? [])
    return [markOf({ test, reading, findings, bay, typed: readings[test.key] ?? '' })]
  })
  return { marks, relations }
}

function readSheetOf(bay: JudgedBay, readings: Readings, others: readonly OtherBay[]): Sheet {
  const parsed = bay.schedule.map(({ key }) => [key, parseReading(readings[key] ?? '', kindOf(key))] as const)
  const designs = new Map(
    bay.design.circuits.map((circuit): [string, CircuitDesign] => [circuit.scope, circuit]),
  )
  const { schedule, expected, arrangement } = bay
  return { schedule, readings: new Map(parsed), expected, arrangement, designs, others }
}

/** A relation is told where it should be looked at first, or at every reading that it is about. */
function findingsByReading(relations: readonly Relation[]): ReadonlyMap<string, readonly Relation[]> {
  const byReading = new Map<string, Relation[]>()
  for (const relation of relations)
    for (const key of relation.isEverywhere ? relation.keys : relation.keys.slice(0, 1))
      byReading.set(key, [...(byReading.get(key) ?? []), relation])
  return byReading
}

function findingsOf(
  sheet: Sheet,
  { key, circuit, isAsked }: ScheduleTest,
  edition: Edition,
  readings: Readings,
  related: readonly Relation[],
): Finding[] {
  const reading = sheet.readings.get(key)!
  const expected = sheet.expected.get(key)!
  const design = isAsked ? sheet.designs.get(circuit ?? '') : undefined
  const why = readings[whyKey(key)] ?? ''
  const judged = judgeReading({ reading, expected, design, others: sheet.others, edition, why })
  // Where the leads explain a reading, that it strays from its band says nothing more.
  const isExplained = judged?.code === 'band.outside' && related.some(({ isEverywhere }) => isEverywhere)
  const exact = judged ? undefined : tooExact(reading, expected)
  return [
    ...(judged && !isExplained ? [judged] : []),
    ...related.map(({ finding }) => finding),
    ...(exact ? [exact] : []),
  ]
}

/** Nobody measures the calculated value to the last of three decimals: worth a question at the bay. */
function tooExact(reading: ParsedReading, { value: expected, key }: ExpectedReading): Finding | undefined {
  if (reading.form !== 'value' || expected === undefined || kindOf(key).of === 'installation')
    return undefined
  const { value, decimals, significant } = reading
  if (significant < 3 || decimals < 3) return undefined
  return Math.abs(value - expected) <= 0.5 * 10 ** -decimals * 1.001
    ? note('across.tooExact', { value })
    : undefined
}

interface Marking {
  readonly test: ScheduleTest
  readonly reading: ParsedReading
  readonly findings: readonly Finding[]
  readonly bay: JudgedBay
  readonly typed: string
}

function markOf({ test, reading, findings, bay, typed }: Marking): ReadingMark {
  const isWrong = findings.some(({ seriousness }) => seriousness !== 'note')
  const written = isWrong ? 'wrong' : 'right'
  const verdict = reading.form === 'empty' ? 'missing' : written
  const expected = bay.expected.get(test.key)!
  return {
    reading: test.key,
    verdict,
    typed,
    value: 'value' in reading ? reading.value : undefined,
    over: reading.form === 'over',
    expected,
    source: sourceLine(expected.source, bay.edition),
    findings,
    mark: test.isAsked && verdict === 'right' ? 1 : 0,
    outOf: test.isAsked ? 1 : 0,
  }
}
