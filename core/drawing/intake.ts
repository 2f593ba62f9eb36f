import { conductor, sheathed } from './conductor'
import { circle, crack, path, put, rect, rounded, scorch, screw, where, words, type Shapes } from './shape'

export type Age = 'old' | 'modern'

/** A cut-out, 130 by 150 or wider for three phases, cast or moulded: its fuses left, its neutral link right. */
export function cutOut(
  age: Age,
  phases: 1 | 3,
  how: 'sealed' | 'broken' | 'cracked' | 'open' | 'heat',
): Shapes {
  const w = phases === 3 ? 214 : 130
  const carriers = phases === 3 ? 3 : 1
  const body = age === 'old' ? 'iron' : 'painted'
  return [
    rounded(age === 'old' ? 12 : 5, rect(body, 0, 0, w, 150)),
    ...where(age === 'old', path('line thin', `M10 34H${w - 10}M10 116H${w - 10}`)),
    ...Array.from({ length: carriers }, (_, i) => i).flatMap((i): Shapes => [
      rounded(4, rect(how === 'open' ? 'dark' : 'moulding dim', 14 + i * 48, 44, 40, 66)),
      ...(how === 'open'
        ? [
            rounded(1, rect('brass', 20 + i * 48, 50, 28, 14)),
            rounded(1, rect('brass', 20 + i * 48, 90, 28, 14)),
          ]
        : [path('line thin', `M${20 + i * 48} 56h28M${20 + i * 48} 98h28`)]),
    ]),
    rounded(3, rect(age === 'old' ? 'iron' : 'moulding', w - 48, 44, 36, 66)),
    words(w - 30, 82, 'N', 'words fine'),
    ...sealWire(w - 24, 124, how !== 'broken' && how !== 'open'),
    ...where(how === 'cracked', crack(w * 0.3, 6, w * 0.4, 132)),
    ...where(how === 'heat', scorch(8, 40, 58, 96)),
  ]
}

/** A seal on its wire, crimped or cut. */
export const sealWire = (x: number, y: number, isWhole: boolean): Shapes =>
  isWhole
    ? [path('line', `M${x - 12} ${y - 6}q12 10 10 14`, 1.5), circle('seal', x, y + 10, 7)]
    : [path('line', `M${x - 12} ${y - 6}q6 2 2 12M${x + 6} ${y + 4}l6 12`, 1.5)]

/** The sealed end of the service cable below a cut-out, 60 wide and 150 high. */
export const cableEnd = (cable: 'lead' | 'armour' | 'plastic', how: 'sound' | 'leaking' | 'torn'): Shapes => [
  ...(cable === 'plastic' ? [path('sheath grey', 'M30 150V34', 30)] : sheathed('armour', 'M30 150V34', 34)),
  ...where(cable === 'lead', path('steel', 'M30 60V34', 40)),
  rounded(4, rect('iron', 4, 0, 52, 36)),
  ...where(
    how === 'leaking',
    path('scorch', 'M8 36q2 40 10 34t6 30q8 18 10-8t8-56Z'),
    path('stain', 'M14 146q20-30 34 4Z'),
  ),
  ...where(
    how === 'torn',
    path('wire bare', 'M20 96l18 22M22 112l16-18', 4),
    path('strand', 'M16 92l-14 12M44 96l14 14M18 124l-12 12', 2),
  ),
]

/** A meter, 150 wide and 170 high, with its four terminals below: line in, neutral in, neutral out, line out. */
export const meter = (how: 'whole' | 'cracked' | 'unsealed', reading: string): Shapes => [
  rounded(8, rect('moulding', 0, 0, 150, 140)),
  rounded(3, rect('recess', 22, 20, 106, 36)),
  words(75, 46, reading, 'words white'),
  circle('lamp on', 28, 74, 4),
  path('line thin', 'M20 92H130M20 104H96'),
  rounded(4, rect('moulding dim', 6, 126, 138, 44)),
  ...[0, 1, 2, 3].flatMap((i) => screw(28 + i * 31, 150, 5, i * 40)),
  ...sealWire(132, 116, how !== 'unsealed'),
  ...where(how === 'cracked', crack(14, 8, 60, 112)),
]

export type TailLook = 'right' | 'damaged' | 'short' | 'thin' | 'strained'

/** One tail: core in its colour inside a grey sheath along a path; `stub` is the last of it at each end. */
export function tail(
  colour: 'brown' | 'blue' | 'black' | 'grey',
  d: string,
  at: { x: number; y: number },
  how: TailLook,
): Shapes {
  const wide = how === 'thin' ? 7 : 14
  const bared: Partial<Record<TailLook, Shapes>> = {
    short: conductor(colour, `M${at.x} ${at.y}v-46`, 9),
    damaged: [
      path(`wire ${colour}`, `M${at.x - 1} ${at.y - 8}v-26`, 11),
      path('copper', `M${at.x - 3} ${at.y - 14}v-12`, 5),
    ],
  }
  return [
    path('sheath grey', d, wide),
    ...where(how === 'short', path('moulding', `M${at.x} ${at.y}v-46`, 15)),
    ...(bared[how] ?? []),
    ...where(
      how === 'strained',
      path('line', `M${at.x - 14} ${at.y - 6}l28 -12M${at.x - 14} ${at.y - 16}l28 -12`, 2),
    ),
  ]
}

