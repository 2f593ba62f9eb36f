import { barScrew, conductor, type ConductorColour, type Termination } from '../drawing/conductor'
import {
  DEVICE_H,
  deviceBody,
  flowMark,
  flyingLead,
  MODULE_W,
  spareWay,
  wiredDevice,
  type DeviceBody,
  type DeviceDrawn,
} from '../drawing/device'
import { busbar, cableEntry, chart, cover, coverScrew, knockOut, label, notice } from '../drawing/enclosure'
import { path, put, rect, rounded, screw, where, type Shapes } from '../drawing/shape'
import { tails } from './draw-tails'
import type { SpotKind } from './looks'
import type { Spot } from './scenes/spot'

export type Draw = (spot: Spot) => Shapes
const text = ({ detail }: Spot, key: string): string => String(detail[key] ?? '')
const figure = ({ detail }: Spot, key: string): number => Number(detail[key] ?? 0)
const figures = (spot: Spot, key: string): number[] => text(spot, key).split(' ').filter(Boolean).map(Number)

const BODIES: readonly string[] = ['cracked', 'heat', 'oversize'] satisfies DeviceBody[]
/** Below the sheath, until the lines hang straight. */
const FAN = 34
/** A device that is rated far too high for its conductor prints so. */
const TOO_BIG = 'B 63'

const device: Draw = (spot) => {
  const { x, y, h, look } = spot
  const kind = text(spot, 'kind') as DeviceDrawn['kind']
  const drawn: DeviceDrawn = {
    kind,
    modules: figure(spot, 'modules'),
    print: look === 'oversize' ? TOO_BIG : text(spot, 'print'),
    isOn: true,
    body: BODIES.includes(look) && look !== 'heat' ? (look as DeviceBody) : 'right',
  }
  const how = (['cracked', 'oversize'].includes(look) ? 'right' : look) as Termination
  const own = text(spot, 'colours').split(' ').filter(Boolean) as ConductorColour[]
  const usual: readonly ConductorColour[] = kind === 'rcd' ? ['brown', 'blue'] : ['brown']
  const colours = own.length > 0 ? own : usual
  const from = figure(spot, 'from')
  const top = y + h - DEVICE_H
  if (colours.length < 3) return [put(x, top, wiredDevice(drawn, how, { colours, from }))]
  // Three lines leave one sheath in its middle and fan out to their poles.
  const middle = x + (drawn.modules * MODULE_W) / 2 - 1
  const step = (drawn.modules * MODULE_W - 2) / colours.length
  return [
    ...colours.flatMap((colour, i) => {
      const pole = x + step * (i + 0.5)
      return conductor(
        colour,
        `M${middle} ${top + from}C${middle} ${top + from + 22} ${pole} ${top + from + 4} ${pole} ${top + from + FAN}`,
        9,
      )
    }),
    put(x, top, wiredDevice(drawn, how, { colours, from: from + FAN })),
  ]
}

const isolator: Draw = (spot) => {
  const { x, y, look } = spot
  const modules = figure(spot, 'modules') || 2
  return [
    put(
      x,
      y,
      deviceBody({
        kind: 'switch',
        modules,
        print: '100 A',
        isOn: true,
        body: look === 'heat' ? 'heat' : 'right',
      }),
    ),
    ...where(look !== 'unmarked', put(x + 7, y + 124, label(MODULE_W * modules - 18, 'text', 'Main switch'))),
  ]
}

/** A core from its cable's sheath across to where it goes down to its bar. */
const across = (colour: 'blue' | 'earth' | 'bare', cx: number, mid: number): Shapes =>
  conductor(colour, `M${cx} 92C${cx} 118 ${mid} 92 ${mid} 122`, 8)
const BAR_FROM = 120

const neutral: Draw = (spot) => {
  const { x, w, look } = spot
  const from = BAR_FROM
  const [mid, own] = [x + w / 2 - 4, figure(spot, 'own')]
  const sweep = across('blue', figure(spot, 'cx'), mid)
  if (look === 'other')
    return [
      ...sweep,
      ...barScrew(mid, own, 'empty', { colour: 'blue', from }),
      ...barScrew(mid, figure(spot, 'other'), 'right', { colour: 'blue', from }),
    ]
  if (look === 'slack')
    return [
      ...sweep,
      ...conductor('blue', `M${mid} ${from}c-16 4 -14 ${own - from - 14} 0 ${own - from - 7}`, 8),
      ...screw(mid, own, 6.5, (mid * 11) % 180),
    ]
  return [
    ...sweep,
    ...barScrew(mid, own, look === 'own' ? 'right' : (look as 'loose' | 'doubled'), { colour: 'blue', from }),
  ]
}

/** The neutral lead of an RCBO: under the rail and up to the bar of its section. */
const flying: Draw = (spot) => {
  const { x, w, look } = spot
  const mid = x + w / 2 - 4
  const [barY, fromX, fromY, lane] = (['barY', 'fromX', 'fromY', 'lane'] as const).map((key) =>
    figure(spot, key),
  ) as [number, number, number, number]
  const low = barY + 84
  const end = look === 'hanging' ? barY + 62 : barY + 8
  const way = look === 'coiled' ? 'c-18 -6 -16 -26 0 -24c14 2 12 -18 0 -16' : ''
  return [
    ...flyingLead(`M${fromX} ${fromY}V${lane}H${mid}V${low}`),
    ...flyingLead(`M${mid} ${low + 4}V${low}${way}V${end}`),
    ...(look === 'hanging'
      ? [
          ...barScrew(mid, barY, 'empty', { colour: 'blue', from: barY }),
          path('copper', `M${mid} ${end}l3 -10`, 3),
        ]
      : screw(mid, barY, 6.5, 40)),
  ]
}

