import { useEventListener } from '@vueuse/core'
import { onScopeDispose, reactive, readonly, ref, type Ref } from 'vue'
import { mergeFields, type Conflict } from '#core/exercise/three-way-merge'
import type { ApiProblem } from '~/utils/api-problem'
import type { DevicePlace, Fields } from '~/utils/device-copy'

export type SaveState = 'saved' | 'editing' | 'saving' | 'offline' | 'conflict' | 'refused'

export interface KeptTextOptions {
  /** Where unsent typing is kept on this device. */
  readonly place: DevicePlace
  /** Sends everything; the answer is the new version and time. */
  readonly send: (fields: Fields, version: number) => Promise<{ version: number; savedAt: string }>
  /** Reads the fields and version out of what a stale refusal hands over. */
  readonly theirs: (extra: Readonly<Record<string, unknown>>) => { fields: Fields; version: number }
  /** What an earlier version kept on this device, by the present names of the boxes. */
  readonly present?: (kept: Fields) => Fields
}

const WAIT_MS = 700
const RETRY_MS = 4000

/**
 * Typed text that is kept: first on this device, then on the server; merges what another device saved
 * in between field by field, and asks only where both changed the same field.
 */
export function useKeptText({ place, send, theirs, present = (kept) => kept }: KeptTextOptions) {
  const fields = reactive<Fields>({})
  const state = ref<SaveState>('saved')
  const savedAt = ref<string | null>(null)
  const message = ref('')
  const conflicts = ref<readonly Conflict[]>([])
  let base: Fields = {}
  let version = 0

  /** Starts from what the server has, with anything this device could not send laid over it. */
  async function start(server: Fields, serverVersion: number, at: string | null): Promise<void> {
    const kept = await place.read()
    adopt(server, serverVersion, at)
    if (!kept) return
    settle(mergeFields(present(kept.base), present(kept.mine), server))
    if (state.value !== 'conflict') later(0)
  }

  function adopt(server: Fields, serverVersion: number, at: string | null): void {
    base = { ...server }
    version = serverVersion
    savedAt.value = at
    replace(server)
  }

  /**
   * Lays what the server has by now under what is typed here: what only the server changed appears, what both
   * changed is asked about.
   */
  function reconcile(server: Fields, serverVersion: number, at: string | null): void {
    // While something is on its way, its answer will tell.
    if (serverVersion <= version || state.value === 'saving' || state.value === 'conflict') return
    if (state.value === 'saved') return adopt(server, serverVersion, at)
    const merged = mergeFields(base, { ...fields }, server)
    base = { ...server }
    version = serverVersion
    settle(merged)
    keep()
    if (merged.conflicts.length === 0) later(WAIT_MS)
  }

  function replace(next: Readonly<Fields>): void {
    for (const name of Object.keys(fields)) if (!(name in next)) delete fields[name]
    Object.assign(fields, next)
  }

  function settle(merged: ReturnType<typeof mergeFields>): void {
    replace(merged.fields)
    conflicts.value = merged.conflicts
    state.value = merged.conflicts.length > 0 ? 'conflict' : 'editing'
  }

  function write(name: string, text: string): void {
    fields[name] = text
    if (state.value !== 'conflict') state.value = 'editing'
    keep()
    later(WAIT_MS)
  }

  /** On this device, with the server's version that the typing started from. */
  function keep(): void {
    place.keep({ base, mine: fields })
  }

  /** Sends now and waits until it is done; afterwards `state` tells how it went. */
  const {
    later,
    flush: sendNow,
    stop,
  } = useDelivery(deliver, () => ['saved', 'conflict'].includes(state.value))
  const flush = async (): Promise<number> => {
    await sendNow()
    return version
  }

  async function deliver(): Promise<void> {
    const sent = { ...fields }
    state.value = 'saving'
    try {
      const answer = await send(sent, version)
      version = answer.version
      savedAt.value = answer.savedAt
      base = sent
      const isCurrent = isSameText(fields, sent)
      state.value = isCurrent ? 'saved' : 'editing'
      if (isCurrent) await place.forget()
      else {
        keep()
        later(WAIT_MS)
      }
    } catch (error) {
      await recover(error as ApiProblem)
    }
  }

  async function recover(problem: ApiProblem): Promise<void> {
    message.value = problem.message
    if (problem.code === 'offline' || problem.status >= 500) {
      state.value = 'offline'
      return later(RETRY_MS)
    }
    if (problem.code === 'stale' && problem.extra.theirs) {
      const other = theirs(problem.extra)
      const merged = mergeFields(base, { ...fields }, other.fields)
      base = { ...other.fields }
      version = other.version
      settle(merged)
      keep()
      if (merged.conflicts.length === 0) later(0)
      return
    }
    state.value = 'refused'
  }

  /** Settles one conflict; when the last is settled, saving goes on. */
  function choose(field: string, text: string): void {
    fields[field] = text
    conflicts.value = conflicts.value.filter((conflict) => conflict.field !== field)
    if (conflicts.value.length > 0) return
    state.value = 'editing'
    later(0)
  }

  useLeaving(state, { retry: () => later(0) })
  onScopeDispose(() => {
    if (state.value === 'editing') void flush()
    stop()
  })

  return {
    fields: readonly(fields) as Readonly<Fields>,
    state: readonly(state),
    savedAt: readonly(savedAt),
    message: readonly(message),
    conflicts,
    start,
    adopt,
    reconcile,
    write,
    flush,
    choose,
  }
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

/** Tries again when the network is back, and warns whoever leaves with something unsent. */
function useLeaving(state: Readonly<Ref<SaveState>>, { retry }: { readonly retry: () => void }): void {
  // Outside a page (a test, a worker) there is no network to come back and nothing to leave.
  const page = typeof window === 'undefined' ? undefined : window
  useEventListener(page, 'online', () => state.value === 'offline' && retry())
  useEventListener(page, 'beforeunload', (event) => {
    if (state.value !== 'saved') event.preventDefault()
  })
}
