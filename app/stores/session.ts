import type { Role } from '#core/exercise/roster'
import type { PersonView, SessionView } from '#schemas/views'

/** Who is signed in on this device. `ended` raises the sign-in over the page, so that nothing typed is lost. */
export const useSession = defineStore('session', () => {
  const person = ref<PersonView | null>(null)
  const needsSetUp = ref(false)
  const isKnown = ref(false)
  const ended = ref(false)
  let resume: (() => void)[] = []

  function take(answer: SessionView) {
    const before = person.value
    person.value = answer.person
    needsSetUp.value = answer.needsSetUp
    isKnown.value = true
    if (!answer.person) return
    // Somebody else on the same device must not go on with the first person's page.
    if (ended.value && before && before.id !== answer.person.id) return location.assign('/')
    ended.value = false
    resume.forEach((go) => go())
    resume = []
  }

  /** Waits until somebody has signed in again. */
  function untilSignedIn(): Promise<void> {
    ended.value = true
    return new Promise((go) => resume.push(go))
  }

  return { person, needsSetUp, isKnown, ended, take, untilSignedIn }
})

/** The page where a role's day begins. */
export function homeOf(role: Role): string {
  const homes: Record<Role, string> = {
    administrator: '/people',
    instructor: '/floor',
    assessor: '/floor',
    apprentice: '/work',
    technician: '/stores',
  }
  return homes[role]
}
