import { mergeFields } from '#core/exercise/three-way-merge'
import { ApiProblem } from '~/utils/api-problem'
import type { DeviceCopy, DocumentAbout } from '~/utils/device-copy'
import { DOCUMENT_SHAPES, type DocumentShape } from '~/utils/document-shapes'

type Call = (method: 'GET' | 'PUT', path: string, body?: unknown) => Promise<unknown>

/** How it went: sent, or what keeps it on the device. */
export type Delivered =
  | { readonly is: 'sent' }
  | { readonly is: 'offline' }
  /** The same box was changed here and at the server: a person has to choose, on its page. */
  | { readonly is: 'conflict' }
  | { readonly is: 'refused'; readonly message: string }

/** Somebody else may be quicker now and then; not for ever. */
const MOST_TRIES = 3

/** Sends what a device has kept of a document that is open nowhere, merged with what others changed meanwhile. */
export async function deliver(
  copy: DeviceCopy,
  { path, shape }: NonNullable<DocumentAbout['delivery']>,
  call: Call,
): Promise<Delivered> {
  const form: DocumentShape = DOCUMENT_SHAPES[shape]
  let { fields, version }: { fields: DeviceCopy['mine']; version: number } = {
    fields: copy.mine,
    version: copy.version,
  }
  try {
    let theirs = form.isReadFirst ? form.typedOf(await call('GET', path)) : null
    for (let turn = 0; turn < MOST_TRIES; turn += 1) {
      if (theirs) {
        const merged = mergeFields(copy.base, copy.mine, onlyKnown(copy, theirs.fields, form))
        if (merged.conflicts.length > 0) return { is: 'conflict' }
        fields = { ...(form.isReadFirst ? theirs.fields : {}), ...merged.fields }
        version = theirs.version
      }
      try {
        await call('PUT', path, form.bodyOf(fields, version))
        return { is: 'sent' }
      } catch (error) {
        const problem = error as ApiProblem
        if (problem.code !== 'stale' || !problem.extra.theirs) throw error
        theirs = form.typedOf(problem.extra.theirs)
      }
    }
    return { is: 'offline' }
  } catch (error) {
    if (!(error instanceof ApiProblem)) return { is: 'refused', message: String(error) }
    if (error.code === 'offline' || error.code === 'signInNeeded' || error.status >= 500)
      return { is: 'offline' }
    return { is: 'refused', message: error.message }
  }
}

/** Of a document that carries more than was typed, only what was typed is compared. */
const onlyKnown = (copy: DeviceCopy, theirs: Readonly<DeviceCopy['mine']>, form: DocumentShape) =>
  form.isReadFirst
    ? Object.fromEntries(Object.keys(copy.mine).map((key) => [key, theirs[key] ?? '']))
    : theirs
