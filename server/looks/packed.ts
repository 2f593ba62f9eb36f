import { promisify } from 'node:util'
import { gzip } from 'node:zlib'

/** An answer as it travels. */
export interface Packed {
  readonly body: string | Uint8Array
  readonly isPacked: boolean
}

/** Smaller answers gain nothing from being packed, B. */
const PACKED_FROM = 8_000
const pack = promisify(gzip)

/** A long list travels compressed, packed away from the thread that asks. */
export async function packed(answer: unknown): Promise<Packed> {
  const body = JSON.stringify(answer)
  return body.length < PACKED_FROM
    ? { body, isPacked: false }
    : { body: await pack(body, { level: 4 }), isPacked: true }
}
