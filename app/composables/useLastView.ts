import { lastViews } from '~/utils/last-view'

/** Reads from the server, or without a network what it said last on this device to whoever is signed in. */
export function useLastView() {
  const { call } = useApi()
  const session = useSession()

  async function read<V>(path: string): Promise<{ readonly view: V; readonly isOld: boolean }> {
    const key = `${session.person!.id}/${path}`
    try {
      const view = await call<V>('GET', path)
      lastViews.keep(key, view)
      return { view, isOld: false }
    } catch (error) {
      const old = (error as ApiProblem).code === 'offline' ? await lastViews.read(key) : undefined
      if (old === undefined) throw error
      return { view: old as V, isOld: true }
    }
  }
  return { read }
}
