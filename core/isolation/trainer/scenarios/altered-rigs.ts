import { devicePart } from '../../../bay/build/parts'
import { applyFaults } from '../../../bay/faults/catalogue'
import type { Changeover, DevicePart, Rig, StandbySource, Wire } from '../../../bay/model/rig'
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

/** The circuit of way 3 with a battery behind an automatic change-over, and an isolator of its own beside the board. */
export function backedUp(rig: Rig): Rig {
  const way = rig.parts.find((part): part is DevicePart => part.kind === 'device' && part.way === 3)!
  const isOutgoing = ({ run }: Wire) => run === `${way.circuit}run`
  const starts = rig.wires.filter((wire) => isOutgoing(wire) && startOf(rig, wire) !== undefined)
  const over = changeover(way)
  const joined = starts.flatMap((wire) => {
    const [pole, from] = startOf(rig, wire)!
    return [
      { ...wire, id: `${wire.id}grid`, from, to: `${over.id}.${pole} grid`, lengthM: 0.5, run: null },
      { ...wire, from: `${over.id}.${pole} out`, to: wire.from === from ? wire.to : wire.from },
    ]
  })
  const lead = (id: string, from: string, to: string, colour: Wire['colour']): Wire => ({
    id,
    from,
    to,
    areaMm2: 4,
    lengthM: 2,
    colour,
    run: null,
  })
  return {
    ...rig,
    parts: [...rig.parts, over, batterySource, batteryIsolator(way)],
    wires: [
      ...rig.wires.filter((wire) => !starts.includes(wire)),
      ...joined,
      lead('backupL', 'backup.L', 'backupiso.L in', 'brown'),
      lead('backupN', 'backup.N', 'backupiso.N in', 'blue'),
      lead('backupLo', 'backupiso.L out', `${over.id}.L standby`, 'brown'),
      lead('backupNo', 'backupiso.N out', `${over.id}.N standby`, 'blue'),
      lead('backupE', 'backup.E', `${way.board}e.${freeEarth(rig, way)}`, 'green-and-yellow'),
    ],
  }
}

/** At the board: the pole, and the terminal that a conductor leaves; of a protective conductor none. */
function startOf(rig: Rig, { from, to }: Wire): readonly ['L' | 'N', string] | undefined {
  for (const ref of [from, to]) {
    const part = rig.parts.find(({ id }) => id === partIdOf(ref))
    if (part?.kind === 'device' && part.role === 'way') return ['L', ref]
    if (part?.kind === 'bar' && part.serves === 'N') return ['N', ref]
  }
  return undefined
}

const changeover = ({ circuit }: DevicePart): Changeover => ({
  kind: 'changeover',
  id: 'over',
  name: 'Change-over of the battery',
  board: null,
  circuit,
  poles: ['L', 'N'],
  afterS: 0.5,
})

/** 3 kW into a short circuit half as much again; common practice, no source. */
const batterySource: StandbySource = {
  kind: 'standby',
  id: 'backup',
  name: 'Battery inverter',
  board: null,
  circuit: null,
  source: 'battery',
  phases: 1,
  volt: 230,
  lineOhm: 12,
}

const batteryIsolator = ({ board }: DevicePart): DevicePart =>
  devicePart({
    id: 'backupiso',
    name: 'Battery isolator',
    board,
    role: 'isolator',
    poles: ['L', 'N'],
    ratingA: 20,
  })

function freeEarth(rig: Rig, { board }: DevicePart): number {
  const bar = rig.parts.find((part) => part.kind === 'bar' && part.serves === 'E' && part.board === board)!
  const used = new Set(rig.wires.flatMap(({ from, to }) => [from, to]))
  let terminal = 1
  while (used.has(`${bar.id}.${terminal}`)) terminal++
  return terminal
}
