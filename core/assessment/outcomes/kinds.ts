import type { EvidenceKey } from './evidence-key'

/** How something was shown, in the words that frameworks use for it. */
export const EVIDENCE_KINDS = [
  'observed',
  'product',
  'questioned',
  'witnessed',
  'written',
  'simulated',
] as const
export type EvidenceKind = (typeof EVIDENCE_KINDS)[number]

/** A design is written; readings and what stands at the bay are a product; what an assessor saw done is observed. */
const KIND_OF_KEY: readonly (readonly [prefix: string, kind: EvidenceKind])[] = [
  ['design.', 'written'],
  ['reading.', 'product'],
  ['work.', 'product'],
  ['run.', 'product'],
  ['process.', 'observed'],
  ['isolation.', 'observed'],
  ['question.', 'questioned'],
]

export const kindOfKey = (key: EvidenceKey): EvidenceKind =>
  KIND_OF_KEY.find(([prefix]) => key.startsWith(prefix))![1]

/** Where an occasion comes from; a decision on a task may rest on several kinds. */
export type OccasionFrom = 'task' | 'observation' | 'run' | 'question' | 'claim' | 'survey'
/** Whose kind stands with the occasion itself. */
export type Kinded = 'claim' | 'survey'
const KEYS_OF: Readonly<Record<Exclude<OccasionFrom, Kinded>, readonly string[]>> = {
  task: ['design.', 'reading.', 'work.', 'process.'],
  observation: ['isolation.'],
  run: ['run.'],
  question: ['question.'],
}

/** The kinds that an occasion from there brings to a criterion that rests on these keys. */
export function kindsBrought(
  from: Exclude<OccasionFrom, Kinded>,
  evidence: readonly EvidenceKey[],
): EvidenceKind[] {
  const used = evidence.filter((key) => KEYS_OF[from].some((prefix) => key.startsWith(prefix)))
  return [...new Set(used.map(kindOfKey))]
}
