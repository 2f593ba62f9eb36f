import { describe, expect, test } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { useInPages } from '../../app/composables/useInPages'

const listOf = (count: number) => shallowRef(Array.from({ length: count }, (_, i) => i))
const inPages = (rows: ReturnType<typeof listOf>, size: number) =>
  effectScope().run(() => useInPages(() => rows.value, size))!

describe('a list by pages', () => {
  test('the row in hand takes its page along, in both directions', () => {
    const { page, shown, atHere, inHand, move } = inPages(listOf(7), 3)
    expect(shown.value).toEqual([0, 1, 2])
    move(3)
    expect([page.value, shown.value, atHere.value, inHand.value]).toEqual([2, [3, 4, 5], 0, 3])
    move(-1)
    expect([page.value, atHere.value]).toEqual([1, 2])
  })

  test('neither end is left', () => {
    const { inHand, pages, page, shown, move } = inPages(listOf(7), 3)
    move(-5)
    expect(inHand.value).toBe(0)
    move(50)
    expect([inHand.value, page.value, pages.value, shown.value]).toEqual([6, 3, 3, [6]])
  })

  test('turning a page takes its first row in hand', () => {
    const { page, inHand } = inPages(listOf(7), 3)
    page.value = 3
    expect(inHand.value).toBe(6)
    page.value = 9
    expect(page.value).toBe(3)
  })

  test('a list that gets shorter keeps a row in hand; an empty one has a page and nothing in it', async () => {
    const rows = listOf(7)
    const { page, shown, inHand, move } = inPages(rows, 3)
    move(6)
    rows.value = [0, 1]
    await nextTick()
    expect([page.value, shown.value, inHand.value]).toEqual([1, [0, 1], 1])
    rows.value = []
    await nextTick()
    expect([page.value, shown.value, inHand.value]).toEqual([1, [], undefined])
  })
})
