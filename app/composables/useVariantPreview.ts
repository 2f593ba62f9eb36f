import type { Exercise } from '#core/exercise/exercise'
import type { VariantsResult } from '#core/exercise/variants'

const PAUSE_MS = 250

/** Variants of an exercise as it is typed, drawn in a worker; only the latest answer counts. */
export function useVariantPreview(
  exercise: () => Exercise | undefined,
  isWanted: () => boolean,
  count: number,
) {
  const result = shallowRef<VariantsResult | null>(null)
  const isBusy = ref(false)
  let worker: Worker | undefined
  let turn = 0
  let timer: ReturnType<typeof setTimeout> | undefined

  function ask(): void {
    const wanted = exercise()
    if (!wanted) {
      result.value = null
      return
    }
    worker ??= start()
    isBusy.value = true
    // A plain copy: reactive objects cannot cross to a worker.
    worker.postMessage({ turn: ++turn, exercise: JSON.parse(JSON.stringify(wanted)), count })
  }

  function start(): Worker {
    const made = new Worker(new URL('../workers/variants.worker.ts', import.meta.url), { type: 'module' })
    made.addEventListener('message', ({ data }: MessageEvent<{ turn: number; result: VariantsResult }>) => {
      if (data.turn !== turn) return
      result.value = data.result
      isBusy.value = false
    })
    return made
  }

  watch(
    [exercise, isWanted],
    () => {
      clearTimeout(timer)
      if (isWanted()) timer = setTimeout(ask, PAUSE_MS)
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    clearTimeout(timer)
    worker?.terminate()
  })
  return { result, isBusy }
}
