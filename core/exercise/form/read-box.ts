import { parseQuantity, type ParsedQuantity } from '../../units/parse'
import { QUANTITIES, type QuantityKey } from '../../units/quantity'
import { RANGES, type RangeKey } from '../ranges'
import type { Box } from './fields'
import { percent } from './to-form'

export type ReadBox =
  | { readonly value: string | number | null; readonly problem?: undefined }
  | { readonly value?: undefined; readonly problem: string }

const CHOOSE = 'Choose one from the list.'
const FILL = 'Fill this in.'

/** Reads one box. What it cannot take gets a sentence that says what is expected there. */
export function readBox(box: Box, typed: string | undefined): ReadBox {
  const text = (typed ?? '').trim()
  switch (box.is) {
    case 'own':
      return { value: text }
    case 'choice':
      return box.choices.includes(text) ? { value: text } : { problem: CHOOSE }
    case 'words':
      if (text === '' && !box.mayBeEmpty) return { problem: FILL }
      return text.length > box.longest ? { problem: `At most ${box.longest} characters.` } : { value: text }
    case 'number':
      return text === '' && box.mayBeEmpty
        ? { value: null }
        : readNumber(text, box.quantity, box.range, box.isWhole ?? false)
  }
}

/** Reads a number with its unit and holds it against its range. */
export function readNumber(text: string, quantity: QuantityKey, range: RangeKey, isWhole = false): ReadBox {
  const parsed = parseQuantity(text, quantity)
  if (!parsed.ok) return { problem: unreadable(parsed.problem, quantity) }
  if (isWhole && !Number.isInteger(parsed.value)) return { problem: 'Must be a whole number.' }
  const problem = outOfRange(parsed.value, range, quantity)
  return problem ? { problem } : { value: parsed.value }
}

function outOfRange(value: number, key: RangeKey, quantity: QuantityKey): string | undefined {
  const range: { min?: number; above?: number; max: number } = RANGES[key]
  const show = (limit: number) =>
    key === 'spread'
      ? percent(limit)
      : `${limit * QUANTITIES[quantity].scale} ${QUANTITIES[quantity].unit}`.trim()
  if (range.above !== undefined && value <= range.above) return `Must be more than ${show(range.above)}.`
  if (range.min !== undefined && value < range.min) return `Must be ${show(range.min)} or more.`
  if (value > range.max) return `Must be ${show(range.max)} or less.`
  return undefined
}

export function unreadable(
  problem: Extract<ParsedQuantity, { ok: false }>['problem'],
  key: QuantityKey,
): string {
  const { unit } = QUANTITIES[key]
  if (problem === 'empty') return FILL
  if (problem === 'negative') return 'Must be more than 0; a negative value has no meaning here.'
  if (problem === 'otherUnit') return `The unit does not fit. ${unit ? `Use ${unit}.` : 'No unit here.'}`
  return `Write a number${unit ? ` in ${unit}` : ''}.`
}
