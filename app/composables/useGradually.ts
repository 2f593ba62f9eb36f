import { computed, onScopeDispose, ref, type Ref } from 'vue'

/** What a long page shows at once fills a screen; the rest follows part by part, a frame each, before anybody gets there. */
export function useGradually(count: () => number, atOnce: number) {
  const shown = ref(atOnce)
  const more = (): void => {
    if (shown.value >= count()) return
    shown.value += 1
    frame = requestAnimationFrame(more)
  }
  let frame = requestAnimationFrame(more)
  onScopeDispose(() => cancelAnimationFrame(frame))
  const isWhole: Readonly<Ref<boolean>> = computed(() => shown.value >= count())
  return { shown, isWhole }
}
