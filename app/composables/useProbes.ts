import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Setup } from '#core/bay/instruments/setup'
import { INSTRUMENTS, type ReadingRequest, type Taken } from '#core/bay/instruments/take'
import type { MeasureSettings } from '~/utils/measure-settings'
import { warn } from '~/utils/warn'

/** The bay that an instrument is put to. */
interface MeasuredBay {
  /** How everything stands; another object each time that something happens. */
  readonly state: Readonly<Ref<unknown>>
  readonly links: Ref<Setup['links']>
  readonly freed: Ref<Setup['freed']>
  readonly measure: (request: ReadingRequest) => Promise<Taken>
}

/**
 * An instrument at a bay: how it is set, where its probes are, what is linked and taken out for it, what it
 * shows.
 */
export function useProbes(run: MeasuredBay, isLive: () => boolean) {
  const settings = ref<MeasureSettings>({
    instrument: 'continuity',
    volt: 500,
    multiple: 1,
    ratedA: 0.03,
    linking: false,
  })
  const probes = ref<readonly string[]>([])
  const taken = shallowRef<Taken | null>(null)
  const { links, freed } = run

  /** Counts what the hand does: a reading that comes after the next of it is of somewhere else. */
  let turn = 0
  async function measure(): Promise<void> {
    const now = (turn += 1)
    const { instrument, volt, ratedA, multiple } = settings.value
    const { count, on } = INSTRUMENTS[instrument]
    if (probes.value.length === 0 || (on === 'terminals' && probes.value.length < count)) {
      taken.value = null
      return
    }
    const reading = await run.measure({ instrument, at: probes.value, volt, ratedA, multiple })
    if (now !== turn) return
    taken.value = reading
    readAt = run.state.value
  }
  /** The display is empty, and what is on its way does not come to it. */
  function lookAway(): void {
    turn += 1
    taken.value = null
  }
  /** How the bay stood when the display was read. */
  let readAt = run.state.value
  // A reading is always of now: the display follows what is switched; the result of a test that was made
  // before is taken off.
  watch(run.state, (now) => {
    if (now === readAt || taken.value === null) return
    if (INSTRUMENTS[settings.value.instrument].isContinuous) void measure()
    else taken.value = null
  })

  function set(next: Partial<MeasureSettings>): void {
    const isOther =
      next.instrument !== undefined &&
      INSTRUMENTS[next.instrument].on !== INSTRUMENTS[settings.value.instrument].on
    settings.value = { ...settings.value, ...next }
    if (isOther || (next.instrument && probes.value.length > INSTRUMENTS[next.instrument].count))
      probes.value = []
    if (!next.linking) void measure()
  }
  /** One more place for the probes; a full set starts anew. */
  function probe(ref: string): void {
    const { count, on } = INSTRUMENTS[settings.value.instrument]
    const kept = probes.value.length >= count ? [] : probes.value.filter((probe) => probe !== ref)
    probes.value = [...kept, ref]
    lookAway()
    if (probes.value.length === count || on === 'socket') void measure()
  }
  /** A clamp round one conductor more or less. */
  function clampOn(id: string): void {
    const isOn = probes.value.includes(id)
    probes.value = isOn ? probes.value.filter((probe) => probe !== id) : [...probes.value, id]
    void measure()
  }
  function link(a: string, b: string): void {
    settings.value = { ...settings.value, linking: false }
    if (isLive())
      return warn('A link on a live board would be a short circuit. Switch every supply off first.')
    if (a !== b) links.value = [...links.value, [a, b]]
    void measure()
  }
  function clear(): void {
    probes.value = []
    lookAway()
  }
  const unlink = (i: number): void => {
    links.value = links.value.filter((_, at) => at !== i)
    void measure()
  }
  const refit = (i: number): void => {
    freed.value = freed.value.filter((_, at) => at !== i)
    void measure()
  }
  function free(wire: string, end: 'from' | 'to'): void {
    if (isLive()) return warn('The bay is live. Switch every supply off before an end is taken out.')
    if (!freed.value.some((one) => one.wire === wire && one.end === end))
      freed.value = [...freed.value, { wire, end }]
    void measure()
  }

  return { settings, probes, taken, set, probe, clampOn, link, clear, unlink, refit, free }
}
