import { del, get, set } from 'idb-keyval'

export type Fields = Record<string, string>

/** Typing that the server does not have yet, with what the server had when it began. */
export interface DeviceCopy {
  readonly base: Fields
  readonly mine: Fields
}

/** Where a document's unsent typing is kept on this device: one place a document and person. */
export interface DevicePlace {
  readonly read: () => Promise<DeviceCopy | undefined>
  readonly keep: (copy: DeviceCopy) => void
  readonly forget: () => Promise<void>
}

/** The place of exactly this document: `papers/12/34/minor`. Two documents never share one. */
export function devicePlace(...document: readonly (string | number)[]): DevicePlace {
  const key = document.join('/')
  return {
    // Where the device keeps nothing (private browsing), typing goes to the server alone.
    read: () => get<DeviceCopy>(key).catch(() => undefined),
    keep: ({ base, mine }) => void set(key, { base: { ...base }, mine: { ...mine } }).catch(() => undefined),
    forget: () => del(key).catch(() => undefined),
  }
}

/**
 * Was this typing done in these boxes? All that was changed must be among them; the reason of a box counts as
 * the box.
 */
export function isTypedIn({ base, mine }: DeviceCopy, boxes: ReadonlySet<string>): boolean {
  const changed = Object.keys({ ...base, ...mine }).filter((key) => (base[key] ?? '') !== (mine[key] ?? ''))
  return changed.every((key) => boxes.has(key.replace(/^why\./, '')))
}
