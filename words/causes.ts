import type { Candidate } from '#core/testing/diagnosis/study'
import type { Rig } from '#core/bay/model/rig'
import { FAULT_TEXT, placeWords } from './faults'
import { slipWords } from './slips'

/** A candidate in words: what, where, and how it is told at the bay. */
export interface CauseWords {
  readonly cause: string
  readonly where: string
  readonly tell: string
}

export function causeWords(
  rig: Rig,
  { hypothesis, elsewhere }: Pick<Candidate, 'hypothesis' | 'elsewhere'>,
): CauseWords {
  const texts = [
    ...hypothesis.faults.map(({ code }) => FAULT_TEXT[code] ?? { name: code, tell: '' }),
    ...(hypothesis.slip ? [slipWords(hypothesis.slip)] : []),
  ]
  const more = elsewhere.length
    ? ` or at ${elsewhere.length} other ${elsewhere.length === 1 ? 'place' : 'places'}`
    : ''
  return {
    cause: texts.map(({ name }) => name).join(' and ') || 'Nothing wrong',
    where: hypothesis.faults.length ? `${placeWords(rig, hypothesis.at)}${more}` : '',
    tell: texts.map(({ tell }) => tell).join(' '),
  }
}
