/* The line to instruments, over real sockets: every line answered, nothing of a guesser, nothing that never ends. */
import { once } from 'node:events'
import { connect, type AddressInfo, type Server, type Socket } from 'node:net'
import { createInterface } from 'node:readline'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { StreamAnswer, StreamLink } from '../../server/services/instrument-stream'
import { Problem } from '../../server/services/problem'

const logged = vi.hoisted(() => ({ error: vi.fn(), warn: vi.fn() }))
vi.mock('../../server/http/log', () => ({ log: logged }))
vi.mock('../../server/http/news', () => ({ tellNews: vi.fn() }))
vi.mock('../../server/http/runtime', () => ({
  runningRepos: vi.fn(),
  streamPort: vi.fn(),
  reachedDisk: vi.fn(),
}))
const { instrumentServer } = await import('../../server/http/stream')

let server: Server
let nowMs: number
const tell = vi.fn()
const reached = vi.fn<() => Promise<void>>()
const taken: string[] = []
/** A desk that knows one code, writes what is read, and comes to grief over one word. */
function take(link: StreamLink, line: string): StreamAnswer {
  taken.push(line)
  if (line === 'READ broken') throw new Error('disk full')
  if (line === 'READ refused') throw new Problem('locked', { sentence: 'Handed in.' })
  if (line.startsWith('SHEET') && line !== 'SHEET 12 AB12CD')
    return { link: { ...link, wrongCodes: link.wrongCodes + 1 }, says: 'NO wrong code', isNews: false }
  return { link, says: 'OK', isNews: line.startsWith('READ') }
}
/** An instrument, and what it is answered line by line; null once the line is cut. */
async function anInstrument() {
  const socket: Socket = connect((server.address() as AddressInfo).port, '127.0.0.1')
  await once(socket, 'connect')
  const lines = createInterface({ input: socket })[Symbol.asyncIterator]()
  const hear = async (): Promise<string | null> =>
    lines.next().then(
      ({ value, done }) => (done ? null : (value as string)),
      () => null,
    )
  const say = (line: string) => {
    socket.write(`${line}\n`)
    return hear()
  }
  return { socket, hear, say }
}
/** Guesses once, each time on a line of its own. */
async function guess(): Promise<string | null> {
  const { socket, say } = await anInstrument()
  const answer = await say('SHEET 12 000000')
  socket.destroy()
  return answer
}

beforeEach(async () => {
  nowMs = Date.parse('2026-11-12T09:00:00Z')
  taken.length = 0
  for (const mock of [tell, logged.error, logged.warn]) mock.mockReset()
  reached.mockReset().mockResolvedValue()
  server = instrumentServer({ take, tell, reached, nowMs: () => nowMs }).listen(0, '127.0.0.1')
  await once(server, 'listening')
})
afterEach(() => server.close())

describe('a line', () => {
  it('is answered, and what it wrote is told to the screens', async () => {
    const { say, socket } = await anInstrument()
    expect(await say('SHEET 12 AB12CD')).toBe('OK')
    expect(tell).not.toHaveBeenCalled()
    expect(await say('READ c1.r1 0.44')).toBe('OK')
    expect(tell).toHaveBeenCalledOnce()
    socket.destroy()
  })
  it('that comes in pieces is one, and two in one piece are two, with either end of line', async () => {
    const { socket, hear } = await anInstrument()
    socket.write('READ c1.')
    await new Promise((done) => setTimeout(done, 20))
    socket.write('r1 0.44\r\nREAD c1.r2 0.73\n\n')
    expect([await hear(), await hear()]).toEqual(['OK', 'OK'])
    expect(taken).toEqual(['READ c1.r1 0.44', 'READ c1.r2 0.73'])
    socket.destroy()
  })
  it('that is refused says why; one that goes wrong says that nothing was written, and the next is taken', async () => {
    const { say, socket } = await anInstrument()
    expect(await say('READ refused')).toBe('NO Handed in.')
    expect(logged.error).not.toHaveBeenCalled()
    expect(await say('READ broken')).toBe('NO unexpected; nothing was written')
    expect(logged.error).toHaveBeenCalledOnce()
    expect(await say('READ c1.r1 0.44')).toBe('OK')
    socket.destroy()
  })
  it('is answered when what it wrote is on the disk, told to the screens before, and overtaken by none', async () => {
    let land = () => {}
    reached.mockReturnValueOnce(new Promise<void>((done) => (land = done)))
    const { socket, hear } = await anInstrument()
    const heard: (string | null)[] = []
    socket.write('READ c1.r1 0.44\nREAD refused\n')
    const both = Promise.all([hear(), hear()].map(async (line) => heard.push(await line)))
    await vi.waitFor(() => expect(taken).toHaveLength(2))
    await new Promise((done) => setTimeout(done, 30))
    expect(heard).toEqual([])
    expect(tell).toHaveBeenCalledOnce()
    land()
    await both
    expect(heard).toEqual(['OK', 'NO Handed in.'])
    socket.destroy()
  })
  it('that did not reach the disk is not called taken', async () => {
    reached.mockRejectedValueOnce(Object.assign(new Error('i/o error'), { code: 'EIO' }))
    const { say, socket } = await anInstrument()
    expect(await say('READ c1.r1 0.44')).toMatch(/^NO .* was not saved/)
    expect(logged.error).toHaveBeenCalledOnce()
    expect(await say('READ c1.r1 0.44')).toBe('OK')
    socket.destroy()
  })
  it('that never ends is cut off', async () => {
    const { socket } = await anInstrument()
    const closed = once(socket, 'close')
    socket.on('error', () => undefined)
    socket.write('READ '.repeat(2000))
    await closed
    expect(taken).toEqual([])
  })
})

describe('whoever guesses codes', () => {
  it('is cut off after five, and nobody new is served for a minute', async () => {
    const { say, hear } = await anInstrument()
    for (let i = 0; i < 5; i += 1) expect(await say(`SHEET 12 00000${i}`)).toBe('NO wrong code')
    expect(await hear()).toBeNull()
    expect(await guess()).toMatch(/^NO too many wrong codes/)
    nowMs += 61_000
    const { say: again, socket } = await anInstrument()
    expect(await again('SHEET 12 AB12CD')).toBe('OK')
    socket.destroy()
  })
  it('gains nothing by calling again for each: together they are counted', async () => {
    const answers: (string | null)[] = []
    for (let i = 0; i < 24; i += 1) answers.push(await guess())
    expect(answers.filter((answer) => answer === 'NO wrong code')).toHaveLength(20)
    expect(answers.at(-1)).toMatch(/^NO too many wrong codes/)
  })
  it('now and then is somebody who mistypes, and is not shut out', async () => {
    for (let i = 0; i < 24; i += 1) {
      expect(await guess()).toBe('NO wrong code')
      nowMs += 10_000
    }
  })
  it('does not stop whoever is at work already', async () => {
    const { say, socket } = await anInstrument()
    await say('SHEET 12 AB12CD')
    for (let i = 0; i < 24; i += 1) await guess()
    expect(await say('READ c1.r1 0.44')).toBe('OK')
    socket.destroy()
  })
})
