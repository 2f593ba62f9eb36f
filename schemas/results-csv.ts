import { readCsv, writeCsv } from './csv'

/** One line of the results of an exercise. */
export interface ResultRow {
  readonly exercise: string
  readonly number: string
  readonly name: string
  readonly group: string
  readonly bay: number
  readonly stage: string
  /** Undefined until decided. */
  readonly mark?: number
  readonly outOf?: number
  readonly met?: boolean
  readonly criteriaMet: readonly string[]
  readonly criteriaOpen: readonly string[]
  readonly decidedBy: string
  readonly decidedAt: string
}

const HEADING = [
  'exercise',
  'number',
  'name',
  'group',
  'bay',
  'stage',
  'mark',
  'out_of',
  'decision',
  'criteria_met',
  'criteria_open',
  'decided_by',
  'decided_at',
]
const LIST = ' '

function decisionCell(met: boolean | undefined): string {
  if (met === undefined) return ''
  return met ? 'met' : 'not yet'
}

export function writeResults(rows: readonly ResultRow[]): string {
  return writeCsv(
    HEADING,
    rows.map((row) => [
      row.exercise,
      row.number,
      row.name,
      row.group,
      row.bay,
      row.stage,
      row.mark ?? '',
      row.outOf ?? '',
      decisionCell(row.met),
      row.criteriaMet.join(LIST),
      row.criteriaOpen.join(LIST),
      row.decidedBy,
      row.decidedAt,
    ]),
  )
}

export function readResults(text: string): ResultRow[] {
  const number = (cell: string | undefined) => (cell ? Number(cell) : undefined)
  const list = (cell: string | undefined) => (cell ? cell.split(LIST) : [])
  return readCsv(text).rows.map(({ cells }) => ({
    exercise: cells.exercise ?? '',
    number: cells.number ?? '',
    name: cells.name ?? '',
    group: cells.group ?? '',
    bay: Number(cells.bay),
    stage: cells.stage ?? '',
    mark: number(cells.mark),
    outOf: number(cells.out_of),
    met: cells.decision ? cells.decision === 'met' : undefined,
    criteriaMet: list(cells.criteria_met),
    criteriaOpen: list(cells.criteria_open),
    decidedBy: cells.decided_by ?? '',
    decidedAt: cells.decided_at ?? '',
  }))
}
