import { open } from 'node:fs/promises'
import type { Database } from 'better-sqlite3'

/** What stands between a commit and the disk. */
export interface Disk {
  /**
   * Comes back when everything that was committed before the call is on the disk. Throws where the disk gives errors;
   * whoever waited must not call it saved. What is `urgent` waits for no sync that began before it.
   */
  readonly reached: (urgency?: Urgency) => Promise<void>
  readonly close: () => Promise<void>
}

export type Urgency = 'usual' | 'urgent'

/** Brings the log of a database to the disk. */
interface Sync {
  readonly run: () => Promise<void>
  readonly close: () => Promise<void>
}
interface RunningSync {
  /** As many changes as there were when it began. */
  readonly found: number
  readonly ended: Promise<void>
}

/** Whoever commits while one runs need not wait for its end before theirs begins. */
const MOST_AT_ONCE = 2

/**
 * From here on a commit of this connection, which keeps a log beside the file, does not wait for the disk: whoever
 * acknowledges it does, away from the thread that everybody shares. One sync serves all that were committed before it
 * began; `urgent` is kept for what waits for none of the others. Each has the log open for itself: an error is told
 * once to each.
 */
export function syncApart(
  db: Database,
  usual: readonly Sync[] = Array.from({ length: MOST_AT_ONCE }, () => syncOf(`${db.name}-wal`)),
  urgent: Sync = syncOf(`${db.name}-wal`),
): Disk {
  db.pragma('synchronous = NORMAL')
  const changes = db.prepare<[], number>('SELECT total_changes()').pluck()
  const changedNow = (): number => changes.get()!
  let synced = changedNow()
  const [free, kept, anyEnd] = [[...usual], [urgent], bell()]
  const running: RunningSync[] = []
  let hasFailed = false

  async function syncOnce(found: number, sync: Sync): Promise<void> {
    try {
      if (hasFailed) {
        mergeAgain(db)
        hasFailed = false
      } else await sync.run()
    } catch (error) {
      hasFailed = true
      throw error
    }
    // Another one that failed meanwhile may have lost what this one found written.
    if (hasFailed) throw ioError('another sync of the log failed')
    synced = Math.max(synced, found)
  }
  function begin(home: Sync[]): RunningSync {
    const sync = home.shift()!
    const found = changedNow()
    const ended = syncOnce(found, sync).finally(() => {
      running.splice(running.indexOf(one), 1)
      home.push(sync)
      anyEnd.ring()
    })
    const one = { found, ended }
    running.push(one)
    return one
  }
  return {
    async reached(urgency = 'usual') {
      const wanted = changedNow()
      while (synced < wanted) {
        // One that began before the last of these changes may have passed it.
        const serving = running.find(({ found }) => found >= wanted)
        const home = free.length === 0 && urgency === 'urgent' ? kept : free
        const next = serving ?? (home.length > 0 ? begin(home) : undefined)
        await (next?.ended ?? anyEnd.heard())
      }
    },
    close: async () => void (await Promise.all([...usual, urgent].map((sync) => sync.close()))),
  }
}

/** Whoever waits hears it when it rings next. */
function bell() {
  const waiting: (() => void)[] = []
  return {
    heard: () => new Promise<void>((go) => waiting.push(go)),
    ring() {
      for (const go of waiting.splice(0)) go()
    },
  }
}

/**
 * After a failed sync the system may take pages for written that are not: all that the log holds is written anew, into
 * the file. Throws where that fails too.
 */
function mergeAgain(db: Database): void {
  const [row] = db.pragma('wal_checkpoint(TRUNCATE)') as [{ readonly busy: number }]
  if (row.busy !== 0) throw ioError('the log could not be merged')
}

const ioError = (message: string): Error => Object.assign(new Error(message), { code: 'EIO' })

/** Of a file that stays the same as long as the database is open. */
function syncOf(file: string): Sync {
  let opened: ReturnType<typeof open> | undefined
  return {
    run: async () => {
      // The next one opens it anew where this could not.
      opened ??= open(file, 'r+').catch((error: unknown) => {
        opened = undefined
        throw error
      })
      await (await opened).datasync()
    },
    close: async () => {
      await (await opened)?.close()
      opened = undefined
    },
  }
}
