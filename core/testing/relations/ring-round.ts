import { fault } from '../../findings/finding'
import { r1, r2, rn } from '../kinds/ring-end-to-end'
import { r1r2 } from '../kinds/r1r2'
import { ringLE, ringLN } from '../kinds/ring-cross'
import { ringPattern } from './ring-pattern'
import { atLeastAt, circuitsOn, expectedAt, numberAt, type Sheet } from './sheet'
import { testAt, type Relation, type SheetRule } from './relation'

/** A socket that is meant to read this much more than the middle one is on a spur. */
const SPUR_SHARE = 1.08

/** Each step with the two conductors that it joins, end to end. */
const STEPS = [
  { kind: ringLN.key, step: 2, ends: [r1.key, rn.key] },
  { kind: ringLE.key, step: 3, ends: [r1.key, r2.key] },
] as const

/**
 * What steps 2 and 3 of a ring say by their shape: each leg joined with itself, an open conductor, or a stretch
 * that something by-passes.
 */
export const ringRound: SheetRule = (sheet) =>
  circuitsOn(sheet).flatMap((circuit) =>
    STEPS.flatMap((step): Relation[] => {
      const keys = onTheRing(sheet, circuit, step.kind)
      const ends = step.ends.map((kind) => testAt(sheet, circuit, kind)?.key ?? '')
      if (keys.length === 0) return []
      const open = ends.find(
        (key) => numberAt(sheet, key) === undefined && atLeastAt(sheet, key) !== undefined,
      )
      if (open !== undefined) return [openRing(sheet, { circuit, step: step.step, open, keys })]
      const numbers = ends.map((key) => numberAt(sheet, key)) as [number | undefined, number | undefined]
      const pattern = ringPattern(
        keys.map((key) => levelled(sheet, key, keys)),
        numbers,
      )
      const out = keys.filter((key) => isOut(sheet, key))
      if (out.length === 0) return []
      if (pattern.is === 'legsJoined')
        return [{ finding: fault('ring.legsJoined', {}), keys: out, isEverywhere: true }]
      if (pattern.is !== 'hump') return []
      const { first, last } = pattern
      const finding = fault('ring.bypassed', { first: first + 1, last: last + 1 })
      return [{ finding, keys: out, isEverywhere: true }]
    }),
  )

interface OpenRing {
  readonly circuit: string
  readonly step: 2 | 3
  readonly open: string
  readonly keys: readonly string[]
}

/** R1 + R2 at the points runs over the same conductors as step 3. */
function openRing(sheet: Sheet, { circuit, step, open, keys }: OpenRing): Relation {
  const pairs = sheet.schedule.filter(
    (test) => step === 3 && test.circuit === circuit && test.kind === r1r2.key,
  )
  return {
    finding: fault('ring.open', { step }),
    keys: [open, ...[...keys, ...pairs.map(({ key }) => key)].filter((key) => isOut(sheet, key))],
    isEverywhere: true,
  }
}

/** A reading that does not belong to this bay; what fits is not explained by anything. */
function isOut(sheet: Sheet, key: string): boolean {
  const [value, expected] = [numberAt(sheet, key), sheet.expected.get(key)]
  return (
    value !== undefined &&
    expected !== undefined &&
    (value < expected.low || value > (expected.high ?? Infinity))
  )
}

/**
 * A reading as it would be were every socket meant to read what the middle one is: a thinner cpc reads less
 * beside the board.
 */
function levelled(sheet: Sheet, key: string, keys: readonly string[]): number | undefined {
  const [value, expected] = [numberAt(sheet, key), expectedAt(sheet, key)]
  const highest = Math.max(...keys.map((other) => expectedAt(sheet, other) ?? 0))
  return value !== undefined && expected ? (value * highest) / expected : value
}

/** The cross-connected readings of sockets on the ring itself, in its order; spurs read more by design. */
function onTheRing(sheet: Sheet, circuit: string, kind: string): readonly string[] {
  const keys = sheet.schedule
    .filter((test) => test.circuit === circuit && test.kind === kind)
    .map(({ key }) => key)
  const expected = keys.flatMap((key) => expectedAt(sheet, key) ?? []).sort((a, b) => a - b)
  const middle = expected[Math.floor(expected.length / 2)] ?? Infinity
  return keys.filter((key) => (expectedAt(sheet, key) ?? 0) <= middle * SPUR_SHARE)
}
