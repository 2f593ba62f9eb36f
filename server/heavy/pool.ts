import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { setImmediate } from 'node:timers/promises'
import Piscina from 'piscina'
import * as inPlace from './worker'

type Heavy = typeof inPlace
type Name = keyof Heavy

/**
 * What a page waits for has a thread of its own: a board that is laid out for ten seconds does not hold it up. So has
 * what waits for the disk.
 */
type Thread = 'short' | 'disk' | 'long'
const THREADS: Partial<Record<Name, Thread>> = { expectedOf: 'short', mergeLog: 'disk' }
/** A thread that has run before is several times as quick, ms. */
const KEPT_FOR_MS = 120_000
/** So many may wait; more than that is told to come back. */
const MOST_WAITING = 60

/**
 * The built worker lies beside the built server; without it, as in tests and on the command line, the work is
 * done in place.
 */
const workerFile = (): string => join(dirname(process.argv[1] ?? ''), 'heavy-worker.mjs')
const pools: { [T in Thread]?: Piscina } = {}

/** One thread each; undefined where the server has not been built. */
function poolFor(name: Name): Piscina | undefined {
  const which = THREADS[name] ?? 'long'
  const filename = workerFile()
  if (!pools[which] && existsSync(filename))
    pools[which] = new Piscina({
      filename,
      minThreads: 0,
      maxThreads: 1,
      maxQueue: MOST_WAITING,
      idleTimeout: which === 'long' ? 0 : KEPT_FOR_MS,
    })
  return pools[which]
}

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
  const pool = poolFor(name)
  if (pool) return pool.run({ name, args }, { name: 'run', signal }) as Promise<Result>
  // Between two of them others get in.
  await setImmediate()
  return (inPlace[name] as unknown as (...given: Parameters<Heavy[N]>) => Result)(...args)
}
