import type { BenchCode } from '#core/principles/benches'

/** One thing on the bench, its middle, and how bright or hot it is once it is on, 0 to 1. */
export interface SketchItem {
  readonly kind: 'source' | 'lamp' | 'resistor' | 'load' | 'meter' | 'transformer' | 'drum' | 'cable'
  readonly x: number
  readonly y: number
  readonly label: string
  readonly level: number
  /** Of a cable its length, of a drum the share that is wound up. */
  readonly size?: number
}
export interface Sketch {
  readonly wires: readonly string[]
  readonly items: readonly SketchItem[]
}

type Numbers = Readonly<Record<string, number>>
const [LEFT, RIGHT, TOP, BOTTOM] = [60, 500, 60, 190]
const MIDDLE = (TOP + BOTTOM) / 2
const LOOP = `M${LEFT} ${MIDDLE}V${TOP}H${RIGHT}V${BOTTOM}H${LEFT}Z`
const share = (value: number, full: number): number => Math.max(0, Math.min(1, value / full))
const source = (label: string): SketchItem => ({ kind: 'source', x: LEFT, y: MIDDLE, label, level: 0 })
const mains = source('230 V')
const load = (label: string): SketchItem => ({ kind: 'load', x: RIGHT, y: MIDDLE, label, level: 0 })
/** Both conductors of a cable, along the loop. */
const cable = (label: string, level: number, x = 280, size = 300): SketchItem[] => [
  { kind: 'cable', x, y: TOP, label, level, size },
  { kind: 'cable', x, y: BOTTOM, label: '', level, size },
]
/** Rungs between two rails, one for each. */
const rungs = (count: number, from: number, item: Omit<SketchItem, 'x' | 'y'>): Sketch => {
  const places = Array.from({ length: count }, (_, i) => from + ((RIGHT - from) * (i + 1)) / count)
  return {
    wires: [
      `M${LEFT} ${MIDDLE}V${TOP}H${places.at(-1)}M${LEFT} ${MIDDLE}V${BOTTOM}H${places.at(-1)}`,
      ...places.map((x) => `M${x} ${TOP}V${BOTTOM}`),
    ],
    items: places.map((x) => ({ ...item, x, y: MIDDLE })),
  }
}

const SKETCHES: { readonly [C in BenchCode]: (set: Numbers, came: Numbers) => Sketch } = {
  rheostat: (set, came) => ({
    wires: [LOOP],
    items: [
      source(`${set.volt} V`),
      {
        kind: 'resistor',
        x: 280,
        y: TOP,
        label: `${set.rheostatOhm} Ω`,
        level: share(came.rheostatPower!, 40),
      },
      { kind: 'lamp', x: RIGHT, y: MIDDLE, label: `${set.lampOhm} Ω`, level: share(came.lampPower!, 24) },
    ],
  }),
  lamps: (set, came) => {
    const lamp = { kind: 'lamp', label: `${set.watt} W`, level: share(came.lampPower!, set.watt!) } as const
    if (set.beside === 1) {
      const { wires, items } = rungs(set.count!, 110, lamp)
      return { wires, items: [mains, ...items] }
    }
    const step = (RIGHT - LEFT) / (set.count! + 1)
    const places = Array.from({ length: set.count! }, (_, i) => LEFT + step * (i + 1))
    return { wires: [LOOP], items: [mains, ...places.map((x) => ({ ...lamp, x, y: TOP }))] }
  },
  heat: (set, came) => ({
    wires: [LOOP],
    items: [
      mains,
      ...cable(`${set.lengthM} m of ${set.areaMm2} mm²`, share(came.perMetre!, 20)),
      load(`${set.current} A`),
    ],
  }),
  warmth: (set) => ({
    wires: [LOOP],
    items: [
      { kind: 'meter', x: LEFT, y: MIDDLE, label: 'Ω', level: 0 },
      {
        kind: 'cable',
        x: 280,
        y: TOP,
        label: `${set.lengthM} m of ${set.areaMm2} mm² at ${set.conductorC} °C`,
        level: share(set.conductorC!, 90),
        size: 360,
      },
    ],
  }),
  run: (set) => {
    const { wires, items } = rungs(set.loads!, 90, { kind: 'load', label: `${set.each} A`, level: 0 })
    return { wires, items: [mains, ...items] }
  },
  drum: (set, came) => ({
    wires: [LOOP],
    items: [
      mains,
      {
        kind: 'drum',
        x: 280,
        y: TOP + 10,
        label: `${set.wound} % on the drum`,
        level: share(came.hottest! - 25, 90),
        size: set.wound! / 100,
      },
      load(`${set.current} A`),
    ],
  }),
  price: (set) => ({
    wires: [LOOP],
    items: [mains, { kind: 'meter', x: 280, y: TOP, label: 'kWh', level: 0 }, load(`${set.watt} W`)],
  }),
  line: (set, came) => ({
    wires: [LOOP],
    items: [
      mains,
      { kind: 'transformer', x: 145, y: MIDDLE, label: `× ${set.ratio}`, level: 0 },
      ...cable(`${set.ohm} Ω, line and neutral`, share(came.lost!, set.kilowatt! * 200), 280, 190),
      { kind: 'transformer', x: 415, y: MIDDLE, label: `÷ ${set.ratio}`, level: 0 },
      load(`${set.kilowatt} kW sent`),
    ],
  }),
}

/** The bench as it is set; what comes of it shows only once it is on. */
export function sketchOf(code: BenchCode, settings: Numbers, figures: Numbers, isOn: boolean): Sketch {
  const { wires, items } = SKETCHES[code](settings, figures)
  return { wires, items: isOn ? items : items.map((item) => ({ ...item, level: 0 })) }
}
