/* The neutral current of a board laid out, against ngspice: three current sources at their angles into one node, the
   current of the neutral read as a voltage over 1 Ω; third harmonics as sources of their own, in phase on all lines. */
import { describe, expect, it } from 'vitest'
import { neutralOf } from '#core/arrangement/measure'
import { handWritten, runSpice } from '../support/spice'

const neutralBySpice = (ampere: readonly number[], degrees: readonly number[]): number => {
  const sources = ampere.map((value, i) => `I${i + 1} 0 n dc 0 ac ${value} ${degrees[i]}`)
  const { re, im } = runSpice(handWritten([...sources, 'Rn n 0 1'], 50, ['v(n)'])).get('v(n)')!
  return Math.hypot(re, im)
}

describe('neutral current against ngspice', () => {
  it.each([
    [[20, 20, 20], 0],
    [[32, 10, 6], 0],
    [[54.4, 51.5, 55.5], 0],
    [[14, 9, 21], 0.25],
  ] as const)('lines %j, third harmonic %d of each', (linesA, share) => {
    const fundamental = neutralBySpice(linesA, [0, -120, 120])
    const third = neutralBySpice(
      linesA.map((ampere) => ampere * share),
      [0, 0, 0],
    )
    expect(
      neutralOf(
        linesA,
        linesA.reduce((sum, ampere) => sum + ampere * share, 0),
      ),
    ).toBeCloseTo(Math.hypot(fundamental, third), 9)
  })
})
