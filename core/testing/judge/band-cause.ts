import { loopMetres, sizesFor } from '../../design/limits/limits'
import type { CircuitDesign } from '../../design/reference'
import type { BandCause } from '../../findings/codes'
import { pairOhmPerM } from '../../regulations/cables/sizes'
import type { ExpectedReading } from '../expected/expected'
import { kindOf } from '../kinds/kinds'
import { r1r2 } from '../kinds/r1r2'
import { LEADS_OHM } from '../relations/leads'
import type { OtherBay } from '../relations/sheet'

export interface CauseContext {
  readonly expected: ExpectedReading
  /** The design of its circuit, where it is asked at the furthest point. */
  readonly design: CircuitDesign | undefined
  readonly others: readonly OtherBay[]
}

export interface NamedCause {
  readonly cause: BandCause
  readonly bay?: number
  readonly areaMm2?: number
  readonly extra?: number
}

/** Usual shifts of a decimal point. */
const SHIFTS = [10, 100, 1000, 0.1, 0.01, 0.001]

/**
 * Why a reading outside its band is probably so: the first that fits, else what is usually behind such a
 * reading.
 */
export function bandCause(context: CauseContext, value: number): NamedCause {
  const { expected } = context
  const kind = kindOf(expected.key)
  const isHigh = value > expected.low
  return (
    movedDecimal(expected, value) ??
    othersReading(context, value) ??
    (kind.key === r1r2.key ? otherConductor(context, value, isHigh) : undefined) ??
    leads(context, value, isHigh) ?? { cause: kind.usualCause(isHigh) }
  )
}

/** The reading fits once its decimal point is put back. */
function movedDecimal(
  { value: expected, low, high }: ExpectedReading,
  value: number,
): NamedCause | undefined {
  if (expected === undefined) return undefined
  const fits = SHIFTS.some((factor) => value / factor >= low && value / factor <= (high ?? Infinity))
  return fits ? { cause: 'decimal' } : undefined
}

const isClose = (candidate: number, value: number): boolean =>
  Math.abs(candidate - value) <= 0.02 * value + 0.005

/** It is what the same test shows at somebody else's bay. */
function othersReading({ expected, others }: CauseContext, value: number): NamedCause | undefined {
  const other = others.find(({ expected: theirs }) => {
    const otherValue = theirs.get(expected.key)?.value
    return otherValue !== undefined && isClose(otherValue, value)
  })
  return other && { cause: 'othersBay', bay: other.bay }
}

/** One conductor alone, or a cable of another size over this length. */
function otherConductor(
  { expected, design }: CauseContext,
  value: number,
  isHigh: boolean,
): NamedCause | undefined {
  const planned = expected.value
  // Of a ring the end to end readings say so, all three of them.
  if (!design || planned === undefined || design.task.topology === 'ring') return undefined
  const sizes = sizesFor(design.task)
  const metres = loopMetres(design.task)
  const pairOhm = (size: (typeof sizes)[number]) => pairOhmPerM(size) * metres
  const place = sizes.findIndex(({ lineMm2 }) => lineMm2 === design.values.csa)
  const lineAlone = sizes.some(
    (size) => isClose(size.r1OhmPerM * metres, value) && pairOhm(size) < planned * 1.05,
  )
  if (!isHigh && lineAlone) return { cause: 'oneConductor' }
  // A cable two sizes off is a mix-up; more than that nobody draws in.
  const other = sizes.find(
    (size, i) => Math.abs(i - place) <= 2 && i !== place && isClose(pairOhm(size), value),
  )
  return other && { cause: 'otherSize', areaMm2: other.lineMm2 }
}

/** About as much too high as a pair of leads has, in a reading that leads are in. */
function leads({ expected }: CauseContext, value: number, isHigh: boolean): NamedCause | undefined {
  const extra = value - (expected.value ?? value)
  const isIn = kindOf(expected.key).relations.includes('leads')
  const isLikely = isIn && isHigh && extra >= LEADS_OHM.least && extra <= LEADS_OHM.most
  return isLikely ? { cause: 'leadsOrLoose', extra } : undefined
}
