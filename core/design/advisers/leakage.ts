import { HEATING_LEAKAGE, LEAKAGE_SHARE, USUAL_LEAKAGE_A, type LeakageItem } from '../../regulations/leakage'

export interface LeakageQuestion {
  /** How many of each, ≥ 0. */
  readonly items: Readonly<Partial<Record<LeakageItem, number>>>
  /** Heating appliances, and the power of each, W. */
  readonly heating: { readonly count: number; readonly eachW: number }
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

const heatingA = ({ count, eachW }: LeakageQuestion['heating']): number =>
  count * Math.min(HEATING_LEAKAGE.most, (eachW / 1e3) * HEATING_LEAKAGE.perKw)

/**
 * Does what stands behind one RCD leak more than its share? Sums are on the safe side: leakages seldom are in
 * phase.
 */
export function adviseLeakage({ items, heating, ratedA }: LeakageQuestion): LeakageAdvice {
  const counted = (Object.keys(USUAL_LEAKAGE_A) as LeakageItem[]).flatMap((item) => {
    const count = items[item] ?? 0
    return count > 0 ? [{ item, count, ampere: count * USUAL_LEAKAGE_A[item] }] : []
  })
  const lines = [
    ...counted,
    ...(heating.count > 0
      ? [{ item: 'heating' as const, count: heating.count, ampere: heatingA(heating) }]
      : []),
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
