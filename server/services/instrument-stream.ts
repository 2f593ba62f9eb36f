import { writable } from '#core/exercise/attempt/stages'
import { readStreamLine, type StreamProblem } from '#core/testing/parse/stream'
import type { Attempt } from '../repos/attempts'
import { isDeadBox, sheetKeys, isPairingCode, isWholeBoard } from './test-sheet'
import type { Context } from './context'
import { keepReadings } from './work-save'
import { settled } from './stages'

const SENTENCES: Readonly<Record<StreamProblem, string>> = {
  notALine: 'unknown word; it is SHEET, INSTRUMENT, NULL, READ or END',
  tooLong: 'the line is too long',
  badSheet: 'SHEET takes a number and the code of the page, as in SHEET 12 7F3A9C',
  badNull: 'NULL takes a resistance in ohms, as in NULL 0.08',
  badRead: 'READ takes a test and its reading, as in READ c1.zs@c1p4 0.84',
}

/** One connection of an instrument: which sheet it writes into, once it has said so. */
export interface StreamLink {
  readonly attemptId: number | null
  /** Codes that belonged to no sheet. */
  readonly wrongCodes: number
}

export const NEW_LINK: StreamLink = { attemptId: null, wrongCodes: 0 }
/** After so many wrong codes nothing of a connection is taken any more. */
export const MOST_WRONG_CODES = 5

export interface StreamAnswer {
  readonly link: StreamLink
  /** `OK`, or `NO` with the reason. */
  readonly says: string
  /** Something on a sheet has changed. */
  readonly isNews: boolean
}

/**
 * Takes one line of an instrument. Nothing is written without the code of the sheet, nothing live without
 * permission; every line is answered.
 */
export function takeStreamLine(context: Context, link: StreamLink, text: string): StreamAnswer {
  const no = (reason: string): StreamAnswer => ({ link, says: `NO ${reason}`, isNews: false })
  const ok = (isNews = false, next = link): StreamAnswer => ({ link: next, says: 'OK', isNews })
  if (link.wrongCodes >= MOST_WRONG_CODES) return no('too many wrong codes; begin again')
  const read = readStreamLine(text)
  if (!read.ok) return no(SENTENCES[read.problem])
  const { line } = read
  if (line.is === 'end') return ok()
  if (line.is === 'sheet') {
    const attempt = context.repos.attempts.byId(line.attempt)
    const isRight =
      attempt &&
      context.stream &&
      isWholeBoard(context, attempt) &&
      isPairingCode(context.stream.secret, attempt.id, context.now, line.code)
    if (isRight) return ok(false, { ...link, attemptId: attempt.id })
    const says = 'NO the code does not belong to this sheet; it stands on the page'
    return { link: { attemptId: null, wrongCodes: link.wrongCodes + 1 }, says, isNews: false }
  }
  const known = link.attemptId === null ? undefined : context.repos.attempts.byId(link.attemptId)
  if (!known) return no('say first whose sheet it is, with SHEET')
  return context.repos.transaction(() => {
    const attempt = settled(context, known)
    const write = (key: string, value: string): StreamAnswer => {
      const readings = { ...attempt.readings, [key]: value }
      const answers = attempt.answers as Record<string, string>
      keepReadings(context, attempt, { answers, readings }, { by: null, isInstrument: true })
      return ok(true)
    }
    if (line.is === 'instrument')
      return writable(attempt.stage) === 'dead' || writable(attempt.stage) === 'live'
        ? write('set:instrument', line.name)
        : no(closed(attempt))
    if (line.is === 'null')
      return writable(attempt.stage) === 'dead' || writable(attempt.stage) === 'live'
        ? write('set:leads', `${line.ohm} Ω`)
        : no(closed(attempt))
    if (!sheetKeys(context, attempt).has(line.key)) return no(`${line.key} is no test of this sheet`)
    const wanted = isDeadBox(line.key) ? 'dead' : 'live'
    return writable(attempt.stage) === wanted
      ? write(line.key, line.text)
      : no(wanted === 'live' ? 'live readings stay locked until permission is given' : closed(attempt))
  })
}

const closed = ({ stage }: Attempt): string => `the dead tests are closed at this stage (${stage})`
