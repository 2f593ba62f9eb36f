/* The line-based stream of readings: what an instrument, or the bridge of one, sends to the application. One message a line, UTF-8. */

export type StreamLine =
  /** `SHEET 12 7F3A9C`: whose sheet, and the code that stands on its page. */
  | { readonly is: 'sheet'; readonly attempt: number; readonly code: string }
  /** `INSTRUMENT tester 3`: name as it stands in the register. */
  | { readonly is: 'instrument'; readonly name: string }
  /** `NULL 0.08`: leads held together and nulled, Ω. */
  | { readonly is: 'null'; readonly ohm: number }
  /** `READ c1.zs@c1p4 0.84 Ω`: a test, and the reading as the display shows it. */
  | { readonly is: 'read'; readonly key: string; readonly text: string }
  | { readonly is: 'end' }

export type StreamProblem = 'notALine' | 'tooLong' | 'badSheet' | 'badNull' | 'badRead'

const LONGEST = 200
const KEY = /^(?:[a-z][a-z0-9]{0,9}\.)?[a-zA-Z0-9]{1,12}(?:@[a-z][a-z0-9]{0,19})?$/

/** Reads one line. Unknown words are told, so that a bridge can be put right. */
export function readStreamLine(
  line: string,
):
  { readonly ok: true; readonly line: StreamLine } | { readonly ok: false; readonly problem: StreamProblem } {
  if (line.length > LONGEST) return { ok: false, problem: 'tooLong' }
  const [word = '', ...rest] = line.trim().split(/\s+/)
  switch (word.toUpperCase()) {
    case 'SHEET': {
      const attempt = Number(rest[0])
      return Number.isInteger(attempt) && attempt > 0 && /^[0-9A-F]{6}$/i.test(rest[1] ?? '')
        ? { ok: true, line: { is: 'sheet', attempt, code: rest[1]!.toUpperCase() } }
        : { ok: false, problem: 'badSheet' }
    }
    case 'INSTRUMENT':
      return rest.length > 0
        ? { ok: true, line: { is: 'instrument', name: rest.join(' ') } }
        : { ok: false, problem: 'notALine' }
    case 'NULL': {
      const ohm = Number((rest[0] ?? '').replace(',', '.'))
      return Number.isFinite(ohm) && ohm >= 0 && rest[0]
        ? { ok: true, line: { is: 'null', ohm } }
        : { ok: false, problem: 'badNull' }
    }
    case 'READ':
      return KEY.test(rest[0] ?? '') && rest.length > 1 && rest.slice(1).join(' ').length <= 60
        ? { ok: true, line: { is: 'read', key: rest[0]!, text: rest.slice(1).join(' ') } }
        : { ok: false, problem: 'badRead' }
    case 'END':
      return { ok: true, line: { is: 'end' } }
    default:
      return { ok: false, problem: 'notALine' }
  }
}

export function streamLine(line: StreamLine): string {
  switch (line.is) {
    case 'sheet':
      return `SHEET ${line.attempt} ${line.code}`
    case 'instrument':
      return `INSTRUMENT ${line.name}`
    case 'null':
      return `NULL ${line.ohm}`
    case 'read':
      return `READ ${line.key} ${line.text}`
    case 'end':
      return 'END'
  }
}
