/* Boards of any size for the benchmarks, of the kinds that a workshop sets, every step asked. */
import type { ExerciseForm } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import { CIRCUIT_TEMPLATES, addCircuit } from '#core/exercise/form/rows'
import { toForm } from '#core/exercise/form/to-form'
import type { Exercise } from '#core/exercise/exercise'
import { ASK_SETS } from '#core/exercise/usual-asks'
import { anExercise } from '../support/task'

/** A board of so many circuits on three phases. */
export function aBoardOf(count: number): Exercise {
  const kinds = Object.entries(CIRCUIT_TEMPLATES)
    .filter(([name]) => name !== 'Feed to a board')
    .map(([, parts]) => parts)
  let form: ExerciseForm = {
    ...toForm(anExercise()),
    phases: '3',
    'b1.phases': '3',
    'b1.ways': '24',
    'c1.amount': '2500 W',
    askSteps: ASK_SETS.full.join(' '),
  }
  for (let i = 1; i < count; i += 1)
    form = addCircuit(form, { ...kinds[i % kinds.length], line: (['L1', 'L2', 'L3'] as const)[i % 3]! }).form
  return readForm(form, anExercise().policy).exercise!
}

/** Median time of one call, ms, warmed up. */
export function time(work: () => unknown, runs = 400): number {
  for (let i = 0; i < Math.min(100, runs); i += 1) work()
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((a, b) => a - b)
  return times[Math.floor(runs / 2)]!
}

/** The value that this share of all do not exceed. */
export const quantile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!
