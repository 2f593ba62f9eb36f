const SMALL = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
]

/** A count as it is said: in letters up to twelve. */
export const inLetters = (n: number): string => SMALL[n] ?? String(n)
/** `one more occasion`, `three more occasions`. */
export const more = (n: number, one: string, many = `${one}s`): string =>
  `${inLetters(n)} more ${n === 1 ? one : many}`
/** `a, b and c`. */
export const listed = (items: readonly string[], last = 'and'): string =>
  items.length < 2 ? (items[0] ?? '') : `${items.slice(0, -1).join(', ')} ${last} ${items.at(-1)}`
