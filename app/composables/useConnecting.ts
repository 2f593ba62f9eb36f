import type { Colour, TerminalRef } from '#core/bay/model/rig'
import { aTaskLater } from '~/utils/a-task-later'
import { warn } from '~/utils/warn'
import type { useBayWiring } from './useBayWiring'

/** The hand that puts conductors in: where one starts, its size and colour, and the one that is picked. */
export function useConnecting(wiring: ReturnType<typeof useBayWiring>, isLive: Readonly<Ref<boolean>>) {
  const start = ref<TerminalRef | null>(null)
  const pickedWire = ref<string | null>(null)
  const area = ref(1.5)
  const colour = ref<Colour>('brown')
  /** A conductor is drawn as it is put in; that it is the picked one, and what may be done with it, comes after. */
  const newest = aTaskLater(() => (pickedWire.value = wiring.made.value.at(-1)?.id ?? null))
  onScopeDispose(newest.drop)

  function pick(id: string | null): void {
    newest.drop()
    pickedWire.value = id
  }
  function letGo(): void {
    start.value = null
    pick(null)
  }
  /** The first terminal, or the second. */
  function take(ref: TerminalRef): void {
    if (isLive.value) return warn('The bay is live. Switch every supply off before a conductor is moved.')
    if (start.value === ref) return void (start.value = null)
    if (start.value === null) {
      start.value = ref
      return pick(null)
    }
    const refusal = wiring.connect(start.value, ref, area.value, colour.value)
    if (refusal) return warn(refusal)
    start.value = null
    newest.ask()
  }
  return { start, pickedWire, area, colour, pick, letGo, take }
}
