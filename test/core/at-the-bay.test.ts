/* What an instrument says when it is put to a bay, and what is live: whole sentences for people, computed from the bay as it is.
   The lowest lamp of a two-pole indicator, 12 V: BS EN 61243-3, from memory. What a plug-in tester can and cannot tell: common practice, no source. */
import fc from 'fast-check'
import { displaySentences, displayWords } from '#words/instruments'
import { describe, expect, it } from 'vitest'
import { isBattery, liveTerminals } from '#core/bay/behaviour/live'
import { solveBay } from '#core/bay/behaviour/network-of'
import { deadState, workingState, type BayState } from '#core/bay/behaviour/state'
import {
  takeReading,
  INSTRUMENT_CODES,
  type InstrumentCode,
  type ReadingRequest,
} from '#core/bay/instruments/take'
import { prepare, type Setup } from '#core/bay/instruments/setup'
import { magnitude } from '#core/bay/network/complex'
import { practiceBay, PRACTICE_BAYS } from '#core/bay/practice/bays'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, nodeOf } from '#core/bay/model/terminals'
import { withFault, wireBetween } from '../support/bay'

const bay = practiceBay('split')!.rig()
const idle = (rig: Rig): BayState => ({
  ...workingState(rig),
  inUse: {},
  thrown: Object.fromEntries(Object.keys(workingState(rig).thrown).map((id) => [id, true])),
})
const take = (
  rig: Rig,
  state: BayState,
  instrument: InstrumentCode,
  at: readonly string[],
  { setup, ...more }: Partial<ReadingRequest> & { readonly setup?: Setup } = {},
) => {
  const request = { instrument, at, volt: 500, ratedA: 0.03, multiple: 1, ...more } as const
  const { display, trips } = takeReading(prepare(rig, state, setup), request)
  return { shown: displayWords(display), sentences: displaySentences(display), trips }
}

describe('an instrument at a sound bay', () => {
  const live = idle(bay)
  it('energised: voltage, indicator, plug-in tester, loop, RCD', () => {
    expect(take(bay, live, 'voltage', ['c1p1.L', 'c1p1.N']).shown).toMatch(/^2(29|30)(\.\d)? V$/)
    expect(take(bay, live, 'indicator', ['c1p1.L', 'c1p1.E']).shown).toMatch(/^(12|24|50|120|230|400|690) V$/)
    expect(take(bay, live, 'socket', ['c1p1']).shown).toBe('correct')
    expect(take(bay, live, 'loop', ['c1p1.L', 'c1p1.E']).shown).toMatch(/^0\.\d+ Ω$/)
    expect(take(bay, live, 'rcd', ['c1p1.L', 'c1p1.E']).trips.length).toBe(1)
    expect(take(bay, live, 'rcd', ['c1p1.L', 'c1p1.E'], { multiple: 0.5 }).trips).toEqual([])
  })
  it('energised: a dead test is refused with the voltage that is there; a high-current test opens what protects', () => {
    const refused = take(bay, live, 'continuity', ['c1p1.L', 'c1p1.E'])
    expect(refused.shown).toBe('– – –')
    expect(refused.sentences.join()).toMatch(/live \(2\d\d(\.\d+)? V\).*Isolate, lock off and prove dead/)
    expect(take(bay, live, 'loop-high', ['c1p1.L', 'c1p1.E']).sentences.join()).toMatch(/opens RCD A/)
  })
  it('dead: a live test says what it needs, insulation runs off the range', () => {
    const dead = deadState(bay)
    expect(take(bay, dead, 'loop', ['c1p1.L', 'c1p1.E']).sentences.join()).toContain('permission by name')
    expect(take(bay, dead, 'fault-current', ['supply.L', 'supply.N']).shown).toBe('– – –')
    expect(take(bay, dead, 'insulation', ['c1p1.L', 'c1p1.E']).shown).toBe('>999 MΩ')
    expect(take(bay, dead, 'socket', ['c1p1']).shown).toBe('no supply')
  })
  it('every instrument answers in words, live or dead, whatever it is put to', () => {
    const refs = ['supply.L', 'supply.N', 'c1p1.L', 'c1p1.N', 'c1p2.E', 'c2p1.L', 'b1e.1']
    const wires = bay.wires.map(({ id }) => id)
    fc.assert(
      fc.property(
        fc.constantFrom(...INSTRUMENT_CODES),
        fc.tuple(fc.constantFrom(...refs), fc.constantFrom(...refs), fc.constantFrom(...refs)),
        fc.boolean(),
        fc.constantFrom(...wires),
        (instrument, terminals, isLive, wire) => {
          const places = new Map([
            ['socket', ['c1p1']],
            ['clamp', [wire]],
          ])
          const at = places.get(instrument) ?? terminals
          const { shown, sentences } = take(bay, isLive ? live : deadState(bay), instrument, at)
          expect(shown.length).toBeGreaterThan(0)
          expect([shown, ...sentences].join(' ')).not.toMatch(/NaN|undefined|Infinity|null/)
        },
      ),
      { numRuns: 150 },
    )
  })
})

