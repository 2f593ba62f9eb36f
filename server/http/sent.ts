import { getHeader, setHeader, type H3Event } from 'h3'
import { packed, type Packed } from '../looks/packed'

/** An answer that has been made ready to travel already. */
export class Made {
  constructor(readonly packed: Packed) {}
}

export const takesPacked = (event: H3Event): boolean =>
  (getHeader(event, 'accept-encoding') ?? '').includes('gzip')

/** The answer as it travels to whoever asks. */
export async function sent(event: H3Event, answer: unknown): Promise<unknown> {
  if (answer instanceof Made) return withHeaders(event, answer.packed)
  const isPlain = answer !== null && typeof answer === 'object' && Object.getPrototypeOf(answer) !== null
  const isData = isPlain && (Array.isArray(answer) || answer.constructor === Object)
  return isData && takesPacked(event) ? withHeaders(event, await packed(answer)) : answer
}

function withHeaders(event: H3Event, { body, isPacked }: Packed): Packed['body'] {
  setHeader(event, 'content-type', 'application/json')
  if (isPacked) {
    setHeader(event, 'content-encoding', 'gzip')
    setHeader(event, 'vary', 'accept-encoding')
  }
  return body
}
