/** What a value of an exercise may be, in SI; one place for the form, the exchange file and the server. */
export const RANGES = {
  zeOhm: { above: 0, max: 2000 },
  ipfA: { min: 100, max: 50_000 },
  powerW: { above: 0, max: 100_000 },
  powerFactor: { min: 0.3, max: 1 },
  currentA: { above: 0, max: 500 },
  lengthM: { above: 0, max: 500 },
  spread: { min: 0, max: 0.4 },
  seed: { min: 0, max: 999_999 },
} as const satisfies Record<string, { min?: number; above?: number; max: number }>

export type RangeKey = keyof typeof RANGES
