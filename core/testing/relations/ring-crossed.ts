import { fault } from '../../findings/finding'
import { circuitsOn, expectedAt, numberAt, type Sheet } from './sheet'
import { takingPart, type Relation, type SheetRule } from './relation'

/** Fewer sockets than this show no pattern. */
const LEAST_SOCKETS = 4
/** A socket that is meant to read this much more than the middle one is on a spur. */
const SPUR_SHARE = 1.08
/** With the legs joined to themselves the first and last socket read less than this share of what they should. */
const LOW_SHARE = 0.8
/** And the highest reads at least this share more than either of them. */
const RISE_SHARE = 0.15

interface Point {
  readonly key: string
  /** Of what it should be. */
  readonly share: number
}

/**
 * Cross-connected, every socket of a ring reads about the same. Readings that climb from both ends to the
 * middle say that each leg was joined with itself. Guidance Note 3, from memory.
 */
export const ringCrossed: SheetRule = (sheet) => {
  const tests = takingPart(sheet, 'ringCrossed')
  const kinds = [...new Set(tests.map(({ kind }) => kind))]
  return circuitsOn(sheet).flatMap((circuit) =>
    kinds.flatMap((kind): Relation[] => {
      const scheduleTests = tests.filter((test) => test.circuit === circuit && test.kind === kind)
      return legsJoined(
        onTheRing(
          sheet,
          scheduleTests.map(({ key }) => key),
        ),
      )
    }),
  )
}

function onTheRing(sheet: Sheet, keys: readonly string[]): Point[] {
  const expectedOhm = keys.flatMap((key) => expectedAt(sheet, key) ?? []).sort((a, b) => a - b)
  const middle = expectedOhm[Math.floor(expectedOhm.length / 2)] ?? 0
  return keys.flatMap((key): Point[] => {
    const [value, expected] = [numberAt(sheet, key), expectedAt(sheet, key)]
    const isHere = value !== undefined && expected !== undefined && expected <= middle * SPUR_SHARE
    return isHere ? [{ key, share: value / expected }] : []
  })
}

function legsJoined(points: readonly Point[]): Relation[] {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || points.length < LEAST_SOCKETS) return []
  const highest = Math.max(...points.map(({ share }) => share))
  const ends = Math.max(first.share, last.share)
  if (ends > LOW_SHARE || highest < ends + RISE_SHARE || highest > 1 + RISE_SHARE) return []
  return [{ finding: fault('ring.legsJoined', {}), keys: points.map(({ key }) => key), isEverywhere: true }]
}
