/* Fault finding between server and screens. */
import { Type, type Static } from '@sinclair/typebox'
import type { FaultFindingVerdict } from '#core/testing/fault-finding/judge'
import type { PlantPreview } from '#core/testing/fault-finding/preview'
import type { AimCode } from '#core/testing/fault-finding/aims'
import type { Rig } from '#core/bay/model/rig'

const strict = { additionalProperties: false }
const Code = Type.String({ pattern: '^[A-Za-z0-9]{1,40}$' })
const FaultSchema = Type.Object({ code: Code, place: Type.String({ minLength: 1, maxLength: 80 }) }, strict)

export const FaultFindingStartRequest = Type.Object({ bay: Code, aim: Code }, strict)
export const PlantPreviewRequest = Type.Object(
  { bay: Code, faults: Type.Array(FaultSchema, { minItems: 1, maxItems: 3 }) },
  strict,
)
export const PlantRequest = Type.Object(
  {
    bay: Code,
    faults: Type.Array(FaultSchema, { minItems: 1, maxItems: 3 }),
    people: Type.Array(Type.Integer({ minimum: 1 }), { minItems: 1, maxItems: 60, uniqueItems: true }),
    place: Type.Unsafe<'virtual' | 'bay'>({ enum: ['virtual', 'bay'] }),
    bayNumber: Type.Union([Type.Integer({ minimum: 1, maximum: 99 }), Type.Null()]),
  },
  strict,
)
export const FaultFindingStepRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    step: Type.Union([
      Type.Object(
        {
          do: Type.Unsafe<'look' | 'isolate' | 'restore' | 'repair'>({
            enum: ['look', 'isolate', 'restore', 'repair'],
          }),
        },
        strict,
      ),
      Type.Object(
        {
          do: Type.Literal('test'),
          test: Type.String({ maxLength: 60 }),
          read: Type.String({ maxLength: 60 }),
        },
        strict,
      ),
      Type.Object(
        { do: Type.Literal('think'), text: Type.String({ minLength: 1, maxLength: 400, pattern: '\\S' }) },
        strict,
      ),
      Type.Object(
        { do: Type.Literal('conclude'), code: Code, place: Type.String({ minLength: 1, maxLength: 80 }) },
        strict,
      ),
    ]),
  },
  strict,
)

export type PlantBody = Static<typeof PlantRequest>
export type PlantPreviewBody = Static<typeof PlantPreviewRequest>
export type FaultFindingStepBody = Static<typeof FaultFindingStepRequest>

export interface FaultFindingListItem {
  readonly id: number
  readonly title: string
  readonly name: string
  readonly setBy: string | null
  readonly place: 'virtual' | 'bay'
  readonly bay: number | null
  readonly isDone: boolean
  readonly met: boolean | null
  readonly madeAt: string
}

export interface FaultFindingHome {
  readonly aims: readonly { readonly code: string; readonly name: string }[]
  readonly bays: readonly {
    readonly code: string
    readonly title: string
    /** What can be looked for there. */
    readonly aims: readonly string[]
  }[]
  readonly own: readonly FaultFindingListItem[]
  /** For the staff: what was set, newest first. */
  readonly set: readonly FaultFindingListItem[]
}

/** A kind of fault and where this bay could have it. */
export interface FaultChoice {
  readonly code: string
  readonly name: string
  readonly places: readonly { readonly key: string; readonly words: string }[]
}

/** What somebody who looks for a fault may see; the fault itself only when it is over. */
export interface FaultFindingView extends Omit<FaultFindingListItem, 'met' | 'madeAt'> {
  readonly version: number
  readonly symptoms: readonly string[]
  readonly isIsolated: boolean
  readonly isRepaired: boolean
  readonly tests: readonly {
    readonly key: string
    readonly name: string
    readonly where: string
    readonly circuit: string
    readonly isDead: boolean
  }[]
  readonly log: readonly { readonly words: string; readonly seconds: number; readonly mark: string | null }[]
  readonly choices: readonly FaultChoice[]
  readonly verdict: FaultFindingVerdict | null
  readonly secret: string | null
}

/** A fault that can be planted. */
export interface PlantFault {
  readonly code: string
  readonly place: string
  readonly name: string
  readonly where: string
  /** Parts, terminals, conductors and runs of the rig. */
  readonly at: readonly string[]
  readonly aim: AimCode
}

export interface PlantBay {
  readonly code: string
  readonly title: string
  readonly rig: Rig
  readonly aims: readonly { readonly code: AimCode; readonly name: string }[]
  readonly faults: readonly PlantFault[]
}

export interface PlantPreviewView extends Omit<PlantPreview, 'readings' | 'symptoms'> {
  readonly symptoms: readonly string[]
  readonly readings: readonly { readonly name: string; readonly sound: string; readonly faulty: string }[]
}
