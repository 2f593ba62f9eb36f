import { energiseInOrder } from '#core/bay/behaviour/energise'
import type { Action } from '#core/bay/behaviour/happenings'
import { deadState, isEnergised, type BayState } from '#core/bay/behaviour/state'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { NO_SETUP } from '#core/bay/instruments/setup'
import type { ReadingRequest, Taken } from '#core/bay/instruments/take'

type Act = Action extends infer A ? (A extends Action ? Omit<A, 'atS'> : never) : never

/** How long an act is followed, s; a longer wait is asked for. */
const FOLLOW_S = 10

/** A bay at work: how everything stands, what hands do, what follows. The wiring comes from elsewhere. */
export function useBayRun(rig: () => Rig | null) {
  const { work } = useBayWorker()
  const state = shallowRef<BayState | null>(null)
  const live = shallowRef<ReadonlySet<string>>(new Set())
  /** What each conductor carries as it stands, A. */
  const flow = shallowRef<ReadonlyMap<string, number>>(new Map())
  const isBusy = ref(false)
  const setup = useTrialSetup(rig, state)
  const { asTried } = setup
  const story = useBayStory()
  watch(
    () => rig() !== null,
    (isThere) => isThere && state.value === null && (state.value = deadState(rig()!)),
    { immediate: true },
  )

  /** Counts the trials of this bay: what is still on its way from one that was ended is of no other. */
  let trial = 0
  /** A hand that is quicker than the computation waits its turn; no tap is lost. */
  let turn: Promise<unknown> = Promise.resolve()
  function inTurn<T>(next: () => Promise<T>): Promise<T> {
    const mine = turn.then(next, next)
    turn = mine
    return mine
  }
  const play = (actions: () => readonly Action[], untilS: number): Promise<void> => {
    const own = trial
    return inTurn(() => playNow(own, actions, untilS))
  }
  async function playNow(own: number, actionsOf: () => readonly Action[], untilS: number): Promise<void> {
    const wired = asTried.value
    if (!wired || !state.value || own !== trial) return
    isBusy.value = true
    try {
      const actions = actionsOf()
      const played = await work({ kind: 'simulate', rig: wired, state: state.value, actions, untilS })
      if (own !== trial) return
      story.tell(played.happenings, indexParts(wired))
      state.value = played.state
      const now = { rig: wired, state: played.state }
      const isFed = isEnergised(wired.parts, played.state)
      const atVoltage = isFed ? await work({ kind: 'live', ...now }) : []
      const carried = isFed ? Object.entries(await work({ kind: 'flow', ...now })) : []
      if (own !== trial) return
      live.value = new Set(atVoltage)
      flow.value = new Map(carried)
    } finally {
      isBusy.value = false
    }
  }

  const atOnce = (doing: Act): Action => ({ ...doing, atS: 0 }) as Action
  /** What is done is asked when its turn comes: a second tap on a switch turns it back. */
  const act = (doing: Act | ((now: BayState) => Act)): Promise<void> =>
    play(() => [atOnce(typeof doing === 'function' ? doing(state.value!) : doing)], FOLLOW_S)
  const energise = (): Promise<void> => {
    const acts = energiseInOrder(asTried.value!)
    return play(() => acts, (acts.at(-1)?.atS ?? 0) + FOLLOW_S)
  }
  const wait = (s: number): Promise<void> => play(() => [], s)
  /** Counts separations: what touched only until then does not touch afterwards. */
  let separated = 0
  async function touch(from: string, to: string, ohm: number): Promise<void> {
    const [own, before] = [trial, separated]
    const leak = setup.newTouch(from, to, ohm)
    await play(() => [{ kind: 'fault', leak, atS: 0 }], FOLLOW_S)
    if (own === trial && before === separated) setup.leaks.value = [...setup.leaks.value, leak]
  }
  function untouch(): void {
    separated += 1
    setup.leaks.value = []
    story.say('What was touching is separated.')
  }
  /** Everything off, nothing touching, as it was before the trial. */
  function reset(): void {
    trial += 1
    if (rig()) state.value = deadState(rig()!)
    setup.reset()
    story.reset()
    live.value = new Set()
    flow.value = new Map()
  }
  /** A reading as the bay stands when its turn comes; `first` is done before it, and nothing comes between them. */
  function measure(request: ReadingRequest, first?: Act): Promise<Taken> {
    const own = trial
    return inTurn(async () => {
      if (first) await playNow(own, () => [atOnce(first)], FOLLOW_S)
      return read(own, request)
    })
  }
  async function read(own: number, request: ReadingRequest): Promise<Taken> {
    const asked = { rig: asTried.value!, state: state.value!, setup: NO_SETUP, request }
    const taken = await work({ kind: 'read', ...asked })
    // A test that opens a device leaves it open.
    if (taken.trips.length > 0 && own === trial)
      state.value = {
        ...state.value!,
        closed: { ...state.value!.closed, ...Object.fromEntries(taken.trips.map((part) => [part, false])) },
      }
    return taken
  }
  const listing = () => work({ kind: 'listing', rig: asTried.value!, state: state.value! })

  const { leaks, loads, links, freed, setLoad } = setup
  const { lines, working, tripped } = story
  return {
    state,
    lines,
    working,
    tripped,
    live,
    flow,
    leaks,
    loads,
    links,
    freed,
    isBusy,
    asTried,
    act,
    energise,
    wait,
    touch,
    untouch,
    setLoad,
    reset,
    measure,
    listing,
  }
}
