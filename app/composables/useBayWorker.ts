import type { BayJob, BayResults } from '~/utils/bay-work'
import type { BayOffer } from '~/workers/bay.worker'

/** Hands work of a bay to a worker that lives as long as the page. */
export function useBayWorker() {
  const { call } = useWorker<BayOffer>(
    () => new Worker(new URL('../workers/bay.worker.ts', import.meta.url), { type: 'module' }),
  )
  const work = <J extends BayJob>(job: J): Promise<BayResults[J['kind']]> =>
    call((worker) => worker.workAtBay(plain(job)) as Promise<BayResults[J['kind']]>)
  return { work }
}
