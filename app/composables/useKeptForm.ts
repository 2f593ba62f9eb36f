import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { ExerciseForm } from '#core/exercise/form/fields'
import { mergeFields, type Conflict } from '#core/exercise/three-way-merge'
import { BLANK_EXERCISE } from '#core/exercise/form/blank'
import { aTaskLater } from '~/utils/a-task-later'
import type { DevicePlace } from '~/utils/device-copy'

const MOST_UNDO = 200

/** A form with undo, what the server has of it, and what is typed here and not saved, kept on this device. */
export function useKeptForm(place: DevicePlace, isReady: () => boolean) {
  const form = shallowRef<ExerciseForm>({ ...BLANK_EXERCISE })
  const base = shallowRef<ExerciseForm>({ ...BLANK_EXERCISE })
  const conflicts = ref<readonly Conflict[]>([])
  /** Typed here before and laid back, but not saved. */
  const isBack = ref(false)
  const undone: ExerciseForm[] = []
  const isChanged = computed(() => {
    const [now, then] = [form.value, base.value]
    return Object.keys({ ...now, ...then }).some((key) => now[key] !== then[key])
  })

  const leave = place.open()
  onScopeDispose(() => {
    noted.catchUp()
    leave()
  })

  /** Lays what was typed here, and neither saved nor thrown away, over what the server has. */
  async function layBack(): Promise<void> {
    const kept = await place.read()
    if (!kept) return
    const merged = mergeFields(kept.base, kept.mine, { ...form.value })
    form.value = merged.fields
    conflicts.value = merged.conflicts
    isBack.value = isChanged.value
  }
  const noted = aTaskLater(() => {
    if (isChanged.value) place.keep({ base: base.value, mine: form.value, version: 0 })
    else void place.forget()
  })
  // A key draws its row first.
  watch([form, base], () => isReady() && noted.ask())
  /** Throws away what was typed and not saved. */
  function discard(): void {
    form.value = base.value
    isBack.value = false
  }
  /** Goes on from what the server has; boxes that were typed in since it was `sent` stay as they are. */
  function adopt(fields: ExerciseForm, sent: ExerciseForm = form.value): void {
    const since = Object.entries(form.value).filter(([key, text]) => sent[key] !== text)
    form.value = { ...fields, ...Object.fromEntries(since) }
    base.value = fields
  }
  /** What somebody else saved in between, put together box by box. */
  function merge(theirs: ExerciseForm): void {
    const merged = mergeFields(base.value, { ...form.value }, theirs)
    form.value = merged.fields
    base.value = theirs
    conflicts.value = merged.conflicts
  }

  /** Typing in one box is one step to take back; every change of rows, without a key, is one. */
  let typingIn: string | null = null
  function step(next: ExerciseForm, key: string | null): void {
    if (key === null || key !== typingIn) {
      undone.push(form.value)
      if (undone.length > MOST_UNDO) undone.shift()
    }
    typingIn = key
    form.value = next
  }
  function undo(): void {
    const before = undone.pop()
    typingIn = null
    if (before) form.value = before
  }
  /** One conflict is settled. */
  const settle = (field: string): void => {
    conflicts.value = conflicts.value.filter((conflict) => conflict.field !== field)
  }
  return { form, base, conflicts, isBack, isChanged, layBack, discard, adopt, merge, step, undo, settle }
}
