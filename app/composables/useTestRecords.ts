import type { RecordKind } from '#core/testing/records/record-shape'
import type { TestRecordsView } from '#schemas/test-record-views'
import { isTypedIn, type DevicePlace } from '~/utils/device-copy'
import { DOCUMENT_SHAPES } from '~/utils/document-shapes'

const RECORD_NAME: Readonly<Record<RecordKind, string>> = {
  minor: 'Minor works record',
  installation: 'Installation record',
}

/** Records of one attempt: each kind is kept and saved by itself; a signature closes a version. */
export function useTestRecords(id: number) {
  const { call } = useApi()
  const session = useSession()
  const last = useLastView()
  const view = shallowRef<TestRecordsView | null>(null)
  /** The view that is coming: it is shown once its boxes hold what is to stand in them. */
  let coming: TestRecordsView | null = null
  const problem = ref<ApiProblem | null>(null)
  const kind = ref<RecordKind>('minor')

  const typedOf = (seen: TestRecordsView, of: RecordKind) => {
    const { fields, version, savedAt } = DOCUMENT_SHAPES[of].typedOf(seen)
    return { fields: { ...fields }, version, savedAt }
  }
  const about = (of: RecordKind) => ({
    what: RECORD_NAME[of],
    page: `/papers/${id}`,
    delivery: { path: `papers/${id}`, shape: of },
  })
  /** Both kinds shared one place once: what was typed there goes to the record that has its boxes. */
  const former = useDevicePlace(`papers/${session.person!.id}/${id}`, about('minor'))
  const boxesOf = (of: RecordKind) =>
    new Set(coming!.papers[of].paper.parts.flatMap(({ items }) => items.map(({ key }) => key as string)))
  function placeOf(of: RecordKind): DevicePlace {
    const place = useDevicePlace(`papers/${session.person!.id}/${id}/${of}`, about(of))
    const read = async () => {
      const copy = await place.read()
      if (copy) return copy
      const shared = await former.read()
      return shared && isTypedIn(shared, boxesOf(of)) ? shared : undefined
    }
    return { ...place, read }
  }
  const textOf = (of: RecordKind) =>
    useKeptText({
      place: placeOf(of),
      send: async (fields, version) => {
        const body = DOCUMENT_SHAPES[of].bodyOf(fields, version)
        const answer = await call<{ version: number; savedAt: string }>('PUT', `papers/${id}`, body)
        // What is missing is worked out on the server; that it cannot be read now does not undo the saving.
        const fresh = await call<TestRecordsView>('GET', `papers/${id}`).catch(() => null)
        if (fresh) view.value = fresh
        return answer
      },
      theirs: (extra) => {
        view.value = extra.theirs as TestRecordsView
        return typedOf(view.value, of)
      },
    })
  const texts: Readonly<Record<RecordKind, ReturnType<typeof textOf>>> = {
    minor: textOf('minor'),
    installation: textOf('installation'),
  }
  const autosave = computed(() => texts[kind.value])

  async function load(): Promise<void> {
    try {
      coming = (await last.read<TestRecordsView>(`papers/${id}`)).view
      for (const of of Object.keys(texts) as RecordKind[]) {
        const { fields, version, savedAt } = typedOf(coming, of)
        await texts[of].start(fields, version, savedAt)
      }
      await former.forget()
      view.value = coming
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  async function sign(what: RecordKind, name: string, pin: string): Promise<boolean> {
    try {
      const version = await texts[what].flush()
      view.value = await call<TestRecordsView>('POST', `papers/${id}/sign`, {
        kind: what,
        version,
        name,
        pin,
        seen: view.value!.papers[what].seen,
      })
      return true
    } catch (error) {
      const { code, extra } = showProblem(error)
      if (code === 'changedSince') view.value = extra.theirs as TestRecordsView
      return false
    }
  }

  return {
    view,
    problem,
    autosave,
    load,
    /** Turns to the other record; each keeps what was typed in it. */
    open: (to: RecordKind) => (kind.value = to),
    sign,
    field: (key: string) => autosave.value.fields[key] ?? '',
    write: (key: string, text: string) => autosave.value.write(key, text),
  }
}
