import type { Role } from '#core/exercise/roster'
import type { NeedsView } from '#schemas/floor'
import type { BookInForce } from '#schemas/book-views'
import type { CentreView, ExerciseListItem, FloorView, PersonView } from '#schemas/views'

type Shared<T> = ReturnType<typeof useServer<T>>

/**
 * What several screens read of the server, once for all of them. A screen that opens shows at once what is here and
 * asks anew; loading, refreshing and failing are those of `useServer`. Somebody else at this device starts with nothing.
 */
function shared<T>(path: string, isFor: (role: Role) => boolean = () => true): () => Shared<T> {
  const useStore = defineStore(`shared/${path}`, () => {
    const session = useSession()
    return useServer<unknown>(() => (session.person && isFor(session.person.role) ? path : null))
  })
  return () => {
    const store = useStore()
    if (store.data !== null || store.problem !== null) void store.refresh()
    return { ...storeToRefs(store), refresh: store.refresh } as Shared<T>
  }
}

export const useBookInForce = shared<BookInForce>('book/in-force')
export const useCentre = shared<CentreView>('centre')
export const useCohorts = shared<string[]>('cohorts')
export const useExercises = shared<ExerciseListItem[]>('exercises')
export const useFloorView = shared<FloorView>('floor')
export const useNeedsView = shared<NeedsView>(
  'needs',
  (role) => role !== 'apprentice' && role !== 'technician',
)
export const usePeople = shared<PersonView[]>('people')
