import type { Drift } from '#core/statistics/drift'

const percent = (share: number): string => `${share > 0 ? '+' : '−'}${Math.abs(Math.round(100 * share))} %`

/** What a bay or an instrument does to its readings. */
export function driftSays({ of, excess, is, n, kinds, sameWay }: Drift): string {
  if (excess === null) return `${of}: too few readings to say (${n}).`
  const figures =
    `${percent(excess.by)} against all others (99.9 % interval ` +
    `${percent(excess.low)} to ${percent(excess.high)}; ${n} readings)`
  if (is === 'drifts')
    return (
      `${of} reads ${excess.by > 0 ? 'high' : 'low'} in every test: ${figures}, ${sameWay} ` +
      `of ${kinds} kinds the same way. Look at its leads, its terminals, its calibration.`
    )
  return `${of}: nothing that could not be chance, ${figures}.`
}
