import { note, type Finding } from '../../findings/finding'
import { parseReading } from '../parse/parse-reading'
import { kindOf } from '../kinds/kinds'
import type { Readings } from '../readings'
import type { Expected } from '../expected/expected'

/** Somebody's sheet, with what their bay should show. */
export interface GroupSheet {
  readonly bay: number
  readonly readings: Readings
  readonly expected: Expected
}

/** Fewer readings than this prove nothing. */
const LEAST = 8
/** Readings that would agree by chance at bays that differ; above this share it is worth a question. */
const ALIKE_SHARE = 0.6
/** Two bays differ at a test when their expected values lie this far apart. */
const DIFFERENT = 0.04
/** Measured values stray from the calculated ones by a tenth of the band and more; common practice, no source. */
const TOO_CLOSE_SHARE = 0.03
/** One end figure in so many of the readings, where ten are equally likely. */
const FIGURE_SHARE = 0.6

/**
 * Copied or invented? Questions for the assessor, never more: readings that agree with a neighbour's where
 * the bays differ, that lie too close to the calculated values, or that end alike.
 */
export function groupQuestions(groupSheet: GroupSheet, others: readonly GroupSheet[]): Finding[] {
  const figures = numbersOf(groupSheet)
  return [...alike(figures, groupSheet, others), ...tooClose(figures, groupSheet), ...sameEnding(figures)]
}

interface Figure {
  readonly key: string
  readonly text: string
  readonly value: number
}

/** Measured resistances and times; range ends and ticks are the same for everybody. */
const numbersOf = ({ readings, expected }: GroupSheet): Figure[] =>
  [...expected.keys()].flatMap((key): Figure[] => {
    const text = (readings[key] ?? '').trim()
    const read = parseReading(text, kindOf(key))
    return read.form === 'value' && kindOf(key).fit.by !== 'decades' ? [{ key, text, value: read.value }] : []
  })

function alike(figures: readonly Figure[], groupSheet: GroupSheet, others: readonly GroupSheet[]): Finding[] {
  return others.flatMap((other): Finding[] => {
    const comparable = figures.filter(({ key }) => {
      const [a, b] = [groupSheet.expected.get(key)?.value, other.expected.get(key)?.value]
      return a && b && Math.abs(a / b - 1) > DIFFERENT && (other.readings[key] ?? '').trim() !== ''
    })
    const same = comparable.filter(({ key, text }) => other.readings[key]!.trim() === text)
    return comparable.length >= LEAST && same.length / comparable.length > ALIKE_SHARE
      ? [note('group.alike', { count: same.length, of: comparable.length, bay: other.bay })]
      : []
  })
}

function tooClose(figures: readonly Figure[], { expected }: GroupSheet): Finding[] {
  const strays = figures.flatMap(({ key, value }) => {
    const expectedReading = expected.get(key)
    return expectedReading?.value && expectedReading.high !== undefined
      ? [Math.abs(value - expectedReading.value) / (expectedReading.high - expectedReading.low)]
      : []
  })
  const share = strays.reduce((sum, stray) => sum + stray, 0) / strays.length
  return strays.length >= LEAST && share < TOO_CLOSE_SHARE
    ? [note('group.tooClose', { of: strays.length, share })]
    : []
}

function sameEnding(figures: readonly Figure[]): Finding[] {
  const ends = figures
    .filter(({ text }) => /\d[.,]\d{2,}/.test(text))
    .map(({ text }) => /\d(?=\D*$)/.exec(text)![0])
  if (ends.length < LEAST) return []
  const counts = new Map<string, number>()
  for (const end of ends) counts.set(end, (counts.get(end) ?? 0) + 1)
  const [figure, count] = [...counts].sort((a, b) => b[1] - a[1])[0]!
  return count / ends.length >= FIGURE_SHARE
    ? [note('group.fewFigures', { count, of: ends.length, figure })]
    : []
}
