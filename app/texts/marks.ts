import { stepWords } from '#core/design/model/step-kinds'
import type { StepMark } from '#core/assessment/marking/mark-step'
import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { ReadingMark } from '#core/testing/judge/judge'
import { isTick, quantityOf } from '#core/testing/kinds/kinds'
import { findingSentence } from '#words/findings/findings'
import { formatNumber, formatQuantity } from '#core/units/format'
import { QUANTITIES } from '#core/units/quantity'

export const VERDICT_WORDS = {
  right: 'right',
  carried: 'right for your figures',
  wrong: 'wrong',
  missing: 'empty',
} as const

/** What somebody wrote, as it was read; as typed where it could not be. */
export const theirs = (mark: StepMark): string =>
  mark.value === undefined ? mark.typed || '–' : stepWords(mark.step, mark.value)

/** The reasons under a design mark: the findings, or the working where there is nothing to say. */
export function becauseOf(mark: StepMark): string {
  const sentences = mark.findings.map(findingSentence)
  return sentences.length > 0 ? sentences.join(' ') : mark.working.replaceAll('\n', '; ')
}

/** Reading as written, with its unit where it is a number. */
export function readingWords(mark: ReadingMark): string {
  const { unit } = QUANTITIES[quantityOf(mark.reading)]
  if (mark.typed === '') return '–'
  return mark.value === undefined
    ? mark.typed
    : `${mark.over ? '>' : ''}${formatNumber(mark.value, quantityOf(mark.reading))} ${unit}`
}

/** Expected band and limit on one line. */
export function expectedWords({ reading, expected }: ReadingMark): string {
  if (isTick(reading)) return 'a tick'
  const quantity = quantityOf(reading)
  const band =
    expected.high === undefined
      ? `${formatQuantity(expected.low, quantity)} or more`
      : `${formatNumber(expected.low, quantity)} – ${formatQuantity(expected.high, quantity)}`
  if (!expected.limit) return band
  return (
    `${band}, limit ${expected.limit.kind === 'maximum' ? '≤' : '≥'} ` +
    `${formatQuantity(expected.limit.value, quantity)}`
  )
}

export const overrideOf = (item: ItemKey, overrides: readonly Override[]): Override | undefined =>
  overrides.find((o) => o.item === item)
