import { pendant, socketBack, socketFront, switchBack } from '../drawing/accessory'
import { barScrew, conductor, terminal, termination } from '../drawing/conductor'
import { deviceBody, flowMark, spareWay, wiredDevice } from '../drawing/device'
import { busbar, cableEntry, chart, cover, knockOut, label, notice } from '../drawing/enclosure'
import { earthClamp, earthTerminal, pipe } from '../drawing/intake'
import { path, rect, rounded, sized, put, type Shapes } from '../drawing/shape'
import type { InspectionItem } from './items'

/** Every picture of something to look at is so large. */
export const ITEM_PICTURE = { w: 132, h: 96 } as const

const bar = (colour: 'blue' | 'earth'): Shapes => [
  rounded(2, rect('brass', 6, 26, 120, 22)),
  ...[0, 1, 2, 3].flatMap((i) =>
    barScrew(22 + i * 29, 37, i < 3 ? 'right' : 'empty', { colour, from: 92, wide: 9 }),
  ),
]
const edge = (knocks: readonly ('closed' | 'gland')[]): Shapes => [
  rect('painted', 0, 40, 132, 56),
  ...knocks.map((how, i) => put(i * 44, 28, knockOut(how))),
]
const terminals: Shapes = [28, 66, 104].flatMap((x) =>
  terminal(x, 48, 'right', { colour: 'brown', from: 0, wide: 10 }),
)
const device = (scale: number, x: number, y: number): Shapes => [
  sized(
    x,
    y,
    scale,
    wiredDevice({ kind: 'breaker', modules: 1, print: 'B 16', isOn: true, body: 'right' }, 'right', {
      colours: ['brown'],
      from: -30,
    }),
  ),
]

/** What something to look at looks like where it is in order; how it may be wrong is what the eye is for. */
const PICTURES: Readonly<Record<InspectionItem['what'], Shapes>> = {
  cover: [sized(6, 30, 0.82, cover(146, false))],
  ipTop: edge(['closed', 'gland', 'closed']),
  ipSides: edge(['closed', 'closed', 'gland']),
  grommets: [
    rect('painted', 0, 34, 132, 62),
    put(14, 30, cableEntry(104, true)),
    ...[38, 66, 94].map((x) => path('sheath grey', `M${x} 0V52`, 14)),
  ],
  tails: [
    path('sheath grey', 'M40 96V50', 15),
    path('sheath grey', 'M92 96V50', 15),
    ...conductor('brown', 'M40 56V10', 10),
    ...conductor('blue', 'M92 56V10', 10),
    rounded(3, rect('steel', 20, 70, 92, 12)),
  ],
  bonding: [
    sized(30, 0, 0.8, pipe(120, 'copper')),
    sized(30, 52, 0.8, earthClamp('pipe', 26, true)),
    sized(54, 6, 0.36, earthTerminal('right')),
    ...conductor('earth', 'M44 52C70 52 60 30 62 20', 5),
  ],
  busbar: [sized(8, 36, 0.9, busbar(116, [16, 46, 76, 106], 'right'))],
  terminals,
  direction: [
    sized(34, 4, 0.46, deviceBody({ kind: 'rcbo', modules: 1.6, print: 'B 16', isOn: true, body: 'right' })),
    sized(72, 10, 0.9, flowMark(true)),
  ],
  sources: [sized(4, 30, 0.72, notice(['Two supplies:', 'isolate both.'], 170))],
  blank: [
    ...device(0.46, 14, 4),
    sized(52, 2, 0.46, spareWay(true)),
    sized(88, 4, 0.46, deviceBody({ kind: 'breaker', modules: 1, print: 'B 6', isOn: true, body: 'right' })),
  ],
  neutralBar: bar('blue'),
  earthBar: bar('earth'),
  label: [...device(0.4, 56, 0), put(40, 76, label(52, 'text', 'Way 1'))],
  chart: [sized(6, 8, 0.62, chart(['1  Sockets', '2  Lights', '3  Heater']))],
  notice: [sized(4, 34, 0.72, notice(['Press T:', 'it must switch off.'], 170))],
  accessory: [sized(14, 18, 0.55, socketFront('right'))],
  accessoryTails: [sized(22, 2, 0.34, socketBack('right'))],
  drawn: [
    rounded(8, rect('steel', 0, 34, 86, 28)),
    ...conductor('brown', 'M86 40H128', 6),
    ...conductor('blue', 'M86 48H124', 6),
    ...conductor('earth', 'M86 56H130', 6),
  ],
  sleeves: [sized(34, 0, 0.37, switchBack('right'))],
  doubling: [sized(46, 14, 1, termination(['brown', 'brown']))],
  dressing: [
    rounded(2, rect('shade', 0, 8, 132, 44)),
    ...(['brown', 'blue', 'earth'] as const).flatMap((colour, i) =>
      conductor(colour, `M8 ${18 + i * 12}H${66 + i * 18}V92`, 6),
    ),
  ],
  cordGrip: [sized(40, -36, 0.62, pendant('right'))],
}

export const itemPicture = (what: InspectionItem['what']): Shapes => PICTURES[what]
