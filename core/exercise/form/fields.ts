import { CONSEQUENCES, LINES } from '../../installation/installation'
import { CABLE_KINDS, METHODS } from '../../regulations/cables/cable'
import { CURVES, DEVICE_FAMILIES } from '../../regulations/devices'
import { PREMISES } from '../../regulations/diversity'
import { EDITIONS } from '../../regulations/editions'
import { GROUPINGS, INSULATION_FACTOR } from '../../regulations/factors'
import { INFEEDS, MARKINGS } from '../../regulations/infeed'
import { IP_DEGREES } from '../../regulations/ip'
import { DC_CONTENTS } from '../../regulations/rcd'
import { USES } from '../../regulations/supply'
import type { QuantityKey } from '../../units/quantity'
import { TASK_KINDS } from '../exercise'
import type { RangeKey } from '../ranges'

/** What one box may hold and how it is read. Text is kept as typed until then. */
export type Box =
  | { readonly is: 'words'; readonly longest: number; readonly mayBeEmpty?: boolean }
  | { readonly is: 'choice'; readonly choices: readonly string[] }
  | {
      readonly is: 'number'
      readonly quantity: QuantityKey
      readonly range: RangeKey
      readonly isWhole?: boolean
      readonly mayBeEmpty?: boolean
    }
  /** Read by a rule of its own. */
  | { readonly is: 'own' }

const words = (longest: number, mayBeEmpty = false): Box => ({ is: 'words', longest, mayBeEmpty })
const choice = (choices: readonly string[]): Box => ({ is: 'choice', choices })
const number = (quantity: QuantityKey, range: RangeKey, mayBeEmpty = false): Box => ({
  is: 'number',
  quantity,
  range,
  mayBeEmpty,
})
const whole = (range: RangeKey, mayBeEmpty = false): Box => ({
  is: 'number',
  quantity: 'factor',
  range,
  isWhole: true,
  mayBeEmpty,
})
const YES_NO = choice(['yes', 'no'])

/** Boxes of the exercise itself, by their names in the form. */
export const HEAD_BOXES = {
  code: words(20),
  title: words(120),
  scenario: words(4000, true),
  kind: choice(TASK_KINDS),
  minutes: whole('minutes'),
  edition: choice(EDITIONS),
  premises: choice(PREMISES),
  consequence: choice(CONSEQUENCES),
  arrangement: choice(['TN-S', 'TN-C-S', 'TT']),
  phases: choice(['1', '3']),
  ze: number('resistance', 'zeOhm'),
  ipf: number('faultCurrent', 'ipfA'),
  mainFuse: number('rating', 'mainFuseA'),
  neutral: number('area', 'neutralMm2'),
  service: { is: 'own' },
  standby: { is: 'own' },
  standbyPower: number('power', 'powerW', true),
  tests: { is: 'own' },
  askCircuits: { is: 'own' },
  askSteps: { is: 'own' },
  marks: { is: 'own' },
  critical: { is: 'own' },
  criteria: { is: 'own' },
  seed: whole('seed'),
  lengthSpread: number('factor', 'spread'),
  loadSpread: number('factor', 'spread'),
  boards: { is: 'own' },
  circuits: { is: 'own' },
} as const satisfies Record<string, Box>
export type HeadField = keyof typeof HEAD_BOXES

export const BOARD_BOXES = {
  name: words(60),
  phases: choice(['1', '3']),
  ways: whole('ways'),
  fedBy: { is: 'own' },
  electrode: number('resistance', 'electrodeOhm', true),
  surgeDevice: whole('way', true),
  surge: whole('way', true),
} as const satisfies Record<string, Box>
export type BoardField = keyof typeof BOARD_BOXES

export const LOAD_BASES = ['power', 'current', 'lamps', 'motor', 'cooker', 'board'] as const

export const CIRCUIT_BOXES = {
  name: words(80),
  board: { is: 'own' },
  way: whole('way'),
  line: choice(LINES),
  use: choice(USES),
  phases: choice(['1', '3']),
  topology: choice(['radial', 'ring']),
  basis: choice(LOAD_BASES),
  amount: { is: 'own' },
  powerFactor: number('factor', 'powerFactor'),
  efficiency: number('factor', 'efficiency'),
  startMultiple: number('factor', 'startMultiple'),
  discharge: YES_NO,
  hasSocket: YES_NO,
  points: whole('points'),
  spread: YES_NO,
  length: number('length', 'lengthM'),
  spur: number('length', 'spurM'),
  spurs: whole('spurs'),
  fusedSpurs: whole('spurs'),
  cable: choice(CABLE_KINDS),
  method: choice(METHODS),
  betweenBoxes: number('length', 'betweenBoxesM'),
  bends: whole('bends'),
  ambient: whole('ambientC'),
  grouped: whole('groupCircuits'),
  bunching: choice(GROUPINGS),
  insulation: choice([...INSULATION_FACTOR.keys()].map(String)),
  location: choice(['general', 'bathroom', 'outdoors']),
  concealed: YES_NO,
  ip: choice(['none', ...IP_DEGREES]),
  area: words(40, true),
  dc: choice(DC_CONTENTS),
  family: choice(DEVICE_FAMILIES),
  curve: choice([...CURVES, '–']),
  marking: choice(MARKINGS),
  infeed: choice(['none', ...INFEEDS]),
  residual: choice(['none', '30', '100', '300']),
  maker: { is: 'own' },
  existingRating: number('rating', 'existingRatingA', true),
  existingArea: number('area', 'areaMm2', true),
} as const satisfies Record<string, Box>
export type CircuitField = keyof typeof CIRCUIT_BOXES

/**
 * An exercise as it stands in the boxes: text as typed, by `title`, `b1.ways` or `c3.length`. Flat, so that
 * two people's changes can be merged box by box.
 */
export type ExerciseForm = Record<string, string>
/** A sentence for every box that cannot be taken. */
export type FormProblems = Readonly<Record<string, string>>

/** Lists of ids and codes inside a box. */
export const LIST = ' '
export const idsIn = (text: string | undefined): string[] => (text ?? '').split(LIST).filter(Boolean)
export const NO_CURVE = '–'
