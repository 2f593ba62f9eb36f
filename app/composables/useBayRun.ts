import { energiseInOrder } from '#core/bay/behaviour/energise'
import type { Action } from '#core/bay/behaviour/happenings'
import { deadState, type BayState } from '#core/bay/behaviour/state'
import type { LoadKind } from '#core/bay/model/loads'
import type { Leak, Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { happeningSentence } from '#words/happenings'
import { formatDuration } from '#core/units/format'
import { NO_SETUP, prepare, type Setup } from '#core/bay/instruments/setup'
import type { ReadingRequest } from '#core/bay/instruments/take'

type Act = Action extends infer A ? (A extends Action ? Omit<A, 'atS'> : never) : never

/** A line of what happened: a hand's own act, or what followed from it. */
export interface RunLine {
  readonly key: number
  readonly text: string
  readonly time: string
  readonly kind: 'act' | 'trip' | 'harm' | 'follows'
}

/** How long an act is followed, s; a longer wait is asked for. */
const FOLLOW_S = 10
const MOST_LINES = 200
/** What a socket may be loaded with, W. */
export const MOST_LOAD_W = 20_000
/** A good lead with clips. */
const LINK_OHM = 1e-3

/** A bay at work: how everything stands, what hands do, what follows. The wiring comes from elsewhere. */
export function useBayRun(rig: () => Rig | null) {
  const { work } = useBayWorker()
  const state = shallowRef<BayState | null>(null)
  const lines = ref<readonly RunLine[]>([])
  const working = ref<ReadonlySet<string>>(new Set())
  const tripped = ref<ReadonlySet<string>>(new Set())
  const live = shallowRef<ReadonlySet<string>>(new Set())
  const leaks = shallowRef<readonly Leak[]>([])
  const loads = shallowRef<Readonly<Record<string, number>>>({})
  const links = shallowRef<Setup['links']>([])
  const freed = shallowRef<Setup['freed']>([])
  const isBusy = ref(false)
  let count = 0

  /** The bay as wired, with the loads, touches, links and free ends of this trial: a link that is left in is there when the supply comes on. */
  const asTried = computed<Rig | null>(() => {
    const wired = rig()
    if (!wired) return null
    const parts =
      Object.keys(loads.value).length === 0
        ? wired.parts
        : wired.parts.map((part) => {
            const watt = loads.value[part.id]
            return watt !== undefined && 'load' in part && part.load
              ? { ...part, load: { ...part.load, watt } as LoadKind }
              : part
          })
    const inPlace: Leak[] = links.value.map(([from, to], i) => ({
      id: `link${i + 1}`,
      from,
      to,
      ohm: LINK_OHM,
    }))
    const opened = prepare({ ...wired, parts }, state.value ?? deadState(wired), {
      freed: freed.value,
      links: [],
    }).rig
    return { ...opened, leaks: [...wired.leaks, ...leaks.value, ...inPlace] }
  })
  watch(
    () => rig() !== null,
    (isThere) => isThere && state.value === null && (state.value = deadState(rig()!)),
    { immediate: true },
  )

  async function play(actions: readonly Action[], untilS: number): Promise<void> {
    if (!asTried.value || !state.value || isBusy.value) return
    isBusy.value = true
    const wired = asTried.value
    const played = await work({ kind: 'simulate', rig: wired, state: state.value, actions, untilS })
    const parts = indexParts(wired)
    // What worked before is told again as the first thing that is so; it is no news.
    const news = played.happenings.filter(
      (one) =>
        one.kind !== 'settled' && !(one.kind === 'lit' && one.atS === 0 && working.value.has(one.part)),
    )
    const fresh = news.map((one): RunLine => ({
      key: (count += 1),
      text: happeningSentence(one, parts),
      time: one.atS === 0 ? '' : formatDuration(one.atS),
      kind:
        one.kind === 'done'
          ? 'act'
          : one.kind === 'tripped'
            ? 'trip'
            : one.kind === 'overvoltage' || one.kind === 'failedToBreak' || one.kind === 'unsolved'
              ? 'harm'
              : 'follows',
    }))
    if (fresh.length === 0)
      fresh.push({ key: (count += 1), text: 'Nothing happens.', time: '', kind: 'follows' })
    lines.value = [...lines.value, ...fresh].slice(-MOST_LINES)
    const on = new Set(working.value)
    const out = new Set(tripped.value)
    for (const one of played.happenings) {
      if (one.kind === 'lit') on.add(one.part)
      if (one.kind === 'dark') on.delete(one.part)
      if (one.kind === 'tripped') out.add(one.part)
      if (one.kind === 'done' && one.action.kind === 'close') out.delete(one.action.part)
    }
    working.value = on
    tripped.value = out
    state.value = played.state
    live.value = new Set(
      played.state.isSupplyOn ? await work({ kind: 'live', rig: asTried.value, state: played.state }) : [],
    )
    isBusy.value = false
  }

  const act = (one: Act): Promise<void> => play([{ ...one, atS: 0 } as Action], FOLLOW_S)
  const energise = (): Promise<void> => {
    const acts = energiseInOrder(asTried.value!)
    return play(acts, (acts.at(-1)?.atS ?? 0) + FOLLOW_S)
  }
  const wait = (s: number): Promise<void> => play([], s)
  async function touch(from: string, to: string, ohm: number): Promise<void> {
    const leak: Leak = { id: `touch${leaks.value.length + 1}`, from, to, ohm }
    await play([{ kind: 'fault', leak, atS: 0 }], FOLLOW_S)
    leaks.value = [...leaks.value, leak]
  }
  function untouch(): void {
    leaks.value = []
    lines.value = [
      ...lines.value,
      { key: (count += 1), text: 'What was touching is separated.', time: '', kind: 'act' },
    ]
  }
  function setLoad(part: string, watt: number): void {
    loads.value = { ...loads.value, [part]: watt }
  }
  /** Everything off, nothing touching, as it was before the trial. */
  function reset(): void {
    if (rig()) state.value = deadState(rig()!)
    leaks.value = []
    loads.value = {}
    lines.value = []
    working.value = new Set()
    tripped.value = new Set()
    live.value = new Set()
  }
  async function measure(request: ReadingRequest) {
    const taken = await work({
      kind: 'read',
      rig: asTried.value!,
      state: state.value!,
      setup: NO_SETUP,
      request,
    })
    // A test that opens a device leaves it open.
    if (taken.trips.length > 0)
      state.value = {
        ...state.value!,
        closed: { ...state.value!.closed, ...Object.fromEntries(taken.trips.map((part) => [part, false])) },
      }
    return taken
  }
  const listing = () => work({ kind: 'listing', rig: asTried.value!, state: state.value! })

  return {
    state,
    lines,
    working,
    tripped,
    live,
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
