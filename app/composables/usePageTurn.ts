import { NavigationFailureType, isNavigationFailure, type RouteLocationNormalized } from 'vue-router'

const nextTask = (): Promise<void> => new Promise((begun) => setTimeout(begun))

/**
 * A page is taken down in one task and the next put up in another: together they would hold up a touch on a slow
 * tablet. False for the moment between.
 */
export function usePageTurn() {
  const isUp = ref(true)
  const router = useRouter()
  /** Where the latest turn leads. */
  let turning: RouteLocationNormalized | undefined

  router.beforeResolve(async (to, from) => {
    // The first page has nothing to take down; a page that only changes its query stays.
    if (from.matched.length === 0 || to.path === from.path) return
    turning = to
    await nextTask()
    if (turning !== to) return
    isUp.value = false
    await nextTick()
    await nextTask()
  })
  router.afterEach((to, _from, failure) => {
    // Tapped on to another page before this one was there: that turn puts up its own. Tapped back to where they
    // are, there is no other turn, and what was taken down is put up again.
    const isOvertaken = isNavigationFailure(failure, NavigationFailureType.cancelled) && turning !== to
    if (!isOvertaken) isUp.value = true
  })
  router.onError(() => (isUp.value = true))
  return { isUp }
}
