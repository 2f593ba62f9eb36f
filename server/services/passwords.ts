import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'

const derive = promisify(scrypt) as (
  password: string,
  salt: Buffer,
  length: number,
  options: { N: number; r: number; p: number },
) => Promise<Buffer>

/** scrypt with N = 2^14, r = 8, p = 5: OWASP's equivalent settings within Node's default memory. */
const COST = { N: 16384, r: 8, p: 5 }
const KEY_BYTES = 32

/** `scrypt$salt$key`, both in base64. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  const key = await derive(password.normalize('NFKC'), salt, KEY_BYTES, COST)
  return `scrypt$${salt.toString('base64')}$${key.toString('base64')}`
}

export async function isPassword(password: string, hash: string): Promise<boolean> {
  const [, salt, key] = hash.split('$')
  const wanted = Buffer.from(key ?? '', 'base64')
  const derived = await derive(password.normalize('NFKC'), Buffer.from(salt ?? '', 'base64'), KEY_BYTES, COST)
  return wanted.length === derived.length && timingSafeEqual(wanted, derived)
}

// No vowels and no look-alikes: easy to copy from a slip of paper, unlikely to spell anything.
const LETTERS = 'bcdfghjkmnpqrstvwxz23456789'

/** A password for the first sign-in, such as `kmtp-4wzx-9bdr`. */
export function oneTimePassword(): string {
  const part = () => Array.from({ length: 4 }, () => LETTERS[randomInt(LETTERS.length)]).join('')
  return `${part()}-${part()}-${part()}`
}
