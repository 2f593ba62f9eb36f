import { terminal, type ConductorColour, type Termination } from './conductor'
import { circle, crack, path, rect, rounded, scorch, screw, where, words, type Shapes } from './shape'

/** One module of a rail is 18 mm; drawn so wide and high. */
export const MODULE_W = 44
export const DEVICE_H = 196
/** Where the jaw of an upper terminal begins, below the device's upper edge. */
export const JAW_Y = 6

export type DeviceBody = 'right' | 'cracked' | 'heat' | 'oversize'

export interface DeviceDrawn {
  readonly kind: 'breaker' | 'rcd' | 'rcbo' | 'switch' | 'spd' | 'fuse'
  /** Modules wide. */
  readonly modules: number
  /** What is printed on it, such as `B 32`. */
  readonly print: string
  readonly isOn: boolean
  readonly body: DeviceBody
}

/** A device on its rail from its upper left corner; its terminals and leads are drawn over it. */
export function deviceBody({ kind, modules, print, isOn, body }: DeviceDrawn): Shapes {
  const w = modules * MODULE_W - 2
  return [
    rounded(3, rect('moulding', 0, 0, w, DEVICE_H)),
    rounded(3, rect('moulding dim', 0, 0, w, 46)),
    rounded(3, rect('moulding dim', 0, DEVICE_H - 46, w, 46)),
    rounded(2, rect('moulding', 2, 52, w - 4, DEVICE_H - 104)),
    ...front(kind, w, isOn),
    words(w / 2, DEVICE_H - 54, print, 'words fine'),
    ...where(body === 'cracked', crack(6, 54, w - 12, 84)),
    ...where(body === 'heat', scorch(2, 20, w - 6, 80)),
    ...lowerScrews(w, modules),
  ]
}

const lowerScrews = (w: number, modules: number): Shapes =>
  Array.from({ length: modules }, (_, i) => (w / modules) * (i + 0.5)).flatMap((x) => [
    rounded(2, rect('recess', x - 13, DEVICE_H - 38, 26, 32)),
    ...screw(x, DEVICE_H - 24, 8, (x * 5) % 180),
  ])

function front(kind: DeviceDrawn['kind'], w: number, isOn: boolean): Shapes {
  const mid = w / 2
  if (kind === 'spd')
    return [
      rounded(3, rect('painted', mid - 20, 62, 40, 56)),
      rounded(2, rect('window green', mid - 8, 70, 16, 12)),
    ]
  if (kind === 'fuse')
    return [rounded(4, rect('painted', mid - 14, 58, 28, 66)), ...screw(mid, 66, 4), words(mid, 102, 'F')]
  const lever = rounded(2, rect(kind === 'switch' ? 'lever red' : 'lever', mid - 9, isOn ? 62 : 92, 18, 30))
  const slot = rounded(3, rect('recess', mid - 11, 58, 22, 68))
  if (kind === 'rcbo') return [slot, lever, circle('button', mid, 52, 5)]
  if (kind === 'rcd')
    return [slot, lever, circle('button', w - 16, 106, 7), words(w - 16, 92, 'T', 'words fine')]
  return [slot, lever]
}

/** A device that is wired from above: body and one terminal a pole. */
export const wiredDevice = (
  drawn: DeviceDrawn,
  how: Termination,
  { colours, from, wide = 9 }: { colours: readonly ConductorColour[]; from: number; wide?: number },
): Shapes => {
  const w = drawn.modules * MODULE_W - 2
  return [
    ...deviceBody(drawn),
    ...colours.flatMap((colour, i) =>
      // What is wrong with a device's wiring is wrong at its first pole.
      terminal((w / colours.length) * (i + 0.5), JAW_Y, i === 0 ? how : 'right', { colour, from, wide }),
    ),
  ]
}

/** The flying neutral of an RCBO from its foot to where it ends. */
export const flyingLead = (d: string): Shapes => [path('wire blue', d, 6), path('line thin', d, 0.8)]

/** How power may flow through a device, printed beside its lever: either way, or from the end with the bar alone. */
export const flowMark = (isEither: boolean): Shapes =>
  [6, MODULE_W - 8].flatMap((x) => [
    path('line', `M${x} 12V72`, 2),
    path('line', `M${x - 4} 66L${x} 73L${x + 4} 66`, 2),
    isEither
      ? path('line', `M${x - 4} 18L${x} 11L${x + 4} 18`, 2)
      : path('line', `M${x - 5} 8H${x + 5}M${x - 5} 12H${x + 5}`, 3),
  ])

/** A blank over a spare way, or the open way with its busbar finger. */
export const spareWay = (isBlanked: boolean): Shapes =>
  isBlanked
    ? [
        rounded(2, rect('moulding dim', 2, 44, MODULE_W - 6, 108)),
        path('line thin', `M8 60H${MODULE_W - 12}M8 136H${MODULE_W - 12}`),
      ]
    : [
        rounded(2, rect('dark', 2, 44, MODULE_W - 6, 108)),
        rect('rail', 2, 84, MODULE_W - 6, 26),
        path('copper', `M${MODULE_W / 2 - 1} 152V132`, 9),
      ]
