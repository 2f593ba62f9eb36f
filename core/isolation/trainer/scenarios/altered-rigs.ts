import { applyFaults } from '../../../bay/faults/catalogue'
import type { DevicePart, Rig } from '../../../bay/model/rig'
import { partIdOf } from '../../../bay/model/terminals'

/** The three-pole breaker of way 1 taken out, three singles in its place. */
export function threeSingles(rig: Rig): Rig {
  const triple = rig.parts.find((part): part is DevicePart => part.kind === 'device' && part.role === 'way')!
  const single = (pole: DevicePart['poles'][number], i: number): DevicePart => ({
    ...triple,
    id: `${triple.id}s${i + 1}`,
    name: `Way 1 ${pole}`,
    poles: [pole],
  })
  const moved = (ref: string) =>
    partIdOf(ref) !== triple.id
      ? ref
      : `${triple.id}s${triple.poles.findIndex((pole) => ref.includes(`.${pole} `)) + 1}${ref.slice(triple.id.length)}`
  return {
    ...rig,
    parts: rig.parts.flatMap((part) => (part === triple ? triple.poles.map(single) : [part])),
    wires: rig.wires.map((wire) => ({ ...wire, from: moved(wire.from), to: moved(wire.to) })),
    busbars: rig.busbars.map((busbar) => ({ ...busbar, teeth: busbar.teeth.map(moved) })),
  }
}

/** The box of the first socket circuit, with the line of another circuit passing through it. */
export function twoInOneBox(rig: Rig): Rig {
  const box = { id: 'box', name: 'Joint box', kind: 'junction', board: null, circuit: 'c1' } as const
  const wire = (id: string, from: string, to: string, colour: 'brown' | 'blue' | 'green-and-yellow') => ({
    id,
    from,
    to,
    areaMm2: 2.5,
    lengthM: 3,
    colour,
    run: null,
  })
  return {
    ...rig,
    parts: [...rig.parts, box],
    wires: [
      ...rig.wires,
      wire('boxL', 'c1p1.L', 'box.L', 'brown'),
      wire('boxN', 'c1p1.N', 'box.N', 'blue'),
      wire('boxE', 'c1p1.E', 'box.E', 'green-and-yellow'),
      wire('boxS', 'c3p1.L', 'box.S', 'brown'),
    ],
  }
}

export function borrowed(rig: Rig): Rig {
  const faulted = applyFaults(rig, [{ code: 'borrowedNeutral', place: 'c2p1 c1p1' }])
  if (!faulted.ok) throw new Error('the borrowed neutral has no place')
  return faulted.rig
}
