import { createServer, type Socket } from 'node:net'
import { MOST_WRONG_CODES, NEW_LINK, takeStreamLine, type StreamLink } from '../services/instrument-stream'
import { Problem } from '../services/problem'
import { log } from './log'
import { tellNews } from './news'
import { runningRepos, streamPort } from './runtime'

const LOCAL = '127.0.0.1'
/** More than this without an end of line is no instrument. */
const LONGEST_BYTES = 4096
const SILENT_MS = 10 * 60_000

/** Listens for instruments on this machine, line by line. A port that is taken is told and left. */
export function listenForInstruments(): void {
  const stream = streamPort()
  if (!stream) return
  createServer(serve)
    .on('error', (error) =>
      log.warn(
        `No instrument stream on port ${stream.port}: ${error.message}. Set NAKSHI_INSTRUMENT_PORT to another one, or to off.`,
      ),
    )
    .listen(stream.port, LOCAL)
}

/** Whoever guesses waits: nobody is served before the pause is over. */
let shutUntilMs = 0
const PAUSE_MS = 60_000
function shutOut(socket: Socket): void {
  shutUntilMs = Date.now() + PAUSE_MS
  socket.destroy()
}

function serve(socket: Socket): void {
  if (Date.now() < shutUntilMs) return void socket.end('NO too many wrong codes; try again in a minute\n')
  let link: StreamLink = NEW_LINK
  let rest = ''
  socket.setEncoding('utf8').setTimeout(SILENT_MS, () => socket.destroy())
  socket.on('error', () => socket.destroy())
  socket.on('data', (chunk) => {
    rest += chunk
    const lines = rest.split(/\r?\n/)
    rest = lines.pop()!
    if (rest.length > LONGEST_BYTES) return socket.destroy()
    for (const line of lines) {
      if (line.trim() === '') continue
      try {
        const answer = takeStreamLine(
          { repos: runningRepos(), now: new Date().toISOString(), stream: streamPort() },
          link,
          line,
        )
        link = answer.link
        if (answer.isNews) tellNews()
        socket.write(`${answer.says}\n`)
        if (link.wrongCodes >= MOST_WRONG_CODES) return shutOut(socket)
      } catch (error) {
        // What was not foreseen stays in the log of the server.
        if (!(error instanceof Problem)) log.error(error)
        socket.write(`NO ${error instanceof Problem ? error.message : 'unexpected; nothing was written'}\n`)
      }
    }
  })
}
