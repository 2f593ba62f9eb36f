import { conductor, terminal } from '../../drawing/conductor'
import { circle, put, rect, rounded, screw, sized, path, type Shapes } from '../../drawing/shape'
import type { Picture } from './picture'

/** A terminal 52 by 34 with its conductor from above or, turned over, from below. */
const pole = (x: number, y: number, colour: 'brown' | 'blue' | 'earth'): Shapes => [
  rounded(3, rect('moulding dim', x, y, 52, 34)),
  sized(x + 26, y + 4, 0.78, terminal(0, 0, 'right', { colour, from: 0, wide: 9 })),
]

/** The rear of a socket-outlet before its metal box. */
export const OUTLET_PICTURE: Picture = {
  ground: [rect('wall', 0, 0, 400, 240)],
  parts: {
    box: [
      rounded(6, rect('steel', 84, 14, 232, 212)),
      rounded(3, rect('shade', 94, 24, 212, 192)),
      rounded(8, rect('moulding', 110, 38, 180, 152)),
      path('line thin', 'M122 120H278'),
      ...[104, 296].flatMap((x) => screw(x, 120, 5, 60)),
    ],
    earthTerminalOutlet: pole(174, 44, 'earth'),
    lineTerminal: pole(118, 148, 'brown'),
    neutralTerminal: pole(230, 148, 'blue'),
    boxEarth: [rounded(2, rect('brass', 286, 26, 18, 18)), ...screw(295, 35, 6, 30)],
    grommet: [
      circle('moulding dim', 200, 220, 13),
      circle('dark', 200, 220, 8),
      put(200, 220, [path('sheath grey', 'M0 14V-6', 9)]),
    ],
  },
  over: [
    ...conductor('brown', 'M196 208C190 186 132 214 144 178', 5),
    ...conductor('blue', 'M204 208C210 186 268 214 256 178', 5),
    ...conductor('earth', 'M200 206C206 150 150 130 200 76', 5),
    ...conductor('earth', 'M212 52C240 20 270 56 292 36', 4),
  ],
}
