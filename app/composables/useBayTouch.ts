import { tracePoint, type TracedPole } from '#core/bay/behaviour/trace-point'
import { INSTRUMENTS, type Taken } from '#core/bay/instruments/take'
import type { Colour, Part, TerminalRef } from '#core/bay/model/rig'
import { partIdOf, terminalNameOf } from '#core/bay/model/terminals'
import type { MeasureSettings } from '~/utils/measure-settings'
import { partAct, type BayMode } from '~/texts/bay'
import { stateOf } from '~/utils/part-state'
import type { useBayRun } from './useBayRun'
import type { useBayWiring } from './useBayWiring'

/** What a touch on the drawing means, which depends on what the hand is doing. */
export function useBayTouch(wiring: ReturnType<typeof useBayWiring>, run: ReturnType<typeof useBayRun>) {
  const mode = ref<BayMode>('connect')
  const pickedPart = ref<string | null>(null)
  const pickedWire = ref<string | null>(null)
  const start = ref<TerminalRef | null>(null)
  const area = ref(1.5)
  const colour = ref<Colour>('brown')

  const traced = shallowRef<readonly TracedPole[]>([])
  const shownPole = ref<string | null>(null)

  const settings = ref<MeasureSettings>({
    instrument: 'continuity',
    volt: 500,
    multiple: 1,
    ratedA: 0.03,
    linking: false,
  })
  const probes = ref<readonly string[]>([])
  const { links, freed } = run
  const taken = shallowRef<Taken | null>(null)
  const touching = ref(false)
  const touchOhm = ref(0.05)
  const pair = ref<readonly string[]>([])

  const part = (id: string): Part | undefined => wiring.parts.value.get(id)
  const isLive = computed(() => run.state.value?.isSupplyOn ?? false)
  const marks = computed<ReadonlyMap<string, string>>(() => {
    if (start.value) return new Map([[start.value, 'start']])
    if (pair.value.length > 0) return new Map(pair.value.map((ref) => [ref, '·']))
    return mode.value === 'measure' && INSTRUMENTS[settings.value.instrument].on === 'terminals'
      ? new Map(probes.value.map((ref, i) => [ref, String(i + 1)]))
      : new Map()
  })
  const pickedWires = computed<ReadonlySet<string>>(
    () =>
      new Set(
        mode.value === 'measure' && settings.value.instrument === 'clamp'
          ? probes.value
          : pickedWire.value
            ? [pickedWire.value]
            : [],
      ),
  )
  const lifted = computed<ReadonlySet<string> | null>(() => {
    const path =
      mode.value === 'trace' ? traced.value.find(({ pole }) => pole === shownPole.value)?.steps : undefined
    return path && pickedPart.value
      ? new Set([
          ...path.map(({ through }) => through),
          ...path.flatMap(({ from, to }) => [partIdOf(from), partIdOf(to)]),
          pickedPart.value,
        ])
      : null
  })

  function turn(next: BayMode): void {
    mode.value = next
    start.value = pickedWire.value = pickedPart.value = shownPole.value = null
    pair.value = []
    touching.value = false
  }

  function act(one: Part): void {
    const kind = partAct(one)
    if (!kind || !run.state.value || run.isBusy.value) return
    const on = !stateOf(one, run.state.value)
    void run.act(kind === 'supply' ? { kind, on } : { kind, part: one.id, on })
  }

  function onPart(id: string): void {
    const one = part(id)
    if (!one) return
    pickedPart.value = id
    if (mode.value === 'operate' && !touching.value) act(one)
    if (mode.value === 'trace') {
      traced.value = wiring.rig.value ? tracePoint(wiring.rig.value, run.state.value!, one) : []
      shownPole.value = traced.value[0]?.pole ?? null
    }
    if (mode.value === 'measure' && settings.value.instrument === 'socket' && one.kind === 'socket') probe(id)
  }

  function onTerminal(ref: TerminalRef): void {
    if (touching.value) return touch(ref)
    if (mode.value === 'connect') return connect(ref)
    if (mode.value === 'measure' && settings.value.linking) return link(ref)
    if (mode.value === 'measure' && INSTRUMENTS[settings.value.instrument].on === 'terminals')
      return probe(ref)
    onPart(partIdOf(ref))
  }

  function connect(ref: TerminalRef): void {
    if (isLive.value) return warn('The bay is live. Switch the supply off before a conductor is moved.')
    if (start.value === null) {
      start.value = ref
      pickedWire.value = null
      return
    }
    if (start.value === ref) {
      start.value = null
      return
    }
    const refusal = wiring.connect(start.value, ref, area.value, colour.value)
    if (refusal) return warn(refusal)
    start.value = null
    pickedWire.value = wiring.made.value.at(-1)?.id ?? null
  }

  function onWire(id: string): void {
    if (mode.value === 'measure' && settings.value.instrument === 'clamp') {
      if (isClamped(id)) probes.value = probes.value.filter((one) => one !== id)
      else probes.value = [...probes.value, id]
      void measure()
      return
    }
    pickedWire.value = pickedWire.value === id ? null : id
  }
  const isClamped = (id: string) => probes.value.includes(id)

  function probe(ref: string): void {
    const { count, on } = INSTRUMENTS[settings.value.instrument]
    const kept = probes.value.length >= count ? [] : probes.value.filter((one) => one !== ref)
    probes.value = [...kept, ref]
    taken.value = null
    if (probes.value.length === count || on === 'socket') void measure()
  }
  function link(ref: string): void {
    pair.value = [...pair.value, ref]
    if (pair.value.length < 2) return
    const [a, b] = pair.value as [string, string]
    pair.value = []
    settings.value = { ...settings.value, linking: false }
    if (isLive.value)
      return warn('A link on a live board would be a short circuit. Switch the supply off first.')
    if (a !== b) links.value = [...links.value, [a, b]]
    void measure()
  }
  function touch(ref: string): void {
    pair.value = [...pair.value, ref]
    if (pair.value.length < 2) return
    const [a, b] = pair.value as [string, string]
    pair.value = []
    touching.value = false
    if (a !== b) void run.touch(a, b, touchOhm.value)
  }

  async function measure(): Promise<void> {
    const { instrument, volt, ratedA, multiple } = settings.value
    const { count, on } = INSTRUMENTS[instrument]
    if (probes.value.length === 0 || (on === 'terminals' && probes.value.length < count)) {
      taken.value = null
      return
    }
    taken.value = await run.measure({ instrument, at: probes.value, volt, ratedA, multiple })
  }
  function set(next: Partial<MeasureSettings>): void {
    const isOther =
      next.instrument !== undefined &&
      INSTRUMENTS[next.instrument].on !== INSTRUMENTS[settings.value.instrument].on
    settings.value = { ...settings.value, ...next }
    if (isOther || (next.instrument && probes.value.length > INSTRUMENTS[next.instrument].count))
      probes.value = []
    pair.value = []
    if (!next.linking) void measure()
  }
  function clear(): void {
    probes.value = []
    taken.value = null
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
    if (isLive.value) return warn('The bay is live. Switch the supply off before an end is taken out.')
    if (!freed.value.some((one) => one.wire === wire && one.end === end))
      freed.value = [...freed.value, { wire, end }]
    void measure()
  }

  /** Shows a difference on the drawing. */
  function show(wire: string | null, at: readonly string[]): void {
    turn('connect')
    pickedWire.value = wire
    pickedPart.value = wire ? null : partIdOf(`${at[0] ?? ''}.`) || null
  }
  const label = (ref: TerminalRef): string => `${part(partIdOf(ref))?.name ?? ''} · ${terminalNameOf(ref)}`

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
    links,
    freed,
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
    set,
    clear,
    unlink,
    refit,
    free,
    show,
    label,
  }
}

/** What may be plugged or fitted is a matter of hands; what may not be done is told and nothing changes. */
const warn = (message: string): void =>
  void ElMessage({ type: 'warning', message, duration: 6000, showClose: true, grouping: true })
