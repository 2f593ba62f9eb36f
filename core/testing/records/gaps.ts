import { circuitOfKey, kindOf } from '../kinds/kinds'
import { parseReading } from '../parse/parse-reading'
import { whyKey } from '../readings'
import type { RecordFacts, RecordFailure, RecordGap, RecordPart } from './record-shape'

/** What is still empty, and which reasons are owed. */
export function missingOf(
  facts: RecordFacts,
  parts: readonly RecordPart[],
  circuits: readonly string[],
): RecordGap[] {
  const items = parts.flatMap(({ items: partItems }) => partItems)
  const concerned = facts.marks.filter(({ reading }) => concerns(reading, circuits))
  const tests = concerned.filter(({ verdict }) => verdict === 'missing').length
  const owed = concerned.filter(
    ({ reading, typed }) =>
      parseReading(typed, kindOf(reading)).form === 'left' && !(facts.readings[whyKey(reading)] ?? '').trim(),
  ).length
  return [
    ...items.filter(({ value }) => value === '').map(({ key }): RecordGap => ({ code: 'box', key })),
    ...items.filter(({ why }) => why === '').map(({ key }): RecordGap => ({ code: 'reason', key })),
    ...(tests ? [{ code: 'readings', count: tests } as const] : []),
    ...(owed ? [{ code: 'reasons', count: owed } as const] : []),
    ...(facts.isTested ? [] : [{ code: 'liveTests' } as const]),
  ]
}

/** Readings that fail, and an instrument past its calibration date. */
export function failingOf(
  { marks, instrument, today }: RecordFacts,
  circuits: readonly string[],
): RecordFailure[] {
  const critical = marks.filter(
    ({ reading, findings }) =>
      concerns(reading, circuits) && findings.some(({ seriousness }) => seriousness === 'critical'),
  )
  return [
    ...critical.map(({ reading }): RecordFailure => ({ code: 'reading', reading })),
    ...(instrument && instrument.dueOn < today ? [{ code: 'instrument' } as const] : []),
  ]
}

const concerns = (reading: string, circuits: readonly string[]): boolean =>
  circuitOfKey(reading) === undefined || circuits.includes(circuitOfKey(reading)!)
