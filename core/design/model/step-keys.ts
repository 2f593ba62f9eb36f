/** Steps of a circuit's design in the order in which they are worked. */
export const CIRCUIT_STEP_KEYS = [
  'ib',
  'start',
  'in',
  'ca',
  'cg',
  'ci',
  'cf',
  'itMin',
  'csa',
  'it',
  'iz',
  'voltDropPerAm',
  'ct',
  'voltDrop',
  'voltDropTotal',
  'ohmPerM',
  'r1',
  'rn',
  'r2',
  'r1r2',
  'r1r2Hot',
  'zs',
  'residual',
  'residualType',
  'residualDelay',
  'zsMax',
  'faultCurrent',
  'time',
  'energy',
  'cpcMin',
  'breaking',
  'ipfEnd',
  'selective',
  'afdd',
  'direction',
  'containment',
] as const

/** Steps of a board's design. */
export const BOARD_STEP_KEYS = [
  'demand',
  'mainSwitch',
  'busbar',
  'tails',
  'earthing',
  'bonding',
  'spd',
] as const

export type CircuitStepKey = (typeof CIRCUIT_STEP_KEYS)[number]
export type BoardStepKey = (typeof BOARD_STEP_KEYS)[number]
export type StepKey = CircuitStepKey | BoardStepKey

export const STEP_KEYS: readonly StepKey[] = [...CIRCUIT_STEP_KEYS, ...BOARD_STEP_KEYS]

/** One step of one circuit or board: `c2.zs`, `b1.demand`. */
export type NodeKey = `${string}.${StepKey}`
export const nodeKey = (scope: string, step: StepKey): NodeKey => `${scope}.${step}`
export const stepOf = (node: string): StepKey => node.slice(node.lastIndexOf('.') + 1) as StepKey
export const scopeOf = (node: string): string => node.slice(0, node.lastIndexOf('.'))
