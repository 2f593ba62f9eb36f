import { conductor, sheathed } from '../../drawing/conductor'
import { DEVICE_H, deviceBody } from '../../drawing/device'
import { cutOut, earthClamp, earthTerminal, isolatorBox, meter, valve } from '../../drawing/intake'
import { path, put, rect, rounded, sized, type Shapes } from '../../drawing/shape'
import type { Picture } from './picture'

const LEVERS = 5
const SMALL = 0.34
/** A consumer unit with its cover on, 122 by 82. */
const consumerUnit: Shapes = [
  rounded(4, rect('painted', 0, 0, 122, 82)),
  rounded(2, rect('dark', 10, 14, 102, 46)),
  ...Array.from({ length: LEVERS + 1 }, (_, i) =>
    sized(
      12 + (i === 0 ? 0 : i + 1) * 14.6,
      40 - (DEVICE_H * SMALL) / 2 + 1,
      SMALL,
      deviceBody({
        kind: i === 0 ? 'switch' : 'breaker',
        modules: i === 0 ? 1.9 : 0.95,
        print: '',
        isOn: true,
        body: 'right',
      }),
    ),
  ),
  rect('painted bare', 2, 2, 118, 14),
  rect('painted bare', 2, 58, 118, 22),
]

/** A dwelling's intake on its board: cable from below, cut-out, tails, meter, isolator, consumer unit, earthing. */
export const INTAKE_PICTURE: Picture = {
  ground: [
    rect('wall', 0, 0, 400, 240),
    rounded(2, rect('timber', 6, 92, 242, 112)),
    ...conductor('brown', 'M150 172V182H212V164', 4),
    ...conductor('blue', 'M160 172V176H222V164', 4),
    ...conductor('brown', 'M212 112V78H268', 4),
    ...conductor('blue', 'M222 112V88H268', 4),
    ...conductor('earth', 'M250 186V150H300V138', 4),
  ],
  parts: {
    serviceCable: sheathed('armour', 'M41 234V176', 13),
    cutOut: [sized(16, 117, 0.385, cutOut('modern', 1, 'sealed'))],
    meterTails: [...conductor('brown', 'M66 129H106', 4), ...conductor('blue', 'M66 134H106', 4)],
    meter: [sized(106, 102, 0.413, meter('whole', '40217'))],
    isolator: [sized(197, 111, 0.34, isolatorBox('marked', ['Switch off', 'before work']))],
    consumerUnit: [put(268, 56, consumerUnit)],
    earthTerminal: [sized(198, 188, 0.29, earthTerminal('right'))],
    mainBonding: conductor('earth', 'M290 176V234', 6),
    waterPipe: [
      path('copper', 'M327 150V234', 12),
      sized(327, 172, 0.42, valve()),
      sized(327, 206, 0.36, earthClamp('pipe', 34, false)),
    ],
  },
}
