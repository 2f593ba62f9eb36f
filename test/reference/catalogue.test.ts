/* Faults of rings, conductors and RCDs planted in a bay that is measured with scatter: which cause is named.
   What each does to the readings is common practice and Guidance Note 3, from memory:
   a bridge lowers steps 2 and 3 between its ends; ends of two rings interchanged leave no conductor coming home;
   a thinner cpc scales R2 and leaves the line alone; a general RCD opens within 300 ms at IΔn and within 40 ms at
   five times, and does not open at half (BS EN 61008-1, from memory). */
import { describe, expect, it } from 'vitest'
import { diagnose } from '#core/testing/diagnosis/diagnose'
import { predict, type Outcomes } from '#core/testing/expected/predict'
import type { Outcome } from '#core/testing/kinds/kind'
import { readTestsOf } from '#core/testing/plan/schedule'
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { aBay, aRing, someLights, withFault } from '../support/bay'
import { aBoard } from '../support/task'
import { measure } from '../support/sheet'

const TEN = aBay({ circuits: [aRing({ points: 10, lengthM: 60 }), someLights()] })
const SIX = aBay()
const TWO_RINGS = aBay({
  boards: [aBoard({ ways: 6 })],
  circuits: [aRing({ points: 6 }), aRing({ id: 'c2', name: 'Store', way: 2, points: 6, lengthM: 50 })],
})
const named = (bay: Rig, observed: Outcomes) =>
  diagnose(bay, observed, { pairs: false }).candidates.map(
    ({ hypothesis }) => hypothesis.slip?.kind ?? hypothesis.faults.map(({ code }) => code).join('+'),
  )
const placesOf = (bay: Rig, code: string) =>
  possibleFaults(bay)
    .filter(({ kind }) => kind.code === code)
    .map(({ place }) => place.key)

describe('rings', () => {
  /** Beside the board, across the middle, and over most of it. */
  const places = ['c1', 'c1 c1p3 c1p8', 'c1 c1p1 c1p6']
  it.each(places)('a bridge by all conductors at %s is named first', (place) => {
    expect(named(TEN, measure(withFault(TEN, 'ringBridgedByAll', place), TEN, 3))[0]).toBe('ringBridgedByAll')
  })
  it('ends of two rings interchanged at the board', () => {
    const crossed = withFault(TWO_RINGS, 'ringsCrossed', 'c1 c2')
    expect(named(TWO_RINGS, measure(crossed, TWO_RINGS, 4))[0]).toBe('ringsCrossed')
  })
  it('fed at one end: no conductor comes home', () => {
    expect(named(TEN, measure(withFault(TEN, 'ringFedAtOneEnd', 'c1'), TEN, 5))[0]).toBe('ringFedAtOneEnd')
  })
})

describe('conductors', () => {
  it('cpc alone thinner: R2 scales, the line does not', () => {
    const thin = withFault(SIX, 'thinnerCpc', 'c1run')
    expect(named(SIX, measure(thin, SIX, 6)).slice(0, 2)).toContain('thinnerCpc')
  })
  it('line alone thinner, of a ring of ten, reads much as a joint in the line: both are said', () => {
    const thin = withFault(TEN, 'thinnerLine', 'c1run')
    expect(named(TEN, measure(thin, TEN, 7))).toEqual(expect.arrayContaining(['thinnerLine', 'loose']))
  })
  it('a conductor of another size has no size of its own to be told', () => {
    const thin = withFault(SIX, 'thinnerCpc', 'c1run')
    const { candidates } = diagnose(SIX, measure(thin, SIX, 6), { pairs: false })
    for (const { hypothesis } of candidates)
      for (const fault of hypothesis.faults)
        if (fault.code.startsWith('thinner')) expect(fault.size).toBeUndefined()
  })
  it('a run shorter than drawn', () => {
    expect(named(SIX, measure(withFault(SIX, 'shorter', 'c1run'), SIX, 8))[0]).toBe('shorter')
  })
  it('a high-resistance joint in the neutral alone shows in rn and step 2, and not in Zs', () => {
    const neutral = placesOf(SIX, 'loose').filter((key) =>
      SIX.wires.some(
        (wire) => key.startsWith(`${wire.id} `) && wire.colour === 'blue' && wire.run === 'c1run',
      ),
    )[2]!
    const [first] = diagnose(SIX, measure(withFault(SIX, 'loose', neutral), SIX, 9), {
      pairs: false,
    }).candidates
    expect(first!.hypothesis.faults[0]).toMatchObject({ code: 'loose' })
    expect(SIX.wires.find(({ id }) => first!.hypothesis.faults[0]!.place.startsWith(`${id} `))!.colour).toBe(
      'blue',
    )
  })
  it('an earth path beside the cpc of one circuit lowers its loop alone', () => {
    const beside = withFault(SIX, 'parallelEarth', 'c2p2')
    expect(named(SIX, measure(beside, SIX, 10)).slice(0, 2)).toContain('parallelEarth')
  })
})

