import { QUANTITIES } from '#core/units/quantity'
import { isTick, quantityOf, type ReadingKey } from '#core/testing/kinds/kinds'
import { readCsv, writeCsv } from './csv'

/** One reading of a file. */
export interface CsvReading {
  readonly line: number
  readonly key: ReadingKey
  /** As it is written into its box, with the unit where the file names one. */
  readonly text: string
  /** ISO 8601 UTC; empty where the file does not say when. */
  readonly at: string
}

export interface CsvReadingProblem {
  readonly line: number
  readonly problem: 'noSuchTest' | 'noTime' | 'noKey'
  readonly cell: string
}

export type ReadCsvReadings =
  | {
      readonly ok: true
      readonly readings: readonly CsvReading[]
      readonly problems: readonly CsvReadingProblem[]
    }
  | { readonly ok: false; readonly problem: 'notCsv' | 'heading' }

const KEY_NAMES = ['test', 'key']
const VALUE_NAMES = ['reading', 'value', 'result']
const UNIT_NAMES = ['unit', 'units']
const TIME_NAMES = ['time', 'at', 'taken']

/**
 * Reads a table of readings: columns in any order, a unit in its own column or in the heading, as in `reading
 * (kΩ)`. Tests that the schedule does not have are told by their line.
 */
export function readReadingsCsv(text: string, keys: ReadonlySet<ReadingKey>): ReadCsvReadings {
  let table: Table
  try {
    table = readCsv(text)
  } catch {
    return { ok: false, problem: 'notCsv' }
  }
  const columns = columnsOf(table)
  if (!columns) return { ok: false, problem: 'heading' }
  const read = table.rows.flatMap(({ line, cells }) => readLine(line, cells, columns, keys))
  return {
    ok: true,
    readings: read.filter((candidate) => 'key' in candidate),
    problems: read.filter((candidate) => 'problem' in candidate),
  }
}

type Table = ReturnType<typeof readCsv>
type Cells = Readonly<Record<string, string | undefined>>

interface Columns {
  readonly key: string
  readonly value: string
  readonly unit: string | undefined
  readonly time: string | undefined
  /** Of the heading: `reading (kΩ)`. */
  readonly headUnit: string
}

function columnsOf({ heading, titles }: Table): Columns | undefined {
  const column = (names: readonly string[]) =>
    heading.find((name) => names.includes(name.replace(/\s*[([].*$/, '')))
  const [key, value, unit, time] = [KEY_NAMES, VALUE_NAMES, UNIT_NAMES, TIME_NAMES].map(column)
  if (!key || !value) return undefined
  const headUnit = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(titles[heading.indexOf(value)]!)?.[1] ?? ''
  return { key, value, unit, time, headUnit }
}

const cellOf = (cells: Cells, column: string | undefined): string => (column && cells[column]?.trim()) || ''

function readLine(
  line: number,
  cells: Cells,
  columns: Columns,
  keys: ReadonlySet<ReadingKey>,
): (CsvReading | CsvReadingProblem)[] {
  const [key, typed, taken] = [columns.key, columns.value, columns.time].map((name) =>
    cellOf(cells, name),
  ) as [string, string, string]
  if (key === '' && typed === '') return []
  if (!keys.has(key)) return [{ line, problem: key === '' ? 'noKey' : 'noSuchTest', cell: key }]
  const at = taken === '' ? undefined : new Date(taken)
  if (at && Number.isNaN(at.getTime())) return [{ line, problem: 'noTime', cell: taken }]
  const unit = columns.unit ? cellOf(cells, columns.unit) : columns.headUnit
  return [{ line, key, text: withUnit(typed, unit, key), at: at?.toISOString() ?? '' }]
}

/** A number gets the file's unit; a tick, `N/A` or a number that has one stays. */
const withUnit = (typed: string, unit: string, key: ReadingKey): string =>
  unit !== '' && !isTick(key) && /^[>\d.,\s]+\+?$/.test(typed) ? `${typed} ${unit}` : typed

/** The same table, for a form to fill in or for keeping. */
export function writeReadingsCsv(
  rows: readonly {
    readonly key: ReadingKey
    readonly name: string
    readonly text: string
    readonly at: string
  }[],
): string {
  return writeCsv(
    ['test', 'name', 'reading', 'unit', 'time'],
    rows.map(({ key, name, text, at }) => [key, name, text, QUANTITIES[quantityOf(key)].unit, at]),
  )
}
