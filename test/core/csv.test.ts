import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readCsv, writeCsv } from '#schemas/csv'

test.each<[string, string, Record<string, string>[]]>([
  ['commas', 'number,name\nT-1,Ann\n', [{ number: 'T-1', name: 'Ann' }]],
  [
    'semicolons, as some spreadsheets write',
    'number;name\nT-1;Ann, Bo\n',
    [{ number: 'T-1', name: 'Ann, Bo' }],
  ],
  [
    'a byte order mark and Windows line ends',
    '\uFEFFNumber,Name\r\nT-1,Ann\r\n',
    [{ number: 'T-1', name: 'Ann' }],
  ],
  [
    'quotation marks, commas and line ends in a cell',
    'number,name\nT-1,"Ann ""O"", Bo\nCy"\n',
    [{ number: 'T-1', name: 'Ann "O", Bo\nCy' }],
  ],
  ['tabs', 'number\tname\nT-1\tAnn, Bo; Cy\n', [{ number: 'T-1', name: 'Ann, Bo; Cy' }]],
  [
    'a separator named in the first line',
    'sep=;\r\nnumber;name\r\nT-1;Ann, Bo\r\n',
    [{ number: 'T-1', name: 'Ann, Bo' }],
  ],
  [
    'short rows and empty lines',
    'number,name\nT-1\n\nT-2,Bo\n',
    [
      { number: 'T-1', name: '' },
      { number: 'T-2', name: 'Bo' },
    ],
  ],
])('reads %s', (_name, text, rows) => {
  expect(readCsv(text).rows.map((row) => row.cells)).toEqual(rows)
})

test('a bad row is named by its line in the file', () => {
  expect(readCsv('number,name\nT-1,Ann\nT-2,Bo\n').rows.map((row) => row.line)).toEqual([2, 3])
})

test('a line is counted in the file, the one that names the separator too', () => {
  expect(readCsv('sep=;\nnumber;name\nT-1;Ann\n').rows.map((row) => row.line)).toEqual([3])
})

test('formulas are written so that no spreadsheet runs them, full-width signs too', () => {
  const text = writeCsv(['a'], [['=1+1'], ['＝1+1'], ['＠x'], ['-3']])
  expect(text.split('\r\n').slice(1, 5)).toEqual(["'=1+1", "'＝1+1", "'＠x", "'-3"])
})

test('any table that is written reads back as it was (RFC 4180)', () => {
  const cell = fc.string({
    unit: fc.constantFrom('a', 'Ω', '"', ',', ';', '\n', '=', '-', ' ', "'", 'é'),
    maxLength: 8,
  })
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 5 }), (rows) => {
      // A cell that itself begins with a quote and a formula sign is the one thing the guard cannot tell from
      // its own.
      fc.pre(
        rows.flat().every((text) => !/^'[=+\-@\t\r＝＋－＠]/.test(text)) &&
          rows.every((row) => row.some((text) => text !== '')),
      )
      const text = writeCsv(['one', 'two'], rows)
      expect(readCsv(text).rows.map(({ cells }) => [cells.one, cells.two])).toEqual(rows)
    }),
  )
})
