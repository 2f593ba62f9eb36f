import type { Circuit, Load } from '../installation/installation'
import type { Exercise } from './exercise'

/** How far lengths and loads may lie from those of the exercise, as shares. */
type Spreads = Exercise['variants']

const LENGTH_STEP_M = 0.5
const POWER_STEP_W = 50
const CURRENT_STEP_A = 0.1
/** Two variants must differ by this fraction in length or load, so that a copied figure shows. */
const DISTINCT_FRACTION = 0.02

/** A feed has no load of its own to tell it by, so that any other length will do. */
export function isSame(a: Circuit, b: Circuit): boolean {
  if (a.load.basis === 'board') return a.lengthM === b.lengthM
  return near(a.lengthM, b.lengthM) && near(loadSize(a.load), loadSize(b.load))
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

/** One draw of length and load within the spreads; `uniform` gives −1 to 1. */
export function vary(circuit: Circuit, plan: Spreads, uniform: () => number): Circuit {
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

/** All steps from the lowest to the highest that a spread allows. */
function steps(value: number, spread: number, step: number): number[] {
  const [low, high] = [toStep(value * (1 - spread), step), toStep(value * (1 + spread), step)]
  const count = Math.round((high - low) / step)
  return Array.from({ length: count + 1 }, (_, i) => Number((low + i * step).toFixed(3)))
}

function everyLoad(load: Load, spread: number): Load[] {
  switch (load.basis) {
    case 'current':
      return steps(load.currentA, spread, CURRENT_STEP_A).map((currentA) => ({ ...load, currentA }))
    case 'lamps':
      return steps(load.count, spread, 1).map((count) => ({ ...load, count }))
    case 'board':
      return [load]
    default:
      return steps(load.powerW, spread, POWER_STEP_W).map((powerW) => ({ ...load, powerW }))
  }
}

/** Every length with every load that the spreads allow, so many at the most, evenly over all. */
export function everyVersion(circuit: Circuit, plan: Spreads, most: number): Circuit[] {
  const lengths = steps(circuit.lengthM, plan.lengthSpread, LENGTH_STEP_M)
  const loads = everyLoad(circuit.load, plan.loadSpread)
  const count = lengths.length * loads.length
  const stride = Math.max(1, count / most)
  return Array.from({ length: Math.min(count, most) }, (_, i) => {
    const at = Math.floor(i * stride)
    return {
      ...circuit,
      lengthM: lengths[at % lengths.length]!,
      load: loads[Math.floor(at / lengths.length)]!,
    }
  })
}
