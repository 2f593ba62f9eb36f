import type { Database } from 'better-sqlite3'
import { sealHead } from '../db/seal-chain'

/** The chain of what was decided and signed. */
export const createSealRepo = (db: Database) => ({
  /** Its newest link, to be printed with a record; empty before the first. */
  head: (): string => sealHead(db),
})
