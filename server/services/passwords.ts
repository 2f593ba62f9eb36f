import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { availableParallelism } from 'node:os'
import { promisify } from 'node:util'
import { Problem } from './problem'

const derive = promisify(scrypt) as (
  password: string,
  salt: Buffer,
  length: number,
  options: { N: number; r: number; p: number },
) => Promise<Buffer>

/** scrypt with N = 2^14, r = 8, p = 5: OWASP's equivalent settings within Node's default memory. */
const COST = { N: 16384, r: 8, p: 5 }
/** Of a random password of twelve signs that is changed at the first sign-in: nobody guesses it. */
const ONE_TIME_COST = { N: 16384, r: 8, p: 1 }
const KEY_BYTES = 32

/** One core stays with the floor: hashing takes the others, one after the other. */
export const MOST_AT_ONCE = Math.max(1, availableParallelism() - 1)
/** More than this waiting is no class that signs in. */
const MOST_WAITING = 400

let running = 0
const waiting: (() => void)[] = []

/** Runs hashes a few at a time; refuses when far too many wait. */
async function queued<T>(work: () => Promise<T>): Promise<T> {
  if (waiting.length >= MOST_WAITING) throw new Problem('busy')
  // Whoever has done hands their place over, so that nobody slips in between.
  if (running >= MOST_AT_ONCE) await new Promise<void>((go) => waiting.push(go))
  else running += 1
  try {
    return await work()
  } finally {
    const next = waiting.shift()
    if (next) next()
    else running -= 1
  }
}

const base64 = (bytes: Buffer): string => bytes.toString('base64')

/** `scrypt$salt$key`, both in base64. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  const key = await queued(() => derive(password.normalize('NFKC'), salt, KEY_BYTES, COST))
  return `scrypt$${base64(salt)}$${base64(key)}`
}

/** `scrypt-once$salt$key`, for a password that was drawn by lot. */
export async function hashOneTime(password: string): Promise<string> {
  const salt = randomBytes(16)
  const key = await queued(() => derive(password, salt, KEY_BYTES, ONE_TIME_COST))
  return `scrypt-once$${base64(salt)}$${base64(key)}`
}

export async function isPassword(password: string, hash: string): Promise<boolean> {
  const [kind, salt, key] = hash.split('$')
  const wanted = Buffer.from(key ?? '', 'base64')
  const cost = kind === 'scrypt-once' ? ONE_TIME_COST : COST
  const derived = await queued(() =>
    derive(password.normalize('NFKC'), Buffer.from(salt ?? '', 'base64'), KEY_BYTES, cost),
  )
  return wanted.length === derived.length && timingSafeEqual(wanted, derived)
}

// No vowels and no look-alikes: easy to copy from a slip of paper, unlikely to spell anything.
const LETTERS = 'bcdfghjkmnpqrstvwxz23456789'

/** A password for the first sign-in, such as `kmtp-4wzx-9bdr`. */
export function oneTimePassword(): string {
  const part = () => Array.from({ length: 4 }, () => LETTERS[randomInt(LETTERS.length)]).join('')
  return `${part()}-${part()}-${part()}`
}
