import { loopMetres, sizesFor } from '../../../design/limits'
import { pairOhmPerM } from '../../../regulations/cables/sizes'
import { fault, type Finding } from '../../../findings/finding'
import type { ReadingKey } from '../../readings'
import { numberOf, type ReadingContext, type ReadingRule } from './rule'

/** Leads that were not nulled add about this much, Ω; common practice, no source. */
const LEADS_OHM = { low: 0.05, high: 0.3 }

/** Inside the limit or not, the reading does not belong to this bay; the likeliest reason is named. */
export const band: ReadingRule = (context) => {
  const { key, reading, expected } = context
  const value = numberOf(reading)
  if (value === undefined || key === 'polarity') return undefined
  const isHigh = expected.high !== undefined && value > expected.high
  if (!isHigh && value >= expected.low) return undefined
  const params = {
    key,
    value,
    low: expected.low,
    high: expected.high ?? 0,
    expected: expected.value ?? expected.low,
  }
  const because =
    (key === 'r1r2' ? resistanceCause(context, value, isHigh) : decimalCause(context, value)) ??
    usualCause(key, isHigh)
  return fault('band.outside', { ...params, ...because.params, cause: because.cause })
}

interface Cause {
  readonly cause: string
  readonly params?: Finding['params']
}

/** What is usually behind it when nothing fits better; common practice, no source. */
function usualCause(key: ReadingKey, isHigh: boolean): Cause {
  if (key.startsWith('ir')) return { cause: 'lowInsulation' }
  if (key === 'ze') return { cause: isHigh ? 'highExternal' : 'lowExternal' }
  if (key === 'rcdTime') return { cause: 'tooFast' }
  return { cause: isHigh ? 'high' : 'low' }
}

/** Causes of an odd R1 + R2, the one that fits best first. */
function resistanceCause(context: ReadingContext, value: number, isHigh: boolean): Cause | undefined {
  const { expected, task, others } = context
  const decimal = decimalCause(context, value)
  if (decimal) return decimal
  const fits = (candidate: number) => Math.abs(candidate - value) <= 0.02 * value + 0.005
  const neighbour = others.find((other) => fits(other.r1r2Ohm))
  if (neighbour) return { cause: 'othersBay', params: { bay: neighbour.bay } }
  const sizes = sizesFor(task)
  const metres = loopMetres(task)
  const lineOnly = sizes.find(
    (size) =>
      expected.value && fits(size.r1OhmPerM * metres) && pairOhmPerM(size) * metres < expected.value * 1.05,
  )
  if (!isHigh && lineOnly) return { cause: 'oneConductor' }
  const planned = sizes.findIndex(
    (size) => expected.value && Math.abs(pairOhmPerM(size) * metres - expected.value) < 1e-6,
  )
  // A cable two sizes off is a mix-up; more than that nobody draws in.
  const other = sizes.find((size, i) => Math.abs(i - planned) <= 2 && fits(pairOhmPerM(size) * metres))
  if (other) return { cause: 'otherSize', params: { areaMm2: other.lineMm2 } }
  const extra = value - (expected.value ?? value)
  if (isHigh && extra >= LEADS_OHM.low && extra <= LEADS_OHM.high)
    return { cause: 'leadsOrLoose', params: { extra } }
  return undefined
}

/** The reading fits once its decimal point is put back. */
function decimalCause({ expected }: ReadingContext, value: number): Cause | undefined {
  if (expected.value === undefined) return undefined
  const fits = [10, 100, 0.1, 0.01].some(
    (factor) => value / factor >= expected.low && value / factor <= (expected.high ?? Infinity),
  )
  return fits ? { cause: 'decimal' } : undefined
}
