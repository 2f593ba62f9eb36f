import { useEventListener } from '@vueuse/core'
import { onScopeDispose, reactive, readonly, ref, shallowRef, type Ref } from 'vue'
import { mergeFields, type Conflict, type Merged } from '#core/exercise/three-way-merge'
import { aTaskLater } from '~/utils/a-task-later'
import { ApiProblem } from '~/utils/api-problem'
import type { DevicePlace } from '~/utils/device-copy'
import type { Fields } from '~/utils/document-shapes'

/** `held`: all is saved but boxes that are locked at this stage; they wait on this device. */
export type SaveState = 'saved' | 'editing' | 'saving' | 'offline' | 'conflict' | 'refused' | 'held'

export interface KeptTextOptions {
  /** Where unsent typing is kept on this device. */
  readonly place: DevicePlace
  /** Sends everything; the answer is the new version and time. */
  readonly send: (fields: Fields, version: number) => Promise<{ version: number; savedAt: string }>
  /** Reads the fields and version out of what a stale refusal hands over. */
  readonly theirs: (extra: Readonly<Record<string, unknown>>) => { fields: Fields; version: number }
  /** Boxes that a refusal names as locked at this stage; the others are saved without them. */
  readonly lockedOf?: (extra: Readonly<Record<string, unknown>>) => readonly string[]
  /** What an earlier version kept on this device, by the present names of the boxes. */
  readonly present?: (kept: Fields) => Fields
}

/** What the server has, with its version and when it was saved. */
interface ServerText {
  readonly server: Fields
  readonly serverVersion: number
  readonly at: string | null
}

const WAIT_MS = 700
const RETRY_MS = 4000
/** Something between here and the server has answered in its place. */
const UNREADABLE = 'The answer cannot be read. What you type is kept on this device and sent again.'

/**
 * Typed text that is kept: first on this device, then on the server; merges what another device saved
 * in between field by field, and asks only where both changed the same field.
 */
export function useKeptText({ place, send, theirs, lockedOf, present = (kept) => kept }: KeptTextOptions) {
  const { fields, followed, follow, replace } = useBoxes()
  const state = ref<SaveState>('saved')
  const savedAt = ref<string | null>(null)
  const message = ref('')
  const conflicts = ref<readonly Conflict[]>([])
  let base: Fields = {}
  let version = 0
  /** Boxes that are locked at this stage. */
  let held: ReadonlySet<string> = new Set()

  /** Starts from what the server has, with anything this device could not send laid over it. */
  async function start(server: Fields, serverVersion: number, at: string | null): Promise<void> {
    const kept = await place.read()
    const [was, mine] = kept ? [present(kept.base), present(kept.mine)] : [server, server]
    lay(mergeFields(was, mine, server), { server, serverVersion, at })
  }

  /**
   * Goes on from what the server has by now, after an act of this or another device. What was typed here and has
   * not arrived stays in its boxes, and is sent again.
   */
  const adopt = (server: Fields, serverVersion: number, at: string | null): void =>
    lay(mergeFields(base, { ...fields }, server), { server, serverVersion, at })

  function lay(merged: Merged, { server, serverVersion, at }: ServerText): void {
    noted.drop()
    base = { ...server }
    version = serverVersion
    savedAt.value = at
    held = new Set()
    replace(merged.fields)
    conflicts.value = merged.conflicts
    state.value = merged.conflicts.length > 0 ? 'conflict' : 'editing'
    if (merged.conflicts.length > 0) return keep()
    if (isSameText(merged.fields, server)) {
      state.value = 'saved'
      return void place.forget()
    }
    keep()
    later(WAIT_MS)
  }

  /** Throws away what has not arrived: the boxes show what the server has. */
  function discard(): void {
    stop()
    noted.drop()
    replace(base)
    held = new Set()
    conflicts.value = []
    state.value = 'saved'
    void place.forget()
  }

  /**
   * Lays what the server has by now under what is typed here: what only the server changed appears, what both
   * changed is asked about.
   */
  function reconcile(server: Fields, serverVersion: number, at: string | null): void {
    // While something is on its way, its answer will tell.
    if (serverVersion <= version || state.value === 'saving' || state.value === 'conflict') return
    adopt(server, serverVersion, at)
  }

  function write(name: string, text: string): void {
    fields[name] = text
    if (state.value !== 'conflict') state.value = 'editing'
    noted.ask()
  }
  /** The box shows a key at once; what it sets going beside that comes when the box has been drawn. */
  const noted = aTaskLater(() => {
    follow()
    keep()
    later(WAIT_MS)
  })

  /** On this device, with the server's version that the typing started from. */
  const keep = (): void => place.keep({ base, mine: fields, version })

  /** Sends now and waits until it is done; afterwards `state` tells how it went. */
  const {
    later,
    flush: sendNow,
    stop,
  } = useDelivery(deliver, () => ['saved', 'conflict', 'held'].includes(state.value))
  function flush(): Promise<number> {
    noted.catchUp()
    return sendNow().then(() => version)
  }

  async function deliver(): Promise<void> {
    const typed = { ...fields }
    const sent = { ...typed, ...Object.fromEntries([...held].map((name) => [name, base[name] ?? ''])) }
    state.value = 'saving'
    try {
      const answer = await send(sent, version)
      version = answer.version
      savedAt.value = answer.savedAt
      base = sent
      if (isSameText(fields, sent)) {
        state.value = 'saved'
        return await place.forget()
      }
      keep()
      if (isSameText(fields, typed)) return void (state.value = 'held')
      state.value = 'editing'
      later(WAIT_MS)
    } catch (error) {
      await recover(error instanceof ApiProblem ? error : new ApiProblem(0, 'offline', UNREADABLE))
    }
  }

  async function recover(problem: ApiProblem): Promise<void> {
    message.value = problem.message
    if (problem.code === 'offline' || problem.status >= 500) {
      state.value = 'offline'
      return later(RETRY_MS)
    }
    const locked = problem.extra.locked && lockedOf ? lockedOf(problem.extra) : []
    if (locked.some((name) => !held.has(name))) {
      held = new Set([...held, ...locked])
      return deliver()
    }
    if (problem.code === 'stale' && problem.extra.theirs) {
      const other = theirs(problem.extra)
      const merged = mergeFields(base, { ...fields }, other.fields)
      return lay(merged, { server: other.fields, serverVersion: other.version, at: savedAt.value })
    }
    state.value = 'refused'
  }

  /** Settles one conflict; when the last is settled, saving goes on. */
  function choose(field: string, text: string): void {
    fields[field] = text
    follow()
    conflicts.value = conflicts.value.filter((conflict) => conflict.field !== field)
    if (conflicts.value.length > 0) return
    state.value = 'editing'
    later(0)
  }

  useLeaving(state, { place, stop, catchUp: noted.catchUp, flush: sendNow, retry: () => later(0) })

  return {
    fields: readonly(fields) as Readonly<Fields>,
    followed: readonly(followed),
    state: readonly(state),
    savedAt: readonly(savedAt),
    message: readonly(message),
    conflicts,
    start,
    adopt,
    discard,
    reconcile,
    write,
    flush,
    choose,
  }
}

