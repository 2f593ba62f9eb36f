import type { QuantityKey } from '../units/quantity'
import type { StepKey } from './step-keys'

/** What a step is written in. Kept apart from how it is worked, so that a worksheet can be shown without the answers. */
export interface StepKind {
  readonly symbol: string
  readonly quantity: QuantityKey
}

export const STEP_KINDS = {
  ib: { symbol: 'Ib', quantity: 'current' },
  in: { symbol: 'In', quantity: 'rating' },
  ca: { symbol: 'Ca', quantity: 'factor' },
  cg: { symbol: 'Cg', quantity: 'factor' },
  itMin: { symbol: 'It ≥', quantity: 'current' },
  csa: { symbol: 'csa', quantity: 'area' },
  it: { symbol: 'It', quantity: 'current' },
  voltDropPerAm: { symbol: 'mV/A/m', quantity: 'voltDropPerAmpMetre' },
  voltDrop: { symbol: 'ΔU', quantity: 'voltage' },
  ohmPerM: { symbol: 'r1 + r2', quantity: 'resistancePerMetre' },
  r1r2: { symbol: 'R1 + R2', quantity: 'resistance' },
  r1r2Hot: { symbol: 'R1 + R2 at 70 °C', quantity: 'resistance' },
  zs: { symbol: 'Zs', quantity: 'resistance' },
  residual: { symbol: 'IΔn', quantity: 'residualCurrent' },
  zsMax: { symbol: 'Zs max', quantity: 'resistance' },
  breaking: { symbol: 'Icn', quantity: 'faultCurrent' },
} as const satisfies Record<StepKey, StepKind>
