import type { StepKey } from '../design/step'
import { STEP_KINDS } from '../design/step-kinds'
import { parseQuantity, type ParsedQuantity } from '../units/parse'

/** Answers as typed, by step. Text is kept as it was typed; reading it is always repeated from the text. */
export type Answers = Readonly<Partial<Record<StepKey, string>>>

const NONE = /^(none|no|not needed|0)$/i

/** Reads one answer in SI. `none` is an answer where a residual device is asked for. */
export function readAnswer(key: StepKey, text: string): ParsedQuantity {
  if (key === 'residual' && NONE.test(text.trim())) return { ok: true, value: 0, significant: 1, decimals: 0, halfDigit: 0 }
  return parseQuantity(text, STEP_KINDS[key].quantity)
}