/** The boxes as they are typed, and the same a task behind the key, for what is counted from all of them. */
function useBoxes() {
  const fields = reactive<Fields>({})
  const followed = shallowRef<Fields>({})
  const follow = (): void => void (followed.value = { ...fields })
  /** The same object with other boxes in it. */
  function replace(next: Readonly<Fields>): void {
    for (const name of Object.keys(fields)) if (!(name in next)) delete fields[name]
    Object.assign(fields, next)
    follow()
  }
  return { fields, followed, follow, replace }
}

const isSameText = (a: Fields, b: Fields): boolean =>
  Object.keys({ ...a, ...b }).every((name) => (a[name] ?? '') === (b[name] ?? ''))

/** One sending at a time, after a pause or at once; what is idle is not sent. */
function useDelivery(deliver: () => Promise<void>, isIdle: () => boolean) {
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | undefined
  const stop = () => clearTimeout(timer)
  const later = (ms: number): void => {
    stop()
    timer = setTimeout(() => void flush(), ms)
  }
  async function flush(): Promise<void> {
    stop()
    await sending
    if (isIdle()) return
    sending = deliver()
    await sending
    sending = undefined
  }
  return { later, flush, stop }
}

interface Leaving {
  readonly place: DevicePlace
  readonly retry: () => void
  readonly stop: () => void
  /** Notes what was typed in the last moment. */
  readonly catchUp: () => void
  readonly flush: () => Promise<void>
}

/**
 * Tries again when the network is back, and warns whoever closes the page with something unsent. What does not
 * arrive when the page is left is sent from whatever page is open next.
 */
function useLeaving(state: Readonly<Ref<SaveState>>, { place, retry, stop, catchUp, flush }: Leaving): void {
  const leave = place.open()
  onScopeDispose(() => {
    catchUp()
    stop()
    if (state.value === 'editing') void flush().finally(leave)
    else leave()
  })
  // Outside a page (a test, a worker) there is no network to come back and nothing to leave.
  const page = typeof window === 'undefined' ? undefined : window
  useEventListener(page, 'online', () => state.value === 'offline' && retry())
  useEventListener(page, 'beforeunload', (event) => {
    catchUp()
    if (state.value !== 'saved' && state.value !== 'held') event.preventDefault()
  })
}
