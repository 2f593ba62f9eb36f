import { useEventListener, useIntervalFn } from '@vueuse/core'
import { ApiProblem } from '~/utils/api-problem'
import { deliver } from '~/utils/deliver'
import {
  changedIn,
  deviceEntries,
  forget,
  joined,
  onDeviceChange,
  sendable,
  type DocumentAbout,
} from '~/utils/device-copy'
import { openTabs } from '~/utils/tab'

/** One document with typing that the server does not have. */
export interface Waiting {
  readonly key: string
  readonly about: DocumentAbout
  readonly boxes: number
  /** Its page is open in this tab. */
  readonly isHere: boolean
  readonly since: string
  /** Why it has not gone; absent while it simply waits. */
  readonly reason?: string
}

/** What waits is tried again so often, ms. */
const AGAIN_MS = 5000
/** What is saved after a short pause, as nearly everything is, does not appear in the list at all. */
const LOOK_AFTER_MS = 2000

const otherPerson = () => new ApiProblem(401, 'otherPerson', 'Somebody else has signed in on this device.')

const WORDS = {
  conflict: 'The same box was changed elsewhere. Open it and choose.',
  save: 'A draft. Open it and save.',
} as const

/** Everything typed on this device that the server does not have yet, sent from whatever page is open. */
export const useOutbox = defineStore('outbox', () => {
  const session = useSession()
  const { callOnce } = useApi()
  const waiting = shallowRef<readonly Waiting[]>([])
  const reasons = new Map<string, string>()
  /** Documents that are open in this tab send for themselves. */
  const here = new Map<string, number>()
  let timer: ReturnType<typeof setTimeout> | undefined

  async function look(): Promise<void> {
    const entries = await deviceEntries()
    waiting.value = entries.flatMap(({ key, about, copies }) => {
      const copy = joined(copies)
      const boxes = copy ? changedIn(copy).length : 0
      if (!about || boxes === 0) return []
      const since = Object.values(copies)
        .map(({ at }) => at)
        .sort()[0]!
      const reason = about.delivery ? reasons.get(key) : WORDS.save
      return [{ key, about, boxes, since, isHere: here.has(key), ...(reason ? { reason } : {}) }]
    })
  }
  function lookSoon(): void {
    clearTimeout(timer)
    timer = setTimeout(() => void look(), LOOK_AFTER_MS)
  }

  let draining: Promise<void> | undefined
  /** Sends what can be sent of whoever is signed in; one round at a time. */
  const drain = (): Promise<void> => (draining ??= round().finally(() => (draining = undefined)))
  async function round(): Promise<void> {
    const person = session.person?.id
    if (person === undefined) return
    /** Somebody else may have signed in meanwhile: nothing of this round goes in their name. */
    const callAsThem: typeof callOnce = (...asked) =>
      session.person?.id === person ? callOnce(...asked) : Promise.reject(otherPerson())
    const open = await openTabs()
    for (const entry of await deviceEntries()) {
      const { about, key } = entry
      if (!about?.delivery || about.person.id !== person || here.has(key) || reasons.has(key)) continue
      const copies = sendable(entry, open)
      const copy = joined(copies)
      if (!copy) continue
      const outcome = await deliver(copy, about.delivery, callAsThem)
      if (outcome.is === 'offline') return look()
      if (outcome.is === 'refused' || outcome.is === 'held') reasons.set(key, outcome.message)
      if (outcome.is === 'conflict') reasons.set(key, WORDS.conflict)
      if (outcome.is === 'sent') {
        reasons.delete(key)
        await forget(key, copies)
      }
    }
    return look()
  }

  /** Throws away what one document still holds here. */
  async function discard(key: string): Promise<void> {
    const entry = (await deviceEntries()).find((candidate) => candidate.key === key)
    if (entry) await forget(key, entry.copies)
    reasons.delete(key)
    await look()
  }

  /** While a page has a document open, it sends for itself; the answer lets it go. */
  function opened(key: string): () => void {
    here.set(key, (here.get(key) ?? 0) + 1)
    reasons.delete(key)
    lookSoon()
    return () => {
      const left = here.get(key)! - 1
      if (left > 0) here.set(key, left)
      else here.delete(key)
      void drain()
    }
  }

  const mine = computed(() => waiting.value.filter(({ about }) => about.person.id === session.person?.id))
  onDeviceChange(lookSoon)
  useIntervalFn(() => mine.value.length > 0 && void drain(), AGAIN_MS)
  useEventListener('online', () => void drain())
  watch(
    () => session.person?.id,
    () => void look().then(drain),
    { immediate: true },
  )
  return { waiting, mine, drain, discard, opened, look }
})
