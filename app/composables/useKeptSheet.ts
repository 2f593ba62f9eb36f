interface Kept {
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
}

/** A sheet of flat text under one address of the server: read, kept on this device, saved, merged with what others changed. */
export function useKeptSheet<V extends Kept>(path: string) {
  const { call } = useApi()
  const session = useSession()
  const view = shallowRef<V | null>(null)
  const problem = ref<ApiProblem | null>(null)
  const autosave = useAutosave({
    key: `${path}/${session.person!.id}`,
    send: (fields, version) => call('PUT', path, { version, fields }),
    theirs: (extra) => {
      view.value = extra.theirs as V
      return { fields: { ...view.value.fields }, version: view.value.version }
    },
  })

  async function load(): Promise<void> {
    try {
      view.value = await call<V>('GET', path)
      problem.value = null
      await autosave.start({ ...view.value.fields }, view.value.version, view.value.savedAt)
    } catch (error) {
      problem.value = error as ApiProblem
    }
  }

  return { view, problem, autosave, load }
}
