import type { Pull } from '#core/containment/draw'
import type { RunProblem } from '#core/containment/run-problem'
import type { Pattern } from '#core/containment/patterns'
import type { RunPart } from '#core/containment/parts-met'
import type { Direction, Joint } from '#core/containment/containment-run'

export const DIRECTION_NAME: Readonly<Record<Direction, string>> = {
  right: 'right',
  left: 'left',
  up: 'up',
  down: 'down',
  out: 'outwards',
  back: 'to the wall',
}
export const JOINT_NAME: Readonly<Record<Joint, string>> = {
  bend: 'bend',
  inspection: 'inspection elbow',
  box: 'box',
  coupler: 'coupler',
  end: 'last box',
}
export const RUN_PART_NAME: Readonly<Record<RunPart, string>> = {
  setOut: 'Set out',
  level: 'Level and plumb',
}
export const PULL_NAME: Readonly<Record<Pull, string>> = {
  easy: 'pulls easily',
  fair: 'pulls with wax and two people',
  hard: 'pulls hard: add a draw point',
}

/** What cannot be made, and the nearest that can. */
export function runSentence({ code, nearest }: RunProblem): string {
  switch (code) {
    case 'short':
      return `Too short for its bends: at least ${nearest} mm.`
    case 'detourTight':
      return `The sets of the detour are too close for this former: at least ${nearest} mm high at this angle, or a smaller angle.`
    case 'flatShort':
      return `The top of the bridge is too short for its bends: at least ${nearest} mm.`
    case 'turnsBack':
      return 'It runs back or straight on along the leg before. Choose another direction, or make one leg of both.'
    case 'couplerTurns':
      return 'A coupler goes straight on. Turn with a bend, an inspection elbow or a box.'
    case 'detourOutside':
      return `The detour does not fit: this leg would need ${nearest} mm.`
    case 'angle':
      return `This angle cannot be bent here; the nearest is ${nearest}°.`
    case 'crosses':
      return 'It runs into itself.'
    case 'tooLong':
      return `Longer than a tube of ${nearest} mm: put a coupler, a box or an inspection elbow on the way.`
    case 'notPositive':
      return 'A leg needs a length above zero.'
    case 'tooManyBends':
      return `More than ${nearest} right angles to the next point where one can draw. Put a box or an inspection elbow between.`
  }
}

const numbers = (straights: readonly number[]): string => straights.map((i) => i + 1).join(', ')

/** What several deviations have in common, in words for the one who bent it. */
export function patternSentence(pattern: Pattern): string {
  switch (pattern.is) {
    case 'gainForgotten':
      return `Legs ${numbers(pattern.straights)} are long by about one allowance of this former, ${Math.round(pattern.mm)} mm: what a bend saves was not taken off before the next mark.`
    case 'gainTwice':
      return `Legs ${numbers(pattern.straights)} are short by about one allowance, ${Math.round(pattern.mm)} mm: it was taken off twice.`
    case 'fromOutside':
      return `Everything is off by half a tube, ${pattern.mm} mm, at each end: measured to the outside and not to the centre line, or the other way round.`
    case 'constant':
      return `All legs are off by about the same ${Math.round(pattern.mm)} mm: look at the hook of the tape and at where the former is held.`
    case 'cumulative':
      return `The error grows by about ${Math.round(Math.abs(pattern.mm) * 10) / 10} mm from one leg to the next: each was measured from the last mark. Measure all from one end.`
    case 'mirrored':
      return 'Every bend goes the other way: the drawing was read from behind, or the tube was turned end for end.'
    case 'offsetAngle':
      return `The sets of leg ${numbers(pattern.straights)} were bent to about ${Math.round(pattern.degrees)}° instead of ${Math.round(pattern.nominal)}°.`
  }
}
