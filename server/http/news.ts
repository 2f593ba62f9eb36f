import { EventEmitter } from 'node:events'

/** Tells every open stream that something has changed; what, they ask for themselves, each with their own rights. */
const bus = new EventEmitter().setMaxListeners(0)
/** Many tablets save at once: one piece of news for all of them. */
const GATHER_MS = 150

let count = Date.now()
let timer: ReturnType<typeof setTimeout> | undefined

export const newsCount = (): number => count

export function tellNews(): void {
  if (timer) return
  timer = setTimeout(() => {
    timer = undefined
    count += 1
    bus.emit('news', count)
  }, GATHER_MS)
}

export function onNews(listen: (count: number) => void): () => void {
  bus.on('news', listen)
  return () => bus.off('news', listen)
}
