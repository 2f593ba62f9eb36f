import { expose } from 'comlink'
import loadHighs from 'highs'
import wasm from 'highs/runtime?url'
import { costOf } from '#core/planning/cost'
import { firstPlan } from '#core/planning/first-plan'
import { planProgramme } from '#core/planning/program'
import type { Placement, SessionProblem } from '#core/planning/session'
import type { Planned, PlannerOffer } from '~/utils/planner-offer'
import { PLANNER_LONGEST_S } from '~/utils/searches'

/** The same session gives the same plan. */
const SEED = 1
/** A plan is taken for the best when none can wait less by more than this share. */
const GAP = 0.02

/** A first plan is handed over at once, then the best. */
async function planSession(
  problem: SessionProblem,
  onFirst: (first: readonly Placement[]) => void,
): Promise<Planned> {
  const first = firstPlan(problem, SEED)
  onFirst(first)
  const least = costOf(problem, first)
  if (least.total === 0) return { plan: first, isProved: true }
  const highs = await loadHighs({ locateFile: () => wasm })
  const programme = planProgramme(problem)
  const found = highs.solve(programme.text, {
    output_flag: false,
    time_limit: PLANNER_LONGEST_S,
    mip_rel_gap: GAP,
    random_seed: SEED,
  })
  const columns = found.Columns as Readonly<Record<string, { readonly Primal?: number }>>
  const best = programme.planOf((variable) => columns[variable]?.Primal ?? 0)
  const isBetter = costOf(problem, best).total <= least.total
  return { plan: isBetter ? best : first, isProved: found.Status === 'Optimal' && isBetter }
}

const offer: PlannerOffer = { planSession }
expose(offer)
