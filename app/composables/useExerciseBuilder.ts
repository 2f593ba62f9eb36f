import { installationAdvice, type Advice } from '#core/design/advice'
import { referenceDesign, type InstallationDesign, type ScopeDesign } from '#core/design/reference'
import { DEFAULT_POLICY, type Policy } from '#core/policies/policy'
import type { ExerciseForm, FormProblems } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import { NEW_CIRCUIT } from '#core/exercise/form/rows'
import { prefixed, toForm } from '#core/exercise/form/to-form'
import { ASK_SETS } from '#core/exercise/usual-asks'
import { mergeFields, type Conflict } from '#core/exercise/three-way-merge'
import type { Edition } from '#core/regulations/editions'
import { formSentences } from '#words/form'
import type { CentreView, StoredExercise } from '#schemas/views'

/** A new exercise to begin with: solvable, and without anything that has to be deleted first. */
const BLANK: ExerciseForm = {
  code: '',
  title: '',
  scenario: '',
  kind: 'new-circuit',
  minutes: '120',
  edition: '18-A2',
  premises: 'industrial',
  consequence: 'none',
  arrangement: 'TN-C-S',
  phases: '1',
  ze: '0.35',
  ipf: '0.66 kA',
  mainFuse: '100',
  neutral: '25',
  tests: 'c1',
  askCircuits: 'c1',
  askSteps: ASK_SETS.first.join(' '),
  marks: '',
  critical: '',
  criteria: '',
  seed: '1',
  lengthSpread: '15 %',
  loadSpread: '10 %',
  boards: 'b1',
  circuits: 'c1',
  ...prefixed('b1', { name: 'Workshop board', phases: '1', ways: '6', fedBy: '', electrode: '' }),
  ...prefixed('c1', NEW_CIRCUIT),
}

const MOST_UNDO = 200
/** A hand that rests this long has finished its number. */
const PAUSE_MS = 350

/** Circuits and boards that came out as before stay the same objects: only what changed is drawn again. */
function keepParts(old: InstallationDesign | null | undefined, next: InstallationDesign): InstallationDesign {
  if (!old) return next
  const same = <T extends ScopeDesign & { readonly task: unknown }>(
    parts: readonly T[],
    before: readonly T[],
  ): T[] =>
    parts.map((part) => {
      const other = before.find(({ scope }) => scope === part.scope)
      return other &&
        JSON.stringify([other.task, other.stopped, other.values]) ===
          JSON.stringify([part.task, part.stopped, part.values])
        ? other
        : part
    })
  return { ok: next.ok, circuits: same(next.circuits, old.circuits), boards: same(next.boards, old.boards) }
}

