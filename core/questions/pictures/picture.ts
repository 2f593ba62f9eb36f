import type { Shapes } from '../../drawing/shape'

/** A drawing to point at as it looks: what stands behind, and each part at its spot. */
export interface Picture {
  readonly ground: Shapes
  readonly parts: Readonly<Record<string, Shapes>>
  /** What lies before them, such as conductors in a box. */
  readonly over?: Shapes
}

/** A whole picture, its parts in the order of their spots. */
export const wholePicture = ({ ground, parts, over = [] }: Picture, order: readonly string[]): Shapes => [
  ...ground,
  ...order.flatMap((id) => parts[id] ?? []),
  ...over,
]
