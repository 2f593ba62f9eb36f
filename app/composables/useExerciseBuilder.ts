import { taskAdvice } from '#core/design/advice'
import { referenceDesign } from '#core/design/reference'
import { toForm, readForm, FORM_FIELDS, type ExerciseForm, type FormField } from '#core/exercise/form'
import { mergeFields, type Conflict } from '#core/merge/three-way'
import { expectedReadings } from '#core/results/expected'
import { makeVariants } from '#core/variants/variants'
import type { CentreView, StoredExercise } from '#schemas/views'

const PREVIEW_COUNT = 12

/** A new exercise to begin with: solvable, and without anything that has to be deleted first. */
const BLANK: ExerciseForm = {
  code: '', title: '', circuitName: '', scenario: '', arrangement: 'TN-C-S', ze: '0.35', ipf: '0.66 kA', use: 'sockets', premises: 'industrial', location: 'general',
  concealed: 'no', basis: 'power', power: '2500', powerFactor: '1', current: '', length: '20', cable: 'flat-twin-earth', method: 'C', ambient: '30', circuits: '1',
  bunching: 'bunched', family: 'rcbo', curve: 'B', residual: '30', seed: '1', lengthSpread: '15 %', loadSpread: '10 %', criteria: '',
}

/** An exercise being written: the form, the design that follows from it as it is typed, and saving it against others. */
export function useExerciseBuilder(id: number | null) {
  const { call } = useApi()
  const form = reactive<ExerciseForm>({ ...BLANK })
  const stored = shallowRef<StoredExercise | null>(null)
  const centre = shallowRef<CentreView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const conflicts = ref<readonly Conflict[]>([])
  const isBusy = ref(false)
  const base = ref<ExerciseForm>({ ...BLANK })

  /** A set exercise keeps the policy that was in force then; a draft will take the present one. */
  const measuredZs = computed(() => (stored.value?.state === 'set' ? stored.value.exercise.task.measuredZs : centre.value?.policies.measuredZs ?? 'eighty-percent'))
  const read = computed(() => readForm(form, measuredZs.value))
  const design = computed(() => (centre.value && read.value.task ? referenceDesign(read.value.task) : null))
  const readings = computed(() => (design.value?.ok && read.value.task ? expectedReadings(read.value.task, design.value) : []))
  const advice = computed(() => (design.value?.ok && read.value.task ? taskAdvice(read.value.task, design.value.values.in) : []))
  const variants = computed(() => (read.value.exercise && design.value?.ok ? makeVariants(read.value.exercise, PREVIEW_COUNT) : null))
  const isChanged = computed(() => FORM_FIELDS.some((field) => form[field] !== base.value[field]))

  async function load(): Promise<void> {
    try {
      const [place, exercise] = await Promise.all([call<CentreView>('GET', 'centre'), id === null ? null : call<StoredExercise>('GET', `exercises/${id}`)])
      if (exercise) adopt(exercise)
      else form.criteria = place.framework?.units.flatMap((unit) => unit.criteria.map((criterion) => criterion.code)).join(' ') ?? ''
      base.value = { ...form }
      // Only now is there something true to show.
      centre.value = place
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  function adopt(exercise: StoredExercise): void {
    stored.value = exercise
    Object.assign(form, toForm(exercise.exercise))
    base.value = { ...form }
  }

  /** Saves; what somebody else saved in between is merged field by field, and only real conflicts are asked about. */
  async function save(): Promise<boolean> {
    const { exercise } = read.value
    if (!exercise) return false
    isBusy.value = true
    try {
      if (stored.value === null) {
        const created = await call<StoredExercise>('POST', 'exercises', exercise)
        adopt(created)
        await navigateTo(`/exercises/${created.id}`, { replace: true })
      } else {
        adopt(await call<StoredExercise>('PUT', `exercises/${stored.value.id}`, { version: stored.value.version, exercise }))
      }
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

  function takeTheirs(theirs: StoredExercise): void {
    const fields = toForm(theirs.exercise)
    const merged = mergeFields(base.value, { ...form }, fields)
    Object.assign(form, merged.fields)
    base.value = fields
    stored.value = theirs
    conflicts.value = merged.conflicts
    ElMessage({ type: 'warning', message: `${theirs.updatedBy} saved this exercise in the meantime. Both changes are put together here; look once more and save.`, duration: 8000, showClose: true })
  }

  function choose(field: string, text: string): void {
    form[field as FormField] = text
    conflicts.value = conflicts.value.filter((conflict) => conflict.field !== field)
  }

  async function setFor(cohort: string): Promise<number | null> {
    if (isChanged.value && !(await save())) return null
    isBusy.value = true
    try {
      const { given } = await call<{ given: number }>('POST', `exercises/${stored.value!.id}/set`, { version: stored.value!.version, cohort })
      await load()
      return given
    } catch (error) {
      showProblem(error)
      return null
    } finally {
      isBusy.value = false
    }
  }

  return { form, stored, centre, problem, conflicts, isBusy, isChanged, read, design, advice, readings, variants, load, save, choose, setFor }
}
