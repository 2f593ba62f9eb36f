import type { RecordKind } from '#core/testing/records/test-record'
import type { PapersView } from '#schemas/paper-views'

/** Records of one attempt: what is typed is kept and saved like everything else; a signature closes a version. */
export function usePapers(id: number) {
  const { call } = useApi()
  const session = useSession()
  const view = shallowRef<PapersView | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const kind = ref<RecordKind>('minor')

  const autosave = useAutosave({
    key: `papers/${session.person!.id}/${id}`,
    send: async (fields, version) => {
      const answer = await call<{ version: number; savedAt: string }>('PUT', `papers/${id}`, {
        kind: kind.value,
        version,
        fields,
      })
      // What is missing is worked out on the server.
      view.value = await call<PapersView>('GET', `papers/${id}`)
      return answer
    },
    theirs: (extra) => {
      view.value = extra.theirs as PapersView
      const { fields, version } = view.value.papers[kind.value]
      return { fields: { ...fields }, version }
    },
  })

  async function load(): Promise<void> {
    try {
      view.value = await call<PapersView>('GET', `papers/${id}`)
      problem.value = null
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  /** Turns to the other record; what was typed in this one is sent first. */
  async function open(to: RecordKind): Promise<void> {
    await autosave.flush()
    kind.value = to
    const { fields, version, savedAt } = view.value!.papers[to]
    autosave.adopt({ ...fields }, version, savedAt)
  }

  async function sign(what: RecordKind, name: string, pin: string): Promise<boolean> {
    try {
      const version = await autosave.flush()
      view.value = await call<PapersView>('POST', `papers/${id}/sign`, { kind: what, version, name, pin })
      return true
    } catch (error) {
      showProblem(error)
      return false
    }
  }

  return {
    view,
    problem,
    autosave,
    load,
    open,
    sign,
    field: (key: string) => autosave.fields[key] ?? '',
    write: autosave.write,
  }
}
