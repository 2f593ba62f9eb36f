import { StorageSerializers, useLocalStorage } from '@vueuse/core'
import { countWaiting, walkOf, type WalkOrder } from '#core/floor/needs'

const ORDER = 'nakshi.floor.order'

/**
 * What needs whoever walks the floor, bay by bay, answered from where it stands. The head of the page, which counts it,
 * keeps it fresh for both.
 */
export function useNeeds() {
  const { call } = useApi()
  const { isBusy, act } = useAct()
  const { data, problem, refresh } = useNeedsView()
  /** Kept on this device: one walks round, another runs to whoever waits longest. */
  const order = useLocalStorage<WalkOrder>(ORDER, 'bays', { serializer: StorageSerializers.string })
  const stops = computed(() => walkOf(data.value?.walk ?? [], order.value))
  const waiting = computed(() => countWaiting(data.value?.walk ?? []))

  const answer = (id: number, given: 'seen' | 'notYet', note = '') =>
    act(async () => {
      await call('POST', `calls/${id}`, { answer: given, note })
      await refresh()
    })
  return { data, problem, refresh, order, stops, waiting, isBusy, answer }
}
