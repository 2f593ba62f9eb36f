import { createDraft, type Draft } from '../build/draft'
import { barPart, devicePart } from '../build/parts'
import type { Colour, Rig } from '../model/rig'

const BOARD = 'b1'
const EARTH = 'green-and-yellow'

/** One lamp from three places: two-way, intermediate, two-way. */
export function threeSwitches(): Rig {
  const draft = createDraft()
  buildStairBoard(draft)
  buildStairSwitches(draft)
  wireStairBoard(draft)
  wireStairSwitches(draft)
  return draft.rig('One lamp, three switches')
}

function buildStairBoard(draft: Draft): void {
  const labels = { 1: 'Stair lighting' }
  draft.frame({ id: BOARD, name: 'Practice board', phases: 1, ways: 2, blanks: [2], labels })
  draft.part({
    id: 'supply',
    name: 'Supply',
    kind: 'supply',
    board: null,
    circuit: null,
    arrangement: 'TN-C-S',
    phases: 1,
    volt: 230,
    lineOhm: 0.07,
    neutralOhm: 0.07,
    earthOhm: 0.14,
  })
  draft.part(barPart({ id: 'met', name: 'Main earthing terminal', board: null, serves: 'E', terminals: 3 }))
  draft.part(
    devicePart({
      id: 'b1main',
      name: 'Main switch',
      board: BOARD,
      role: 'main-switch',
      poles: ['L', 'N'],
      ratingA: 100,
    }),
  )
  draft.part(barPart({ id: 'b1n', name: 'Neutral bar', board: BOARD, serves: 'N', terminals: 3 }))
  draft.part(barPart({ id: 'b1e', name: 'Earth bar', board: BOARD, serves: 'E', terminals: 3 }))
  draft.part(
    devicePart({
      id: 'b1w1',
      name: 'Way 1',
      board: BOARD,
      role: 'way',
      circuit: 'c1',
      poles: ['L', 'N'],
      solid: ['N'],
      ratingA: 6,
      way: 1,
      overcurrent: { family: 'rcbo', curve: 'B' },
      residual: { ratedA: 0.03, type: 'A', isDelayed: false },
    }),
  )
}

function buildStairSwitches(draft: Draft): void {
  const atStair = { board: null, circuit: 'c1' } as const
  draft.part({ id: 'c1a', name: 'Switch, foot', kind: 'switch', action: 'two-way', ...atStair })
  draft.part({ id: 'c1b', name: 'Switch, landing', kind: 'switch', action: 'intermediate', ...atStair })
  draft.part({ id: 'c1c', name: 'Switch, head', kind: 'switch', action: 'two-way', ...atStair })
  draft.part({
    id: 'c1p1',
    name: 'Lamp',
    kind: 'lampholder',
    holder: 'screw',
    load: { kind: 'filament', watt: 60 },
    ...atStair,
  })
}

function wireStairBoard(draft: Draft): void {
  const tail = { areaMm2: 25, lengthM: 1.5 }
  const earth = { areaMm2: 16, lengthM: 1.5, colour: EARTH } as const
  draft.wire('supply.L', 'b1main.L in', { ...tail, colour: 'brown' })
  draft.wire('supply.N', 'b1main.N in', { ...tail, colour: 'blue' })
  draft.wire('supply.E', 'met.1', earth)
  draft.wire('met.2', 'b1e.1', earth)
  draft.wire('b1main.N out', 'b1n.1', { areaMm2: 16, lengthM: 0.3, colour: 'blue' })
  draft.wire('b1w1.N in', 'b1n.2', { areaMm2: 6, lengthM: 0.3, colour: 'blue' })
  draft.busbar({ id: 'b1bus', name: 'Busbar', teeth: ['b1main.L out', 'b1w1.L in'] })
}

/** Conductors of the stair: from, to, length in m, colour. */
const STAIR: readonly (readonly [string, string, number, Colour])[] = [
  ['b1w1.L out', 'c1a.C', 4, 'brown'],
  ['c1a.L1', 'c1b.A1', 5, 'black'],
  ['c1a.L2', 'c1b.A2', 5, 'grey'],
  ['c1b.B1', 'c1c.L1', 5, 'black'],
  ['c1b.B2', 'c1c.L2', 5, 'grey'],
  ['c1c.C', 'c1p1.L', 4, 'brown'],
  ['b1w1.N out', 'c1p1.N', 14, 'blue'],
  ['b1e.2', 'c1a.E', 4, EARTH],
  ['c1a.E', 'c1b.E', 5, EARTH],
  ['c1b.E', 'c1c.E', 5, EARTH],
  ['c1c.E', 'c1p1.E', 4, EARTH],
]

function wireStairSwitches(draft: Draft): void {
  const run = draft.run({ id: 'c1run', name: 'Stair lighting', made: 'plastic', lengthM: 18, metal: null })
  for (const [from, to, lengthM, colour] of STAIR)
    draft.wire(from, to, { areaMm2: 1.5, lengthM, colour, run })
}

/** A battery board of 48 V with a two-pole breaker whose poles are marked +. */
export function batteryBoard(): Rig {
  const draft = createDraft()
  const labels = { 1: 'Emergency lighting' }
  draft.frame({ id: BOARD, name: 'Battery board', phases: 1, ways: 2, blanks: [2], labels })
  draft.part({
    id: 'supply',
    name: 'Traction battery',
    kind: 'supply',
    board: null,
    circuit: null,
    arrangement: 'battery',
    phases: 1,
    volt: 48,
    lineOhm: 0.02,
    neutralOhm: 0.02,
    earthOhm: 1,
  })
  draft.part(
    devicePart({
      id: 'b1w1',
      name: 'Way 1',
      board: BOARD,
      role: 'way',
      circuit: 'c1',
      poles: ['+', '−'],
      ratingA: 10,
      way: 1,
      marking: 'dc',
      overcurrent: { family: 'breaker', curve: 'C' },
    }),
  )
  draft.part({
    id: 'c1p1',
    name: 'Emergency lamps',
    kind: 'appliance',
    board: null,
    circuit: 'c1',
    poles: ['+', '−'],
    load: { kind: 'resistive', watt: 120 },
  })
  const run = draft.run({ id: 'c1run', name: 'Emergency lighting', made: 'cable', lengthM: 6, metal: null })
  draft.wire('supply.+', 'b1w1.+ in', { areaMm2: 4, lengthM: 1, colour: 'brown' })
  // In each pole the current enters at the + mark: in the negative pole it comes from the load.
  draft.wire('b1w1.− out', 'supply.−', { areaMm2: 4, lengthM: 1, colour: 'grey' })
  draft.wire('b1w1.+ out', 'c1p1.+', { areaMm2: 2.5, lengthM: 6, colour: 'brown', run })
  draft.wire('c1p1.−', 'b1w1.− in', { areaMm2: 2.5, lengthM: 6, colour: 'grey', run })
  return draft.rig('Battery board')
}
