import type { StepKey } from '../design/step'

/** Choices that rest on several considerations count double. */
const DOUBLE: ReadonlySet<StepKey> = new Set<StepKey>(['csa', 'zs', 'residual'])

/** Marks that a design step can earn. */
export const maximumMark = (step: StepKey): number => (DOUBLE.has(step) ? 2 : 1)
