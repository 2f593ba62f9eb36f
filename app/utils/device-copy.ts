import { createStore } from 'idb-keyval'
import { inOrder } from '#core/in-order'
import type { Fields, ShapeName } from '~/utils/document-shapes'
import { TAB, openTabs } from '~/utils/tab'

/** Typing that the server does not have yet, with what the server had when it began. */
export interface DeviceCopy {
  readonly base: Fields
  readonly mine: Fields
  /** The server's version of `base`. */
  readonly version: number
}

/** Whose typing it is, what it belongs to, and how it gets to the server. */
export interface DocumentAbout {
  readonly person: { readonly id: number; readonly name: string }
  /** In words, such as "Worksheet". */
  readonly what: string
  /** Where it is written. */
  readonly page: string
  /** How it is sent from anywhere; null where somebody has to press Save. */
  readonly delivery: { readonly path: string; readonly shape: ShapeName } | null
}

/** One document on this device: a copy a tab, so that no tab deletes what another has not sent. */
export interface DeviceEntry {
  readonly about: DocumentAbout | null
  readonly copies: Readonly<Record<string, DeviceCopy & { readonly at: string }>>
}

/** Where a document's unsent typing is kept on this device: one place a document and person. */
export interface DevicePlace {
  /** What this tab, and tabs that are closed by now, could not send. */
  readonly read: () => Promise<DeviceCopy | undefined>
  readonly keep: (copy: DeviceCopy) => void
  /** Forgets what this tab has kept, and what it has read. */
  readonly forget: () => Promise<void>
  /** Says that a page has it open and sends for itself; the answer lets it go. */
  readonly open: () => () => void
}

const store = createStore('keyval-store', 'keyval')
/** An earlier version kept one bare copy, whoever typed it in whichever tab. */
const BEFORE_TABS = 'before'
type Stored = DeviceEntry | { readonly base: Fields; readonly mine: Fields } | undefined

const entryOf = (stored: Stored): DeviceEntry => {
  if (stored === undefined) return { about: null, copies: {} }
  if ('copies' in stored) return stored
  return { about: null, copies: { [BEFORE_TABS]: { ...stored, version: 0, at: '' } } }
}

/** Reads and writes one entry in one transaction, so that two tabs cannot pass each other. */
const change = (key: string, alter: (entry: DeviceEntry) => DeviceEntry): Promise<void> =>
  store('readwrite', (objects) => {
    objects.get(key).onsuccess = (event) => {
      const next = alter(entryOf((event.target as IDBRequest<Stored>).result))
      if (Object.keys(next.copies).length === 0) objects.delete(key)
      else objects.put(next, key)
    }
    return new Promise((done, fail) => {
      objects.transaction.oncomplete = () => done()
      objects.transaction.onabort = objects.transaction.onerror = () => fail(objects.transaction.error)
    })
  })

const request = <T>(make: (objects: IDBObjectStore) => IDBRequest<T>): Promise<T> =>
  store('readonly', (objects) => {
    const asked = make(objects)
    return new Promise((done, fail) => {
      asked.onsuccess = () => done(asked.result)
      asked.onerror = () => fail(asked.error)
    })
  })

const listeners = new Set<() => void>()
/** Calls back whenever this tab has kept or forgotten something. */
export function onDeviceChange(listen: () => void): () => void {
  listeners.add(listen)
  return () => listeners.delete(listen)
}
const told = (written: Promise<void>): Promise<void> =>
  // Where the device keeps nothing (private browsing), typing goes to the server alone.
  written.catch(() => undefined).then(() => listeners.forEach((listen) => listen()))

/** Copies that this tab may send: its own, and those of tabs that are closed. */
export const sendable = ({ copies }: DeviceEntry, open: ReadonlySet<string>): DeviceEntry['copies'] =>
  Object.fromEntries(Object.entries(copies).filter(([tab]) => tab === TAB || !open.has(tab)))

/** Several copies as one: each box as it was changed last, with what the server had there. */
export function joined(copies: DeviceEntry['copies']): DeviceCopy | undefined {
  const byTime = Object.values(copies).sort((a, b) => inOrder(a.at, b.at))
  const last = byTime.at(-1)
  if (!last) return undefined
  const [base, mine] = [{ ...last.base }, { ...last.mine }]
  for (const copy of byTime)
    for (const key of changedIn(copy)) {
      base[key] = copy.base[key] ?? ''
      mine[key] = copy.mine[key] ?? ''
    }
  return { base, mine, version: last.version }
}

/** Boxes that hold something else than the server had. */
export const changedIn = ({ base, mine }: Pick<DeviceCopy, 'base' | 'mine'>): string[] =>
  Object.keys({ ...base, ...mine }).filter((key) => (base[key] ?? '') !== (mine[key] ?? ''))

/** The place of exactly this document, such as `papers/12/34/minor`. Two documents never share one. */
export function devicePlace(
  key: string,
  about: DocumentAbout,
  open: DevicePlace['open'] = () => () => {},
): DevicePlace {
  let taken: DeviceEntry['copies'] = {}
  return {
    async read() {
      const stored = await request<Stored>((objects) => objects.get(key)).catch(() => undefined)
      taken = sendable(entryOf(stored), await openTabs())
      return joined(taken)
    },
    keep: ({ base, mine, version }) => {
      const copy = { base: { ...base }, mine: { ...mine }, version, at: new Date().toISOString() }
      void told(change(key, ({ copies }) => ({ about, copies: { ...copies, [TAB]: copy } })))
    },
    forget: () => forget(key, { ...taken, [TAB]: null }),
    open,
  }
}

/** Forgets these copies, unless one of them has been typed on since; this tab's own (null) in any case. */
export const forget = (
  key: string,
  gone: Readonly<Record<string, { readonly at: string } | null>>,
): Promise<void> =>
  told(
    change(key, ({ about, copies }) => ({
      about,
      copies: Object.fromEntries(
        Object.entries(copies).filter(([tab, { at }]) => !(tab in gone && (gone[tab]?.at ?? at) === at)),
      ),
    })),
  )

/** Everything that is kept on this device, whoever typed it. */
export async function deviceEntries(): Promise<readonly (DeviceEntry & { readonly key: string })[]> {
  const [keys, values] = await Promise.all([
    request((objects) => objects.getAllKeys()),
    request<Stored[]>((objects) => objects.getAll()),
  ]).catch(() => [[], []] as [IDBValidKey[], Stored[]])
  return keys.map((key, at) => ({ key: String(key), ...entryOf(values[at]) }))
}

/**
 * Was this typing done in these boxes? All that was changed must be among them; the reason of a box counts as
 * the box.
 */
export const isTypedIn = (copy: Pick<DeviceCopy, 'base' | 'mine'>, boxes: ReadonlySet<string>): boolean =>
  changedIn(copy).every((key) => boxes.has(key.replace(/^why\./, '')))
