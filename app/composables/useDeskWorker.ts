import type { DeskOffer } from '~/workers/desk.worker'

/** A worker for the desk: variants, cutting lists, what a bay should show. */
export const useDeskWorker = () =>
  useWorker<DeskOffer>(
    () => new Worker(new URL('../workers/desk.worker.ts', import.meta.url), { type: 'module' }),
  )

/** The latest answer of something that is asked again and again; earlier ones that come late are dropped. */
export function useLatest<A, R>(compute: (asked: A) => Promise<R>) {
  const answer = shallowRef<R | null>(null)
  const isBusy = ref(false)
  const problem = ref<string | null>(null)
  let turn = 0

  async function ask(asked: A | null): Promise<void> {
    const ticket = ++turn
    if (asked === null) {
      answer.value = null
      isBusy.value = false
      return
    }
    isBusy.value = true
    try {
      const got = await compute(asked)
      if (ticket !== turn) return
      answer.value = got
      problem.value = null
    } catch (error) {
      if (ticket !== turn || (error instanceof WorkerFailure && error.reason === 'stopped')) return
      problem.value = error instanceof Error ? error.message : String(error)
    }
    isBusy.value = false
  }
  return { answer, isBusy, problem, ask }
}
