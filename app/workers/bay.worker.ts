import { workAtBay, type BayJob } from '~/utils/bay-work'

/** Computes a bay away from the page: what happens, what an instrument shows, what is live. */
addEventListener('message', ({ data }: MessageEvent<{ turn: number; job: BayJob }>) => {
  postMessage({ turn: data.turn, result: workAtBay(data.job) })
})
