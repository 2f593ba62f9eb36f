import type { Act } from './stages'

/**
 * A permission to energise holds this long, minutes; common practice, no source: after that somebody looks
 * again.
 */
export const PERMISSION_MINUTES = 120

interface Event {
  readonly act: string
  readonly at: string
}

/** Until when the last permission holds, ISO 8601; null where there is none in force. */
export function permissionUntil(events: readonly Event[]): string | null {
  const last = events.findLast(({ act }) =>
    (['permit', 'refuse', 'withdraw', 'expire'] as readonly Act[]).includes(act as Act),
  )
  return last?.act === 'permit'
    ? new Date(Date.parse(last.at) + PERMISSION_MINUTES * 60_000).toISOString()
    : null
}
