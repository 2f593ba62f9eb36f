import { LRUCache } from 'lru-cache'
import { assignmentOf, builtCircuits, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { bestDrums, cutFromStock, type StockDrum } from '#core/design/materials/drums'
import { materialsOf } from '#core/design/materials/materials'
import type { Materials } from '#core/design/materials/needs'
import { toolsFor } from '#core/design/materials/tools'
import type { StoresCable, StoresExercise, StoresItem } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { groupShown } from './exercises'

/** Exercises that somebody has in hand, and which groups. */
export function listStores({ repos }: Context, actor: Person): StoresItem[] {
  allow(actor, 'stores.see')
  const exerciseOf = repos.exercises.lookup()
  const byExercise = new Map<number, { cohort: string; people: number }[]>()
  for (const { exerciseId, cohort, n } of repos.attempts.groupsAtWork())
    byExercise.set(exerciseId, [...(byExercise.get(exerciseId) ?? []), { cohort, people: n }])
  return [...byExercise]
    .map(([id, groups]) => {
      const { code, title } = exerciseOf(id).exercise
      return { id, code, title, groups }
    })
    .sort((a, b) => a.code.localeCompare(b.code))
}

/** Materials of a sheet follow from its installation, which never changes once it is given. */
const MATERIALS = new WeakMap<Context['repos']['attempts'], LRUCache<number, Materials>>()
const MOST_MATERIALS = 2000

function materialsFor({ repos }: Pick<Context, 'repos'>, exercise: Exercise, attempt: Attempt): Materials {
  const kept = MATERIALS.get(repos.attempts) ?? new LRUCache<number, Materials>({ max: MOST_MATERIALS })
  MATERIALS.set(repos.attempts, kept)
  const known = kept.get(attempt.id)
  if (known) return known
  // What is wired at the bay is laid out; of a design alone everything, so that it can be priced.
  const made = materialsOf(designOf(assignmentOf(exercise, attempt.installation)), builtCircuits(exercise))
  kept.set(attempt.id, made)
  return made
}

/**
 * What each bay of one group needs laid out for an exercise, and the whole session's cable on its drums. Worked from
 * each variant.
 */
export function showStores(
  { repos }: Context,
  actor: Person,
  id: number,
  wanted: string | null = null,
): StoresExercise {
  allow(actor, 'stores.see')
  const { exercise } = found(repos.exercises.byId(id))
  const shown = groupShown({ repos }, actor, id, wanted)
  const bays = repos.attempts
    .ofGroup(id, shown.cohort)
    .map((attempt) => ({
      bay: attempt.bay,
      name: attempt.personName,
      isDone: attempt.stage === 'released',
      scopes: Object.fromEntries(
        [...attempt.installation.circuits, ...attempt.installation.boards].map((part) => [
          part.id,
          part.name,
        ]),
      ),
      materials: materialsFor({ repos }, exercise, attempt),
    }))
  const open = bays.filter(({ isDone }) => !isDone)
  return {
    id,
    code: exercise.code,
    title: exercise.title,
    ...shown,
    bays,
    cables: sessionCables(open, stockByCable({ repos })),
    ...toolsFor(designOf(assignmentOf(exercise)), builtCircuits(exercise), exercise.tests !== null),
  }
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
