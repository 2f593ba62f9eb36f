import type { BayJob, BayResults } from '~/utils/bay-work'

/** Hands work of a bay to a worker that lives as long as the page. */
export function useBayWorker() {
  const waiting = new Map<number, (result: never) => void>()
  let worker: Worker | undefined
  let turn = 0

  function start(): Worker {
    const made = new Worker(new URL('../workers/bay.worker.ts', import.meta.url), { type: 'module' })
    made.addEventListener('message', ({ data }: MessageEvent<{ turn: number; result: never }>) => {
      waiting.get(data.turn)?.(data.result)
      waiting.delete(data.turn)
    })
    return made
  }

  function work<J extends BayJob>(job: J): Promise<BayResults[J['kind']]> {
    worker ??= start()
    turn += 1
    // A plain copy: reactive objects cannot cross to a worker.
    worker.postMessage({ turn, job: JSON.parse(JSON.stringify(job)) })
    return new Promise((resolve) => waiting.set(turn, resolve as (result: never) => void))
  }

  onScopeDispose(() => worker?.terminate())
  return { work }
}
