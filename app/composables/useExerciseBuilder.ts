import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'
import type { BookChange } from '#core/regulations/book/change'
import type { ExerciseForm } from '#core/exercise/form/fields'
import { toForm } from '#core/exercise/form/to-form'
import type { BookInForce } from '#schemas/book-views'
import type { CentreView, StoredExercise } from '#schemas/views'

/**
 * An exercise being written: the form, the design that follows from it as it is typed, and saving it against
 * others.
 */
export function useExerciseBuilder(id: number | null) {
  const { call } = useApi()
  const shared = useCentre()
  const inForce = useBookInForce()
  const stored = shallowRef<StoredExercise | null>(null)
  const centre = shallowRef<CentreView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const isBusy = ref(false)
  const isReady = () => centre.value !== null && inForce.data.value !== null
  const kept = useKeptForm(
    useDevicePlace(`exercise/${useSession().person!.id}/${id ?? 'new'}`, {
      what: id === null ? 'New exercise' : 'Exercise',
      page: `/exercises/${id ?? 'new'}`,
      delivery: null,
    }),
    isReady,
  )
  const { form, isChanged } = kept

  const { policy, book } = useRulesOf(stored, centre, inForce.data)
  const typed = useDesignAsTyped({ form, policy, book, isReady })

  async function load(): Promise<void> {
    try {
      const [place, exercise] = await Promise.all([
        shared.refresh().then(() => shared.data.value ?? Promise.reject(shared.problem.value)),
        id === null ? null : call<StoredExercise>('GET', `exercises/${id}`),
      ])
      if (exercise) adopt(exercise)
      else kept.adopt({ ...form.value, criteria: everyCriterion(place) })
      if (stored.value?.state !== 'set') await kept.layBack()
      // Only now is there something true to show.
      centre.value = place
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  function adopt(exercise: StoredExercise, sent?: ExerciseForm): void {
    stored.value = exercise
    kept.adopt(toForm(exercise.exercise), sent)
  }

  function write(key: string, text: string): void {
    typed.noteTyping()
    kept.step({ ...form.value, [key]: text }, key)
  }
  function change(next: ExerciseForm): void {
    typed.isTyping.value = false
    kept.step(next, null)
  }
  function undo(): void {
    typed.isTyping.value = false
    kept.undo()
  }

  /** Saves; what somebody else saved in between is merged box by box, and only real conflicts are asked about. */
  async function save(): Promise<boolean> {
    const { exercise } = typed.newest()
    if (!exercise) return false
    return run(async () => {
      const [before, sent] = [stored.value, form.value]
      if (before) {
        const body = { version: before.version, exercise }
        return adopt(await call('PUT', `exercises/${before.id}`, body), sent)
      }
      adopt(await call('POST', 'exercises', exercise), sent)
      // Typed on meanwhile: the page that opens now reads it from the server.
      if (isChanged.value) await save()
      await navigateTo(`/exercises/${stored.value!.id}`, { replace: true })
    })
  }

  function takeTheirs(theirs: StoredExercise): void {
    kept.merge(toForm(theirs.exercise))
    stored.value = theirs
    ElMessage({
      type: 'warning',
      message: `${theirs.updatedBy} saved this exercise in the meantime. Both changes are put together here; look once more and save.`,
      duration: 8000,
      showClose: true,
    })
  }

  function choose(field: string, text: string): void {
    write(field, text)
    kept.settle(field)
  }

  async function setFor(cohort: string): Promise<number | null> {
    if (isChanged.value && !(await save())) return null
    let given: number | null = null
    await run(async () => {
      const { id: exercise, version } = stored.value!
      ;({ given } = await call<{ given: number }>('POST', `exercises/${exercise}/set`, { version, cohort }))
      await load()
    })
    return given
  }

  async function run(work: () => Promise<void>): Promise<boolean> {
    isBusy.value = true
    try {
      await work()
      return true
    } catch (error) {
      const refusal = error as ApiProblem
      if (refusal.code === 'stale') takeTheirs(refusal.extra.theirs as StoredExercise)
      else showProblem(refusal)
      return false
    } finally {
      isBusy.value = false
    }
  }

  const { conflicts, isBack, discard } = kept
  const { read, design, shown, readings } = typed
  return {
    form,
    stored,
    centre,
    problem,
    conflicts,
    isBusy,
    isChanged,
    isBack,
    discard,
    policy,
    book,
    read,
    design,
    shown,
    readings,
    load,
    write,
    change,
    undo,
    save,
    choose,
    setFor,
  }
}

/** A set exercise keeps the policy and the book that were in force then; a draft will take the present ones. */
function useRulesOf(
  stored: Readonly<Ref<StoredExercise | null>>,
  centre: Readonly<Ref<CentreView | null>>,
  inForce: Readonly<Ref<BookInForce | null>>,
) {
  const kept = computed(() => (stored.value?.state === 'set' ? stored.value.exercise : null))
  return {
    policy: computed<Policy>(() => kept.value?.policy ?? centre.value?.policies ?? DEFAULT_POLICY),
    book: computed<readonly BookChange[]>(() =>
      kept.value ? (kept.value.book ?? []) : (inForce.value?.changes ?? []),
    ),
  }
}

/** A new exercise shows all of the framework until somebody chooses. */
const everyCriterion = ({ framework }: CentreView): string =>
  framework?.units.flatMap(({ criteria }) => criteria.map(({ code }) => code)).join(' ') ?? ''
