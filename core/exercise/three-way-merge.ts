/** A field that two people changed differently since the last common version. */
export interface Conflict {
  readonly field: string
  readonly mine: string
  readonly theirs: string
}

export interface Merged {
  /** Everything that could be settled; conflicting fields hold mine until somebody chooses. */
  readonly fields: Readonly<Record<string, string>>
  readonly conflicts: readonly Conflict[]
}

type Fields = Readonly<Record<string, string | undefined>>

/**
 * Three-way merge by field: a change of one side stands, the same change of both stands, two different ones
 * conflict.
 */
export function mergeFields(base: Fields, mine: Fields, theirs: Fields): Merged {
  const fields: Record<string, string> = {}
  const conflicts: Conflict[] = []
  for (const field of new Set([...Object.keys(base), ...Object.keys(mine), ...Object.keys(theirs)])) {
    const [b, m, t] = [base[field] ?? '', mine[field] ?? '', theirs[field] ?? '']
    const isConflict = m !== b && t !== b && m !== t
    fields[field] = m !== b ? m : t
    if (isConflict) conflicts.push({ field, mine: m, theirs: t })
  }
  return { fields, conflicts }
}
