import { STEP_KINDS } from '../../design/model/step-kinds'
import type { NodeKey, StepKey } from '../../design/model/step-keys'
import { parseQuantity, type ParsedQuantity } from '../../units/parse'

/**
 * Answers as typed, by circuit or board and step. Text is kept as it was typed; reading it is always repeated
 * from the text.
 */
export type Answers = Readonly<Partial<Record<NodeKey, string>>>

const NONE = /^(none|no|not needed|0)$/i
/** A limit may be written in front of a value: `≤ 0.1 s`, `>= 0.5`. */
const RELATION = /^\s*[≤≥<>]=?\s*/

/** What was read lately: thirty sheets of one task hold mostly the same texts. */
const READ = new Map<string, ParsedQuantity>()
const READ_AT_MOST = 4096

/** Reads one answer in SI. `none` is an answer where an RCD is asked for; a choice is read by its words. */
export function readAnswer(key: StepKey, text: string): ParsedQuantity {
  const name = `${key} ${text}`
  const known = READ.get(name)
  if (known) return known
  const read = parseAnswer(key, text)
  if (READ.size >= READ_AT_MOST) READ.clear()
  READ.set(name, read)
  return read
}

function parseAnswer(key: StepKey, text: string): ParsedQuantity {
  const { choices, quantity } = STEP_KINDS[key]
  const trimmed = text.trim()
  const choice = choices?.find((candidate) => candidate.text.toLowerCase() === trimmed.toLowerCase())
  if (choice) return exactly(choice.value)
  if (key === 'residual' && NONE.test(trimmed)) return exactly(0)
  if (choices && quantity === 'choice') return { ok: false, problem: trimmed === '' ? 'empty' : 'notANumber' }
  return parseQuantity(text.replace(RELATION, ''), quantity)
}

const exactly = (value: number): ParsedQuantity => ({
  ok: true,
  value,
  significant: 1,
  decimals: 0,
  halfDigit: 0,
})
