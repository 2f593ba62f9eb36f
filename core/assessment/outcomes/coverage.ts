import type { Criterion } from './framework'

/** One decided occasion on one criterion, as the record keeps it. */
export interface Occasion {
  readonly criterion: string
  readonly met: boolean
  readonly exerciseCode: string
  readonly exerciseTitle: string
  readonly decidedBy: string
  /** ISO 8601 UTC. */
  readonly decidedAt: string
}

/** How far one criterion has been shown. */
export interface Coverage {
  readonly criterion: Criterion
  readonly occasions: readonly Occasion[]
  readonly met: number
  readonly wanted: number
  readonly isComplete: boolean
}

/** The record of one person laid over the criteria. The same exercise counts once on each. */
export function coverage(criteria: readonly Criterion[], occasions: readonly Occasion[]): Coverage[] {
  return criteria.map((criterion) => {
    const shown = occasions.filter((occasion) => occasion.criterion === criterion.code)
    const met = new Set(shown.filter((occasion) => occasion.met).map((occasion) => occasion.exerciseCode))
      .size
    return {
      criterion,
      occasions: shown,
      met,
      wanted: criterion.occasions,
      isComplete: met >= criterion.occasions,
    }
  })
}
