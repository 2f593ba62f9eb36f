import { setTimeout as pause } from 'node:timers/promises'

/** So long what is being written goes first, and so long a look waits for all of it, ms: it would never come. */
const HOLD_MS = 30

let writing = 0
/** When nothing is being written any more, and what says so. */
let written: Promise<void> = Promise.resolve()
let tellWritten = (): void => {}
/** When the last look that was asked for will have had its turn. */
let last: Promise<unknown> = Promise.resolve()

/**
 * Comes back when it is this look's turn: one after the other, and between two of them the server takes in what has come
 * meanwhile. STOP and what is saved take no turn, so that they wait for the screen that is being made and for no other,
 * however many are asked for.
 */
export function turn(): Promise<unknown> {
  last = last.then(async () => {
    await endOfRound()
    if (writing === 0) return
    const held = new AbortController()
    await Promise.race([written, pause(HOLD_MS, undefined, { signal: held.signal }).catch(() => {})])
    held.abort()
    // What was written is answered before this look begins.
    await endOfRound()
  })
  return last
}

/** Everything that has come in until now has been taken in. */
const endOfRound = (): Promise<void> => new Promise((go) => setImmediate(go))

/** Does what changes something; looks whose turn it would be wait for it, for a moment, however long it takes. */
export async function goFirst<T>(work: () => Promise<T>): Promise<T> {
  if (writing === 0) written = new Promise((go) => (tellWritten = go))
  writing += 1
  let isHeld = true
  const letLooks = (): void => {
    if (!isHeld) return
    isHeld = false
    writing -= 1
    if (writing === 0) tellWritten()
  }
  // What a slow line sends, or a thread works out, would slow every look down.
  const timer = setTimeout(letLooks, HOLD_MS)
  try {
    return await work()
  } finally {
    clearTimeout(timer)
    letLooks()
  }
}
