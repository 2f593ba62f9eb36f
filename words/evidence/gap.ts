import type { Behaviour } from '#core/assessment/outcomes/framework'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { CriterionGap, QuotaGap, UnitGap } from '#core/assessment/outcomes/gap'
import { SETTINGS, type Setting } from '#core/assessment/outcomes/shows'
import { KIND_TEXT, SETTING_TEXT, SORT_TEXT, memberText } from './labels'
import { inLetters, listed, more } from './numbers'

/** What one criterion lacks: `T2 Measure insulation resistance: one more occasion`. */
export function criterionGapSays({ criterion, occasions, kinds }: CriterionGap): string {
  return (
    `${criterion.code} ${criterion.text}: ` +
    `${lackSays(occasions, kinds)}${criterion.isCritical ? ' (critical)' : ''}`
  )
}

const lackSays = (occasions: number, kinds: readonly EvidenceKind[]): string =>
  listed([
    ...(occasions > 0 ? [more(occasions, 'occasion')] : []),
    ...(kinds.length > 0 ? [`${listed(kinds.map((kind) => KIND_TEXT[kind]))} at least once`] : []),
  ])

/** What one quota lacks, in a sentence without its full stop. */
export function quotaGapSays(gap: QuotaGap, behaviours: readonly Behaviour[]): string {
  switch (gap.kind) {
    case 'set': {
      const { one, many } = SORT_TEXT[gap.quota.of]
      return listed([
        ...gap.open.map(({ member, more: n }) => `${memberText(member)} on ${more(n, 'occasion')}`),
        ...(gap.more > 0 ? [`${more(gap.more, one, many)}`] : []),
      ])
    }
    case 'share':
      return shareSays(gap)
    case 'behaviours': {
      const names = gap.missing.map((code) => behaviours.find((one) => one.code === code)?.text ?? code)
      return `${more(gap.more, 'behaviour')}, of these: ${names.join('; ')}`
    }
  }
}
/** `2 of 5 jobs are non-domestic, 3 are needed: two more non-domestic jobs would do it`. */
function shareSays({ quota, jobs, inside, needed, more: n }: Extract<QuotaGap, { kind: 'share' }>): string {
  const names = settingsSay(quota.settings)
  const first =
    jobs === 0
      ? 'no job has been shown yet'
      : `${inside} of ${jobs} ${jobs === 1 ? 'job is' : 'jobs are'} ${names}`
  const wanted = jobs < quota.jobs ? `${needed} of at least ${quota.jobs} are needed` : `${needed} are needed`
  return `${first}, ${wanted}: ${more(n, `${names} job`)} would do it`
}

/** Everything but domestic has a name of its own. */
const settingsSay = (settings: readonly Setting[]): string =>
  SETTINGS.every((setting) => settings.includes(setting) === (setting !== 'domestic'))
    ? 'non-domestic'
    : listed(
        settings.map((setting) => SETTING_TEXT[setting]),
        'or',
      )

/** Everything that a unit lacks, a sentence each; empty where nothing is missing. */
export const unitGapSays = ({ criteria, quotas }: UnitGap, behaviours: readonly Behaviour[]): string[] => [
  ...quotas.map((gap) => `${gap.quota.text}: ${quotaGapSays(gap, behaviours)}.`),
  ...criteria.map((gap) => `${criterionGapSays(gap)}.`),
]

/** The same for a table: criteria that lack the same stand together. */
export function unitGapBriefly({ criteria, quotas }: UnitGap, behaviours: readonly Behaviour[]): string[] {
  const byLack = new Map<string, string[]>()
  for (const { criterion, occasions, kinds } of criteria) {
    const lack = lackSays(occasions, kinds)
    byLack.set(lack, [...(byLack.get(lack) ?? []), criterion.code])
  }
  return [
    ...quotas.map((gap) => `${gap.quota.text}: ${quotaGapSays(gap, behaviours)}.`),
    ...[...byLack].map(([lack, codes]) => `${listed(codes)}: ${lack}${codes.length > 1 ? ' each' : ''}.`),
  ]
}

/** The head of a unit: closed, or how much is open. */
export const unitStanding = ({ unit, steps }: UnitGap): string =>
  steps === 0
    ? `${unit.title}: nothing is missing`
    : `${unit.title}: ${inLetters(steps)} ${steps === 1 ? 'thing is' : 'things are'} missing`
