import { RateLimiterMemory } from 'rate-limiter-flexible'
import { Problem } from '../services/problem'

const limiter = new RateLimiterMemory({ points: 8, duration: 60 })

/**
 * Runs something that proves who somebody is: refused when there were too many tries in a minute, forgotten
 * after a success.
 */
export async function withTries<T>(key: string, prove: () => Promise<T>): Promise<T> {
  try {
    await limiter.consume(key)
  } catch {
    throw new Problem('tooManyTries')
  }
  const proved = await prove()
  await limiter.delete(key)
  return proved
}
