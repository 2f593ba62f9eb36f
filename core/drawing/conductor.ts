import {
  circle,
  path,
  rect,
  rounded,
  scorch,
  screw,
  where,
  type Shape,
  type Shapes,
  type Skin,
} from './shape'

export type ConductorColour = 'brown' | 'black' | 'grey' | 'blue' | 'red' | 'earth' | 'bare'

/** How a conductor ends in its terminal. */
export type Termination =
  /** Insulation up to the terminal, copper inside. */
  | 'right'
  /** Copper stands out between insulation and terminal. */
  | 'copper'
  /** The screw bites on insulation. */
  | 'insulation'
  /** Strands cut off beside the terminal. */
  | 'strands'
  /** Two conductors under one screw. */
  | 'doubled'
  /** It lies before its terminal. */
  | 'loose'
  /** Insulation and moulding browned. */
  | 'heat'

const skinOf = (colour: ConductorColour): Skin => `wire ${colour}`

/** An insulated conductor along a path, `wide` over its insulation; green-and-yellow carries its stripe. */
export const conductor = (colour: ConductorColour, d: string, wide: number): Shapes => [
  path(skinOf(colour), d, colour === 'bare' ? wide * 0.7 : wide),
  ...where(colour === 'earth', path('band', d, wide * 0.34)),
]

/** How far each stops short of the jaw; below 0 it goes in. */
const INSULATION_TO: Readonly<Record<Termination, number>> = {
  right: 1,
  copper: 17,
  insulation: -19,
  strands: 6,
  doubled: 1,
  loose: 26,
  heat: 1,
}

/** How far its copper reaches into the jaw, where that is not as it should be. */
const COPPER_TO: Partial<Record<Termination, number>> = { loose: -12, insulation: 22 }

/**
 * A screw terminal seen from the front, 26 wide and 34 high about its middle, with its conductor from above. It
 * stands at `x`, the jaw's upper edge at `y`; `from` is where the conductor comes from.
 */
export function terminal(
  x: number,
  y: number,
  how: Termination,
  { colour, wide = 9, from }: { colour: ConductorColour; wide?: number; from: number },
): Shapes {
  const end = y - INSULATION_TO[how]
  const copperTo = y + (COPPER_TO[how] ?? 12)
  const lead = (at: number): Shapes => [
    path('copper', `M${at} ${end - 2}V${copperTo}`, wide * 0.55),
    ...conductor(colour, `M${at} ${from}V${end}`, wide),
  ]
  const jaw: Shape[] = [
    rounded(2, rect('recess', x - 13, y, 26, 34)),
    rounded(1, rect('steel dark', x - 10, y + 4, 20, 10)),
    ...screw(x, y + 23, 8, (x * 7 + y * 3) % 180),
  ]
  if (how === 'insulation')
    return [
      rounded(2, rect('recess', x - 13, y, 26, 34)),
      ...screw(x, y + 25, 8, 50),
      ...lead(x),
      rounded(1, rect('steel dark', x - 10, y + 14, 20, 4)),
    ]
  if (how === 'doubled')
    return [
      ...jaw,
      ...lead(x),
      ...conductor(colour, `M${x + wide * 1.9} ${y - 44}q${-wide} 14 ${-wide} ${43}`, wide),
    ]
  if (how === 'loose')
    return [
      ...jaw,
      path('copper', `M${x + 4} ${end}l5 13`, wide * 0.5),
      ...conductor(colour, `M${x} ${from}V${end - 10}q0 6 4 12`, wide),
    ]
  if (how === 'strands')
    return [
      ...jaw,
      path('copper', `M${x - 2} ${end}V${copperTo}`, wide * 0.25),
      ...[-1, 0, 1, 2].map((n) => path('strand', `M${x + n * 2} ${end}l${n * 7 + 3} -${9 - n * 2}`, 1.6)),
      ...conductor(colour, `M${x} ${from}V${end}`, wide),
    ]
  return [
    ...jaw,
    ...lead(x),
    ...where(how === 'heat', scorch(x - 17, y - 22, 34, 58), path('scorch', `M${x} ${y - 60}V${y}`, wide)),
  ]
}

/** A terminal, 40 by 60, as its conductors stand in it: none, or each beside the other under the one screw. */
export function termination(colours: readonly ConductorColour[]): Shapes {
  const wide = colours.length > 1 ? 7 : 10
  return [
    rounded(2, rect('recess', 6, 22, 28, 36)),
    ...colours.flatMap((colour, i) => {
      const x = 20 + (i - (colours.length - 1) / 2) * (wide + 0.5)
      return [path('copper', `M${x} 20V34`, wide * 0.55), ...conductor(colour, `M${x} 0V21`, wide)]
    }),
    rounded(1, rect('steel dark', 9, 27, 22, 10)),
    ...screw(20, 47, 8, colours.length * 40 + 20),
  ]
}

/** A screw of a bar with its conductor from below or above; the bar itself is drawn by its board. */
export function barScrew(
  x: number,
  y: number,
  how: 'right' | 'loose' | 'doubled' | 'empty',
  { colour, wide = 8, from }: { colour: ConductorColour; wide?: number; from: number },
): Shapes {
  const up = Math.sign(from - y)
  const hole = circle('dark', x, y, 5)
  const lead = (at: number, end: number): Shapes => conductor(colour, `M${at} ${from}V${end}`, wide)
  if (how === 'empty') return [hole, ...screw(x, y, 5.5, 90)]
  if (how === 'loose')
    return [
      hole,
      ...screw(x, y, 5.5, 120),
      path('copper', `M${x + 7} ${y + up * 24}l4 ${-up * 11}`, wide * 0.5),
      ...conductor(colour, `M${x} ${from}V${y + up * 34}q1 ${-up * 6} 7 ${-up * 11}`, wide),
    ]
  if (how === 'doubled')
    return [...lead(x - wide * 0.6, y + up * 7), ...lead(x + wide * 0.6, y + up * 7), ...screw(x, y, 6.5, 15)]
  return [...lead(x, y + up * 7), ...screw(x, y, 6.5, (x * 11) % 180)]
}

/** A sheathed cable with its cores fanned out below the sheath's end, each along a path of its own. */
export const sheathed = (sheath: 'grey' | 'white' | 'armour', d: string, wide: number): Shapes => [
  path(`sheath ${sheath}`, d, wide),
  ...where(sheath === 'armour', path('line thin', d, wide * 0.2)),
]

/** A saddle over a level run, a screw above and one below. */
export const saddle = (x: number, y: number, wide: number): Shapes => [
  rounded(3, rect('steel', x - 5, y - wide / 2 - 8, 10, wide + 16)),
  ...screw(x, y - wide / 2 - 4, 2.5),
  ...screw(x, y + wide / 2 + 4, 2.5),
]
