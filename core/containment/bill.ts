import type { RunSheet } from './form'
import { cornersOf } from './geometry'
import type { Support } from './supports'
import type { Tube } from './tubes'

/** What a run takes beside its tubes, for all its bays. */
export function billOf(
  { run, bays }: RunSheet,
  tubes: readonly Tube[],
  supports: readonly Support[],
): { readonly name: string; readonly count: number }[] {
  const count = (joint: string) => run.straights.filter(({ then }) => then === joint).length
  const couplers = count('coupler')
  const metres = tubes.reduce((sum, { cutMm }) => sum + cutMm, 0) / 1000
  const isConduit = run.made === 'conduit'
  const lines = [
    { name: 'boxes', count: (count('box') + 2) * bays },
    { name: 'inspection elbows', count: count('inspection') * bays },
    { name: 'couplers', count: couplers * bays },
    isConduit
      ? { name: 'spouts with bush', count: (tubes.length - couplers) * 2 * bays }
      : {
          name: run.made === 'trunking' ? 'mitred corners, their edges deburred' : 'corners, made up',
          count: cornersOf(run).filter(({ joint }) => joint === 'bend' || joint === 'set').length * bays,
        },
    { name: isConduit ? `saddles ${run.sizeMm} mm` : 'fixings', count: supports.length * bays },
    ...(isConduit
      ? [{ name: 'metres of draw wire, with a metre to hold', count: Math.ceil(metres + 1) }]
      : []),
  ]
  return lines.filter((line) => line.count > 0)
}
