import type { CircuitFacts } from '../installation/installation'
import type { QuantityKey } from '../units/quantity'

export const DEAD_KEYS = ['r1r2', 'irLN', 'irLE', 'irNE', 'polarity'] as const
export const LIVE_KEYS = ['ze', 'zs', 'rcdTime'] as const

export type DeadKey = (typeof DEAD_KEYS)[number]
export type LiveKey = (typeof LIVE_KEYS)[number]
export type ReadingKey = DeadKey | LiveKey

/** Readings as typed, by test. */
export type Readings = Readonly<Partial<Record<ReadingKey, string>>>

export interface ReadingKind {
  readonly key: ReadingKey
  readonly symbol: string
  readonly form: 'number' | 'tick'
  /** Only for numbers. */
  readonly quantity: QuantityKey
}

const KINDS: Readonly<Record<ReadingKey, ReadingKind>> = {
  r1r2: { key: 'r1r2', symbol: 'R1 + R2', form: 'number', quantity: 'resistance' },
  irLN: { key: 'irLN', symbol: 'L–N', form: 'number', quantity: 'insulation' },
  irLE: { key: 'irLE', symbol: 'L–E', form: 'number', quantity: 'insulation' },
  irNE: { key: 'irNE', symbol: 'N–E', form: 'number', quantity: 'insulation' },
  polarity: { key: 'polarity', symbol: '✓', form: 'tick', quantity: 'factor' },
  ze: { key: 'ze', symbol: 'Ze', form: 'number', quantity: 'resistance' },
  zs: { key: 'zs', symbol: 'Zs', form: 'number', quantity: 'resistance' },
  rcdTime: { key: 'rcdTime', symbol: 'IΔn', form: 'number', quantity: 'time' },
}

export const readingKind = (key: ReadingKey): ReadingKind => KINDS[key]

/** The tests that this bay's circuit needs, in order; a residual device brings its own. */
export function readingKeys(task: Pick<CircuitFacts, 'residualA'>): ReadingKey[] {
  return [...DEAD_KEYS, ...LIVE_KEYS].filter((key) => key !== 'rcdTime' || task.residualA !== null)
}

export const isDead = (key: ReadingKey): key is DeadKey => (DEAD_KEYS as readonly string[]).includes(key)
