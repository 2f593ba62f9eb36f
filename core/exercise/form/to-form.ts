import { serviceOf, type Board, type Circuit, type Load } from '../../installation/installation'
import { makerText } from './read-maker'
import type { Exercise } from '../exercise'
import {
  LIST,
  NO_CURVE,
  type BoardField,
  type CircuitField,
  type ExerciseForm,
  type HeadField,
} from './fields'

/** The form that shows this exercise. */
export function toForm(exercise: Exercise): ExerciseForm {
  const { installation, variants, asks } = exercise
  const { intake } = installation
  const head: Record<HeadField, string> = {
    code: exercise.code,
    title: exercise.title,
    scenario: exercise.scenario,
    kind: exercise.kind,
    minutes: String(exercise.minutes),
    edition: exercise.edition,
    premises: installation.premises,
    consequence: installation.consequence,
    arrangement: intake.arrangement,
    phases: String(intake.phases),
    ze: String(intake.zeOhm),
    ipf: `${intake.ipfA / 1e3} kA`,
    mainFuse: String(intake.mainFuseA),
    neutral: String(intake.neutralMm2),
    service: serviceOf(intake),
    standby: intake.standby?.source ?? 'none',
    standbyPower: intake.standby ? `${intake.standby.powerW} W` : '',
    tests: exercise.tests ?? '',
    askCircuits: asks.circuits.join(LIST),
    askSteps: asks.steps.join(LIST),
    marks: Object.entries(exercise.marks)
      .map(([step, mark]) => `${step}=${mark}`)
      .join(LIST),
    critical: exercise.critical.join(LIST),
    criteria: exercise.criteria.join(LIST),
    seed: String(variants.seed),
    lengthSpread: percent(variants.lengthSpread),
    loadSpread: percent(variants.loadSpread),
    boards: installation.boards.map(({ id }) => id).join(LIST),
    circuits: installation.circuits.map(({ id }) => id).join(LIST),
  }
  return {
    ...head,
    ...Object.assign({}, ...installation.boards.map((board) => prefixed(board.id, boardRow(board)))),
    ...Object.assign(
      {},
      ...installation.circuits.map((circuit) => prefixed(circuit.id, circuitRow(circuit))),
    ),
  }
}

export const prefixed = (id: string, row: Readonly<Record<string, string>>): ExerciseForm =>
  Object.fromEntries(Object.entries(row).map(([field, text]) => [`${id}.${field}`, text]))

const boardRow = (board: Board): Record<BoardField, string> => ({
  name: board.name,
  phases: String(board.phases),
  ways: String(board.ways),
  fedBy: board.fedBy ?? '',
  electrode: board.electrodeOhm === null ? '' : String(board.electrodeOhm),
  surgeDevice: board.surge ? String(board.surge.deviceWay) : '',
  surge: board.surge ? String(board.surge.way) : '',
})

function circuitRow(circuit: Circuit): Record<CircuitField, string> {
  const { load } = circuit
  return {
    name: circuit.name,
    board: circuit.board,
    way: String(circuit.way),
    line: circuit.line,
    use: circuit.use,
    phases: String(circuit.phases),
    topology: circuit.topology,
    basis: load.basis,
    amount: amountOf(load),
    powerFactor: 'powerFactor' in load ? String(load.powerFactor) : '1',
    efficiency: load.basis === 'motor' ? String(load.efficiency) : '0.85',
    startMultiple: load.basis === 'motor' ? String(load.startMultiple) : '6',
    discharge: yesNo(load.basis === 'lamps' && load.isDischarge),
    hasSocket: yesNo(load.basis === 'cooker' && load.hasSocket),
    points: String(circuit.points),
    spread: yesNo(circuit.isSpread),
    length: String(circuit.lengthM),
    spur: String(circuit.spurM),
    spurs: String(circuit.spurs),
    fusedSpurs: String(circuit.fusedSpurs),
    cable: circuit.cable.kind,
    method: circuit.cable.method,
    betweenBoxes: String(circuit.run.betweenBoxesM),
    bends: String(circuit.run.bends),
    ambient: String(circuit.ambientC),
    grouped: String(circuit.grouping.circuits),
    bunching: circuit.grouping.arrangement,
    insulation: String(circuit.insulationMm),
    location: circuit.location,
    concealed: yesNo(circuit.concealed),
    ip: circuit.ip ?? 'none',
    area: circuit.area ?? '',
    dc: circuit.dc,
    family: circuit.device.family,
    curve: circuit.device.curve ?? NO_CURVE,
    marking: circuit.marking ?? 'either',
    infeed: circuit.infeed ?? 'none',
    residual: circuit.residualA === null ? 'none' : String(Math.round(circuit.residualA * 1e3)),
    maker: makerText(circuit.maker),
    existingRating: circuit.existing ? String(circuit.existing.ratingA) : '',
    existingArea: circuit.existing ? String(circuit.existing.lineMm2) : '',
  }
}

/** A load as it is written in one box: `2900 W`, `12.5 A`, `8 × 18 W`. */
export function amountOf(load: Load): string {
  switch (load.basis) {
    case 'current':
      return `${load.currentA} A`
    case 'lamps':
      return `${load.count} × ${load.eachW} W`
    case 'board':
      return ''
    default:
      return `${load.powerW} W`
  }
}

export const percent = (fraction: number): string => `${Math.round(fraction * 100)} %`
const yesNo = (value: boolean): string => (value ? 'yes' : 'no')
