import { createHash } from 'node:crypto'
import { strToU8, zipSync } from 'fflate'
import type { Role } from '#core/exercise/roster'
import { writeCsv } from '../csv'
import { ALL_FILES, HEADINGS, type Cells, type FileName } from './headings'

export interface RosterOut {
  readonly centre: string
  readonly people: readonly {
    readonly number: string
    readonly name: string
    readonly role: Role
    readonly cohort: string
  }[]
  readonly results: readonly {
    readonly number: string
    readonly cohort: string
    readonly exercise: string
    readonly title: string
    readonly mark: number
    readonly outOf: number
    readonly met: boolean
    readonly decidedAt: string
  }[]
  /** First and last day of the school year, `2026-09-01`. */
  readonly year: { readonly from: string; readonly to: string }
}

/** Ids that are the same each time, and safe in a file: a stem and a hash. */
const idOf = (stem: string, ...parts: readonly string[]): string =>
  `${stem}-${createHash('sha256').update(parts.join('\n')).digest('hex').slice(0, 16)}`

const ONEROSTER_ROLE: Readonly<Record<Role, string>> = {
  apprentice: 'student',
  instructor: 'teacher',
  assessor: 'teacher',
  administrator: 'siteAdministrator',
  technician: 'aide',
  verifier: 'proctor',
}

/** The last word is the family name; a single word is both. */
function namesOf(name: string): { readonly givenName: string; readonly familyName: string } {
  const words = name.trim().split(/\s+/)
  return { givenName: words.slice(0, -1).join(' ') || words[0]!, familyName: words.at(-1)! }
}

const yearRow = ({ year }: RosterOut): Cells => ({
  sourcedId: idOf('year', year.from),
  title: `${year.from.slice(0, 4)}/${year.to.slice(0, 4)}`,
  type: 'schoolYear',
  startDate: year.from,
  endDate: year.to,
  schoolYear: year.to.slice(0, 4),
})

/** Where everything belongs: ids that every table names. */
interface Place {
  readonly school: string
  readonly year: string
  readonly course: string
}
const classId = (cohort: string): string => idOf('class', cohort)
const userId = (number: string): string => idOf('user', number)
const lineId = ({ exercise, cohort }: Pick<RosterOut['results'][number], 'exercise' | 'cohort'>): string =>
  idOf('line', exercise, cohort)
const CATEGORY = idOf('category', 'practical')

/** Rows by file. Bulk files leave status and date of change empty, as the binding asks. */
function rowsOf(out: RosterOut): Readonly<Record<Exclude<FileName, 'manifest.csv'>, readonly Cells[]>> {
  const place: Place = {
    school: idOf('org', out.centre),
    year: idOf('year', out.year.from),
    course: idOf('course', out.centre),
  }
  const { school, year, course } = place
  return {
    'orgs.csv': [{ sourcedId: school, name: out.centre, type: 'school' }],
    'academicSessions.csv': [yearRow(out)],
    'courses.csv': [
      {
        sourcedId: course,
        schoolYearSourcedId: year,
        title: 'Electrical installation',
        orgSourcedId: school,
      },
    ],
    ...peopleRows(out, place),
    'categories.csv': [{ sourcedId: CATEGORY, title: 'Practical work' }],
    ...resultRows(out, place),
  }
}

function peopleRows({ people, results }: RosterOut, { school, year, course }: Place) {
  const cohorts = [...new Set([...people, ...results].map(({ cohort }) => cohort).filter(Boolean))].sort()
  return {
    'classes.csv': cohorts.map((cohort) => ({
      sourcedId: classId(cohort),
      title: cohort,
      courseSourcedId: course,
      classType: 'scheduled',
      schoolSourcedId: school,
      termSourcedIds: year,
    })),
    'users.csv': people.map(({ number, name }) => ({
      sourcedId: userId(number),
      enabledUser: 'true',
      username: number,
      ...namesOf(name),
      identifier: number,
      primaryOrgSourcedId: school,
    })),
    'roles.csv': people.map(({ number, role }) => ({
      sourcedId: idOf('role', number),
      userSourcedId: userId(number),
      roleType: 'primary',
      role: ONEROSTER_ROLE[role],
      orgSourcedId: school,
    })),
    'enrollments.csv': people
      .filter(({ cohort }) => cohort !== '')
      .map(({ number, cohort }) => ({
        sourcedId: idOf('enrol', number, cohort),
        classSourcedId: classId(cohort),
        schoolSourcedId: school,
        userSourcedId: userId(number),
        role: 'student',
        primary: 'false',
      })),
  }
}

function resultRows({ results }: RosterOut, { school, year }: Place) {
  const lines = new Map(results.map((result) => [lineId(result), result]))
  return {
    'lineItems.csv': [...lines].map(([id, line]) => ({
      sourcedId: id,
      title: `${line.exercise} ${line.title}`,
      classSourcedId: classId(line.cohort),
      categorySourcedId: CATEGORY,
      gradingPeriodSourcedId: year,
      resultValueMin: 0,
      resultValueMax: line.outOf,
      schoolSourcedId: school,
    })),
    'results.csv': results.map((result) => ({
      sourcedId: idOf('result', result.number, result.exercise),
      lineItemSourcedId: lineId(result),
      studentSourcedId: userId(result.number),
      scoreStatus: 'fully graded',
      score: result.mark,
      scoreDate: result.decidedAt.slice(0, 10),
      comment: result.met ? 'met' : 'not yet',
    })),
  }
}

const tableOf = (name: FileName, rows: readonly Cells[]): string =>
  writeCsv(
    HEADINGS[name],
    rows.map((row) => HEADINGS[name].map((column) => row[column] ?? '')),
  )

/** The roster and the results of a centre as a package in OneRoster’s CSV. */
export function writeOneRoster(out: RosterOut): Uint8Array {
  const rows = rowsOf(out)
  const manifest: readonly (readonly [string, string])[] = [
    ['manifest.version', '1.0'],
    ['oneroster.version', '1.2'],
    ...ALL_FILES.map((file) => [`file.${file}`, `${file}.csv` in rows ? 'bulk' : 'absent'] as const),
    ['source.systemName', 'Nakshi'],
    ['source.systemCode', 'nakshi'],
  ]
  const files: Record<string, Uint8Array> = {
    'manifest.csv': strToU8(
      tableOf(
        'manifest.csv',
        manifest.map(([propertyName, value]) => ({ propertyName, value })),
      ),
    ),
  }
  for (const [name, table] of Object.entries(rows)) files[name] = strToU8(tableOf(name as FileName, table))
  return zipSync(files)
}
