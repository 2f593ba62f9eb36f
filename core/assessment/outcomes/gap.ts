import { coverage, timeOf, type Coverage, type Occasion } from './coverage'
import type { BehavioursQuota, Criterion, Framework, SetQuota, ShareQuota, Unit } from './framework'
import type { EvidenceKind } from './kinds'
import { separateOccasions } from './separate'
import type { Setting, Shown } from './shows'

/** What one criterion still lacks. */
export interface CriterionGap {
  readonly criterion: Criterion
  readonly occasions: number
  readonly kinds: readonly EvidenceKind[]
}

export type QuotaGap =
  | {
      readonly kind: 'set'
      readonly quota: SetQuota
      readonly shown: readonly string[]
      /** Compulsory ones, and others that were begun, with the occasions that each still lacks. */
      readonly open: readonly { readonly member: string; readonly more: number }[]
      /** Different things beyond those. */
      readonly more: number
    }
  | {
      readonly kind: 'share'
      readonly quota: ShareQuota
      readonly jobs: number
      readonly inside: number
      /** Of so many jobs as there are now, so many would have to be. */
      readonly needed: number
      /** Jobs of these settings that would do it. */
      readonly more: number
    }
  | {
      readonly kind: 'behaviours'
      readonly quota: BehavioursQuota
      readonly missing: readonly string[]
      readonly more: number
    }

/** Everything that a unit still lacks. */
export interface UnitGap {
  readonly unit: Unit
  readonly criteria: readonly CriterionGap[]
  readonly quotas: readonly QuotaGap[]
  /** Single things that are missing; 0 closes the unit. */
  readonly steps: number
}

/** A person's evidence. */
export interface Evidence {
  readonly occasions: readonly Occasion[]
  /** Codes of the behaviours that somebody has seen and put down. */
  readonly behaviours: ReadonlySet<string>
}

/** A unit of somebody: what is missing, and how far each criterion has been shown. */
export interface Standing {
  readonly gap: UnitGap
  readonly coverage: readonly Coverage[]
}

export const gapsOf = (framework: Framework, evidence: Evidence): UnitGap[] =>
  standingsOf(framework, evidence).map(({ gap }) => gap)

/** Every unit of the framework laid over somebody’s evidence. */
export function standingsOf(framework: Framework, evidence: Evidence): Standing[] {
  const met = evidence.occasions.filter((occasion) => occasion.met)
  return framework.units.map((unit) => {
    const covered = coverage(unit.criteria, evidence.occasions, framework.separate)
    const criteria = covered
      .filter(({ isComplete }) => !isComplete)
      .map(({ criterion, met: shown, wanted, missingKinds }) => ({
        criterion,
        occasions: Math.max(0, wanted - shown),
        kinds: missingKinds,
      }))
    const codes = new Set(unit.criteria.map(({ code }) => code))
    const inUnit = unit.quotas.length > 0 ? met.filter(({ criterion }) => codes.has(criterion)) : []
    const quotas = unit.quotas.flatMap((quota): QuotaGap[] => {
      if (quota.kind === 'set') return setGap(quota, inUnit, framework)
      if (quota.kind === 'share') return shareGap(quota, inUnit)
      return behavioursGap(quota, framework, evidence.behaviours)
    })
    return { gap: { unit, criteria, quotas, steps: stepsOf(criteria, quotas) }, coverage: covered }
  })
}

const stepsOf = (criteria: readonly CriterionGap[], quotas: readonly QuotaGap[]): number =>
  criteria.reduce((sum, { occasions, kinds }) => sum + Math.max(occasions, kinds.length), 0) +
  quotas.reduce((sum, gap) => sum + gap.more + (gap.kind === 'set' ? openOf(gap) : 0), 0)
const openOf = ({ open }: Extract<QuotaGap, { kind: 'set' }>): number =>
  open.reduce((sum, { more }) => sum + more, 0)

const membersOf = (shown: Shown, of: SetQuota['of']): readonly string[] =>
  ({ wiringSystem: shown.wiringSystems, cable: shown.cables, equipment: shown.equipment })[of]

