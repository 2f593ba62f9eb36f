import type { Assignment } from '#core/exercise/assignment'
import type { ExpectedReading } from '#core/testing/expected/expected'

type Asked = Pick<Assignment, 'edition' | 'policy' | 'book' | 'installation' | 'tests'>

/**
 * What the tests of a circuit should show, computed from its bay in a worker; what is shown stays while
 * nothing new is asked.
 */
export function useExpectedReadings(asked: () => Asked | undefined) {
  const desk = useDeskWorker()
  const { answer, ask } = useLatest<Asked, ExpectedReading[]>((assignment) =>
    desk.call((worker) => worker.expectedOf(plain(assignment))),
  )
  watch(asked, (assignment) => assignment && void ask(assignment), { immediate: true })
  return computed(() => answer.value ?? [])
}
