import { createServer, type Server, type Socket } from 'node:net'
import { PROBLEMS } from '#words/problems'
import {
  MOST_WRONG_CODES,
  NEW_LINK,
  takeStreamLine,
  type StreamAnswer,
  type StreamLink,
} from '../services/instrument-stream'
import { Problem } from '../services/problem'
import { log } from './log'
import { tellNews } from './news'
import { reachedDisk, runningRepos, streamPort } from './runtime'

const LOCAL = '127.0.0.1'
/** More than this without an end of line is no instrument. */
const LONGEST_BYTES = 4096
const SILENT_MS = 10 * 60_000
/** Whoever guesses waits: nobody new is served before the pause is over. */
const PAUSE_MS = 60_000
/** Wrong codes of all connections within a pause: whoever guesses would call again for each. */
const MOST_WRONG_TOGETHER = 20
/** A workshop has no more instruments than this. */
const MOST_CONNECTIONS = 64

/** Listens for instruments on this machine, line by line. A port that is taken is told and left. */
export function listenForInstruments(): void {
  const stream = streamPort()
  if (!stream) return
  const take = (link: StreamLink, line: string): StreamAnswer =>
    takeStreamLine({ repos: runningRepos(), now: new Date().toISOString(), stream: streamPort() }, link, line)
  instrumentServer({ take, tell: tellNews, reached: () => reachedDisk(), nowMs: () => Date.now() })
    .on('error', (error) =>
      log.warn(
        `No instrument stream on port ${stream.port}: ${error.message}. Set NAKSHI_INSTRUMENT_PORT to another one, or to off.`,
      ),
    )
    .listen(stream.port, LOCAL)
}

/** What is behind the line: who takes it, who is told of what it wrote, when that is on the disk, and the clock. */
export interface InstrumentDesk {
  readonly take: (link: StreamLink, line: string) => StreamAnswer
  readonly tell: () => void
  readonly reached: () => Promise<void>
  readonly nowMs: () => number
}

/** What an instrument is told: in the order of its lines, each when what its line wrote is on the disk. */
function answersTo(socket: Socket, reached: InstrumentDesk['reached']) {
  let said = Promise.resolve()
  async function isKept(): Promise<boolean> {
    try {
      await reached()
      return true
    } catch (error) {
      log.error(error)
      return false
    }
  }
  return {
    say(text: string, isWritten = false): void {
      said = said.then(async () => {
        const isSaid = !isWritten || (await isKept())
        socket.write(isSaid ? `${text}\n` : `NO ${PROBLEMS.diskFull.sentence}\n`)
      })
    },
    end: (): void => void said.then(() => socket.destroy()),
  }
}

/** Answers every line of every connection, and shuts out whoever guesses codes. */
export function instrumentServer({ take, tell, reached, nowMs }: InstrumentDesk): Server {
  let shutUntilMs = 0
  let wrongAtMs: readonly number[] = []

  /** Notes a wrong code; true where that was one too many. */
  function isTooMany(ofConnection: number): boolean {
    const now = nowMs()
    wrongAtMs = [...wrongAtMs.filter((at) => at > now - PAUSE_MS), now]
    if (ofConnection < MOST_WRONG_CODES && wrongAtMs.length < MOST_WRONG_TOGETHER) return false
    shutUntilMs = now + PAUSE_MS
    return true
  }

  function serve(socket: Socket): void {
    if (nowMs() < shutUntilMs) return void socket.end('NO too many wrong codes; try again in a minute\n')
    let link: StreamLink = NEW_LINK
    let rest = ''
    let isCut = false
    const { say, end } = answersTo(socket, reached)
    function answer(line: string): void {
      const before = link.wrongCodes
      const { says, isNews, link: next } = take(link, line)
      link = next
      if (isNews) tell()
      say(says, isNews)
      isCut = link.wrongCodes > before && isTooMany(link.wrongCodes)
      if (isCut) end()
    }
    socket.setEncoding('utf8').setTimeout(SILENT_MS, () => socket.destroy())
    socket.on('error', () => socket.destroy())
    socket.on('data', (chunk) => {
      rest += chunk
      const lines = rest.split(/\r?\n/)
      rest = lines.pop()!
      if (rest.length > LONGEST_BYTES) return socket.destroy()
      for (const line of lines) {
        if (line.trim() === '') continue
        if (isCut) return
        try {
          answer(line)
        } catch (error) {
          // What was not foreseen stays in the log of the server.
          if (!(error instanceof Problem)) log.error(error)
          say(`NO ${error instanceof Problem ? error.message : 'unexpected; nothing was written'}`)
        }
      }
    })
  }
  const server = createServer(serve)
  server.maxConnections = MOST_CONNECTIONS
  return server
}
