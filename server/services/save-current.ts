import type { Context } from './context'
import { found } from './access'
import { Problem } from './problem'

/** One editable thing, and what may be done with it. */
export interface Saving<T extends { readonly version: number }> {
  /** Reads it anew, inside the transaction. Throws or gives nothing where it is not there for this person. */
  readonly read: () => T | undefined
  /** The version that stood on the screen. */
  readonly sent: number
  /** Refuses what may not be done to it as it now stands. */
  readonly check?: (stored: T) => void
  /** Writes it; false when somebody else was quicker. */
  readonly write: (stored: T) => boolean | void
  /** What a screen needs to show both. */
  readonly theirs: (stored: T) => unknown
}

/**
 * Saves if the version still stands: reads, checks and writes in one short transaction, so that nothing can come
 * between. Somebody else's version is handed over with the refusal, and nothing is lost.
 */
export function saveIfCurrent<T extends { readonly version: number }>(
  { repos, now }: Pick<Context, 'repos' | 'now'>,
  { read, sent, check, write, theirs }: Saving<T>,
): { readonly version: number; readonly savedAt: string } {
  return repos.transaction(() => {
    const stored = found(read())
    check?.(stored)
    if (stored.version !== sent) throw stale(theirs(stored))
    if (write(stored) === false) throw stale(theirs(found(read())))
    return { version: sent + 1, savedAt: now }
  })
}

const stale = (theirs: unknown): Problem => new Problem('stale', { extra: { theirs } })
