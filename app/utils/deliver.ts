import { mergeFields } from '#core/exercise/three-way-merge'
import { ApiProblem } from '~/utils/api-problem'
import type { DeviceCopy, DocumentAbout } from '~/utils/device-copy'
import { DOCUMENT_SHAPES, type DocumentShape, type Typed } from '~/utils/document-shapes'

type Call = (method: 'GET' | 'PUT', path: string, body?: unknown) => Promise<unknown>

/** How it went: sent, or what keeps it on the device. */
export type Delivered =
  | { readonly is: 'sent' }
  | { readonly is: 'offline' }
  /** The same box was changed here and at the server: a person has to choose, on its page. */
  | { readonly is: 'conflict' }
  | { readonly is: 'refused'; readonly message: string }
  /** Sent but for boxes that are locked at this stage. */
  | { readonly is: 'held'; readonly message: string }

/** Not now: nobody is signed in or has proved who they are, or too much is asked at once. */
const LATER: readonly string[] = [
  'offline',
  'signInNeeded',
  'otherPerson',
  'sessionLocked',
  'passwordChangeNeeded',
  'tooManyTries',
  'busy',
]

/** Somebody else may be quicker now and then; not for ever. */
const MOST_TRIES = 4

/** What is known when it is tried: the server's version, once it has been told, and boxes that are locked. */
interface Try {
  readonly theirs: Typed | null
  readonly held: readonly string[]
  readonly why: string
}

/**
 * Sends what a device has kept of a document that is open nowhere, merged with what others changed meanwhile, and
 * without boxes that are locked at this stage.
 */
export async function deliver(
  copy: DeviceCopy,
  { path, shape }: NonNullable<DocumentAbout['delivery']>,
  call: Call,
): Promise<Delivered> {
  const form: DocumentShape = DOCUMENT_SHAPES[shape]
  let now: Try = { theirs: null, held: [], why: '' }
  try {
    if (form.isReadFirst) now = { ...now, theirs: form.typedOf(await call('GET', path)) }
    for (let turn = 0; turn < MOST_TRIES; turn += 1) {
      const body = bodyFor(copy, form, now)
      if (body === undefined) return { is: 'conflict' }
      try {
        await call('PUT', path, body)
        return now.held.length > 0 ? { is: 'held', message: now.why } : { is: 'sent' }
      } catch (error) {
        now = nextTry(error as ApiProblem, form, now)
      }
    }
    return { is: 'offline' }
  } catch (error) {
    return failureOf(error)
  }
}

/** What is sent; undefined where the same box was changed here and at the server. */
function bodyFor(copy: DeviceCopy, form: DocumentShape, { theirs, held }: Try): unknown {
  const server = theirs?.fields ?? copy.base
  // Of a document that carries more than was typed, only what was typed is compared.
  const compared = form.isReadFirst
    ? Object.fromEntries(Object.keys(copy.mine).map((key) => [key, server[key] ?? '']))
    : server
  const merged = mergeFields(copy.base, copy.mine, compared)
  if (merged.conflicts.length > 0) return undefined
  const locked = Object.fromEntries(held.map((name) => [name, server[name] ?? '']))
  const beside = form.isReadFirst ? server : {}
  return form.bodyOf({ ...beside, ...merged.fields, ...locked }, theirs?.version ?? copy.version)
}

/** What is known after a refusal that something can be done about; throws any other. */
function nextTry(problem: ApiProblem, form: DocumentShape, now: Try): Try {
  const locked = problem.extra?.locked && form.lockedOf ? form.lockedOf(problem.extra) : []
  if (locked.some((name) => !now.held.includes(name)))
    return { ...now, held: [...now.held, ...locked], why: problem.message }
  if (problem.code === 'stale' && problem.extra.theirs)
    return { ...now, theirs: form.typedOf(problem.extra.theirs) }
  throw problem
}

function failureOf(error: unknown): Delivered {
  if (!(error instanceof ApiProblem)) return { is: 'refused', message: String(error) }
  if (LATER.includes(error.code) || error.status >= 500) return { is: 'offline' }
  return { is: 'refused', message: error.message }
}
