import { stockMm, type ContainmentRun, type Detour, type Former, type Straight } from './containment-run'
import { drawSections } from './draw'
import { AXES, directionsOf, dot } from './geometry'
import { legProblems } from './legs'
import { AT_BOX_MM, runProblem, type RunProblem } from './run-problem'
import { tubesOf } from './tubes'

const ANGLES = { least: 10, most: 90, mostDetour: 60 } as const
/** Right angles between two draw points; common practice, no source. A centre may choose another number. */
export const MOST_RIGHT_ANGLES = 2

/** Everything about a run that cannot be made. */
export function runProblems(
  run: ContainmentRun,
  former: Former,
  mostRightAngles = MOST_RIGHT_ANGLES,
): RunProblem[] {
  const entered = run.straights.flatMap((straight, i) => straightProblems(run, straight, i))
  // What is entered wrong has no shape yet.
  const all = entered.length > 0 ? entered : shapeProblems(run, former, mostRightAngles)
  return [...new Map(all.map((problem) => [JSON.stringify(problem), problem])).values()]
}

function straightProblems(run: ContainmentRun, straight: Straight, i: number): RunProblem[] {
  const { lengthMm, setDeg, detour } = straight
  const found: RunProblem[] = []
  if (!(lengthMm > 0)) found.push(runProblem(i, 'notPositive'))
  if (i > 0 && !isAngle(setDeg, ANGLES.most)) found.push(angleProblem(i, setDeg, ANGLES.most))
  return [
    ...found,
    ...directionProblems(run, straight, i),
    ...(detour ? detourProblems(detour, lengthMm, i) : []),
  ]
}

const isAngle = (deg: number, most: number): boolean => deg >= ANGLES.least && deg <= most
const angleProblem = (i: number, deg: number, most: number): RunProblem =>
  runProblem(i, 'angle', Math.min(most, Math.max(ANGLES.least, deg)))

/** Straight on is a bend of nothing; through a box or coupler it is a way. */
function directionProblems({ straights }: ContainmentRun, { to }: Straight, i: number): RunProblem[] {
  const before = directionsOf(straights)[i - 1]
  if (!before) return []
  const joint = straights[i - 1]!.then
  const along = dot(before, AXES[to])
  const turnsBack = along < -0.999 || (along > 0.999 && joint !== 'box' && joint !== 'coupler')
  return [
    ...(turnsBack ? [runProblem(i, 'turnsBack')] : []),
    ...(joint === 'coupler' && along < 0.999 ? [runProblem(i, 'couplerTurns')] : []),
  ]
}

function detourProblems(detour: Detour, lengthMm: number, i: number): RunProblem[] {
  const { angleDeg, heightMm, kind, flatMm, atMm } = detour
  if (!isAngle(angleDeg, ANGLES.mostDetour)) return [angleProblem(i, angleDeg, ANGLES.mostDetour)]
  const travel = heightMm / Math.tan((angleDeg * Math.PI) / 180)
  const needs = atMm + (kind === 'bridge' ? 2 * travel + flatMm : travel)
  return needs >= lengthMm ? [runProblem(i, 'detourOutside', needs + AT_BOX_MM)] : []
}

function shapeProblems(run: ContainmentRun, former: Former, mostRightAngles: number): RunProblem[] {
  const stock = stockMm(run)
  const tooLong = tubesOf(run, former).filter(({ cutMm }) => cutMm > stock)
  // Into trunking and tray cables are laid, not drawn.
  const sections = run.made === 'conduit' ? drawSections(run) : []
  return [
    ...legProblems(run, former),
    ...tooLong.map(({ straights }) => runProblem(straights.at(-1)!, 'tooLong', stock)),
    ...sections
      .filter(({ rightAngles }) => rightAngles > mostRightAngles + 0.01)
      .map(({ straight }) => runProblem(straight, 'tooManyBends', mostRightAngles)),
  ]
}
