/* Rounds of one measurement on a machine that is lent out to others too: which of them count, and how much the page is
   slowed down. */
import { readFileSync } from 'node:fs'
import { counting, quantile } from './clock'

/** A processor four times slower than this one; the machine at its usual pace walks the loop below in this time. */
const SLOWER = 4
const USUAL_MS = 50
const STEPS = 3e7

/** How long the machine takes for the loop just now, ms: a shared one is not equally quick at all times. */
function loopMs(): number {
  const since = counting()
  let sum = 0
  for (let i = 0; i < STEPS; i += 1) sum += i % 7
  return sum > 0 ? since() : Infinity
}
/** Four times, and less by what others have slowed the machine down already. */
const slowing = (): number =>
  Math.min(SLOWER, Math.max(1, (SLOWER * USUAL_MS) / Math.min(loopMs(), loopMs())))

/** Ticks since the start: those that the host gave to others, and all. Both 0 where the system does not say. */
function ticks(): { readonly taken: number; readonly all: number } {
  try {
    const [, ...fields] = readFileSync('/proc/stat', 'utf8').split('\n')[0]!.split(/\s+/)
    const numbers = fields.slice(0, 8).map(Number)
    return { taken: numbers[7] ?? 0, all: numbers.reduce((sum, one) => sum + one, 0) }
  } catch {
    return { taken: 0, all: 0 }
  }
}

const ROUNDS = 5
const MOST_ROUNDS = 9
/**
 * While the host runs somebody else, a browser that is slowed down goes on counting how long its page has to wait, and
 * the page pays it several times over: a round with more than this share measures the host.
 */
const QUIET = 0.01

/** Median of the first quiet rounds; of the quietest where there are not enough. */
export async function medianOfQuiet(round: (rate: number) => Promise<number>): Promise<number> {
  const rounds: { readonly value: number; readonly taken: number }[] = []
  const quiet = () => rounds.filter(({ taken }) => taken <= QUIET)
  while (quiet().length < ROUNDS && rounds.length < MOST_ROUNDS) {
    const rate = slowing()
    const before = ticks()
    const value = await round(rate)
    const after = ticks()
    rounds.push({ value, taken: (after.taken - before.taken) / Math.max(1, after.all - before.all) })
  }
  const counted = rounds.sort((a, b) => a.taken - b.taken).slice(0, ROUNDS)
  return quantile(
    counted.map(({ value }) => value),
    0.5,
  )
}
