/* Work in a worker: an error reaches whoever asked, a worker that broke is replaced, and leaving the screen ends it. */
import { expose } from 'comlink'
import { effectScope, type EffectScope } from 'vue'
import { afterEach, expect, test } from 'vitest'
import { useWorker } from '../../app/composables/useWorker'

const OFFER = {
  double: (value: number) => value * 2,
  refuse: () => {
    throw new Error('no such bay')
  },
  never: () => new Promise<number>(() => undefined),
}

/** A worker of this process; `crash` is what a browser tells when a script in it fails. */
function aWorker() {
  const { port1, port2 } = new MessageChannel()
  const crashes: (() => void)[] = []
  expose(OFFER, port2 as unknown as Parameters<typeof expose>[1])
  let isEnded = false
  const worker = {
    addEventListener: (type: string, listen: () => void) =>
      type === 'error' ? crashes.push(listen) : port1.addEventListener(type as 'message', listen),
    removeEventListener: port1.removeEventListener.bind(port1),
    postMessage: port1.postMessage.bind(port1),
    start: port1.start.bind(port1),
    terminate: () => {
      isEnded = true
      port1.close()
      port2.close()
    },
  }
  return {
    worker: worker as unknown as Worker,
    crash: () => crashes.forEach((tell) => tell()),
    isEnded: () => isEnded,
  }
}

let scope: EffectScope
function aScreen() {
  const workers: ReturnType<typeof aWorker>[] = []
  scope = effectScope()
  const calls = scope.run(() =>
    useWorker<typeof OFFER>(() => {
      workers.push(aWorker())
      return workers.at(-1)!.worker
    }),
  )!
  return { ...calls, workers }
}
afterEach(() => scope.stop())

test('starts at the first call, answers, and is kept for the next', async () => {
  const { call, workers } = aScreen()
  expect(workers).toHaveLength(0)
  expect(await call((worker) => worker.double(21))).toBe(42)
  expect(await call((worker) => worker.double(4))).toBe(8)
  expect(workers).toHaveLength(1)
})

test('an error in the work reaches whoever asked, and the worker goes on', async () => {
  const { call, workers } = aScreen()
  await expect(call((worker) => worker.refuse())).rejects.toThrow('no such bay')
  expect(await call((worker) => worker.double(2))).toBe(4)
  expect(workers).toHaveLength(1)
})

test('a worker that broke fails the call in hand, and the next call finds a fresh one', async () => {
  const { call, workers } = aScreen()
  const inHand = call((worker) => worker.never())
  workers[0]!.crash()
  await expect(inHand).rejects.toMatchObject({
    reason: 'failed',
    message: expect.stringContaining('Try again'),
  })
  expect(workers[0]!.isEnded()).toBe(true)
  expect(await call((worker) => worker.double(3))).toBe(6)
  expect(workers).toHaveLength(2)
})

test('what is stopped, or left behind with its screen, ends and says so', async () => {
  const { call, stop, workers } = aScreen()
  const inHand = call((worker) => worker.never())
  stop()
  await expect(inHand).rejects.toMatchObject({ reason: 'stopped' })
  const left = call((worker) => worker.never())
  scope.stop()
  await expect(left).rejects.toMatchObject({ reason: 'stopped' })
  expect(workers.every(({ isEnded }) => isEnded())).toBe(true)
})
