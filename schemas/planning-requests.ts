import { Type, type Static } from '@sinclair/typebox'
import { oneOf } from './one-of'

const strict = { additionalProperties: false }
const Day = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' })
const Line = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: '\\S' })
const Id = Type.Integer({ minimum: 1 })

/** A session for a group; with what somebody is to do, where that is known already. */
export const SessionStartRequest = Type.Object(
  {
    cohort: Line(60),
    tasks: Type.Array(Type.Object({ person: Id, exercise: Id }, strict), { maxItems: 400 }),
  },
  strict,
)
export type SessionStartBody = Static<typeof SessionStartRequest>

/** A session's boxes; see `SessionFields` for their names. */
export const SessionRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    fields: Type.Record(
      Type.String({
        pattern:
          '^(title|day|from|minutes|step|cohort|bays|desks|instruments|pairing|absent|(assessor|reason)\\.\\d{1,6}|(task|place)\\.[A-Za-z0-9-]{1,40})$',
      }),
      Type.String({ maxLength: 2000 }),
      { maxProperties: 1500 },
    ),
  },
  strict,
)
export type SessionBody = Static<typeof SessionRequest>

export const CalendarFileRequest = Type.Object({ ics: Type.String({ maxLength: 2_000_000 }) }, strict)

export const CalendarEntriesRequest = Type.Object(
  {
    entries: Type.Array(
      Type.Object(
        {
          kind: oneOf(['term', 'closed', 'absence'] as const),
          personId: Type.Union([Id, Type.Null()]),
          fromDay: Day,
          toDay: Day,
          title: Line(160),
        },
        strict,
      ),
      { minItems: 1, maxItems: 1000 },
    ),
  },
  strict,
)
export type CalendarEntriesBody = Static<typeof CalendarEntriesRequest>

export const BayCheckRequest = Type.Object(
  {
    bay: Type.Integer({ minimum: 1, maximum: 999 }),
    kind: oneOf(['inspection', 'rcd'] as const),
    doneOn: Day,
    dueOn: Day,
    note: Type.String({ maxLength: 300 }),
  },
  strict,
)
export type BayCheckBody = Static<typeof BayCheckRequest>

const Metres = Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })
export const DrumRequest = Type.Object(
  {
    cable: Type.String({ pattern: '^[a-z0-9-]+ [13] \\d+(\\.\\d+)?$', maxLength: 60 }),
    label: Line(60),
    metres: Metres,
    costPence: Type.Number({ minimum: 0, maximum: 100_000 }),
  },
  strict,
)
export type DrumBody = Static<typeof DrumRequest>

export const DrumMoveRequest = Type.Object(
  {
    kind: oneOf(['issued', 'returned', 'waste', 'counted'] as const),
    /** What went or came, or of a count what is there, m. */
    metres: Type.Number({ minimum: 0, maximum: 100_000 }),
    sessionId: Type.Union([Id, Type.Null()]),
    note: Type.String({ maxLength: 200 }),
  },
  strict,
)
export type DrumMoveBody = Static<typeof DrumMoveRequest>

export const OrderPointRequest = Type.Object(
  { cable: Line(60), metres: Type.Number({ minimum: 0, maximum: 100_000 }) },
  strict,
)
export type OrderPointBody = Static<typeof OrderPointRequest>

export const LessonRequest = Type.Object(
  { cohort: Line(60), day: Day, about: Line(120), title: Line(160) },
  strict,
)
export type LessonBody = Static<typeof LessonRequest>

export const PictureQuery = Type.Object({ cohort: Line(60), since: Day }, strict)

/** A short task that provokes a slip, for a group, with the lesson that it begins. */
export const StarterRequest = Type.Object(
  {
    cohort: Line(60),
    slip: Line(60),
    code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9.-]{0,19}$' }),
    day: Day,
    title: Line(160),
  },
  strict,
)
export type StarterBody = Static<typeof StarterRequest>
