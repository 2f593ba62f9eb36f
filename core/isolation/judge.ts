import type { Act } from './model/act'
import { bySeriousness, type Seriousness } from '../findings/seriousness'
import type { IsolationPart, Pass, Rule, RuleState, Site } from './model/rule'
import { PARTS } from './model/rule'
import { AGAIN_RULES } from './rules/again'
import { BEFORE_RULES } from './rules/before'
import { PROVE_RULES } from './rules/prove'
import { RESTORE_RULES } from './rules/restore'
import { SECURE_RULES } from './rules/secure'

export const RULES: readonly Rule[] = [
  ...BEFORE_RULES,
  ...SECURE_RULES,
  ...PROVE_RULES,
  ...AGAIN_RULES,
  ...RESTORE_RULES,
]

/** One constraint as it was kept or broken. */
export interface JudgedRule {
  readonly code: string
  readonly part: IsolationPart
  readonly seriousness: Seriousness
  readonly state: RuleState
  /** Place of the act in the whole sequence. */
  readonly at: number | null
}

export interface IsolationVerdict {
  /** Critical breaches first, then what is broken, kept, still open; what nothing called for is left out. */
  readonly rules: readonly JudgedRule[]
  readonly critical: readonly JudgedRule[]
  /** Weighted share of what was called for, 0 to 1. */
  readonly score: number
  /** No breach that is critical or required, and every part with something kept. */
  readonly met: boolean
  readonly parts: Readonly<Record<IsolationPart, 'met' | 'not-yet' | 'not-shown'>>
}

const WEIGHT: Readonly<Record<Seriousness, number>> = { critical: 5, fault: 3, note: 1 }
const STATE_RANK: Readonly<Record<RuleState, number>> = { broken: 0, open: 1, kept: 2, idle: 3 }

/**
 * Passes: whoever finds the wrong circuit starts again, and is judged on the last pass; critical breaches of
 * earlier ones stay.
 */
function passesOf(acts: readonly Act[]): Pass[] {
  const starts = [0, ...acts.flatMap(({ kind }, i) => (kind === 'restart' ? [i + 1] : []))]
  return starts.map((from, k) => ({
    acts: acts.slice(from, starts[k + 1] ?? acts.length),
    ever: acts.slice(0, from),
    offset: from,
  }))
}

/** One rule over all passes: the last one decides, unless an earlier one broke what can hurt. */
function judgeRule(rule: Rule, passes: readonly Pass[], site: Site, isDone: boolean): JudgedRule[] {
  const seriousness = rule.seriousness(site)
  const results = passes.map((pass) => ({ pass, judged: rule.judge(pass, site) }))
  const earlier = results
    .slice(0, -1)
    .find(({ judged }) => seriousness === 'critical' && judged.state === 'broken')
  const { pass, judged } = earlier ?? results.at(-1)!
  const whenDone = rule.isOwed ? 'broken' : 'idle'
  const state = judged.state === 'open' && isDone ? whenDone : judged.state
  if (state === 'idle') return []
  const at = judged.at === undefined || judged.at < 0 ? null : judged.at + pass.offset
  return [{ code: rule.code, part: rule.part, seriousness, state, at }]
}

/**
 * Judges a sequence against every constraint. `isDone`: nothing more will follow, so what is still open was
 * left out.
 */
export function judgeIsolation(acts: readonly Act[], site: Site, isDone: boolean): IsolationVerdict {
  const passes = passesOf(acts.filter(({ kind }) => kind !== 'stop'))
  const stopped = acts.findIndex(({ kind }) => kind === 'stop')
  const rules = RULES.flatMap((rule) => judgeRule(rule, passes, site, isDone))
  if (stopped !== -1)
    rules.push({ code: 'stopped', part: 'prove', seriousness: 'critical', state: 'broken', at: stopped })
  rules.sort((a, b) => STATE_RANK[a.state] - STATE_RANK[b.state] || bySeriousness(a, b))
  const due = rules.filter(({ state }) => state !== 'open')
  const total = due.reduce((sum, { seriousness }) => sum + WEIGHT[seriousness], 0)
  const kept = due
    .filter(({ state }) => state === 'kept')
    .reduce((sum, { seriousness }) => sum + WEIGHT[seriousness], 0)
  const broken = rules.filter(({ state, seriousness }) => state === 'broken' && seriousness !== 'note')
  const critical = rules.filter(({ state, seriousness }) => state === 'broken' && seriousness === 'critical')
  const partOf = (part: IsolationPart) => {
    const judgedRules = rules.filter((rule) => rule.part === part && rule.state !== 'open')
    if (broken.some((judgedRule) => judgedRule.part === part)) return 'not-yet'
    return judgedRules.some(({ state }) => state === 'kept') ? 'met' : 'not-shown'
  }
  return {
    rules,
    critical,
    score: total === 0 ? 0 : kept / total,
    met: isDone && broken.length === 0,
    parts: Object.fromEntries(PARTS.map((part) => [part, partOf(part)])) as IsolationVerdict['parts'],
  }
}
