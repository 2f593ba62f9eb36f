import { STAFF_FOLDER } from './staff-scripts'

/** A page as the router knows it. */
interface PageAt {
  readonly path: string
  readonly file?: string
  readonly children?: readonly PageAt[]
}
/** A built script as the manifest of the build names it. */
interface Built {
  readonly file: string
  readonly css?: readonly string[]
  readonly imports?: readonly string[]
  readonly isEntry?: boolean
  prefetch?: boolean
}
/** What a page is made of, by the addresses that show it. */
export interface PageFiles {
  /** A regular expression of the path, as text. */
  readonly pattern: string
  readonly scripts: readonly string[]
  readonly styles: readonly string[]
}

/** Never sent ahead: who signs in has no need of the frame yet. */
const PLAIN = new Set(['/sign-in', '/set-up', '/witness'])
const FRAME = /layouts\/default\.vue$/

const addressOf = (file: string): string =>
  file.startsWith(`${STAFF_FOLDER}/`) ? `/${file}` : `/_nuxt/${file}`
const isDynamic = (path: string): boolean => path.includes(':')
const patternOf = (path: string): string => `^${path.replace(/:\w+\(\)/g, '[^/]+')}/?$`

/**
 * Which scripts and styles each page needs, so that its address alone brings them all at once: nothing is asked for
 * twice, and no script waits for the one that names it.
 */
export function pageFiles() {
  const pages: { readonly path: string; readonly file: string }[] = []
  let table: readonly PageFiles[] = []

  const takePages = (some: readonly PageAt[]): void => {
    for (const { path, file, children = [] } of some) {
      if (file && path.startsWith('/')) pages.push({ path, file })
      takePages(children)
    }
  }

  function takeManifest(manifest: Record<string, Built>): void {
    const keys = Object.keys(manifest)
    for (const chunk of Object.values(manifest)) chunk.prefetch = false
    const frame = keys.find((key) => FRAME.test(key))
    const known = keysFrom(
      manifest,
      keys.filter((key) => manifest[key]!.isEntry),
    )
    table = [...pages]
      .sort((a, b) => Number(isDynamic(a.path)) - Number(isDynamic(b.path)))
      .flatMap(({ path, file }) => {
        const key = keys.find((one) => file.endsWith(`/${one}`))
        if (key === undefined) return []
        const needed = keysFrom(manifest, frame && !PLAIN.has(path) ? [frame, key] : [key])
        const further = [...needed].filter((one) => !known.has(one)).map((one) => manifest[one]!)
        return {
          pattern: patternOf(path),
          scripts: further.map((chunk) => addressOf(chunk.file)),
          styles: [...new Set(further.flatMap((chunk) => chunk.css ?? []))].map(addressOf),
        }
      })
  }

  return {
    takePages,
    takeManifest,
    asModule: (): string => `export const PAGE_FILES = ${JSON.stringify(table)}`,
  }
}

/** All that these need, what is needed before what needs it, as styles that come later win. */
function keysFrom(manifest: Record<string, Built>, roots: readonly string[]): Set<string> {
  const [begun, done] = [new Set<string>(), new Set<string>()]
  const visit = (key: string): void => {
    if (begun.has(key) || !manifest[key]) return
    begun.add(key)
    manifest[key].imports?.forEach(visit)
    done.add(key)
  }
  roots.forEach(visit)
  return done
}
