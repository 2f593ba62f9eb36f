import { LINES } from '../../installation/installation'
import type { ExerciseForm } from './fields'
import { LIST, idsIn, type BoardField, type CircuitField } from './fields'
import { prefixed } from './to-form'

/** What a new circuit begins with: solvable, and without anything that has to be deleted first. */
export const NEW_CIRCUIT: Readonly<Record<CircuitField, string>> = {
  name: 'Sockets',
  board: 'b1',
  way: '1',
  line: 'L1',
  use: 'sockets',
  phases: '1',
  topology: 'radial',
  basis: 'power',
  amount: '4000 W',
  powerFactor: '1',
  efficiency: '0.85',
  startMultiple: '6',
  discharge: 'no',
  hasSocket: 'no',
  points: '4',
  spread: 'no',
  length: '25',
  spur: '0',
  spurs: '0',
  fusedSpurs: '0',
  cable: 'flat-twin-earth',
  method: 'C',
  betweenBoxes: '5',
  bends: '1',
  ambient: '30',
  grouped: '1',
  bunching: 'bunched',
  insulation: '0',
  location: 'general',
  concealed: 'no',
  ip: 'none',
  area: '',
  dc: 'none',
  family: 'rcbo',
  curve: 'B',
  marking: 'either',
  infeed: 'none',
  residual: '30',
  maker: '',
  existingRating: '',
  existingArea: '',
}

type Parts = Partial<Record<CircuitField, string>>
const BREAKER: Parts = { family: 'breaker', residual: 'none' }

/** Circuits as a workshop sets them, to start from. */
export const CIRCUIT_TEMPLATES = {
  'Socket radial': { amount: '4000 W', points: '6' },
  'Socket ring': {
    name: 'Socket ring',
    topology: 'ring',
    basis: 'current',
    amount: '26 A',
    points: '10',
    spread: 'yes',
    length: '54',
  },
  Lighting: {
    name: 'Lighting',
    use: 'lighting',
    basis: 'lamps',
    amount: '10 × 18 W',
    points: '10',
    spread: 'yes',
    length: '30',
    ...BREAKER,
  },
  Cooker: {
    name: 'Cooker',
    use: 'cooker',
    basis: 'cooker',
    amount: '9500 W',
    hasSocket: 'yes',
    points: '1',
    length: '14',
    ...BREAKER,
  },
  Shower: {
    name: 'Shower',
    use: 'shower',
    amount: '8500 W',
    points: '1',
    length: '12',
    location: 'bathroom',
  },
  'Immersion heater': {
    name: 'Immersion heater',
    use: 'immersion',
    amount: '3000 W',
    points: '1',
    length: '11',
    ...BREAKER,
  },
  Battery: { name: 'Battery', use: 'fixed', amount: '3000 W', points: '1', length: '8', infeed: 'battery' },
  'Solar PV': {
    name: 'Solar PV',
    use: 'fixed',
    amount: '3600 W',
    points: '1',
    length: '12',
    infeed: 'photovoltaic',
  },
  'Room heaters': {
    name: 'Room heaters',
    use: 'heating',
    amount: '3000 W',
    points: '3',
    spread: 'yes',
    length: '18',
    ...BREAKER,
  },
  'Fixed heater': { name: 'Heater', use: 'fixed', amount: '3000 W', points: '1', length: '16', ...BREAKER },
  'Motor, single phase': {
    name: 'Motor',
    use: 'motor',
    basis: 'motor',
    amount: '1100 W',
    powerFactor: '0.8',
    points: '1',
    length: '15',
    dc: 'none',
    ...BREAKER,
    curve: 'C',
  },
  'Motor, three phase': {
    name: 'Motor',
    use: 'motor',
    basis: 'motor',
    phases: '3',
    amount: '4000 W',
    powerFactor: '0.82',
    points: '1',
    length: '18',
    cable: 'singles-in-conduit',
    method: 'B',
    ...BREAKER,
    curve: 'D',
  },
  'Feed to a board': {
    name: 'Feed',
    use: 'distribution',
    basis: 'board',
    amount: '',
    points: '1',
    length: '25',
    cable: 'armoured-90',
    method: 'D',
    ambient: '20',
    ...BREAKER,
    curve: 'C',
  },
} as const satisfies Record<string, Parts>
export type CircuitTemplate = keyof typeof CIRCUIT_TEMPLATES

