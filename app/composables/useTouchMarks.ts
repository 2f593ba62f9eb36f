import type { TracedPole } from '#core/bay/behaviour/trace-point'
import { INSTRUMENTS } from '#core/bay/instruments/take'
import type { TerminalRef } from '#core/bay/model/rig'
import { partIdOf } from '#core/bay/model/terminals'
import type { BayMode } from '~/texts/bay'
import type { useProbes } from './useProbes'

interface Touched {
  readonly mode: Readonly<Ref<BayMode>>
  readonly start: Readonly<Ref<TerminalRef | null>>
  readonly pair: Readonly<Ref<readonly string[]>>
  readonly pickedPart: Readonly<Ref<string | null>>
  readonly pickedWire: Readonly<Ref<string | null>>
  readonly traced: Readonly<Ref<readonly TracedPole[]>>
  readonly shownPole: Readonly<Ref<string | null>>
  readonly meter: ReturnType<typeof useProbes>
}

/**
 * What is marked on the drawing: terminals that are touched, conductors that are picked, the path that is
 * lifted out.
 */
export function useTouchMarks(touched: Touched) {
  const { mode, start, pair, pickedPart, pickedWire, traced, shownPole, meter } = touched
  const marks = computed<ReadonlyMap<string, string>>(() => {
    if (start.value) return new Map([[start.value, 'start']])
    if (pair.value.length > 0) return new Map(pair.value.map((ref) => [ref, '·']))
    return mode.value === 'measure' && INSTRUMENTS[meter.settings.value.instrument].on === 'terminals'
      ? new Map(meter.probes.value.map((ref, i) => [ref, String(i + 1)]))
      : new Map()
  })
  const pickedWires = computed<ReadonlySet<string>>(() => {
    if (mode.value === 'measure' && meter.settings.value.instrument === 'clamp')
      return new Set(meter.probes.value)
    return new Set(pickedWire.value ? [pickedWire.value] : [])
  })
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
  return { marks, pickedWires, lifted }
}
