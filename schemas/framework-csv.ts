import type { Framework, Quota, Unit } from '#core/assessment/outcomes/framework'
import { USUAL_DOMESTIC } from '#core/assessment/outcomes/upgrade-framework'
import { readCsv, writeCsv } from './csv'
import { FrameworkSchema } from './framework'
import { validate } from './validate'

/** What a line of the file is. */
const ROWS = ['framework', 'behaviour', 'unit', 'criterion', 'set', 'share', 'behaviours'] as const
type RowKind = (typeof ROWS)[number]

const COLUMNS = [
  'row',
  'unit',
  'code',
  'text',
  'bs7671',
  'occasions',
  'evidence',
  'kinds',
  'needs',
  'critical',
  'of',
  'least',
  'compulsory',
  'settings',
  'more_than',
  'separate',
  'domestic',
] as const
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>

const joined = (items: readonly string[]): string => items.join(' ')

function quotaRow(unit: string, quota: Quota): Row {
  const head = { row: quota.kind, unit, code: quota.code, text: quota.text }
  switch (quota.kind) {
    case 'set':
      return {
        ...head,
        of: quota.of,
        least: quota.least,
        compulsory: joined(quota.compulsory),
        occasions: quota.each,
      }
    case 'share':
      return { ...head, settings: joined(quota.settings), more_than: quota.moreThan, least: quota.jobs }
    case 'behaviours':
      return { ...head, least: quota.least }
  }
}

const unitRows = ({ code: unit, title, criteria, quotas }: Unit): Row[] => [
  { row: 'unit', unit, code: unit, text: title },
  ...criteria.map(({ code, text, bs7671, occasions, evidence, kinds, needs, isCritical }): Row => ({
    row: 'criterion',
    unit,
    code,
    text,
    bs7671,
    occasions,
    evidence: joined(evidence),
    kinds: joined(kinds),
    needs: joined(needs),
    critical: isCritical ? 'yes' : '',
  })),
  ...quotas.map((quota) => quotaRow(unit, quota)),
]

/** A framework as a table: a line for itself, each behaviour, unit, criterion and quota. UTF-8, RFC 4180. */
export function writeFrameworkCsv({ code, title, separate, domestic, behaviours, units }: Framework): string {
  const rows: Row[] = [
    { row: 'framework', code, text: title, separate, domestic },
    ...behaviours.map((behaviour): Row => ({ row: 'behaviour', ...behaviour })),
    ...units.flatMap(unitRows),
  ]
  return writeCsv(
    COLUMNS,
    rows.map((row) => COLUMNS.map((column) => row[column] ?? '')),
  )
}

export interface CsvProblem {
  readonly line: number
  readonly message: string
}
export type FrameworkRead =
  | { readonly ok: true; readonly framework: Framework }
  | { readonly ok: false; readonly problems: readonly CsvProblem[] }

const words = (text: string): string[] => text.split(/\s+/).filter(Boolean)
const figure = (text: string): number => Number(text.replace(',', '.'))

interface Line {
  readonly number: number
  readonly cell: (name: (typeof COLUMNS)[number]) => string
}

const criterionOf = ({ cell }: Line) => ({
  code: cell('code'),
  text: cell('text'),
  bs7671: cell('bs7671'),
  occasions: figure(cell('occasions') || '1'),
  evidence: words(cell('evidence')),
  kinds: words(cell('kinds')),
  needs: words(cell('needs')),
  isCritical: /^(yes|true|1|x)$/i.test(cell('critical')),
})

function quotaOf(kind: RowKind, { cell }: Line) {
  const head = { kind, code: cell('code'), text: cell('text') }
  const least = figure(cell('least') || '1')
  if (kind === 'set')
    return {
      ...head,
      of: cell('of'),
      least,
      compulsory: words(cell('compulsory')),
      each: figure(cell('occasions') || '1'),
    }
  return kind === 'share'
    ? {
        ...head,
        settings: words(cell('settings')),
        moreThan: figure(cell('more_than') || '0.5'),
        jobs: least,
      }
    : { ...head, least }
}

/** Reads the same table; what is wrong is named by its line. */
export function readFrameworkCsv(text: string): FrameworkRead {
  let lines: readonly Line[]
  try {
    lines = readCsv(text).rows.map(({ line, cells }) => ({
      number: line,
      cell: (name) => (cells[name] ?? '').trim(),
    }))
  } catch (error) {
    return {
      ok: false,
      problems: [{ line: 1, message: `this is no table in CSV: ${(error as Error).message}` }],
    }
  }
  const unknown = lines.filter(({ cell }) => !(ROWS as readonly string[]).includes(cell('row')))
  if (unknown.length > 0)
    return {
      ok: false,
      problems: unknown.map(({ number, cell }) => ({
        line: number,
        message: `“${cell('row')}” is no kind of line; one of ${ROWS.join(', ')}`,
      })),
    }
  const of = (kind: RowKind) => lines.filter(({ cell }) => cell('row') === kind)
  const [head] = of('framework')
  if (!head)
    return { ok: false, problems: [{ line: 1, message: 'there is no line “framework” with code and title' }] }
  const inUnit = (kind: RowKind, unit: string) => of(kind).filter(({ cell }) => cell('unit') === unit)
  const document = {
    format: 'nakshi.framework',
    version: 2,
    code: head.cell('code'),
    title: head.cell('text'),
    separate: head.cell('separate') || 'job',
    domestic: head.cell('domestic') || USUAL_DOMESTIC,
    behaviours: of('behaviour').map(({ cell }) => ({ code: cell('code'), text: cell('text') })),
    units: of('unit').map(({ cell }) => ({
      code: cell('code'),
      title: cell('text'),
      criteria: inUnit('criterion', cell('code')).map(criterionOf),
      quotas: (['set', 'share', 'behaviours'] as const).flatMap((kind) =>
        inUnit(kind, cell('code')).map((line) => quotaOf(kind, line)),
      ),
    })),
  }
  return checkedRead(document, lines)
}

function checkedRead(document: unknown, lines: readonly Line[]): FrameworkRead {
  const units = new Set(lines.filter(({ cell }) => cell('row') === 'unit').map(({ cell }) => cell('code')))
  const stray = lines.filter(
    ({ cell }) => !['framework', 'behaviour', 'unit'].includes(cell('row')) && !units.has(cell('unit')),
  )
  if (stray.length > 0)
    return {
      ok: false,
      problems: stray.map(({ number, cell }) => ({
        line: number,
        message: `there is no unit “${cell('unit')}”`,
      })),
    }
  const checked = validate(FrameworkSchema, document)
  if (checked.ok) return { ok: true, framework: checked.value as Framework }
  return {
    ok: false,
    problems: checked.problems.map(({ field, message }) => ({ line: 1, message: `${field} ${message}` })),
  }
}
