import { cost } from '../expected/fit'
import type { Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { Study } from './study'

/** No cause is made smaller or larger than this beside the catalogue's own size. */
const MOST_TIMES = 30
export const withinSizes = (size: number): number => Math.min(MOST_TIMES, Math.max(1 / MOST_TIMES, size))

/**
 * How many times its own size a cause must have so that it explains the odd readings best: one size for every
 * reading that it touches. Undefined where none of them moves the way the cause moves it. In ohms for what is
 * compared by amount, in conductance for insulation.
 */
export function fittingSize(study: Study, outcomes: ReadonlyMap<string, Outcome>): number | undefined {
  const moved = study.measured.flatMap(({ key, kind }) => movedReading(study, outcomes, key, kind))
  const sizes = moved.flatMap(({ key, seen, base, own }) => {
    const size = (seen - base) / (own - base)
    return study.odd.has(key) && size > 0 ? [withinSizes(size)] : []
  })
  const left = (size: number) =>
    moved.reduce((sum, { kind, seen, base, own, isConductance }) => {
      const predicted = base + size * (own - base)
      const outcome = (value: number): Outcome => ({ is: 'value', value: isConductance ? 1 / value : value })
      return sum + cost(kind, outcome(seen), outcome(predicted))
    }, 0)
  return sizes.length
    ? sizes.reduce((best, candidate) => (left(candidate) < left(best) ? candidate : best))
    : undefined
}

/** A reading of the sheet, of the sound bay and of the bay with the cause, on a scale where sizes add up. */
function movedReading(study: Study, outcomes: ReadonlyMap<string, Outcome>, key: string, kind: string) {
  const { by } = kindOf(kind).fit
  if (by !== 'amount' && by !== 'decades') return []
  const isConductance = by === 'decades'
  const scaled = (outcome: Outcome | undefined) => {
    if (isConductance)
      return outcome?.is === 'value' || outcome?.is === 'over' ? 1 / Math.max(1, outcome.value) : undefined
    return outcome?.is === 'value' ? outcome.value : undefined
  }
  const [seen, base, own] = [study.observed, study.sound, outcomes].map((map) => scaled(map.get(key)))
  if (seen === undefined || base === undefined || own === undefined) return []
  const isMoved = Math.abs(own - base) > 0.02 * Math.max(own, base)
  return isMoved ? [{ key, kind, seen, base, own, isConductance }] : []
}
