import { createConnection } from 'node:net'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { scheduleOf, type ScheduleTest } from '#core/testing/plan/schedule'
import { streamLine, type StreamLine } from '#core/testing/parse/stream'
import { TESTER, testBay, type Shown } from '#core/testing/tester'
import type { Rig } from '#core/bay/model/rig'
import { writeReadingsCsv } from '#schemas/readings-csv'
import { testWords } from '#words/testing'
import { EXIT, UseError, readRig, type Output } from './input'

/** Options of the simulated tester, as they were typed. */
export interface InstrumentOptions {
  readonly fault?: string[]
  readonly stage?: string
  readonly circuit?: string
  readonly leads?: string
  readonly nulled?: string
  readonly seed?: string
  readonly name?: string
  readonly sheet?: string
  readonly port?: string
  readonly pace?: string
  readonly csv?: boolean
  /** Only what the schedule asks for, not every point. */
  readonly asked?: boolean
  /** Half and five times IΔn too. */
  readonly multiples?: boolean
}

/** Lines that go to a port, one after the other. */
export interface Sending {
  readonly lines: readonly string[]
  readonly port: number
  readonly paceMs: number
}

const STAGES = ['dead', 'live', WHOLE_BOARD]

/**
 * The simulated multifunction tester at a bay: every test of the schedule, one line each; to the terminal, as
 * CSV, or to the application's port.
 */
export function instrument(
  options: InstrumentOptions,
  file?: string,
): Output & { readonly sending?: Sending } {
  const meant = readRig(file)
  const built = readRig(file, options.fault)
  const taken = takeReadings(meant, built, options)
  if (options.csv)
    return { json: writeReadingsCsv(taken.map((shown) => csvRow(meant, shown))), code: EXIT.done }
  const lines = streamOf(taken, options)
  if (!options.port) return { json: lines.join('\n'), code: EXIT.done }
  if (!options.sheet)
    throw new UseError('--port needs --sheet "NUMBER CODE", as the page of the schedule shows it.', EXIT.use)
  return {
    json: '',
    code: EXIT.done,
    sending: { lines, port: number(options.port, 'port'), paceMs: number(options.pace ?? '150', 'pace') },
  }
}

const nulledOf = ({ nulled }: InstrumentOptions): number => number(nulled ?? '0.08', 'nulled')

function takeReadings(meant: Rig, built: Rig, options: InstrumentOptions): readonly Shown[] {
  const stage = options.stage ?? WHOLE_BOARD
  if (!STAGES.includes(stage)) throw new UseError(`--stage is one of: ${STAGES.join(', ')}.`, EXIT.use)
  const nulledOhm = nulledOf(options)
  const rcdTests = options.multiples ? 'all' : 'edition'
  const schedule = scheduleOf(meant, { edition: '18-A2', rcdTests }).filter(
    (test) => isWanted(test, stage, options.circuit) && (test.isAsked || !options.asked),
  )
  if (schedule.length === 0)
    throw new UseError('No test of this bay is left with that stage and circuit.', EXIT.use)
  const leadsOhm = number(options.leads ?? String(TESTER.leadsOhm), 'leads')
  return [...testBay(built, schedule, { leadsOhm, nulledOhm, seed: number(options.seed ?? '1', 'seed') })]
}

const csvRow = (meant: Rig, { test, shown }: Shown) => ({
  key: test.key,
  name: testWords(meant, test),
  text: shown,
  at: '',
})

function streamOf(taken: readonly Shown[], options: InstrumentOptions): readonly string[] {
  const nulledOhm = nulledOf(options)
  const lines: readonly StreamLine[] = [
    ...(options.sheet ? [sheetOf(options.sheet)] : []),
    { is: 'instrument', name: options.name ?? 'Simulated tester' },
    ...(nulledOhm > 0 ? [{ is: 'null', ohm: nulledOhm } as const] : []),
    ...taken.map(({ test, shown }): StreamLine => ({ is: 'read', key: test.key, text: shown })),
    { is: 'end' },
  ]
  return lines.map(streamLine)
}

const isWanted = ({ isDead, circuit }: ScheduleTest, stage: string, only: string | undefined): boolean =>
  (stage === WHOLE_BOARD || isDead === (stage === 'dead')) && (only === undefined || circuit === only)

function sheetOf(text: string): StreamLine {
  const [attempt, code] = text.trim().split(/\s+/)
  if (!/^\d+$/.test(attempt ?? '') || !code)
    throw new UseError('--sheet is the number and the code of the page, as in --sheet "12 7F3A9C".', EXIT.use)
  return { is: 'sheet', attempt: Number(attempt), code }
}

/**
 * Sends line by line and reads each answer; ends at the first whole-sheet refusal, and counts single readings
 * that were not taken.
 */
export function send({
  lines,
  port,
  paceMs,
}: Sending): Promise<{ readonly text: string; readonly code: number }> {
  return new Promise((resolve) => {
    const refused: string[] = []
    let next = 0
    let rest = ''
    const socket = createConnection({ host: '127.0.0.1', port })
    const done = (text: string, code: number) => {
      socket.destroy()
      resolve({ text, code })
    }
    const write = () =>
      next < lines.length
        ? socket.write(`${lines[next]}\n`)
        : done(
            [`${lines.length - refused.length} of ${lines.length} lines taken`, ...refused].join('\n'),
            refused.length ? EXIT.input : EXIT.done,
          )
    socket
      .setEncoding('utf8')
      .on('connect', write)
      .on('error', (error) => done(`Nothing listens on port ${port}: ${error.message}`, EXIT.input))
    socket.on('data', (chunk) => {
      const answers = (rest += chunk).split('\n')
      rest = answers.pop()!
      for (const answer of answers) {
        const sent = lines[next]!
        next += 1
        if (answer.startsWith('NO')) {
          if (sent.startsWith('SHEET')) return done(answer, EXIT.input)
          refused.push(`${sent}: ${answer.slice(3)}`)
        }
        setTimeout(write, sent.startsWith('READ') ? paceMs : 0)
      }
    })
  })
}

function number(text: string, option: string): number {
  const value = Number(text)
  if (text.trim() === '' || !Number.isFinite(value) || value < 0)
    throw new UseError(`--${option} takes a number, not “${text}”.`, EXIT.use)
  return value
}
