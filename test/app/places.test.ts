/* Whatever the navigation and the palette offer somebody is a page, and one that their role may open. */
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { expect, it, test } from 'vitest'
import { MORE_PLACES, PLACES } from '../../app/texts/places'

/** The file of a route: a folder or a page by its name, or the one that takes any name. */
function pageOf(route: string): string | undefined {
  let folder = 'app/pages'
  const steps = route.split('?')[0]!.split('/').filter(Boolean)
  for (const [i, step] of steps.entries()) {
    const isLast = i === steps.length - 1
    const names = readdirSync(folder)
    const any = names.find((name) => name.startsWith('['))
    const name = [step, `${step}.vue`].find((one) => names.includes(one)) ?? any
    if (!name) return undefined
    if (isLast && names.includes(`${step}.vue`)) return `${folder}/${step}.vue`
    if (name.endsWith('.vue')) return isLast ? `${folder}/${name}` : undefined
    folder = `${folder}/${name}`
  }
  return existsSync(`${folder}/index.vue`) ? `${folder}/index.vue` : undefined
}

const rolesOf = (file: string): readonly string[] | undefined =>
  /definePageMeta\([\s\S]*?roles:\s*\[([^\]]*)\]/.exec(readFileSync(file, 'utf8'))?.[1]?.match(/[a-z]+/g) ??
  undefined

it.each([...PLACES, ...MORE_PLACES].map((place) => [place.to, place] as const))('%s', (to, { roles }) => {
  const file = pageOf(to)
  expect(file).toBeDefined()
  const open = rolesOf(file!)
  if (open) expect(roles.filter((role) => !open.includes(role))).toEqual([])
})

test('a route that is not there is found to be none', () => {
  expect(pageOf('/nowhere')).toBeUndefined()
  expect(pageOf('/exercises/4/nowhere')).toBeUndefined()
  expect(pageOf('/practice/principles/rheostat')).toBe('app/pages/practice/principles/[code].vue')
})
