/** A line of a three-phase board: current, A, ≥ 0; power factor lagging, above 0 to 1. */
export interface LineLoad {
  readonly ampere: number
  readonly powerFactor: number
}

export interface NeutralQuestion {
  readonly lines: readonly [LineLoad, LineLoad, LineLoad]
  /** Third harmonic in each line current, 0 to 1 of the line current. */
  readonly thirdHarmonic: number
}

export interface NeutralAdvice {
  /** Of the fundamental: the phasor sum, A. */
  readonly fundamentalA: number
  /** Third harmonics add up, A. */
  readonly harmonicA: number
  /** Both together, effective, A. */
  readonly neutralA: number
  readonly largestLineA: number
  /** Reduction factor of a cable with four or five cores. */
  readonly factor: number
  /** The conductor that decides the size. */
  readonly sizedBy: 'line' | 'neutral'
  /** What the table must carry after the factor, A. */
  readonly tabulatedA: number
}

const THIRD = (2 * Math.PI) / 3

/** Third harmonic up to this share, the factor, and what it is applied to; BS 7671 Appendix 4, 5.5, from memory. */
const FACTORS: readonly (readonly [upTo: number, factor: number, sizedBy: 'line' | 'neutral'])[] = [
  [0.15, 1, 'line'],
  [0.33, 0.86, 'line'],
  [0.45, 0.86, 'neutral'],
  [Infinity, 1, 'neutral'],
]

/** Neutral current of unequal lines as a phasor sum, with third harmonics, and the factor for the cable. */
export function adviseNeutral({ lines, thirdHarmonic }: NeutralQuestion): NeutralAdvice {
  const angles = lines.map(({ powerFactor }, i) => -i * THIRD - Math.acos(powerFactor))
  const sum = (part: (angle: number) => number): number =>
    lines.reduce((total, { ampere }, i) => total + ampere * part(angles[i]!), 0)
  const fundamentalA = Math.hypot(sum(Math.cos), sum(Math.sin))
  const harmonicA = thirdHarmonic * lines.reduce((total, { ampere }) => total + ampere, 0)
  const neutralA = Math.hypot(fundamentalA, harmonicA)
  const largestLineA = Math.max(...lines.map(({ ampere }) => ampere))
  const [, factor, decided] = FACTORS.find(([upTo]) => thirdHarmonic <= upTo)!
  // Of very unequal lines the neutral never carries more than the largest line without harmonics.
  const sizedBy = decided === 'neutral' && neutralA > largestLineA ? 'neutral' : 'line'
  const tabulatedA = (sizedBy === 'neutral' ? neutralA : largestLineA) / factor
  return { fundamentalA, harmonicA, neutralA, largestLineA, factor, sizedBy, tabulatedA }
}
