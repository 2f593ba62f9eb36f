import { gainMm } from './bending'
import { cornersOf } from './geometry'
import type { ContainmentRun, Former } from './containment-run'

/** One dimension that is measured at the bay. */
export interface Dimension {
  /** `s1` a straight, `h1` and `t1` height and travel of its detour, `w1` which way it goes, `b1` its bubble. */
  readonly key: string
  readonly kind: 'length' | 'height' | 'travel' | 'way' | 'bubble'
  readonly straight: number
  /** mm; 0 for what is only seen. */
  readonly nominalMm: number
  readonly isVertical: boolean
}

/** What the drawing asks to be measured: every straight corner to corner, its bubble, which way each bend goes, height and travel of every detour. */
export function dimensionsOf(run: ContainmentRun): Dimension[] {
  return run.straights.flatMap(({ to, lengthMm, detour }, i): Dimension[] => {
    const isVertical = to === 'up' || to === 'down'
    const one = (key: string, kind: Dimension['kind'], nominalMm = 0): Dimension => ({
      key: `${key}${i + 1}`,
      kind,
      straight: i,
      nominalMm,
      isVertical,
    })
    return [
      one('s', 'length', lengthMm),
      one('b', 'bubble'),
      ...(i > 0 ? [one('w', 'way')] : []),
      ...(detour
        ? [
            one('h', 'height', detour.heightMm),
            one('t', 'travel', detour.heightMm / Math.tan((detour.angleDeg * Math.PI) / 180)),
          ]
        : []),
    ]
  })
}

export type Entry =
  | { readonly is: 'off'; readonly offMm: number }
  | { readonly is: 'tick' | 'cross' }
  | { readonly is: 'empty' | 'unreadable' }

/** Reads what was tapped or typed: `+3` and `−2` are off by so much, `1203` is what the tape says, ticks as they are. */
export function readEntry(text: string, { kind, nominalMm }: Pick<Dimension, 'kind' | 'nominalMm'>): Entry {
  const trimmed = text
    .trim()
    .replace(/\s*mm$/i, '')
    .replace(',', '.')
    .replace('−', '-')
  if (trimmed === '') return { is: 'empty' }
  if (kind === 'way' || kind === 'bubble')
    return trimmed === '✓' ? { is: 'tick' } : trimmed === '✗' ? { is: 'cross' } : { is: 'unreadable' }
  const value = Number(trimmed)
  if (!Number.isFinite(value)) return { is: 'unreadable' }
  if (/^[+-]/.test(trimmed) || trimmed === '0') return { is: 'off', offMm: value }
  return value <= 0 ? { is: 'unreadable' } : { is: 'off', offMm: value - nominalMm }
}

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

export interface MeasuredMark {
  readonly dimension: Dimension
  readonly entry: Entry
  readonly isRight: boolean | null
}

export interface JudgedRun {
  readonly marks: readonly MeasuredMark[]
  readonly patterns: readonly Pattern[]
  readonly mark: number
  readonly outOf: number
}

/** Usual tolerance on a dimension, mm; common practice, no source. An exercise may choose another one. */
export const TOLERANCE_MM = 2
/** A pattern is recognised when everything lies this much closer to it than that, mm. */
const SLACK_MM = 2
/** Wrong by less than this an angle is within what a protractor tells, °. */
const ANGLE_DEG = 2.5

/** Holds what was measured against the drawing, and looks for one cause behind several deviations. */
export function judgeRun(
  run: ContainmentRun,
  former: Former,
  entries: Readonly<Record<string, string>>,
  toleranceMm = TOLERANCE_MM,
): JudgedRun {
  const marks = dimensionsOf(run).map((dimension): MeasuredMark => {
    const entry = readEntry(entries[dimension.key] ?? '', dimension)
    return {
      dimension,
      entry,
      isRight:
        entry.is === 'off'
          ? Math.abs(entry.offMm) <= toleranceMm + 1e-9
          : entry.is === 'tick'
            ? true
            : entry.is === 'cross'
              ? false
              : null,
    }
  })
  return {
    marks,
    patterns: [
      ...lengthPattern(run, former, marks, toleranceMm),
      ...mirrored(marks),
      ...offsetAngles(run, marks),
    ],
    mark: marks.filter(({ isRight }) => isRight).length,
    outOf: marks.length,
  }
}

const offOf = (marks: readonly MeasuredMark[], key: string): number | undefined => {
  const entry = marks.find(({ dimension }) => dimension.key === key)?.entry
  return entry?.is === 'off' ? entry.offMm : undefined
}

/** One reason for several lengths, the one that leaves least; none where most are right. */
function lengthPattern(
  run: ContainmentRun,
  former: Former,
  marks: readonly MeasuredMark[],
  toleranceMm: number,
): Pattern[] {
  const known = run.straights.flatMap((_, i) => {
    const off = offOf(marks, `s${i + 1}`)
    return off === undefined ? [] : [{ i, off }]
  })
  if (
    known.length < 2 ||
    (known.filter(({ off }) => Math.abs(off) > toleranceMm).length < 2 &&
      !(known.length === 2 && known.some(({ off }) => Math.abs(off) > toleranceMm)))
  )
    return []
  const corners = cornersOf(run)
  /** The bend that leads into a straight, if it is formed in the tube. */
  const gainInto = (i: number) => {
    const corner = corners.find(({ straight, joint }) => straight === i - 1 && joint === 'bend')
    return corner ? gainMm(former, corner.angleDeg) : 0
  }
  const mean = known.reduce((sum, { off }) => sum + off, 0) / known.length
  const step =
    known.reduce((sum, { i, off }) => sum + off * (i + 1), 0) /
    known.reduce((sum, { i }) => sum + (i + 1) ** 2, 0)
  const candidates: {
    is: Extract<Pattern, { mm: number }>['is']
    mm: number
    told: (i: number) => number
  }[] = [
    { is: 'gainForgotten', mm: Math.max(...known.map(({ i }) => gainInto(i))), told: gainInto },
    { is: 'gainTwice', mm: Math.max(...known.map(({ i }) => gainInto(i))), told: (i) => -gainInto(i) },
    {
      is: 'fromOutside',
      mm: run.sizeMm / 2,
      told: (i) =>
        (Math.sign(mean) || 1) * (run.sizeMm / 2) * (i > 0 && i < run.straights.length - 1 ? 2 : 1),
    },
    { is: 'constant', mm: mean, told: () => mean },
    { is: 'cumulative', mm: step, told: (i) => step * (i + 1) },
  ]
  const fitting = candidates
    .flatMap((one) => {
      const worst = Math.max(...known.map(({ i, off }) => Math.abs(off - one.told(i))))
      const isFelt = known.some(({ i }) => Math.abs(one.told(i)) > toleranceMm)
      return isFelt && worst <= toleranceMm + SLACK_MM ? [{ one, worst }] : []
    })
    .sort((a, b) => a.worst - b.worst)
  // What the former explains comes before what any figure would.
  const best = fitting.find(({ one }) => one.is.startsWith('gain')) ?? fitting[0]
  return best
    ? [
        {
          is: best.one.is,
          mm: best.one.mm,
          straights: known.filter(({ i }) => Math.abs(best.one.told(i)) > 0.5).map(({ i }) => i),
        },
      ]
    : []
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
