import { createHash } from 'node:crypto'
import { Problem } from './problem'

/** The hash of what stands on a screen when somebody decides or signs. The same content, the same hash. */
export const seenOf = (content: unknown): string =>
  createHash('sha256').update(JSON.stringify(content)).digest('hex').slice(0, 32)

/**
 * Refuses where what is decided on is no longer what was looked at; the present state comes with the refusal.
 * Without a hash nothing was looked at: a play of the demo.
 */
export function refuseUnseen(sent: string | undefined, present: string, theirs: () => unknown): void {
  if (sent !== undefined && sent !== present)
    throw new Problem('changedSince', { extra: { theirs: theirs() } })
}
