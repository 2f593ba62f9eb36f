/** A physical quantity as the trade writes it: values are SI inside, `scale` turns SI into the display unit. */
export interface Quantity {
  /** Unit shown and assumed for a bare number. */
  readonly unit: string
  /** Display value = SI value × scale. */
  readonly scale: number
  /** Unit symbol without prefix, as it is typed after a number. */
  readonly base: string
  /** Decimals shown by default. */
  readonly decimals: number
}

export const QUANTITIES = {
  current: { unit: 'A', scale: 1, base: 'A', decimals: 1 },
  rating: { unit: 'A', scale: 1, base: 'A', decimals: 0 },
  faultCurrent: { unit: 'kA', scale: 1e-3, base: 'A', decimals: 1 },
  residualCurrent: { unit: 'mA', scale: 1e3, base: 'A', decimals: 0 },
  power: { unit: 'W', scale: 1, base: 'W', decimals: 0 },
  voltage: { unit: 'V', scale: 1, base: 'V', decimals: 2 },
  resistance: { unit: 'Ω', scale: 1, base: 'Ω', decimals: 2 },
  insulation: { unit: 'MΩ', scale: 1e-6, base: 'Ω', decimals: 0 },
  resistancePerMetre: { unit: 'mΩ/m', scale: 1e3, base: 'Ω/m', decimals: 2 },
  voltDropPerAmpMetre: { unit: 'mV/A/m', scale: 1e3, base: 'V/A/m', decimals: 1 },
  factor: { unit: '', scale: 1, base: '', decimals: 2 },
  area: { unit: 'mm²', scale: 1, base: 'mm²', decimals: 1 },
  length: { unit: 'm', scale: 1, base: 'm', decimals: 1 },
  temperature: { unit: '°C', scale: 1, base: '°C', decimals: 0 },
  temperatureRise: { unit: 'K', scale: 1, base: 'K', decimals: 0 },
  percent: { unit: '%', scale: 100, base: '%', decimals: 2 },
  duration: { unit: 's', scale: 1, base: 's', decimals: 2 },
  // No prefix: of a kiloampere the square is a million.
  energy: { unit: 'A²s', scale: 1, base: 'A²s', decimals: 0 },
  energyTaken: { unit: 'kWh', scale: 1, base: 'kWh', decimals: 1 },
  money: { unit: '£', scale: 1, base: '£', decimals: 2 },
  choice: { unit: '', scale: 1, base: '', decimals: 0 },
  time: { unit: 'ms', scale: 1e3, base: 's', decimals: 0 },
} as const satisfies Record<string, Quantity>

export type QuantityKey = keyof typeof QUANTITIES
