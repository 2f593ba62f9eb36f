import { RateLimiterMemory } from 'rate-limiter-flexible'
import type { H3Event } from 'h3'
import { Problem } from '../services/problem'
import { knownDevice, originOf } from './session'

const MINUTE_S = 60
/** One person from one place: so many wrong in a minute, then a pause that grows with each further round. */
const near = new RateLimiterMemory({ keyPrefix: 'near', points: 8, duration: MINUTE_S })
/** One person from anywhere but a known device, in a quarter of an hour. */
const person = new RateLimiterMemory({ keyPrefix: 'person', points: 40, duration: 15 * MINUTE_S })
/** One address: a whole room may stand behind it. */
const address = new RateLimiterMemory({ keyPrefix: 'address', points: 150, duration: 15 * MINUTE_S })
/** Everybody together. */
const all = new RateLimiterMemory({ keyPrefix: 'all', points: 1500, duration: 15 * MINUTE_S })

/** How often a place was shut out lately: each time it waits four times as long, up to an hour. */
const rounds = new RateLimiterMemory({ keyPrefix: 'rounds', points: 1000, duration: 24 * 60 * MINUTE_S })
const LONGEST_S = 60 * MINUTE_S
const GROWTH = 4

type Limit = readonly [RateLimiterMemory, string]

async function consume(limits: readonly Limit[]): Promise<void> {
  for (const [limiter, key] of limits) {
    try {
      await limiter.consume(key)
    } catch {
      if (limiter === near) await shutOut(key)
      throw new Problem('tooManyTries')
    }
  }
}

/** A pause that has just begun grows; one that runs already is left alone. */
async function shutOut(key: string): Promise<void> {
  const known = await near.get(key)
  const isNew = known !== null && known.consumedPoints === near.points + 1
  if (!isNew) return
  const { consumedPoints } = await rounds.consume(key)
  await near.block(key, Math.min(LONGEST_S, MINUTE_S * GROWTH ** (consumedPoints - 1)))
}

async function prove<T>(limits: readonly Limit[], attempt: () => Promise<T>): Promise<T> {
  await consume(limits)
  const proved = await attempt()
  for (const [limiter, key] of limits) {
    if (limiter === near) {
      await near.delete(key)
      await rounds.delete(key)
    } else await limiter.reward(key, 1)
  }
  return proved
}

/**
 * Runs something that proves who somebody is: refused when there were too many tries, forgotten after a
 * success. The key is the person, whatever they sign.
 */
export const withTries = <T>(key: string, attempt: () => Promise<T>): Promise<T> =>
  prove([[near, key]], attempt)

/**
 * A sign-in: limits by person and place, by person, by address and for all together. A device on which the
 * person has signed in before has a limit of its own, so that a stranger elsewhere cannot lock the rightful
 * person out.
 */
export function withSignInTries<T>(event: H3Event, number: string, attempt: () => Promise<T>): Promise<T> {
  const who = number.trim().toLowerCase()
  const device = knownDevice(event, who)
  const place = originOf(event).address
  const limits: Limit[] = device
    ? [[near, `${device}/${who}`]]
    : [
        [near, `${place}/${who}`],
        [person, who],
      ]
  return prove([[all, 'sign-in'], [address, place], ...limits], attempt)
}
