import { critical, fault, note, type Finding } from '../../findings/finding'
import type { Edition } from '../../regulations/editions'
import { sourceLine } from '../../regulations/source'
import { kindOf } from '../kinds/kinds'
import { numberOf, type ParsedReading } from '../parse/parse-reading'
import { bandCause, type CauseContext } from './band-cause'

/** One reading with what it should be. */
export interface ReadingInContext extends CauseContext {
  readonly reading: ParsedReading
  readonly edition: Edition
  /** Why it was left out, where it was. */
  readonly why: string
}

/** What one reading says by itself: its form, its limit, its band. The first that is wrong is enough. */
export function judgeReading(entry: ReadingInContext): Finding | undefined {
  const { reading, why } = entry
  if (reading.form === 'empty') return undefined
  if (reading.form === 'left') return leftOut(reading.as, why.trim())
  return wrongForm(entry) ?? offRange(entry) ?? beyond(entry) ?? outside(entry)
}

const leftOut = (as: 'N/A' | 'LIM', why: string): Finding =>
  why === '' ? fault('form.reasonNeeded', { as }) : note('form.left', { as, why })

/** Instruments stop at a range end; `>` anywhere else is not a reading of insulation, Ω. */
const RANGE_ENDS_OHM = [199e6, 200e6, 299e6, 300e6, 499e6, 500e6, 999e6, 1000e6]

/** A tick where a tick belongs, a number elsewhere, `>` only where it says something. */
function wrongForm({ expected: { key }, reading }: ReadingInContext): Finding | undefined {
  if (reading.form === 'unreadable') return fault(`unreadable.${reading.problem}`)
  const { entry } = kindOf(key)
  const isMark = reading.form === 'tick' || reading.form === 'cross'
  if (entry.form === 'tick') return isMark ? undefined : fault('form.tickWanted')
  if (isMark) return fault('form.numberWanted')
  if (reading.form !== 'over') return undefined
  if (entry.over === 'never') return fault('form.overNotHere')
  return entry.over === 'rangeEnd' && !RANGE_ENDS_OHM.includes(reading.value)
    ? fault('form.notARangeEnd', { value: reading.value })
    : undefined
}

/** More than the end of the range: good for insulation and at half IΔn, else nothing joins, or nothing opened. */
function offRange({ expected, reading, edition }: ReadingInContext): Finding | undefined {
  const { entry } = kindOf(expected.key)
  if (reading.form !== 'over' || entry.form !== 'number') return undefined
  const regulation = sourceLine(expected.source, edition)
  if (entry.over === 'open') return critical('limit.open', {}, regulation)
  if (entry.over !== 'noTrip') return undefined
  const { key, limit } = expected
  return critical(
    'limit.noTrip',
    { key, value: reading.value, limit: limit?.value ?? reading.value },
    regulation,
  )
}

/** Past its limit, or not as it must be: nothing is energised on it. */
function beyond({ expected, reading, edition }: ReadingInContext): Finding | undefined {
  const regulation = sourceLine(expected.source, edition)
  const { key, limit } = expected
  const { entry } = kindOf(key)
  if (reading.form === 'cross' && entry.form === 'tick') return critical(entry.cross, {}, regulation)
  const value = numberOf(reading)
  if (value === undefined || !limit) return undefined
  if (limit.kind === 'maximum' ? value <= limit.value : value >= limit.value) return undefined
  if (entry.form === 'number' && entry.over === 'wanted')
    return critical('limit.tripsAtHalf', { value }, regulation)
  return critical('limit.passed', { key, value, limit: limit.value, kind: limit.kind }, regulation)
}

/** Inside the limit or not, the reading does not belong to this bay; the likeliest reason is named. */
function outside(reading: ReadingInContext): Finding | undefined {
  const { key, low, high, value: expected } = reading.expected
  const value = numberOf(reading.reading)
  if (value === undefined || (value >= low && (high === undefined || value <= high))) return undefined
  const figures = { key, value, low, high: high ?? 0, expected: expected ?? low }
  // Above its minimum insulation passes; that new work reads higher is a remark with its reason.
  if (kindOf(key).fit.by === 'decades') return note('band.belowNewWork', { key, value, low })
  return fault('band.outside', { ...figures, ...bandCause(reading, value) })
}
