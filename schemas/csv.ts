import { parse } from 'csv-parse/sync'
import { stringify } from 'csv-stringify/sync'

/**
 * A table read from CSV by its heading (lower-cased), with each row's line in the file; RFC 4180, comma or
 * semicolon.
 */
export interface CsvTable {
  readonly heading: readonly string[]
  /** The heading as it was written, where M and m differ. */
  readonly titles: readonly string[]
  readonly rows: readonly { readonly line: number; readonly cells: Readonly<Record<string, string>> }[]
}

// A spreadsheet would run such a cell as a formula; it is written with a quote in front and read back without it.
const FORMULA = /^[=+\-@\t\r＝＋－＠]/
const QUOTED_FORMULA = /^'[=+\-@\t\r＝＋－＠]/
/** A first line that spreadsheets write to name the separator. */
const NAMED_SEPARATOR = /^\uFEFF?sep=(.)\r?\n/

/** The separator that stands most often in the heading: comma, semicolon or tab. */
function separatorOf(text: string): string {
  const heading = text.split('\n', 1)[0]!
  const count = (sign: string) => heading.split(sign).length - 1
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

/** Reads CSV text. Throws when a quotation mark stays open or a row is longer than the heading. */
export function readCsv(text: string): CsvTable {
  const named = NAMED_SEPARATOR.exec(text)
  const table = named ? text.slice(named[0].length) : text
  const offset = named ? 1 : 0
  const records = parse(table, {
    bom: true,
    delimiter: named?.[1] ?? separatorOf(table),
    info: true,
    relaxColumnCountLess: true,
    skipEmptyLines: true,
    columns: false,
  }) as unknown as { record: string[]; info: { lines: number } }[]
  const titles = (records[0]?.record ?? []).map((cell) => cell.trim())
  const heading = titles.map((cell) => cell.toLowerCase())
  const rows = records
    .slice(1)
    .map(({ record, info }) => ({
      line: info.lines + offset,
      cells: Object.fromEntries(
        heading.map((name, i) => [name, (record[i] ?? '').replace(QUOTED_FORMULA, (m) => m.slice(1))]),
      ),
    }))
  return { heading, titles, rows }
}

/** Writes rows under a heading; UTF-8 with CRLF as RFC 4180 has it. */
export function writeCsv(
  heading: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  const safe = (cell: string | number) => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell)
  return stringify([heading, ...rows.map((row) => row.map(safe))], { record_delimiter: 'windows' })
}
