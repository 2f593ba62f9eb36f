import type { Static, TSchema } from '@sinclair/typebox'
import { getHeader, readRawBody, type H3Event } from 'h3'
import { validate } from '#schemas/validate'
import { Problem } from '../services/problem'

/** What one request may carry, B: a photograph or a roster, and what stands round it. */
const MOST_BYTES = 2_500_000

/** What was sent, by its schema. Throws a `Problem` that names each field which is not right. */
export async function readBody<S extends TSchema>(event: H3Event, schema: S): Promise<Static<S>> {
  const value = parseBody(await readLimited(event))
  const checked = validate(schema, value)
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return checked.value
}

/** Nothing is read that says, or does not say, how long it is. */
async function readLimited(event: H3Event): Promise<string> {
  const length = Number(
    getHeader(event, 'content-length') ?? (getHeader(event, 'transfer-encoding') ? NaN : 0),
  )
  if (!(length <= MOST_BYTES)) throw new Problem('tooLarge')
  return (await readRawBody(event, 'utf8')) ?? ''
}

function parseBody(raw: string): unknown {
  try {
    return JSON.parse(raw)
  } catch (error) {
    throw new Problem('bodyNotJson', { fields: [{ field: 'body', message: jsonPlace(raw, error as Error) }] })
  }
}

/** Where the text stops being JSON, by line and column where the reader says so. */
function jsonPlace(raw: string, { message }: Error): string {
  if (raw === '') return 'is empty.'
  const position = /position (\d+)/.exec(message)?.[1]
  if (position === undefined) return `cannot be read: ${message.slice(0, 120)}.`
  const before = raw.slice(0, Number(position)).split('\n')
  return `cannot be read at line ${before.length}, column ${before.at(-1)!.length + 1}.`
}
