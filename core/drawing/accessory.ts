import { conductor, terminal, type Termination } from './conductor'
import { circle, crack, path, put, rect, rounded, scorch, screw, where, words, type Shapes } from './shape'

/** The front of a twin socket-outlet, 190 wide and 110 high. */
export const socketFront = (
  how: 'right' | 'cracked' | 'heat' | 'loose' | 'screwless' | 'painted',
): Shapes => {
  const plate: Shapes = [
    rounded(6, rect('moulding', 0, 0, 190, 110)),
    ...[52, 138].flatMap((x): Shapes => [
      rounded(1, rect('dark', x - 4, 34, 8, 20)),
      rounded(1, rect('dark', x - 22, 68, 18, 8)),
      rounded(1, rect('dark', x + 4, 68, 18, 8)),
    ]),
    rounded(2, rect('moulding dim', 20, 16, 14, 24)),
    rounded(2, rect('moulding dim', 156, 16, 14, 24)),
    ...screw(95, 18, 4, 80),
    ...(how === 'screwless' ? [circle('dark', 95, 92, 4)] : screw(95, 92, 4, 20)),
    ...where(how === 'cracked', crack(112, 4, 60, 102)),
    ...where(how === 'heat', scorch(26, 48, 54, 46)),
    ...where(how === 'painted', path('dust', 'M0 40q10 12 0 30M190 12q-8 20 0 40', 5)),
  ]
  return how === 'loose' ? [rounded(4, rect('dark', 6, 6, 178, 100)), put(6, -6, plate, 5)] : plate
}

export type SocketBack = Termination | 'right' | 'ringOut' | 'bareEarth' | 'boxUnearthed' | 'noGrommet'

/** A socket-outlet drawn forward: its back with terminals above, its metal box with the cables below; 260 by 300. */
export function socketBack(how: SocketBack): Shapes {
  const line: Termination = ['copper', 'insulation', 'strands', 'doubled', 'loose', 'heat'].includes(how)
    ? (how as Termination)
    : 'right'
  const earth = how === 'bareEarth' ? 'bare' : 'earth'
  return [
    rounded(4, rect('steel', 20, 170, 220, 130)),
    rounded(2, rect('shade', 32, 182, 196, 106)),
    circle('dark', 70, 236, 16),
    circle('dark', 190, 236, 16),
    ...where(
      how !== 'noGrommet',
      circle('moulding dim', 70, 236, 20),
      circle('dark', 70, 236, 11),
      circle('moulding dim', 190, 236, 20),
      circle('dark', 190, 236, 11),
    ),
    ...where(how === 'noGrommet', circle('moulding dim', 190, 236, 20), circle('dark', 190, 236, 11)),
    path('sheath grey', 'M70 300V232', 22),
    ...where(how !== 'ringOut', path('sheath grey', 'M190 300V232', 22)),
    rounded(5, rect('moulding', 30, 40, 200, 96)),
    ...conductors(how, line, earth),
    ...where(
      how !== 'boxUnearthed',
      ...conductor('earth', 'M130 66C150 150 226 150 218 196', 6),
      ...screw(218, 198, 6),
    ),
    ...where(how === 'boxUnearthed', ...screw(218, 198, 6, 90)),
  ]
}

function conductors(how: SocketBack, line: Termination, earth: 'bare' | 'earth'): Shapes {
  const second = how === 'ringOut' ? [] : [1]
  const poles = [
    ['brown', 70, line],
    [earth, 130, 'right'],
    ['blue', 190, 'right'],
  ] as const
  return [
    ...poles.flatMap(([colour, x, end]) => [
      ...second.flatMap(() => conductor(colour, `M190 232C188 150 ${x + 8} 170 ${x + 6} 108`, 6)),
      ...put1(x, 132, terminal(0, 0, end, { colour, from: -36, wide: 8 })),
      ...conductor(colour, `M70 232C74 160 ${x - 6} 170 ${x} 132`, 7),
    ]),
  ]
}
/** A terminal seen from its other side: its conductor comes from below. */
const put1 = (x: number, y: number, shapes: Shapes): Shapes => [put(x, y - 26, shapes, 180)]

/** A one-way switch drawn forward: two terminals and the earth in its box; 200 by 260. */
export const switchBack = (how: 'right' | 'unmarked' | 'noEarth' | 'copper'): Shapes => [
  rounded(4, rect('steel', 20, 150, 160, 110)),
  rounded(2, rect('shade', 30, 160, 140, 90)),
  path('sheath grey', 'M100 260V206', 22),
  rounded(5, rect('moulding', 30, 30, 140, 80)),
  ...put1(
    66,
    106,
    terminal(0, 0, how === 'copper' ? 'copper' : 'right', { colour: 'brown', from: -36, wide: 8 }),
  ),
  ...conductor('brown', 'M96 206C90 150 66 160 66 108', 7),
  ...put1(134, 106, terminal(0, 0, 'right', { colour: 'blue', from: -36, wide: 8 })),
  ...conductor('blue', 'M104 206C110 150 134 160 134 108', 7),
  ...where(how !== 'unmarked', path('wire brown', 'M131 128C128 142 122 152 116 164', 10)),
  ...where(how !== 'noEarth', ...conductor('earth', 'M98 206C80 190 60 190 48 176', 6), ...screw(46, 174, 6)),
  ...where(
    how === 'noEarth',
    path('wire bare', 'M98 206C104 188 116 184 112 174', 5),
    ...screw(46, 174, 6, 90),
  ),
]

/** A pendant: rose above, lampholder and lamp below; 120 by 260. */
export const pendant = (how: 'right' | 'gripless' | 'scorched'): Shapes => [
  path('moulding', 'M20 0H100L88 34H32Z'),
  ...(how === 'gripless'
    ? [...conductor('brown', 'M54 30V150', 4), ...conductor('blue', 'M66 30V150', 4)]
    : [path('sheath white', 'M60 30V156', 12)]),
  path('moulding', 'M44 150H76L80 190H40Z'),
  circle('glow', 60, how === 'scorched' ? 226 : 216, how === 'scorched' ? 38 : 26),
  ...where(how === 'scorched', scorch(36, 148, 48, 46)),
]

/** A connection unit with its flex; 120 by 190. */
export const connectionUnit = (how: 'right' | 'gripless' | 'cracked'): Shapes => [
  rounded(6, rect('moulding', 0, 0, 120, 110)),
  rounded(3, rect('moulding dim', 40, 20, 40, 26)),
  words(60, 38, '3 A', 'words fine'),
  ...screw(14, 55, 4),
  ...screw(106, 55, 4),
  ...(how === 'gripless'
    ? [
        ...conductor('brown', 'M52 100V150', 5),
        ...conductor('blue', 'M60 100V152', 5),
        ...conductor('earth', 'M68 100V150', 5),
        path('sheath white', 'M60 150V190', 20),
      ]
    : [path('sheath white', 'M60 98V190', 20), rounded(3, rect('moulding dim', 44, 92, 32, 14))]),
  ...where(how === 'cracked', crack(8, 6, 50, 98)),
]
