import type { Finding } from '../findings/finding'
import type { Conclusion, Observation } from './conclude'
import { GRADE_SERIOUSNESS, ITEM_GROUPS, type InspectionItem, type ItemGroup } from './items'

/** What an assessor saw of one group of a bay's work. */
export interface WorkMark {
  readonly group: ItemGroup
  /** How many places were looked at. */
  readonly looked: number
  readonly mark: number
  readonly outOf: number
  readonly verdict: 'right' | 'wrong'
  readonly findings: readonly Finding[]
}

/** Marks of an inspection, one a group. A group of which anything was not looked at is not judged. */
export function workMarks(
  items: readonly InspectionItem[],
  conclusion: Pick<Conclusion, 'observations' | 'open'>,
): WorkMark[] {
  return ITEM_GROUPS.flatMap((group): WorkMark[] => {
    const inGroup = items.filter((item) => item.group === group)
    if (inGroup.length === 0 || conclusion.open.some((item) => item.group === group)) return []
    const findings = conclusion.observations.filter(({ item }) => item.group === group).map(findingOf)
    const isRight = findings.every(({ seriousness }) => seriousness === 'note')
    return [
      {
        group,
        looked: inGroup.length,
        mark: isRight ? 1 : 0,
        outOf: 1,
        verdict: isRight ? 'right' : 'wrong',
        findings,
      },
    ]
  })
}

const findingOf = ({ item, grade, remark }: Observation): Finding => ({
  code: 'work.seen',
  seriousness: GRADE_SERIOUSNESS[grade],
  params: { what: item.what, part: item.part, grade, remark },
})
