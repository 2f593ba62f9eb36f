import { createDraft, type Draft } from '../build/draft'
import { barPart, devicePart } from '../build/parts'
import type { Rig } from '../model/rig'

const BOARD = 'b1'
const EARTH = 'green-and-yellow'

/**
 * A small board on the bench: fed from a socket-outlet through a plug top with its fuse and a meter, its breakers so
 * small that an overload can be watched with ordinary loads.
 */
export function benchBoard(): Rig {
  const draft = createDraft()
  plugTop(draft)
  enclosure(draft)
  loads(draft)
  wireBoard(draft)
  wireLoads(draft)
  return draft.rig('Bench board')
}

function plugTop(draft: Draft): void {
  const intake = { board: null, circuit: null } as const
  // Behind a socket-outlet of the workshop: more resistance than an intake.
  draft.part({
    ...intake,
    id: 'supply',
    name: 'Bench socket',
    kind: 'supply',
    arrangement: 'TN-S',
    phases: 1,
    volt: 230,
    lineOhm: 0.3,
    neutralOhm: 0.3,
    earthOhm: 0.5,
  })
  draft.part(
    devicePart({
      ...intake,
      id: 'plug',
      name: 'Plug top',
      role: 'connection-unit',
      poles: ['L', 'N'],
      ratingA: 13,
      plugFuseA: 3,
    }),
  )
  draft.part({ ...intake, id: 'meter', name: 'Meter', kind: 'meter', phases: 1 })
  const flex = { areaMm2: 1.5, lengthM: 1.5 }
  for (const [pole, colour] of [
    ['L', 'brown'],
    ['N', 'blue'],
  ] as const) {
    draft.wire(`supply.${pole}`, `plug.${pole} in`, { ...flex, lengthM: 0.1, colour })
    draft.wire(`plug.${pole} out`, `meter.${pole} in`, { ...flex, colour })
    draft.wire(`meter.${pole} out`, `b1main.${pole} in`, { ...flex, colour })
  }
  draft.wire('supply.E', 'b1e.1', { ...flex, lengthM: 3, colour: EARTH })
}

function enclosure(draft: Draft): void {
  const labels = { 1: 'Lamp', 2: 'Bench load' }
  draft.frame({ id: BOARD, name: 'Bench enclosure', phases: 1, ways: 4, blanks: [3, 4], labels })
  const inBoard = { board: BOARD } as const
  const poles = ['L', 'N'] as const
  draft.part(
    devicePart({ ...inBoard, id: 'b1main', name: 'Main switch', role: 'main-switch', poles, ratingA: 63 }),
  )
  draft.part(
    devicePart({
      ...inBoard,
      id: 'b1rcd',
      name: 'RCD',
      role: 'residual',
      poles,
      ratingA: 25,
      residual: { ratedA: 0.03, type: 'A', isDelayed: false },
    }),
  )
  for (const [way, ratingA] of [
    [1, 4],
    [2, 2],
  ] as const)
    draft.part(
      devicePart({
        ...inBoard,
        id: `b1w${way}`,
        name: `Way ${way}`,
        role: 'way',
        circuit: `c${way}`,
        poles: ['L'],
        ratingA,
        way,
        overcurrent: { family: 'breaker', curve: 'B' },
      }),
    )
  draft.part(barPart({ ...inBoard, id: 'b1n', name: 'Neutral bar', serves: 'N', terminals: 5 }))
  draft.part(barPart({ ...inBoard, id: 'b1e', name: 'Earth bar', serves: 'E', terminals: 5 }))
  draft.busbar({ id: 'b1bus', name: 'Busbar', teeth: ['b1rcd.L out', 'b1w1.L in', 'b1w2.L in'] })
}

function loads(draft: Draft): void {
  draft.part({ id: 'c1p0', name: 'Switch', kind: 'switch', action: 'one-way', board: null, circuit: 'c1' })
  draft.part({
    id: 'c1p1',
    name: 'Lamp',
    kind: 'lampholder',
    holder: 'screw',
    load: { kind: 'filament', watt: 60 },
    board: null,
    circuit: 'c1',
  })
  draft.part({
    id: 'c2p1',
    name: 'Socket',
    kind: 'socket',
    gangs: 1,
    load: { kind: 'resistive', watt: 400 },
    board: null,
    circuit: 'c2',
  })
}

function wireBoard(draft: Draft): void {
  const inside = { areaMm2: 6, lengthM: 0.3 }
  draft.wire('b1main.L out', 'b1rcd.L in', { ...inside, colour: 'brown' })
  draft.wire('b1main.N out', 'b1rcd.N in', { ...inside, colour: 'blue' })
  draft.wire('b1rcd.N out', 'b1n.1', { ...inside, colour: 'blue' })
}

function wireLoads(draft: Draft): void {
  const run = (circuit: string, name: string) =>
    draft.run({ id: `${circuit}run`, name, made: 'cable', lengthM: 1.5, metal: null })
  const wire = { areaMm2: 1.5, lengthM: 1.5 }
  const lamp = { ...wire, run: run('c1', 'Lamp') }
  draft.wire('b1w1.L out', 'c1p0.C', { ...lamp, colour: 'brown' })
  draft.wire('c1p0.L1', 'c1p1.L', { ...lamp, colour: 'brown' })
  draft.wire('b1n.2', 'c1p1.N', { ...lamp, colour: 'blue' })
  draft.wire('b1e.2', 'c1p0.E', { ...lamp, colour: EARTH })
  draft.wire('c1p0.E', 'c1p1.E', { ...lamp, colour: EARTH })
  const load = { ...wire, run: run('c2', 'Bench load') }
  draft.wire('b1w2.L out', 'c2p1.L', { ...load, colour: 'brown' })
  draft.wire('b1n.3', 'c2p1.N', { ...load, colour: 'blue' })
  draft.wire('b1e.3', 'c2p1.E', { ...load, colour: EARTH })
}
