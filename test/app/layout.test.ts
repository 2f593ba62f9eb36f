/* A board laid out by hand: what was not handed in waits on this device, and what is handed in is marked once. */
import { expect, it } from 'vitest'
import { shallowRef } from 'vue'
import { asTheyCome, markLayout } from '#core/arrangement/marked'
import { USUAL_WEIGHTS } from '#core/arrangement/wishes'
import type { Seating } from '#core/arrangement/board'
import type { LayoutView } from '#schemas/layout-views'
import { useLayout } from '~/composables/useLayout'

const circuits = [20, 5, 5].map((currentA, i) => ({
  id: `c${i}`,
  name: `Circuit ${i}`,
  phases: 1 as const,
  currentA,
  thirdShare: 0,
  ratingA: 32,
  heatW: currentA / 4,
  area: '',
  hasLead: false,
  isShared: false,
  leakageMA: 0,
}))
const board = { phases: 3 as const, ways: 2, sections: 0, reach: 12 }
const BEST: Seating = [0, 1, 2, null, null, null]
const aView = (tries: readonly Seating[] = []): LayoutView => ({
  id: 4,
  title: 'Paint shop: board',
  cohort: 'Thursday',
  circuits,
  board,
  weights: USUAL_WEIGHTS,
  start: asTheyCome(circuits, board),
  tries: tries.map((seating) => ({ seating, percent: 50, at: '2026-11-12' })),
  mark: null,
  best: null,
  shownAfter: { tries: 3, percent: 95 },
  results: null,
})
function aShelf(kept: Record<string, string> = {}) {
  return {
    kept,
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, text: string) => void (kept[key] = text),
    removeItem: (key: string) => void delete kept[key],
  }
}
const never = () => Promise.reject(new Error('not to be sent'))

it('begins with the circuits as they come, and a swap waits on this device until it is handed in', async () => {
  const shelf = aShelf()
  const view = shallowRef<LayoutView | null>(aView())
  const sent: [Seating, number][] = []
  const layout = useLayout(
    view,
    (seating, tries) => Promise.resolve((sent.push([seating, tries]), aView([seating]))),
    shelf,
    7,
  )
  expect(layout.seating.value).toEqual(view.value!.start)
  layout.swap(2, 5)
  const moved = [0, 1, null, null, null, 2]
  expect(layout.seating.value).toEqual(moved)
  const later = useLayout(shallowRef(aView()), never, shelf, 7)
  expect(later.seating.value).toEqual(moved)
  const other = useLayout(shallowRef(aView()), never, shelf, 8)
  expect(other.seating.value, 'somebody else at the same tablet').toEqual(aView().start)
  view.value = await layout.handIn()
  expect(sent).toEqual([[moved, 0]])
  expect(shelf.kept).toEqual({})
  expect(layout.seating.value).toEqual(moved)
})

it('the same board is not handed in twice', () => {
  const layout = useLayout(shallowRef(aView([BEST])), never, aShelf(), 7)
  expect(layout.canHandIn.value).toBe(false)
  layout.swap(0, 3)
  expect(layout.canHandIn.value).toBe(true)
  layout.swap(3, 0)
  expect(layout.canHandIn.value).toBe(false)
})

it('what could not be sent stays, on the board and on the device', async () => {
  const shelf = aShelf()
  const layout = useLayout(shallowRef(aView()), () => Promise.reject(new Error('offline')), shelf, 7)
  layout.swap(0, 3)
  const moved = layout.seating.value
  await expect(layout.handIn()).rejects.toThrow('offline')
  expect(layout.seating.value).toEqual(moved)
  expect(Object.values(shelf.kept)).toEqual([JSON.stringify(moved)])
})

it.each([
  ['text that is no list', 'circuits'],
  ['a board of other circuits', JSON.stringify([0, 1, 2, 3, null, null])],
  ['a circuit twice', JSON.stringify([0, 0, 1, 2, null, null])],
])('%s on the device is passed over', (_what, text) => {
  const layout = useLayout(shallowRef(aView()), never, aShelf({ 'layout 4 7': text }), 7)
  expect(layout.seating.value).toEqual(asTheyCome(circuits, board))
})

it('the last try stands beside the best as soon as that is shown', () => {
  const view = shallowRef<LayoutView | null>(aView([asTheyCome(circuits, board)]))
  const layout = useLayout(view, never, aShelf(), 7)
  expect(layout.columns.value.map(({ name }) => name)).toEqual(['Your last try'])
  view.value = {
    ...view.value!,
    best: BEST,
    mark: markLayout({ circuits, board, weights: USUAL_WEIGHTS, best: BEST }, BEST),
  }
  expect(layout.columns.value.map(({ name }) => name)).toEqual(['Your last try', 'Best found'])
})
