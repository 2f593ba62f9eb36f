import { useIntervalFn } from '@vueuse/core'

const EVERY_MS = 400

/** How far something at the server has come, in whole percent, asked for while it runs. */
export function useProgress(isRunning: () => boolean) {
  const { call } = useApi()
  const percent = ref(0)
  useIntervalFn(async () => {
    if (!isRunning()) return void (percent.value = 0)
    const progress = await call<{ done: number; of: number } | null>('GET', 'progress').catch(() => null)
    if (progress && progress.of > 0) percent.value = Math.floor((100 * progress.done) / progress.of)
  }, EVERY_MS)
  return percent
}
