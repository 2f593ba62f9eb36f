import type { Override } from '#core/assessment/marking/proposal'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import type { MarkingView } from '#schemas/marking-views'

/** One attempt on the marking desk: proposed marks, the assessor's changes to them, the feedback, the decision. */
export function useMarking(id: () => number) {
  const { call } = useApi()
  const view = shallowRef<MarkingView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const isBusy = ref(false)
  const places = usePlaces()
  const assessor = useSession().person!.id
  const box = useFeedbackBox(
    (text) => save(view.value!.draft.overrides, text),
    () =>
      places(`marking/${assessor}/${id()}`, {
        what: 'Feedback',
        page: `/marking/${id()}`,
        delivery: { path: `marking/${id()}`, shape: 'feedback' },
      }),
  )

  /** What comes of a sheet that has been left meanwhile is of no other. */
  function take(next: MarkingView): void {
    if (next.attempt.id !== id()) return
    view.value = next
    void box.take(next)
  }

  async function load(): Promise<void> {
    const asked = id()
    try {
      take(await call<MarkingView>('GET', `marking/${asked}`))
      if (asked === id()) problem.value = null
    } catch (error) {
      if (asked === id()) problem.value = error as ApiProblem
    }
  }

  async function save(overrides: readonly Override[], text: string | null): Promise<void> {
    const current = view.value!
    try {
      take(
        await call<MarkingView>('PUT', `marking/${current.attempt.id}`, {
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

  const keptFeedback = () => (box.state.value !== 'saved' ? box.feedback.value : view.value!.draft.feedback)

  const override = (item: ItemKey, verdict: 'right' | 'wrong', reason: string): Promise<boolean> =>
    run(() => {
      const others = view.value!.draft.overrides.filter((o) => o.item !== item)
      return save([...others, { item, verdict, reason }], keptFeedback())
    })

  const clearOverride = (item: ItemKey): Promise<boolean> =>
    run(() =>
      save(
        view.value!.draft.overrides.filter((o) => o.item !== item),
        keptFeedback(),
      ),
    )

  /** Puts the assembled text back in place of the assessor's own. */
  const resetFeedback = () =>
    run(async () => {
      box.giveUp()
      await save(view.value!.draft.overrides, null)
    })

  /** The sheet with its feedback saved; undefined where that failed, or where another one is shown by now. */
  async function saved(): Promise<MarkingView | undefined> {
    const { attempt } = view.value!
    const isSaved = await box.save()
    return isSaved && view.value?.attempt.id === attempt.id ? view.value : undefined
  }
  const decide = () =>
    run(async () => {
      const whole = await saved()
      if (!whole) return
      const { attempt, draft, seen } = whole
      take(
        await call<MarkingView>('POST', `marking/${attempt.id}/decision`, { version: draft.version, seen }),
      )
    })
  const release = () =>
    run(async () => {
      const whole = await saved()
      if (whole) take(await call<MarkingView>('POST', `marking/${whole.attempt.id}/release`))
    })

  async function run(work: () => Promise<void>): Promise<boolean> {
    if (isBusy.value || !view.value) return false
    isBusy.value = true
    try {
      await work()
      return true
    } catch (error) {
      const { code, extra } = error as ApiProblem
      if (code !== 'stale') showProblem(error)
      // What it rests on was changed by somebody else: it shows as it is now, and is looked at again.
      if (code === 'changedSince') take(extra.theirs as MarkingView)
      return false
    } finally {
      isBusy.value = false
    }
  }

  watch(
    id,
    () => {
      // Until the next sheet has come there is none to act on.
      view.value = null
      box.turn()
      void load()
    },
    { immediate: true },
  )

  return {
    view,
    problem,
    isBusy,
    feedback: box.feedback,
    feedbackState: box.state,
    load,
    override,
    clearOverride,
    writeFeedback: box.write,
    addComment: box.add,
    resetFeedback,
    decide,
    release,
  }
}
