import { deadState, type BayState } from '#core/bay/behaviour/state'
import { prepare, type Setup } from '#core/bay/instruments/setup'
import type { LoadKind } from '#core/bay/model/loads'
import type { Leak, Part, Rig } from '#core/bay/model/rig'

/** What a socket may be loaded with, W. */
export const MOST_LOAD_W = 20_000
/** A good lead with clips. */
const LINK_OHM = 1e-3

type Loads = Readonly<Record<string, number>>

const loaded = (part: Part, watt: number | undefined): Part =>
  watt !== undefined && 'load' in part && part.load
    ? ({ ...part, load: { ...part.load, watt } as LoadKind } as Part)
    : part

/**
 * What a trial adds to the bay as wired: loads, touches, links and free ends. A link that is left in is there
 * when the supply comes on.
 */
export function useTrialSetup(rig: () => Rig | null, state: Readonly<Ref<BayState | null>>) {
  const leaks = shallowRef<readonly Leak[]>([])
  const loads = shallowRef<Loads>({})
  const links = shallowRef<Setup['links']>([])
  const freed = shallowRef<Setup['freed']>([])

  const asTried = computed<Rig | null>(() => {
    const wired = rig()
    if (!wired) return null
    const hasLoads = Object.keys(loads.value).length > 0
    const parts = hasLoads ? wired.parts.map((part) => loaded(part, loads.value[part.id])) : wired.parts
    const inPlace = links.value.map(([from, to], i): Leak => ({
      id: `link${i + 1}`,
      from,
      to,
      ohm: LINK_OHM,
    }))
    const ends = { freed: freed.value, links: [] }
    const opened = prepare({ ...wired, parts }, state.value ?? deadState(wired), ends).rig
    return { ...opened, leaks: [...wired.leaks, ...leaks.value, ...inPlace] }
  })

  let touches = 0
  function newTouch(from: string, to: string, ohm: number): Leak {
    touches += 1
    return { id: `touch${touches}`, from, to, ohm }
  }
  const setLoad = (part: string, watt: number): void => {
    loads.value = { ...loads.value, [part]: watt }
  }
  function reset(): void {
    leaks.value = []
    loads.value = {}
  }
  return { leaks, loads, links, freed, asTried, newTouch, setLoad, reset }
}
