import { proxy, releaseProxy, wrap, type Remote } from 'comlink'
import { onScopeDispose } from 'vue'

/** What a worker offers: functions by name. */
type Offer = object

export interface WorkerCalls<T extends Offer> {
  /** Calls the worker. An error in it reaches the caller, and the next call finds a fresh worker. */
  readonly call: <R>(ask: (worker: Remote<T>) => Promise<R>) => Promise<R>
  /** Ends what is being worked on; the next call starts anew. */
  readonly stop: () => void
}

/** Why a call did not come back. */
export class WorkerFailure extends Error {
  constructor(readonly reason: 'failed' | 'stopped') {
    super(reason === 'failed' ? 'This could not be computed. Try again; what you typed is kept.' : 'Stopped.')
  }
}

/**
 * A worker of this screen, started at the first call and ended with it. `create` is handed in so that the
 * bundler sees its address.
 */
export function useWorker<T extends Offer>(create: () => Worker): WorkerCalls<T> {
  let running:
    | {
        readonly worker: Worker
        readonly remote: Remote<T>
        readonly fail: (reason: WorkerFailure) => void
        readonly failed: Promise<never>
      }
    | undefined

  function start() {
    const worker = create()
    let fail!: (reason: WorkerFailure) => void
    const failed = new Promise<never>((_, reject) => (fail = reject))
    // Nobody may be waiting when it fails.
    failed.catch(() => undefined)
    worker.addEventListener('error', () => end('failed'))
    worker.addEventListener('messageerror', () => end('failed'))
    return { worker, remote: wrap<T>(worker), fail, failed }
  }

  function end(reason: 'failed' | 'stopped'): void {
    const ended = running
    running = undefined
    ended?.fail(new WorkerFailure(reason))
    ended?.remote[releaseProxy]()
    ended?.worker.terminate()
  }

  async function call<R>(ask: (worker: Remote<T>) => Promise<R>): Promise<R> {
    running ??= start()
    return Promise.race([ask(running.remote), running.failed])
  }

  onScopeDispose(() => end('stopped'))
  return { call, stop: () => end('stopped') }
}

/** A plain copy: reactive objects cannot cross to a worker. */
export const plain = <V>(value: V): V => JSON.parse(JSON.stringify(value)) as V

/** A function of the page that a worker may call. */
export const callable = <F extends (...args: never[]) => void>(run: F) => proxy(run)
