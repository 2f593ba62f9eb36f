import type { BoardField, CircuitField, HeadField } from '#core/exercise/form/fields'

export const HEAD_NAME: Readonly<Record<HeadField, string>> = {
  code: 'Code',
  title: 'Title',
  scenario: 'Scenario',
  kind: 'Kind of task',
  minutes: 'Time',
  edition: 'Edition',
  premises: 'Premises',
  consequence: 'Consequence of overvoltage',
  arrangement: 'Supply',
  phases: 'Phases',
  ze: 'Ze',
  ipf: 'Ipf',
  service: 'Water service',
  standby: 'Standby source',
  standbyPower: 'Its power',
  mainFuse: 'Main fuse',
  neutral: 'Neutral',
  tests: 'Wired and tested',
  askCircuits: 'Circuits designed',
  askSteps: 'Steps asked for',
  marks: 'Marks',
  critical: 'Critical steps',
  criteria: 'Criteria',
  seed: 'Seed',
  lengthSpread: 'Length ±',
  loadSpread: 'Load ±',
  boards: 'Boards',
  circuits: 'Circuits',
}
export const BOARD_NAME: Readonly<Record<BoardField, string>> = {
  name: 'Board',
  phases: 'Phases',
  ways: 'Ways',
  fedBy: 'Fed by',
  electrode: 'Own electrode',
  surgeDevice: 'Way of the device for the SPD',
  surge: 'Way of the SPD',
}
export const CIRCUIT_NAME: Readonly<Record<CircuitField, string>> = {
  name: 'Circuit',
  board: 'Board',
  way: 'Way',
  line: 'Line',
  use: 'Use',
  phases: 'Phases',
  topology: 'Shape',
  basis: 'Load as',
  amount: 'Load',
  powerFactor: 'Power factor',
  efficiency: 'Efficiency',
  startMultiple: 'Starting multiple',
  discharge: 'Discharge lamps',
  hasSocket: 'With socket',
  points: 'Points',
  spread: 'Load spread',
  length: 'Length',
  spur: 'Longest spur',
  spurs: 'Unfused spurs',
  fusedSpurs: 'Fused spurs',
  cable: 'Cable',
  method: 'Method',
  betweenBoxes: 'Between draw points',
  bends: 'Bends',
  ambient: 'Ambient',
  grouped: 'Together',
  bunching: 'Arranged',
  insulation: 'In insulation',
  location: 'Location',
  concealed: 'In a wall < 50 mm',
  ip: 'Equipment at least',
  area: 'Part of the building',
  dc: 'Direct current',
  family: 'Device',
  curve: 'Type',
  marking: 'Device direction',
  infeed: 'Source on it',
  residual: 'RCD',
  maker: 'Maker’s data',
  existingRating: 'Rating there',
  existingArea: 'Size there',
}
export const CIRCUIT_UNIT: Readonly<Partial<Record<CircuitField, string>>> = {
  length: 'm',
  spur: 'm',
  betweenBoxes: 'm',
  ambient: '°C',
  insulation: 'mm',
  residual: 'mA',
  existingRating: 'A',
  existingArea: 'mm²',
  powerFactor: 'cos φ',
  efficiency: 'η',
  startMultiple: '× Ib',
}

/** A box of the form in words, for somebody who has to choose between two versions of it. */
export function boxName(key: string, form: Readonly<Record<string, string>>): string {
  const [id, field] = key.split('.') as [string, string | undefined]
  if (field === undefined) return HEAD_NAME[id as HeadField] ?? id
  const name = CIRCUIT_NAME[field as CircuitField] ?? BOARD_NAME[field as BoardField] ?? field
  return `${form[`${id}.name`] ?? id}: ${lowered(name)}`
}

/** Inside a sentence; abbreviations keep their capitals. */
const lowered = (name: string): string =>
  name.replace(/\p{L}+/gu, (word) => (/^\p{Lu}{2,}/u.test(word) ? word : word.toLowerCase()))

export const GOVERNS_WORDS = {
  area: 'smallest size allowed',
  capacity: 'current rating',
  voltDrop: 'voltage drop',
  loop: 'fault loop',
  adiabatic: 'heat of a fault in the cpc',
} as const
export const ASK_SET_NAME = { first: 'First design', board: 'Whole board', full: 'Everything' } as const
