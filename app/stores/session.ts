import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Role } from '#core/exercise/roster'
import type { PersonView, SessionView } from '#schemas/views'
import { forgetStaffScripts } from '~/service-worker/staff-cache'
import { lastViews } from '~/utils/last-view'

const REMEMBERED = 'nakshi-person'
/** Who is signed in on this device, for a page that is opened without a network, and whether their pages are locked. */
interface Remembered {
  readonly person: PersonView
  readonly isLocked: boolean
}
const remembered = {
  keep(person: PersonView | null, isLocked: boolean): void {
    if (person) localStorage.setItem(REMEMBERED, JSON.stringify({ person, isLocked } satisfies Remembered))
    else {
      localStorage.removeItem(REMEMBERED)
      void lastViews.forgetAll()
    }
    if (person === null || person.role === 'apprentice') forgetStaffScripts()
  },
  read: (): Remembered | null => JSON.parse(localStorage.getItem(REMEMBERED) ?? 'null') as Remembered | null,
}

/** Who is signed in on this device. `ended` raises the sign-in over the page, so that nothing typed is lost. */
export const useSession = defineStore('session', () => {
  const person = ref<PersonView | null>(null)
  const needsSetUp = ref(false)
  const isKnown = ref(false)
  const ended = ref(false)
  const isLocked = ref(false)
  const lockMinutes = ref(0)
  const isCollegeOffered = ref(false)
  /** What this page shows was asked after this change of the server's; null without a network. */
  const newsSeen = ref<number | null>(null)
  /** Something is to be signed, and who sits here is to be proved first. */
  const isAsked = ref(false)
  let resume: (() => void)[] = []

  /**
   * Without a network: who was signed in last on this device and has not signed out. Nothing is shown but what it
   * keeps; what was locked stays so.
   */
  function takeRemembered(): boolean {
    const known = remembered.read()
    if (known) [person.value, isLocked.value, isKnown.value] = [known.person, known.isLocked, true]
    return known !== null
  }

  function take(answer: SessionView) {
    const before = person.value
    person.value = answer.person
    needsSetUp.value = answer.needsSetUp
    isKnown.value = true
    isLocked.value = answer.isLocked
    lockMinutes.value = answer.lockMinutes
    isCollegeOffered.value = answer.isCollegeOffered
    newsSeen.value ??= answer.news
    remembered.keep(answer.person, answer.isLocked)
    if (!answer.person) return
    // Somebody else on the same device must not go on with the first person's page.
    if (ended.value && before && before.id !== answer.person.id) return location.assign('/')
    goOn()
  }
  function goOn(): void {
    ended.value = false
    resume.forEach((go) => go())
    resume = []
  }

  /** Waits until somebody has signed in again. */
  function untilSignedIn(): Promise<void> {
    ended.value = true
    return new Promise((go) => resume.push(go))
  }

  let waiting: { readonly go: () => void; readonly giveUp: () => void }[] = []
  /** Waits until whoever sits here has proved who they are; false where they would rather not. */
  function untilProved(): Promise<boolean> {
    isAsked.value = true
    return new Promise((done) => waiting.push({ go: () => done(true), giveUp: () => done(false) }))
  }
  function settle(how: 'go' | 'giveUp'): void {
    isAsked.value = false
    waiting.forEach((one) => one[how]())
    waiting = []
  }
  function proved(): void {
    isLocked.value = false
    settle('go')
  }
  function giveUpProof(): void {
    if (!isLocked.value) settle('giveUp')
  }

  watch(isLocked, (locked) => person.value && remembered.keep(person.value, locked))
  // Locked or opened, signed out or in by somebody else in one tab, it is so in all of them.
  useEventListener('storage', ({ key }) => {
    if (key !== REMEMBERED || !person.value) return
    const known = remembered.read()
    if (known?.person.id !== person.value.id) return void (ended.value = true)
    if (ended.value) goOn()
    if (known.isLocked) isLocked.value = true
    else if (isLocked.value) proved()
  })

  return {
    isLocked,
    lockMinutes,
    isCollegeOffered,
    newsSeen,
    isAsked,
    untilProved,
    proved,
    giveUpProof,
    person,
    needsSetUp,
    isKnown,
    ended,
    take,
    takeRemembered,
    untilSignedIn,
  }
})

/** The page where a role's day begins. */
export function homeOf(role: Role): string {
  const homes: Record<Role, string> = {
    administrator: '/people',
    instructor: '/floor',
    assessor: '/floor',
    apprentice: '/work',
    technician: '/stores',
    verifier: '/marking',
  }
  return homes[role]
}
