import type { Outcomes } from '../expected/predict'
import type { Outcome } from '../kinds/kind'
import type { Hypothesis, Slip } from './hypothesis'
import type { Study } from './study'

export interface SlipHypothesis {
  readonly hypothesis: Hypothesis
  /** What the sheet would then read. */
  readonly outcomes: Outcomes
}

interface SlipParts {
  readonly slip: Slip
  readonly priorCost: number
  readonly at?: readonly string[]
}

/** A slip with what it changes on a sheet that is sound otherwise. */
export const slipHypothesis = (
  { sound }: Study,
  { slip, priorCost, at = [] }: SlipParts,
  changed: Outcomes,
): SlipHypothesis => ({
  hypothesis: { faults: [], slip, at, priorCost, isScalable: false },
  outcomes: new Map([...sound, ...changed]),
})

export const valueOf = (outcome: Outcome | undefined): number | undefined =>
  outcome?.is === 'value' ? outcome.value : undefined
