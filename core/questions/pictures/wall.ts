import { socketFront } from '../../drawing/accessory'
import { circle, path, rect, rounded, screw, sized, type Shapes } from '../../drawing/shape'
import type { Picture } from './picture'

/** A strip of wall in which a cable is expected; it is only marked on the drawing. */
const zone = (x: number, y: number, w: number, h: number): Shapes => [
  rect('shade', x, y, w, h),
  path('line thin', `M${x} ${y}h${w}v${h}h${-w}Z`),
]
/** A cable under the plaster, as it would be traced. */
const buried = (d: string): Shapes => [path('sheath white', d, 8), path('line thin', d)]

/** A wall from floor to ceiling: door, socket, switch, buried cables and where they may be expected. */
export const WALL_PICTURE: Picture = {
  ground: [
    rect('wall', 0, 0, 400, 240),
    path('line', 'M4 6H396M4 234H396', 3),
    rect('timber', 4, 222, 282, 12),
  ],
  parts: {
    ceilingZone: zone(8, 8, 250, 22),
    cornerZone: zone(8, 30, 22, 202),
    switchDrop: buried('M217 30V100'),
    switch: [
      rounded(3, rect('moulding', 204, 100, 26, 26)),
      rounded(2, rect('moulding dim', 211, 107, 12, 12)),
    ],
    socket: [sized(96, 183, 0.232, socketFront('right'))],
    levelRun: buried('M140 196H224'),
    openWall: [path('line thin', 'M58 70q8 -6 16 0M110 96q8 -6 16 0M70 130q8 -6 16 0M130 140q8 -6 16 0')],
    door: [
      rect('timber', 286, 60, 84, 172),
      rect('moulding dim', 296, 72, 64, 62),
      rect('moulding dim', 296, 146, 64, 72),
      circle('brass', 360, 150, 5),
      ...screw(290, 90, 2),
    ],
  },
}
