import { concludeInspection } from '#core/inspection/conclude'
import type { InspectionView } from '#schemas/workmanship-views'

/** The inspection of one attempt's work: what was seen, item by item, kept and merged like a worksheet. */
export function useInspection(id: number) {
  const { call } = useApi()
  const { view, problem, autosave, load } = useKeptSheet<InspectionView>(`inspections/${id}`, 'Inspection')
  useNews(async () => {
    const news = await call<InspectionView>('GET', `inspections/${id}`).catch(() => undefined)
    if (!news) return
    autosave.reconcile({ ...news.fields }, news.version, news.savedAt)
    // One's own saving is news too: who was last follows from there.
    if (view.value) view.value = { ...view.value, savedBy: news.savedBy, mayChange: news.mayChange }
  })

  const conclusion = computed(() =>
    view.value ? concludeInspection(view.value.items, autosave.fields) : null,
  )
  return {
    view,
    problem,
    autosave,
    load,
    conclusion,
    field: (key: string) => autosave.fields[key] ?? '',
    write: autosave.write,
  }
}
