import { GRADES, type Grade, type InspectionItem } from './items'

/**
 * An inspection as it is kept: `see.cover-b1` is ok or a grade, `remark.…`, `torque.…`, `photo.…` hashes with
 * blanks between.
 */
export type InspectionFields = Readonly<Record<string, string>>

export interface Observation {
  readonly item: InspectionItem
  readonly grade: Grade
  readonly remark: string
}

export interface Conclusion {
  readonly looked: number
  readonly of: number
  /** What nobody has looked at yet. */
  readonly open: readonly InspectionItem[]
  readonly observations: readonly Observation[]
  /** Screws whose recorded torque strays from the value by more than a fifth, or that have none. */
  readonly torque: readonly {
    readonly item: InspectionItem
    readonly nm: number | null
    readonly wantedNm: number
  }[]
  /** Everything was looked at, and nothing dangerous is open. */
  readonly isSafeToTest: boolean
}

/** A torque wrench and a hand together; common practice, no source. */
const TORQUE_SHARE = 0.2
const isGrade = (text: string | undefined): text is Grade =>
  (GRADES as readonly string[]).includes(text ?? '')

/** What an inspection says so far. Observations without a danger do not stand in the way of testing. */
export function concludeInspection(items: readonly InspectionItem[], fields: InspectionFields): Conclusion {
  const observations = items
    .flatMap((item): Observation[] => {
      const grade = fields[`see.${item.key}`]
      return isGrade(grade) ? [{ item, grade, remark: (fields[`remark.${item.key}`] ?? '').trim() }] : []
    })
    .sort((a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade))
  const open = items.filter(({ key }) => fields[`see.${key}`] !== 'ok' && !isGrade(fields[`see.${key}`]))
  const torque = items.flatMap((item) => {
    if (item.torqueNm === null || fields[`see.${item.key}`] === undefined || fields[`see.${item.key}`] === '')
      return []
    const number = (key: string) => {
      const value = Number((fields[key] ?? '').replace(',', '.').replace(/\s*N.*$/i, ''))
      return Number.isFinite(value) && value > 0 ? value : null
    }
    const [nm, wantedNm] = [number(`torque.${item.key}`), number(`marked.${item.key}`) ?? item.torqueNm]
    return nm === null || Math.abs(nm / wantedNm - 1) > TORQUE_SHARE ? [{ item, nm, wantedNm }] : []
  })
  return {
    looked: items.length - open.length,
    of: items.length,
    open,
    observations,
    torque,
    isSafeToTest:
      open.length === 0 && !observations.some(({ grade }) => grade === 'danger' || grade === 'potential'),
  }
}