/** An exercise being written: the form, the design that follows from it as it is typed, and saving it against others. */
export function useExerciseBuilder(id: number | null) {
  const { call } = useApi()
  const shared = useCentre()
  const form = shallowRef<ExerciseForm>({ ...BLANK })
  const undone: ExerciseForm[] = []
  const stored = shallowRef<StoredExercise | null>(null)
  const centre = shallowRef<CentreView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const conflicts = ref<readonly Conflict[]>([])
  const isBusy = ref(false)
  const base = shallowRef<ExerciseForm>({ ...BLANK })
  const place = devicePlace('exercise', useSession().person!.id, id ?? 'new')
  /** Typed here and kept on this device, but not saved. */
  const isBack = ref(false)

  /** A set exercise keeps the policy that was in force then; a draft will take the present one. */
  const policy = computed<Policy>(() =>
    stored.value?.state === 'set' ? stored.value.exercise.policy : (centre.value?.policies ?? DEFAULT_POLICY),
  )
  const read = computed(() => {
    const { problems, ...rest } = readForm(form.value, policy.value)
    return { ...rest, problems: formSentences(problems) }
  })
  const design = computed<InstallationDesign | null>((old) => {
    const { installation } = read.value
    return centre.value && installation && installation.boards.length > 0
      ? keepParts(
          old,
          referenceDesign(installation, {
            edition: form.value.edition as Edition,
            measuredZs: policy.value.measuredZs,
            warmDrop: policy.value.warmDrop,
          }),
        )
      : null
  })
  const advice = computed(() =>
    design.value && read.value.installation ? installationAdvice(read.value.installation, design.value) : [],
  )
  /** While a number is half typed, words and derivation keep what they said: rows stay where they are under the hand. */
  const isTyping = ref(false)
  let pause: ReturnType<typeof setTimeout> | undefined
  const said = computed<{
    readonly problems: FormProblems
    readonly design: InstallationDesign | null
    readonly advice: readonly Advice[]
  }>((old) =>
    old && isTyping.value
      ? old
      : { problems: read.value.problems, design: design.value, advice: advice.value },
  )
  const readings = useExpectedReadings(() => {
    const { tests, edition } = form.value
    const installation = read.value.installation
    const isCircuit = said.value.design?.circuits.some(({ scope }) => scope === tests)
    return isCircuit && installation && !isTyping.value
      ? { edition: edition as Edition, policy: policy.value, installation, tests: tests! }
      : undefined
  })
  function noteTyping(): void {
    isTyping.value = true
    clearTimeout(pause)
    pause = setTimeout(() => (isTyping.value = false), PAUSE_MS)
  }
  onScopeDispose(() => clearTimeout(pause))
  const isChanged = computed(() => {
    const [now, then] = [form.value, base.value]
    return Object.keys({ ...now, ...then }).some((key) => now[key] !== then[key])
  })

  async function load(): Promise<void> {
    try {
      const [place, exercise] = await Promise.all([
        shared.refresh().then(() => shared.data.value ?? Promise.reject(shared.problem.value)),
        id === null ? null : call<StoredExercise>('GET', `exercises/${id}`),
      ])
      if (exercise) adopt(exercise)
      else
        form.value = {
          ...form.value,
          criteria:
            place.framework?.units
              .flatMap((unit) => unit.criteria.map((criterion) => criterion.code))
              .join(' ') ?? '',
        }
      base.value = form.value
      await layBack()
      // Only now is there something true to show.
      centre.value = place
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  /** Lays what was typed here, and neither saved nor thrown away, over what the server has. */
  async function layBack(): Promise<void> {
    const kept = await place.read()
    if (!kept || stored.value?.state === 'set') return
    const merged = mergeFields(kept.base, kept.mine, { ...form.value })
    form.value = merged.fields
    conflicts.value = merged.conflicts
    isBack.value = isChanged.value
  }
  watch([form, base], () => {
    if (centre.value === null) return
    if (isChanged.value) place.keep({ base: base.value, mine: form.value })
    else void place.forget()
  })
  /** Throws away what was typed and not saved. */
  function discard(): void {
    form.value = base.value
    isBack.value = false
  }

  function adopt(exercise: StoredExercise): void {
    stored.value = exercise
    form.value = toForm(exercise.exercise)
    base.value = form.value
  }

  /** Typing in one box is one step to take back; every change of rows is one. */
  let typingIn: string | null = null
  function step(next: ExerciseForm, key: string | null): void {
    if (key === null || key !== typingIn) {
      undone.push(form.value)
      if (undone.length > MOST_UNDO) undone.shift()
    }
    typingIn = key
    if (key === null) isTyping.value = false
    else noteTyping()
    form.value = next
  }
  const write = (key: string, text: string): void => step({ ...form.value, [key]: text }, key)
  const change = (next: ExerciseForm): void => step(next, null)
  function undo(): void {
    const before = undone.pop()
    typingIn = null
    isTyping.value = false
    if (before) form.value = before
  }

  /** Saves; what somebody else saved in between is merged box by box, and only real conflicts are asked about. */
  async function save(): Promise<boolean> {
    const { exercise } = read.value
    if (!exercise) return false
    return run(async () => {
      if (stored.value === null) {
        const created = await call<StoredExercise>('POST', 'exercises', exercise)
        adopt(created)
        await navigateTo(`/exercises/${created.id}`, { replace: true })
      } else {
        adopt(
          await call<StoredExercise>('PUT', `exercises/${stored.value.id}`, {
            version: stored.value.version,
            exercise,
          }),
        )
      }
    })
  }

  function takeTheirs(theirs: StoredExercise): void {
    const fields = toForm(theirs.exercise)
    const merged = mergeFields(base.value, { ...form.value }, fields)
    form.value = merged.fields
    base.value = fields
    stored.value = theirs
    conflicts.value = merged.conflicts
    ElMessage({
      type: 'warning',
      message: `${theirs.updatedBy} saved this exercise in the meantime. Both changes are put together here; look once more and save.`,
      duration: 8000,
      showClose: true,
    })
  }

  function choose(field: string, text: string): void {
    write(field, text)
    conflicts.value = conflicts.value.filter((conflict) => conflict.field !== field)
  }

  async function setFor(cohort: string): Promise<number | null> {
    if (isChanged.value && !(await save())) return null
    let given: number | null = null
    await run(async () => {
      given = (
        await call<{ given: number }>('POST', `exercises/${stored.value!.id}/set`, {
          version: stored.value!.version,
          cohort,
        })
      ).given
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
    read,
    design,
    said,
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
