import { bookOf } from '#core/regulations/book/book'
import { CIRCUIT_CHAIN } from '#core/design/circuit-chain'
import { referenceDesign, type CircuitDesign } from '#core/design/reference'
import { followFrom } from '#core/design/follow'
import type { StepValues } from '#core/design/model/step'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import { scopeOf, stepOf, type StepKey } from '#core/design/model/step-keys'
import { assignmentOf, type Assignment } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { DEFAULT_POLICY } from '#core/policies/policy'
import type { Task } from '#core/design/model/task'
import { ASK_SETS } from '#core/exercise/usual-asks'
import { markDesign } from '#core/assessment/marking/mark-design'
import type { StepMark } from '#core/assessment/marking/mark-step'
import type { ExpectedReading } from '#core/testing/expected/expected'
import { bayUnderTest, type BayUnderTest } from '#core/testing/judge/bay-under-test'
import { judgeReadings, type ReadingMark } from '#core/testing/judge/judge'
import { kindOf } from '#core/testing/kinds/kinds'
import type { Readings } from '#core/testing/readings'
import type { OtherBay } from '#core/testing/relations/sheet'
import { presentKeys } from '#core/testing/upgrade'
import { QUANTITIES } from '#core/units/quantity'
import type { Board, Circuit, Installation } from '#core/installation/installation'

export const RULES = { edition: '18-A2', measuredZs: 'eighty-percent', warmDrop: 'tabulated' } as const

/** A plain socket radial that works out; a test names only what it is about. */
export function aCircuit(parts: Partial<Circuit> = {}): Circuit {
  return {
    id: 'c1',
    name: 'Sockets',
    board: 'b1',
    way: 1,
    line: 'L1',
    use: 'sockets',
    phases: 1,
    topology: 'radial',
    load: { basis: 'power', powerW: 2900, powerFactor: 1 },
    points: 4,
    isSpread: false,
    lengthM: 28,
    spurM: 0,
    spurs: 0,
    fusedSpurs: 0,
    cable: { kind: 'singles-in-conduit', method: 'B' },
    run: { betweenBoxesM: 5, bends: 1 },
    ambientC: 35,
    grouping: { circuits: 2, arrangement: 'bunched' },
    insulationMm: 0,
    location: 'general',
    concealed: false,
    dc: 'none',
    device: { family: 'rcbo', curve: 'B' },
    residualA: 0.03,
    existing: null,
    ...parts,
  }
}

export const aBoard = (parts: Partial<Board> = {}): Board => ({
  id: 'b1',
  name: 'Board',
  phases: 1,
  ways: 8,
  fedBy: null,
  electrodeOhm: null,
  ...parts,
})

export function anInstallation(parts: Partial<Installation> = {}): Installation {
  return {
    premises: 'industrial',
    consequence: 'none',
    intake: { arrangement: 'TN-C-S', phases: 1, zeOhm: 0.35, ipfA: 1600, mainFuseA: 100, neutralMm2: 25 },
    boards: [aBoard()],
    circuits: [aCircuit()],
    ...parts,
  }
}

/** One circuit's task as it stands behind a plain intake. */
export function aTask(parts: Partial<Task> = {}): Task {
  const { id: _id, name: _name, board: _board, way: _way, line: _line, ...facts } = aCircuit()
  return {
    ...facts,
    ...RULES,
    book: bookOf(parts.edition ?? RULES.edition),
    premises: 'industrial',
    supply: { arrangement: 'TN-C-S', zeOhm: 0.35, ipfA: 1600 },
    dropAbove: 0,
    above: { family: 'fuse-cartridge', curve: null, ratingA: 100 },
    demandA: null,
    feedsBack: null,
    ...parts,
  }
}

/** The installation in which a task stands. Only what a task says can be put back. */
export function around(task: Task): Installation {
  const {
    edition: _e,
    book: _b,
    measuredZs: _m,
    warmDrop: _w,
    premises,
    supply,
    dropAbove: _d,
    demandA: _n,
    feedsBack: _f,
    above,
    ...facts
  } = task
  return anInstallation({
    premises,
    intake: { ...supply, phases: task.phases, mainFuseA: above?.ratingA ?? 100, neutralMm2: 25 },
    boards: [aBoard({ phases: task.phases })],
    circuits: [{ ...aCircuit(), ...facts }],
  })
}

