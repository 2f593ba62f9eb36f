import { LINES } from '../../installation/installation'
import { diversityShares } from '../../regulations/diversity'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { atMost, stopped, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { BoardStep, BoardTask, Contribution } from './board-task'

/** One circuit's share of the demand, A. */
export interface Shared extends Contribution {
  readonly share: number
  readonly sharedA: number
}

/** Every circuit's current with the diversity that its kind is allowed, the largest of a kind first. */
export function sharedContributions(task: BoardTask): Shared[] {
  const byUse = new Map<string, Contribution[]>()
  for (const contribution of task.contributions)
    byUse.set(contribution.use, [...(byUse.get(contribution.use) ?? []), contribution])
  return [...byUse.values()].flatMap((same) => {
    const shares = diversityShares(task.premises, same[0]!.use)
    return [...same]
      .sort((a, b) => b.currentA - a.currentA)
      .map((contribution, i) => {
        const share = shares[Math.min(i, shares.length - 1)]!
        return { ...contribution, share, sharedA: contribution.currentA * share }
      })
  })
}

/** Current on the most heavily loaded line, A; a three-phase circuit loads all of them. */
export function demandA(task: BoardTask): number {
  const shared = sharedContributions(task)
  if (task.phases === 1) return shared.reduce((sum, { sharedA }) => sum + sharedA, 0)
  return Math.max(
    ...LINES.map((line) =>
      shared
        .filter((candidate) => candidate.phases === 3 || candidate.line === line)
        .reduce((sum, { sharedA }) => sum + sharedA, 0),
    ),
  )
}

/** Maximum demand of the board after diversity, A. */
export const maximumDemand: BoardStep = {
  key: 'demand',
  ...STEP_KINDS.demand,
  kind: 'calculated',
  needs: [],
  derive: (task) => {
    const demand = demandA(task)
    if (!(demand > 0)) return stopped('load', { value: 0 })
    const parts = sharedContributions(task).map(({ currentA, share }) =>
      share === 1
        ? formatNumber(currentA, 'current')
        : `${formatNumber(share, 'factor')} × ${formatNumber(currentA, 'current')}`,
    )
    const sum = worked(
      demand,
      task.phases === 3 ? 'Imax = sum on the heaviest line, with diversity' : 'Imax = sum with diversity',
      parts.join(' + '),
      SOURCES.diversity,
      task.isOrigin ? atMost(demand, task.mainFuseA) : undefined,
    )
    return sum.check && !sum.check.isKept
      ? { ...sum, constraint: { code: 'demand', params: { demand, mainFuseA: task.mainFuseA } } }
      : sum
  },
}
