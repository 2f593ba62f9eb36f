import type { ContainmentRun } from './containment-run'

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

/**
 * What the drawing asks to be measured: every straight corner to corner, its bubble, which way each bend
 * goes, height and travel of every detour.
 */
export function dimensionsOf(run: ContainmentRun): Dimension[] {
  return run.straights.flatMap(({ to, lengthMm, detour }, i): Dimension[] => {
    const isVertical = to === 'up' || to === 'down'
    const dimension = (key: string, kind: Dimension['kind'], nominalMm = 0): Dimension => ({
      key: `${key}${i + 1}`,
      kind,
      straight: i,
      nominalMm,
      isVertical,
    })
    return [
      dimension('s', 'length', lengthMm),
      dimension('b', 'bubble'),
      ...(i > 0 ? [dimension('w', 'way')] : []),
      ...(detour
        ? [
            dimension('h', 'height', detour.heightMm),
            dimension('t', 'travel', detour.heightMm / Math.tan((detour.angleDeg * Math.PI) / 180)),
          ]
        : []),
    ]
  })
}

export type MeasuredEntry =
  | { readonly is: 'off'; readonly offMm: number }
  | { readonly is: 'tick' | 'cross' }
  | { readonly is: 'empty' | 'unreadable' }

const MARKS: Readonly<Record<string, 'tick' | 'cross'>> = { '✓': 'tick', '✗': 'cross' }

/**
 * Reads what was tapped or typed: `+3` and `−2` are off by so much, `1203` is what the tape says, ticks as
 * they are.
 */
export function readEntry(
  text: string,
  { kind, nominalMm }: Pick<Dimension, 'kind' | 'nominalMm'>,
): MeasuredEntry {
  const trimmed = text
    .trim()
    .replace(/\s*mm$/i, '')
    .replace(',', '.')
    .replace('−', '-')
  if (trimmed === '') return { is: 'empty' }
  if (kind === 'way' || kind === 'bubble') return { is: MARKS[trimmed] ?? 'unreadable' }
  const value = Number(trimmed)
  if (!Number.isFinite(value)) return { is: 'unreadable' }
  if (/^[+-]/.test(trimmed) || trimmed === '0') return { is: 'off', offMm: value }
  return value <= 0 ? { is: 'unreadable' } : { is: 'off', offMm: value - nominalMm }
}

export interface MeasuredMark {
  readonly dimension: Dimension
  readonly entry: MeasuredEntry
  readonly isRight: boolean | null
}
