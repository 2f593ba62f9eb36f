import { fault } from '../../../findings/finding'
import { readingKind } from '../../readings'
import type { Finding } from '../../../findings/finding'
import type { ReadingContext } from './rule'

/** Instruments stop at a range end; `>` anywhere else is not a reading. */
const RANGE_ENDS_OHM = [199e6, 200e6, 299e6, 300e6, 499e6, 500e6, 999e6, 1000e6]

/** The reading has the form of its box: a tick for polarity, a number elsewhere, `>` only at a range end. */
export const form = ({ key, reading }: Pick<ReadingContext, 'key' | 'reading'>): Finding | undefined => {
  if (reading.form === 'unreadable') return fault(`unreadable.${reading.problem}`)
  if (reading.form === 'left') return fault('form.leftNotHere', { as: reading.as })
  const isTick = readingKind(key).form === 'tick'
  if (isTick && (reading.form === 'value' || reading.form === 'over')) return fault('form.tickWanted')
  if (!isTick && (reading.form === 'tick' || reading.form === 'cross')) return fault('form.numberWanted')
  if (reading.form !== 'over') return undefined
  if (readingKind(key).quantity !== 'insulation') return fault('form.overNotHere')
  return RANGE_ENDS_OHM.includes(reading.value)
    ? undefined
    : fault('form.notARangeEnd', { value: reading.value })
}
