/* What a device keeps, looked at as another tab or an earlier version would have left it. */
import { clear, createStore, get, set } from 'idb-keyval'
import { joined, type DeviceCopy, type DeviceEntry, type DocumentAbout } from '../../app/utils/device-copy'

export const ABOUT: DocumentAbout = {
  person: { id: 7, name: 'Robin Vance' },
  what: 'Worksheet',
  page: '/work/12',
  delivery: { path: 'work/12', shape: 'sheet' },
}

const store = createStore('keyval-store', 'keyval')
export const emptyDevice = (): Promise<void> => clear(store)

type Copy = Pick<DeviceCopy, 'base' | 'mine'> & Partial<DeviceCopy>

/** The store answers between the turns of the loop; a few are enough for whatever was asked. */
export async function idle(): Promise<void> {
  for (let i = 0; i < 40; i += 1) await new Promise((next) => setImmediate(next))
}

/** Leaves typing as a tab that has been closed since. */
export async function keepAs(tab: string, key: string, copy: Copy, at = '2026-11-12T14:00:00Z') {
  const before = await get<DeviceEntry>(key, store)
  const copies = { ...before?.copies, [tab]: { version: 1, ...copy, at } }
  await set(key, { about: ABOUT, copies } satisfies DeviceEntry, store)
}
/** Leaves typing as an earlier version kept it. */
export const keepBare = (key: string, copy: Copy): Promise<void> => set(key, copy, store)

export async function keptFor(key: string): Promise<DeviceCopy | undefined> {
  const entry = await get<DeviceEntry>(key, store)
  return entry && joined(entry.copies)
}
