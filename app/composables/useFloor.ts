import type { FloorPatch, FloorView } from '#schemas/views'

const POLL_MS = 3000

/** The floor, kept fresh: one patch for each apprentice with the attempt they are on, and those who ask to energise. */
export function useFloor() {
  const { call } = useApi()
  const { data, problem, refresh } = useServer<FloorView>(() => 'floor')
  const cohort = ref<string | null>(null)

  const patches = computed(() => {
    const newest = new Map<string, FloorPatch>()
    for (const patch of data.value?.patches ?? []) {
      const other = newest.get(patch.number)
      // The attempt in hand stands before a finished one; among equals the later exercise.
      const isDone = (p: FloorPatch) => p.stage === 'released' || p.stage === 'decided'
      if (!other || (isDone(other) && !isDone(patch)) || isDone(other) === isDone(patch)) newest.set(patch.number, patch)
    }
    return [...newest.values()].filter((patch) => !cohort.value || patch.cohort === cohort.value).sort((a, b) => a.bay - b.bay)
  })
  const requests = computed(() =>
    (data.value?.patches ?? []).filter((patch) => patch.stage === 'permission').sort((a, b) => (a.lastAct?.at ?? '').localeCompare(b.lastAct?.at ?? '')))
  const cohorts = computed(() => [...new Set((data.value?.patches ?? []).map((patch) => patch.cohort))])

  async function decide(id: number, granted: boolean, reason = ''): Promise<boolean> {
    try {
      await call('POST', `attempts/${id}/permission`, { granted, reason })
      return true
    } catch (error) {
      showProblem(error)
      return false
    } finally {
      await refresh()
    }
  }

  const timer = setInterval(() => !document.hidden && void refresh(), POLL_MS)
  onScopeDispose(() => clearInterval(timer))

  return { data, problem, refresh, cohort, cohorts, patches, requests, decide }
}
