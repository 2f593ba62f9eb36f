import { createDraft } from '../build/draft'
import type { DevicePart, Rig } from '../model/rig'

const device = (
  parts: Pick<DevicePart, 'id' | 'name' | 'role' | 'poles' | 'ratingA'> & Partial<DevicePart>,
): DevicePart => ({
  kind: 'device',
  board: 'b1',
  circuit: null,
  solid: [],
  hasEarth: false,
  overcurrent: null,
  residual: null,
  detectsArcs: false,
  plugFuseA: null,
  marking: 'either',
  way: null,
  ...parts,
})

/** One lamp from three places: two-way, intermediate, two-way. */
export function threeSwitches(): Rig {
  const draft = createDraft()
  draft.frame({
    id: 'b1',
    name: 'Practice board',
    phases: 1,
    ways: 2,
    blanks: [2],
    labels: { 1: 'Stair lighting' },
  })
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
  draft.part({
    id: 'met',
    name: 'Main earthing terminal',
    kind: 'bar',
    serves: 'E',
    board: null,
    circuit: null,
    terminals: 3,
  })
  draft.part(
    device({ id: 'b1main', name: 'Main switch', role: 'main-switch', poles: ['L', 'N'], ratingA: 100 }),
  )
  draft.part({
    id: 'b1n',
    name: 'Neutral bar',
    kind: 'bar',
    serves: 'N',
    board: 'b1',
    circuit: null,
    terminals: 3,
  })
  draft.part({
    id: 'b1e',
    name: 'Earth bar',
    kind: 'bar',
    serves: 'E',
    board: 'b1',
    circuit: null,
    terminals: 3,
  })
  draft.part(
    device({
      id: 'b1w1',
      name: 'Way 1',
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
  draft.part({
    id: 'c1a',
    name: 'Switch, foot',
    kind: 'switch',
    action: 'two-way',
    board: null,
    circuit: 'c1',
  })
  draft.part({
    id: 'c1b',
    name: 'Switch, landing',
    kind: 'switch',
    action: 'intermediate',
    board: null,
    circuit: 'c1',
  })
  draft.part({
    id: 'c1c',
    name: 'Switch, head',
    kind: 'switch',
    action: 'two-way',
    board: null,
    circuit: 'c1',
  })
  draft.part({
    id: 'c1p1',
    name: 'Lamp',
    kind: 'lampholder',
    holder: 'screw',
    load: { kind: 'filament', watt: 60 },
    board: null,
    circuit: 'c1',
  })
  draft.wire('supply.L', 'b1main.L in', 25, 1.5, 'brown')
  draft.wire('supply.N', 'b1main.N in', 25, 1.5, 'blue')
  draft.wire('supply.E', 'met.1', 16, 1.5, 'green-and-yellow')
  draft.wire('met.2', 'b1e.1', 16, 1.5, 'green-and-yellow')
  draft.wire('b1main.N out', 'b1n.1', 16, 0.3, 'blue')
  draft.wire('b1w1.N in', 'b1n.2', 6, 0.3, 'blue')
  draft.busbar({
    id: 'b1bus',
    name: 'Busbar',
    teeth: ['b1main.L out', 'b1w1.L in'],
    missing: [],
    cutAfter: [],
  })
  const run = draft.run({ id: 'c1run', name: 'Stair lighting', made: 'plastic', lengthM: 18, metal: null })
  const lay = (
    from: string,
    to: string,
    lengthM: number,
    colour: 'brown' | 'blue' | 'green-and-yellow' | 'black' | 'grey',
  ) => draft.wire(from, to, 1.5, lengthM, colour, { run })
  lay('b1w1.L out', 'c1a.C', 4, 'brown')
  lay('c1a.L1', 'c1b.A1', 5, 'black')
  lay('c1a.L2', 'c1b.A2', 5, 'grey')
  lay('c1b.B1', 'c1c.L1', 5, 'black')
  lay('c1b.B2', 'c1c.L2', 5, 'grey')
  lay('c1c.C', 'c1p1.L', 4, 'brown')
  lay('b1w1.N out', 'c1p1.N', 14, 'blue')
  lay('b1e.2', 'c1a.E', 4, 'green-and-yellow')
  lay('c1a.E', 'c1b.E', 5, 'green-and-yellow')
  lay('c1b.E', 'c1c.E', 5, 'green-and-yellow')
  lay('c1c.E', 'c1p1.E', 4, 'green-and-yellow')
  return draft.rig('One lamp, three switches')
}

/** A battery board of 48 V with a two-pole breaker whose poles are marked +. */
export function batteryBoard(): Rig {
  const draft = createDraft()
  draft.frame({
    id: 'b1',
    name: 'Battery board',
    phases: 1,
    ways: 2,
    blanks: [2],
    labels: { 1: 'Emergency lighting' },
  })
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
    device({
      id: 'b1w1',
      name: 'Way 1',
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
  draft.wire('supply.+', 'b1w1.+ in', 4, 1, 'brown')
  // In each pole the current enters at the + mark: in the negative pole it comes from the load.
  draft.wire('b1w1.− out', 'supply.−', 4, 1, 'grey')
  draft.wire('b1w1.+ out', 'c1p1.+', 2.5, 6, 'brown', { run })
  draft.wire('c1p1.−', 'b1w1.− in', 2.5, 6, 'grey', { run })
  return draft.rig('Battery board')
}
