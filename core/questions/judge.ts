import type { Expected, Verdict } from './question'

/** What somebody gave as an answer. */
export type Given =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'chosen'; readonly options: readonly number[] }
  | { readonly kind: 'ordered'; readonly items: readonly string[] }
  | { readonly kind: 'pointed'; readonly spot: string }
  | { readonly kind: 'verdict'; readonly verdict: Verdict }
  /** A free answer that its owner has compared with the model answer. */
  | { readonly kind: 'compared'; readonly is: Rating }

export const RATINGS = ['right', 'half', 'wrong'] as const
export type Rating = (typeof RATINGS)[number]

export interface Judged {
  readonly is: Rating
  /** Why half or wrong, where there is more to say than the answer. */
  readonly why?: JudgedWhy
}
export type JudgedWhy =
  | {
      readonly code:
        'noNumber' | 'noUnit' | 'otherQuantity' | 'prefix' | 'swappedPair' | 'someMissing' | 'tooMany'
    }
  | { readonly code: 'off'; readonly ratio: number }

const PREFIX: Readonly<Record<string, number>> = { '': 1, m: 1e-3, µ: 1e-6, u: 1e-6, k: 1e3, K: 1e3, M: 1e6 }
/** Units that take a prefix; how somebody writes or says them. */
const BASES: readonly (readonly [base: string, pattern: RegExp])[] = [
  ['Ω', /^(ω|ohms?)$/i],
  ['V', /^(v|volts?)$/i],
  ['A', /^(a|amps?|amperes?)$/i],
  ['W', /^(w|watts?)$/i],
  ['J', /^(j|joules?)$/i],
  ['Wh', /^(wh|watt[ -]?hours?)$/i],
  ['Hz', /^(hz|hertz)$/i],
  ['s', /^(s|sec|secs|seconds?)$/i],
  ['m', /^(m|met(?:er|re)s?)$/i],
]
/** Units as they stand. */
const FIXED: readonly (readonly [unit: string, pattern: RegExp])[] = [
  ['mm²', /^(mm2|mm²|mm\^2|square mm|square millimet(?:er|re)s?)$/i],
  ['%', /^(%|per ?cent)$/i],
  ['°C', /^(°? ?c|degrees?( c(elsius)?)?)$/i],
  ['°', /^(°|deg(rees?)?)$/i],
  ['Nm', /^(n ?·? ?m|newton ?met(?:er|re)s?)$/i],
  ['£', /^(£|pounds?|gbp)$/i],
  ['p', /^(p|pence)$/i],
  ['mV/A/m', /^mv\/?a\/?m$/i],
]
const WORDED: Readonly<Record<string, string>> = { milli: 'm', micro: 'µ', kilo: 'k', mega: 'M' }

interface Quantity {
  readonly base: string
  readonly factor: number
}

/** A unit as its base and factor: `kΩ` → Ω × 1000. Undefined where it is none that we know. */
export function unitOf(text: string): Quantity | undefined {
  const said = text
    .trim()
    .replace(/^(kil|meg)(?=ohms?$)/i, (word) => (word.toLowerCase() === 'kil' ? 'k' : 'M'))
    .replace(/^(milli|micro|kilo|mega)/i, (word) => WORDED[word.toLowerCase()]!)
  const fixed = FIXED.find(([, pattern]) => pattern.test(said))
  if (fixed) return { base: fixed[0], factor: 1 }
  for (const [prefix, factor] of Object.entries(PREFIX)) {
    if (!said.startsWith(prefix)) continue
    const base = BASES.find(([, pattern]) => pattern.test(said.slice(prefix.length)))
    if (base && !(base[0] === 'm' && prefix === 'M')) return { base: base[0], factor }
  }
  return undefined
}

/** Judges what was given; spoken answers are compared by their owner. */
export function judgeAnswer(expected: Expected, given: Given): Judged {
  if (given.kind === 'compared') return { is: given.is }
  if (expected.kind === 'number' && given.kind === 'text') return judgeNumber(expected, given.text)
  if (expected.kind === 'choose' && given.kind === 'chosen') return judgeChosen(expected.right, given.options)
  if (expected.kind === 'order' && given.kind === 'ordered') return judgeOrder(expected.items, given.items)
  if (expected.kind === 'point' && given.kind === 'pointed') return rated(given.spot === expected.spot)
  if (expected.kind === 'verdict' && given.kind === 'verdict') {
    if (given.verdict === expected.verdict) return { is: 'right' }
    return { is: expected.verdict !== 'depends' && given.verdict === 'depends' ? 'half' : 'wrong' }
  }
  return { is: 'wrong' }
}

const rated = (isRight: boolean): Judged => ({ is: isRight ? 'right' : 'wrong' })
type NumberExpected = Extract<Expected, { kind: 'number' }>

/** By value and unit, not by form: `0.5 kΩ` is `500 ohm`. A number without its unit is half right. */
function judgeNumber({ value, unit, within }: NumberExpected, text: string): Judged {
  const typed = /^\s*(£)?\s*([+-]?\d[\d\s,]*(?:\.\d+)?|[+-]?\.\d+)\s*(.*)$/.exec(text.replaceAll('−', '-'))
  if (!typed) return { is: 'wrong', why: { code: 'noNumber' } }
  const number = Number(typed[2]!.replace(/[\s,]/g, ''))
  const said = typed[1] ?? typed[3]!.replace(/[.\s]+$/, '')
  const wanted = unitOf(unit)
  // A count of things has a unit that is no quantity: turns, ways, years. The figure is what is asked.
  if (!wanted) return near(number, value, within)
  if (said === '') {
    const bare = near(number, value, within)
    return bare.is === 'right' ? { is: 'half', why: { code: 'noUnit' } } : bare
  }
  const meant = unitOf(said)
  if (!meant || meant.base !== wanted.base) return { is: 'wrong', why: { code: 'otherQuantity' } }
  const judged = near((number * meant.factor) / wanted.factor, value, within)
  if (judged.is !== 'right' && near(number, value, within).is === 'right')
    return { is: 'half', why: { code: 'prefix' } }
  return judged
}

/** Rounding of what is typed must not decide. */
const EPSILON = 1e-9
function near(number: number, value: number, within: number): Judged {
  if (Math.abs(number - value) <= within + EPSILON * Math.max(1, Math.abs(value))) return { is: 'right' }
  return { is: 'wrong', why: { code: 'off', ratio: value === 0 ? Infinity : number / value } }
}

function judgeChosen(right: readonly number[], chosen: readonly number[]): Judged {
  const wrong = chosen.filter((i) => !right.includes(i))
  const hit = right.filter((i) => chosen.includes(i))
  if (wrong.length === 0 && hit.length === right.length) return { is: 'right' }
  if (hit.length === 0) return { is: 'wrong' }
  if (right.length === 1) return { is: 'wrong', why: { code: 'tooMany' } }
  return {
    is: wrong.length === 0 ? 'half' : 'wrong',
    why: { code: wrong.length ? 'tooMany' : 'someMissing' },
  }
}

/** Two neighbours the wrong way round are half right. */
function judgeOrder(items: readonly string[], given: readonly string[]): Judged {
  const wrong = items.flatMap((item, i) => (given[i] === item ? [] : [i]))
  if (wrong.length === 0 && given.length === items.length) return { is: 'right' }
  const [a, b] = wrong
  const isSwap = wrong.length === 2 && b === a! + 1 && given[a!] === items[b] && given[b] === items[a!]
  return isSwap ? { is: 'half', why: { code: 'swappedPair' } } : { is: 'wrong' }
}
