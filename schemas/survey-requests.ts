import { Type, type Static } from '@sinclair/typebox'

const strict = { additionalProperties: false }
const Text = (maxLength: number) => Type.String({ maxLength })

/** A survey of a site that is there, or of a real place without one. */
export const SurveyStartRequest = Type.Object({ site: Type.Union([Text(40), Type.Null()]) }, strict)
export type SurveyStartBody = Static<typeof SurveyStartRequest>

export const SurveySetRequest = Type.Object(
  { site: Text(40), cohort: Type.String({ minLength: 1, maxLength: 60 }) },
  strict,
)
export type SurveySetBody = Static<typeof SurveySetRequest>

/** A survey's boxes; see `SurveyFields` for their names. */
export const SurveyRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    fields: Type.Record(
      Type.String({
        pattern:
          '^(title|(item|source)\\.[a-z]+\\.[A-Za-z]+|plan\\.(known|board|image)|(wall|room|door|fixture|point|route)\\.[A-Za-z0-9-]{1,40}|report\\.[A-Za-z.]{1,40})$',
      }),
      Text(8000),
      { maxProperties: 600 },
    ),
  },
  strict,
)
export type SurveyBody = Static<typeof SurveyRequest>

export const SurveyActRequest = Type.Object({ act: Text(40) }, strict)
export const SurveyHandInRequest = Type.Object({ version: Type.Integer({ minimum: 1 }) }, strict)

export const SurveyDecisionRequest = Type.Object(
  {
    handInId: Type.Integer({ minimum: 1 }),
    met: Type.Boolean(),
    feedback: Text(4000),
    criteria: Type.Array(Text(20), { maxItems: 60, uniqueItems: true }),
  },
  strict,
)
export type SurveyDecisionBody = Static<typeof SurveyDecisionRequest>

export const SurveyExerciseRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    code: Type.String({ pattern: '^[A-Za-z0-9][A-Za-z0-9.-]{0,19}$' }),
    criterion: Type.String({ minLength: 1, maxLength: 20 }),
  },
  strict,
)
export type SurveyExerciseBody = Static<typeof SurveyExerciseRequest>

export const SiteFileRequest = Type.Object({ json: Type.String({ maxLength: 1_000_000 }) }, strict)

/** Boxes of an exercise that are taken from its survey as it stands now. */
export const SurveyTakeRequest = Type.Object(
  {
    version: Type.Integer({ minimum: 1 }),
    boxes: Type.Array(Text(60), { minItems: 1, maxItems: 400, uniqueItems: true }),
  },
  strict,
)
export type SurveyTakeBody = Static<typeof SurveyTakeRequest>
