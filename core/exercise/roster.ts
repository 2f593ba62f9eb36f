/** Who can sign in, and as what. */
export const ROLES = [
  'administrator',
  'instructor',
  'assessor',
  'apprentice',
  'technician',
  'verifier',
] as const
export type Role = (typeof ROLES)[number]

/** One person as a roster brings them. */
export interface RosterPerson {
  readonly number: string
  readonly name: string
  readonly role: Role
  /** Teaching group; empty for staff. */
  readonly cohort: string
}

export type RosterProblem =
  | 'numberMissing'
  | 'numberForm'
  | 'numberTwice'
  | 'nameMissing'
  | 'nameDamaged'
  | 'roleUnknown'
  | 'cohortMissing'
  | 'alreadyHere'
  | 'tooLong'

export interface RosterRow {
  /** Line in the file, the heading being 1. */
  readonly line: number
  readonly cells:
    | RosterPerson
    | { readonly number: string; readonly name: string; readonly role: string; readonly cohort: string }
  readonly problems: readonly RosterProblem[]
}

export interface RosterPreview {
  readonly good: readonly RosterPerson[]
  readonly bad: readonly RosterRow[]
}

type RawRow = {
  readonly line: number
  readonly number: string
  readonly name: string
  readonly role: string
  readonly cohort: string
}

const NUMBER = /^[A-Za-z0-9-]{2,20}$/
const LONGEST = 80
/**
 * What a file in another encoding leaves behind: the sign for what could not be read, or a letter of UTF-8
 * read byte by byte as Latin-1 or Windows-1252. Ã before a letter is Portuguese.
 */
const DAMAGED = /\uFFFD|[ÃÂ][\u0080-\u00BF€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ]|â€/

/** Sorts rows into those that can be taken as they are and those that cannot, each with every reason. */
export function previewRoster(rows: readonly RawRow[], existingNumbers: ReadonlySet<string>): RosterPreview {
  const counts = new Map<string, number>()
  for (const row of rows) counts.set(fold(row.number), (counts.get(fold(row.number)) ?? 0) + 1)
  const good: RosterPerson[] = []
  const bad: RosterRow[] = []
  for (const row of rows) {
    const cells = {
      number: row.number.trim(),
      name: row.name.trim(),
      role: row.role.trim().toLowerCase() || 'apprentice',
      cohort: row.cohort.trim(),
    }
    const problems = problemsOf(cells, counts, existingNumbers)
    if (problems.length === 0) good.push(cells as RosterPerson)
    else bad.push({ line: row.line, cells, problems })
  }
  return { good, bad }
}

function problemsOf(
  cells: { number: string; name: string; role: string; cohort: string },
  counts: ReadonlyMap<string, number>,
  existing: ReadonlySet<string>,
): RosterProblem[] {
  const problems: RosterProblem[] = []
  if (cells.number === '') problems.push('numberMissing')
  else if (!NUMBER.test(cells.number)) problems.push('numberForm')
  else if (existing.has(fold(cells.number))) problems.push('alreadyHere')
  if (cells.number !== '' && counts.get(fold(cells.number))! > 1) problems.push('numberTwice')
  if (cells.name === '') problems.push('nameMissing')
  else if (DAMAGED.test(cells.name)) problems.push('nameDamaged')
  if (cells.name.length > LONGEST || cells.cohort.length > LONGEST) problems.push('tooLong')
  const isRole = (ROLES as readonly string[]).includes(cells.role)
  if (!isRole) problems.push('roleUnknown')
  if (cells.role === 'apprentice' && cells.cohort === '') problems.push('cohortMissing')
  return problems
}

/** Numbers are compared without case or outer space. */
export const fold = (number: string): string => number.trim().toLowerCase()