function setGap(quota: SetQuota, met: readonly Occasion[], { separate }: Framework): QuotaGap[] {
  const times = new Map<string, Occasion[]>()
  for (const occasion of met)
    for (const member of membersOf(occasion.shown, quota.of))
      times.set(member, [...(times.get(member) ?? []), occasion])
  const count = new Map(
    [...times].map(([member, shown]) => [member, separateOccasions(shown.map(timeOf), separate)]),
  )
  const shown = [...count].filter(([, n]) => n >= quota.each).map(([member]) => member)
  const compulsory = quota.compulsory.filter((member) => !shown.includes(member))
  const lacking = Math.max(0, quota.least - shown.length - compulsory.length)
  // Those that were begun are the nearest to being shown.
  const begun = [...count]
    .filter(([member, n]) => n < quota.each && !compulsory.includes(member))
    .sort(([, a], [, b]) => b - a)
    .slice(0, lacking)
    .map(([member]) => member)
  const open = [...compulsory, ...begun].map((member) => ({
    member,
    more: quota.each - (count.get(member) ?? 0),
  }))
  const more = (lacking - begun.length) * quota.each
  return open.length + more === 0 ? [] : [{ kind: 'set', quota, shown, open, more: lacking - begun.length }]
}

/** How many of these would have to be inside, of so many, to be more than the share. */
const neededOf = (jobs: number, moreThan: number): number => Math.floor(jobs * moreThan + 1e-9) + 1

function shareGap(quota: ShareQuota, met: readonly Occasion[]): QuotaGap[] {
  const settingOf = new Map<string, Setting>()
  for (const { exerciseCode, shown } of met) if (shown.setting) settingOf.set(exerciseCode, shown.setting)
  const jobs = settingOf.size
  const inside = [...settingOf.values()].filter((setting) => quota.settings.includes(setting)).length
  let more = 0
  while (jobs + more < quota.jobs || inside + more < neededOf(jobs + more, quota.moreThan)) more += 1
  return more === 0
    ? []
    : [
        {
          kind: 'share',
          quota,
          jobs,
          inside,
          needed: neededOf(Math.max(jobs, quota.jobs), quota.moreThan),
          more,
        },
      ]
}

function behavioursGap(
  quota: BehavioursQuota,
  { behaviours }: Framework,
  seen: ReadonlySet<string>,
): QuotaGap[] {
  const missing = behaviours.filter(({ code }) => !seen.has(code)).map(({ code }) => code)
  const more = quota.least - (behaviours.length - missing.length)
  return more > 0 ? [{ kind: 'behaviours', quota, missing, more }] : []
}

const WEEK_MS = 7 * 86_400_000
/** The pace is that of so many weeks. */
export const PACE_WEEKS = 8

/**
 * When each unit closes at the present pace, ISO 8601 UTC, by its code: what has been closed in the last weeks,
 * and what
 * is left. Null where nothing has been gained in that time; `now` where it is closed.
 */
export function closings(
  framework: Framework,
  gaps: readonly UnitGap[],
  evidence: Evidence,
  now: string,
): ReadonlyMap<string, string | null> {
  let first = now
  for (const { decidedAt } of evidence.occasions) if (decidedAt < first) first = decidedAt
  const since = new Date(
    Math.max(Date.parse(now) - PACE_WEEKS * WEEK_MS, Date.parse(first) - 1),
  ).toISOString()
  const weeks = Math.max(1, (Date.parse(now) - Date.parse(since)) / WEEK_MS)
  const earlier = evidence.occasions.filter(({ decidedAt }) => decidedAt <= since)
  const before = gapsOf(framework, { ...evidence, occasions: earlier })
  return new Map(
    gaps.map(({ unit, steps }, i) => {
      const gained = before[i]!.steps - steps
      if (steps === 0) return [unit.code, now]
      const at = Date.parse(now) + (steps / (gained / weeks)) * WEEK_MS
      return [unit.code, gained > 0 ? new Date(at).toISOString() : null]
    }),
  )
}
