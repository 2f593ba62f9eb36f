import type { Act, ActKind } from '#core/isolation/model/act'
import { judgeIsolation } from '#core/isolation/judge'
import { actField, headOf, siteOfHead, observedActs } from '#core/isolation/observation'
import type { Site } from '#core/isolation/model/rule'
import type { ObservationDecisionBody } from '#schemas/isolation-requests'
import type { ObservationView } from '#schemas/isolation-views'
import { ANSWERS } from '~/texts/observed-acts'

const MOST_LIKELY = 4

/**
 * A real isolation being observed: taps kept on this device first, then on the server; nothing is lost when
 * it sleeps.
 */
export function useObservation(id: number) {
  const { call } = useApi()
  const session = useSession()
  const isBusy = ref(false)

  const { view, problem, autosave, load } = useKeptDocument<ObservationView>({
    path: `observations/${id}`,
    key: `observation/${session.person!.id}/${id}`,
    what: 'Observed isolation',
    shape: 'withoutEmpty',
  })

  const fields = computed(() =>
    view.value?.state === 'decided' ? view.value.fields : { ...autosave.fields },
  )
  const head = computed(() => headOf(fields.value))
  const acts = computed(() => observedActs(fields.value))
  const standing = computed(() => acts.value.filter(({ isUndone }) => !isUndone).map(({ act }) => act))
  const site = computed<Site | null>(() => (view.value ? siteOfHead(fields.value, view.value.policy) : null))
  const soFar = computed(() => (site.value ? judgeIsolation(standing.value, site.value, false) : null))
  const atEnd = computed(() => (site.value ? judgeIsolation(standing.value, site.value, true) : null))

  /** What usually comes next; everything else stays within reach. */
  const likely = computed<readonly ActKind[]>(() => {
    const done = new Set(standing.value.map(({ kind }) => kind))
    if (!done.has('switchOff') && ['identify', 'take', 'prove'].every((kind) => done.has(kind as ActKind)))
      return endingIn(openKinds(done), ['switchOff'])
    if (done.has('cover') && !done.has('switchOn'))
      return endingIn(openKinds(done), ['removeOwnLock', 'switchOn'])
    if (done.has('testDead') && !done.has('open'))
      return [...new Set<ActKind>(['prove', 'open', ...openKinds(done)])].slice(0, MOST_LIKELY)
    if (done.has('open') && !done.has('cover'))
      return [...new Set<ActKind>(['testTerminals', 'separate', 'cover', ...openKinds(done)])].slice(
        0,
        MOST_LIKELY,
      )
    return openKinds(done)
  })
  /** As many as there is room for, the last ones always among them. */
  const endingIn = (kinds: readonly ActKind[], last: readonly ActKind[]): ActKind[] => [
    ...kinds.filter((kind) => !last.includes(kind)).slice(0, MOST_LIKELY - last.length),
    ...last,
  ]
  function openKinds(done: ReadonlySet<ActKind>): ActKind[] {
    const open = soFar.value?.rules.filter(({ state }) => state === 'open').map(({ code }) => code) ?? []
    const order = Object.keys(ANSWERS)
      .filter((code) => open.includes(code))
      .map((code) => ANSWERS[code]!)
    const isAfter = (kind: ActKind) =>
      done.has('switchOff') || !['lock', 'keepKey', 'notice', 'warnNeutral', 'testDead'].includes(kind)
    return [...new Set(order.filter(isAfter))].slice(0, MOST_LIKELY)
  }

  let last = 0
  function tap(kind: ActKind, parts: Partial<Act> = {}): void {
    // Two taps in one millisecond would be one key.
    last = Math.max(Date.now(), last + 1)
    const [key, text] = actField({ ...parts, kind }, new Date(last).toISOString())
    autosave.write(key, text)
  }
  const takeBack = (key: string): void => autosave.write(`undo.${key}`, new Date().toISOString())
  const putBack = (key: string): void => autosave.write(`undo.${key}`, '')
  const remark = (key: string, text: string): void => autosave.write(`remark.${key}`, text)

  async function decide(body: Omit<ObservationDecisionBody, 'version'>): Promise<boolean> {
    isBusy.value = true
    try {
      const version = await autosave.flush()
      if (autosave.state.value !== 'saved') {
        ElMessage({
          type: 'error',
          message:
            autosave.message.value ||
            'This could not be saved yet. Decide as soon as the network is back; nothing is lost.',
          duration: 7000,
          showClose: true,
        })
        return false
      }
      view.value = await call<ObservationView>('POST', `observations/${id}/decision`, { ...body, version })
      return true
    } catch (error) {
      showProblem(error)
      return false
    } finally {
      isBusy.value = false
    }
  }

  return {
    view,
    problem,
    isBusy,
    autosave,
    head,
    acts,
    soFar,
    atEnd,
    likely,
    load,
    tap,
    takeBack,
    putBack,
    remark,
    decide,
  }
}
