import { createHash } from 'node:crypto'
import type { PageBody } from '#schemas/evidence-requests'
import type { Person } from '../repos/people'
import { allow, open } from './access'
import type { Context } from './context'
import { groupOf } from './groups'
import { Problem } from './problem'

/** Of one person in a day. */
const MOST_A_DAY = 60
const DAY_MS = 86_400_000

/** Keeps a page in PDF by the hash of its bytes. Throws notAPdf, tooManyPictures. */
export function keepPage(
  context: Context,
  actor: Person,
  { name, pdfBase64 }: PageBody,
): { readonly hash: string } {
  allow(actor, 'account.write')
  const bytes = Buffer.from(pdfBase64, 'base64')
  const isPdf = bytes.subarray(0, 5).toString('latin1') === '%PDF-' && bytes.includes('%%EOF')
  if (!isPdf) throw new Problem('notAPdf')
  const hash = createHash('sha256').update(bytes).digest('hex')
  const { repos, now } = context
  repos.transaction(() => {
    const since = new Date(Date.parse(now) - DAY_MS).toISOString()
    if (repos.accounts.pagesSince(actor.id, since) >= MOST_A_DAY) throw new Problem('tooManyPictures')
    repos.accounts.addPage({ hash, bytes, name, madeBy: actor.id, madeAt: now })
  })
  return { hash }
}

/** To whoever kept it, and to those who mark or verify their group. */
export function showPage(
  { repos }: Context,
  actor: Person,
  hash: string,
): { readonly bytes: Buffer; readonly name: string } {
  return open(actor, 'account.open', repos.accounts.page(hash), ({ madeBy }) => ({
    ownerId: madeBy,
    cohort: groupOf(repos, madeBy),
  }))
}
