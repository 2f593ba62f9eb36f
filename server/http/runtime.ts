import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { randomBytes } from 'node:crypto'
import { join, resolve } from 'node:path'
import { openDatabase } from '../db/open'
import { createRepos, type Repos } from '../repos'

export const dataFolder = (): string => resolve(process.env.NAKSHI_DATA ?? 'data')

let repos: Repos | undefined

/** The one connection of this process, opened at the first request. */
export function runningRepos(): Repos {
  repos ??= createRepos(openDatabase(join(dataFolder(), 'nakshi.sqlite')))
  return repos
}

let secret: string | undefined

/** The key that seals session cookies; made once for each data folder and readable by its owner alone. */
export function sessionSecret(): string {
  if (secret) return secret
  const file = join(dataFolder(), 'session.key')
  if (!existsSync(file)) {
    mkdirSync(dataFolder(), { recursive: true })
    writeFileSync(file, randomBytes(48).toString('base64'), { mode: 0o600 })
  }
  secret = readFileSync(file, 'utf8')
  return secret
}

/**
 * The line-based port for instruments on this machine: a thousand above the web port unless it is told or
 * turned off.
 */
export function streamPort(): { readonly port: number; readonly secret: string } | undefined {
  const setting = process.env.NAKSHI_INSTRUMENT_PORT
  if (setting === 'off') return undefined
  const port = setting ? Number(setting) : Number(process.env.NITRO_PORT ?? process.env.PORT ?? 3000) + 1000
  return Number.isInteger(port) && port > 0 && port < 65536 ? { port, secret: sessionSecret() } : undefined
}
