import type { ExpectedReading } from '#core/testing/expected/expected'
import type { TestedAssignment } from '#core/testing/judge/bay-under-test'

/**
 * What the tests of a circuit should show, computed from its bay in a worker; what is shown stays while
 * nothing new is asked.
 */
export function useExpectedReadings(asked: () => TestedAssignment | undefined) {
  const desk = useDeskWorker()
  const { answer, ask } = useLatest<TestedAssignment, ExpectedReading[]>((assignment) =>
    desk.call((worker) => worker.expectedOf(plain(assignment))),
  )
  watch(asked, (assignment) => assignment && void ask(assignment), { immediate: true })
  return computed(() => answer.value ?? [])
}
