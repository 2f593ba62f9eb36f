import { arcMm, tangentMm } from './bending'
import { cornersOf, cross, dot, lengthOf, nearestAxis, plus, type Corner, type Vector } from './geometry'
import { mitreOf, type Mitre } from './mitre'
import { ENTRY_MM, type ContainmentRun, type Direction, type Former } from './containment-run'

/** A bend on a tube: where it is marked, how far, and which way. */
export interface BendMark {
  /** From the starting end, mm, where the former's line is held. */
  readonly markMm: number
  /** Where the bend begins and ends on the straight tube, mm. */
  readonly fromMm: number
  readonly toMm: number
  readonly angleDeg: number
  /** To bend to on the former, with what springs back. */
  readonly bendToDeg: number
  /** Which way the tube goes on, as one stands before the wall. */
  readonly towards: Direction
  /**
   * Turn of the tube about its own axis since the bend before, °: 0 the same plane and way, 180 the opposite
   * way.
   */
  readonly rollDeg: number | null
  readonly straight: number
}

/** One tube or piece between two joints, as it is cut and bent. */
export interface Tube {
  readonly name: string
  readonly cutMm: number
  readonly bends: readonly BendMark[]
  /** How trunking is cut at its two ends; null where it is cut square. */
  readonly mitres: readonly [Mitre | null, Mitre | null]
  /** Corners that it runs through, for the drawing. */
  readonly corners: readonly Corner[]
  readonly straights: readonly number[]
}

/**
 * The straight tubes that a run is made of, cut to length with marks for every bend. Bends save their gain;
 * each end goes into its spout. Trunking and tray end at every corner: trunking mitred, tray made up.
 */
export function tubesOf(run: ContainmentRun, former: Former): Tube[] {
  const corners = cornersOf(run)
  if (run.made !== 'conduit') return corners.slice(1).map((_, i) => pieceBetween(run, corners, i))
  const tubes: Tube[] = []
  let from = 0
  for (let i = 1; i < corners.length; i += 1) {
    const { joint } = corners[i]!
    if (joint === 'bend' || joint === 'set') continue
    tubes.push(
      tubeBetween(corners.slice(from, i + 1), former, ENTRY_MM[run.material], `Tube ${tubes.length + 1}`),
    )
    from = i
  }
  return tubes
}

/** The piece from corner i to the next one; its stock is as long as its long sides. */
function pieceBetween(run: ContainmentRun, corners: readonly Corner[], i: number): Tube {
  const [here, there] = [corners[i]!, corners[i + 1]!]
  const leg = plus(there.at, here.at, -1)
  const isMitred = ({ joint }: Corner) => run.made === 'trunking' && (joint === 'bend' || joint === 'set')
  const mitres: Tube['mitres'] = [
    isMitred(here) ? mitreOf(run, plus(here.at, corners[i - 1]!.at, -1), leg, here.angleDeg, 'after') : null,
    isMitred(there)
      ? mitreOf(run, leg, plus(corners[i + 2]!.at, there.at, -1), there.angleDeg, 'before')
      : null,
  ]
  return {
    name: `Piece ${i + 1}`,
    cutMm: mitres.reduce((sum, mitre) => sum + (mitre?.extraMm ?? 0), lengthOf(leg)),
    bends: [],
    mitres,
    corners: [here, there],
    straights: [there.straight],
  }
}

function tubeBetween(corners: readonly Corner[], former: Former, entry: number, name: string): Tube {
  const bends: BendMark[] = []
  /** How much tube has been used up to the end of the bend before. */
  let used = entry
  let tangentBefore = 0
  let planeBefore: Vector | undefined
  for (let i = 1; i < corners.length; i += 1) {
    const [before, corner, after] = [corners[i - 1]!, corners[i]!, corners[i + 1]]
    const leg = plus(corner.at, before.at, -1)
    const tangent = after ? tangentMm(former, corner.angleDeg) : 0
    const straight = lengthOf(leg) - tangentBefore - tangent
    if (!after) {
      used += straight
      break
    }
    const fromMm = used + straight
    const toMm = fromMm + arcMm(former, corner.angleDeg)
    const next = plus(after.at, corner.at, -1)
    const plane = cross(leg, next)
    bends.push({
      markMm: fromMm - former.startMm,
      fromMm,
      toMm,
      angleDeg: corner.angleDeg,
      bendToDeg: corner.angleDeg + former.springDeg * Math.min(1, corner.angleDeg / 90),
      towards: nearestAxis(next, leg),
      rollDeg: planeBefore ? rollBetween(planeBefore, plane, leg) : null,
      straight: corner.straight,
    })
    used = toMm
    tangentBefore = tangent
    planeBefore = plane
  }
  return {
    name,
    cutMm: used + entry,
    bends,
    mitres: [null, null],
    corners,
    straights: [...new Set(corners.slice(1).map(({ straight }) => straight))],
  }
}

/** Angle between the planes of two bends, seen along the tube between them, rounded to a degree. */
function rollBetween(a: Vector, b: Vector, axis: Vector): number {
  const cosine = dot(a, b) / (lengthOf(a) * lengthOf(b))
  const angle = (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI
  return Math.round(dot(cross(a, b), axis) < 0 ? 360 - angle : angle) % 360
}

/** How long the bent run is along its centre line, mm. */
export const developedMm = (run: ContainmentRun, former: Former): number =>
  tubesOf(run, former).reduce(
    (sum, { cutMm, mitres }) =>
      sum +
      cutMm -
      (run.made === 'conduit'
        ? 2 * ENTRY_MM[run.material]
        : (mitres[0]?.extraMm ?? 0) + (mitres[1]?.extraMm ?? 0)),
    0,
  )