describe('a plug-in tester', () => {
  const at = (rig: Rig) => take(rig, idle(rig), 'socket', ['c1p2']).shown
  it('tells interchanged and missing conductors', () => {
    expect(at(withFault(bay, 'polarityAtPoint', 'c1p2'))).toBe('line and neutral reversed')
    expect(at(withFault(bay, 'earthOpen', wireBetween(bay, 'c1p1.E', 'c1p2.E')))).toBe('no earth')
    expect(at(withFault(bay, 'neutralOpen', wireBetween(bay, 'c1p1.N', 'c1p2.N')))).toBe('no neutral')
    expect(at(withFault(bay, 'lineOpen', wireBetween(bay, 'c1p1.L', 'c1p2.L')))).toBe('no supply')
  })
  it('does not see neutral and earth interchanged: that takes a test at the board', () => {
    const interchanged = withFault(bay, 'neutralAndEarth', 'c1p2')
    expect(at(interchanged)).toBe('correct')
  })
})

describe('what is live', () => {
  it.each(PRACTICE_BAYS.map(({ code, rig }) => [code, rig()] as const))(
    '%s: nothing when dead; what is told is what the network has above 12 V',
    (_, rig) => {
      expect(liveTerminals(rig, deadState(rig))).toEqual([])
      const state = workingState(rig)
      const solved = solveBay(rig, state, { hertz: isBattery(rig) ? 0 : 50 })
      if (!solved.ok) throw new Error(solved.name)
      const parts = indexParts(rig)
      const live = liveTerminals(rig, state)
      expect(live.length).toBeGreaterThan(0)
      for (const ref of live) expect(magnitude(solved.volt(nodeOf(parts, ref))), ref).toBeGreaterThan(12)
    },
  )
  it('with the main switch off everything behind it is dead, and its own supply side is not', () => {
    const working = workingState(bay)
    const main = bay.parts.find((part) => part.kind === 'device' && part.role === 'main-switch')!.id
    const live = liveTerminals(bay, { ...working, closed: { ...working.closed, [main]: false } })
    expect(live).toContain(`${main}.L in`)
    expect(live.filter((ref) => /^(c\d|b1w|b1rcd)/.test(ref))).toEqual([])
  })
  it('a borrowed neutral leaves a dead circuit’s neutral live at the lamp that is lit over it', () => {
    const plain = practiceBay('plain')!.rig()
    const borrowed = withFault(plain, 'borrowedNeutral', 'c2p1 c1p1')
    const working = idle(borrowed)
    const way = borrowed.parts.find(
      (part) => part.kind === 'device' && part.role === 'way' && part.circuit === 'c1',
    )!.id
    const state = {
      ...working,
      inUse: { c1p1: true, c2p1: true },
      closed: { ...working.closed, [way]: false },
    }
    const before = liveTerminals(borrowed, state)
    expect(before.some((ref) => ref.startsWith('c1p1.'))).toBe(false)
    // Its neutral taken out of the bar, as somebody would who works on the first circuit: now the other
    // lamp’s current has no way home.
    const home = borrowed.wires.find(
      ({ from, to }) => [from, to].some((ref) => ref.startsWith('b1n')) && [from, to].includes('c1p1.N'),
    )!
    const open = { ...borrowed, wires: borrowed.wires.filter(({ id }) => id !== home.id) }
    expect(liveTerminals(open, state)).toContain('c1p1.N')
  })
})
