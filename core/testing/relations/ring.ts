import { fault } from '../../findings/finding'
import { r1, r2, rn } from '../kinds/ring-end-to-end'
import { circuitsOn, expectedAt, numberAt, type Sheet } from './sheet'
import { takingPart, testAt, type Relation, type SheetRule } from './relation'

/** Ends of the same conductor size are as long as each other: within this, Ω. Guidance Note 3, from memory. */
const SAME_OHM = 0.05
/** Ohmmeter and cut lengths, as a share. */
const RATIO_SLACK = 0.15
const QUARTER_SLACK = { relative: 0.15, ohm: 0.06 } as const

/** End to end readings of a ring, where r1 was taken. */
interface RingEnds {
  readonly circuit: string
  readonly keys: Readonly<Record<'r1' | 'rn' | 'r2', string>>
  readonly r1: number
  readonly rn: number | undefined
  readonly r2: number | undefined
}

/**
 * r1 and rn agree, r2 follows from the areas, and no socket reads above a quarter of both ends unless it is
 * on a spur.
 */
export const ringRelations: SheetRule = (sheet) =>
  circuitsOn(sheet).flatMap((circuit): Relation[] => {
    const ends = endsOf(sheet, circuit)
    return ends ? [...endsAgree(ends), ...areasAgree(sheet, ends), ...socketsAgree(sheet, ends)] : []
  })

function endsOf(sheet: Sheet, circuit: string): RingEnds | undefined {
  const keyOf = (kind: string) => testAt(sheet, circuit, kind)?.key ?? ''
  const keys = { r1: keyOf(r1.key), rn: keyOf(rn.key), r2: keyOf(r2.key) }
  const first = numberAt(sheet, keys.r1)
  return first === undefined
    ? undefined
    : { circuit, keys, r1: first, rn: numberAt(sheet, keys.rn), r2: numberAt(sheet, keys.r2) }
}

function endsAgree({ keys, ...ends }: RingEnds): Relation[] {
  const { r1: line, rn: neutral } = ends
  if (neutral === undefined) return []
  if (Math.abs(line - neutral) <= SAME_OHM + RATIO_SLACK * 0.3 * Math.max(line, neutral)) return []
  const higher = neutral > line ? keys.rn : keys.r1
  return [{ finding: fault('ring.endsDiffer', { r1: line, rn: neutral }), keys: [higher, keys.r1, keys.rn] }]
}

function areasAgree(sheet: Sheet, { keys, ...ends }: RingEnds): Relation[] {
  const [expected1, expected2] = [expectedAt(sheet, keys.r1), expectedAt(sheet, keys.r2)]
  if (ends.r2 === undefined || !expected1 || !expected2) return []
  const [ratio, told] = [ends.r2 / ends.r1, expected2 / expected1]
  if (Math.abs(ratio / told - 1) <= RATIO_SLACK + SAME_OHM / Math.max(ends.r1, SAME_OHM)) return []
  return [{ finding: fault('ring.ratio', { ratio, told }), keys: [keys.r2, keys.r1] }]
}

function socketsAgree(sheet: Sheet, { circuit, keys, ...ends }: RingEnds): Relation[] {
  if (ends.r2 === undefined) return []
  const quarter = (ends.r1 + ends.r2) / 4
  const sockets = takingPart(sheet, 'ringSockets').filter((test) => test.circuit === circuit)
  return sockets.flatMap(({ key }): Relation[] => {
    const [value, expected] = [numberAt(sheet, key), expectedAt(sheet, key)]
    // A point that lies on a spur by design may read more.
    const most = Math.max(quarter, expected ?? 0) * (1 + QUARTER_SLACK.relative) + QUARTER_SLACK.ohm
    if (value === undefined || value <= most) return []
    return [{ finding: fault('ring.aboveQuarter', { value, quarter }), keys: [key, keys.r1, keys.r2] }]
  })
}
