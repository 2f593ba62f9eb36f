import { watchDebounced } from '@vueuse/core'
import type { Exercise } from '#core/exercise/exercise'
import type { VariantsResult } from '#core/exercise/variants'

const PAUSE_MS = 250

/** Variants of an exercise as it is typed, made in a worker; only the latest answer counts. */
export function useVariantPreview(
  exercise: () => Exercise | undefined,
  isWanted: () => boolean,
  count: number,
) {
  const desk = useDeskWorker()
  const {
    answer: result,
    isBusy,
    ask,
  } = useLatest<Exercise, VariantsResult>((wanted) =>
    desk.call((worker) => worker.makeVariants(plain(wanted), count) as Promise<VariantsResult>),
  )
  watchDebounced([exercise, isWanted], () => isWanted() && ask(exercise() ?? null), {
    debounce: PAUSE_MS,
    immediate: true,
  })
  return { result, isBusy }
}
