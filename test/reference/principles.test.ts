/* Benches of first principles against ngspice: the same resistors and loads as a netlist at direct current. */
import { describe, expect, it } from 'vitest'
import { BENCHES } from '#core/principles/benches'
import { COPPER_OHM_PER_M } from '#core/regulations/conductors'
import { handWritten, runSpice } from '../support/spice'

const { rheostat, lamps, run, line } = BENCHES
const volts = (lines: readonly string[], node: string): number =>
  runSpice(handWritten(lines, 0, [`v(${node})`])).get(`v(${node})`)!.re

describe('first principles against ngspice', () => {
  it.each([
    { volt: 12, lampOhm: 6, rheostatOhm: 6 },
    { volt: 24, lampOhm: 5, rheostatOhm: 17 },
  ])('a lamp of $lampOhm Ω behind $rheostatOhm Ω on $volt V', (set) => {
    const lamp = volts([`V1 a 0 ${set.volt}`, `R1 a b ${set.rheostatOhm}`, `R2 b 0 ${set.lampOhm}`], 'b')
    const came = rheostat.work(set)
    expect(came.lampVolt).toBeCloseTo(lamp, 6)
    expect(came.lampPower).toBeCloseTo(lamp ** 2 / set.lampOhm, 6)
  })

  it.each([1, 3, 6])('%i lamps one behind the other share the voltage', (count) => {
    const ohm = 230 ** 2 / 60
    const string = Array.from(
      { length: count },
      (_, i) => `R${i} n${i} ${i === count - 1 ? 0 : `n${i + 1}`} ${ohm}`,
    )
    const last = volts(['V1 n0 0 230', ...string], `n${count - 1}`)
    expect(lamps.work({ count, watt: 60, beside: 0 }).lampVolt).toBeCloseTo(last, 6)
  })

  it.each([
    { areaMm2: 2.5, loads: 4, each: 3, spacingM: 10 },
    { areaMm2: 1, loads: 8, each: 1.5, spacingM: 30 },
  ])('$loads loads of $each A along a run of $areaMm2 mm², each conductor by itself', (set) => {
    // At 70 °C, 1.2 times what the table of IEC 60228 has at 20 °C; 0.004 per kelvin, from memory.
    const ohm = COPPER_OHM_PER_M[set.areaMm2]! * set.spacingM * 1.2
    const stretches = Array.from({ length: set.loads }, (_, i) => [
      `RL${i} l${i} l${i + 1} ${ohm}`,
      `RN${i} ${i === 0 ? 0 : `m${i}`} m${i + 1} ${ohm}`,
      `I${i} l${i + 1} m${i + 1} ${set.each}`,
    ]).flat()
    const netlist = ['V1 l0 0 230', ...stretches]
    const end = volts(netlist, `l${set.loads}`) - volts(netlist, `m${set.loads}`)
    expect(run.work(set).end).toBeCloseTo(end, 5)
  })

  it('what a line loses, driven by the current of its power', () => {
    const set = { kilowatt: 20, ohm: 0.8, ratio: 5 }
    const current = 20_000 / (230 * 5)
    const drop = volts([`I1 0 a ${current}`, `R1 a 0 ${set.ohm}`], 'a')
    expect(line.work(set).lost).toBeCloseTo(drop * current, 4)
  })
})
