import { installationAdvice, type Advice } from '#core/design/advice'
import { referenceDesign, type InstallationDesign, type ScopeDesign } from '#core/design/reference'
import type { Policy } from '#core/policies/policy'
import type { ExerciseForm, FormProblems } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import type { Book } from '#core/regulations/book/book'
import type { BookChange } from '#core/regulations/book/change'
import type { Edition } from '#core/regulations/editions'
import { formSentences } from '#words/form'

/** A hand that rests this long has finished its number. */
const PAUSE_MS = 350

type Part = ScopeDesign & { readonly task: { readonly book: Book } }

/** Circuits and boards that came out as before stay the same objects: only what changed is drawn again. */
function keepParts(old: InstallationDesign | null | undefined, next: InstallationDesign): InstallationDesign {
  if (!old) return next
  const sameText = ({ task, stopped, values }: Part) =>
    JSON.stringify([{ ...task, book: null }, stopped, values])
  const same = <T extends Part>(parts: readonly T[], before: readonly T[]): T[] =>
    parts.map((part) => {
      const other = before.find(({ scope }) => scope === part.scope)
      return other && other.task.book === part.task.book && sameText(other) === sameText(part) ? other : part
    })
  return { ok: next.ok, circuits: same(next.circuits, old.circuits), boards: same(next.boards, old.boards) }
}

interface Typed {
  readonly form: Readonly<Ref<ExerciseForm>>
  readonly policy: Readonly<Ref<Policy>>
  readonly book: Readonly<Ref<readonly BookChange[]>>
  /** The centre is there: only then is there something true to show. */
  readonly isReady: () => boolean
}

/** What is shown beside the boxes. */
interface Shown {
  readonly problems: FormProblems
  readonly design: InstallationDesign | null
  readonly advice: readonly Advice[]
}

/**
 * The design that follows from a form as it is typed, its problems, advice and expected readings. Whoever saves
 * asks for the newest.
 */
export function useDesignAsTyped({ form, policy, book, isReady }: Typed) {
  const { followed, catchUp } = useFollowed(form)
  const read = computed(() => {
    const { problems, ...rest } = readForm(followed.value, policy.value)
    return { ...rest, problems: formSentences(problems) }
  })
  const design = computed<InstallationDesign | null>((old) => {
    const { installation } = read.value
    if (!isReady() || !installation || installation.boards.length === 0) return null
    const { measuredZs, warmDrop } = policy.value
    const edition = followed.value.edition as Edition
    return keepParts(
      old,
      referenceDesign(installation, { edition, measuredZs, warmDrop, changes: book.value }),
    )
  })
  const advice = computed(() =>
    design.value && read.value.installation ? installationAdvice(read.value.installation, design.value) : [],
  )

  /**
   * While a number is half typed, words and derivation keep what they said: rows stay where they are under
   * the hand.
   */
  const isTyping = ref(false)
  let pause: ReturnType<typeof setTimeout> | undefined
  function noteTyping(): void {
    isTyping.value = true
    clearTimeout(pause)
    pause = setTimeout(() => (isTyping.value = false), PAUSE_MS)
  }
  onScopeDispose(() => clearTimeout(pause))
  const shown = computed<Shown>((old) =>
    old && isTyping.value
      ? old
      : { problems: read.value.problems, design: design.value, advice: advice.value },
  )
  const readings = useExpectedReadings(() => {
    const { tests, edition } = followed.value
    const { installation } = read.value
    const isCircuit = shown.value.design?.circuits.some(({ scope }) => scope === tests)
    return isCircuit && installation && !isTyping.value
      ? { edition: edition as Edition, policy: policy.value, book: book.value, installation, tests: tests! }
      : undefined
  })
  function newest() {
    catchUp()
    return read.value
  }
  return { read, design, shown, readings, isTyping, noteTyping, newest }
}
