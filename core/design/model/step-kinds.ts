import { CONDUITS_MM, TRUNKING } from '../../regulations/containment'
import { RCD_TYPES } from '../../regulations/rcd'
import { formatQuantity } from '../../units/format'
import type { QuantityKey } from '../../units/quantity'
import type { StepKey } from './step-keys'

/** An answer that is picked rather than written. */
export interface Choice {
  readonly value: number
  readonly text: string
}

/**
 * What a step is written in. Kept apart from how it is worked, so that a worksheet can be shown without the
 * answers.
 */
export interface StepKind {
  readonly symbol: string
  readonly quantity: QuantityKey
  readonly choices?: readonly Choice[]
}

const trunkingValue = (size: string): number => Number(size.replace(' × ', '.'))
const YES_NO: readonly Choice[] = [
  { value: 1, text: 'yes' },
  { value: 0, text: 'no' },
]

export const STEP_KINDS: Readonly<Record<StepKey, StepKind>> = {
  ib: { symbol: 'Ib', quantity: 'current' },
  start: { symbol: 'Istart', quantity: 'current' },
  in: { symbol: 'In', quantity: 'rating' },
  ca: { symbol: 'Ca', quantity: 'factor' },
  cg: { symbol: 'Cg', quantity: 'factor' },
  ci: { symbol: 'Ci', quantity: 'factor' },
  cf: { symbol: 'Cf', quantity: 'factor' },
  itMin: { symbol: 'It(min)', quantity: 'current' },
  csa: { symbol: 'csa', quantity: 'area' },
  it: { symbol: 'It', quantity: 'current' },
  iz: { symbol: 'Iz', quantity: 'current' },
  voltDropPerAm: { symbol: 'mV/A/m', quantity: 'voltDropPerAmpMetre' },
  ct: { symbol: 'Ct', quantity: 'factor' },
  voltDrop: { symbol: 'ΔU', quantity: 'voltage' },
  voltDropTotal: { symbol: 'ΔU from origin', quantity: 'percent' },
  ohmPerM: { symbol: 'r1 + r2', quantity: 'resistancePerMetre' },
  r1: { symbol: 'r1', quantity: 'resistance' },
  rn: { symbol: 'rn', quantity: 'resistance' },
  r2: { symbol: 'r2', quantity: 'resistance' },
  r1r2: { symbol: 'R1 + R2', quantity: 'resistance' },
  r1r2Hot: { symbol: 'R1 + R2 hot', quantity: 'resistance' },
  zs: { symbol: 'Zs', quantity: 'resistance' },
  residual: {
    symbol: 'IΔn',
    quantity: 'residualCurrent',
    choices: [
      { value: 0, text: 'none' },
      ...[0.03, 0.1, 0.3].map((value) => ({ value, text: formatQuantity(value, 'residualCurrent') })),
    ],
  },
  residualType: {
    symbol: 'type',
    quantity: 'choice',
    choices: [{ value: 0, text: 'none' }, ...RCD_TYPES.map((text, i) => ({ value: i + 1, text }))],
  },
  residualDelay: {
    symbol: 'delay',
    quantity: 'choice',
    choices: [
      { value: 0, text: 'general' },
      { value: 1, text: 'delayed (S)' },
    ],
  },
  zsMax: { symbol: 'Zs max', quantity: 'resistance' },
  faultCurrent: { symbol: 'If', quantity: 'current' },
  time: { symbol: 't', quantity: 'duration' },
  energy: { symbol: 'I²t', quantity: 'energy' },
  cpcMin: { symbol: 'S', quantity: 'area' },
  breaking: {
    symbol: 'Icn',
    quantity: 'faultCurrent',
    choices: [1000, 2000, 4000, 6000, 10_000, 16_500, 33_000, 80_000].map((value) => ({
      value,
      text: formatQuantity(value, 'faultCurrent'),
    })),
  },
  ipfEnd: { symbol: 'Ipf there', quantity: 'faultCurrent' },
  selective: { symbol: 'selective', quantity: 'choice', choices: YES_NO },
  afdd: {
    symbol: 'AFDD',
    quantity: 'choice',
    choices: [
      { value: 0, text: 'not asked for' },
      { value: 1, text: 'recommended' },
      { value: 2, text: 'required' },
    ],
  },
  direction: {
    symbol: 'flow',
    quantity: 'choice',
    choices: [
      { value: 0, text: 'unidirectional or bidirectional' },
      { value: 1, text: 'bidirectional' },
    ],
  },
  containment: {
    symbol: 'size',
    quantity: 'choice',
    choices: [
      ...CONDUITS_MM.map((value) => ({ value, text: `${value} mm` })),
      ...TRUNKING.map(({ size }) => ({ value: trunkingValue(size), text: `${size} mm` })),
    ],
  },
  demand: { symbol: 'Imax', quantity: 'current' },
  mainSwitch: { symbol: 'Ie', quantity: 'rating' },
  busbar: { symbol: 'InA', quantity: 'rating' },
  tails: { symbol: 'tails', quantity: 'area' },
  earthing: { symbol: 'earthing', quantity: 'area' },
  bonding: { symbol: 'bonding', quantity: 'area' },
  spd: {
    symbol: 'SPD',
    quantity: 'choice',
    choices: [
      { value: 0, text: 'not asked for' },
      { value: 2, text: 'unless ruled out' },
      { value: 1, text: 'required' },
    ],
  },
}

/** A step's value in words: `12.6 A`, `none`, `type A`. */
export function stepWords(key: StepKey, value: number): string {
  const { choices, quantity } = STEP_KINDS[key]
  return choices?.find((choice) => choice.value === value)?.text ?? formatQuantity(value, quantity)
}
