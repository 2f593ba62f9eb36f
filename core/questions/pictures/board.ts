import { barScrew, conductor } from '../../drawing/conductor'
import { deviceBody, spareWay, type DeviceDrawn } from '../../drawing/device'
import { boardCase, cableEntry, rail } from '../../drawing/enclosure'
import { put, rect, rounded, sized, type Shapes } from '../../drawing/shape'
import type { Picture } from './picture'

/** A device of the rail, drawn so much smaller than in a scene. */
const SCALE = 0.47
const device = (x: number, kind: DeviceDrawn['kind'], modules: number, print: string): Shapes => [
  sized(x, 82, SCALE, deviceBody({ kind, modules, print, isOn: true, body: 'right' })),
]
const WAYS_X = [74, 108, 142] as const

const bar = (x: number, colour: 'blue' | 'earth', used: number): Shapes => [
  rounded(2, rect('brass', x, 28, 160, 12)),
  ...Array.from({ length: 7 }, (_, i) => i).flatMap((i) =>
    sized(x + 14 + i * 22, 34, 0.62, [
      ...barScrew(0, 0, i < used ? 'right' : 'empty', { colour, from: 18, wide: 9 }),
    ]),
  ),
]

/** An open board: bars above, the rail with its devices, the busbar under them. */
export const BOARD_PICTURE: Picture = {
  ground: [
    rect('wall', 0, 0, 400, 240),
    put(6, 8, boardCase('metal', 388, 224)),
    put(24, 112, rail(352)),
    ...WAYS_X.flatMap((x) => conductor('brown', `M${x + 10} 84C${x + 10} 56 ${x + 24} 60 116 16`, 3.5)),
    ...conductor('brown', 'M186 84C186 52 140 50 124 16', 3.5),
    ...conductor('brown', 'M318 84V64H228V84', 4),
    ...conductor('blue', 'M346 84V56H256V84', 4),
    ...conductor('blue', 'M256 176V206H30V42', 4),
  ],
  parts: {
    neutralBar: bar(24, 'blue', 4),
    earthBar: bar(214, 'earth', 4),
    way1: device(180, 'breaker', 1, 'B 16'),
    spareWay: [sized(44, 82, SCALE, spareWay(true))],
    otherWays: WAYS_X.flatMap((x) => device(x, 'breaker', 1, 'B 6')),
    rcd: device(214, 'rcd', 2.9, '63 A 30 mA'),
    mainSwitch: device(302, 'switch', 2.9, '100 A'),
    busbar: [
      rounded(1, rect('copper', 40, 184, 236, 8)),
      ...[...WAYS_X, 180, 224].map((x) => rect('copper', x + 7, 178, 6, 10)),
    ],
    cableEntry: [sized(88, 3, 0.6, cableEntry(100, true))],
  },
}