const freeId = (prefix: string, taken: readonly string[]): string => {
  let n = 1
  while (taken.includes(`${prefix}${n}`)) n += 1
  return `${prefix}${n}`
}

const circuitIds = (form: ExerciseForm): string[] => idsIn(form.circuits)

/** The first way of a board that no circuit names. */
export function freeWay(form: ExerciseForm, board: string): string {
  const taken = circuitIds(form)
    .filter((id) => form[`${id}.board`] === board)
    .map((id) => Number(form[`${id}.way`]))
  let way = 1
  while (taken.includes(way)) way += 1
  return String(way)
}

/** The line of a three-phase board with the fewest circuits, so that the lines fill evenly. */
function lightestLine(form: ExerciseForm, board: string): string {
  const used = circuitIds(form)
    .filter((id) => form[`${id}.board`] === board)
    .map((id) => form[`${id}.line`])
  const count = (line: string) => used.filter((other) => other === line).length
  return [...LINES].sort((a, b) => count(a) - count(b))[0]!
}

/** Adds a circuit after the others, from a template or as a copy; returns the new form and the circuit's id. */
export function addCircuit(
  form: ExerciseForm,
  parts: Parts,
): { readonly form: ExerciseForm; readonly id: string } {
  const ids = circuitIds(form)
  const id = freeId('c', ids)
  const board = parts.board ?? idsIn(form.boards)[0] ?? 'b1'
  const line = parts.line ?? (form[`${board}.phases`] === '3' ? lightestLine(form, board) : 'L1')
  const row = { ...NEW_CIRCUIT, ...parts, board, line, way: freeWay(form, board) }
  const isOfHome = parts.use === 'shower' || parts.use === 'cooker'
  // An exercise that begins with a shower or cooker is one of a dwelling, unless it has grown otherwise already.
  const premises = isOfHome && ids.length <= 1 ? 'dwelling' : form.premises!
  return {
    id,
    form: {
      ...form,
      premises,
      ...prefixed(id, row),
      circuits: [...ids, id].join(LIST),
      askCircuits: [...idsIn(form.askCircuits), id].join(LIST),
    },
  }
}

/** The row of one circuit without its id. */
export const rowOf = (form: ExerciseForm, id: string): Parts =>
  Object.fromEntries(
    Object.entries(form)
      .filter(([key]) => key.startsWith(`${id}.`))
      .map(([key, text]) => [key.slice(id.length + 1), text]),
  )

/** Takes a circuit or board out, and its name from every list. */
export function removeRow(form: ExerciseForm, id: string): ExerciseForm {
  const rest = Object.fromEntries(Object.entries(form).filter(([key]) => !key.startsWith(`${id}.`)))
  const without = (list: string) =>
    idsIn(form[list])
      .filter((other) => other !== id)
      .join(LIST)
  const feeds = Object.fromEntries(
    Object.entries(rest)
      .filter(([key, text]) => key.endsWith('.fedBy') && text === id)
      .map(([key]) => [key, '']),
  )
  return {
    ...rest,
    ...feeds,
    circuits: without('circuits'),
    boards: without('boards'),
    askCircuits: without('askCircuits'),
    tests: form.tests === id ? '' : (form.tests ?? ''),
  }
}

/** Adds a board, fed by the circuit for a board that feeds none yet. */
export function addBoard(form: ExerciseForm): ExerciseForm {
  const ids = idsIn(form.boards)
  const id = freeId('b', ids)
  const used = ids.map((board) => form[`${board}.fedBy`])
  const feed =
    circuitIds(form).find(
      (circuit) => form[`${circuit}.use`] === 'distribution' && !used.includes(circuit),
    ) ?? ''
  const row: Record<BoardField, string> = {
    name: `Board ${ids.length + 1}`,
    phases: form[`${feed}.phases`] ?? '1',
    ways: '6',
    fedBy: feed,
    electrode: '',
    surgeDevice: '',
    surge: '',
  }
  return { ...form, ...prefixed(id, row), boards: [...ids, id].join(LIST) }
}
