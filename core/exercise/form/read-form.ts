import { structureProblems } from '../../installation/check'
import {
  STANDBY_SOURCES,
  WATER_SERVICES,
  serviceOf,
  type Circuit,
  type Existing,
  type Installation,
  type Intake,
} from '../../installation/installation'
import type { IpDegree } from '../../regulations/ip'
import type { Arrangement } from '../../regulations/supply'
import { STEP_KEYS, type StepKey } from '../../design/model/step-keys'
import { WHOLE_BOARD, type Exercise } from '../exercise'
import type { Policy } from '../../policies/policy'
import { RANGES } from '../ranges'
import { CIRCUIT_BOXES, HEAD_BOXES, idsIn, type Box, type CircuitField, type ExerciseForm } from './fields'
import type { FormProblem } from './problem'
import { readBoard } from './read-board'
import { readRow, type Problems } from './read-row'
import { readLoad } from './read-load'
import { readDevice } from './read-device'

export interface ReadForm {
  /** Present when every box could be read. */
  readonly exercise?: Exercise
  /** What can be read: rows with a box that cannot be are left out, so that the rest goes on computing. */
  readonly installation?: Installation
  readonly problems: Readonly<Record<string, FormProblem>>
}

/** Reads the form. Each box that cannot be read says why. */
export function readForm(form: ExerciseForm, policy: Policy): ReadForm {
  const problems: Problems = {}
  const head = readRow('', HEAD_BOXES, form, problems)
  const installation = readInstallation(form, head, problems)
  const asked = readAsked(form, problems)
  if (head.code && !/^[A-Za-z0-9][A-Za-z0-9.-]*$/.test(String(head.code)))
    problems.code = { code: 'codeLetters' }
  const isComplete = Object.keys(problems).length === 0
  return {
    problems,
    installation: installation && onlyReadable(installation, problems),
    exercise:
      isComplete && installation ? exerciseOf({ form, head, installation, asked, policy }) : undefined,
  }
}

type Head = Readonly<Record<keyof typeof HEAD_BOXES, string | number | null>>

const INTAKE_BOXES = [
  'standbyPower',
  'premises',
  'consequence',
  'arrangement',
  'phases',
  'ze',
  'ipf',
  'mainFuse',
  'neutral',
] as const

/** The installation as far as it can be read; undefined while something about the intake cannot. */
function readInstallation(form: ExerciseForm, head: Head, problems: Problems): Installation | undefined {
  const boards = idsIn(form.boards).map((id) => readBoard(id, form, problems))
  const circuits = idsIn(form.circuits).map((id) => readCircuit(id, form, problems))
  if (circuits.length === 0) problems.circuits = { code: 'noCircuit' }
  const standby = readStandby(form, head.standbyPower, problems)
  if (INTAKE_BOXES.some((field) => field in problems)) return undefined
  const installation: Installation = onlyReadable(
    {
      premises: head.premises as Installation['premises'],
      consequence: head.consequence as Installation['consequence'],
      intake: {
        arrangement: head.arrangement as 'TN-S',
        phases: Number(head.phases) as 1 | 3,
        zeOhm: Number(head.ze),
        ipfA: Number(head.ipf),
        mainFuseA: Number(head.mainFuse),
        neutralMm2: Number(head.neutral),
        ...readService(form, head.arrangement as 'TN-S'),
        ...standby,
      },
      boards,
      circuits,
    },
    problems,
  )
  const written = idsIn(form.boards)
  for (const problem of structureProblems(installation)) {
    // A board that cannot be read yet is named at its own box.
    if (problem.code === 'noSuchBoard' && written.includes(form[`${problem.scope}.board`] ?? '')) continue
    problems[`${problem.scope}.${problem.field}`] ??= { code: 'structure', problem }
  }
  return installation
}

/** Only what differs from the usual service of the arrangement is written down. */
function readService(form: ExerciseForm, arrangement: Arrangement): Pick<Intake, 'service'> {
  const service = WATER_SERVICES.find((known) => known === form.service)
  return service && service !== serviceOf({ arrangement }) ? { service } : {}
}

/** A form from before it was asked for has none. */
function readStandby(
  form: ExerciseForm,
  power: Head['standbyPower'],
  problems: Problems,
): Pick<Intake, 'standby'> {
  const source = STANDBY_SOURCES.find((known) => known === form.standby)
  if (!source) {
    // Its box is not shown: what was typed there stands in nobody's way.
    delete problems.standbyPower
    return {}
  }
  if (power === null) problems.standbyPower ??= { code: 'fill' }
  return { standby: { source, powerW: Number(power) } }
}

/** Without the rows in which a box cannot be read. */
function onlyReadable(installation: Installation, problems: Problems): Installation {
  const isRead = ({ id }: { readonly id: string }) =>
    !Object.keys(problems).some((key) => key.startsWith(`${id}.`))
  return {
    ...installation,
    boards: installation.boards.filter(isRead),
    circuits: installation.circuits.filter(isRead),
  }
}

type Asked = Pick<Exercise, 'asks' | 'tests' | 'marks' | 'criteria'>

