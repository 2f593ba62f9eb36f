import type { CircuitFacts } from '../installation/installation'
import type { QuantityKey } from '../units/quantity'

/** Tests of the one circuit of a bay, in order: dead, then live. */
export const DEAD_KEYS = ['r1r2', 'irLN', 'irLE', 'irNE', 'polarity'] as const
export const LIVE_KEYS = ['ze', 'zs', 'rcdTime'] as const
export type SheetKey = (typeof DEAD_KEYS)[number] | (typeof LIVE_KEYS)[number]

/** Every kind of test that a schedule can have. */
export const DEAD_KINDS = [...DEAD_KEYS, 'bonding', 'r1', 'rn', 'r2', 'r2Long', 'irLL'] as const
export const LIVE_KINDS = [
  ...LIVE_KEYS,
  'pfc',
  'rotation',
  'rcd',
  'rcdHalf',
  'rcdFive',
  'rcdButton',
  'functional',
  'drop',
  'clamp',
] as const
export type ReadingKindKey = (typeof DEAD_KINDS)[number] | (typeof LIVE_KINDS)[number]

/** Which test: `zs` of the one circuit of a bay; `c1.zs@c1p4`, `c1.irNE`, `ze` in the schedule of a whole board. */
export type ReadingKey = string

/** Readings as typed, by test; with the reasons for what was left out, `why:c1.zs@c1p4`. */
export type Readings = Readonly<Record<ReadingKey, string>>

export interface ReadingKind {
  readonly key: ReadingKindKey
  readonly symbol: string
  readonly form: 'number' | 'tick'
  /** Only for numbers. */
  readonly quantity: QuantityKey
}

const number = (key: ReadingKindKey, symbol: string, quantity: QuantityKey): ReadingKind => ({
  key,
  symbol,
  form: 'number',
  quantity,
})
const tick = (key: ReadingKindKey, symbol: string): ReadingKind => ({
  key,
  symbol,
  form: 'tick',
  quantity: 'factor',
})

const KINDS: Readonly<Record<ReadingKindKey, ReadingKind>> = {
  bonding: number('bonding', 'R bond', 'resistance'),
  r1: number('r1', 'r1', 'resistance'),
  rn: number('rn', 'rn', 'resistance'),
  r2: number('r2', 'r2', 'resistance'),
  r2Long: number('r2Long', 'R2', 'resistance'),
  r1r2: number('r1r2', 'R1 + R2', 'resistance'),
  irLL: number('irLL', 'L–L', 'insulation'),
  irLN: number('irLN', 'L–N', 'insulation'),
  irLE: number('irLE', 'L–E', 'insulation'),
  irNE: number('irNE', 'N–E', 'insulation'),
  polarity: tick('polarity', '✓'),
  ze: number('ze', 'Ze', 'resistance'),
  pfc: number('pfc', 'Ipf', 'faultCurrent'),
  rotation: tick('rotation', 'L1 L2 L3'),
  zs: number('zs', 'Zs', 'resistance'),
  rcdTime: number('rcdTime', 'IΔn', 'time'),
  rcd: number('rcd', 'IΔn', 'time'),
  rcdHalf: number('rcdHalf', '½ IΔn', 'time'),
  rcdFive: number('rcdFive', '5 IΔn', 'time'),
  rcdButton: tick('rcdButton', 'test button'),
  functional: tick('functional', 'works'),
  drop: number('drop', 'ΔU', 'voltage'),
  clamp: number('clamp', 'I', 'current'),
}

/** `c1.r1r2@c1p4` is about `r1r2`. */
const kindKeyOf = (key: ReadingKey): ReadingKindKey =>
  key.replace(/^.*\./, '').replace(/@.*$/, '') as ReadingKindKey

/** The kind of a reading. Throws for a key that names no test. */
export function readingKind(key: ReadingKey): ReadingKind {
  const kind = KINDS[kindKeyOf(key)]
  if (!kind) throw new Error(`${key} names no test`)
  return kind
}

/** The tests that this bay's circuit needs, in order; a residual device brings its own. */
export function readingKeys(task: Pick<CircuitFacts, 'residualA'>): SheetKey[] {
  return [...DEAD_KEYS, ...LIVE_KEYS].filter((key) => key !== 'rcdTime' || task.residualA !== null)
}

export const isDead = (key: ReadingKey): boolean => (DEAD_KINDS as readonly string[]).includes(kindKeyOf(key))

/** Where the reason stands for which a test was left out. */
export const whyKey = (key: ReadingKey): string => `why:${key}`
