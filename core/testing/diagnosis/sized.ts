import { MOST_COST, cost } from '../expected/fit'
import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { Study } from './study'

/** No cause is made smaller or larger than this beside the catalogue's own size. */
const MOST_TIMES = 30
export const withinSizes = (size: number): number => Math.min(MOST_TIMES, Math.max(1 / MOST_TIMES, size))

/** The bay solved with the cause at one size; 1 is the catalogue's own. */
export interface AtSize {
  readonly size: number
  readonly outcomes: ReadonlyMap<string, Outcome>
}

/**
 * The size at which a cause explains the odd readings best: one size for every reading that it touches. Undefined
 * where none of them moves the way the cause moves it. In ohms for what is compared by amount, in conductance for
 * insulation. `felt` are the readings that the cause can move.
 */
export function fittingSize(
  study: Study,
  solved: readonly AtSize[],
  felt: readonly BayTest[] = study.measured,
): number | undefined {
  const moved = felt.flatMap(({ key, kind }) => movedReading(study, solved, key, kind))
  const sizes = moved.flatMap(({ key, seen, curve }) => {
    const size = curve.sizeAt(seen)
    return study.odd.has(key) && size > 0 ? [withinSizes(size)] : []
  })
  const left = (size: number) =>
    moved.reduce((sum, { kind, seen, curve, isConductance }) => {
      const outcome = (value: number): Outcome => ({ is: 'value', value: isConductance ? 1 / value : value })
      const left = cost(kind, outcome(seen), outcome(curve.at(size)))
      // Past the pole of a curve there is no such reading.
      return sum + (Number.isFinite(left) ? left : MOST_COST)
    }, 0)
  return sizes.length
    ? sizes.reduce((best, candidate) => (left(candidate) < left(best) ? candidate : best))
    : undefined
}

/** How one reading follows the size of a cause. */
interface Curve {
  readonly at: (size: number) => number
  /** Not above nought where no size gives this reading. */
  readonly sizeAt: (reading: number) => number
}

type Point = readonly [size: number, reading: number]

/**
 * Between any two nodes of a linear network the resistance follows one resistor x of it as (a + b x)/(1 + g x), which
 * three solved points tell exactly; through two points a straight line is laid.
 */
function curveThrough(sound: number, points: readonly Point[]): Curve {
  const slopes = points.map(([size, reading]) => (reading - sound) / size)
  const [one, other] = points.slice(-2)
  const [first, second] = slopes.slice(-2)
  const bend = other && one![1] !== other[1] ? (first! - second!) / (other[1] - one![1]) : 0
  const rise = first! + bend * one![1]
  return {
    at: (size) => (sound + rise * size) / (1 + bend * size),
    sizeAt: (reading) => (reading - sound) / (rise - bend * reading),
  }
}

/** A reading of the sheet, and how it follows the cause, on a scale where sizes add up. */
function movedReading(study: Study, solved: readonly AtSize[], key: string, kind: string) {
  const { by } = kindOf(kind).fit
  if (by !== 'amount' && by !== 'decades') return []
  const isConductance = by === 'decades'
  const scaled = (outcome: Outcome | undefined) => {
    if (isConductance)
      return outcome?.is === 'value' || outcome?.is === 'over' ? 1 / Math.max(1, outcome.value) : undefined
    return outcome?.is === 'value' ? outcome.value : undefined
  }
  const [seen, base] = [study.observed, study.sound].map((map) => scaled(map.get(key)))
  const points = solved.flatMap(({ size, outcomes }): Point[] => {
    const reading = scaled(outcomes.get(key))
    return reading === undefined ? [] : [[size, reading]]
  })
  const own = points.at(-1)?.[1]
  if (seen === undefined || base === undefined || own === undefined) return []
  const isMoved = Math.abs(own - base) > 0.02 * Math.max(own, base)
  return isMoved ? [{ key, kind, seen, isConductance, curve: curveThrough(base, points) }] : []
}
