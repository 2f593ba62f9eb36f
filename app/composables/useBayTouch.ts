import { isEnergised } from '#core/bay/behaviour/state'
import { tracePoint, type TracedPole } from '#core/bay/behaviour/trace-point'
import { INSTRUMENTS } from '#core/bay/instruments/take'
import type { Part, TerminalRef } from '#core/bay/model/rig'
import { partIdOf } from '#core/bay/model/terminals'
import type { MeasureSettings } from '~/utils/measure-settings'
import { partAct, type BayMode } from '~/texts/bay'
import { stateOf } from '~/utils/part-state'
import type { useBayRun } from './useBayRun'
import type { useBayWiring } from './useBayWiring'

/** Switching a part over. */
const turned = (touched: Part, kind: NonNullable<ReturnType<typeof partAct>>, on: boolean) =>
  kind === 'supply' ? { kind, on } : { kind, part: touched.id, on }

/** What a touch on the drawing means, which depends on what the hand is doing. */
export function useBayTouch(wiring: ReturnType<typeof useBayWiring>, run: ReturnType<typeof useBayRun>) {
  const mode = ref<BayMode>('connect')
  const pickedPart = ref<string | null>(null)

  const traced = shallowRef<readonly TracedPole[]>([])
  const shownPole = ref<string | null>(null)

  const touching = ref(false)
  const touchOhm = ref(0.05)
  const { pair, pairWith } = useTerminalPair()

  const isLive = computed(
    () => run.state.value !== null && isEnergised([...wiring.parts.value.values()], run.state.value),
  )
  const hand = useConnecting(wiring, isLive)
  const { pickedWire, start, area, colour } = hand
  const meter = useProbes(run, () => isLive.value)
  const { settings, probes, taken } = meter
  const part = (id: string): Part | undefined => wiring.parts.value.get(id)
  const { marks, pickedWires, lifted } = useTouchMarks({
    mode,
    start,
    pair,
    pickedPart,
    pickedWire,
    traced,
    shownPole,
    meter,
  })

  function turn(next: BayMode): void {
    hand.letGo()
    mode.value = next
    pickedPart.value = shownPole.value = null
    pair.value = []
    touching.value = false
  }

  function act(touched: Part): void {
    const kind = partAct(touched)
    const now = run.state.value
    if (!kind || !now || (kind === 'supply' && wiring.mounting.refusesSupply(now))) return
    void run.act((now) => turned(touched, kind, !stateOf(touched, now)))
  }

  function onPart(id: string): void {
    const touched = part(id)
    if (!touched) return
    pickedPart.value = id
    if (mode.value === 'operate' && !touching.value) act(touched)
    if (mode.value === 'trace') {
      traced.value = wiring.rig.value ? tracePoint(wiring.rig.value, run.state.value!, touched) : []
      shownPole.value = traced.value[0]?.pole ?? null
    }
    if (mode.value === 'measure' && settings.value.instrument === 'socket' && touched.kind === 'socket')
      meter.probe(id)
  }

  function onTerminal(ref: TerminalRef): void {
    if (touching.value) return touch(ref)
    if (mode.value === 'connect') return hand.take(ref)
    if (mode.value === 'measure' && settings.value.linking) return link(ref)
    if (mode.value === 'measure' && INSTRUMENTS[settings.value.instrument].on === 'terminals')
      return meter.probe(ref)
    onPart(partIdOf(ref))
  }

  function onWire(id: string): void {
    if (mode.value === 'measure' && settings.value.instrument === 'clamp') return meter.clampOn(id)
    hand.pick(pickedWire.value === id ? null : id)
  }

  function link(ref: TerminalRef): void {
    const both = pairWith(ref)
    if (both) meter.link(...both)
  }
  function touch(ref: TerminalRef): void {
    const both = pairWith(ref)
    if (!both) return
    touching.value = false
    if (both[0] !== both[1]) void run.touch(...both, touchOhm.value)
  }
  function set(next: Partial<MeasureSettings>): void {
    pair.value = []
    meter.set(next)
  }

  /** Shows a difference on the drawing. */
  function show(wire: string | null, at: readonly string[]): void {
    turn('connect')
    hand.pick(wire)
    pickedPart.value = wire ? null : partIdOf(`${at[0] ?? ''}.`) || null
  }

  return {
    mode,
    pickedPart,
    pickedWire,
    start,
    area,
    colour,
    traced,
    shownPole,
    settings,
    probes,
    links: run.links,
    freed: run.freed,
    taken,
    touching,
    touchOhm,
    marks,
    pickedWires,
    lifted,
    isLive,
    turn,
    act,
    onPart,
    onTerminal,
    onWire,
    pick: hand.pick,
    letGo: hand.letGo,
    set,
    clear: meter.clear,
    unlink: meter.unlink,
    refit: meter.refit,
    free: meter.free,
    show,
  }
}

/** The two terminals that a hand names one after the other. */
function useTerminalPair() {
  const pair = ref<readonly string[]>([])
  /** Both, once there are two; then the next pair begins. */
  function pairWith(ref: TerminalRef): readonly [string, string] | undefined {
    pair.value = [...pair.value, ref]
    if (pair.value.length < 2) return undefined
    const [a, b] = pair.value as [string, string]
    pair.value = []
    return [a, b]
  }
  return { pair, pairWith }
}
