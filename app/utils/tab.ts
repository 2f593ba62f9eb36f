/** This tab: its own writing is not fetched again, and what it keeps on the device is told from other tabs'. */
export const TAB = crypto.randomUUID()

const LOCK = 'nakshi-tab/'
const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : (navigator.locks as LockManager | undefined)

/** Held as long as this tab is open; the browser lets it go when the tab is closed or has broken. */
export const holdTab = (): void => void locks()?.request(LOCK + TAB, () => new Promise(() => {}))

/** Tabs of this device that are open, this one among them. A device that cannot say counts the others as closed. */
export async function openTabs(): Promise<ReadonlySet<string>> {
  const held = (await locks()?.query())?.held ?? []
  return new Set([TAB, ...held.map(({ name }) => name!.replace(LOCK, ''))])
}
