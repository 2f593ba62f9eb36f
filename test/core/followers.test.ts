/* Loads that follow their voltage: however many there are and wherever they hang, what is found holds for all of them
   at once, and nothing else of the network is lost between the rounds. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { divide, magnitude, real, subtract } from '#core/bay/network/complex'
import { movedNodes } from '#core/bay/network/moved-nodes'
import { EARTH, type Element, type Law } from '#core/bay/network/network'
import { planFor } from '#core/bay/network/plan'
import { solve } from '#core/bay/network/solve'

const NODES = [EARTH, 'a', 'b', 'c', 'd', 'e', 'f', 'g', 'h']
const node = fc.constantFrom(...NODES)
const LAWS: readonly Law[] = [
  { kind: 'filament', ratedV: 230, ratedW: 60 },
  { kind: 'filament', ratedV: 12, ratedW: 20 },
  { kind: 'driver', ratedV: 230, ratedW: 9, powerFactor: 0.6 },
  { kind: 'varistor', clampV: 400 },
]
const ohm = fc.double({ min: -3, max: 7, noNaN: true }).map((decades) => real(10 ** decades))
const elementAt = (i: number): fc.Arbitrary<Element> =>
  fc
    .record({ from: node, to: node, ohm, law: fc.option(fc.constantFrom(...LAWS)), isOpen: fc.boolean() })
    .map(({ from, to, ohm, law, isOpen }) => {
      const between = { name: `x${i}`, from, to }
      if (law && i % 2 === 0) return { ...between, kind: 'impedance', ohm: real(1000), law, isOpen }
      return { ...between, kind: 'impedance', ohm }
    })
/** Two mains behind a milliohm or two, and a net that hangs together. */
const frame: readonly Element[] = [
  { kind: 'source', name: 'L1', from: EARTH, to: 'a', volt: real(230), ohm: { re: 0.2, im: 0.05 } },
  { kind: 'source', name: 'L2', from: EARTH, to: 'h', volt: { re: -115, im: 199.2 }, ohm: real(0.3) },
  ...NODES.slice(1).map((to, i): Element => ({
    kind: 'impedance',
    name: `net ${i}`,
    from: NODES[i]!,
    to,
    ohm: real(1e5 * (i + 1)),
  })),
]
const networks = fc
  .tuple(...Array.from({ length: 14 }, (_, i) => elementAt(i)))
  .map((own) => [...frame, ...own])

describe('loads that follow their voltage', () => {
  it('settle where a network of plain resistances in their place shows the same voltages and currents', () => {
    fc.assert(
      fc.property(networks, (elements) => {
        const solved = solve({ elements, hertz: 50 })
        fc.pre(solved.ok)
        const plain = elements.map((element): Element => {
          if (element.kind !== 'impedance' || !element.law || element.isOpen) return element
          const { law: _, ...rest } = element
          const ampere = solved.ampere(element.name)
          const across = subtract(solved.volt(element.from), solved.volt(element.to))
          return magnitude(ampere) === 0
            ? { ...rest, isOpen: true }
            : { ...rest, ohm: divide(across, ampere) }
        })
        const again = solve({ elements: plain, hertz: 50 })
        if (!again.ok) throw new Error(again.reason)
        for (const name of NODES)
          expect(magnitude(subtract(again.volt(name), solved.volt(name)))).toBeLessThan(1e-6)
        for (const { name } of elements)
          expect(magnitude(subtract(again.ampere(name), solved.ampere(name)))).toBeLessThan(1e-5)
      }),
      { numRuns: 400 },
    )
  })

  it('many lamps in series and beside each other each obey their own curve', () => {
    // R = R_hot √(V / V_rated), the curve of the model; a lamp's rated voltage and power are its maker's.
    const lamps = [60, 100, 25, 40].map((ratedW, i): Element => ({
      kind: 'impedance',
      name: `lamp ${i}`,
      from: i < 2 ? 'a' : 'b',
      to: i < 2 ? 'b' : EARTH,
      ohm: real(500),
      law: { kind: 'filament', ratedV: 230, ratedW },
    }))
    const solved = solve({ elements: [frame[0]!, ...lamps], hertz: 50 })
    if (!solved.ok) throw new Error(solved.reason)
    for (const [i, { name, from, to }] of lamps.entries()) {
      const volt = magnitude(subtract(solved.volt(from), solved.volt(to)))
      const hot = 230 ** 2 / [60, 100, 25, 40][i]!
      expect(volt / magnitude(solved.ampere(name)) / (hot * Math.sqrt(volt / 230))).toBeCloseTo(1, 7)
    }
  })

  it('an open lamp, and one between a node and itself, carry nothing and hold nothing up', () => {
    const law: Law = { kind: 'filament', ratedV: 230, ratedW: 60 }
    const solved = solve({
      elements: [
        frame[0]!,
        { kind: 'impedance', name: 'open', from: 'a', to: EARTH, ohm: real(1), law, isOpen: true },
        { kind: 'impedance', name: 'bridged', from: 'a', to: 'a', ohm: real(1), law },
        { kind: 'impedance', name: 'lit', from: 'a', to: EARTH, ohm: real(1), law },
      ],
      hertz: 50,
    })
    if (!solved.ok) throw new Error(solved.reason)
    expect(magnitude(solved.ampere('open'))).toBe(0)
    expect(magnitude(solved.ampere('bridged'))).toBe(0)
    expect(magnitude(solved.ampere('lit'))).toBeCloseTo(60 / 230, 3)
  })
})

describe('what an elimination does again', () => {
  it('nothing that is done once comes after anything that is done again, and nothing is left out', () => {
    fc.assert(
      fc.property(networks, fc.array(fc.nat(20), { maxLength: 5 }), (elements, changed) => {
        const plan = planFor(elements)
        const { still, moved } = movedNodes(plan, changed)
        expect([...still, ...moved].sort((a, b) => a - b)).toEqual(
          Array.from({ length: plan.nodes.length - 1 }, (_, k) => k),
        )
        const isStill = new Set(still)
        for (const k of moved)
          for (const later of plan.neighbour.slice(plan.start[k], plan.start[k + 1]))
            expect(isStill.has(later)).toBe(false)
      }),
    )
  })
})
