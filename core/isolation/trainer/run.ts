import { randomLcg } from 'd3-random'
import { judgeIsolation, type IsolationVerdict } from '../judge'
import type { IsolationPolicy } from '../../policies/isolation'
import type { Site } from '../model/rule'
import { moveKey } from './move'
import { movesAt } from './moves-at'
import { perform } from './perform'
import { isScenario, makeWorld } from './scenarios/scenarios'
import { SECOND } from './second'
import { begin, type TrainerState } from './state'

/** Seeds are whole numbers below this. */
export const MOST_SEED = 1_000_000

/**
 * A run from its beginning: the same scenario, seed and moves give the same story. Undefined for a scenario
 * that is not there or a move that cannot be made.
 */
export function replay(code: string, seed: number, moves: readonly string[]): TrainerState | undefined {
  if (!isScenario(code)) return undefined
  let state = begin(makeWorld(code, randomLcg(seed / MOST_SEED)))
  for (const key of moves) {
    const move = movesAt(state).find((candidate) => moveKey(candidate) === key)
    if (!move) return undefined
    state = perform(state, move)
  }
  return state
}

export const siteOf = ({ world }: TrainerState, policy: IsolationPolicy): Site => ({
  needsPermit: world.needsPermit,
  workers: world.workers,
  phases: world.phases,
  level: world.level,
  policy,
  secondSources: world.rig.parts.flatMap((part) => (part.kind === 'standby' ? [SECOND[part.source]] : [])),
})

export const judgeRun = (state: TrainerState, policy: IsolationPolicy, isDone: boolean): IsolationVerdict =>
  judgeIsolation(state.acts, siteOf(state, policy), isDone)

/** What is owed next, for whoever wants a hint: the first constraint that is still open. */
export function nextHint(state: TrainerState, policy: IsolationPolicy): string | null {
  const { rules } = judgeRun(state, policy, false)
  const open = new Set(rules.filter((rule) => rule.state === 'open').map(({ code }) => code))
  const next = HINT_ORDER.find((code) => open.has(code)) ?? null
  // Nothing can be secured before it is off.
  return next === 'locked' && !state.hasSwitchedOff ? 'switch' : next
}

/** The order in which hints are given; others are as safe. */
const HINT_ORDER: readonly string[] = [
  'asked',
  'permit',
  'informed',
  'dependantsAsked',
  'indicatorFits',
  'lookedOver',
  'provedBefore',
  'checkedLive',
  'identified',
  'locked',
  'lockedRight',
  'everyOwnLock',
  'keyKept',
  'secondSource',
  'noticed',
  'neutralMinded',
  'deadAtPoint',
  'everyPair',
  'morePairsThanOne',
  'oneIndicator',
  'provedAfter',
  'provedOnReturn',
  'handsAfterDead',
  'retested',
  'separatedTested',
  'covered',
  'toolsClear',
  'informedAgain',
  'noticeOff',
  'ownLockOnly',
  'othersPutBack',
  'permitBack',
  'functionChecked',
]
