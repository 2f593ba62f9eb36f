import { QUANTITIES, type Quantity, type QuantityKey } from './quantity'

const MOST_DECIMALS = 5
/** Below this two decimals would say nothing. */
const SMALLEST_AREA = 0.01

/** An SI value in its display unit, without the unit: enough digits to be useful, none that are invented. */
export function formatNumber(value: number, key: QuantityKey): string {
  const quantity: Quantity = QUANTITIES[key]
  const shown = value * quantity.scale
  if (shown === 0) return '0'
  if (key === 'area' && shown < SMALLEST_AREA) return shown.toPrecision(1)
  if (key === 'area' || key === 'rating' || key === 'faultCurrent') return String(Number(shown.toFixed(2)))
  if (key === 'energy') return String(shown < 10 ? Number(shown.toPrecision(2)) : Math.round(shown))
  // Small values keep two significant digits, large ones drop the tail beyond four.
  const magnitude = Math.floor(Math.log10(Math.abs(shown)))
  const decimals =
    magnitude < 0
      ? Math.max(quantity.decimals, 1 - magnitude)
      : Math.min(quantity.decimals, Math.max(0, 3 - magnitude))
  return shown.toFixed(Math.min(decimals, MOST_DECIMALS))
}

/** An SI value with its display unit, as in `0.47 Ω`. */
export function formatQuantity(value: number, key: QuantityKey): string {
  const unit = QUANTITIES[key].unit
  return unit ? `${formatNumber(value, key)} ${unit}` : formatNumber(value, key)
}

/** Round half up at `decimals`, immune to the binary tail that turns 2.185 into 2.18. */
export function roundTo(value: number, decimals: number): number {
  const factor = 10 ** decimals
  return Math.round(value * factor + 1e-9) / factor
}

/** Currents below this are none, A; below a tenth of `mA` digits say nothing. */
const NO_CURRENT_A = 5e-5
const SMALL_CURRENT_A = 0.01

/** A current with the prefix that suits its size: `0 A`, `4.2 mA`, `30 mA`, `12.6 A`, `1.8 kA`. */
export function formatCurrent(ampere: number): string {
  if (ampere < NO_CURRENT_A) return '0 A'
  if (ampere < 0.9995) return `${(ampere * 1e3).toFixed(ampere < SMALL_CURRENT_A ? 1 : 0)} mA`
  return ampere >= 1000 ? `${(ampere / 1e3).toFixed(1)} kA` : `${ampere.toFixed(1)} A`
}

/** A time as people say it: `at once`, `30 ms`, `4.2 s`, `3 min`, `2.0 h`. */
export function formatDuration(seconds: number): string {
  if (seconds < 0.001) return 'at once'
  if (seconds < 1) return `${Math.round(seconds * 1e3)} ms`
  if (seconds < 90) return `${seconds < 10 ? seconds.toFixed(1) : Math.round(seconds)} s`
  return seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${(seconds / 3600).toFixed(1)} h`
}