/** The worked design of one circuit on its own. */
export function designTask(task: Task): CircuitDesign {
  return referenceDesign(around(task), {
    edition: task.edition,
    measuredZs: task.measuredZs,
    warmDrop: task.warmDrop,
  }).circuits[0]!
}

export function anExercise(parts: Partial<Exercise> = {}): Exercise {
  return {
    format: 'nakshi.exercise',
    version: 2,
    code: 'X-01',
    title: 'A circuit',
    kind: 'new-circuit',
    scenario: 'A story.',
    minutes: 90,
    edition: '18-A2',
    installation: anInstallation(),
    tests: 'c1',
    asks: { circuits: ['c1'], steps: ASK_SETS.first },
    marks: {},
    critical: [],
    policy: DEFAULT_POLICY,
    variants: { seed: 7, lengthSpread: 0.18, loadSpread: 0.1 },
    criteria: ['D1', 'D2', 'D3', 'D4', 'D5', 'T1', 'T2', 'T3', 'T4', 'T5'],
    ...parts,
  }
}

/** How a task on its own is asked: every step of its circuit. */
export function asksEverything(task: Task): Assignment {
  return {
    ...assignmentOf(anExercise()),
    edition: task.edition,
    policy: { ...DEFAULT_POLICY, measuredZs: task.measuredZs, warmDrop: task.warmDrop },
    installation: around(task),
    asks: { circuits: ['c1'], steps: CIRCUIT_CHAIN.map(({ key }) => key) },
  }
}

/** One task worked on its own: its values, or what stops it. */
export function worked(task: Task) {
  const design = designTask(task)
  const values = design.values as Required<StepValues>
  return design.stopped
    ? { ok: false as const, ...design.stopped, steps: design.steps }
    : { ok: true as const, values, governs: design.governs, steps: design.steps, design }
}

/** Values of somebody who goes on correctly from these, by step. */
export function followTask(task: Task, given: StepValues): StepValues {
  const { installation } = asksEverything(task)
  const nodes = followFrom(
    installation,
    { edition: task.edition, measuredZs: task.measuredZs, warmDrop: task.warmDrop },
    Object.fromEntries(Object.entries(given).map(([step, value]) => [`c1.${step}`, value])),
  )
  return Object.fromEntries(
    Object.entries(nodes)
      .filter(([node]) => scopeOf(node) === 'c1')
      .map(([node, value]) => [stepOf(node), value]),
  )
}

/** Marks of one task with every step asked; answers by step, as typed. */
export const markTask = (task: Task, answers: Readonly<Partial<Record<StepKey, string>>>): StepMark[] =>
  markDesign(
    asksEverything(task),
    Object.fromEntries(Object.entries(answers).map(([step, text]) => [`c1.${step}`, text])),
  )

/** Values as somebody types them with all their digits, in the display unit; choices in their words. */
export function typed(values: StepValues): Partial<Record<StepKey, string>> {
  return Object.fromEntries(
    Object.entries(values).map(([key, value]) => {
      const { choices, quantity } = STEP_KINDS[key as StepKey]
      return [
        key,
        choices?.find((choice) => choice.value === value)?.text ??
          String(Number((value * QUANTITIES[quantity].scale).toPrecision(6))),
      ]
    }),
  )
}

/** The bay of one task, tested as a sheet of one circuit. */
export const bayOfTask = (task: Task): BayUnderTest => bayUnderTest(asksEverything(task), 'Bay 1')!

/** Expected readings of a task's asked tests, by what each shows: `r1r2`, `irLN`, `zs`, `rcdTime`. */
export const expectedByKind = (task: Task): Map<string, ExpectedReading> => {
  const { schedule, expected } = bayOfTask(task)
  return new Map(
    schedule.filter(({ isAsked }) => isAsked).map(({ key }) => [kindOf(key).shows, expected.get(key)!]),
  )
}

/** Marks of a sheet of one circuit; readings and marks by what each test shows. */
export function judgeTask(
  task: Task,
  readings: Readings,
  others: readonly OtherBay[] = [],
): Map<string, ReadingMark> {
  const bay = bayOfTask(task)
  const { marks } = judgeReadings(bay, presentKeys(readings, around(task), 'c1'), others)
  return new Map(marks.map((mark) => [kindOf(mark.reading).shows, mark]))
}
