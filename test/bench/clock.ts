/* How long work takes on a machine that others use too. */

/**
 * Begins to count; what it gives back tells how long it has been, ms. The clock's time, or the processor's time of this
 * process where that is less: work that waits for nothing takes no longer than either when it has the machine for itself.
 * Not for what waits, nor for another process.
 */
export function counting(): () => number {
  const [from, used] = [performance.now(), process.cpuUsage()]
  return () => {
    const { user, system } = process.cpuUsage(used)
    return Math.min(performance.now() - from, (user + system) / 1000)
  }
}

/** By the clock alone, ms: where another process works or is waited for. */
export function clocked(): () => number {
  const from = performance.now()
  return () => performance.now() - from
}

/** How long this takes, ms. */
export function timed(work: () => unknown): number {
  const since = counting()
  work()
  return since()
}

/** Median time of one call, ms, warmed up. */
export function time(work: () => unknown, runs = 400, count = counting): number {
  for (let i = 0; i < Math.min(100, runs); i += 1) work()
  const times = Array.from({ length: runs }, () => {
    const since = count()
    work()
    return since()
  }).sort((a, b) => a - b)
  return times[Math.floor(runs / 2)]!
}

/** The value that this share of all do not exceed. */
export const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!
