import { onScopeDispose, ref } from 'vue'
import type { MarkingView } from '#schemas/marking-views'

const PAUSE_MS = 900

/** The feedback of one attempt while it is typed: saved after a pause, kept in the box where that fails. */
export function useFeedbackBox(saveText: (text: string) => Promise<void>) {
  const feedback = ref('')
  const state = ref<'saved' | 'editing' | 'saving'>('saved')
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What the server has, unless something is being typed here. */
  function take({ draft, attempt, decision, suggestedFeedback }: MarkingView): void {
    if (state.value === 'editing') return
    feedback.value = draft.feedback ?? (attempt.stage === 'released' ? decision!.feedback : suggestedFeedback)
  }

  function write(text: string): void {
    feedback.value = text
    state.value = 'editing'
    clearTimeout(timer)
    timer = setTimeout(() => void save(), PAUSE_MS)
  }

  async function save(): Promise<boolean> {
    clearTimeout(timer)
    if (state.value !== 'editing') return true
    const text = feedback.value
    state.value = 'saving'
    try {
      await saveText(text)
      state.value = feedback.value === text ? 'saved' : 'editing'
      return true
    } catch {
      // Stays in the box; the next change or the decision sends it again.
      feedback.value = text
      state.value = 'editing'
      return false
    }
  }

  /** Adds a sentence of the bank as a paragraph of its own. */
  const add = (text: string): void => write([feedback.value.trim(), text].filter(Boolean).join('\n\n'))
  /** The next text is the server's. */
  const giveUp = (): void => void (state.value = 'saved')

  onScopeDispose(() => void save())
  return { feedback, state, take, write, save, add, giveUp }
}
