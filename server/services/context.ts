import type { Repos } from '../repos'

/** What every use-case runs with. The clock is handed in so that it can be told what time it is. */
export interface Context {
  readonly repos: Repos
  /** ISO 8601 UTC. */
  readonly now: string
}
