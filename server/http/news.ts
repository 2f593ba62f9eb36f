import { EventEmitter } from 'node:events'

/** What every open stream hears: that something has changed, and whose tabs have changed it. */
export interface News {
  /** Grows with every change; a stream that comes back says the last one it has seen. */
  readonly count: number
  /** Tabs that wrote since the last news; empty where somebody without a tab did, such as an instrument. */
  readonly writers: readonly string[]
}

/**
 * Tells every open stream that something has changed; what, they ask for themselves, each with their own
 * rights.
 */
const bus = new EventEmitter().setMaxListeners(0)
/** Many tablets save at once: one piece of news for all of them. */
const GATHER_MS = 150

let count = Date.now()
let timer: ReturnType<typeof setTimeout> | undefined
let writers = new Set<string>()
let isAnonymous = false

export const newsCount = (): number => count

/** Something has changed; `tab` is who knows it already. */
export function tellNews(tab?: string): void {
  if (tab) writers.add(tab)
  else isAnonymous = true
  timer ??= setTimeout(tell, GATHER_MS)
}

function tell(): void {
  timer = undefined
  count += 1
  bus.emit('news', { count, writers: isAnonymous ? [] : [...writers] } satisfies News)
  writers = new Set()
  isAnonymous = false
}

/** The server goes down: every stream ends, and its page comes back by itself. */
export const endStreams = (): void => void bus.emit('end')
export function onStreamsEnd(end: () => void): () => void {
  bus.once('end', end)
  return () => bus.off('end', end)
}

/** Screens that listen. */
export const openStreams = (): number => bus.listenerCount('news')

export function onNews(listen: (news: News) => void): () => void {
  bus.on('news', listen)
  return () => bus.off('news', listen)
}
