import { claimsOf, isStillThere, type Claim } from '#core/assessment/portfolio/account'
import { documentText } from '#core/assessment/portfolio/document-text'
import { judgeMeasure, measuresOf } from '#core/assessment/portfolio/measure'
import { readerPrompts, type ReaderPrompt } from '#core/assessment/portfolio/reader'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { AccountView, ClaimDecisionView, DiscussionView } from '#schemas/evidence-views'
import type { Fields } from '~/utils/document-shapes'

/** A claim with everything that stands beside it in the margin. */
export interface MarginClaim extends Claim {
  /** What an assessor would ask; empty where the passage says it all. */
  readonly asks: readonly ReaderPrompt[]
  /** The passage has been edited since: the claim keeps its own words. */
  readonly isEdited: boolean
  /** Decisions on it, oldest first. */
  readonly decisions: readonly ClaimDecisionView[]
  /** Professional discussions of it, oldest first. */
  readonly discussions: readonly DiscussionView[]
}

/** The claims of these fields as the margin shows them. */
export function marginOf(
  fields: Fields,
  { decisions, discussions }: Pick<AccountView, 'decisions' | 'discussions'>,
): MarginClaim[] {
  const whole = documentText(fields.text ?? '')
  return claimsOf(fields).map((claim) => ({
    ...claim,
    asks: readerPrompts(claim.quote, whole),
    isEdited: !isStillThere(claim, fields),
    decisions: decisions.filter((decision) => decision.claim === claim.token),
    discussions: discussions.filter((held) => held.claim === claim.token),
  }))
}

/** Measurements with what the core says of each. */
export const measuredIn = (fields: Fields) =>
  measuresOf(fields).map((measure) => ({ ...measure, verdict: judgeMeasure(measure) }))

interface Writing {
  readonly write: (name: string, text: string) => void
}

/** Claims are put into the fields of an account and taken off again; the text stays. */
export const useClaims = ({ write }: Writing) => ({
  claim: (quote: string, criterion: string, kind: EvidenceKind): void =>
    write(`claim.${crypto.randomUUID()}`, JSON.stringify({ criterion, kind, quote })),
  drop: (token: string): void => write(`claim.${token}`, ''),
})
