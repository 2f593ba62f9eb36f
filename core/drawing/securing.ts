import { circle, path, put, rect, rounded, screw, words, type Shape, type Shapes } from './shape'

/** Whose padlock it is: each person's has a colour of its own. */
type PadlockOf = 'own' | 'other'

/** A lock-off device clamped over a lever that is off, about the lever's middle; its eye hangs below. */
export const lockOff = (): Shapes => [
  rounded(3, rect('clamp', -17, -17, 34, 30)),
  rounded(2, rect('recess', -10, -11, 20, 10)),
  ...screw(0, 6, 4, 60),
  path('clamp', 'M-7 13H7V28Q0 35 -7 28Z'),
  circle('dark', 0, 23, 3.6),
]

/** A padlock that hangs by its shackle at the origin: 30 wide, 52 high. */
export const padlock = (of: PadlockOf): Shapes => [
  path('shackle', 'M-8 26V10A8 8 0 0 1 8 10V26', 4.5),
  rounded(4, rect(of === 'own' ? 'lock own' : 'lock other', -15, 22, 30, 30)),
  circle('dark', 0, 35, 3.6),
  path('writing', 'M0 35V43', 3),
]

/** A hasp through the eye at the origin, so that several people can each hang a padlock; its holes are 17 apart. */
export const hasp = (): Shapes => [
  path('shackle', 'M-6 6V-4A6 6 0 0 1 6 -4V6', 4),
  path('clamp', 'M-9 6H9L30 20V40Q0 50 -30 40V20Z'),
  ...HASP_HOLES.map((x) => circle('dark', x, 32, 4)),
]
/** Where padlocks hang on a hasp, from its eye. */
const HASP_HOLES = [-17, 0, 17] as const
const HASP_HANG_Y = 27

/** A caution notice, written on or blank, on a string of a length; 84 wide and high. */
const cautionTag = (isWritten: boolean, stringed: number): Shapes => [
  path('line', `M0 0Q5 ${stringed / 2} 0 ${stringed + 4}`, 1.6),
  rounded(4, rect('notice', -42, stringed, 84, 84)),
  circle('dark', 0, stringed + 8, 3),
  words(0, stringed + 27, 'DO NOT', 'words fine'),
  words(0, stringed + 42, 'SWITCH ON', 'words fine'),
  ...(isWritten
    ? [
        path(
          'writing',
          `M-30 ${stringed + 58}q4 -6 8 0t8 0t8 0M4 ${stringed + 58}q4 -6 8 0t8 0t8 0M-30 ${stringed + 72}q5 -5 10 0t10 0t10 0t10 0t10 0`,
          1.5,
        ),
      ]
    : [path('line thin', `M-30 ${stringed + 60}H30M-30 ${stringed + 74}H30`)]),
]

/** A notice hangs below the strip of names, and below padlocks on a hasp. */
const STRING = 88
const STRING_BELOW_HASP = 108

/** What hangs at a device's lever, from its middle: lock-off device, hasp, padlocks, notice. */
export interface Secured {
  readonly isLocked: boolean
  readonly hasHasp: boolean
  readonly isLockedByOther: boolean
  readonly notice: 'none' | 'blank' | 'written'
}

/** Everything that hangs at a lever whose middle is at a place; nothing where nothing was done. */
export function securedAt(x: number, y: number, secured: Secured): Shapes {
  const { isLocked, hasHasp, isLockedByOther, notice } = secured
  const held: Shape[] = isLocked || hasHasp || isLockedByOther ? [put(x, y, lockOff())] : []
  const eye = y + 25
  const hung = hasHasp ? [put(x, eye, hasp())] : []
  const hangY = hasHasp ? eye + HASP_HANG_Y : eye - 6
  const locks = [
    ...(isLocked ? [put(x + (hasHasp ? HASP_HOLES[0] : 0), hangY, padlock('own'), 4)] : []),
    ...(isLockedByOther ? [put(x + (hasHasp ? HASP_HOLES[2] : 0), hangY, padlock('other'), -4)] : []),
  ]
  const stringed = hasHasp ? STRING_BELOW_HASP : STRING
  const noticed = notice === 'none' ? [] : [put(x, y, cautionTag(notice === 'written', stringed))]
  return [...noticed, ...held, ...hung, ...locks]
}
