import { LINES, type Line } from '../../installation/installation'
import { cookerFullA, cookerRule, diversityCells, diversityOf } from '../../regulations/book/demand-rules'
import type { Diversity } from '../../regulations/diversity'
import { SOURCES } from '../../regulations/source'
import type { Use } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { accepted, atMost, stopped, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { BoardStep, BoardTask, Contribution } from './board-task'

/** All circuits of one use, as they are reckoned to the demand. */
interface UseDemand {
  readonly use: Use
  readonly ampere: number
  /** `0.66 × (4.2 + 1.3)`. */
  readonly working: string
}

const amps = (ampere: number): string => formatNumber(ampere, 'current')
const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0)

function byOrder(shares: readonly number[], currents: readonly number[]): Omit<UseDemand, 'use'> {
  const sorted = [...currents].sort((a, b) => b - a)
  const shareAt = (i: number) => shares[Math.min(i, shares.length - 1)]!
  const parts: { share: number; currents: number[] }[] = []
  sorted.forEach((current, i) => {
    const last = parts.at(-1)
    if (last?.share === shareAt(i)) last.currents.push(current)
    else parts.push({ share: shareAt(i), currents: [current] })
  })
  const words = parts.map(({ share, currents: same }) => {
    const all = same.map(amps).join(' + ')
    if (share === 1) return all
    return `${formatNumber(share, 'factor')} × ${same.length > 1 ? `(${all})` : all}`
  })
  return {
    ampere: sum(parts.map(({ share, currents: same }) => share * sum(same))),
    working: words.join(' + '),
  }
}

function byExcess(
  { fullA, share }: Extract<Diversity, { by: 'excess' }>,
  currents: readonly number[],
  addedA: number,
): Omit<UseDemand, 'use'> {
  const full = sum(currents)
  const added = addedA > 0 ? ` + ${addedA}` : ''
  const all = currents.length > 1 ? `(${currents.map(amps).join(' + ')})` : amps(full)
  if (full <= fullA) return { ampere: full + addedA, working: `${all}${added}` }
  return {
    ampere: fullA + share * (full - fullA) + addedA,
    working: `${fullA} + ${share} × (${all} − ${fullA})${added}`,
  }
}

function demandOfUse(task: BoardTask, use: Use, same: readonly Contribution[]): UseDemand {
  const diversity = diversityOf(task.book, task.premises, use)
  if (diversity.by === 'order')
    return {
      use,
      ...byOrder(
        diversity.shares,
        same.map(({ currentA }) => currentA),
      ),
    }
  // A household cooker's Ib has its own diversity in it already; the rule is for all cookers together.
  const full = same.map(({ currentA, householdCooker }) =>
    householdCooker ? cookerFullA(task.book, currentA, householdCooker.hasSocket) : currentA,
  )
  const sockets = same.filter(({ householdCooker }) => householdCooker?.hasSocket).length
  return { use, ...byExcess(diversity, full, sockets * cookerRule(task.book).socketA) }
}

/** Each use's share of these circuits' demand, in the order in which the uses come. */
function demandByUse(task: BoardTask, contributions: readonly Contribution[]): UseDemand[] {
  const byUse = new Map<Use, Contribution[]>()
  for (const contribution of contributions)
    byUse.set(contribution.use, [...(byUse.get(contribution.use) ?? []), contribution])
  return [...byUse].map(([use, same]) => demandOfUse(task, use, same))
}

interface LineDemand {
  readonly line: Line | null
  readonly uses: readonly UseDemand[]
  readonly ampere: number
}

const demandOn = (task: BoardTask, line: Line | null): LineDemand => {
  const uses = demandByUse(
    task,
    task.contributions.filter(
      (contribution) => line === null || contribution.phases === 3 || contribution.line === line,
    ),
  )
  return { line, uses, ampere: sum(uses.map(({ ampere }) => ampere)) }
}

