import type { Criterion, SeparateRule } from './framework'
import type { EvidenceKind } from './kinds'
import { separateOccasions, type Time } from './separate'
import type { Shown } from './shows'

/** One decided occasion on one criterion, as the record keeps it. */
export interface Occasion {
  readonly criterion: string
  readonly met: boolean
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly decidedBy: string
  /** ISO 8601 UTC. */
  readonly decidedAt: string
  /** Day of the work where it is another than that of the decision: `2026-11-12`. */
  readonly workedOn?: string
  /** The kinds of evidence that it brings. */
  readonly kinds: readonly EvidenceKind[]
  /** What the work was made of. */
  readonly shown: Shown
}

/** How far one criterion has been shown. */
export interface Coverage {
  readonly criterion: Criterion
  readonly occasions: readonly Occasion[]
  /** Separate occasions met. */
  readonly met: number
  readonly wanted: number
  /** Kinds that are needed and not there yet. */
  readonly missingKinds: readonly EvidenceKind[]
  readonly isComplete: boolean
}

/** Whether an occasion is of a kind that this criterion counts. */
const counts = ({ kinds }: Occasion, criterion: Criterion): boolean =>
  criterion.kinds.length === 0 || kinds.some((kind) => criterion.kinds.includes(kind))

/** When an occasion was, and at which job. */
export const timeOf = ({ exerciseCode, decidedAt, workedOn }: Occasion): Time => ({
  job: exerciseCode,
  day: (workedOn || decidedAt).slice(0, 10),
})

/** The record of one person laid over the criteria; what makes occasions separate is the framework's rule. */
export function coverage(
  criteria: readonly Criterion[],
  occasions: readonly Occasion[],
  separate: SeparateRule,
): Coverage[] {
  const byCriterion = new Map<string, Occasion[]>()
  for (const occasion of occasions) {
    const known = byCriterion.get(occasion.criterion)
    if (known) known.push(occasion)
    else byCriterion.set(occasion.criterion, [occasion])
  }
  return criteria.map((criterion) => {
    const shown = byCriterion.get(criterion.code) ?? []
    const counted = shown.filter((occasion) => occasion.met && counts(occasion, criterion))
    const met = separateOccasions(counted.map(timeOf), separate)
    const there = new Set(counted.flatMap(({ kinds }) => kinds))
    const missingKinds = criterion.needs.filter((kind) => !there.has(kind))
    return {
      criterion,
      occasions: shown,
      met,
      wanted: criterion.occasions,
      missingKinds,
      isComplete: met >= criterion.occasions && missingKinds.length === 0,
    }
  })
}
