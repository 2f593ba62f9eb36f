import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'

/**
 * What a long page shows at once fills a screen; the rest follows part by part, each once the one before it has been
 * painted, before anybody gets there.
 */
export function useGradually(count: () => number, atOnce: number) {
  const shown = ref(atOnce)
  let frame = 0
  let task: ReturnType<typeof setTimeout> | undefined
  const rest = (): void => {
    cancelAnimationFrame(frame)
    clearTimeout(task)
  }
  // A frame's own callback runs before its paint; what is asked for there runs after it.
  const soon = (): void => {
    rest()
    frame = requestAnimationFrame(() => {
      task = setTimeout(more)
    })
  }
  const more = (): void => {
    if (shown.value >= count()) return
    shown.value += 1
    soon()
  }
  // What there is to show may come later, or become more.
  watch(count, soon, { immediate: true })
  onScopeDispose(rest)
  const isWhole: Readonly<Ref<boolean>> = computed(() => shown.value >= count())
  return { shown, isWhole }
}
