import { randomLcg, randomUniform } from 'd3-random'
import { limitUse, type CircuitDesign, type Governs, type InstallationDesign } from '../design/reference'
import { assignmentOf, designOf } from './assignment'
import type { Exercise } from './exercise'
import type { Circuit, Installation, Load } from '../installation/installation'

/** One apprentice's own version of the installation, and how hard it is. */
export interface Variant {
  /** Counted from 1; the same index and seed always give the same variant. */
  readonly index: number
  readonly installation: Installation
  readonly difficulty: Difficulty
}

/** What makes a task hard: what decides each conductor, and how many steps are more than reading a number off. */
export interface Difficulty {
  /** By circuit. */
  readonly governs: Readonly<Record<string, Governs>>
  /**
   * Steps that change the value: power factor, ambient, grouping, a device above the load, a limit beyond
   * current.
   */
  readonly score: number
}

export type VariantsResult =
  | { readonly ok: true; readonly variants: readonly Variant[] }
  | {
      readonly ok: false
      readonly reason: 'baseUnsolvable' | 'baseAmbiguous' | 'tooFew'
      readonly found: number
      readonly wanted: number
      readonly circuit?: string
    }

const LENGTH_STEP_M = 0.5
const POWER_STEP_W = 50
const CURRENT_STEP_A = 0.1
const TRIES_PER_VARIANT = 400
/** A value this close to its limit would make two careful people choose differently. */
const AMBIGUOUS_FROM = 0.985
/** Two variants must differ by this fraction in length or load, so that a copied figure shows. */
const DISTINCT_FRACTION = 0.02
/** A limit used beyond this makes a step count as hard. */
const TIGHT = 0.8

/**
 * `count` variants of the exercise: own lengths and loads for each, drawn from the seed, each solvable, unambiguous, of
 * the same difficulty as the exercise and distinct from the others. Adding more later never changes the earlier ones.
 */
export function makeVariants(exercise: Exercise, count: number): VariantsResult {
  const design = designOf(assignmentOf(exercise))
  if (!design.ok) return { ok: false, reason: 'baseUnsolvable', found: 0, wanted: count }
  const unclear = design.circuits.find((circuit) => isAmbiguous(circuit))
  if (unclear) return { ok: false, reason: 'baseAmbiguous', found: 0, wanted: count, circuit: unclear.scope }
  const base = difficultyOf(design)
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

/** Draws lengths and loads, then draws again for those circuits that came out wrong, until all are right. */
function draw(
  exercise: Exercise,
  index: number,
  base: Difficulty,
  taken: readonly Variant[],
  uniform: () => number,
): Variant | undefined {
  const { installation } = exercise
  let circuits = installation.circuits.map((circuit) => vary(circuit, exercise, uniform))
  for (let attempt = 0; attempt < TRIES_PER_VARIANT; attempt += 1) {
    const candidate = { ...installation, circuits }
    const design = designOf(assignmentOf(exercise, candidate))
    const wrong = new Set(
      circuits
        .filter(
          (circuit, i) =>
            !isFitting(
              circuit,
              design,
              base,
              exercise.asks.circuits.includes(circuit.id)
                ? taken.map((other) => other.installation.circuits[i]!)
                : [],
            ),
        )
        .map(({ id }) => id),
    )
    const difficulty = difficultyOf(design)
    if (
      wrong.size === 0 &&
      design.ok &&
      Math.abs(difficulty.score - base.score) <= Math.max(1, circuits.length / 2)
    )
      return { index, installation: candidate, difficulty }
    circuits = circuits.map((circuit, i) =>
      wrong.size === 0 || wrong.has(circuit.id)
        ? vary(installation.circuits[i]!, exercise, uniform)
        : circuit,
    )
  }
  return undefined
}

function isFitting(
  circuit: Circuit,
  design: InstallationDesign,
  base: Difficulty,
  others: readonly Circuit[],
): boolean {
  const circuitDesign = design.circuits.find(({ scope }) => scope === circuit.id)
  if (
    !circuitDesign ||
    circuitDesign.stopped ||
    isAmbiguous(circuitDesign) ||
    circuitDesign.governs !== base.governs[circuit.id]
  )
    return false
  return !others.some((other) => isSame(other, circuit))
}

/** A feed has no load of its own to tell it by, so that any other length will do. */
function isSame(a: Circuit, b: Circuit): boolean {
  if (a.load.basis === 'board') return a.lengthM === b.lengthM
  return near(a.lengthM, b.lengthM) && near(loadSize(a.load), loadSize(b.load))
}

const isAmbiguous = (circuit: CircuitDesign): boolean =>
  Object.values(limitUse(circuit)).some((part) => part > AMBIGUOUS_FROM && part < 1)

/** How hard a worked installation is. */
export function difficultyOf(design: InstallationDesign): Difficulty {
  const score = design.circuits.reduce((sum, circuit) => sum + hardSteps(circuit), 0)
  return { governs: Object.fromEntries(design.circuits.map(({ scope, governs }) => [scope, governs])), score }
}

function hardSteps(circuit: CircuitDesign): number {
  const { task, values, governs } = circuit
  const use = limitUse(circuit)
  return [
    'powerFactor' in task.load && task.load.powerFactor !== 1 && task.load.basis !== 'current',
    task.phases === 3,
    task.topology === 'ring',
    ...(['ca', 'cg', 'ci', 'cf'] as const).map((key) => values[key] !== undefined && values[key] !== 1),
    governs === 'voltDrop' || governs === 'loop',
    use.voltDrop > TIGHT,
    use.loop > TIGHT,
  ].filter(Boolean).length
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < DISTINCT_FRACTION * Math.max(a, b)

/** One figure for the size of a load, W or A; 0 for a board's demand, which follows from others. */
export function loadSize(load: Load): number {
  switch (load.basis) {
    case 'current':
      return load.currentA
    case 'lamps':
      return load.count * load.eachW
    case 'board':
      return 0
    default:
      return load.powerW
  }
}

function vary(circuit: Circuit, { variants: plan }: Exercise, uniform: () => number): Circuit {
  return {
    ...circuit,
    lengthM: toStep(circuit.lengthM * (1 + plan.lengthSpread * uniform()), LENGTH_STEP_M),
    load: varyLoad(circuit.load, 1 + plan.loadSpread * uniform()),
  }
}

function varyLoad(load: Load, factor: number): Load {
  switch (load.basis) {
    case 'current':
      return { ...load, currentA: toStep(load.currentA * factor, CURRENT_STEP_A) }
    case 'lamps':
      return { ...load, count: Math.max(1, Math.round(load.count * factor)) }
    case 'board':
      return load
    default:
      return { ...load, powerW: toStep(load.powerW * factor, POWER_STEP_W) }
  }
}

const toStep = (value: number, step: number): number =>
  Number((Math.max(1, Math.round(value / step)) * step).toFixed(3))

/** Spreads whole-number seeds over [0, 1), as the generator wants; neighbouring seeds land far apart. */
const fraction = (seed: number): number => ((((seed + 1) * 0.6180339887498949) % 1) + 1) % 1
