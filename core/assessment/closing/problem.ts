import type { Framework } from '../outcomes/framework'
import type { QuotaGap, UnitGap } from '../outcomes/gap'
import type { SetSort } from '../outcomes/framework'
import type { Setting, Shown } from '../outcomes/shows'

/** One thing that somebody lacks, and what fills it. */
export interface Want {
  /** `criterion T2`, `member TQ1 trunking`, `free TQ1`, `job TQ3`. */
  readonly key: string
  /** How many times. */
  readonly more: number
  /** What each is worth: a critical criterion three times a plain one. */
  readonly weight: number
  /** Things that fill it, each once; where it is left out, every exercise that gives the key fills it once. */
  readonly byMembers?: readonly string[]
}

export interface ClosingPerson {
  readonly id: number
  readonly name: string
  readonly wants: readonly Want[]
  /** Exercises that they have done or have in hand. */
  readonly had: readonly number[]
}

/** An exercise by what it gives. */
export interface ClosingExercise {
  readonly id: number
  readonly code: string
  readonly title: string
  readonly minutes: number
  readonly criteria: readonly string[]
  readonly shown: Shown
}

export interface ClosingLimits {
  /** Bays that can be used at a time. */
  readonly bays: number
  /** Hours in all. */
  readonly hours: number
}

export interface ClosingProblem {
  readonly people: readonly ClosingPerson[]
  readonly exercises: readonly ClosingExercise[]
  /** Settings that a share counts, by its quota. */
  readonly settings: Readonly<Record<string, readonly Setting[]>>
  /** What a set counts, by its quota. */
  readonly sorts: Readonly<Record<string, SetSort>>
}

const CRITICAL_WEIGHT = 3

/** What somebody lacks, as things to be filled. */
export function wantsOf(gaps: readonly UnitGap[], members: (quota: string) => readonly string[]): Want[] {
  return gaps.flatMap(({ criteria, quotas }) => [
    ...criteria
      .filter(({ occasions }) => occasions > 0)
      .map(({ criterion, occasions }) => ({
        key: `criterion ${criterion.code}`,
        more: occasions,
        weight: criterion.isCritical ? CRITICAL_WEIGHT : 1,
      })),
    ...quotas.flatMap((gap) => quotaWants(gap, members)),
  ])
}

function quotaWants(gap: QuotaGap, members: (quota: string) => readonly string[]): Want[] {
  const { code } = gap.quota
  if (gap.kind === 'share') return [{ key: `job ${code}`, more: gap.more, weight: 1 }]
  if (gap.kind === 'behaviours') return []
  const open = gap.open.map(({ member, more }) => ({ key: `member ${code} ${member}`, more, weight: 1 }))
  if (gap.more === 0) return open
  const taken = new Set([...gap.shown, ...gap.open.map(({ member }) => member)])
  const free = members(code).filter((member) => !taken.has(member))
  return [...open, { key: `free ${code}`, more: gap.more, weight: 1, byMembers: free }]
}

/** Sorts and settings of the quotas of a framework, for the problem. */
export function quotaFacts({ units }: Framework): Pick<ClosingProblem, 'settings' | 'sorts'> {
  const quotas = units.flatMap((unit) => unit.quotas)
  return {
    settings: Object.fromEntries(
      quotas.flatMap((quota) => (quota.kind === 'share' ? [[quota.code, quota.settings]] : [])),
    ),
    sorts: Object.fromEntries(
      quotas.flatMap((quota) => (quota.kind === 'set' ? [[quota.code, quota.of]] : [])),
    ),
  }
}

const membersShown = ({ wiringSystems, cables, equipment }: Shown, of: SetSort): readonly string[] =>
  ({ wiringSystem: wiringSystems, cable: cables, equipment })[of]

/** Whether an exercise fills this want, and with which of its members. */
export function fills(
  { settings, sorts }: Pick<ClosingProblem, 'settings' | 'sorts'>,
  { criteria, shown }: ClosingExercise,
  want: Want,
): readonly string[] | boolean {
  const [kind, code = '', member = ''] = want.key.split(' ')
  if (kind === 'criterion') return criteria.includes(code)
  if (kind === 'job') return shown.setting !== null && (settings[code] ?? []).includes(shown.setting)
  const has = membersShown(shown, sorts[code] ?? 'cable')
  if (kind === 'member') return has.includes(member)
  const found = (want.byMembers ?? []).filter((one) => has.includes(one))
  return found.length > 0 ? found : false
}