/** Above its bar a protective conductor is the same, however it ends. */
const ENDS = 52
const earth: Draw = (spot) => {
  const { x, w, look } = spot
  const [mid, barY] = [x + w / 2 - 4, figure(spot, 'barY')]
  const colour = look === 'bare' ? 'bare' : 'earth'
  const from = barY - ENDS
  const above = [
    ...across('earth', figure(spot, 'cx'), mid),
    ...conductor('earth', `M${mid} ${BAR_FROM}V${from}`, 8),
  ]
  if (look === 'slack')
    return [
      ...above,
      ...conductor('earth', `M${mid} ${from}c14 8 12 30 0 ${ENDS - 7}`, 8),
      ...screw(mid, barY, 6.5, 30),
    ]
  return [
    ...above,
    ...barScrew(mid, barY, look === 'loose' || look === 'doubled' ? look : 'right', { colour, from }),
  ]
}

const entry: Draw = (spot) => {
  const { x, y, w, look } = spot
  return [
    put(x, y + 22, cableEntry(w, look !== 'bare')),
    ...figures(spot, 'xs').flatMap((cx) => [
      path('sheath grey', `M${cx} ${y - 4}V${look === 'cores' ? y + 14 : y + 70}`, 18),
    ]),
    ...where(
      look === 'cores',
      ...figures(spot, 'xs').flatMap((cx) => [
        ...conductor('brown', `M${cx - 5} ${y + 14}V${y + 74}`, 6),
        ...conductor('blue', `M${cx + 5} ${y + 14}V${y + 74}`, 6),
      ]),
    ),
  ]
}

const busbars: Draw = (spot) => {
  const { x, y, look } = spot
  return [
    put(
      x,
      y,
      busbar(
        figure(spot, 'wide'),
        figures(spot, 'fingers'),
        look === 'capped' ? 'right' : (look as 'bare' | 'beside'),
      ),
    ),
  ]
}

const inside: Draw = ({ x, y, w, h, look }) => {
  if (look === 'dusty')
    return [
      path('dust', `M${x + 10} ${y + h - 12}h60M${x + 120} ${y + h - 8}h90M${x + 240} ${y + h - 14}h50`, 4),
    ]
  if (look === 'swarf')
    return [0, 1, 2, 3, 4, 5, 6].map((n) =>
      path('strand', `M${x + 30 + n * 38} ${y + h - 20 - (n % 3) * 9}q8 -12 16 0t14 4`, 2.5),
    )
  if (look === 'wet')
    return [
      path('stain', `M${x + w - 20} ${y - 10}c-40 30 -20 60 -70 ${h - 8}h76Z`),
      path('stain', `M${x + w - 160} ${y + h - 18}q40 -22 90 0Z`),
    ]
  return []
}

const paperChart: Draw = (spot) =>
  spot.look === 'none'
    ? []
    : [put(spot.x, spot.y, chart(text(spot, 'rows').split('|')), spot.look === 'folded' ? 3 : 0)]

const boardCover: Draw = ({ x, y, w, look }) => [
  put(x, y - 18, cover(w, look === 'cracked')),
  ...where(look === 'scratched', path('dust', `M${x + 60} ${y - 4}l90 -6M${x + 300} ${y - 10}l40 8`, 2)),
]

const paperLabel: Draw = (spot) =>
  spot.look === 'none'
    ? []
    : [put(spot.x, spot.y, label(spot.w - 4, spot.look as 'text', text(spot, 'text')))]

export const BOARD_DRAWN = {
  case: inside,
  cover: boardCover,
  coverScrew: ({ x, y, look }) => [put(x + 12, y + 12, coverScrew(look === 'there'))],
  top: ({ x, y, look }) => [put(x, y, knockOut(look as 'closed'))],
  side: ({ x, y, look }) => [put(x, y, knockOut(look as 'closed'))],
  entry,
  isolator,
  device,
  flying,
  spd: ({ x, y, look }) => [
    put(x, y, deviceBody({ kind: 'spd', modules: 1, print: 'SPD', isOn: true, body: 'right' })),
    ...where(look === 'red', rounded(2, rect('window red', x + 13, y + 70, 16, 12))),
  ],
  way: ({ x, y, look }) => [put(x, y - 30, spareWay(look === 'blank'))],
  label: paperLabel,
  neutral,
  earth,
  tails,
  notice: ({ x, y, look }) =>
    look === 'there' ? [put(x, y, notice(['Press T every 6 months:', 'it must switch off.'], 188))] : [],
  mark: ({ x, y, look }) => [put(x, y, flowMark(look === 'either'))],
  sources: ({ x, y, look }) =>
    look === 'there' ? [put(x, y, notice(['Two supplies: grid, battery.', 'Isolate both.'], 188))] : [],
  chart: paperChart,
  busbar: busbars,
} as const satisfies Partial<Record<SpotKind, Draw>>
