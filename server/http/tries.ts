import { RateLimiterMemory } from 'rate-limiter-flexible'
import { Problem } from '../services/problem'

const limiter = new RateLimiterMemory({ points: 8, duration: 60 })

/** Counts a try to sign in and refuses when there were too many in a minute. The result forgets them after a success. */
export async function limitTries(key: string): Promise<() => Promise<unknown>> {
  try {
    await limiter.consume(key)
  } catch {
    throw new Problem('tooManyTries')
  }
  return () => limiter.delete(key)
}