describe('RCDs', () => {
  const rcdOf = (bay: Rig) => bay.parts.find((part) => part.kind === 'device' && part.residual)!.id
  const sheetWithMultiples = (bay: Rig) =>
    new Map([
      ...measure(bay, SIX, 11),
      ...readTestsOf(SIX).flatMap((test) => {
        const outcome = test.kind.startsWith('rcd') ? predict(bay, test) : undefined
        return outcome ? [[test.key, outcome] as const] : []
      }),
    ])
  it.each([
    ['residualSlow', 'slow'],
    ['residualEarly', 'trips at half'],
    ['residualStuck', 'does not operate'],
    ['residualDelayed', 'delayed where general was meant'],
  ])('%s: %s', (code) => {
    const worn = withFault(SIX, code, rcdOf(SIX))
    expect(named(SIX, sheetWithMultiples(worn))[0]).toBe(code)
  })
  it('a slow RCD is named first from its time at IΔn alone', () => {
    expect(named(SIX, measure(withFault(SIX, 'residualSlow', rcdOf(SIX)), SIX, 12))[0]).toBe('residualSlow')
  })
  it('general where time-delayed was meant', () => {
    const meant = withFault(SIX, 'residualDelayed', rcdOf(SIX))
    expect(named(meant, measure(SIX, meant, 13))[0]).toBe('residualGeneral')
    expect(named(meant, measure(meant, meant, 14))[0]).toBe('')
  })
})

describe('slips on paper', () => {
  const sound = measure(TWO_RINGS, TWO_RINGS, 21)
  const rewritten = (changes: Readonly<Record<string, Outcome>>) =>
    named(TWO_RINGS, new Map([...sound, ...Object.entries(changes)]))
  const at = (key: string) => sound.get(key)!
  const ohm = (key: string) => (at(key) as { value: number }).value

  it('steps 2 and 3 with each leg joined with itself', () => {
    const joined = readTestsOf(TWO_RINGS).flatMap((test) => {
      const isStep = test.circuit === 'c1' && ['ringLN', 'ringLE'].includes(test.kind)
      const outcome = isStep ? predict(TWO_RINGS, test, { ownLegs: true }) : undefined
      return outcome ? [[test.key, outcome] as const] : []
    })
    expect(rewritten(Object.fromEntries(joined))[0]).toBe('legsJoined')
  })
  // Guidance Note 3, from memory.
  it('legs joined with themselves read x (1 − x) of both ends; a quarter in the middle', () => {
    const test = readTestsOf(TEN).find(({ key }) => key === 'c1.ringLN@c1p5')!
    const ends = predict(
      TEN,
      readTestsOf(TEN).find(({ key }) => key === 'c1.r1')!,
    )
    const quarter = ((ends as { value: number }).value * 2) / 4
    expect((predict(TEN, test, { ownLegs: true }) as { value: number }).value).toBeCloseTo(quarter, 1)
    const first = readTestsOf(TEN).find(({ key }) => key === 'c1.ringLN@c1p1')!
    expect((predict(TEN, first, { ownLegs: true }) as { value: number }).value).toBeLessThan(quarter * 0.6)
  })
  it('a whole row copied from the other ring', () => {
    const copied = ['r1', 'rn', 'r2'].map((kind) => [`c1.${kind}`, at(`c2.${kind}`)] as const)
    expect(rewritten(Object.fromEntries(copied)).slice(0, 2)).toContain('copied')
  })
  it('r1 and r2 in each other’s boxes', () => {
    expect(rewritten({ 'c1.r1': at('c1.r2'), 'c1.r2': at('c1.r1') }).slice(0, 2)).toContain('otherBox')
  })
  it('Ze wrong on paper while every Zs is right', () => {
    expect(rewritten({ ze: { is: 'value', value: ohm('ze') * 1.8 } }).slice(0, 2)).toContain('supplyReading')
  })
  it('0.2 MΩ where 200 MΩ was read', () => {
    expect(rewritten({ 'c1.irLE': { is: 'value', value: 0.2e6 } })).toContain('kilohms')
  })
})
