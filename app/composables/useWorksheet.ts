import type { NodeKey } from '#core/design/model/step-keys'
import type { ReadingKey } from '#core/testing/kinds/kinds'
import type { Installation } from '#core/installation/installation'
import { presentKeys } from '#core/testing/upgrade'
import type { WorkView } from '#schemas/views'
import { flattenWork, unflattenWork } from '~/utils/document-shapes'

/** One attempt at the bay: what the server has, what is typed, and the acts that move it on. */
export function useWorksheet(id: number) {
  const { call } = useApi()
  const session = useSession()
  const missing = ref<readonly string[]>([])
  const isBusy = ref(false)
  const { view, problem, autosave, load, reconcile, adopt } = useKeptDocument<WorkView>({
    path: `work/${id}`,
    key: `work/${session.person!.id}/${id}`,
    what: 'Worksheet',
    shape: 'work',
    present: (kept, { sheet, exercise }) => {
      const { answers, readings } = unflattenWork(kept)
      // Kept by an earlier version, which knew a reading of one circuit by its kind alone.
      return flattenWork({
        answers,
        readings: presentKeys(readings, sheet.installation as Installation, exercise.tests),
      })
    },
  })

  const answer = (node: NodeKey): string => autosave.fields[`design.${node}`] ?? ''
  const followedAnswer = (node: NodeKey): string => autosave.followed.value[`design.${node}`] ?? ''
  const reading = (key: ReadingKey): string => autosave.fields[`reading.${key}`] ?? ''
  function write(area: 'design' | 'reading', key: string, text: string): void {
    autosave.write(`${area}.${key}`, text)
    if (missing.value.includes(key)) missing.value = missing.value.filter((name) => name !== key)
  }

  /** Saves, then hands in, asks or hands in the readings; empty boxes come back marked. */
  async function act(what: 'hand-in-design' | 'ask-permission' | 'hand-in'): Promise<boolean> {
    isBusy.value = true
    try {
      let version = await autosave.flush()
      if (!['saved', 'held'].includes(autosave.state.value)) {
        if (autosave.state.value !== 'conflict')
          ElMessage({
            type: 'error',
            message: autosave.message.value || 'This could not be saved yet. Try again in a moment.',
            duration: 7000,
            showClose: true,
          })
        return false
      }
      // An instrument may have written since this page last looked: then it looks, and says it again.
      const newest = await call<WorkView>('GET', `work/${id}`)
      if (newest.version > version && newest.stage === view.value?.stage) {
        reconcile(newest)
        version = newest.version
      }
      adopt(await call<WorkView>('POST', `work/${id}/${what}`, { version }))
      return true
    } catch (error) {
      missing.value = (showProblem(error).extra.missing as string[] | undefined) ?? []
      return false
    } finally {
      isBusy.value = false
    }
  }

  // While somebody else has the next word, ask for news.
  useNews(async () => {
    const stage = view.value?.stage
    const isBoard = view.value?.board != null
    if (
      !stage ||
      !(['permission', 'live', 'handedIn', 'decided'].includes(stage) || (isBoard && stage === 'dead'))
    )
      return
    const news = await call<WorkView>('GET', `work/${id}`).catch(() => undefined)
    if (!news) return
    // An instrument, or a second tablet, writes into the same sheet.
    if (news.stage === stage) return reconcile(news)
    // A permission that was taken back locks the boxes; what was typed before it goes at once, or stays in its box.
    if (stage === 'live') await autosave.flush()
    adopt(news)
  })

  return { view, problem, missing, isBusy, load, answer, followedAnswer, reading, write, act, autosave }
}
