import { HEATING_LEAKAGE, LEAKAGE_SHARE, USUAL_LEAKAGE_A, type LeakageItem } from '../../regulations/leakage'

export interface LeakageQuestion {
  /** How many of each, ≥ 0. */
  readonly items: Readonly<Partial<Record<LeakageItem, number>>>
  /** Power of each heating appliance, W. */
  readonly heatingW: readonly number[]
  /** IΔn, A. */
  readonly ratedA: number
}

export interface LeakageAdvice {
  readonly totalA: number
  /** 30 % of IΔn, A. */
  readonly limitA: number
  readonly isKept: boolean
  /** RCDs of this rating that the equipment would have to be shared over. */
  readonly shares: number
  readonly lines: readonly {
    readonly item: LeakageItem | 'heating'
    readonly count: number
    readonly ampere: number
  }[]
}

const heatingA = (watt: number): number =>
  Math.min(HEATING_LEAKAGE.most, (watt / 1e3) * HEATING_LEAKAGE.perKw)

/** Does what stands behind one RCD leak more than its share? Sums are on the safe side: leakages seldom are in phase. */
export function adviseLeakage({ items, heatingW, ratedA }: LeakageQuestion): LeakageAdvice {
  const counted = (Object.keys(USUAL_LEAKAGE_A) as LeakageItem[]).flatMap((item) => {
    const count = items[item] ?? 0
    return count > 0 ? [{ item, count, ampere: count * USUAL_LEAKAGE_A[item] }] : []
  })
  const heating = heatingW.reduce((sum, watt) => sum + heatingA(watt), 0)
  const lines = [
    ...counted,
    ...(heating > 0 ? [{ item: 'heating' as const, count: heatingW.length, ampere: heating }] : []),
  ]
  const totalA = lines.reduce((sum, { ampere }) => sum + ampere, 0)
  const limitA = LEAKAGE_SHARE * ratedA
  return {
    totalA,
    limitA,
    isKept: totalA <= limitA * (1 + 1e-9),
    shares: Math.max(1, Math.ceil(totalA / limitA - 1e-9)),
    lines,
  }
}
