import { tangentMm } from './bending'
import { cornersOf, distanceBetween, lengthOf, plus, type Corner } from './geometry'
import { mitreExtraMm } from './mitre'
import type { ContainmentRun, Former } from './containment-run'
import { AT_BOX_MM, runProblem, type RunProblem } from './run-problem'

/** A former holds this much straight tube between two bends, mm; common practice, no source. */
const BETWEEN_BENDS_MM = 20
/** Nothing is cut shorter, mm. */
const LEAST_MM = 1

/** Between each corner and the next: is there room for what is formed there, and does nothing else cross it? */
export function legProblems(run: ContainmentRun, former: Former): RunProblem[] {
  const corners = cornersOf(run)
  return corners.slice(1).flatMap((corner, before): RunProblem[] => {
    const i = before + 1
    const leg = lengthOf(plus(corner.at, corners[before]!.at, -1))
    const least = leastLeg(run, former, corners, i)
    return [
      ...(leg < least ? [tight({ run, corners, i, least, leg })] : []),
      ...(isCrossed(run, corners, i) ? [runProblem(corner.straight, 'crosses')] : []),
    ]
  })
}

const isFormed = ({ joint }: Corner): boolean => joint === 'bend' || joint === 'set'

/** What is formed at both ends of a leg, and the straight that tools or locks need between. */
function leastLeg(run: ContainmentRun, former: Former, corners: readonly Corner[], i: number): number {
  const formed = [i - 1, i].filter((at) => isFormed(corners[at]!))
  const taken = formed.reduce((sum, at) => sum + takenMm(run, former, corners, at), 0)
  const straight = [LEAST_MM, AT_BOX_MM, BETWEEN_BENDS_MM][formed.length]!
  return taken + (run.made === 'conduit' ? straight : LEAST_MM)
}

/** What a formed corner takes of its legs: the tangent of a bend, the inside of a mitre, mm. */
function takenMm(run: ContainmentRun, former: Former, corners: readonly Corner[], i: number): number {
  const { at, angleDeg } = corners[i]!
  if (run.made === 'conduit') return tangentMm(former, angleDeg)
  if (run.made !== 'trunking') return 0
  return mitreExtraMm(run, plus(at, corners[i - 1]!.at, -1), plus(corners[i + 1]!.at, at, -1), angleDeg)
}

interface TightLeg {
  readonly run: ContainmentRun
  readonly corners: readonly Corner[]
  readonly i: number
  readonly least: number
  readonly leg: number
}

/** Between the sets of a detour it is the detour that is too small, elsewhere the straight. */
function tight({ run, corners, i, least, leg }: TightLeg): RunProblem {
  const { straight } = corners[i]!
  const { detour, lengthMm } = run.straights[straight]!
  const isSet = (corner: Corner) => corner.joint === 'set' && corner.straight === straight
  if (!detour || !isSet(corners[i]!) || !isSet(corners[i - 1]!))
    return runProblem(straight, 'short', lengthMm + least - leg)
  const sets = corners.slice(0, i).filter(isSet).length
  return detour.kind === 'bridge' && sets === 2
    ? runProblem(straight, 'flatShort', least)
    : runProblem(straight, 'detourTight', least * Math.sin((detour.angleDeg * Math.PI) / 180))
}

/** An earlier leg comes nearer than the tube is thick. */
function isCrossed({ sizeMm }: ContainmentRun, corners: readonly Corner[], i: number): boolean {
  const leg = [corners[i - 1]!.at, corners[i]!.at] as const
  return corners
    .slice(1, Math.max(1, i - 1))
    .some((corner, k) => distanceBetween([corners[k]!.at, corner.at], leg) < sizeMm)
}
