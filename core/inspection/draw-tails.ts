import { conductor } from '../drawing/conductor'
import { path, rect, rounded, screw, where, type Shapes } from '../drawing/shape'
import type { Spot } from './scenes/spot'

/** Tails of one line and neutral, or of three: where each begins beside the other, ends, and how high it goes over. */
type Tail = readonly [colour: 'brown' | 'black' | 'grey' | 'blue', start: number, end: number, top: number]
const TWO_TAILS: readonly Tail[] = [
  ['brown', 16, 162, 40],
  ['blue', 42, 206, 10],
]
const FOUR_TAILS: readonly Tail[] = [
  ['brown', 10, 161, 76],
  ['black', 26, 205, 56],
  ['grey', 42, 249, 36],
  ['blue', 58, 293, 16],
]

export function tails(spot: Spot): Shapes {
  const { x, y, h, look } = spot
  const isThree = Number(spot.detail.lines ?? 1) === 3
  const drop = isThree ? 110 : 92
  const one = (colour: Tail[0], start: number, end: number, top: number): Shapes => {
    const over = y + top
    const d =
      `M${start} ${y + h}V${over + 36}Q${start} ${over} ${start + 34} ${over}` +
      `H${end - 10}Q${end} ${over} ${end} ${over + 12}V${y + drop}`
    return [
      ...conductor(colour, d, 12),
      path(
        look === 'unsheathed' ? `wire ${colour}` : 'sheath grey',
        `M${start} ${y + h}V${y + (look === 'unsheathed' ? 400 : top + 60)}`,
        look === 'unsheathed' ? 12 : 17,
      ),
    ]
  }
  return [
    ...(isThree ? FOUR_TAILS : TWO_TAILS).flatMap(([colour, start, end, top]) =>
      one(colour, x + start, end, top),
    ),
    ...where(
      look !== 'loose',
      rounded(3, rect('steel', x + 2, y + 366, isThree ? 66 : 54, 16)),
      ...screw(x + 8, y + 374, 4),
      ...screw(x + (isThree ? 62 : 50), y + 374, 4),
    ),
    ...where(
      look === 'damaged',
      path('copper', `M${x + 13} ${y + 250}v20`, 7),
      path('strand', `M${x + 10} ${y + 248}l-8 -6M${x + 10} ${y + 272}l-8 8`, 2),
    ),
  ]
}
