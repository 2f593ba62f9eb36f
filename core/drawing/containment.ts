import { conductor, saddle } from './conductor'
import { circle, path, put, rect, rounded, screw, where, type Shapes } from './shape'

export type ConduitLook = 'right' | 'saddleOut' | 'lidOff' | 'bushless' | 'crooked'

/** A run of conduit over `w`, with an inspection box in its middle and saddles; steel or PVC; 46 high. */
export function conduitRun(material: 'steel' | 'plastic', w: number, how: ConduitLook): Shapes {
  const skin = material === 'steel' ? 'steel' : 'sheath white'
  const mid = w / 2
  const saddles = [0.12, 0.36, 0.64, 0.88].map((share) => share * w)
  const tilt = how === 'crooked' ? -5 : 0
  return [
    path(skin, `M0 ${24 - tilt}L${mid - 26} 24M${mid + 26} 24L${w} ${24 + tilt}`, 20),
    ...saddles.filter((_, i) => how !== 'saddleOut' || i !== 2).flatMap((x) => saddle(x, 24, 20)),
    circle(material === 'steel' ? 'steel dark' : 'moulding dim', mid, 24, 30),
    ...(how === 'lidOff'
      ? [
          circle('dark', mid, 24, 23),
          ...conductor('brown', `M${mid - 24} 20q24 -10 48 0`, 5),
          ...conductor('blue', `M${mid - 24} 27q24 10 48 0`, 5),
          ...conductor('earth', `M${mid - 24} 24H${mid + 24}`, 5),
        ]
      : [
          circle(material === 'steel' ? 'steel' : 'moulding', mid, 24, 25),
          ...screw(mid - 15, 24, 3.5),
          ...screw(mid + 15, 24, 3.5),
        ]),
    ...conduitEnd(w, how === 'bushless'),
  ]
}

/** Where a conduit comes into a box: with its bush, or with a bare edge. */
const conduitEnd = (w: number, isBare: boolean): Shapes => [
  ...conductor('brown', `M${w} 20h34`, 5),
  ...conductor('blue', `M${w} 28h34`, 5),
  ...where(!isBare, rounded(3, rect('brass', w - 8, 8, 14, 32))),
  ...where(isBare, path('strand', `M${w} 14l6 -6M${w} 34l6 6`, 2)),
]

/** A length of trunking, `w` by 60. */
export const trunkingRun = (w: number, how: 'right' | 'lidOff' | 'overfull' | 'gap'): Shapes => {
  const isOpen = how !== 'right'
  const cut = how === 'gap' ? w * 0.46 : w * 0.34
  const lidTo = w * 0.66
  return [
    rounded(2, rect('steel', 0, 0, w, 60)),
    ...where(isOpen, rect('dark', cut, 4, how === 'gap' ? w * 0.04 : lidTo - cut, 52)),
    ...where(how === 'lidOff', ...cables(cut, lidTo, 3)),
    ...where(
      how === 'overfull',
      ...cables(cut, lidTo, 9),
      put(lidTo - 20, -16, [rounded(1, rect('steel', 0, 0, w - lidTo + 20, 12))], 4),
    ),
    path('line thin', `M0 4H${w}M0 56H${w}`),
    ...screw(16, 30, 3.5),
    ...screw(w - 16, 30, 3.5),
  ]
}
const COLOURS = ['brown', 'blue', 'earth', 'black', 'grey'] as const
const cables = (from: number, to: number, n: number): Shapes =>
  Array.from({ length: n }, (_, i) => i).flatMap((i) =>
    conductor(COLOURS[i % COLOURS.length]!, `M${from} ${8 + i * (46 / n) + 3}H${to}`, Math.min(6, 40 / n)),
  )

/** A sheathed cable clipped along a wall over `w`; 40 high. */
export function clippedCable(w: number, how: 'right' | 'sagging' | 'grazed' | 'loop'): Shapes {
  const clips = [0.06, 0.25, 0.44, 0.63, 0.82, 0.96].map((share) => share * w)
  const ways: Partial<Record<typeof how, string>> = {
    sagging: `M0 12H${w * 0.25}Q${w * 0.54} 62 ${w * 0.82} 12H${w}`,
    loop: `M0 12H${w * 0.44}c20 34 44 34 60 0H${w}`,
  }
  const d = ways[how] ?? `M0 12H${w}`
  return [
    path('sheath grey', d, 13),
    ...clips
      .filter((_, i) => how !== 'sagging' || i < 2 || i > 3)
      .flatMap((x) => [path('moulding', `M${x} 3v18`, 5), circle('screw', x, 3, 2.4)]),
    ...where(
      how === 'grazed',
      path('wire brown', `M${w * 0.5} 10h26`, 4),
      path('copper', `M${w * 0.5 + 6} 10h10`, 3),
      path('wire blue', `M${w * 0.5 + 4} 15h20`, 3),
    ),
  ]
}