/** What is asked of the apprentice, and what it shows. */
function readAsked(form: ExerciseForm, problems: Problems): Asked {
  const circuits = idsIn(form.circuits)
  const asks = {
    circuits: idsIn(form.askCircuits).filter((id) => circuits.includes(id)),
    steps: steps(form.askSteps),
  }
  const criteria = idsIn(form.criteria)
  const tests = form.tests || null
  if (asks.circuits.length === 0) problems.askCircuits = { code: 'noneDesigned' }
  if (asks.steps.length === 0) problems.askSteps = { code: 'noStep' }
  if (criteria.length === 0) problems.criteria = { code: 'noCriterion' }
  if (tests !== null && tests !== WHOLE_BOARD && !circuits.includes(tests))
    problems.tests = { code: 'noSuchCircuit' }
  return { asks, tests, criteria, marks: readMarks(form.marks ?? '', problems) }
}

interface ReadParts {
  readonly form: ExerciseForm
  readonly head: Head
  readonly installation: Installation
  readonly asked: Asked
  readonly policy: Policy
}

const exerciseOf = ({ form, head, installation, asked, policy }: ReadParts): Exercise => ({
  format: 'nakshi.exercise',
  version: 2,
  code: String(head.code),
  title: String(head.title),
  kind: head.kind as Exercise['kind'],
  scenario: String(head.scenario),
  minutes: Number(head.minutes),
  edition: head.edition as Exercise['edition'],
  installation,
  tests: asked.tests,
  asks: asked.asks,
  marks: asked.marks,
  critical: steps(form.critical),
  policy,
  variants: {
    seed: Number(head.seed),
    lengthSpread: Number(head.lengthSpread),
    loadSpread: Number(head.loadSpread),
  },
  criteria: asked.criteria,
})

const steps = (text: string | undefined): StepKey[] => STEP_KEYS.filter((key) => idsIn(text).includes(key))

/** Boxes that only some loads have; the others are not looked at. */
const LOAD_BOXES: readonly CircuitField[] = [
  'amount',
  'powerFactor',
  'efficiency',
  'startMultiple',
  'discharge',
  'hasSocket',
]

function readCircuit(id: string, form: ExerciseForm, problems: Problems): Circuit {
  const boxes = Object.fromEntries(
    Object.entries(CIRCUIT_BOXES).filter(([field]) => !LOAD_BOXES.includes(field as CircuitField)),
  ) as Record<CircuitField, Box>
  // A form from before they were asked for has no such boxes.
  const row = readRow(
    `${id}.`,
    boxes,
    { [`${id}.ip`]: 'none', [`${id}.marking`]: 'either', [`${id}.infeed`]: 'none', ...form },
    problems,
  )
  const load = readLoad(
    (field) => form[`${id}.${field}`] ?? '',
    (field, problem) => (problems[`${id}.${field}`] = problem),
  )
  return {
    id,
    name: String(row.name),
    board: String(row.board),
    way: Number(row.way),
    line: row.line as Circuit['line'],
    use: row.use as Circuit['use'],
    phases: Number(row.phases) as 1 | 3,
    topology: row.topology as Circuit['topology'],
    load,
    points: Number(row.points),
    isSpread: row.spread === 'yes',
    lengthM: Number(row.length),
    spurM: Number(row.spur),
    spurs: Number(row.spurs),
    fusedSpurs: Number(row.fusedSpurs),
    cable: { kind: row.cable as Circuit['cable']['kind'], method: row.method as Circuit['cable']['method'] },
    run: { betweenBoxesM: Number(row.betweenBoxes), bends: Number(row.bends) },
    ambientC: Number(row.ambient),
    grouping: { circuits: Number(row.grouped), arrangement: row.bunching as 'bunched' },
    insulationMm: Number(row.insulation),
    location: row.location as Circuit['location'],
    concealed: row.concealed === 'yes',
    ...(row.ip === 'none' ? {} : { ip: row.ip as IpDegree }),
    ...(row.area ? { area: String(row.area) } : {}),
    dc: row.dc as Circuit['dc'],
    ...readDevice(id, row, form, problems),
    existing: readExisting(id, row.existingRating, row.existingArea, problems),
  }
}

function readExisting(
  id: string,
  rating: string | number | null,
  area: string | number | null,
  problems: Problems,
): Existing | null {
  if (rating === null && area === null) return null
  if (rating === null || area === null)
    problems[`${id}.${rating === null ? 'existingRating' : 'existingArea'}`] ??= { code: 'bothOrNeither' }
  return { ratingA: Number(rating), lineMm2: Number(area) }
}

/** Marks are written as `zs=3 csa=2`. */
function readMarks(text: string, problems: Problems): Exercise['marks'] {
  const entries = idsIn(text).map((part) => part.split('='))
  const { min, max } = RANGES.marks
  const isRight = entries.every(
    ([step, mark]) => STEP_KEYS.includes(step as StepKey) && Number(mark) >= min && Number(mark) <= max,
  )
  if (!isRight) problems.marks = { code: 'marks', least: min, most: max }
  return Object.fromEntries(entries.map(([step, mark]) => [step, Number(mark)]))
}
