/* A network kept taken apart: what a change makes of it is what the changed network solved from nothing shows. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { answer } from '#core/bay/network/answers'
import { magnitude, real, subtract } from '#core/bay/network/complex'
import { change, layNetwork } from '#core/bay/network/layers'
import { EARTH, type Element } from '#core/bay/network/network'
import { solve } from '#core/bay/network/solve'
import { predictAll } from '#core/testing/expected/predict'
import { readerOf } from '#core/testing/expected/reader'
import type { Outcome } from '#core/testing/kinds/kind'
import { testsOf } from '#core/testing/plan/schedule'
import { aBay } from '../support/bay'

const NODES = [EARTH, 'a', 'b', 'c', 'd', 'e', 'f', 'g']
const node = fc.constantFrom(...NODES)
/** From a joint of milliohms to a leak of gigaohms; a source of the mains has some hundredths of an ohm at the least. */
const ohm = fc.double({ min: -3, max: 9, noNaN: true }).map((decades) => 10 ** decades)
const element = (i: number): fc.Arbitrary<Element> =>
  fc
    .record({ from: node, to: node, re: ohm, im: fc.constantFrom(0, 0.05), isOpen: fc.boolean(), volt: ohm })
    .map(({ from, to, re, im, isOpen, volt }) =>
      i % 5 === 0
        ? {
            kind: 'source',
            name: `x${i}`,
            from,
            to,
            volt: real(Math.min(volt, 400)),
            ohm: { re: Math.max(0.05, re), im },
            isOpen,
          }
        : { kind: 'impedance', name: `x${i}`, from, to, ohm: { re, im }, isOpen: isOpen && i % 3 === 0 },
    )
/** A net that hangs together, so that every pair of nodes can be read. */
const chain: readonly Element[] = NODES.slice(1).map((name, i) => ({
  kind: 'impedance',
  name: `chain ${i}`,
  from: NODES[i]!,
  to: name,
  ohm: real(1e6 * (i + 1)),
}))
const elements = (from: number, count: number) =>
  fc.tuple(...Array.from({ length: count }, (_, i) => element(from + i)))

describe('a changed network', () => {
  it('shows what it shows when it is solved from nothing: elements gone, come, and others in their place', () => {
    fc.assert(
      fc.property(
        elements(0, 12),
        elements(6, 10),
        fc.subarray(['x0', 'x1', 'x2', 'x3']),
        (first, later, gone) => {
          const layer = change(layNetwork({ elements: [...chain, ...first], hertz: 50 }), gone, later)
          const names = new Set([...gone, ...later.map(({ name }) => name)])
          const now = [...chain, ...first.filter(({ name }) => !names.has(name)), ...later]
          const plain = solve({ elements: now, hertz: 50 })
          if (!plain.ok) return
          const answers = answer(layer, [], true)!
          const most = Math.max(1, ...NODES.map((name) => magnitude(plain.volt(name))))
          for (const name of NODES)
            expect(magnitude(subtract(answers.volt(name), plain.volt(name))) / most).toBeLessThan(1e-8)
        },
      ),
      { numRuns: 300 },
    )
  })
  it('a current driven where nothing leads away is answered by nothing', () => {
    const layer = layNetwork({ elements: chain, hertz: 0 })
    const apart = change(layer, ['chain 3'], [])
    const asked = [{ from: 'b', to: 'f', ampere: real(1e-3) }]
    expect(answer(layer, asked, false)).toBeDefined()
    expect(
      answer(change(apart, ['chain 2'], []), [{ ...asked[0]!, from: 'c', to: 'f' }], false),
    ).toBeUndefined()
  })
  it('a change over a change leaves both below as they were', () => {
    const layer = layNetwork({ elements: chain, hertz: 0 })
    const volt = () => answer(layer, [{ from: EARTH, to: 'g', ampere: real(1) }], false)!.volt('g').re
    const before = volt()
    change(change(layer, ['chain 0'], []), [], [{ ...chain[1]!, ohm: real(5) } as Element])
    expect(volt()).toBe(before)
  })
})

describe('a bay read from the sound one', () => {
  const rig = aBay()
  const tests = testsOf(rig)
  const reader = readerOf(rig)
  const isNear = (a: Outcome | undefined, b: Outcome): boolean =>
    a?.is === b.is && (a.is !== 'value' || b.is !== 'value' || Math.abs(a.value / b.value - 1) < 1e-8)

  it('the sound one reads as it does when each test is solved by itself', () => {
    const plain = predictAll(rig, tests)
    const read = reader.read(rig, tests)
    expect([...plain].filter(([key, outcome]) => !isNear(read.get(key), outcome))).toEqual([])
    expect(read.size).toBe(plain.size)
  })
  // One place of every fault that the catalogue has.
  const kinds = [...new Map(possibleFaults(rig).map((fault) => [fault.kind.code, fault])).values()]
  it.each(kinds.map((fault) => [fault.kind.code, fault] as const))('%s', (_, { kind, place }) => {
    for (const size of kind.isAnySize ? [0.1, 1, 20] : [1]) {
      const faulted = kind.apply(rig, place, size)
      const plain = predictAll(faulted, tests)
      const read = reader.read(faulted, tests)
      expect([...plain].filter(([key, outcome]) => !isNear(read.get(key), outcome))).toEqual([])
      expect(read.size).toBe(plain.size)
    }
  })
})
