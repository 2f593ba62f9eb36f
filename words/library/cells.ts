import { formatNumber } from '#core/units/format'
import type { QuantityKey } from '#core/units/quantity'
import type { Cell } from './entry'

/** A cell without a value. */
export const GAP: Cell = { text: '–' }

/** A cell in its quantity's own unit; a gap where the table has no value. */
export function cell(value: number | undefined, quantity: QuantityKey, derivation?: string): Cell {
  if (value === undefined) return GAP
  const text = formatNumber(value, quantity)
  return { text, value: Number(text), derivation }
}

/** A figure as it is. */
export const plain = (value: number | undefined, derivation?: string): Cell =>
  value === undefined ? GAP : { text: String(value), value, derivation }