/** Demand of each line of a three-phase board. */
export const lineDemands = (task: BoardTask): LineDemand[] => LINES.map((line) => demandOn(task, line))

/**
 * Demand of the most heavily loaded line: the table is applied to each line by itself, since the largest on a
 * line loads it in full. A three-phase circuit loads all of them.
 */
export function heaviestLine(task: BoardTask): LineDemand {
  if (task.phases === 1) return demandOn(task, null)
  return lineDemands(task).reduce((most, line) => (line.ampere > most.ampere ? line : most))
}

/** What each circuit brings to the demand: its share of all circuits of its use on its line, A. */
export function diversifiedA(task: BoardTask): ReadonlyMap<string, number> {
  const byCircuit = new Map<string, number>()
  for (const { circuit, use, currentA, line, phases } of task.contributions) {
    const same = task.contributions.filter(
      (one) =>
        one.use === use && (task.phases === 1 || phases === 3 || one.phases === 3 || one.line === line),
    )
    const full = sum(same.map((one) => one.currentA))
    byCircuit.set(circuit, full === 0 ? 0 : (currentA * demandOfUse(task, use, same).ampere) / full)
  }
  return byCircuit
}

/** The table applied once to all lines together, then shared out; the heaviest line, A. Some schools reckon so. */
function demandOverAllA(task: BoardTask): number {
  const shareOf = new Map<Contribution, number>()
  for (const contribution of task.contributions) shareOf.set(contribution, contribution.currentA)
  for (const use of new Set(task.contributions.map((contribution) => contribution.use))) {
    const diversity = diversityOf(task.book, task.premises, use)
    if (diversity.by !== 'order') continue
    task.contributions
      .filter((contribution) => contribution.use === use)
      .sort((a, b) => b.currentA - a.currentA)
      .forEach((contribution, i) => {
        const share = diversity.shares[Math.min(i, diversity.shares.length - 1)]!
        shareOf.set(contribution, contribution.currentA * share)
      })
  }
  return Math.max(
    ...LINES.map((line) =>
      sum(
        task.contributions
          .filter((contribution) => contribution.phases === 3 || contribution.line === line)
          .map((contribution) => shareOf.get(contribution)!),
      ),
    ),
  )
}

/** An answer by the other way of counting is recognised within this share. */
const PREMISE_SLACK = 0.01

/** One line for each use, and the sum. */
function workingOf({ line, uses, ampere }: LineDemand): string {
  const lines = uses.map(
    (demand) => `${demand.use.replace('-', ' ')}: ${demand.working} = ${amps(demand.ampere)} A`,
  )
  const total = uses.length > 1 ? [`together ${amps(ampere)} A`] : []
  return [...(line === null ? [] : [`on ${line}`]), ...lines, ...total].join('\n')
}

/** Maximum demand of the board after diversity, A. */
export const maximumDemand: BoardStep = {
  key: 'demand',
  ...STEP_KINDS.demand,
  kind: 'calculated',
  needs: [],
  cell: ({ book, premises, contributions }) =>
    [...new Set(contributions.map(({ use }) => use))].flatMap((use) => diversityCells(book, premises, use)),
  derive: (task) => {
    const heaviest = heaviestLine(task)
    const demand = heaviest.ampere
    if (!(demand > 0)) return stopped('load', { value: 0 })
    const step = worked(
      demand,
      task.phases === 3 ? 'Imax = sum on the heaviest line, with diversity' : 'Imax = sum with diversity',
      workingOf(heaviest),
      SOURCES.diversity,
      task.isOrigin ? atMost(demand, task.mainFuseA) : undefined,
    )
    return step.check && !step.check.isKept
      ? { ...step, constraint: { code: 'demand', params: { demand, mainFuseA: task.mainFuseA } } }
      : step
  },
  accept: (task, _values, answer) =>
    task.phases === 3 && Math.abs(answer / demandOverAllA(task) - 1) <= PREMISE_SLACK
      ? accepted('diversityOverAll')
      : undefined,
}
