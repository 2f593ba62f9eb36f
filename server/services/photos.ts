import { createHash } from 'node:crypto'
import sharp from 'sharp'
import type { Person } from '../repos/people'
import { allow, open } from './access'
import type { Context } from './context'
import { groupOf } from './groups'
import { Problem } from './problem'

/** More is no photograph of a bay, and a small file may unfold to gigabytes: pixels of the whole picture. */
const MOST_PIXELS = 40_000_000
/** Kept at most this wide or high, px. */
const MOST_SIDE = 1600
const QUALITY = 82
/** Of one person in a day: a long day's inspections, and no filling of the disk. */
const MOST_A_DAY = 200
const DAY_MS = 24 * 60 * 60 * 1000

// A few threads, so that the floor keeps its own.
sharp.concurrency(1)
sharp.cache(false)

/**
 * Keeps a picture by the hash of its bytes: decoded and encoded anew, so that nothing but the picture is in it,
 * neither where nor with what it was taken. Throws notAPicture, tooManyPictures.
 */
export async function keepPhoto(
  context: Context,
  actor: Person,
  jpegBase64: string,
): Promise<{ readonly hash: string }> {
  allow(actor, 'inspection.use')
  refuseTooMany(context, actor)
  const bytes = await redrawn(Buffer.from(jpegBase64, 'base64'))
  const hash = createHash('sha256').update(bytes).digest('hex')
  const { repos, now } = context
  repos.transaction(() => {
    refuseTooMany(context, actor)
    repos.inspections.addPhoto(hash, bytes, actor.id, now)
  })
  return { hash }
}

function refuseTooMany({ repos, now }: Context, actor: Person): void {
  const dayBefore = new Date(Date.parse(now) - DAY_MS).toISOString()
  if (repos.inspections.photosSince(actor.id, dayBefore) >= MOST_A_DAY) throw new Problem('tooManyPictures')
}

/** The picture, upright, as a JPEG without anything beside it. */
const redrawn = (bytes: Buffer): Promise<Buffer> =>
  sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .rotate()
    .resize({ width: MOST_SIDE, height: MOST_SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: QUALITY })
    .toBuffer()
    .catch(() => {
      throw new Problem('notAPicture')
    })

/** To those who mark, to whoever took it, and to the apprentice whose work it shows. */
export function showPhoto({ repos }: Context, actor: Person, hash: string): Buffer {
  const showsWorkOf = (personId: number) => repos.inspections.showsWorkOf(personId, hash)
  const photo = repos.inspections.photo(hash)
  return open(actor, 'photo.open', photo, ({ madeBy }) => ({
    ownerId: madeBy,
    cohort: groupOf(repos, madeBy),
    showsWorkOf,
  })).bytes
}