/** A connector block for dividing tails, 110 wide and 90 high. */
export const connectorBlock = (how: 'right' | 'lidless' | 'heat'): Shapes => [
  rounded(5, rect('moulding', 0, 0, 110, 90)),
  ...(how === 'lidless'
    ? [
        rounded(3, rect('dark', 8, 8, 94, 74)),
        ...[0, 1].flatMap((i) => [
          rounded(2, rect('brass', 18 + i * 42, 18, 30, 54)),
          ...screw(33 + i * 42, 32, 5),
          ...screw(33 + i * 42, 58, 5),
        ]),
      ]
    : [path('line thin', 'M10 45H100'), ...screw(14, 14, 4), ...screw(96, 76, 4)]),
  ...where(how === 'heat', scorch(10, 12, 84, 70)),
]

/** A switch box of the consumer, 110 wide and 150 high. */
export const isolatorBox = (how: 'marked' | 'unmarked' | 'cracked', lines: readonly string[]): Shapes => [
  rounded(5, rect('painted', 0, 0, 110, 150)),
  rounded(4, rect('recess', 38, 30, 34, 66)),
  rounded(3, rect('lever red', 43, 36, 24, 30)),
  words(24, 54, 'I', 'words fine'),
  words(24, 90, 'O', 'words fine'),
  ...where(
    how !== 'unmarked',
    rounded(1, rect('paper', 8, 108, 94, 32)),
    ...lines.map((line, i) => words(55, 121 + i * 14, line, 'words fine')),
  ),
  ...where(how === 'cracked', crack(66, 6, 40, 100)),
]

/** The main earthing terminal, 200 wide and 44 high. */
export const earthTerminal = (how: 'right' | 'loose' | 'linkOut'): Shapes => [
  rounded(2, rect('timber', -8, -8, 216, 60)),
  rounded(2, rect('brass', 0, 8, how === 'linkOut' ? 92 : 200, 26)),
  ...where(
    how === 'linkOut',
    rounded(2, rect('brass', 120, 8, 80, 26)),
    put(96, 40, [rounded(1, rect('brass', 0, 0, 34, 12))], 18),
  ),
  ...[0, 1, 2, 3, 4].flatMap((i) => screw(20 + i * 40, 21, 7, i === 2 && how === 'loose' ? 100 : 20)),
]

/** A clamp about something upright `wide` across, with its label tag. */
export const earthClamp = (kind: 'pipe' | 'cable', wide: number, isLabelled: boolean): Shapes => [
  rounded(kind === 'pipe' ? 3 : 9, rect('steel', -wide / 2 - 6, -10, wide + 12, 20)),
  ...screw(wide / 2 + 2, 0, 6, 10),
  ...where(kind === 'pipe', path('line thin', `M${-wide / 2} -6V6M${-wide / 2 + 6} -6V6`)),
  ...where(
    isLabelled,
    put(
      wide / 2 + 16,
      -26,
      [
        rounded(1, rect('paper', 0, 0, 96, 34)),
        words(48, 14, 'safety earth', 'words fine'),
        words(48, 28, 'leave on', 'words fine'),
      ],
      4,
    ),
  ),
]

/** A length of service pipe, upright from its upper end; plastic below a joint where it has been repaired. */
export const pipe = (h: number, metal: 'copper' | 'steel', plasticBelow?: number): Shapes => [
  path(metal === 'copper' ? 'brass' : 'steel dark', `M0 0V${plasticBelow ?? h}`, 26),
  ...where(
    plasticBelow !== undefined,
    path('sheath white', `M0 ${plasticBelow ?? 0}V${h}`, 24),
    rounded(4, rect('moulding dim', -18, (plasticBelow ?? 0) - 10, 36, 24)),
  ),
]

/** A stop valve's handle on a pipe. */
export const valve = (): Shapes => [
  rounded(3, rect('brass', -20, -8, 40, 16)),
  path('lever red', 'M0 -8V-26', 6),
  rounded(3, rect('lever red', -18, -32, 36, 8)),
]

/** Things that somebody has put down beside the intake. */
export const stored = (what: 'cans' | 'broom'): Shapes =>
  what === 'broom'
    ? [path('timber', 'M20 150L54 0', 8), path('brass', 'M2 168L10 148H34L38 170Z')]
    : [
        rounded(4, rect('painted', 0, 70, 54, 84)),
        rounded(1, rect('notice', 8, 92, 38, 34)),
        path('line', 'M27 98v14M27 119v3', 4),
        rounded(5, rect('steel', 66, 40, 62, 114)),
        words(97, 92, 'thinner', 'words fine'),
        path('line thin', 'M66 60H128M66 134H128'),
      ]
