/* A page is taken down in a task of its own before the next is put up; one stands at the end of any way there. */
import { watch } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { beforeEach, describe, expect, it, vi } from 'vitest'

let router: Router
vi.stubGlobal('useRouter', () => router)
const { usePageTurn } = await import('~/composables/usePageTurn')

/** What a look at the screen would find: the page that is up, or none. */
let seen: string[]
let isUp: ReturnType<typeof usePageTurn>['isUp']
const tasks = async (count: number) => {
  for (let i = 0; i < count; i += 1) await new Promise((next) => setTimeout(next))
}
beforeEach(async () => {
  const page = { render: () => null }
  router = createRouter({
    history: createMemoryHistory(),
    routes: ['/floor', '/marking', '/work', '/broken'].map((path) => ({ path, component: page })),
  })
  ;({ isUp } = usePageTurn())
  seen = []
  await router.push('/floor')
  watch(isUp, (up) => seen.push(up ? router.currentRoute.value.path : 'none'), { flush: 'sync' })
})

describe('turning a page', () => {
  it('the first one is up at once', () => expect([isUp.value, seen]).toEqual([true, []]))
  it('takes one down, lets a touch in, and puts the next one up', async () => {
    const touch = () => setTimeout(() => seen.push(`a touch, still on ${router.currentRoute.value.path}`))
    watch(isUp, (up) => up || touch(), { flush: 'sync' })
    await router.push('/marking')
    expect(seen).toEqual(['none', 'a touch, still on /floor', '/marking'])
  })
  it('a page that changes only what it asks for stays up', async () => {
    await router.push('/floor?group=Tuesday')
    expect(seen).toEqual([])
  })
})

describe('on the way', () => {
  it('tapped on to another page, the first is never put up again', async () => {
    const first = router.push('/marking')
    await tasks(1)
    await Promise.all([first, router.push('/work')])
    expect(seen).toEqual(['none', '/work'])
  })
  it('tapped on before anything was taken down, there is one turn', async () => {
    await Promise.all([router.push('/marking'), router.push('/work')])
    expect(seen).toEqual(['none', '/work'])
  })
  it.each([0, 1, 2, 3])(
    'tapped back to where they are, %i tasks on, the page stands there',
    async (after) => {
      const turn = router.push('/marking')
      await tasks(after)
      await Promise.all([turn, router.push('/floor')])
      await tasks(4)
      expect([isUp.value, router.currentRoute.value.path]).toEqual([true, '/floor'])
    },
  )
  it('stopped by a question such as “leave without saving?”, the page stays up', async () => {
    const stop = router.beforeEach(() => false)
    await router.push('/marking')
    expect([seen, isUp.value]).toEqual([[], true])
    stop()
  })
  it('stopped after it was taken down, it is put up again', async () => {
    router.beforeResolve(({ path }) => path !== '/broken')
    await router.push('/broken')
    expect(seen).toEqual(['none', '/floor'])
  })
  it('failed, it is put up again and can say so', async () => {
    router.beforeResolve(({ path }) => {
      if (path === '/broken') throw new Error('its script cannot be fetched')
    })
    await router.push('/broken').catch(() => undefined)
    expect(seen).toEqual(['none', '/floor'])
  })
})
