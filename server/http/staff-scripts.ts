import { readFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { Problem } from '../services/problem'

const NAME = /^[\w.-]+\.js$/
const ENCODINGS = [
  ['br', '.br'],
  ['gzip', '.gz'],
] as const

/** Beside the built server. */
const folder = (): string => join(dirname(process.argv[1] ?? ''), 'staff')

export interface StaffScript {
  readonly bytes: Buffer
  readonly etag: string
  readonly encoding: string | null
}

/** One of the staff's scripts, compressed where the browser takes it. Throws notFound. */
export async function staffScript(name: string, accepts = ''): Promise<StaffScript> {
  if (!NAME.test(name)) throw new Problem('notFound')
  const wanted = [...ENCODINGS.filter(([encoding]) => accepts.includes(encoding)), [null, ''] as const]
  for (const [encoding, ending] of wanted) {
    const bytes = await readFile(join(folder(), name + ending)).catch(() => null)
    // The name carries a hash of what is in it.
    if (bytes) return { bytes, encoding, etag: `"${name}${ending}"` }
  }
  throw new Problem('notFound')
}
