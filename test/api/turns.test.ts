/* Looks take turns, so that STOP and what is saved wait for one screen at most. */
import { once } from 'node:events'
import { connect, createServer, type AddressInfo } from 'node:net'
import { expect, it } from 'vitest'
import { goFirst, turn } from '../../server/http/turns'

const SCREEN_MS = 10
function work(): void {
  const until = performance.now() + SCREEN_MS
  while (performance.now() < until);
}

it('come in the order in which they were asked for', async () => {
  const came: number[] = []
  await Promise.all([1, 2, 3].map(async (n) => turn().then(() => came.push(n))))
  expect(came).toEqual([1, 2, 3])
})

it('what comes over a line while twenty screens are asked for is taken after the one that is being made', async () => {
  let made = 0
  let takenAfter = 0
  const server = createServer((socket) => socket.on('data', () => (takenAfter = made))).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const hand = connect((server.address() as AddressInfo).port, '127.0.0.1')
  await once(hand, 'connect')
  const stoppedAt = 5
  await Promise.all(
    Array.from({ length: 20 }, async () => {
      await turn()
      work()
      made += 1
      if (made === stoppedAt) hand.write('STOP')
    }),
  )
  expect(made).toBe(20)
  expect(takenAfter).toBeGreaterThanOrEqual(stoppedAt)
  expect(takenAfter).toBeLessThanOrEqual(stoppedAt + 1)
  hand.destroy()
  server.close()
})

it('a look whose turn it is lets what is being written go first, and waits for a moment at most', async () => {
  const came: string[] = []
  const write = async (ms: number, name: string) => {
    await goFirst(() => new Promise((done) => setTimeout(done, ms)))
    came.push(name)
  }
  const look = async (name: string) => {
    await turn()
    came.push(name)
  }
  await Promise.all([write(5, 'short'), write(10, 'other'), look('look')])
  expect(came).toEqual(['short', 'other', 'look'])
  came.length = 0
  const slow = write(300, 'slow')
  await look('look')
  await slow
  expect(came).toEqual(['look', 'slow'])
})

it('what takes long to be sent or worked out holds looks up once, and not each of them', async () => {
  const slow = goFirst(() => new Promise((done) => setTimeout(done, 800)))
  const from = performance.now()
  for (let i = 0; i < 20; i += 1) await turn()
  expect(performance.now() - from).toBeLessThan(400)
  await slow
})

it('what could not be written holds no look up', async () => {
  await expect(goFirst(() => Promise.reject(new Error('the disk is full')))).rejects.toThrow(
    'the disk is full',
  )
  const from = performance.now()
  for (let i = 0; i < 20; i += 1) await turn()
  expect(performance.now() - from).toBeLessThan(400)
})
