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

/** Characters of a line, and of a reading in it. */
const LONGEST = 200
const LONGEST_READING = 60
const KEY = /^(?:[a-z][a-z0-9]{0,9}\.)?[a-zA-Z0-9]{1,12}(?:@[a-z][a-z0-9]{0,19})?$/

type ReadLine =
  { readonly ok: true; readonly line: StreamLine } | { readonly ok: false; readonly problem: StreamProblem }

const read = (line: StreamLine | undefined, problem: StreamProblem): ReadLine =>
  line ? { ok: true, line } : { ok: false, problem }

/** By its first word, what the rest of a line says. */
const READERS: Readonly<Record<string, (rest: readonly string[]) => ReadLine>> = {
  SHEET: ([id, code = '']) => {
    const attempt = Number(id)
    const isSheet = Number.isInteger(attempt) && attempt > 0 && /^[0-9A-F]{6}$/i.test(code)
    return read(isSheet ? { is: 'sheet', attempt, code: code.toUpperCase() } : undefined, 'badSheet')
  },
  INSTRUMENT: (rest) =>
    read(rest.length > 0 ? { is: 'instrument', name: rest.join(' ') } : undefined, 'notALine'),
  NULL: ([text = '']) => {
    const ohm = Number(text.replace(',', '.'))
    return read(text && Number.isFinite(ohm) && ohm >= 0 ? { is: 'null', ohm } : undefined, 'badNull')
  },
  READ: ([key = '', ...rest]) => {
    const text = rest.join(' ')
    const isReading = KEY.test(key) && text !== '' && text.length <= LONGEST_READING
    return read(isReading ? { is: 'read', key, text } : undefined, 'badRead')
  },
  END: () => read({ is: 'end' }, 'notALine'),
}

/** Reads one line. Unknown words are told, so that a bridge can be put right. */
export function readStreamLine(line: string): ReadLine {
  if (line.length > LONGEST) return { ok: false, problem: 'tooLong' }
  const [word = '', ...rest] = line.trim().split(/\s+/)
  const reader = Object.hasOwn(READERS, word.toUpperCase()) ? READERS[word.toUpperCase()] : undefined
  return reader ? reader(rest) : { ok: false, problem: 'notALine' }
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
