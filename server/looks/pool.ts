import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Piscina from 'piscina'
import { Problem } from '../services/problem'
import type { Look } from './looks'
import type { Packed } from './packed'
import type { Refused, ThreadData } from './thread'

/** The built thread lies beside the built server; without it, as in tests, screens are made in place. */
const threadFile = (): string => join(dirname(process.argv[1] ?? ''), 'looks-thread.mjs')
let pool: Piscina | undefined

/** The one thread, which keeps what it has read; undefined where the server has not been built. */
function poolOver(file: string): Piscina | undefined {
  const filename = threadFile()
  if (!pool && existsSync(filename))
    pool = new Piscina({
      filename,
      minThreads: 1,
      maxThreads: 1,
      workerData: { file, program: process.argv[1]! } satisfies ThreadData,
      // Between two screens it goes on with the questions that the last one has begun.
      atomics: 'disabled',
    })
  return pool
}

/** The thread is there before the first screen is asked for. */
export const readyLooks = (file: string): void => void poolOver(file)

/**
 * A screen from the database at `file`, made in a thread of its own over a connection that only reads: whoever saves
 * meanwhile, and STOP, do not wait for it. Undefined where there is no such thread. Throws a `Problem` for whoever may
 * not see it.
 */
export async function lookApart(file: string, look: Look): Promise<Packed | undefined> {
  const made = (await poolOver(file)?.run(look, { name: 'run' })) as Packed | Refused | undefined
  if (made && 'refused' in made) throw new Problem(...made.refused)
  return made
}

/** Ends the thread with its connection; the next screen would begin another. */
export function endLooks(): void {
  void pool?.destroy()
  pool = undefined
}
