import { assignmentOf, builtCircuits, designOf } from '#core/exercise/assignment'
import { bestDrums, cutFromStock, type StockDrum } from '#core/design/materials/drums'
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
  const stock = stockByCable({ repos })
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
        cables: sessionCables(
          bays.filter(({ isDone }) => !isDone),
          stock,
        ),
        ...toolsFor(designOf(assignmentOf(exercise)), built, exercise.tests !== null),
      }
    })
}

type Stock = ReadonlyMap<string, readonly StockDrum[]>
/** What is on the drums of the store, by cable. */
export function stockByCable({ repos }: Pick<Context, 'repos'>): Stock {
  const stock = new Map<string, StockDrum[]>()
  for (const { cable, label, leftM } of repos.stock.drums())
    stock.set(cable, [...(stock.get(cable) ?? []), { label, leftM }])
  return stock
}

/** Pieces of the same cable together, cut from what is on the drums; what is missing from new ones that waste least. */
function sessionCables(bays: StoresExercise['bays'], stock: Stock): StoresCable[] {
  const needs = bays.flatMap(({ bay, materials }) => materials.cables.map((cable) => ({ ...cable, bay })))
  const kinds = new Map<string, typeof needs>()
  for (const need of needs) {
    const key = `${need.kind} ${need.phases} ${need.lineMm2}`
    kinds.set(key, [...(kinds.get(key) ?? []), need])
  }
  return [...kinds.values()].map((same) => {
    const { kind, phases, lineMm2, cpcMm2 } = same[0]!
    const totalM = same.reduce((sum, { lengthM }) => sum + lengthM, 0)
    const pieces = same.map(({ bay, lengthM }) => ({ forWhom: `bay ${bay}`, lengthM }))
    const cut = cutFromStock(pieces, stock.get(`${kind} ${phases} ${lineMm2}`) ?? [])
    const bought = bestDrums(cut.missing)
    return {
      kind,
      phases,
      lineMm2,
      cpcMm2,
      totalM,
      drumM: bought.drumM,
      drums: [...cut.drums, ...bought.drums],
    }
  })
}
