/* Containment runs, inspections and the inspection trainer between server and screens. */
import { Type, type Static } from '@sinclair/typebox'
import { GRADES, type Grade, type InspectionItem } from '#core/inspection/items'
import type { Shapes } from '#core/drawing/shape'
import { SCENES, type SceneCode } from '#core/inspection/scenes/code'
import { type Question, type RoundScore } from '#core/inspection/scene'
import type { Spot } from '#core/inspection/scenes/spot'
import type { Criterion } from '#core/assessment/outcomes/framework'
import type { RunFields } from '#core/containment/form'

const strict = { additionalProperties: false }
const Fields = (pattern: string, most = 600) =>
  Type.Record(Type.String({ pattern }), Type.String({ maxLength: 2000 }), { ...strict, maxProperties: most })

export const RunFieldsRequest = Type.Object(
  { version: Type.Integer({ minimum: 1 }), fields: Fields('^[a-z][a-zA-Z0-9.]{0,40}$') },
  strict,
)
export const RunCreateRequest = Type.Object({ fields: Fields('^[a-z][a-zA-Z0-9.]{0,40}$') }, strict)
export const MeasureStartRequest = Type.Object({ personId: Type.Integer({ minimum: 1 }) }, strict)
export const MeasureCloseRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    parts: Type.Object(
      { setOut: Type.Optional(Type.Boolean()), level: Type.Optional(Type.Boolean()) },
      strict,
    ),
    reason: Type.String({ maxLength: 600 }),
  },
  strict,
)
export const InspectionRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    fields: Fields('^(see|remark|torque|marked|photo|spots|used|minutes)\\.[A-Za-z0-9 .-]{1,60}$', 2000),
  },
  strict,
)
export const PhotoRequest = Type.Object(
  { jpegBase64: Type.String({ minLength: 100, maxLength: 1_200_000, pattern: '^[A-Za-z0-9+/=]+$' }) },
  strict,
)
export const RoundStartRequest = Type.Object({ scene: Type.Unsafe<SceneCode>({ enum: [...SCENES] }) }, strict)
export const RoundEndRequest = Type.Object(
  {
    spots: Type.Array(
      Type.Object(
        {
          spot: Type.String({ maxLength: 40 }),
          grade: Type.Unsafe<Grade>({ enum: [...GRADES] }),
          remark: Type.String({ maxLength: 300 }),
        },
        strict,
      ),
      { maxItems: 60 },
    ),
    answers: Type.Record(Type.String({ maxLength: 20 }), Type.String({ maxLength: 80 }), {
      maxProperties: 10,
    }),
  },
  strict,
)

export type RunFieldsBody = Static<typeof RunFieldsRequest>
export type MeasureCloseBody = Static<typeof MeasureCloseRequest>
export type InspectionBody = Static<typeof InspectionRequest>
export type RoundEndBody = Static<typeof RoundEndRequest>

export interface RunListItem {
  readonly id: number
  readonly name: string
  readonly maker: string
  readonly isMine: boolean
  readonly savedAt: string
  readonly straights: number
  readonly measured: number
}

/** What the stores lay out for a run. */
export interface StoresRun {
  readonly id: number
  readonly name: string
  readonly bays: number
  readonly what: string
  readonly tubes: number
  readonly stockMm: number
  readonly leftPercent: number
  readonly bill: readonly { readonly name: string; readonly count: number }[]
}

export interface RunView {
  readonly id: number
  readonly maker: string
  readonly mayChange: boolean
  readonly mayMeasure: boolean
  readonly fields: RunFields
  readonly version: number
  readonly savedAt: string
  readonly measurements: readonly {
    readonly id: number
    readonly person: string
    readonly assessor: string
    readonly isClosed: boolean
    readonly savedAt: string | null
  }[]
}

export interface MeasurementView {
  readonly id: number
  readonly runId: number
  readonly person: string
  readonly assessor: string
  readonly runFields: RunFields
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
  readonly closedAt: string | null
  readonly mayChange: boolean
  /** Criteria of the framework that a measured run can show. */
  readonly criteria: readonly Criterion[]
  readonly decision: RunDecision | null
}

export interface RunDecision {
  readonly by: string
  readonly at: string
  readonly parts: MeasureCloseBody['parts']
  readonly reason: string
}

/** What was planned for an attempt: lengths and devices from its design. */
export interface PlannedUse {
  readonly key: string
  readonly name: string
  readonly planned: number
  readonly unit: string
}

export interface InspectionView {
  readonly attempt: {
    readonly id: number
    readonly name: string
    readonly bay: number
    readonly code: string
    readonly title: string
    readonly minutes: number
  }
  readonly items: readonly InspectionItem[]
  readonly planned: readonly PlannedUse[]
  readonly savedBy: { readonly name: string; readonly isAssessor: boolean } | null
  readonly mayChange: boolean
  readonly fields: Readonly<Record<string, string>>
  readonly version: number
  readonly savedAt: string | null
}

/** A spot as it is drawn, with what it is; never with what is wrong with it. */
export interface SpotView extends Pick<Spot, 'id' | 'x' | 'y' | 'w' | 'h'> {
  readonly name: string
  readonly shapes: Shapes
}

export interface RoundView {
  readonly id: number
  readonly scene: SceneCode
  /** What stands behind everything. */
  readonly ground: Shapes
  readonly spots: readonly SpotView[]
  readonly questions: readonly Omit<Question, 'answer'>[]
  /** Once it is over: what was planted, and how it went. */
  readonly over: {
    readonly score: RoundScore
    readonly defects: readonly {
      readonly spot: string
      readonly name: string
      readonly words: string
      readonly grade: Grade
    }[]
    readonly answers: readonly {
      readonly ask: Question['ask']
      readonly answer: string
      readonly given: string
    }[]
    readonly marked: RoundEndBody['spots']
  } | null
}

export interface RoundListItem {
  readonly id: number
  readonly scene: SceneCode
  readonly percent: number | null
  readonly startedAt: string
}
