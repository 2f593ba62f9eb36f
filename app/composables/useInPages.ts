import { computed, ref, watch, type ComputedRef } from 'vue'

/**
 * A long list by pages, with one row in hand: moving it past the end of a page turns the page, and turning the page
 * takes its first row in hand. When the list gets shorter, both stay inside it.
 */
export function useInPages<Row>(rows: () => readonly Row[], size: number) {
  const at = ref(0)
  const pages = computed(() => Math.max(1, Math.ceil(rows().length / size)))
  /** From 1. */
  const page = computed({
    get: () => Math.floor(at.value / size) + 1,
    set: (wanted) => (at.value = inside((wanted - 1) * size)),
  })
  const shown: ComputedRef<readonly Row[]> = computed(() =>
    rows().slice((page.value - 1) * size, page.value * size),
  )
  const inside = (index: number): number => Math.max(0, Math.min(rows().length - 1, index))
  const move = (by: number): void => {
    at.value = inside(at.value + by)
  }
  /** Within the page. */
  const atHere = computed(() => at.value % size)
  const inHand = computed(() => rows()[at.value])
  watch(
    () => rows().length,
    () => move(0),
  )
  return { page, pages, shown, atHere, inHand, move }
}
