import { circle, path, rect, rounded, screw, where, type Shapes } from './shape'

/** How a lever stands; one that tripped stands between. */
export type Lever = 'on' | 'off' | 'tripped'

interface RailDevice {
  readonly w: number
  readonly h: number
  readonly lever: Lever
  readonly isMain: boolean
  readonly hasTest: boolean
}
/** Where the lever's slot begins on a device of a rail. */
const SLOT_Y = 22
const SLOT_H = 42
const LEVER_Y: Readonly<Record<Lever, number>> = { on: 3, tripped: 12, off: 21 }

/** A device on the rail of a bay, its terminals drawn over its upper and lower end. */
export function railDevice({ w, h, lever, isMain, hasTest }: RailDevice): Shapes {
  const mid = w / 2
  return [
    rounded(3, rect('moulding', 0, 0, w, h)),
    rect('moulding dim', 1.5, 3, w - 3, 14),
    rect('moulding dim', 1.5, h - 11, w - 3, 8),
    rounded(2, rect('recess', mid - 11, SLOT_Y, 22, SLOT_H)),
    rounded(2, rect(isMain ? 'lever red' : 'lever', mid - 8, SLOT_Y + LEVER_Y[lever], 16, 18)),
    ...where(lever === 'tripped', rect('window red', mid - 8, SLOT_Y + 6, 16, 4)),
    ...where(hasTest, rounded(2, rect('button', Math.max(3, mid - 28), SLOT_Y + 14, 12, 14))),
  ]
}

/** A surge protective device on the rail; its window is green while it is in. */
export const railArrester = (w: number, h: number, isIn: boolean): Shapes => [
  rounded(3, rect('moulding', 0, 0, w, h)),
  rect('moulding dim', 1.5, 3, w - 3, 14),
  rect('moulding dim', 1.5, h - 11, w - 3, 8),
  rounded(2, rect('painted', w / 2 - 16, SLOT_Y, 32, 38)),
  rounded(2, rect(isIn ? 'window green' : 'dark', w / 2 - 8, SLOT_Y + 8, 16, 12)),
]

/** How a part at the wall stands. */
interface Standing {
  readonly isOn: boolean
  readonly isTripped: boolean
  readonly isWorking: boolean
}
/** Every picture of a part at the wall is so large. */
export const PICTURE_W = 40
export const PICTURE_H = 36

const rocker = (lever: Lever): Shapes => [
  rounded(3, rect('moulding', 6, 2, 28, 32)),
  rounded(2, rect('recess', 13, 7, 14, 22)),
  rounded(1.5, rect('lever', 14.5, 8 + LEVER_Y[lever] / 2, 11, 9)),
]
const leverOf = ({ isOn, isTripped }: Standing): Lever => {
  if (isTripped) return 'tripped'
  return isOn ? 'on' : 'off'
}

function socket(gangs: 1 | 2, hasLoad: boolean, { isOn, isWorking }: Standing): Shapes {
  const [x, w] = gangs === 2 ? [0, 40] : [8, 24]
  const outlets = gangs === 2 ? [11, 29] : [20]
  return [
    rounded(3, rect('moulding', x, 5, w, 26)),
    ...outlets.flatMap((at) => [
      rect('dark', at - 1.2, 11, 2.4, 5),
      rect('dark', at - 5, 20, 4, 2.6),
      rect('dark', at + 1, 20, 4, 2.6),
    ]),
    ...where(
      hasLoad && isOn,
      rounded(3, rect('grip', outlets[0]! - 7, 9, 14, 17)),
      path('lead', `M${outlets[0]} 26q1 8 8 9`, 3),
      circle(isWorking ? 'lamp on' : 'lamp off', outlets[0]!, 17, 2.6),
    ),
  ]
}

const lamp = ({ isOn, isWorking }: Standing): Shapes => [
  path('moulding', 'M13 0H27V8L30 12H10L13 8Z'),
  ...where(isOn, circle(isWorking ? 'glow lit' : 'glow', 20, 22, 10)),
  ...where(isOn && isWorking, path('rays', 'M5 22H0M35 22H40M8 33L4 36M32 33L36 36', 2)),
]

const heater = ({ isOn, isWorking }: Standing): Shapes => [
  rounded(3, rect('painted', 2, 4, 36, 28)),
  circle(isOn && isWorking ? 'lamp on' : 'lamp off', 32, 10, 2.6),
  path(isWorking ? 'lead red' : 'line thin', 'M7 14H26M7 20H26M7 26H26', 2),
]

/** What stands at the wall of a bay or at its intake. */
type WallPart =
  | { readonly kind: 'socket'; readonly gangs: 1 | 2; readonly load: unknown }
  | {
      readonly kind:
        | 'switch'
        | 'device'
        | 'lampholder'
        | 'appliance'
        | 'junction'
        | 'meter'
        | 'supply'
        | 'standby'
        | 'changeover'
        | 'metalwork'
        | 'arrester'
        | 'bar'
    }

/** A part at the wall of a bay in small, as it stands. */
export function wallPart(part: WallPart, standing: Standing): Shapes {
  switch (part.kind) {
    case 'socket':
      return socket(part.gangs, part.load !== null, standing)
    case 'switch':
    case 'device':
      return rocker(leverOf(standing))
    case 'lampholder':
      return lamp(standing)
    case 'appliance':
      return heater(standing)
    case 'junction':
      return [circle('moulding', 20, 18, 15), circle('moulding dim', 20, 18, 12), ...screw(20, 18, 3)]
    case 'meter':
      return [
        rounded(3, rect('moulding', 4, 2, 32, 32)),
        rect('display', 9, 8, 22, 10),
        circle('lamp off', 20, 26, 3),
      ]
    case 'supply':
      return [
        rounded(3, rect('iron', 8, 0, 24, 36)),
        rounded(2, rect('recess', 13, 6, 14, 22)),
        rounded(1.5, rect('lever red', 14.5, standing.isOn ? 8 : 17, 11, 9)),
      ]
    case 'standby':
    case 'changeover':
      return [
        rounded(3, rect('painted', 4, 2, 32, 32)),
        circle('recess', 20, 18, 10),
        path('writing', standing.isOn ? 'M20 18L27 11' : 'M20 18L13 11', 3.5),
      ]
    case 'metalwork':
      return [path('copper', 'M0 12H40', 8), rect('steel', 15, 5, 10, 15), ...screw(20, 25, 4)]
    default:
      return []
  }
}
