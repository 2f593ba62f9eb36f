import type { StageMinutes } from './session'

/** How long something really took, over several times. */
export interface Learnt {
  readonly n: number
  /** Minutes. */
  readonly median: number
  /** Half of them lie between these, minutes. */
  readonly low: number
  readonly high: number
}

/** Shares of an exercise's minutes while nothing has been learnt; common practice, no source. */
const USUAL_SHARE: Readonly<Record<keyof StageMinutes, number>> = {
  design: 0.25,
  build: 0.4,
  dead: 0.2,
  live: 0.15,
}
/** Fewer times than this say nothing. */
export const TOO_FEW_TIMES = 3

/**
 * A quantile between the two nearest of a sorted list, as R's default (type 7; R. J. Hyndman and Y. Fan, Am. Stat.
 * 50 (1996) 361).
 */
export function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share
  const [low, high] = [Math.floor(at), Math.ceil(at)]
  return sorted[low]! + (sorted[high]! - sorted[low]!) * (at - low)
}

export function learnt(minutes: readonly number[]): Learnt | null {
  if (minutes.length < TOO_FEW_TIMES) return null
  const sorted = [...minutes].sort((a, b) => a - b)
  return {
    n: sorted.length,
    median: quantile(sorted, 0.5),
    low: quantile(sorted, 0.25),
    high: quantile(sorted, 0.75),
  }
}

/** What the register of a task says of its times: the moments at which its stages changed, ISO 8601. */
export interface TaskTimes {
  /** When the first thing was typed. */
  readonly begun: string | null
  readonly designDone: string | null
  readonly asked: string | null
  readonly permitted: string | null
  readonly done: string | null
}
export interface LearntStages {
  readonly design: Learnt | null
  /** Wiring and dead tests together. */
  readonly bay: Learnt | null
  /** From asking until somebody permits. */
  readonly waiting: Learnt | null
  readonly live: Learnt | null
}

/** Longer than this it went on another day, or lunch lay between, minutes; common practice, no source. */
const LONGEST = 360

/** Shorter than this was typed in afterwards, minutes; common practice, no source. */
const SHORTEST = 5

const between = (from: string | null, to: string | null, shortest = SHORTEST): number[] => {
  if (!from || !to || from.slice(0, 10) !== to.slice(0, 10)) return []
  const minutes = (Date.parse(to) - Date.parse(from)) / 60_000
  return minutes >= shortest && minutes <= LONGEST ? [minutes] : []
}

/** Median and spread of the stages of one exercise; what went over a day is left out. */
export function learntStages(times: readonly TaskTimes[]): LearntStages {
  return {
    design: learnt(times.flatMap(({ begun, designDone }) => between(begun, designDone))),
    bay: learnt(times.flatMap(({ designDone, asked }) => between(designDone, asked))),
    waiting: learnt(times.flatMap(({ asked, permitted }) => between(asked, permitted, 0))),
    live: learnt(times.flatMap(({ permitted, done }) => between(permitted, done))),
  }
}

/** Minutes to plan a task with: what was learnt where there is enough, else the usual shares of what is allowed. */
export function plannedMinutes(allowed: number, { design, bay, live }: LearntStages): StageMinutes {
  const share = (part: keyof StageMinutes) => Math.max(1, Math.round(allowed * USUAL_SHARE[part]))
  const wiring = USUAL_SHARE.build / (USUAL_SHARE.build + USUAL_SHARE.dead)
  return {
    design: design ? Math.max(1, Math.round(design.median)) : share('design'),
    build: bay ? Math.max(1, Math.round(bay.median * wiring)) : share('build'),
    dead: bay ? Math.max(1, Math.round(bay.median * (1 - wiring))) : share('dead'),
    live: live ? Math.max(1, Math.round(live.median)) : share('live'),
  }
}
