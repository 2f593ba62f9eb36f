import type { PlanConflict } from '#core/planning/conflicts'

/** Tasks at which something does not go together; one without a place is on no board. */
export const conflictSeverity = (conflicts: readonly PlanConflict[]): ReadonlySet<string> =>
  new Set(
    conflicts
      .filter(({ code }) => code !== 'unplanned')
      .flatMap((one) => ('other' in one ? [one.task, one.other] : [one.task])),
  )
