import { parseQuantity } from '../../units/parse'
import type { QuantityKey } from '../../units/quantity'
import type { TestKind } from '../kinds/kind'

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
/** Reads what was typed in a box of this kind. Values in SI. */
export function parseReading(text: string, { entry }: Pick<TestKind, 'entry'>): ParsedReading {
  const trimmed = text.trim()
  if (trimmed === '') return { form: 'empty' }
  if (TICK.test(trimmed)) return { form: 'tick' }
  if (CROSS.test(trimmed)) return { form: 'cross' }
  const left = LEFT.exec(trimmed)
  if (left) return { form: 'left', as: /^n/i.test(trimmed) ? 'N/A' : 'LIM' }
  if (entry.form === 'number' && entry.end !== undefined && OFF_RANGE.test(trimmed))
    return { form: 'over', value: entry.end }
  return parseNumber(trimmed, entry.form === 'number' ? entry.quantity : 'factor')
}

/** A number with its unit, or `>999`, `> 999 MΩ`, `999+`. */
function parseNumber(text: string, quantity: QuantityKey): ParsedReading {
  const over = /^(>|over|more than)\s*/i.exec(text) ?? (/^[\d.,\s]+\+/.test(text) ? [''] : null)
  const parsed = parseQuantity(over ? text.slice(over[0].length).replace('+', '') : text, quantity)
  if (!parsed.ok)
    return { form: 'unreadable', problem: parsed.problem === 'empty' ? 'notANumber' : parsed.problem }
  if (over) return { form: 'over', value: parsed.value }
  return { form: 'value', value: parsed.value, decimals: parsed.decimals, significant: parsed.significant }
}

/** The number of a reading, where it is one. */
export const numberOf = (reading: ParsedReading | undefined): number | undefined =>
  reading?.form === 'value' ? reading.value : undefined

/** A number, or the end of the range that was passed. */
export const atLeast = (reading: ParsedReading | undefined): number | undefined =>
  reading?.form === 'value' || reading?.form === 'over' ? reading.value : undefined
