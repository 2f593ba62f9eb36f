import { circle, path, rect, rounded, screw, words, type Shapes } from './shape'

/** Lamps of a two-pole indicator, V: each is lit from its voltage on; common practice, no source. */
export const LAMPS_V = [12, 50, 120, 230, 400] as const

/** A two-pole voltage indicator with both its probes, 250 by 210; lamps are lit up to the voltage between the tips. */
export function twoPoleIndicator(volt: number): Shapes {
  return [
    path('lead', 'M84 166C90 214 160 214 170 150', 5),
    rounded(12, rect('grip', 50, 26, 68, 140)),
    path('steel dark', 'M84 26V0', 5),
    rounded(3, rect('grip', 78, 12, 12, 16)),
    ...LAMPS_V.flatMap((lamp, i) => {
      const y = 142 - i * 24
      return [
        circle(volt > 0 && volt >= lamp * 0.9 ? 'lamp on' : 'lamp off', 66, y, 6),
        words(96, y + 5, String(lamp), 'words white'),
      ]
    }),
    rounded(9, rect('grip', 156, 56, 28, 96)),
    path('steel dark', 'M170 56V24', 5),
    rounded(3, rect('grip', 164, 40, 12, 18)),
  ]
}

/** A multimeter with its display and its two leads, 250 by 210. */
export const multimeter = (reading: string): Shapes => [
  path('lead', 'M78 176C74 206 150 214 178 196', 5),
  path('lead red', 'M104 176C108 198 160 196 186 172', 5),
  rounded(8, rect('grip', 36, 10, 108, 170)),
  rounded(3, rect('display', 48, 24, 84, 40)),
  words(90, 51, reading, 'words'),
  circle('recess', 90, 110, 27),
  path('writing', 'M90 110L74 94', 4),
  words(56, 84, 'V', 'words white'),
  words(124, 84, 'Ω', 'words white'),
  circle('dark', 78, 168, 6),
  circle('dark', 104, 168, 6),
  rounded(6, rect('grip', 172, 186, 56, 14)),
  path('steel dark', 'M228 193H246', 4),
  rounded(6, rect('lock own', 180, 162, 56, 14)),
  path('steel dark', 'M236 169H250', 4),
]

/** A plug-in socket tester from the front, 250 by 210: its lamp, lit or dark, and the window with what it says. */
export const plugInTester = (says: string, isLit: boolean): Shapes => [
  rounded(12, rect('moulding', 30, 30, 190, 150)),
  circle(isLit ? 'lamp on' : 'lamp off', 125, 68, 14),
  rounded(3, rect('display', 42, 104, 166, 42)),
  words(125, 130, says, 'words fine'),
  ...screw(125, 164, 4),
]

/** A non-contact detector that is held near a conductor, 250 by 210. */
export const nonContactDetector = (glows: boolean): Shapes => [
  path('grip', 'M108 200V70L118 26H132L142 70V200Q125 210 108 200Z'),
  path(glows ? 'window red' : 'moulding dim', 'M114 44L119 22H131L136 44Z'),
  rounded(3, rect('recess', 116, 96, 18, 60)),
  ...(glows ? [path('glow', 'M92 14L104 26M125 0V12M158 14L146 26', 4)] : []),
]

/** A proving unit: two contacts, and a lamp that is lit while it gives its voltage; 150 by 130. */
export const provingUnit = (gives: boolean): Shapes => [
  rounded(8, rect('lock other', 10, 20, 130, 96)),
  circle('dark', 46, 62, 9),
  circle('dark', 104, 62, 9),
  circle('steel', 46, 62, 5),
  circle('steel', 104, 62, 5),
  circle(gives ? 'lamp on' : 'lamp off', 75, 40, 6),
  rounded(2, rect('paper', 30, 86, 90, 20)),
  words(75, 101, 'PROVING', 'words fine'),
]
