import type { Act } from '#core/isolation/model/act'
import { judgeIsolation, type JudgedRule } from '#core/isolation/judge'
import { DEFAULT_ISOLATION, type IsolationPolicy } from '#core/policies/isolation'
import { IsolationSequenceSchema } from '#schemas/isolation-sequence'
import { ACT_TEXT } from '#words/isolation'
import { RULE_TEXT } from '#words/isolation-rules'
import { ruleSource } from '#words/isolation-sources'
import { EXIT, UseError, checked, readJson, type Output } from './input'

/** Judges a sequence of safe isolation: what was kept and broken, how serious, at which act. */
export function isolation(_: object, file?: string): Output {
  if (!file) throw new UseError('isolation needs a sequence; see docs/formats.', EXIT.use)
  const sequence = checked(file, 'a sequence of an isolation', IsolationSequenceSchema, readJson(file))
  const acts = sequence.acts.map((act, i): Act => ({ ...act, atS: act.atS ?? i }))
  const policy: IsolationPolicy = { ...DEFAULT_ISOLATION, ...sequence.policy }
  const verdict = judgeIsolation(acts, { ...sequence.site, policy }, true)
  const rules = verdict.rules.map((rule) => ({
    ...rule,
    name: RULE_TEXT[rule.code]?.name ?? rule.code,
    restsOn: ruleSource(rule.code) ?? null,
  }))
  const isCritical = verdict.critical.length > 0
  return {
    json: { met: verdict.met, score: verdict.score, parts: verdict.parts, rules },
    explained: [
      verdict.met ? 'Met.' : 'Not yet.',
      ...rules.map((rule) => ruleLine(rule, acts)),
      'A training record. It never says that a real circuit is safe.',
    ].join('\n'),
    code: isCritical ? EXIT.engineering : EXIT.done,
  }
}

function ruleLine({ code, state, seriousness, at }: JudgedRule, acts: readonly Act[]): string {
  const act = at === null ? undefined : acts[at]
  const where = act ? `act ${at! + 1}, ${ACT_TEXT[act.kind].toLowerCase()}` : ''
  const { name, why } = RULE_TEXT[code] ?? { name: code, why: '' }
  const reason = state === 'broken' ? ` ${why} (${ruleSource(code)})` : ''
  return `${state.padEnd(7)} ${seriousness.padEnd(9)} ${name}${where ? ` (${where})` : ''}.${reason}`
}
