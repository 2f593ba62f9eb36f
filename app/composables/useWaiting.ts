import { countWaiting } from '#core/floor/needs'
import type { OwnNeedsView } from '#schemas/floor'

/** How much waits for whoever is signed in, by the page where it is done; kept fresh. */
export function useWaiting() {
  const session = useSession()
  const role = computed(() => session.person?.role)
  const isApprentice = computed(() => role.value === 'apprentice')
  const { data: staff, refresh: refreshStaff } = useNeedsView()
  const { data: own, refresh: refreshOwn } = useServer<OwnNeedsView>(() =>
    isApprentice.value ? 'needs/own' : null,
  )
  useNews(() => void (isApprentice.value ? refreshOwn() : refreshStaff()))

  const counts = computed((): Readonly<Record<string, number>> => {
    if (isApprentice.value) return { '/work': own.value?.tasks ?? 0, '/accounts': own.value?.claims ?? 0 }
    const desk = Object.fromEntries((staff.value?.desk ?? []).map(({ kind, count }) => [kind, count]))
    return {
      '/floor': countWaiting(staff.value?.walk ?? []),
      '/marking': desk.marking ?? 0,
      '/accounts': desk.claims ?? 0,
      '/surveys': desk.surveys ?? 0,
      '/verification': (desk.secondMarking ?? 0) + (desk.appeals ?? 0),
    }
  })
  return { countAt: (to: string): number => counts.value[to] ?? 0 }
}
