import { EVIDENCE_KINDS, type EvidenceKind } from '../outcomes/kinds'
import { CABLE_TYPES, EQUIPMENT, SETTINGS, WIRING_SYSTEMS, type Shown } from '../outcomes/shows'
import { documentText } from './document-text'

/**
 * An account of work elsewhere as its writer types it, as flat text: `job`, `day`, `setting`, the lists of what was
 * used, `text` (a rich-text document), and `claim.<token>`, `measure.<token>`, `photo.<hash>`, `page.<hash>`,
 * `answer.<token>`.
 */
export type AccountFields = Readonly<Record<string, string>>

/** The writer's head of an account. */
export interface AccountHead {
  readonly title: string
  /** What the job is called, the same in every account of it. */
  readonly job: string
  /** `2026-11-12`; empty while it is not named. */
  readonly day: string
  readonly shown: Shown
}

/** A passage that is said to meet a criterion. */
export interface Claim {
  readonly token: string
  readonly criterion: string
  readonly kind: EvidenceKind
  /** The words as they were selected; they stay when the text changes. */
  readonly quote: string
}

/** What an account brings; nothing simulated is evidence of work elsewhere. */
export const CLAIM_KINDS: readonly EvidenceKind[] = EVIDENCE_KINDS.filter(
  (kind) => kind !== 'simulated' && kind !== 'observed',
)

const listOf = <T extends string>(all: readonly T[], text: string | undefined): T[] => {
  const typed = new Set((text ?? '').split(' '))
  return all.filter((one) => typed.has(one))
}

export const headOfAccount = (fields: AccountFields): AccountHead => ({
  title: fields.title?.trim() ?? '',
  job: fields.job?.trim() ?? '',
  day: /^\d{4}-\d\d-\d\d$/.test(fields.day ?? '') ? fields.day! : '',
  shown: {
    setting: SETTINGS.find((setting) => setting === fields.setting) ?? null,
    wiringSystems: listOf(WIRING_SYSTEMS, fields.wiring),
    cables: listOf(CABLE_TYPES, fields.cables),
    equipment: listOf(EQUIPMENT, fields.equipment),
  },
})

const CLAIM = 'claim.'
/** The claims of an account in the order in which they were made; what cannot be read is none. */
export const claimsOf = (fields: AccountFields): Claim[] =>
  Object.entries(fields).flatMap(([name, text]) => {
    if (!name.startsWith(CLAIM) || text === '') return []
    const read = parsed(text)
    if (typeof read?.criterion !== 'string' || typeof read.quote !== 'string') return []
    const kind = CLAIM_KINDS.find((one) => one === read.kind) ?? 'written'
    return [{ token: name.slice(CLAIM.length), criterion: read.criterion, kind, quote: read.quote }]
  })

function parsed(text: string): Record<string, unknown> | null {
  try {
    const value: unknown = JSON.parse(text)
    return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : null
  } catch {
    return null
  }
}

const plain = (text: string): string => text.replace(/\s+/g, ' ').trim().toLowerCase()

/** Whether the claimed words still stand in the text; where not, the claim keeps its own and says so. */
export const isStillThere = ({ quote }: Claim, fields: AccountFields): boolean =>
  plain(documentText(fields.text ?? '')).includes(plain(quote))

export type AccountProblem =
  | { readonly code: 'noTitle' | 'noJob' | 'noDay' | 'noSetting' | 'noText' | 'noClaim' | 'dayAhead' }
  | { readonly code: 'emptyClaim' | 'unknownCriterion' | 'claimedTwice'; readonly of: string }

/** What keeps an account from being handed in. */
export function accountProblems(
  fields: AccountFields,
  criteria: ReadonlySet<string>,
  today: string,
): AccountProblem[] {
  const head = headOfAccount(fields)
  const claims = claimsOf(fields)
  const seen = new Set<string>()
  const twice = claims.filter(({ criterion, quote }) => {
    const key = `${criterion} ${plain(quote)}`
    return seen.size === seen.add(key).size
  })
  const missing: readonly (readonly [boolean, Extract<AccountProblem['code'], `no${string}`>])[] = [
    [head.title === '', 'noTitle'],
    [head.job === '', 'noJob'],
    [head.day === '', 'noDay'],
    [head.shown.setting === null, 'noSetting'],
    [plain(documentText(fields.text ?? '')) === '', 'noText'],
    [claims.length === 0, 'noClaim'],
  ]
  return [
    ...missing.filter(([is]) => is).map(([, code]) => ({ code }) as AccountProblem),
    ...(head.day > today ? [{ code: 'dayAhead' } as const] : []),
    ...claims
      .filter(({ quote }) => plain(quote) === '')
      .map(({ criterion: of }) => ({ code: 'emptyClaim', of }) as const),
    ...claims
      .filter(({ criterion }) => !criteria.has(criterion))
      .map(({ criterion: of }) => ({ code: 'unknownCriterion', of }) as const),
    ...twice.map(({ criterion: of }) => ({ code: 'claimedTwice', of }) as const),
  ]
}
