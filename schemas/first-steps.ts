/* What a new centre still has to do, between server and screens. */
import type { FirstStepState } from '#core/planning/first-steps'

export interface FirstStepsView {
  readonly steps: readonly (FirstStepState & {
    /** Who asks may do it; otherwise it waits for somebody else. */
    readonly isOwn: boolean
  })[]
  readonly isReady: boolean
}
