import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'

/** How long each picture stands while a film plays, ms: long enough to read its line. */
export const PICTURE_MS = 2600

/** A film that is played, paused, stepped and scrubbed; another film begins at its first picture. */
export function useFilm(count: Readonly<Ref<number>>, isStill: Readonly<Ref<boolean>>) {
  const at = ref(0)
  const isPlaying = ref(false)
  const isAtEnd = computed(() => at.value >= count.value - 1)
  let timer: ReturnType<typeof setTimeout> | undefined

  function go(to: number): void {
    at.value = Math.min(Math.max(0, to), Math.max(0, count.value - 1))
  }
  function pause(): void {
    isPlaying.value = false
    clearTimeout(timer)
  }
  function schedule(): void {
    clearTimeout(timer)
    if (!isPlaying.value) return
    timer = setTimeout(() => {
      go(at.value + 1)
      if (isAtEnd.value) pause()
      else schedule()
    }, PICTURE_MS)
  }
  /** From the beginning where it stands at its end; one picture on for those who want no motion. */
  function play(): void {
    const isOver = isAtEnd.value
    if (isOver) go(0)
    if (isStill.value && !isOver) return step(1)
    if (isStill.value) return
    isPlaying.value = !isAtEnd.value
    schedule()
  }
  function step(by: 1 | -1): void {
    pause()
    go(at.value + by)
  }
  function scrub(to: number): void {
    pause()
    go(to)
  }
  watch(count, () => scrub(0))
  onScopeDispose(pause)
  return { at, isPlaying, isAtEnd, play, pause, step, scrub }
}
