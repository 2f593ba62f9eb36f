import { formatQuantity } from '../../units/format'
import type { Reading } from './reading'

/** A reading as the display has it: `0.47 Ω`, `>999 MΩ`; undefined where the instrument refuses. */
export function displayText({ quantity, value, isOver }: Reading): string | undefined {
  if (value === undefined) return undefined
  if (quantity === 'voltage') return `${Math.round(value * 10) / 10} V`
  return `${isOver ? '>' : ''}${formatQuantity(value, quantity)}`
}
