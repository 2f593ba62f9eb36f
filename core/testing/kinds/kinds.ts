import type { QuantityKey } from '../../units/quantity'
import { afddButton } from './afdd-button'
import { bonding } from './bonding'
import { electrode } from './electrode'
import { functional } from './functional'
import { irLE, irLL, irLN, irNE } from './insulation'
import { irBoardE, irBoardLN } from './insulation-board'
import type { TestKind } from './kind'
import { pfc } from './pfc'
import { phaseSequence } from './phase-sequence'
import { polarity } from './polarity'
import { r1r2 } from './r1r2'
import { r2Long } from './r2-long-lead'
import { rcdButton } from './rcd-button'
import { rcd, rcdFive, rcdHalf } from './rcd-time'
import { ringLE, ringLN } from './ring-cross'
import { r1, r2, rn } from './ring-end-to-end'
import { clamp, voltageDrop } from './under-load'
import { ze } from './ze'
import { zs } from './zs'

/**
 * Every kind of test, in the order of the work. A new one is its file, its line here, and its words in
 * words/testing.ts.
 */
export const KINDS = [
  electrode,
  bonding,
  r1,
  rn,
  r2,
  ringLN,
  ringLE,
  r1r2,
  r2Long,
  irBoardLN,
  irBoardE,
  irLL,
  irLN,
  irLE,
  irNE,
  polarity,
  ze,
  pfc,
  phaseSequence,
  zs,
  rcdHalf,
  rcd,
  rcdFive,
  rcdButton,
  afddButton,
  functional,
  voltageDrop,
  clamp,
] as const

export type TestKindKey = (typeof KINDS)[number]['key']

/** Names that stored sheets and frameworks use for a kind. */
const FORMER: Readonly<Record<string, TestKindKey>> = { rcdTime: 'rcd' }
const BY_KEY: ReadonlyMap<string, TestKind<TestKindKey>> = new Map(
  (KINDS as readonly TestKind<TestKindKey>[]).map((kind) => [kind.key, kind]),
)

/** Which test: `zs`, `c1.zs@c1p4`, `c1.irNE`; what stands before the last point and behind the @ says where. */
export type ReadingKey = string

/** The kind of a reading by its key. Throws for a key that names no test. */
export function kindOf(key: ReadingKey): TestKind<TestKindKey> {
  const plain = BY_KEY.get(key)
  if (plain) return plain
  const name = key.replace(/^.*\./, '').replace(/@.*$/, '')
  const kind = BY_KEY.get(FORMER[name] ?? name)
  if (!kind) throw new Error(`${key} names no test`)
  return kind
}

/** What a reading's number is; of a tick a plain figure. */
export function quantityOf(key: ReadingKey): QuantityKey {
  const { entry } = kindOf(key)
  return entry.form === 'number' ? entry.quantity : 'factor'
}

export const isTick = (key: ReadingKey): boolean => kindOf(key).entry.form === 'tick'

export const isDead = (key: ReadingKey): boolean => kindOf(key).isDead

/** The circuit that a reading is of; undefined for the supply's own. */
export const circuitOfKey = (key: ReadingKey): string | undefined => /^([a-z0-9]+)\./.exec(key)?.[1]
