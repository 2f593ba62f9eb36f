import { clear, createStore, get, set } from 'idb-keyval'

const store = createStore('nakshi-views', 'views')

/**
 * What the server said last, for a page that is opened without a network: by person and address. Gone at
 * sign-out.
 */
export const lastViews = {
  // A device that keeps nothing shows nothing without a network.
  keep: (key: string, view: unknown): void =>
    void set(key, JSON.parse(JSON.stringify(view)), store).catch(() => undefined),
  read: (key: string): Promise<unknown> => get(key, store).catch(() => undefined),
  forgetAll: (): Promise<void> => clear(store).catch(() => undefined),
}
