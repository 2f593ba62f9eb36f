import { gainMm } from './bending'
import { cornersOf } from './geometry'
import type { ContainmentRun, Former } from './containment-run'
import type { MeasuredMark } from './dimensions'

/** What the deviations look like together, with its figures. */
export type Pattern =
  | {
      readonly is: 'gainForgotten' | 'gainTwice' | 'fromOutside' | 'constant' | 'cumulative'
      readonly mm: number
      readonly straights: readonly number[]
    }
  | { readonly is: 'mirrored'; readonly straights: readonly number[] }
  | {
      readonly is: 'offsetAngle'
      readonly degrees: number
      readonly nominal: number
      readonly straights: readonly number[]
    }

/** A pattern is recognised when everything lies this much closer to it than the tolerance, mm. */
const SLACK_MM = 2
/** Wrong by less than this an angle is within what a protractor tells, °. */
const ANGLE_DEG = 2.5
/** Less than this is not spoken of, mm. */
const FELT_MM = 0.5

/** One cause behind several deviations of a measured run, where there is one. */
export const patternsOf = (
  run: ContainmentRun,
  former: Former,
  marks: readonly MeasuredMark[],
  toleranceMm: number,
): Pattern[] => [
  ...lengthPattern(run, former, lengthsOff(run, marks), toleranceMm),
  ...mirrored(marks),
  ...offsetAngles(run, marks),
]

const offOf = (marks: readonly MeasuredMark[], key: string): number | undefined => {
  const entry = marks.find(({ dimension }) => dimension.key === key)?.entry
  return entry?.is === 'off' ? entry.offMm : undefined
}

/** How far the length of a straight is off, mm. */
interface LengthOff {
  readonly i: number
  readonly off: number
}

const lengthsOff = (run: ContainmentRun, marks: readonly MeasuredMark[]): LengthOff[] =>
  run.straights.flatMap((_, i) => {
    const off = offOf(marks, `s${i + 1}`)
    return off === undefined ? [] : [{ i, off }]
  })

/** A cause that could explain lengths, and what it would leave each straight off by. */
interface LengthCause {
  readonly is: Extract<Pattern, { mm: number }>['is']
  readonly mm: number
  readonly offAt: (i: number) => number
}

/** One reason for several lengths, the one that leaves least; none where most are right. */
function lengthPattern(
  run: ContainmentRun,
  former: Former,
  known: readonly LengthOff[],
  toleranceMm: number,
): Pattern[] {
  const wrong = known.filter(({ off }) => Math.abs(off) > toleranceMm)
  if (known.length < 2 || wrong.length < Math.min(2, known.length - 1)) return []
  const fitting = lengthCauses(run, former, known)
    .flatMap((cause) => {
      const worst = Math.max(...known.map(({ i, off }) => Math.abs(off - cause.offAt(i))))
      const isFelt = known.some(({ i }) => Math.abs(cause.offAt(i)) > toleranceMm)
      return isFelt && worst <= toleranceMm + SLACK_MM ? [{ cause, worst }] : []
    })
    .sort((a, b) => a.worst - b.worst)
  // What the former explains comes before what any figure would.
  const best = (fitting.find(({ cause }) => cause.is.startsWith('gain')) ?? fitting[0])?.cause
  if (!best) return []
  const straights = known.filter(({ i }) => Math.abs(best.offAt(i)) > FELT_MM).map(({ i }) => i)
  return [{ is: best.is, mm: best.mm, straights }]
}

function lengthCauses(run: ContainmentRun, former: Former, known: readonly LengthOff[]): LengthCause[] {
  const corners = cornersOf(run)
  /** Of the bend that leads into a straight, if it is formed in the tube. */
  const gainInto = (i: number) => {
    const corner = corners.find(({ straight, joint }) => straight === i - 1 && joint === 'bend')
    return corner ? gainMm(former, corner.angleDeg) : 0
  }
  const gain = Math.max(...known.map(({ i }) => gainInto(i)))
  const mean = known.reduce((sum, { off }) => sum + off, 0) / known.length
  const step =
    known.reduce((sum, { i, off }) => sum + off * (i + 1), 0) /
    known.reduce((sum, { i }) => sum + (i + 1) ** 2, 0)
  const half = run.sizeMm / 2
  const outsides = (i: number) => (i > 0 && i < run.straights.length - 1 ? 2 : 1)
  return [
    { is: 'gainForgotten', mm: gain, offAt: gainInto },
    { is: 'gainTwice', mm: gain, offAt: (i) => -gainInto(i) },
    { is: 'fromOutside', mm: half, offAt: (i) => (Math.sign(mean) || 1) * half * outsides(i) },
    { is: 'constant', mm: mean, offAt: () => mean },
    { is: 'cumulative', mm: step, offAt: (i) => step * (i + 1) },
  ]
}

/** Every bend that was looked at goes the other way. */
function mirrored(marks: readonly MeasuredMark[]): Pattern[] {
  const ways = marks.filter(
    ({ dimension, entry }) => dimension.kind === 'way' && (entry.is === 'tick' || entry.is === 'cross'),
  )
  return ways.length > 0 && ways.every(({ entry }) => entry.is === 'cross')
    ? [{ is: 'mirrored', straights: ways.map(({ dimension }) => dimension.straight) }]
    : []
}

/** Height and travel together tell the angle that was bent. */
function offsetAngles(run: ContainmentRun, marks: readonly MeasuredMark[]): Pattern[] {
  return run.straights.flatMap(({ detour }, i): Pattern[] => {
    const [height, travel] = [offOf(marks, `h${i + 1}`), offOf(marks, `t${i + 1}`)]
    if (!detour || height === undefined || travel === undefined) return []
    const nominal = detour.angleDeg
    const degrees =
      (Math.atan2(detour.heightMm + height, detour.heightMm / Math.tan((nominal * Math.PI) / 180) + travel) *
        180) /
      Math.PI
    return Math.abs(degrees - nominal) > ANGLE_DEG
      ? [{ is: 'offsetAngle', degrees, nominal, straights: [i] }]
      : []
  })
}
