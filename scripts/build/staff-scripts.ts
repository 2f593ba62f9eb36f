import { readFileSync } from 'node:fs'
import { mkdir, readFile, readdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** Scripts in this folder of the built app are served to staff alone. */
export const STAFF_FOLDER = 'staff'

/** Modules that compute what is right: an apprentice's page must not reach them, or the build fails. */
const ANSWERS = new RegExp(
  `/words/questions/(bank|job)/|/core/(${[
    'design/(reference|walk|circuit-chain|board-chain|steps/)',
    'testing/(expected|judge/|diagnosis/|fault-finding/)',
    'assessment/marking/(mark-|rubric|own-figures)',
    'bay/(build/build|faults/catalogue|practice/)',
    'inspection/(scene|looks|draw)[.-]',
    'inspection/scenes/(board|intake|room|rigs)',
  ].join('|')})`,
)
/** Workers of the desk; the others are for everybody. */
const STAFF_WORKERS = /(desk|diagnosis)\.worker/

/** Pages name their roles; a page without any is for everybody. */
function isStaffPage(file: string): boolean {
  if (!/\/app\/pages\/.*\.vue$/.test(file)) return false
  const roles = /definePageMeta\([\s\S]*?roles:\s*\[([^\]]*)\]/.exec(readFileSync(file, 'utf8'))?.[1]
  return roles !== undefined && !roles.includes('apprentice')
}

/**
 * Sorts the built scripts: what no apprentice's page needs goes into the staff's folder. Fails where an
 * apprentice's page reaches a module that computes answers.
 */
export function staffScripts() {
  const forAll = new Set<string>()
  const isOurs = (id: string): boolean => /\/(core|app|words|schemas)\//.test(id)
  const isStaffChunk = (modules: readonly string[]): boolean =>
    modules.some(isOurs) && !modules.some((id) => forAll.has(id))

  const sort: Plugin = {
    name: 'staff-scripts',
    renderStart() {
      const from = new Map<string, string>()
      const open = [...this.getModuleIds()].filter((id) => this.getModuleInfo(id)?.isEntry)
      while (open.length > 0) {
        const id = open.pop()!
        if (forAll.has(id)) continue
        forAll.add(id)
        const { importedIds = [], dynamicallyImportedIds = [] } = this.getModuleInfo(id) ?? {}
        for (const next of [...importedIds, ...dynamicallyImportedIds].filter((to) => !isStaffPage(to))) {
          if (!from.has(next)) from.set(next, id)
          open.push(next)
        }
      }
      refuseAnswers([...forAll], (id) => from.get(id))
    },
  }
  /** A worker for everybody is looked through as it is put together. */
  const sortWorker: Plugin = {
    name: 'staff-workers',
    renderStart() {
      const modules = [...this.getModuleIds()]
      if (!modules.some((id) => STAFF_WORKERS.test(id))) refuseAnswers(modules, () => 'a worker')
    },
  }
  return {
    sort,
    sortWorker,
    /** Whether somebody who is no staff can reach a module; known once the scripts are put together. */
    isForAll: (id: string): boolean => forAll.has(id),
    chunkName: ({ moduleIds }: { readonly moduleIds: readonly string[] }): string =>
      isStaffChunk(moduleIds) ? `${STAFF_FOLDER}/[hash].js` : '_nuxt/[hash].js',
    workerName: ({ name }: { readonly name: string }): string =>
      `${STAFF_WORKERS.test(`${name}.worker`) || STAFF_WORKERS.test(name) ? STAFF_FOLDER : '_nuxt'}/[name]-[hash].js`,
  }
}

function refuseAnswers(modules: readonly string[], from: (id: string) => string | undefined): void {
  const leaks = modules.filter((id) => ANSWERS.test(id))
  if (leaks.length > 0)
    throw new Error(
      `An apprentice's browser would compute answers:\n${leaks.map((id) => `${id} (through ${from(id)})`).join('\n')}`,
    )
}

/** Lays the staff's scripts beside the server that asks who wants them, as they are and compressed. */
export async function copyStaffScripts(clientDir: string, serverDir: string): Promise<void> {
  const [from, to] = [join(clientDir, STAFF_FOLDER), join(serverDir, STAFF_FOLDER)]
  await mkdir(to, { recursive: true })
  for (const file of await readdir(from)) {
    const bytes = await readFile(join(from, file))
    await writeFile(join(to, file), bytes)
    await writeFile(join(to, `${file}.br`), brotliCompressSync(bytes))
    await writeFile(join(to, `${file}.gz`), gzipSync(bytes))
  }
}
