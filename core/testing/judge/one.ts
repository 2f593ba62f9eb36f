import { critical, fault, note, type Finding } from '../../findings/finding'
import { sourceLine } from '../../regulations/source'
import type { Edition } from '../../regulations/editions'
import type { ParsedReading } from '../parse/parse-reading'
import { readingKind } from '../readings'
import { form } from './rules/form'
import type { ScheduleExpected } from '../expected/expected'

interface One {
  readonly key: string
  readonly reading: ParsedReading
  readonly expected: ScheduleExpected
  readonly edition: Edition
  /** Why it was left out, where it was. */
  readonly why: string
}

/** What one reading says by itself: its form, its limit, its band. The first that is wrong is enough. */
export function judgeOne({ key, reading, expected, edition, why }: One): Finding | undefined {
  if (reading.form === 'empty') return undefined
  if (reading.form === 'left')
    return why.trim() === ''
      ? fault('form.reasonNeeded', { as: reading.as })
      : note('form.left', { as: reading.as, why: why.trim() })
  // "Did not trip" is written as more than the longest time; everywhere else the form is the same as on any sheet.
  if (reading.form === 'over' && key.includes('.rcd')) return overTime(key, reading.value, expected, edition)
  if (reading.form === 'over' && readingKind(key).quantity === 'resistance')
    return critical('limit.open', {}, sourceLine(expected.source, edition))
  return form({ key, reading }) ?? beyond(key, reading, expected, edition) ?? outside(key, reading, expected)
}

/** More than the end of its range: right at half IΔn, a failure at once and five times. */
function overTime(
  key: string,
  value: number,
  expected: ScheduleExpected,
  edition: Edition,
): Finding | undefined {
  if (key.includes('.rcdHalf')) return undefined
  return critical(
    'limit.noTrip',
    { key, value, limit: expected.limit?.value ?? value },
    sourceLine(expected.source, edition),
  )
}

function beyond(
  key: string,
  reading: ParsedReading,
  expected: ScheduleExpected,
  edition: Edition,
): Finding | undefined {
  const regulation = sourceLine(expected.source, edition)
  if (reading.form === 'cross')
    return critical(
      readingKind(key).key === 'polarity' ? 'limit.polarity' : 'limit.notWorking',
      {},
      regulation,
    )
  if (reading.form !== 'value' || !expected.limit) return undefined
  const { kind, value: limit } = expected.limit
  const isBeyond = kind === 'maximum' ? reading.value > limit : reading.value < limit
  if (!isBeyond) return undefined
  return key.includes('.rcdHalf')
    ? critical('limit.tripsAtHalf', { value: reading.value }, regulation)
    : critical('limit.passed', { key, value: reading.value, limit, kind }, regulation)
}

/** Usual shifts of a decimal point. */
const SHIFTS = [10, 100, 1000, 0.1, 0.01, 0.001]

function outside(
  key: string,
  reading: ParsedReading,
  { low, high, value: told }: ScheduleExpected,
): Finding | undefined {
  if (reading.form !== 'value' || readingKind(key).form === 'tick') return undefined
  const { value } = reading
  if (value >= low && (high === undefined || value <= high)) return undefined
  const isHigh = value > low
  const isShifted =
    told !== undefined &&
    SHIFTS.some((factor) => value / factor >= low && value / factor <= (high ?? Infinity))
  return fault('band.outside', {
    key,
    value,
    low,
    high: high ?? 0,
    expected: told ?? low,
    cause: isShifted ? 'decimal' : causeOf(key, isHigh),
  })
}

/** What is usually behind it when nothing fits better; common practice, no source. */
function causeOf(key: string, isHigh: boolean): string {
  const { key: kind } = readingKind(key)
  if (kind.startsWith('ir')) return 'lowInsulation'
  if (kind === 'ze' || kind === 'pfc') return (kind === 'ze') === isHigh ? 'highExternal' : 'lowExternal'
  if (kind === 'drop' || kind === 'clamp') return 'underLoad'
  if (kind.startsWith('rcd')) return 'tooFast'
  return isHigh ? 'high' : 'low'
}
