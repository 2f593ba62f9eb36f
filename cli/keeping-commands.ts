import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import BetterSqlite from 'better-sqlite3'
import { makeBackup, restore, verify } from '../server/db/backup'
import { claimFolder } from '../server/db/claim'
import { EXIT, UseError, type Output } from './input'

export interface KeepingOptions {
  readonly data?: string
  readonly to?: string
}

const dataOf = ({ data }: KeepingOptions): string => resolve(data ?? process.env.NAKSHI_DATA ?? 'data')

/** Copies the database while the server runs, or while it does not. */
export function backup(options: KeepingOptions): Output & { readonly later?: () => Promise<Output> } {
  const folder = dataOf(options)
  const file = join(folder, 'nakshi.sqlite')
  if (!existsSync(file))
    throw new UseError(`There is no database in ${folder}. Name its folder with --data.`, EXIT.input)
  const to = resolve(options.to ?? process.env.NAKSHI_BACKUPS ?? join(folder, 'backups'))
  return {
    json: null,
    code: EXIT.done,
    later: async () => {
      const db = new BetterSqlite(file, { readonly: true })
      try {
        const made = await makeBackup(db, to, new Date().toISOString())
        return { json: made, explained: `${made.file}, looked over`, code: EXIT.done }
      } catch (error) {
        throw new UseError((error as Error).message, EXIT.input)
      } finally {
        db.close()
      }
    },
  }
}

/** Is this file whole: pages, references, photographs, seal? */
export function verifyFile(_: object, file?: string): Output {
  if (!file) throw new UseError('verify needs the file of a database or a backup.', EXIT.use)
  const problems = verify(file)
  const isSound = problems.length === 0
  return {
    json: { file: resolve(file), isSound, problems },
    explained: isSound ? `${file} is whole.` : problems.join('\n'),
    code: isSound ? EXIT.done : EXIT.input,
  }
}

/** Puts a backup in the place of the database; what stood there is kept beside it. */
export function restoreBackup(options: KeepingOptions, file?: string): Output {
  if (!file) throw new UseError('restore needs the file of a backup.', EXIT.use)
  const folder = dataOf(options)
  try {
    const release = claimFolder(folder)
    const { kept } = restore(file, join(folder, 'nakshi.sqlite'), new Date().toISOString())
    release()
    const words = kept ? ` What stood there is kept as ${kept}.` : ''
    return { json: { folder, kept }, explained: `Restored into ${folder}.${words}`, code: EXIT.done }
  } catch (error) {
    throw new UseError((error as Error).message, EXIT.input)
  }
}
