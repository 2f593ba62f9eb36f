import type { FindingParams } from '#core/findings/codes'
import { formatQuantity } from '#core/units/format'

/** One sentence for each code of a group: a code without one does not compile. */
export type SentencesOf<P> = { readonly [C in keyof P]: (params: P[C]) => string }
export type Sentences = SentencesOf<FindingParams>

export const amps = (value: number): string => formatQuantity(value, 'current')
export const ohms = (value: number): string => formatQuantity(value, 'resistance')
export const volts = (value: number): string => formatQuantity(value, 'voltage')
export const times = (value: number): string => formatQuantity(value, 'time')
