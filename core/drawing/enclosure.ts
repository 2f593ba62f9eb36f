import { circle, crack, path, put, rect, rounded, screw, where, words, type Shapes } from './shape'

export type CaseMaterial = 'metal' | 'plastic'

/** The case of a board with its cover off, from its upper left corner. */
export const boardCase = (material: CaseMaterial, w: number, h: number): Shapes => [
  rounded(material === 'metal' ? 3 : 12, rect(material === 'metal' ? 'painted' : 'moulding', 0, 0, w, h)),
  rounded(material === 'metal' ? 2 : 8, rect('shade', 16, 16, w - 32, h - 32)),
  ...[
    [12, 12],
    [w - 12, 12],
    [12, h - 12],
    [w - 12, h - 12],
  ].flatMap(([x, y]) => screw(x!, y!, 4)),
]

/** The rail that devices stand on. */
export const rail = (w: number): Shapes => [
  rect('rail', 0, 0, w, 34),
  path('line thin', `M0 6H${w}M0 28H${w}`),
]

/** A round knock-out in an edge: closed, open, or beside a gland that is too small. */
export const knockOut = (how: 'closed' | 'open' | 'gland' | 'gap'): Shapes => {
  if (how === 'open') return [circle('dark', 22, 12, 15)]
  if (how === 'closed') return [circle('painted', 22, 12, 15), path('line thin', 'M10 12H34')]
  return [
    circle('dark', 22, 12, 15),
    how === 'gap' ? circle('moulding', 27, 12, 9) : circle('moulding', 22, 12, 17),
    circle('moulding dim', how === 'gap' ? 27 : 22, 12, how === 'gap' ? 6 : 11),
  ]
}

/** A slot through which cables come in, with its grommet or a bare edge. */
export const cableEntry = (w: number, isBushed: boolean): Shapes => [
  rounded(6, rect('dark', 0, 0, w, 22)),
  ...where(isBushed, path('slot', `M6 3H${w - 6}q4 8 0 16H6q-4-8 0-16Z`, 5)),
]

/** A busbar with a finger under each way. */
export const busbar = (w: number, fingers: readonly number[], look: 'right' | 'bare' | 'beside'): Shapes => [
  rounded(1, rect('copper', 0, 12, w, 16)),
  rounded(2, rect('moulding dim', 0, 20, w, 14)),
  ...fingers.map((x, i) =>
    rect('copper', x - 5 + (look === 'beside' && i === fingers.length - 1 ? 19 : 0), -12, 10, 26),
  ),
  ...where(look !== 'bare', rounded(3, rect('moulding', w - 4, 8, 14, 28))),
  ...where(look === 'bare', rounded(1, rect('copper', w - 2, 10, 40, 16))),
]

/** A slip of paper with writing, or one that nobody can read any more. */
export const label = (w: number, look: 'text' | 'crooked' | 'faded', text: string): Shapes => {
  const slip: Shapes = [
    rounded(1, rect('paper', 0, 0, w, 20)),
    look === 'faded'
      ? path('dust', `M4 7h${w * 0.3}M${w * 0.5} 12h${w * 0.3}`, 3)
      : words(w / 2, 15, text, 'words fine'),
  ]
  return look === 'crooked' ? [put(0, -3, slip, 7)] : slip
}

/** The chart of circuits on the inside. */
export const chart = (rows: readonly string[]): Shapes => [
  rounded(1, rect('paper', 0, 0, 190, 26 + rows.length * 17)),
  words(95, 17, 'Circuits', 'words fine'),
  ...rows.flatMap((row, i) => [
    path('line thin', `M8 ${24 + i * 17}H182`),
    words(95, 37 + i * 17, row, 'words fine'),
  ]),
]

/** A notice on yellow: the test button, the voltage, a second source. */
export const notice = (lines: readonly string[], w = 170): Shapes => [
  rounded(2, rect('notice', 0, 0, w, 16 + lines.length * 16)),
  ...lines.map((line, i) => words(w / 2, 18 + i * 16, line, 'words fine')),
]

/** A cover's screw, there or not; the hole without it. */
export const coverScrew = (isThere: boolean): Shapes =>
  isThere ? screw(0, 0, 8, 70) : [circle('dark', 0, 0, 6), circle('shade', 0, 0, 2)]

/** The folded-down cover at the board's foot. */
export const cover = (w: number, isCracked: boolean): Shapes => [
  rounded(4, rect('moulding', 0, 0, w, 44)),
  rounded(2, rect('recess', w * 0.12, 12, w * 0.6, 18)),
  ...where(isCracked, crack(w * 0.78, 2, w * 0.14, 40)),
]
