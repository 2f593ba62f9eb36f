import type { ShallowRef } from 'vue'
import type { DevicePlace, Fields } from '~/utils/device-copy'

/** What of a view is typed, with its version. */
export interface Typed {
  readonly fields: Readonly<Fields>
  readonly version: number
  readonly savedAt: string | null
}

export interface KeptDocumentOptions<V> {
  /** Its address at the server, for reading and for saving. */
  readonly path: string
  readonly place: DevicePlace
  /** What of the view is typed; left out where the view has it as it is. */
  readonly typedOf?: (view: V) => Typed
  /** What is sent; `{ version, fields }` where it is left out. */
  readonly bodyOf?: (fields: Fields, version: number) => unknown
  readonly present?: (kept: Fields, view: V) => Fields
}

/**
 * A document under one address of the server: read, kept on this device while it is typed, saved, merged with
 * what others changed.
 */
export function useKeptDocument<V>({ path, place, typedOf, bodyOf, present }: KeptDocumentOptions<V>) {
  const { call } = useApi()
  const view = shallowRef<V | null>(null) as ShallowRef<V | null>
  const problem = ref<ApiProblem | null>(null)
  const typed = typedOf ?? ((seen: V) => seen as unknown as Typed)
  const body = bodyOf ?? ((fields, version) => ({ version, fields }))

  const text = useKeptText({
    place,
    send: (fields, version) => call('PUT', path, body(fields, version)),
    theirs: (extra) => {
      view.value = extra.theirs as V
      const { fields, version } = typed(view.value)
      return { fields: { ...fields }, version }
    },
    ...(present ? { present: (kept: Fields) => (view.value ? present(kept, view.value) : kept) } : {}),
  })

  async function load(): Promise<void> {
    try {
      view.value = await call<V>('GET', path)
      problem.value = null
      const { fields, version, savedAt } = typed(view.value)
      await text.start({ ...fields }, version, savedAt)
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  /** Takes a newer view in: what was typed here stays, what only the server changed appears. */
  function reconcile(next: V): void {
    const { fields, version, savedAt } = typed(next)
    text.reconcile({ ...fields }, version, savedAt)
  }

  /** Goes on from this view as it is, after an act that saved everything first. */
  function adopt(next: V): void {
    view.value = next
    const { fields, version, savedAt } = typed(next)
    text.adopt({ ...fields }, version, savedAt)
  }

  return { view, problem, autosave: text, load, reconcile, adopt }
}

/** A sheet of flat text whose view has it as it is: a run, a measurement, an inspection. */
export const useKeptSheet = <V extends Typed>(path: string) =>
  useKeptDocument<V>({ path, place: devicePlace(path, useSession().person!.id) })
