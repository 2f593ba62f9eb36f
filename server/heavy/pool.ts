import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import Piscina from 'piscina'
import * as inPlace from './worker'

type Heavy = typeof inPlace
type Name = keyof Heavy

/** Two cores: one thread beside the server's own. */
const MOST_THREADS = 1
/** So many may wait; more than that is told to come back. */
const MOST_WAITING = 60

/**
 * The built worker lies beside the built server; without it, as in tests and on the command line, the work is
 * done in place.
 */
const workerFile = join(dirname(process.argv[1] ?? ''), 'heavy-worker.mjs')
let pool: Piscina | undefined

/**
 * Runs one of the heavy functions away from the server's thread, for as long as somebody waits for it: what is
 * cancelled leaves the queue, or its thread is ended and replaced, and is told as an `AbortError`. An error in it
 * reaches the caller.
 */
export async function heavy<N extends Name>(
  { signal }: { readonly signal?: AbortSignal },
  name: N,
  ...args: Parameters<Heavy[N]>
): Promise<Awaited<ReturnType<Heavy[N]>>> {
  type Result = Awaited<ReturnType<Heavy[N]>>
  signal?.throwIfAborted()
  if (!pool && existsSync(workerFile))
    pool = new Piscina({
      filename: workerFile,
      minThreads: 0,
      maxThreads: MOST_THREADS,
      maxQueue: MOST_WAITING,
    })
  if (!pool) return (inPlace[name] as unknown as (...given: Parameters<Heavy[N]>) => Result)(...args)
  return pool.run({ name, args }, { name: 'run', signal }) as Promise<Result>
}
