import { Type, type Static } from '@sinclair/typebox'
import type { EmptyBoard, SeatedCircuit, Seating } from '#core/arrangement/board'
import type { LayoutMark } from '#core/arrangement/marked'
import { WISHES, type Weights, type Wish } from '#core/arrangement/wishes'

const strict = { additionalProperties: false }
const Weight = Type.Number({ minimum: 0, maximum: 10 })

/** A board of an exercise that a group is to lay out. */
export const LayoutSetRequest = Type.Object(
  {
    exerciseId: Type.Integer({ minimum: 1 }),
    boardId: Type.String({ minLength: 1, maxLength: 20 }),
    cohort: Type.String({ minLength: 1, maxLength: 120 }),
    reach: Type.Integer({ minimum: 1, maximum: 72 }),
    weights: Type.Unsafe<Weights>(
      Type.Object(Object.fromEntries(WISHES.map((wish: Wish) => [wish, Weight])), strict),
    ),
  },
  strict,
)
export type LayoutSetBody = Static<typeof LayoutSetRequest>

export const LayoutTryRequest = Type.Object(
  {
    seating: Type.Array(Type.Union([Type.Integer({ minimum: 0, maximum: 200 }), Type.Null()]), {
      maxItems: 216,
    }),
    /** How many tries stood on the screen: nobody hands one in twice. */
    tries: Type.Integer({ minimum: 0 }),
  },
  strict,
)
export type LayoutTryBody = Static<typeof LayoutTryRequest>

export interface LayoutHead {
  readonly id: number
  readonly title: string
  readonly cohort: string
  readonly exerciseCode: string
  readonly setAt: string
  /** Of whoever looks. */
  readonly tries: number
  readonly percent: number | null
}

export interface LayoutTry {
  readonly seating: Seating
  readonly percent: number
  readonly at: string
}

export interface LayoutResult {
  readonly name: string
  readonly tries: number
  readonly percent: number
  readonly at: string
}

/** A board to lay out. The best arrangement reaches an apprentice only once it can no longer be copied. */
export interface LayoutView {
  readonly id: number
  readonly title: string
  readonly cohort: string
  readonly circuits: readonly SeatedCircuit[]
  readonly board: EmptyBoard
  readonly weights: Weights
  readonly start: Seating
  readonly tries: readonly LayoutTry[]
  /** Of the last try. */
  readonly mark: LayoutMark | null
  readonly best: Seating | null
  /** The best is shown after so many tries, or from this percentage on. */
  readonly shownAfter: { readonly tries: number; readonly percent: number }
  /** Of the group, for staff; null for an apprentice. */
  readonly results: readonly LayoutResult[] | null
}
