import { tangentMm } from './bending'
import { AXES, cornersOf, directionsOf, distanceBetween, dot, lengthOf, plus } from './geometry'
import { mitreExtraMm } from './mitre'
import { stockMm, type ContainmentRun, type Former } from './containment-run'
import { tubesOf } from './tubes'

/** Something that cannot be bent or fixed as it is entered, at which straight, with the nearest that works. */
export interface RunProblem {
  readonly straight: number
  readonly code:
    | 'short'
    | 'detourTight'
    | 'flatShort'
    | 'turnsBack'
    | 'couplerTurns'
    | 'detourOutside'
    | 'angle'
    | 'crosses'
    | 'tooLong'
    | 'notPositive'
    | 'tooManyBends'
  /** The nearest value that works, mm or °. */
  readonly nearest: number | null
}

/** A former holds this much straight tube between two bends, mm; common practice, no source. */
const BETWEEN_BENDS_MM = 20
/** A spout and its lock need this much straight before a bend, mm; common practice, no source. */
const AT_BOX_MM = 30
const ANGLES = { least: 10, most: 90, mostDetour: 60 } as const
/** Right angles between two draw points; common practice, no source. A centre may choose another number. */
export const MOST_RIGHT_ANGLES = 2

/** Everything about a run that cannot be made. */
export function runProblems(
  run: ContainmentRun,
  former: Former,
  mostRightAngles = MOST_RIGHT_ANGLES,
): RunProblem[] {
  return [
    ...new Map(
      allProblems(run, former, mostRightAngles).map((problem) => [JSON.stringify(problem), problem]),
    ).values(),
  ]
}

function allProblems(run: ContainmentRun, former: Former, mostRightAngles: number): RunProblem[] {
  const { straights } = run
  const problems: RunProblem[] = []
  const add = (straight: number, code: RunProblem['code'], nearest: number | null = null) =>
    problems.push({ straight, code, nearest: nearest === null ? null : Math.ceil(nearest) })
  straights.forEach(({ lengthMm, setDeg, to, detour }, i) => {
    if (!(lengthMm > 0)) add(i, 'notPositive')
    if (i > 0 && (setDeg < ANGLES.least || setDeg > ANGLES.most))
      add(i, 'angle', Math.min(ANGLES.most, Math.max(ANGLES.least, setDeg)))
    const before = directionsOf(straights)[i - 1]
    // Straight on is a bend of nothing; through a box or coupler it is a way.
    const along = before ? dot(before, AXES[to]) : 0
    const isOn = straights[i - 1]?.then === 'box' || straights[i - 1]?.then === 'coupler'
    if (along < -0.999 || (along > 0.999 && !isOn)) add(i, 'turnsBack')
    if (before && straights[i - 1]!.then === 'coupler' && along < 0.999) add(i, 'couplerTurns')
    if (!detour) return
    if (detour.angleDeg < ANGLES.least || detour.angleDeg > ANGLES.mostDetour)
      add(i, 'angle', Math.min(ANGLES.mostDetour, Math.max(ANGLES.least, detour.angleDeg)))
    else {
      const travel = detour.heightMm / Math.tan((detour.angleDeg * Math.PI) / 180)
      const needs = detour.kind === 'bridge' ? 2 * travel + detour.flatMm : travel
      if (detour.atMm + needs >= lengthMm) add(i, 'detourOutside', detour.atMm + needs + AT_BOX_MM)
    }
  })
  if (problems.length > 0) return problems

  const corners = cornersOf(run)
  const isBent = run.made === 'conduit'
  /** What a formed corner takes of its legs: the tangent of a bend, the inside of a mitre. */
  const taken = (i: number): number => {
    const { angleDeg } = corners[i]!
    if (isBent) return tangentMm(former, angleDeg)
    return run.made === 'trunking'
      ? mitreExtraMm(
          run,
          plus(corners[i]!.at, corners[i - 1]!.at, -1),
          plus(corners[i + 1]!.at, corners[i]!.at, -1),
          angleDeg,
        )
      : 0
  }
  /** Between the sets of a detour it is the detour that is too small, elsewhere the straight. */
  function tight(i: number, least: number, leg: number): void {
    const { straight, joint } = corners[i]!
    const { detour, lengthMm } = straights[straight]!
    const isInside =
      detour !== null &&
      joint === 'set' &&
      corners[i - 1]!.joint === 'set' &&
      corners[i - 1]!.straight === straight
    if (!isInside) return void add(straight, 'short', lengthMm + least - leg)
    const sets = corners
      .slice(0, i)
      .filter((corner) => corner.straight === straight && corner.joint === 'set').length
    if (detour.kind === 'bridge' && sets === 2) add(straight, 'flatShort', least)
    else add(straight, 'detourTight', least * Math.sin((detour.angleDeg * Math.PI) / 180))
  }
  const isFormed = (i: number) => corners[i]!.joint === 'bend' || corners[i]!.joint === 'set'
  for (let i = 1; i < corners.length; i += 1) {
    const leg = lengthOf(plus(corners[i]!.at, corners[i - 1]!.at, -1))
    const tangents = [i - 1, i].map((at) => (isFormed(at) ? taken(at) : 0))
    const both = isFormed(i - 1) && isFormed(i)
    const least =
      tangents[0]! +
      tangents[1]! +
      (!isBent ? 1 : both ? BETWEEN_BENDS_MM : isFormed(i - 1) || isFormed(i) ? AT_BOX_MM : 1)
    if (leg < least) tight(i, least, leg)
    for (let k = 1; k < i - 1; k += 1) {
      if (
        distanceBetween([corners[k - 1]!.at, corners[k]!.at], [corners[i - 1]!.at, corners[i]!.at]) <
        run.sizeMm
      ) {
        add(corners[i]!.straight, 'crosses')
        break
      }
    }
  }
  for (const tube of tubesOf(run, former)) {
    if (tube.cutMm > stockMm(run)) add(tube.straights.at(-1)!, 'tooLong', stockMm(run))
  }
  // Into trunking and tray cables are laid, not drawn.
  if (!isBent) return problems
  for (const { rightAngles, straight } of drawSections(run))
    if (rightAngles > mostRightAngles + 0.01) add(straight, 'tooManyBends', mostRightAngles)
  return problems
}

/** Between two points at which one can draw: how far, and how many right angles together. */
export function drawSections(
  run: ContainmentRun,
): { readonly straight: number; readonly lengthMm: number; readonly rightAngles: number }[] {
  const corners = cornersOf(run)
  const sections: { straight: number; lengthMm: number; rightAngles: number }[] = []
  let [length, angle] = [0, 0]
  for (let i = 1; i < corners.length; i += 1) {
    const { at, joint, angleDeg, straight } = corners[i]!
    length += lengthOf(plus(at, corners[i - 1]!.at, -1))
    if (joint === 'bend' || joint === 'set') angle += angleDeg
    else if (joint !== 'coupler') {
      sections.push({ straight, lengthMm: length, rightAngles: angle / 90 })
      ;[length, angle] = [0, 0]
    }
  }
  return sections
}

/** How hard it pulls: each bend multiplies the pull by e^(μθ). Friction of new insulation in conduit about 0.4; common practice, no source. */
const FRICTION = 0.4
export type Pull = 'easy' | 'fair' | 'hard'
export function pullOf(rightAngles: number): { readonly factor: number; readonly pull: Pull } {
  const factor = Math.exp((FRICTION * rightAngles * Math.PI) / 2)
  return { factor, pull: factor < 2 ? 'easy' : factor < 3.6 ? 'fair' : 'hard' }
}
