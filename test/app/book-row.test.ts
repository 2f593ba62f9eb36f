import { expect, test } from 'vitest'
import { bookTable } from '#core/regulations/book/tables'
import { useBookRow } from '~/composables/useBookRow'

const AIR = bookTable('ca-air')!
const boxes = [
  { column: '70', present: 0.87 },
  { column: '90', present: 0.91 },
]

test('only what differs is written down, with its place', () => {
  const row = useBookRow(AIR, '18-A2', { row: '40', boxes })
  expect(row.problem.value).toContain('No value differs')
  row.typed['70'] = '0,86'
  expect(row.problem.value).toContain('table and page')
  row.place.value = 'Table 4B1, page 390'
  expect(row.problem.value).toBe('')
  expect(row.entries.value).toMatchObject([
    { table: 'ca-air', row: '40', column: '70', value: 0.86, edition: '18-A2', place: 'Table 4B1, page 390' },
  ])
})

test('a box that is emptied, or holds words, keeps the whole row back', () => {
  const row = useBookRow(AIR, '18-A2', { row: '40', boxes })
  row.place.value = 'p. 390'
  for (const text of ['', 'about 0.9', '0.8.7']) {
    row.typed['90'] = text
    expect(row.problem.value, text).toContain('number')
  }
})

test('a new row asks for its key, and a gap that was there stays one', () => {
  const row = useBookRow(AIR, '18-A2', {
    row: null,
    boxes: [
      { column: '70', present: undefined },
      { column: '90', present: undefined },
    ],
  })
  row.typed['70'] = '0.61'
  row.place.value = 'p. 390'
  expect(row.problem.value).toContain('which row')
  row.key.value = ' 55 '
  expect(row.entries.value).toMatchObject([{ row: '55', column: '70', value: 0.61 }])
  expect(row.problem.value).toBe('')
})
