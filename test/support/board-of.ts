/* Boards of any size, for tests and benchmarks, of the kinds that a workshop sets, every step asked. */
import type { ExerciseForm } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import { CIRCUIT_TEMPLATES, addCircuit } from '#core/exercise/form/rows'
import { toForm } from '#core/exercise/form/to-form'
import type { Exercise } from '#core/exercise/exercise'
import { ASK_SETS } from '#core/exercise/usual-asks'
import { anExercise } from './task'

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
