import type { StepKey } from '../design/model/step-keys'
import type { Circuit, Installation, Load } from '../installation/installation'
import type { Exercise } from './exercise'
import { DEFAULT_POLICY } from '../policies/policy'
import { ASK_SETS } from './usual-asks'

/* Exercises of format version 1 had one radial final circuit. They are read as an installation with one circuit, `c1`. */

/** The only circuit of a version 1 exercise. */
export const FIRST = 'c1'
const BOARD = 'b1'
/** Not said by version 1; the commonest intake. */
const MAIN_FUSE_A = 100
const NEUTRAL_MM2 = 25
const WAYS = 6
const MINUTES = 120

interface FirstTask {
  readonly supply: { arrangement: 'TN-S' | 'TN-C-S' | 'TT'; zeOhm: number; ipfA: number }
  readonly use: 'sockets' | 'lighting' | 'fixed'
  readonly premises: 'dwelling' | 'commercial' | 'industrial'
  readonly load: Extract<Load, { basis: 'power' | 'current' }>
  readonly measuredZs: 'eighty-percent' | 'corrected'
  readonly [fact: string]: unknown
}

interface FirstExercise {
  readonly format: 'nakshi.exercise'
  readonly version: 1
  readonly circuitName: string
  readonly task: FirstTask
  readonly [rest: string]: unknown
}

export const isFirstVersion = (document: unknown): document is FirstExercise =>
  typeof document === 'object' &&
  document !== null &&
  (document as FirstExercise).version === 1 &&
  typeof (document as FirstExercise).task === 'object'

/** An exercise of any version as the present one. What is not of version 1 comes back as it is. */
export function upgradeExercise(document: unknown): unknown {
  if (!isFirstVersion(document)) return document
  const { circuitName, task, version: _version, ...rest } = document
  const steps = ASK_SETS.first.filter((step) => !(['r1', 'rn', 'r2'] as StepKey[]).includes(step))
  return {
    ...rest,
    version: 2,
    kind: 'new-circuit',
    minutes: MINUTES,
    installation: upgradeTask(task, circuitName),
    tests: FIRST,
    asks: { circuits: [FIRST], steps },
    marks: {},
    critical: [],
    policy: { ...DEFAULT_POLICY, measuredZs: task.measuredZs },
  } as unknown as Exercise
}

/** The installation that a version 1 task describes. */
export function upgradeTask(task: FirstTask | Installation, name = 'Circuit'): Installation {
  if ('circuits' in task) return task as Installation
  const { supply, premises, measuredZs: _measuredZs, ...facts } = task as FirstTask
  return {
    premises,
    consequence: 'none',
    intake: { ...supply, phases: 1, mainFuseA: MAIN_FUSE_A, neutralMm2: NEUTRAL_MM2 },
    boards: [{ id: BOARD, name: 'Workshop board', phases: 1, ways: WAYS, fedBy: null, electrodeOhm: null }],
    circuits: [
      {
        ...NEW_FACTS,
        ...(facts as Partial<Circuit>),
        id: FIRST,
        name,
        board: BOARD,
        way: 1,
        line: 'L1',
      } as Circuit,
    ],
  }
}

const NEW_FACTS = {
  phases: 1,
  topology: 'radial',
  points: 1,
  isSpread: false,
  spurM: 0,
  spurs: 0,
  fusedSpurs: 0,
  run: { betweenBoxesM: 5, bends: 1 },
  insulationMm: 0,
  dc: 'none',
  existing: null,
} as const

/** Keys of answers and overrides before circuits had names: `ib` is `c1.ib`, `design.ib` is `design.c1.ib`. */
export const upgradeAnswers = <T>(answers: Readonly<Record<string, T>>): Record<string, T> =>
  Object.fromEntries(
    Object.entries(answers).map(([key, text]) => [key.includes('.') ? key : `${FIRST}.${key}`, text]),
  )
