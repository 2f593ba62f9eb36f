import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import type { Seating } from '#core/arrangement/board'
import { swapped } from '#core/arrangement/swap'
import { isSeating } from '#core/arrangement/marked'
import { measure } from '#core/arrangement/measure'
import { costsOf, totalOf } from '#core/arrangement/wishes'
import type { LayoutView } from '#schemas/layout-views'

/** Where an arrangement waits on this device until it is handed in. */
export type LayoutShelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>

const isSame = (a: Seating, b: Seating): boolean =>
  a.length === b.length && a.every((place, i) => place === b[i])

/** A board that is laid out as an exercise: moved by hand, kept on this device, handed in. */
export function useLayout(
  view: Readonly<Ref<LayoutView | null>>,
  send: (seating: Seating, tries: number) => Promise<LayoutView>,
  shelf: LayoutShelf,
  /** Who sits here: a tablet goes from hand to hand. */
  personId: number,
) {
  const own = shallowRef<Seating | null>(null)
  const isBusy = ref(false)
  const key = computed(() => `layout ${view.value?.id ?? ''} ${personId}`)
  const lastTry = computed(() => view.value?.tries.at(-1)?.seating ?? null)
  const seating = computed<Seating>(() => own.value ?? lastTry.value ?? view.value?.start ?? [])

  /** What was left unsent on this device, if it still fits the board. */
  function takeKept(): void {
    const text = shelf.getItem(key.value)
    if (!text || !view.value) return
    const { circuits, board } = view.value
    try {
      const kept = JSON.parse(text) as Seating
      if (Array.isArray(kept) && isSeating(circuits, board, kept)) own.value = kept
    } catch {
      shelf.removeItem(key.value)
    }
  }
  watch(() => view.value?.id, takeKept, { immediate: true })

  function put(next: Seating): void {
    own.value = next
    shelf.setItem(key.value, JSON.stringify(next))
  }
  function swap(a: number, b: number): void {
    if (view.value) put(swapped(view.value.circuits, view.value.board, seating.value, [a, b]))
  }
  const restart = () => view.value && put(view.value.start)
  /** The same board twice says nothing new. */
  const canHandIn = computed(
    () => view.value !== null && (lastTry.value === null || !isSame(seating.value, lastTry.value)),
  )
  async function handIn(): Promise<LayoutView> {
    isBusy.value = true
    try {
      const next = await send(seating.value, view.value!.tries.length)
      own.value = null
      shelf.removeItem(key.value)
      return next
    } finally {
      isBusy.value = false
    }
  }

  /** What the last try comes to, and the best as soon as it is shown. */
  const columns = computed(() => {
    if (!view.value || !lastTry.value) return []
    const { circuits, board, weights, best } = view.value
    const column = (name: string, of: Seating) => ({
      name,
      measured: measure(circuits, board, of),
      total: totalOf(costsOf(circuits, board, of), weights),
    })
    return [column('Your last try', lastTry.value), ...(best ? [column('Best found', best)] : [])]
  })
  return { seating, isBusy, canHandIn, columns, swap, restart, handIn }
}
