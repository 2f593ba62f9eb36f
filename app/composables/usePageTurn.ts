import { NavigationFailureType, isNavigationFailure } from 'vue-router'

const nextTask = (): Promise<void> => new Promise((begun) => setTimeout(begun))

/**
 * A page is taken down in one task and the next put up in another: together they would hold up a touch on a slow
 * tablet. False for the moment between.
 */
export function usePageTurn() {
  const isUp = ref(true)
  const router = useRouter()
  let latest = 0

  router.beforeResolve(async (to, from) => {
    // The first page has nothing to take down; a page that only changes its query stays.
    if (from.matched.length === 0 || to.path === from.path) return
    const turn = ++latest
    await nextTask()
    if (turn !== latest) return
    isUp.value = false
    await nextTick()
    await nextTask()
  })
  router.afterEach((_to, _from, failure) => {
    // Somebody has tapped on before it was there: the page that they want next is put up.
    if (!isNavigationFailure(failure, NavigationFailureType.cancelled)) isUp.value = true
  })
  router.onError(() => (isUp.value = true))
  return { isUp }
}
