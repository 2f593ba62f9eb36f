import { ApiProblem } from '~/utils/api-problem'
import { headersOf, takeEarly } from '~/utils/early-data'

const OFFLINE = 'The server cannot be reached. What you type is kept on this device and sent when it is back.'

const CANCELLED = 'Cancelled. Nothing has been changed.'

async function send<T>(method: string, path: string, body: unknown, signal?: AbortSignal): Promise<T> {
  let response: Response
  try {
    const asked = method === 'GET' ? takeEarly(path) : undefined
    response = await (asked ??
      fetch(`/api/${path}`, {
        method,
        headers: headersOf(body),
        body: body === undefined ? undefined : JSON.stringify(body),
        ...(signal ? { signal } : {}),
      }))
  } catch {
    if (signal?.aborted) throw new ApiProblem(0, 'cancelled', CANCELLED)
    throw new ApiProblem(0, 'offline', OFFLINE)
  }
  const answer = await response.json().catch(() => null)
  if (response.ok) return answer as T
  const { title, code, fields, status: _status, type: _type, ...extra } = answer ?? {}
  throw new ApiProblem(
    response.status,
    code ?? 'unexpected',
    title ?? 'The server gave no reason. Try again in a moment.',
    fields,
    extra,
  )
}

/**
 * Calls the server. A session that has ended asks for a sign-in on top of the page, a signature for a proof of who
 * sits there; then it goes on with the same call.
 */
export function useApi() {
  const session = useSession()

  async function call<T>(
    method: 'GET' | 'POST' | 'PUT' | 'DELETE',
    path: string,
    body?: unknown,
    signal?: AbortSignal,
  ): Promise<T> {
    try {
      return await send<T>(method, path, body, signal)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      if (error.code === 'signInNeeded') await session.untilSignedIn()
      else if (error.code === 'sessionLocked' || error.code === 'proofNeeded') {
        if (error.code === 'sessionLocked') session.isLocked = true
        if (!(await session.untilProved())) throw error
      } else throw error
      return send<T>(method, path, body, signal)
    }
  }

  return { call, callOnce: send }
}

/** Shows a problem as a message; returns it so that a form can mark its fields. */
export function showProblem(error: unknown): ApiProblem {
  const problem = error instanceof ApiProblem ? error : new ApiProblem(0, 'unexpected', String(error))
  const details = problem.fields.map(({ field, message }) => `${field} ${message}`).join(' ')
  ElMessage({
    type: 'error',
    message: [problem.message, details].filter(Boolean).join(' '),
    duration: 7000,
    showClose: true,
    grouping: true,
  })
  return problem
}

/**
 * A value from the server with its loading and error state; `refresh` asks again. Kept on the device, it is shown
 * without a network as it was last.
 */
export function useServer<T>(path: () => string | null, { isKept = false } = {}) {
  const { call } = useApi()
  const last = isKept ? useLastView() : null
  const data = shallowRef<T | null>(null)
  const problem = ref<ApiProblem | null>(null)
  let latest = 0

  async function refresh(): Promise<void> {
    const url = path()
    const turn = ++latest
    if (url === null) {
      data.value = null
      problem.value = null
      return
    }
    try {
      const answer = last ? (await last.read<T>(url)).view : await call<T>('GET', url)
      // A slower earlier answer must not overwrite a later one.
      if (turn === latest) {
        data.value = answer
        problem.value = null
      }
    } catch (error) {
      if (turn === latest) problem.value = error as ApiProblem
    }
  }

  watch(path, refresh, { immediate: true })
  return { data, problem, refresh }
}
