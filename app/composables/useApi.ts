import { ApiProblem } from '~/utils/api-problem'
import { headersOf, takeEarly } from '~/utils/early-data'

const OFFLINE = 'The server cannot be reached. What you type is kept on this device and sent when it is back.'

const CANCELLED = 'Cancelled. Nothing has been changed.'

/** Between here and the server: it is not there, or too slow. */
const GATEWAY: readonly number[] = [502, 503, 504]
/**
 * Did the server itself answer? A network that wants a sign-in of its own answers everything with its page, and a
 * proxy says that nobody is behind it: nothing has been saved then.
 */
const isOurs = ({ ok, status, headers }: Response): boolean =>
  status === 204 || (headers.get('content-type') ?? '').includes('json') || !(ok || GATEWAY.includes(status))

/** What is asked of the server, and by the page of whom: absent where nobody has signed in. */
interface Request {
  readonly method: string
  readonly path: string
  readonly body: unknown
  readonly signal: AbortSignal | undefined
  readonly person: number | undefined
}

async function send<T>({ method, path, body, signal, person }: Request): Promise<T> {
  let response: Response
  try {
    const asked = method === 'GET' ? takeEarly(path) : undefined
    response = await (asked ??
      fetch(`/api/${path}`, {
        method,
        headers: headersOf(person, body),
        body: body === undefined ? undefined : JSON.stringify(body),
        ...(signal ? { signal } : {}),
      }))
  } catch {
    if (signal?.aborted) throw new ApiProblem(0, 'cancelled', CANCELLED)
    throw new ApiProblem(0, 'offline', OFFLINE)
  }
  if (!isOurs(response)) throw new ApiProblem(0, 'offline', OFFLINE)
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

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'
/** Whoever the page is for does not sit here any more. */
const NOBODY_HERE: readonly string[] = ['signInNeeded', 'otherPerson']

/**
 * Calls the server. A session that has ended asks for a sign-in on top of the page, a signature for a proof of who
 * sits there; then it goes on with the same call.
 */
export function useApi() {
  const session = useSession()

  const callOnce = <T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> =>
    send<T>({ method, path, body, signal, person: session.person?.id })

  async function call<T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
    try {
      return await callOnce<T>(method, path, body, signal)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      if (NOBODY_HERE.includes(error.code)) await session.untilSignedIn()
      else if (error.code === 'sessionLocked' || error.code === 'proofNeeded') {
        if (error.code === 'sessionLocked') session.isLocked = true
        if (!(await session.untilProved())) throw error
      } else throw error
      return callOnce<T>(method, path, body, signal)
    }
  }

  return { call, callOnce }
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
