import { StorageSerializers, useLocalStorage } from '@vueuse/core'
import { inOrder } from '#core/in-order'
import type { FloorPatch } from '#schemas/views'

/**
 * What an apprentice with several tasks is shown by: what is live before what waits, work in hand before what
 * is finished; among equals the later exercise.
 */
const URGENCY: Readonly<Partial<Record<FloorPatch['stage'], number>>> = {
  live: 3,
  permission: 2,
  handedIn: 0.5,
  decided: 0,
  released: 0,
}
const urgency = ({ stage }: FloorPatch): number => URGENCY[stage] ?? 1

const GROUP = 'nakshi.floor.group'

/**
 * The floor, kept fresh: one patch for each apprentice with the attempt they are on, and those who ask to
 * energise.
 */
export function useFloor() {
  const { call } = useApi()
  const { data, problem, refresh } = useFloorView()
  /** The group that is looked at, kept on this device: everybody has a group of their own. */
  const cohort = useLocalStorage<string | null>(GROUP, null, { serializer: StorageSerializers.string })

  const patches = computed(() => {
    const newest = new Map<string, FloorPatch>()
    for (const patch of data.value?.patches ?? []) {
      const other = newest.get(patch.number)
      if (!other || urgency(patch) >= urgency(other)) newest.set(patch.number, patch)
    }
    return [...newest.values()]
      .filter((patch) => !cohort.value || patch.cohort === cohort.value)
      .sort((a, b) => a.bay - b.bay)
  })
  /** Everybody at a bay in one place, the most urgent first; in walking order. */
  const bays = computed(() => {
    const byBay = new Map<number, FloorPatch[]>()
    for (const patch of patches.value) byBay.set(patch.bay, [...(byBay.get(patch.bay) ?? []), patch])
    return [...byBay]
      .map(([bay, people]) => ({ bay, people: people.sort((a, b) => urgency(b) - urgency(a)) }))
      .sort((a, b) => a.bay - b.bay)
  })
  const requests = computed(() =>
    (data.value?.patches ?? [])
      .filter((patch) => patch.stage === 'permission')
      .sort((a, b) => inOrder(a.lastAct?.at ?? '', b.lastAct?.at ?? '')),
  )
  const cohorts = computed(() => [...new Set((data.value?.patches ?? []).map((patch) => patch.cohort))])

  /** `seen` is the hash of the dead tests that stood on the screen. */
  async function decide(
    id: number,
    granted: boolean,
    { reason = '', seen = null }: { readonly reason?: string; readonly seen?: string | null },
  ): Promise<boolean> {
    try {
      await call('POST', `attempts/${id}/permission`, { granted, reason, seen })
      return true
    } catch (error) {
      showProblem(error)
      return false
    } finally {
      await refresh()
    }
  }

  /** STOP for one bay, or for all. */
  async function stop(attemptId: number | null): Promise<void> {
    try {
      const { stopped } = await call<{ stopped: number }>('POST', 'floor/stop', { attemptId, reason: '' })
      ElMessage({
        type: 'warning',
        message:
          stopped === 1
            ? 'The permission is withdrawn. Go there.'
            : `${stopped} permissions are withdrawn. Go there.`,
        duration: 8000,
        showClose: true,
      })
    } catch (error) {
      showProblem(error)
    } finally {
      await refresh()
    }
  }

  useNews(() => void refresh())

  return { data, problem, refresh, cohort, cohorts, patches, bays, requests, decide, stop }
}
