import { onScopeDispose, ref } from 'vue'
import type { MarkingView } from '#schemas/marking-views'
import type { DevicePlace } from '~/utils/device-copy'

const PAUSE_MS = 900
const RETRY_MS = 4000

/**
 * The feedback of one attempt while it is typed: on this device at once, at the server after a pause. What does
 * not arrive is sent again, from this page or another.
 */
export function useFeedbackBox(saveText: (text: string) => Promise<void>, placeOf: () => DevicePlace) {
  const feedback = ref('')
  const state = ref<'saved' | 'editing' | 'saving' | 'offline'>('saved')
  let timer: ReturnType<typeof setTimeout> | undefined
  let place = placeOf()
  let leave = place.open()
  /** What the server had when the typing began. */
  let base = ''
  let version = 0

  /** Goes over to another attempt; what was typed for the one before is on the device. */
  function turn(): void {
    clearTimeout(timer)
    state.value = 'saved'
    leave()
    place = placeOf()
    leave = place.open()
  }

  /** What the server has, unless something is being typed here; with what this device could not send laid over it. */
  async function take({ draft, attempt, decision, suggestedFeedback }: MarkingView): Promise<void> {
    if (state.value !== 'saved') return
    const from = place
    base = draft.feedback ?? ''
    version = draft.version
    feedback.value = draft.feedback ?? (attempt.stage === 'released' ? decision!.feedback : suggestedFeedback)
    const kept = await from.read()
    // Turned to another attempt, or typed in, meanwhile.
    if (!kept || from !== place || state.value !== 'saved') return
    if (kept.mine.feedback === base || attempt.stage === 'released') return void from.forget()
    write(kept.mine.feedback ?? '')
  }

  function write(text: string): void {
    feedback.value = text
    state.value = 'editing'
    place.keep({ base: { feedback: base }, mine: { feedback: text }, version })
    later(PAUSE_MS)
  }
  function later(ms: number): void {
    clearTimeout(timer)
    timer = setTimeout(() => void save(), ms)
  }

  let sending: Promise<boolean> | undefined
  /** True once the server has what stands in the box. */
  async function save(): Promise<boolean> {
    clearTimeout(timer)
    await sending
    // Typed on while it was on its way, it goes once more: what is signed is what stands in the box.
    while (state.value !== 'saved') {
      sending = send().finally(() => (sending = undefined))
      if (!(await sending)) return false
    }
    return true
  }

  async function send(): Promise<boolean> {
    const [text, from] = [feedback.value, place]
    state.value = 'saving'
    try {
      await saveText(text)
      if (from !== place) return true
      base = text
      state.value = feedback.value === text ? 'saved' : 'editing'
      if (state.value === 'saved') await from.forget()
      else later(PAUSE_MS)
      return true
    } catch {
      if (from !== place) return false
      state.value = 'offline'
      later(RETRY_MS)
      return false
    }
  }

  /** Adds a sentence of the bank as a paragraph of its own. */
  const add = (text: string): void => write([feedback.value.trim(), text].filter(Boolean).join('\n\n'))
  /** The next text is the server's. */
  function giveUp(): void {
    clearTimeout(timer)
    state.value = 'saved'
    void place.forget()
  }

  // What has not arrived is sent from whatever page is open next.
  onScopeDispose(() => {
    clearTimeout(timer)
    leave()
  })
  return { feedback, state, take, write, save, add, giveUp, turn }
}
