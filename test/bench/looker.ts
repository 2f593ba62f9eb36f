/* Somebody who opens one screen after another without a pause, in a thread of their own: at another machine they would
   not hold up whoever measures. Runs until its thread is ended. */
import { workerData } from 'node:worker_threads'

export interface LookerData {
  readonly base: string
  /** What is opened, and by whose session. */
  readonly screens: readonly (readonly [cookie: string, path: string])[]
  readonly beginsAt: number
}

const { base, screens, beginsAt } = workerData as LookerData
for (let i = beginsAt; ; i += 1) {
  const [cookie, path] = screens[i % screens.length]!
  await (await fetch(`${base}/api/${path}`, { headers: { cookie } })).arrayBuffer()
}
