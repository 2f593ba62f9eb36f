import type { StepKey } from '../design/step-keys'

/** Sets of steps that are asked together; an instructor starts from one and adds or takes away. */
export const ASK_SETS = {
  first: ['ib', 'in', 'ca', 'cg', 'itMin', 'csa', 'it', 'voltDropPerAm', 'voltDrop', 'ohmPerM', 'r1', 'rn', 'r2', 'r1r2', 'r1r2Hot', 'zs', 'residual', 'zsMax', 'breaking'],
  full: [
    'ib', 'start', 'in', 'ca', 'cg', 'ci', 'cf', 'itMin', 'csa', 'it', 'voltDropPerAm', 'ct', 'voltDrop', 'voltDropTotal', 'ohmPerM', 'r1', 'rn', 'r2', 'r1r2', 'r1r2Hot', 'zs',
    'residual', 'residualType', 'residualDelay', 'zsMax', 'faultCurrent', 'time', 'cpcMin', 'breaking', 'ipfEnd', 'selective', 'afdd', 'containment',
    'demand', 'mainSwitch', 'busbar', 'tails', 'earthing', 'bonding', 'spd',
  ],
  board: ['ib', 'start', 'in', 'itMin', 'csa', 'voltDrop', 'voltDropTotal', 'r1r2', 'zs', 'residual', 'zsMax', 'breaking', 'ipfEnd', 'demand', 'mainSwitch', 'tails', 'earthing', 'bonding', 'spd'],
} as const satisfies Record<string, readonly StepKey[]>

export type AskSet = keyof typeof ASK_SETS
