import type { SeparateRule } from './framework'

/** One time that something was shown. */
export interface Time {
  /** The job it was at: two occasions of one job have the same. */
  readonly job: string
  /** `2026-11-12`. */
  readonly day: string
}

/** How many separate occasions these are, by the framework's rule. */
export function separateOccasions(times: readonly Time[], rule: SeparateRule): number {
  switch (rule) {
    case 'job':
      return new Set(times.map(({ job }) => job)).size
    case 'day':
      return new Set(times.map(({ day }) => day)).size
    case 'jobOrDay':
      return new Set(times.map((time) => `${time.day} ${time.job}`)).size
    case 'jobAndDay':
      return mostApart(times)
  }
}

/**
 * The most occasions of which no two have the job or the day in common: the largest matching of jobs with days, by
 * augmenting paths (Berge 1957).
 */
function mostApart(times: readonly Time[]): number {
  const daysOf = new Map<string, Set<string>>()
  for (const time of times) daysOf.set(time.job, (daysOf.get(time.job) ?? new Set()).add(time.day))
  const jobOn = new Map<string, string>()
  const place = (job: string, tried: Set<string>): boolean => {
    for (const day of daysOf.get(job)!) {
      if (tried.has(day)) continue
      tried.add(day)
      const holder = jobOn.get(day)
      if (holder === undefined || place(holder, tried)) {
        jobOn.set(day, job)
        return true
      }
    }
    return false
  }
  return [...daysOf.keys()].filter((job) => place(job, new Set())).length
}
