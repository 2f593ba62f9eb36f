import type { Placement, SessionProblem } from '#core/planning/session'

export interface Planned {
  readonly plan: readonly Placement[]
  /** Proved that no plan waits noticeably less. */
  readonly isProved: boolean
}

/** What the planner's worker offers: a first plan is handed over at once, then the best. */
export interface PlannerOffer {
  readonly planSession: (
    problem: SessionProblem,
    onFirst: (first: readonly Placement[]) => void,
  ) => Promise<Planned>
}
