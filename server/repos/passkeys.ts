import type { Database } from 'better-sqlite3'

export interface StoredPasskey {
  readonly id: number
  readonly personId: number
  /** The authenticator's name for it, base64url. */
  readonly credential: string
  readonly publicKey: Buffer
  readonly counter: number
  readonly transports: string
  readonly name: string
  readonly madeAt: string
  readonly usedAt: string | null
}

const COLUMNS = `id, person_id AS personId, credential, public_key AS publicKey, counter, transports, name, made_at AS madeAt,
   used_at AS usedAt`

/** Passkeys of people; only public keys stand here. */
export function createPasskeysRepo(db: Database) {
  const of = db.prepare<[number], StoredPasskey>(
    `SELECT ${COLUMNS} FROM passkey WHERE person_id = ? ORDER BY id`,
  )
  const add = db.prepare(
    `INSERT INTO passkey (person_id, credential, public_key, counter, transports, name, made_at)
     VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (credential) DO NOTHING`,
  )
  const used = db.prepare('UPDATE passkey SET counter = ?, used_at = ? WHERE id = ? AND counter <= ?')
  const remove = db.prepare('DELETE FROM passkey WHERE id = ? AND person_id = ?')
  return {
    of: (personId: number): StoredPasskey[] => of.all(personId),
    /** False where this very key is kept already, of whomever. */
    add: (key: Omit<StoredPasskey, 'id' | 'usedAt'>): boolean =>
      add.run(key.personId, key.credential, key.publicKey, key.counter, key.transports, key.name, key.madeAt)
        .changes > 0,
    /** False where the counter went back: a copy has been used. */
    use: (id: number, counter: number, at: string): boolean => used.run(counter, at, id, counter).changes > 0,
    remove: (id: number, personId: number): boolean => remove.run(id, personId).changes > 0,
  }
}
