import type { TestKind } from './bay-test'
import type { Outcome } from './predict'

/** Instrument, cut length and workshop air together: share of the value, and Ω or s. */
const SPREAD: Readonly<Record<TestKind, { readonly relative: number; readonly absolute: number }>> = {
  r1: { relative: 0.08, absolute: 0.03 },
  rn: { relative: 0.08, absolute: 0.03 },
  r2: { relative: 0.08, absolute: 0.03 },
  r1r2: { relative: 0.09, absolute: 0.03 },
  r2Long: { relative: 0.09, absolute: 0.03 },
  irLN: { relative: 0, absolute: 0 },
  irLE: { relative: 0, absolute: 0 },
  irNE: { relative: 0, absolute: 0 },
  polarity: { relative: 0, absolute: 0 },
  bonding: { relative: 0.08, absolute: 0.04 },
  irLL: { relative: 0, absolute: 0 },
  pfc: { relative: 0.15, absolute: 60 },
  rotation: { relative: 0, absolute: 0 },
  rcdHalf: { relative: 0, absolute: 0 },
  rcdFive: { relative: 0, absolute: 0 },
  rcdButton: { relative: 0, absolute: 0 },
  functional: { relative: 0, absolute: 0 },
  drop: { relative: 0.2, absolute: 2 },
  clamp: { relative: 0.12, absolute: 0.4 },
  ze: { relative: 0.07, absolute: 0.05 },
  zs: { relative: 0.09, absolute: 0.06 },
  rcd: { relative: 0, absolute: 0 },
}
/** Insulation is compared by its order of magnitude; above this everything is new and dry, Ω. */
const GOOD_OHM = 100e6
const DECADES = 0.35
/** A residual device may take anything up to this, s. */
const LONGEST_TRIP_S = 0.3
/** No single reading weighs more than this. */
export const MOST_COST = 9

const TICKED: ReadonlySet<TestKind> = new Set<TestKind>(['polarity', 'rotation', 'rcdButton', 'functional'])

/** How badly an observed reading fits a predicted one: 0 within the band, up to the most. */
export function cost(kind: TestKind, observed: Outcome, predicted: Outcome): number {
  if (TICKED.has(kind)) return observed.is === predicted.is ? 0 : MOST_COST
  if (kind.startsWith('ir')) return insulation(observed, predicted)
  if (observed.is === 'over' || predicted.is === 'over' || observed.is === 'none' || predicted.is === 'none')
    return observed.is === predicted.is ? 0 : MOST_COST
  if (observed.is !== 'value' || predicted.is !== 'value') return MOST_COST
  if (kind === 'rcd')
    return observed.value <= LONGEST_TRIP_S === predicted.value <= LONGEST_TRIP_S ? 0 : MOST_COST
  const { relative, absolute } = SPREAD[kind]
  const off =
    Math.abs(observed.value - predicted.value) /
    (relative * Math.max(observed.value, predicted.value) + absolute)
  return off <= 1 ? 0 : Math.min(MOST_COST, 1.5 * (off - 1) ** 1.2)
}

function insulation(observed: Outcome, predicted: Outcome): number {
  const size = (one: Outcome) =>
    one.is === 'over' ? GOOD_OHM : one.is === 'value' ? Math.min(GOOD_OHM, Math.max(1, one.value)) : undefined
  const [a, b] = [size(observed), size(predicted)]
  if (a === undefined || b === undefined) return observed.is === predicted.is ? 0 : MOST_COST
  const decades = Math.abs(Math.log10(a / b))
  return decades <= DECADES ? 0 : Math.min(MOST_COST, 4 * (decades - DECADES))
}

/** Band around a predicted value, for the words and the gauge. */
export function bandOf(
  kind: TestKind,
  predicted: Outcome,
): { readonly low: number; readonly high: number } | undefined {
  if (predicted.is !== 'value' || kind.startsWith('ir') || kind.startsWith('rcd') || kind === 'polarity')
    return undefined
  const { relative, absolute } = SPREAD[kind]
  return {
    low: Math.max(0, (predicted.value - absolute) / (1 + relative)),
    high: (predicted.value + absolute) / (1 - relative),
  }
}

/** Does this reading stray from the sound one in the same direction, if not as far? A resistance that has no fixed size does. */
export function isSameDirection(observed: Outcome, predicted: Outcome, sound: Outcome): boolean {
  const size = (one: Outcome) => (one.is === 'over' ? 1e12 : one.is === 'value' ? one.value : undefined)
  const [seen, told, base] = [size(observed), size(predicted), size(sound)]
  if (seen === undefined || told === undefined || base === undefined || told === base) return false
  return (
    Math.sign(seen - base) === Math.sign(told - base) &&
    Math.abs(seen - base) > 0.05 * base &&
    observed.is === predicted.is
  )
}
