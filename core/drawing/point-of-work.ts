import { connectionUnit, pendant, socketFront } from './accessory'
import { conductor, terminal, type ConductorColour } from './conductor'
import { circle, path, put, rect, rounded, screw, where, type Shapes } from './shape'

/** What somebody works on. */
export type WorkPoint = 'socket' | 'lamp' | 'switch' | 'box' | 'unit' | 'device'

export interface WorkPointLook {
  readonly isOpen: boolean
  /** Its neutrals are out of their terminal. */
  readonly isParted: boolean
  readonly isTaped: boolean
}

/** The point as it hangs on the wall, 210 by 120. */
export function pointClosed(kind: WorkPoint): Shapes {
  switch (kind) {
    case 'socket':
      return socketFront('right')
    case 'lamp':
      return [put(40, -20, pendant('right'))]
    case 'unit':
      return [put(35, 0, connectionUnit('right'))]
    case 'switch':
      return [
        rounded(6, rect('moulding', 45, 0, 110, 110)),
        rounded(3, rect('moulding dim', 82, 34, 36, 42)),
        ...screw(57, 55, 4, 20),
        ...screw(143, 55, 4, 90),
      ]
    case 'box':
      return [circle('moulding', 100, 55, 55), circle('moulding dim', 100, 55, 46), ...screw(100, 55, 6, 40)]
    case 'device':
      return [
        rounded(3, rect('painted', 30, 0, 140, 112)),
        rounded(3, rect('lever red', 84, 30, 32, 50)),
        ...screw(44, 14, 4),
        ...screw(156, 98, 4),
      ]
  }
}

const POLES: readonly (readonly [ConductorColour, number])[] = [
  ['brown', 70],
  ['blue', 150],
  ['earth', 230],
]

/** The point with its front off, 300 by 190: line, neutral and earth in their terminals; a parted neutral hangs free. */
export function pointOpen({ isParted, isTaped }: WorkPointLook): Shapes {
  return [
    rounded(5, rect('steel', 10, 4, 280, 182)),
    rounded(3, rect('shade', 22, 16, 256, 158)),
    rounded(4, rect('moulding', 34, 92, 232, 66)),
    ...POLES.flatMap(([colour, x]) => {
      const isOut = colour === 'blue' && isParted
      if (!isOut) return terminal(x, 108, 'right', { colour, from: 18, wide: 10 })
      return [
        rounded(2, rect('recess', x - 13, 108, 26, 34)),
        ...screw(x, 131, 8, 20),
        ...[-1, 1].flatMap((side) => [
          ...where(!isTaped, path('copper', `M${x + side * 30} 70l${side * 3} 16`, 5)),
          ...conductor(
            'blue',
            `M${x + side * 5} 18C${x + side * 8} 44 ${x + side * 26} 40 ${x + side * 30} 70`,
            9,
          ),
          ...where(isTaped, path('lead', `M${x + side * 28} 62L${x + side * 33} 84`, 13)),
        ]),
      ]
    }),
  ]
}
