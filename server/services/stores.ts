import { assignmentOf, builtCircuits, designOf } from '#core/exercise/assignment'
import { bestDrums } from '#core/design/materials/drums'
import { materialsOf } from '#core/design/materials/materials'
import { toolsFor } from '#core/design/materials/tools'
import type { StoresCable, StoresExercise } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'

/**
 * What each bay of an exercise needs laid out, and the whole session's cable on its drums. Worked from each
 * variant.
 */
export function showStores({ repos }: Context, actor: Person): StoresExercise[] {
  allow(actor, 'stores.see')
  return repos.exercises
    .all()
    .filter((stored) => stored.state === 'set')
    .map(({ id, exercise }) => {
      // What is wired at the bay is laid out; of a design alone everything, so that it can be priced.
      const built = builtCircuits(exercise)
      const bays = repos.attempts.byExercise(id).map((attempt) => {
        const materials = materialsOf(designOf(assignmentOf(exercise, attempt.installation)), built)
        const scopes = Object.fromEntries(
          [...attempt.installation.circuits, ...attempt.installation.boards].map((part) => [
            part.id,
            part.name,
          ]),
        )
        return {
          bay: attempt.bay,
          name: attempt.personName,
          isDone: attempt.stage === 'released',
          scopes,
          materials,
        }
      })
      return {
        id,
        code: exercise.code,
        title: exercise.title,
        bays,
        cables: sessionCables(bays.filter(({ isDone }) => !isDone)),
        ...toolsFor(designOf(assignmentOf(exercise)), built, exercise.tests !== null),
      }
    })
}

/** Pieces of the same cable together, cut from the drums that waste least. */
function sessionCables(bays: StoresExercise['bays']): StoresCable[] {
  const needs = bays.flatMap(({ bay, materials }) => materials.cables.map((cable) => ({ ...cable, bay })))
  const kinds = new Map<string, typeof needs>()
  for (const need of needs) {
    const key = `${need.kind} ${need.phases} ${need.lineMm2}`
    kinds.set(key, [...(kinds.get(key) ?? []), need])
  }
  return [...kinds.values()].map((same) => {
    const { kind, phases, lineMm2, cpcMm2 } = same[0]!
    const totalM = same.reduce((sum, { lengthM }) => sum + lengthM, 0)
    return {
      kind,
      phases,
      lineMm2,
      cpcMm2,
      totalM,
      ...bestDrums(same.map(({ bay, lengthM }) => ({ forWhom: `bay ${bay}`, lengthM }))),
    }
  })
}
