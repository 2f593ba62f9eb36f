import { parseQuantity } from '../../units/parse'
import type { QuantityKey } from '../../units/quantity'
import type { ReadingKind } from '../readings'

/** A reading as typed: a value, `>999` at the top of the instrument's range, a tick or a cross. */
export type ParsedReading =
  | {
      readonly form: 'value'
      readonly value: number
      readonly decimals: number
      readonly significant: number
    }
  /** The instrument ran off its range above `value`. */
  | { readonly form: 'over'; readonly value: number }
  | { readonly form: 'tick' }
  | { readonly form: 'cross' }
  /** Not applicable, or limited: left out, which needs a reason. */
  | { readonly form: 'left'; readonly as: 'N/A' | 'LIM' }
  | { readonly form: 'empty' }
  | { readonly form: 'unreadable'; readonly problem: 'notANumber' | 'otherUnit' | 'negative' }

const TICK = /^(✓|✔|√|ok|yes|pass|correct)$/i
const CROSS = /^(✗|✘|x|no|fail|wrong|reversed)$/i

const LEFT = /^(n\/?a|lim(itation)?)\.?$/i
/** What people write when the instrument runs off its range without saying where that ends. */
const OFF_RANGE = /^(ol|o\.l\.?|o\/l|inf|∞|open)$/i
const RANGE_END: Readonly<Partial<Record<QuantityKey, number>>> = {
  resistance: 1999,
  insulation: 999e6,
  time: 0.3,
  faultCurrent: 20e3,
}

/** Reads what was typed in a box of this kind. Values in SI. */
export function parseReading(text: string, kind: ReadingKind): ParsedReading {
  const trimmed = text.trim()
  if (trimmed === '') return { form: 'empty' }
  if (TICK.test(trimmed)) return { form: 'tick' }
  if (CROSS.test(trimmed)) return { form: 'cross' }
  const left = LEFT.exec(trimmed)
  if (left) return { form: 'left', as: /^n/i.test(trimmed) ? 'N/A' : 'LIM' }
  const end = RANGE_END[kind.quantity]
  if (kind.form === 'number' && end !== undefined && OFF_RANGE.test(trimmed))
    return { form: 'over', value: end }
  // `>999`, `> 999 MΩ`, `999+`.
  const over = /^(>|over|more than)\s*/i.exec(trimmed) ?? (/^[\d.,\s]+\+/.test(trimmed) ? [''] : null)
  const parsed = parseQuantity(over ? trimmed.slice(over[0].length).replace('+', '') : trimmed, kind.quantity)
  if (!parsed.ok)
    return { form: 'unreadable', problem: parsed.problem === 'empty' ? 'notANumber' : parsed.problem }
  if (over) return { form: 'over', value: parsed.value }
  return { form: 'value', value: parsed.value, decimals: parsed.decimals, significant: parsed.significant }
}
