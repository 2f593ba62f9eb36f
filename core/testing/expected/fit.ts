import type { Fit, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'

/** Insulation is compared by its order of magnitude; above this everything is new and dry, Ω. */
const GOOD_OHM = 100e6
const DECADES = 0.35
/** No single reading weighs more than this. */
export const MOST_COST = 9
/** A reading that costs more than this does not fit. */
export const FITS = 1.5
/** Of a device that did not operate where a slow one was predicted. */
const SLOWER_COST = 1

/** How badly an observed reading fits a predicted one: 0 within the band, up to the most. */
export function cost(kind: string, observed: Outcome, predicted: Outcome): number {
  const { fit } = kindOf(kind)
  if (fit.by === 'decades') return byDecades(observed, predicted)
  // A slow device may be slower than the instrument waits.
  if (fit.by === 'limit' && observed.is === 'over' && predicted.is === 'value')
    return predicted.value > fit.limitS ? SLOWER_COST : MOST_COST
  if (observed.is !== 'value' || predicted.is !== 'value') return observed.is === predicted.is ? 0 : MOST_COST
  switch (fit.by) {
    case 'limit':
      return byLimit(fit, observed.value, predicted.value)
    case 'amount':
      return byAmount(fit, observed.value, predicted.value)
    case 'tick':
      return MOST_COST
  }
}

function byLimit(
  { limitS, delayedS }: Extract<Fit, { by: 'limit' }>,
  observed: number,
  predicted: number,
): number {
  if (delayedS) {
    const { least, most } = delayedS
    // A time beyond the limit is a slow device's; within it, a delayed one's.
    const isDelayed = predicted >= least && predicted <= (limitS > least ? limitS : most)
    if (isDelayed) return observed >= least && observed <= most ? 0 : MOST_COST
  }
  return observed <= limitS === predicted <= limitS ? 0 : MOST_COST
}

function byAmount(fit: Extract<Fit, { by: 'amount' }>, observed: number, predicted: number): number {
  const allowed = fit.relative * Math.max(observed, predicted) + fit.absolute
  const off = Math.abs(observed - predicted) / allowed
  return off <= 1 ? 0 : Math.min(MOST_COST, 1.5 * (off - 1) ** 1.2)
}

function byDecades(observed: Outcome, predicted: Outcome): number {
  const size = (outcome: Outcome) => {
    if (outcome.is === 'over') return GOOD_OHM
    return outcome.is === 'value' ? Math.min(GOOD_OHM, Math.max(1, outcome.value)) : undefined
  }
  const [a, b] = [size(observed), size(predicted)]
  if (a === undefined || b === undefined) return observed.is === predicted.is ? 0 : MOST_COST
  const decades = Math.abs(Math.log10(a / b))
  return decades <= DECADES ? 0 : Math.min(MOST_COST, 4 * (decades - DECADES))
}

/** Band around a predicted value; undefined where a kind is not compared by amount. */
export function bandOf(
  kind: string,
  predicted: Outcome,
): { readonly low: number; readonly high: number } | undefined {
  const { fit } = kindOf(kind)
  if (predicted.is !== 'value' || fit.by !== 'amount') return undefined
  const { relative, absolute } = fit
  return {
    low: Math.max(0, (predicted.value - absolute) / (1 + relative)),
    high: (predicted.value + absolute) / (1 - relative),
  }
}

/** Less than this, as a share, is rounding of the computation and no change. */
const MOVED = 0.002
/** More than any instrument shows, Ω. */
const OPEN_OHM = 1e12

function sizeOf(outcome: Outcome): number | undefined {
  if (outcome.is === 'over') return OPEN_OHM
  return outcome.is === 'value' ? outcome.value : undefined
}

/**
 * Does this reading stray from the sound one in the same direction, if not as far? A resistance that has no
 * fixed size does.
 */
export function isSameDirection(observed: Outcome, predicted: Outcome, sound: Outcome): boolean {
  const [seen, expected, base] = [observed, predicted, sound].map(sizeOf)
  if (seen === undefined || expected === undefined || base === undefined) return false
  if (Math.abs(expected - base) <= MOVED * base) return false
  const isAway = Math.abs(seen - base) > 0.05 * base
  return Math.sign(seen - base) === Math.sign(expected - base) && isAway && observed.is === predicted.is
}
