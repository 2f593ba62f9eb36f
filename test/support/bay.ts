import { referenceDesign } from '#core/design/reference'
import type { Circuit, Installation } from '#core/installation/installation'
import { buildRig } from '#core/bay/build/build'
import { applyFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { RULES, aBoard, aCircuit, anInstallation } from './task'

/** Flat twin and earth, clipped by itself: factors of 1. */
const CLIPPED = {
  cable: { kind: 'flat-twin-earth', method: 'C' },
  ambientC: 30,
  grouping: { circuits: 1, arrangement: 'bunched' },
} as const
const behindShared = { device: { family: 'breaker', curve: 'B' }, residualA: 0.03 } as const

/** A ring of six sockets. */
export const aRing = (parts: Partial<Circuit> = {}): Circuit =>
  aCircuit({
    id: 'c1',
    name: 'Sockets',
    way: 1,
    topology: 'ring',
    load: { basis: 'current', currentA: 26, powerFactor: 1 },
    points: 6,
    isSpread: true,
    lengthM: 42,
    ...CLIPPED,
    ...behindShared,
    ...parts,
  })

/** Two filament lamps behind one switch. */
export const someLights = (parts: Partial<Circuit> = {}): Circuit =>
  aCircuit({
    id: 'c2',
    name: 'Lighting',
    way: 2,
    use: 'lighting',
    load: { basis: 'lamps', count: 2, eachW: 100, isDischarge: false },
    points: 2,
    isSpread: true,
    lengthM: 18,
    ...CLIPPED,
    ...behindShared,
    ...parts,
  })

/** A battery of 3 kW behind an RCBO on way 3: a second source. */
export const aBattery = (parts: Partial<Circuit> = {}): Circuit =>
  aCircuit({
    id: 'c3',
    name: 'Battery',
    way: 3,
    use: 'fixed',
    load: { basis: 'power', powerW: 3000, powerFactor: 1 },
    points: 1,
    isSpread: false,
    lengthM: 8,
    ...CLIPPED,
    device: { family: 'rcbo', curve: 'B' },
    residualA: 0.03,
    infeed: 'battery',
    ...parts,
  })

export const splitBoard = (parts: Partial<Installation> = {}): Installation =>
  anInstallation({ boards: [aBoard({ ways: 6 })], circuits: [aRing(), someLights()], ...parts })

export function rigOf(installation: Installation, name = 'Bay'): Rig {
  const rig = buildRig(installation, referenceDesign(installation, RULES), name)
  if (!rig) throw new Error('the bay of this test has no design')
  return rig
}

/** Two circuits behind two RCDs, wired as they should be. */
export const aBay = (parts: Partial<Installation> = {}): Rig => rigOf(splitBoard(parts))

/** With one fault of the catalogue, at the first place whose key contains the given text. */
export function withFault(rig: Rig, code: string, place: string): Rig {
  const faulted = applyFaults(rig, [{ code, place }])
  if (!faulted.ok) throw new Error(`${code} has no place ${place}`)
  return faulted.rig
}

/** The conductor between two terminals, bars by their id. */
export function wireBetween(rig: Rig, a: string, b: string): string {
  const is = (ref: string, text: string) => ref === text || ref.startsWith(`${text}.`)
  const wire = rig.wires.find(({ from, to }) => (is(from, a) && is(to, b)) || (is(from, b) && is(to, a)))
  if (!wire) throw new Error(`no conductor between ${a} and ${b}`)
  return wire.id
}
