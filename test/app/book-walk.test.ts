import { nextTick, ref } from 'vue'
import { describe, expect, test } from 'vitest'
import type { BookEntry } from '#core/regulations/book/check'
import type { Edition } from '#core/regulations/editions'
import type { BookView, WalkItem } from '#schemas/book-views'
import { useBookWalk } from '~/composables/useBookWalk'

const item = (row: string, parts: Partial<WalkItem> = {}): WalkItem => ({
  table: 'ca-air',
  row,
  column: '70',
  value: 0.87,
  shipped: 0.87,
  state: 'open',
  ownId: null,
  by: null,
  at: null,
  isDoubted: false,
  exercises: ['T-04'],
  ...parts,
})
const aView = (walk: readonly WalkItem[]): BookView => ({
  edition: '18-A3',
  seen: 'x',
  walk,
  values: [],
  lists: [],
})

/** A walk over these values; the server takes what it is told and shows it. */
function aWalk(walk: readonly WalkItem[]) {
  const view = ref<BookView | null>(aView(walk))
  const told: (readonly [string, number] | BookEntry)[] = []
  const mark = (row: string, state: WalkItem['state']) =>
    (view.value = aView(view.value!.walk.map((one) => (one.row === row ? { ...one, state } : one))))
  const held = useBookWalk(view, ref<Edition>('18-A3'), {
    agree: async ({ row }, value) => {
      told.push([row, value])
      mark(row, 'same')
    },
    enter: async (entry) => {
      told.push(entry)
      mark(entry.row, 'otherUnchecked')
    },
    check: async (id) => {
      told.push(['checked', id])
      mark('40', 'other')
    },
  })
  return { ...held, told }
}

describe('Enter after Enter', () => {
  test('nothing typed: the book says the same, and the next open value stands there', async () => {
    const walk = aWalk([item('35'), item('40', { state: 'same' }), item('45')])
    expect([walk.done.value, walk.current.value!.row]).toEqual([1, '35'])
    await walk.answer()
    expect(walk.current.value!.row).toBe('45')
    await walk.answer()
    expect(walk.told).toEqual([
      ['35', 0.87],
      ['45', 0.87],
    ])
    expect([walk.current.value, walk.open.value]).toEqual([null, []])
  })

  test('the same number typed is the same, with a comma too', async () => {
    const walk = aWalk([item('40')])
    walk.typed.value = '0,87'
    await walk.answer()
    expect(walk.told).toEqual([['40', 0.87]])
  })

  test('another number asks where it stands, and is written down with it', async () => {
    const walk = aWalk([item('40'), item('45')])
    walk.typed.value = '0.86'
    expect(await walk.answer()).toBe(false)
    expect(walk.wrong.value).toContain('table and page')
    expect(walk.told).toEqual([])
    walk.place.value = 'Table 4B1, page 390'
    expect(await walk.answer()).toBe(true)
    expect(walk.told[0]).toMatchObject({
      row: '40',
      value: 0.86,
      place: 'Table 4B1, page 390',
      edition: '18-A3',
    })
    // The page stays for the next value of the same table.
    expect([walk.place.value, walk.typed.value]).toEqual(['Table 4B1, page 390', ''])
  })

  test('words are asked again, and nothing is sent', async () => {
    const walk = aWalk([item('40')])
    walk.typed.value = 'about 0.9'
    expect(await walk.answer()).toBe(false)
    expect(walk.wrong.value).toContain('number')
    expect(walk.told).toEqual([])
  })

  test('a row that the centre took out cannot be agreed to', async () => {
    const walk = aWalk([item('50', { value: null })])
    expect(await walk.answer()).toBe(false)
    expect(walk.wrong.value).toContain('taken out')
  })
})

test('a second Enter while the first is under way does nothing', async () => {
  const walk = aWalk([item('35'), item('40')])
  await Promise.all([walk.answer(), walk.answer()])
  expect(walk.told).toEqual([['35', 0.87]])
})

test('what the server refuses leaves the number in the box', async () => {
  const view = ref<BookView | null>(aView([item('40')]))
  const walk = useBookWalk(view, ref<Edition>('18-A3'), {
    agree: () => Promise.reject(new Error('no')),
    enter: () => Promise.reject(new Error('no')),
    check: () => Promise.reject(new Error('no')),
  })
  walk.typed.value = '0.8'
  walk.place.value = 'p. 1'
  await expect(walk.answer()).rejects.toThrow('no')
  expect([walk.typed.value, walk.isBusy.value, walk.current.value!.row]).toEqual(['0.8', false, '40'])
})

test('Enter on a colleague’s value is the second person’s check; on a checked one it only goes on', async () => {
  const walk = aWalk([item('40', { state: 'otherUnchecked', ownId: 7, value: 0.86 }), item('45')])
  walk.at.value = 'ca-air|40|70'
  await walk.answer()
  expect(walk.told).toEqual([['checked', 7]])
  walk.at.value = 'ca-air|40|70'
  await walk.answer()
  expect(walk.told).toHaveLength(1)
  expect(walk.current.value!.row).toBe('45')
})

test('the page is asked anew for the next table', async () => {
  const walk = aWalk([item('40'), item('32', { table: 'zs-breakers', column: 'B', value: 1.37 })])
  walk.typed.value = '0.86'
  walk.place.value = 'Table 4B1, page 390'
  await walk.answer()
  await nextTick()
  expect([walk.current.value!.table, walk.place.value]).toEqual(['zs-breakers', ''])
})

test('on and back goes round, done or not', () => {
  const walk = aWalk([item('35', { state: 'same' }), item('40'), item('45')])
  const seen = [walk.current.value!.row]
  for (const by of [1, 1, -1] as const) {
    walk.go(by)
    seen.push(walk.current.value!.row)
  }
  expect(seen).toEqual(['40', '45', '35', '45'])
})
