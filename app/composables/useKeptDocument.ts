import type { ShallowRef } from 'vue'
import {
  DOCUMENT_SHAPES,
  type DocumentShape,
  type Fields,
  type ShapeName,
  type Typed,
} from '~/utils/document-shapes'

export interface KeptDocumentOptions<V> {
  /** Its address at the server, for reading and for saving. */
  readonly path: string
  /** Where its unsent typing is kept on this device; by its address and the person where left out. */
  readonly key?: string
  /** In words, such as "Worksheet". */
  readonly what: string
  readonly shape: ShapeName
  readonly present?: (kept: Fields, view: V) => Fields
}

/**
 * A document under one address of the server: read, kept on this device while it is typed, saved, merged with
 * what others changed. Without a network it opens as this device saw it last.
 */
export function useKeptDocument<V>({ path, key, what, shape, present }: KeptDocumentOptions<V>) {
  const { call } = useApi()
  const last = useLastView()
  const view = shallowRef<V | null>(null) as ShallowRef<V | null>
  /** The view that is coming: it is shown once its boxes hold what is to stand in them. */
  let coming: V | null = null
  const problem = ref<ApiProblem | null>(null)
  const form: DocumentShape = DOCUMENT_SHAPES[shape]
  const person = useSession().person!.id

  const text = useKeptText({
    place: useDevicePlace(key ?? `${path}/${person}`, {
      what,
      page: useRoute().path,
      delivery: { path, shape },
    }),
    send: (fields, version) => call('PUT', path, form.bodyOf(fields, version)),
    theirs: (extra) => {
      view.value = extra.theirs as V
      const { fields, version } = form.typedOf(view.value)
      return { fields: { ...fields }, version }
    },
    ...(form.lockedOf ? { lockedOf: form.lockedOf } : {}),
    ...(present ? { present: (kept: Fields) => (coming ? present(kept, coming) : kept) } : {}),
  })

  async function load(): Promise<void> {
    try {
      coming = (await last.read<V>(path)).view
      const { fields, version, savedAt } = form.typedOf(coming)
      await text.start({ ...fields }, version, savedAt)
      view.value = coming
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  /** Takes a newer view in: what was typed here stays, what only the server changed appears. */
  function reconcile(next: V): void {
    const { fields, version, savedAt } = form.typedOf(next)
    text.reconcile({ ...fields }, version, savedAt)
  }

  /** Goes on from this view as it is, after an act of this or another device. */
  function adopt(next: V): void {
    view.value = next
    const { fields, version, savedAt } = form.typedOf(next)
    text.adopt({ ...fields }, version, savedAt)
  }

  return { view, problem, autosave: text, load, reconcile, adopt }
}

/** A sheet of flat text whose view has it as it is: a run, a measurement, an inspection. */
export const useKeptSheet = <V extends Typed>(path: string, what: string) =>
  useKeptDocument<V>({ path, what, shape: 'sheet' })
