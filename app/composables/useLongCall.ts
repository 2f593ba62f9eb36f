/**
 * A call that the server works at for longer than a moment: how far it has come, and a way to cancel it. What is
 * cancelled has changed nothing; so has what its page is left for.
 */
export function useLongCall() {
  const { call } = useApi()
  const running = shallowRef<AbortController | null>(null)
  const isRunning = computed(() => running.value !== null)
  const percent = useProgress(() => isRunning.value)
  const cancel = (): void => running.value?.abort()
  onScopeDispose(cancel)

  /** A refusal is thrown as it comes; null where it was cancelled, or runs already. */
  async function run<T>(method: 'GET' | 'POST', path: string, body?: unknown): Promise<T | null> {
    if (running.value) return null
    const own = (running.value = new AbortController())
    try {
      return await call<T>(method, path, body, own.signal)
    } catch (error) {
      if (own.signal.aborted) return null
      throw error
    } finally {
      running.value = null
    }
  }
  return { isRunning, percent, run, cancel }
}
