/* As built against as meant: what is equivalent passes, and each fault of the catalogue is named. */
import { describe, expect, it } from 'vitest'
import { compareRigs } from '#core/bay/compare/compare'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { moveEnd, swapTerminals } from '#core/bay/faults/edit'
import { indexParts } from '#core/bay/model/terminals'
import type { Rig } from '#core/bay/model/rig'
import { differenceWords } from '#words/differences'
import { aBay, wireBetween, withFault } from '../support/bay'

const rig = aBay()
const codes = (built: Rig) => compareRigs(rig, built).map(({ code, seriousness }) => `${code} ${seriousness}`)

describe('equivalents are accepted', () => {
  it('the same bay', () => expect(codes(rig)).toEqual([]))
  it('conductors written down from their other end, under other names, in another order', () => {
    expect(
      codes({
        ...rig,
        wires: rig.wires
          .map((wire, i) => ({ ...wire, id: `mine${i}`, from: wire.to, to: wire.from }))
          .reverse(),
      }),
    ).toEqual([])
  })
  it('the two ends of a ring interchanged on their bar', () => {
    const ends = rig.wires.flatMap(({ run, from, to }) =>
      run === 'c1run' ? [from, to].filter((ref) => ref.startsWith('b1nA.')) : [],
    )
    expect(codes(swapTerminals(rig, ends[0]!, ends[1]!))).toEqual([])
  })
  it('another terminal within the right bar is an observation about order, not a fault', () => {
    const wire = rig.wires.find(({ id }) => id === wireBetween(rig, 'b1e', 'c2p0'))!
    const at = [wire.from, wire.to].find((ref) => ref.startsWith('b1e.'))!
    // In front of the ring's earths, which belong to way 1.
    const ringFirst = rig.wires.flatMap(({ run, from, to }) =>
      run === 'c1run' ? [from, to].filter((ref) => ref.startsWith('b1e.')) : [],
    )[0]!
    expect(codes(swapTerminals(rig, at, ringFirst))).toEqual(['outOfOrder note'])
  })
  it('points joined in another order keep their function', () => {
    // Socket 2 and 3 change places on the ring.
    const order = ['L', 'N', 'E'].reduce(
      (made, terminal) => swapTerminals(made, `c1p2.${terminal}`, `c1p3.${terminal}`),
      rig,
    )
    for (const one of codes(order)) expect(one).toMatch(/note$/)
  })
})

describe('wrong, though every point works', () => {
  /** The neutral or protective conductor of the last lamp taken from the nearest socket instead. */
  const looped = (terminal: 'N' | 'E') => {
    const wire = rig.wires.find(({ from, to }) => [from, to].includes(`c2p2.${terminal}`))!
    const at = wire.from === `c2p2.${terminal}` ? wire.to : wire.from
    return moveEnd(rig, wire.id, at, `c1p1.${terminal}`)
  }
  it('a neutral from another circuit, and from another RCD', () =>
    expect(codes(looped('N'))).toContain('neutralFromOther critical'))
  it('a protective conductor from another circuit', () =>
    expect(codes(looped('E'))).toContain('earthFromOther critical'))
})

describe('what is not there yet', () => {
  const without = (run: string) => ({ ...rig, wires: rig.wires.filter((wire) => wire.run !== run) })
  it('a circuit that nobody has begun is not finished, told once, and not critical', () =>
    expect(codes(without('c1run'))).toEqual(['unfinished fault']))
  it('one conductor too few: critical only where the points work without it', () => {
    const withoutWire = (a: string, b: string) => ({
      ...rig,
      wires: rig.wires.filter(({ id }) => id !== wireBetween(rig, a, b)),
    })
    expect(codes(withoutWire('c1p2.L', 'c1p3.L'))).toEqual(['missing fault'])
    expect(codes(withoutWire('c1p2.E', 'c1p3.E'))).toEqual(['missing critical'])
  })
  it('an upsized conductor is a note', () => {
    const id = wireBetween(rig, 'c1p2.L', 'c1p3.L')
    const wires = rig.wires.map((wire) => (wire.id === id ? { ...wire, areaMm2: 4 } : wire))
    expect(codes({ ...rig, wires })).toEqual(['thicker note'])
  })
})

describe('each difference is named', () => {
  const cases: readonly (readonly [string, string, string])[] = [
    ['neutralOnOtherBar', `${wireBetween(rig, 'b1nB', 'c2p1')} b1nA`, 'otherNeutralBar fault'],
    ['neutralOnEarthBar', wireBetween(rig, 'b1nB', 'c2p1'), 'neutralOnEarthBar critical'],
    ['lineOpen', wireBetween(rig, 'c1p2.L', 'c1p3.L'), 'missing fault'],
    ['earthOpen', wireBetween(rig, 'b1e', 'c2p0.E'), 'missing critical'],
    ['polarityAtPoint', 'c1p3', 'lineNeutralSwapped critical'],
    ['neutralAndEarth', 'c1p3', 'neutralEarthSwapped critical'],
    ['lineAndEarth', 'c1p3', 'lineEarthSwapped critical'],
    ['polarityAtBoard', 'c2', 'lineNeutralSwapped critical'],
    ['twoOnOneWay', `${wireBetween(rig, 'b1w2', 'c2p0')} b1w1`, 'otherWay fault'],
    ['ringBridged', 'c1', 'extra fault'],
    ['thinner', 'c1run', 'thinner fault'],
    ['blankMissing', 'b1 4', 'blankMissing fault'],
    ['labelMissing', 'b1 2', 'labelMissing fault'],
    ['residualMissing', 'b1rcdA', 'thingChanged critical'],
    ['ratingTooHigh', 'b1w2', 'thingChanged fault'],
  ]
  it.each(cases)('%s at %s → %s', (code, place, expected) =>
    expect(new Set(codes(withFault(rig, code, place)))).toContain(expected),
  )

  it('a bridge between line and neutral is critical', () => {
    const wire = rig.wires.find(({ run }) => run === 'c1run')!
    expect(
      codes({ ...rig, wires: [...rig.wires, { ...wire, id: 'mine', from: 'c1p1.L', to: 'c1p1.N' }] }),
    ).toEqual(['bridge critical'])
  })
  it('a conductor at a wrong terminal of the right part', () => {
    const id = wireBetween(rig, 'c2p0.L1', 'c2p1.L')
    expect(codes(moveEnd(rig, id, 'c2p1.L', 'c2p1.E'))).toEqual(['otherTerminal critical'])
  })
  it('every fault of the catalogue that moves or takes a conductor is seen, and told in a sentence with its consequence', () => {
    const parts = indexParts(rig)
    for (const { kind, place } of possibleFaults(rig)) {
      // The last terminal of a bar may be in order all the same.
      if (!['open', 'swapped', 'place'].includes(kind.group) || kind.code === 'earthOutOfOrder') continue
      const differences = compareRigs(rig, kind.apply(rig, place))
      expect(differences.length, `${kind.code} ${place.key}`).toBeGreaterThan(0)
      for (const difference of differences) {
        const { says, means } = differenceWords(difference, parts)
        expect(says).not.toMatch(/undefined|null|NaN/)
        expect(means).toMatch(/\.$/)
      }
    }
  })
})
