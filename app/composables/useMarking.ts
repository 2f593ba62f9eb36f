import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/framework'
import type { MarkingView } from '#schemas/marking-views'

/** One attempt on the marking desk: proposed marks, the assessor's changes to them, the feedback, the decision. */
export function useMarking(id: () => number) {
  const { call } = useApi()
  const view = shallowRef<MarkingView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const isBusy = ref(false)
  const feedback = ref('')
  const feedbackState = ref<'saved' | 'editing' | 'saving'>('saved')
  let timer: ReturnType<typeof setTimeout> | undefined

  function take(next: MarkingView): void {
    view.value = next
    if (feedbackState.value !== 'editing')
      feedback.value =
        next.draft.feedback ??
        (next.attempt.stage === 'released' ? next.decision!.feedback : next.suggestedFeedback)
  }

  async function load(): Promise<void> {
    try {
      take(await call<MarkingView>('GET', `marking/${id()}`))
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  async function save(overrides: readonly Override[], text: string | null): Promise<void> {
    const current = view.value!
    try {
      take(
        await call<MarkingView>('PUT', `marking/${id()}`, {
          version: current.draft.version,
          overrides,
          feedback: text,
        }),
      )
    } catch (error) {
      const { code } = showProblem(error)
      if (code === 'stale') await load()
      throw error
    }
  }

  const keptFeedback = () => (feedbackState.value === 'editing' ? feedback.value : view.value!.draft.feedback)

  async function override(item: ItemKey, verdict: 'right' | 'wrong', reason: string): Promise<boolean> {
    const others = view.value!.draft.overrides.filter((o) => o.item !== item)
    return run(() => save([...others, { item, verdict, reason }], keptFeedback()))
  }

  const clearOverride = (item: ItemKey): Promise<boolean> =>
    run(() =>
      save(
        view.value!.draft.overrides.filter((o) => o.item !== item),
        keptFeedback(),
      ),
    )

  function writeFeedback(text: string): void {
    feedback.value = text
    feedbackState.value = 'editing'
    clearTimeout(timer)
    timer = setTimeout(() => void saveFeedback(), 900)
  }

  async function saveFeedback(): Promise<boolean> {
    clearTimeout(timer)
    if (feedbackState.value !== 'editing') return true
    const text = feedback.value
    feedbackState.value = 'saving'
    try {
      await save(view.value!.draft.overrides, text)
      feedbackState.value = feedback.value === text ? 'saved' : 'editing'
      return true
    } catch {
      // Stays in the box; the next change or the decision sends it again.
      feedback.value = text
      feedbackState.value = 'editing'
      return false
    }
  }

  /** Adds a sentence of the bank as a paragraph of its own. */
  const addComment = (text: string): void =>
    writeFeedback([feedback.value.trim(), text].filter(Boolean).join('\n\n'))

  /** Puts the assembled text back in place of the assessor's own. */
  const resetFeedback = () =>
    run(async () => {
      feedbackState.value = 'saved'
      await save(view.value!.draft.overrides, null)
    })

  const decide = () =>
    run(async () => {
      if (!(await saveFeedback())) return
      take(
        await call<MarkingView>('POST', `marking/${id()}/decision`, { version: view.value!.draft.version }),
      )
    })
  const release = () =>
    run(async () => {
      if (!(await saveFeedback())) return
      take(await call<MarkingView>('POST', `marking/${id()}/release`))
    })

  async function run(work: () => Promise<void>): Promise<boolean> {
    if (isBusy.value) return false
    isBusy.value = true
    try {
      await work()
      return true
    } catch (error) {
      if ((error as ApiProblem).code !== 'stale') showProblem(error)
      return false
    } finally {
      isBusy.value = false
    }
  }

  watch(
    id,
    () => {
      feedbackState.value = 'saved'
      void load()
    },
    { immediate: true },
  )
  onScopeDispose(() => void saveFeedback())

  return {
    view,
    problem,
    isBusy,
    feedback,
    feedbackState,
    load,
    override,
    clearOverride,
    writeFeedback,
    addComment,
    resetFeedback,
    decide,
    release,
  }
}
