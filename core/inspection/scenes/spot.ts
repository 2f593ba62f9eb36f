import type { SpotKind } from '../looks'

/** Drawn here: left, top, width, height. */
export type Box = readonly [x: number, y: number, w: number, h: number]

/** What can be looked at in a scene, before it is known how it looks. */
export interface Bare {
  readonly id: string
  readonly kind: SpotKind
  /** Which of its kind: a device by its name, a side, a number; null where there is one alone. */
  readonly of: string | null
  /** Drawn within, in units of the scene. */
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  /** Figures and words that its drawing needs. */
  readonly detail: Readonly<Record<string, string | number>>
  /** What its drawing covers, where that is more than the place that is tapped. */
  readonly reach?: Box
  /** Looks that cannot be here, such as another section's bar where there is one bar. */
  readonly never: readonly string[]
}
export interface Spot extends Bare {
  readonly look: string
}

export const spot = (
  id: string,
  kind: SpotKind,
  of: string | null,
  [x, y, w, h]: Box,
  detail: Bare['detail'] = {},
): Bare => ({ id, kind, of, x, y, w, h, detail, never: [] })

export const SCENE_W = 1200
export const SCENE_H = 760
