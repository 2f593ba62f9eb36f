import { expose } from 'comlink'
import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import { greedyChoices, planOf, type ClosingPlan } from '#core/assessment/closing/plan'
import type { ClosingLimits, ClosingProblem } from '#core/assessment/closing/problem'
import { programmeOf } from '#core/assessment/closing/program'
import { CLOSING_LONGEST_S } from '~/utils/searches'

export interface Closing {
  readonly plan: ClosingPlan
  /** Proved that nothing closes more, to within a thousandth. */
  readonly isProved: boolean
}

/** A first plan is handed over at once, then the best. */
async function close(
  problem: ClosingProblem,
  limits: ClosingLimits,
  onFirst: (first: ClosingPlan) => void,
): Promise<Closing> {
  const first = planOf(problem, greedyChoices(problem, limits))
  onFirst(first)
  const highs = await loadHighs({ locateFile: () => wasm })
  const programme = programmeOf(problem, limits)
  const found = highs.solve(programme.text, {
    output_flag: false,
    time_limit: CLOSING_LONGEST_S,
    mip_rel_gap: 0.001,
  })
  const columns = found.Columns as Readonly<Record<string, { readonly Primal?: number }>>
  const best = planOf(
    problem,
    programme.choicesOf((variable) => columns[variable]?.Primal ?? 0),
  )
  const isBetter = best.worth >= first.worth
  return { plan: isBetter ? best : first, isProved: found.Status === 'Optimal' && isBetter }
}

const offer = { close }
export type ClosingOffer = typeof offer
expose(offer)
