import { parseQuantity } from '../units/parse'
import type { ReadingKind } from './readings'

/** A reading as typed: a value, `>999` at the top of the instrument's range, a tick or a cross. */
export type ParsedReading =
  | { readonly form: 'value'; readonly value: number; readonly decimals: number; readonly significant: number }
  /** The instrument ran off its range above `value`. */
  | { readonly form: 'over'; readonly value: number }
  | { readonly form: 'tick' }
  | { readonly form: 'cross' }
  | { readonly form: 'empty' }
  | { readonly form: 'unreadable'; readonly problem: 'notANumber' | 'otherUnit' | 'negative' }

const TICK = /^(✓|✔|√|ok|yes|pass|correct)$/i
const CROSS = /^(✗|✘|x|no|fail|wrong|reversed)$/i

/** Reads what was typed in a box of this kind. Values in SI. */
export function parseReading(text: string, kind: ReadingKind): ParsedReading {
  const trimmed = text.trim()
  if (trimmed === '') return { form: 'empty' }
  if (TICK.test(trimmed)) return { form: 'tick' }
  if (CROSS.test(trimmed)) return { form: 'cross' }
  const over = /^(>|over|more than)\s*/i.exec(trimmed)
  const parsed = parseQuantity(over ? trimmed.slice(over[0].length) : trimmed, kind.quantity)
  if (!parsed.ok) return { form: 'unreadable', problem: parsed.problem === 'empty' ? 'notANumber' : parsed.problem }
  if (over) return { form: 'over', value: parsed.value }
  return { form: 'value', value: parsed.value, decimals: parsed.decimals, significant: parsed.significant }
}
