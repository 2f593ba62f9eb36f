import type { Repos } from '../repos'
import { Problem } from './problem'

/** What every use-case runs with. The clock is handed in so that it can be told what time it is. */
export interface Context {
  readonly repos: Repos
  /** ISO 8601 UTC. */
  readonly now: string
  /** The session behind the request; left out where there is none. */
  readonly session?: SessionHere
  /** Where instruments on this machine may send readings; left out where nothing listens. */
  readonly stream?: StreamPort
  /** Aborted when whoever asked has gone away or has cancelled; left out where nobody can. */
  readonly signal?: AbortSignal
  /** Limits how often somebody may try to prove who they are; left out where nobody guesses. */
  readonly tries?: <T>(key: string, prove: () => Promise<T>) => Promise<T>
}

/** A session as it stands: when whoever sits there proved it last, and whether it is locked. */
export interface SessionHere {
  readonly id: number
  readonly provedAt: string
  readonly isLocked: boolean
}

export interface StreamPort {
  readonly port: number
  /** Seals the codes that stand on the pages. */
  readonly secret: string
}

/** Refuses to go on with what nobody waits for any more. */
export function goOn({ signal }: Pick<Context, 'signal'>): void {
  if (signal?.aborted) throw new Problem('cancelled')
}
