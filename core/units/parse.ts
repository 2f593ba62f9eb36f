import { QUANTITIES, type Quantity, type QuantityKey } from './quantity'

/** What a person typed, read as a quantity in SI, or the reason it cannot be read. */
export type ParsedQuantity =
  | {
      readonly ok: true
      readonly value: number
      readonly significant: number
      readonly decimals: number
      /** Half a unit of the last digit typed, SI: how far rounding may have moved the value. */
      readonly halfDigit: number
    }
  | { readonly ok: false; readonly problem: 'empty' | 'notANumber' | 'otherUnit' | 'negative' }

const PREFIX: Readonly<Record<string, number>> = { '': 1, k: 1e3, m: 1e-3, M: 1e6, µ: 1e-6, u: 1e-6, G: 1e9 }

// Accepts 12.6 · 12,6 · 1 200 · 1,200.5 · 3e-2, followed by whatever unit was typed.
const NUMBER_THEN_UNIT = /^([+-]?(?:\d[\d\s.,]*|[.,]\d+)(?:e[+-]?\d+)?)\s*(.*)$/i

/**
 * Reads a value with its unit as people type it: `1,2`, `0.47 ohm`, `7.4 mΩ/m`, `2kW`. A bare number is in the
 * quantity's display unit. Returns SI.
 */
export function parseQuantity(text: string, key: QuantityKey): ParsedQuantity {
  const quantity: Quantity = QUANTITIES[key]
  const trimmed = text.trim()
  if (trimmed === '') return { ok: false, problem: 'empty' }
  const match = NUMBER_THEN_UNIT.exec(trimmed)
  if (!match) return { ok: false, problem: 'notANumber' }
  const number = readNumber(match[1]!)
  if (!number) return { ok: false, problem: 'notANumber' }
  if (number.value < 0) return { ok: false, problem: 'negative' }
  const factor = unitFactor(match[2]!, quantity)
  if (factor === undefined) return { ok: false, problem: 'otherUnit' }
  const value = Number((number.value * factor).toPrecision(12))
  return {
    ok: true,
    value,
    significant: number.significant,
    decimals: number.decimals,
    halfDigit: 0.5 * 10 ** -number.decimals * factor,
  }
}

/** A number as most people write it. */
const PLAIN = /^\d+(?:\.(\d+))?$/
const LEADING_ZEROS = /^[0.]+/

function readNumber(raw: string): { value: number; significant: number; decimals: number } | undefined {
  const tight = raw.trimEnd()
  const plain = PLAIN.exec(tight)
  if (plain) {
    const decimals = plain[1]?.length ?? 0
    const counted = tight.replace(LEADING_ZEROS, '')
    return { value: Number(tight), significant: counted.length - (counted.includes('.') ? 1 : 0), decimals }
  }
  let digits = raw.replace(/\s/g, '')
  const commas = digits.split(',').length - 1
  // A comma beside a point, or repeated, separates thousands; a single comma alone is a decimal comma.
  if (commas > 0 && (digits.includes('.') || commas > 1)) digits = digits.replace(/,/g, '')
  else digits = digits.replace(',', '.')
  const value = Number(digits)
  if (!Number.isFinite(value)) return undefined
  const [mantissa, exponent] = digits.replace(/^[+-]/, '').split(/e/i) as [string, string?]
  return {
    value,
    significant: mantissa.replace('.', '').replace(/^0+/, '').length,
    decimals: (mantissa.split('.')[1]?.length ?? 0) - Number(exponent ?? 0),
  }
}

/** SI value of one typed unit, or undefined when the unit belongs to another quantity. */
function unitFactor(typed: string, quantity: Quantity): number | undefined {
  const unit = normaliseUnit(typed)
  if (unit === '') return 1 / quantity.scale
  if (quantity.base === '') return unit === '%' ? 0.01 : undefined
  if (unit === normaliseUnit(quantity.unit)) return 1 / quantity.scale
  const base = normaliseUnit(quantity.base)
  if (unit === base) return 1
  if (!unit.endsWith(base) || base === ENERGY) return undefined
  return PREFIX[unit.slice(0, -base.length)]
}

/** I²t is written without a prefix: some mean thousands by it, some millions. */
const ENERGY = 'A²s'

/** People write the same few units over and over. */
const NORMALISED = new Map<string, string>()
const MOST_REMEMBERED = 500

function normaliseUnit(typed: string): string {
  const known = NORMALISED.get(typed)
  if (known !== undefined) return known
  const unit = spelled(typed)
  if (NORMALISED.size < MOST_REMEMBERED) NORMALISED.set(typed, unit)
  return unit
}

function spelled(typed: string): string {
  return typed
    .trim()
    .replace(/\s+/g, '')
    .replace(/Ω|Ω/g, 'Ω')
    .replace(/ohms?/gi, 'Ω')
    .replace(/μ/g, 'µ')
    .replace(/amps?|amperes?/i, 'A')
    .replace(/^([kmMµu]?)a$/, '$1A')
    .replace(/volts?/i, 'V')
    .replace(/^([kmM]?)v(?=$|\/)/, '$1V')
    .replace(/watts?/i, 'W')
    .replace(/^([kmM]?)w$/, '$1W')
    .replace(/^K(?=[AVWΩ])/, 'k')
    .replace(/mm\^?2|sqmm|mmsq/i, 'mm²')
    .replace(/a\^?[2²]\.?s/i, 'A²s')
    .replace(/met(re|er)s?/i, 'm')
    .replace(/A\.m|Am$|A·m/, 'A/m')
    .replace(/a\/m$/, 'A/m')
    .replace(/^(m?)sec(onds?)?$/i, '$1s')
}
