/** The steps of a design in the order in which they are worked. */
export const STEP_KEYS = [
  'ib', 'in', 'ca', 'cg', 'itMin', 'csa', 'it', 'voltDropPerAm', 'voltDrop',
  'ohmPerM', 'r1r2', 'r1r2Hot', 'zs', 'residual', 'zsMax', 'breaking',
] as const

export type StepKey = (typeof STEP_KEYS)[number]
