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

/** Reads a table of readings: columns in any order, a unit in its own column or in the heading, as in `reading (kΩ)`. Tests that the schedule does not have are told by their line. */
export function readReadingsCsv(text: string, keys: ReadonlySet<ReadingKey>): ReadCsvReadings {
  let table: ReturnType<typeof readCsv>
  try {
    table = readCsv(text)
  } catch {
    return { ok: false, problem: 'notCsv' }
  }
  const column = (names: readonly string[]) =>
    table.heading.find((name) => names.includes(name.replace(/\s*[([].*$/, '')))
  const [key, value, unit, time] = [KEY_NAMES, VALUE_NAMES, UNIT_NAMES, TIME_NAMES].map(column)
  if (!key || !value) return { ok: false, problem: 'heading' }
  const headUnit = /[([]\s*([^)\]]+?)\s*[)\]]/.exec(table.titles[table.heading.indexOf(value)]!)?.[1] ?? ''
  const readings: CsvReading[] = []
  const problems: CsvReadingProblem[] = []
  for (const { line, cells } of table.rows) {
    const test = cells[key]!.trim()
    const typed = cells[value]!.trim()
    if (test === '' && typed === '') continue
    const taken = (time ? cells[time] : '')?.trim() ?? ''
    const at = taken === '' ? '' : new Date(taken)
    if (!keys.has(test)) problems.push({ line, problem: test === '' ? 'noKey' : 'noSuchTest', cell: test })
    else if (at !== '' && Number.isNaN(at.getTime())) problems.push({ line, problem: 'noTime', cell: taken })
    else
      readings.push({
        line,
        key: test,
        text: withUnit(typed, (unit ? cells[unit] : headUnit)?.trim() ?? '', test),
        at: at === '' ? '' : at.toISOString(),
      })
  }
  return { ok: true, readings, problems }
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
