import { randomLcg, randomUniform } from 'd3-random'
import {
  limitUse,
  referenceDesign,
  type CircuitDesign,
  type Governs,
  type InstallationDesign,
} from '../design/reference'
import { assignmentOf, designOf, rulesOf } from './assignment'
import type { Exercise } from './exercise'
import type { Circuit, Installation } from '../installation/installation'
import { everyVersion, isSame, vary } from './variant-circuit'

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

const TRIES_PER_VARIANT = 400
/** A value this close to its limit would make two careful people choose differently. */
const AMBIGUOUS_FROM = 0.985
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
    const drawing = { exercise, index, base, taken: variants, uniform }
    const variant = draw(drawing) ?? search(drawing)
    if ('stuck' in variant) {
      const { stuck: circuit } = variant
      return { ok: false, reason: 'tooFew', found: variants.length, wanted: count, circuit }
    }
    variants.push(variant)
  }
  return { ok: true, variants }
}

/** What one variant is drawn from. */
interface Drawing {
  readonly exercise: Exercise
  readonly index: number
  readonly base: Difficulty
  readonly taken: readonly Variant[]
  readonly uniform: () => number
}

/** Designs the exercise with these circuits; those that are still what they were are not worked again. */
function designer(exercise: Exercise): (circuits: readonly Circuit[]) => InstallationDesign {
  let last: InstallationDesign | undefined
  return (circuits) =>
    (last = referenceDesign({ ...exercise.installation, circuits }, rulesOf(exercise), last))
}

/** What others have in place of a circuit that is asked for; the others may have anything. */
const othersOf = ({ exercise, taken }: Drawing, i: number): readonly Circuit[] =>
  exercise.asks.circuits.includes(exercise.installation.circuits[i]!.id)
    ? taken.map(({ installation }) => installation.circuits[i]!)
    : []

/** The variant that these circuits make, if they are as hard as the exercise. */
function variantOf(
  { exercise, index, base }: Drawing,
  circuits: readonly Circuit[],
  design: InstallationDesign,
): Variant | undefined {
  const installation = { ...exercise.installation, circuits }
  const difficulty = difficultyOf(design)
  const isLike = Math.abs(difficulty.score - base.score) <= Math.max(1, circuits.length / 2)
  return design.ok && isLike ? { index, installation, difficulty } : undefined
}

/** Draws lengths and loads, then draws again for those circuits that came out wrong, until all are right. */
function draw(drawing: Drawing): Variant | undefined {
  const { exercise, base, uniform } = drawing
  const { installation } = exercise
  const designWith = designer(exercise)
  let circuits = installation.circuits.map((circuit) => vary(circuit, exercise.variants, uniform))
  for (let attempt = 0; attempt < TRIES_PER_VARIANT; attempt += 1) {
    const design = designWith(circuits)
    const wrong = new Set(
      circuits
        .filter((circuit, i) => !isFitting(circuit, design, base, othersOf(drawing, i)))
        .map(({ id }) => id),
    )
    const variant = wrong.size === 0 ? variantOf(drawing, circuits, design) : undefined
    if (variant) return variant
    circuits = circuits.map((circuit, i) =>
      wrong.size === 0 || wrong.has(circuit.id)
        ? vary(installation.circuits[i]!, exercise.variants, uniform)
        : circuit,
    )
  }
  return undefined
}

/** So many lengths and loads of a circuit are looked through, and so many of them designed. */
const MOST_VERSIONS = 4000
const MOST_DESIGNED = 300
const PASSES = 3

/** Where chance finds none: circuit by circuit everything that the spreads allow, or the circuit that has no other. */
function search(drawing: Drawing): Variant | { readonly stuck: string } {
  const { exercise, base, uniform } = drawing
  const { installation } = exercise
  let circuits: readonly Circuit[] = installation.circuits.map((circuit) =>
    vary(circuit, exercise.variants, uniform),
  )
  let stuck = installation.circuits[0]!.id
  const design = designer(exercise)
  const designWith = (i: number, version: Circuit) =>
    design(circuits.map((circuit, k) => (k === i ? version : circuit)))
  for (let pass = 0; pass < PASSES; pass += 1) {
    let isRight = true
    for (const [i, circuit] of installation.circuits.entries()) {
      const others = othersOf(drawing, i)
      if (isFitting(circuits[i]!, designWith(i, circuits[i]!), base, others)) continue
      const free = everyVersion(circuit, exercise.variants, MOST_VERSIONS).filter(
        (version) => !others.some((other) => isSame(other, version)),
      )
      if (free.length === 0) return { stuck: circuit.id }
      const from = Math.floor(((uniform() + 1) / 2) * free.length)
      const inTurn = [...free.slice(from), ...free.slice(0, from)]
      const stride = Math.max(1, Math.floor(inTurn.length / MOST_DESIGNED))
      const found = inTurn
        .filter((_, k) => k % stride === 0)
        .find((version) => isFitting(version, designWith(i, version), base, others))
      if (found) circuits = circuits.map((one, k) => (k === i ? found : one))
      else {
        isRight = false
        stuck = circuit.id
      }
    }
    const variant = isRight ? variantOf(drawing, circuits, design(circuits)) : undefined
    if (variant) return variant
    if (isRight) circuits = installation.circuits.map((circuit) => vary(circuit, exercise.variants, uniform))
  }
  return { stuck }
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

/** Spreads whole-number seeds over [0, 1), as the generator wants; neighbouring seeds land far apart. */
const fraction = (seed: number): number => ((((seed + 1) * 0.6180339887498949) % 1) + 1) % 1
