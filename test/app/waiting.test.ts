/* How much waits for whom, at the page where it is done. */
import { ref } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'

const session = { person: null as { role: string } | null }
vi.mock('~/stores/session', () => ({ useSession: () => session }))
const staff = ref<object | null>(null)
const own = ref<object | null>(null)
const refreshed = vi.fn()
vi.mock('~/stores/shared', () => ({
  useNeedsView: () => ({ data: staff, refresh: () => refreshed('staff') }),
}))
const asked = vi.fn()
vi.mock('~/composables/useApi', () => ({
  useServer: (path: () => string | null) => {
    asked(path())
    return { data: own, refresh: () => refreshed('own') }
  },
}))
let look: () => void
vi.mock('~/composables/useNews', () => ({ useNews: (run: () => void) => void (look = run) }))
const { useWaiting } = await import('~/composables/useWaiting')

function counted(role: string, pages: readonly string[]): number[] {
  session.person = { role }
  const { countAt } = useWaiting()
  return pages.map(countAt)
}
const PAGES = ['/floor', '/marking', '/accounts', '/surveys', '/verification', '/records']
const need = (kind: string) => ({ kind, bay: 3, at: '2026-11-12T14:00:00Z' })
beforeEach(() => {
  staff.value = own.value = null
  refreshed.mockReset()
  asked.mockReset()
})

it('before anything has come, nothing waits', () => {
  expect(counted('instructor', PAGES)).toEqual([0, 0, 0, 0, 0, 0])
})
it('staff see on the floor who waits there, not what can be done in passing, and at the desk each pile', () => {
  staff.value = {
    walk: ['live', 'permit', 'help', 'question', 'repeat'].map(need),
    desk: [
      { kind: 'marking', count: 7 },
      { kind: 'claims', count: 2 },
      { kind: 'secondMarking', count: 3 },
      { kind: 'appeals', count: 1 },
    ],
  }
  expect(counted('assessor', PAGES)).toEqual([2, 7, 2, 0, 4, 0])
})
it('an apprentice asks for their own alone, and sees their tasks and claims', () => {
  own.value = { tasks: 2, claims: 1 }
  staff.value = { walk: [need('permit')], desk: [{ kind: 'marking', count: 7 }] }
  expect(counted('apprentice', ['/work', '/accounts', '/floor', '/marking'])).toEqual([2, 1, 0, 0])
  expect(asked).toHaveBeenCalledWith('needs/own')
})
it('news refreshes what the role looks at, and nothing that it may not ask for', () => {
  counted('instructor', [])
  expect(asked).toHaveBeenCalledWith(null)
  look()
  counted('apprentice', [])
  look()
  expect(refreshed.mock.calls.flat()).toEqual(['staff', 'own'])
})
