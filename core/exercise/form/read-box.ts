import { parseQuantity, type ParsedQuantity } from '../../units/parse'
import type { QuantityKey } from '../../units/quantity'
import { RANGES, type RangeKey } from '../ranges'
import type { Box } from './fields'
import type { FormProblem } from './problem'

export type ReadBox =
  | { readonly value: string | number | null; readonly problem?: undefined }
  | { readonly value?: undefined; readonly problem: FormProblem }

/** Reads one box, or says why it cannot be taken. */
export function readBox(box: Box, typed: string | undefined): ReadBox {
  const text = (typed ?? '').trim()
  switch (box.is) {
    case 'own':
      return { value: text }
    case 'choice':
      return box.choices.includes(text) ? { value: text } : { problem: { code: 'choose' } }
    case 'words':
      if (text === '' && !box.mayBeEmpty) return { problem: { code: 'fill' } }
      return text.length > box.longest
        ? { problem: { code: 'tooLong', longest: box.longest } }
        : { value: text }
    case 'number':
      return text === '' && box.mayBeEmpty
        ? { value: null }
        : readNumber(text, box.quantity, box.range, box.isWhole ?? false)
  }
}

/** Reads a number with its unit and compares it with its range. */
export function readNumber(text: string, quantity: QuantityKey, range: RangeKey, isWhole = false): ReadBox {
  const parsed = parseQuantity(text, quantity)
  if (!parsed.ok) return { problem: unreadable(parsed.problem, quantity) }
  if (isWhole && !Number.isInteger(parsed.value)) return { problem: { code: 'notWhole' } }
  const problem = outOfRange(parsed.value, range, quantity)
  return problem ? { problem } : { value: parsed.value }
}

function outOfRange(value: number, key: RangeKey, quantity: QuantityKey): FormProblem | undefined {
  const range: { min?: number; above?: number; max: number } = RANGES[key]
  const isShare = key === 'spread'
  if (range.above !== undefined && value <= range.above)
    return { code: 'notAbove', limit: range.above, quantity, isShare }
  if (range.min !== undefined && value < range.min)
    return { code: 'below', limit: range.min, quantity, isShare }
  if (value > range.max) return { code: 'above', limit: range.max, quantity, isShare }
  return undefined
}

function unreadable(
  problem: Extract<ParsedQuantity, { ok: false }>['problem'],
  quantity: QuantityKey,
): FormProblem {
  if (problem === 'empty') return { code: 'fill' }
  return problem === 'negative' ? { code: 'negative' } : { code: problem, quantity }
}
