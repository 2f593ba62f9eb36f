import { randomLcg, randomUniform } from 'd3-random'
import { limitUse, referenceDesign, type Governs } from '../design/reference'
import type { Exercise } from '../exercise/exercise'
import type { Load, Task } from '../exercise/task'

/** One apprentice's own version of the task, and how hard it is. */
export interface Variant {
  /** Counted from 1; the same index and seed always give the same variant. */
  readonly index: number
  readonly task: Task
  readonly difficulty: Difficulty
}

/** What makes a task hard: what decides the conductor, and how many steps are more than reading a number off. */
export interface Difficulty {
  readonly governs: Governs
  /** Steps that change the value: power factor, ambient, grouping, a device above the load, a limit beyond current. */
  readonly score: number
}

export type VariantsResult =
  | { readonly ok: true; readonly variants: readonly Variant[] }
  | { readonly ok: false; readonly reason: 'baseUnsolvable' | 'tooFew'; readonly found: number; readonly wanted: number }

const LENGTH_STEP_M = 0.5
const POWER_STEP_W = 50
const CURRENT_STEP_A = 0.1
const TRIES_PER_VARIANT = 400
/** A value this close to its limit would make two careful people choose differently. */
const AMBIGUOUS_FROM = 0.985
/** Two variants must differ by this fraction in length or load, so that a copied figure shows. */
const DISTINCT_FRACTION = 0.02

/**
 * `count` variants of the exercise: own length and load for each, drawn from the seed, each solvable, unambiguous, of
 * the same difficulty as the exercise and distinct from the others. Adding more later never changes the earlier ones.
 */
export function makeVariants(exercise: Exercise, count: number): VariantsResult {
  const base = difficultyOf(exercise.task)
  if (!base) return { ok: false, reason: 'baseUnsolvable', found: 0, wanted: count }
  const source = randomLcg(fraction(exercise.variants.seed))
  const uniform = randomUniform.source(source)(-1, 1)
  const variants: Variant[] = []
  for (let index = 1; index <= count; index += 1) {
    const variant = draw(exercise, index, base, variants, uniform)
    if (!variant) return { ok: false, reason: 'tooFew', found: variants.length, wanted: count }
    variants.push(variant)
  }
  return { ok: true, variants }
}

function draw(exercise: Exercise, index: number, base: Difficulty, taken: readonly Variant[], uniform: () => number): Variant | undefined {
  const { task, variants: plan } = exercise
  for (let attempt = 0; attempt < TRIES_PER_VARIANT; attempt += 1) {
    const candidate: Task = {
      ...task,
      lengthM: toStep(task.lengthM * (1 + plan.lengthSpread * uniform()), LENGTH_STEP_M),
      load: varyLoad(task.load, 1 + plan.loadSpread * uniform()),
    }
    const difficulty = difficultyOf(candidate)
    if (!difficulty || !isLike(difficulty, base) || taken.some((other) => isSame(other.task, candidate))) continue
    return { index, task: candidate, difficulty }
  }
  return undefined
}

/** Difficulty of a task, or undefined when it has no solution or an ambiguous one. */
export function difficultyOf(task: Task): Difficulty | undefined {
  const design = referenceDesign(task)
  if (!design.ok) return undefined
  const use = limitUse(task, design.values)
  if (Object.values(use).some((part) => part > AMBIGUOUS_FROM && part < 1)) return undefined
  const score = [
    task.load.powerFactor !== 1 && task.load.basis === 'power',
    design.values.ca !== 1,
    design.values.cg !== 1,
    design.governs === 'voltDrop' || design.governs === 'loop',
    use.voltDrop > 0.8,
    use.loop > 0.8,
  ].filter(Boolean).length
  return { governs: design.governs, score }
}

const isLike = (a: Difficulty, b: Difficulty): boolean => a.governs === b.governs && Math.abs(a.score - b.score) <= 1

function isSame(a: Task, b: Task): boolean {
  return near(a.lengthM, b.lengthM) && near(loadSize(a.load), loadSize(b.load))
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < DISTINCT_FRACTION * Math.max(a, b)

export const loadSize = (load: Load): number => (load.basis === 'power' ? load.powerW : load.currentA)

function varyLoad(load: Load, factor: number): Load {
  return load.basis === 'power'
    ? { ...load, powerW: toStep(load.powerW * factor, POWER_STEP_W) }
    : { ...load, currentA: toStep(load.currentA * factor, CURRENT_STEP_A) }
}

const toStep = (value: number, step: number): number => Number((Math.max(1, Math.round(value / step)) * step).toFixed(3))

/** Spreads whole-number seeds over [0, 1), as the generator wants; neighbouring seeds land far apart. */
const fraction = (seed: number): number => (((seed + 1) * 0.6180339887498949) % 1 + 1) % 1
