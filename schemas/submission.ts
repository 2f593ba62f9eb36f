import { Type } from '@sinclair/typebox'
import { STEP_KEYS } from '#core/design/model/step-keys'

/**
 * What an apprentice wrote, as a file: answers as typed, by `c2.zs`; a sheet of one circuit may leave out
 * `c1.`.
 */
export const SubmissionSchema = Type.Object(
  {
    format: Type.Literal('nakshi.submission'),
    version: Type.Literal(1),
    answers: Type.Record(
      Type.String({ pattern: `^([a-z][a-z0-9]{0,9}\\.)?(${STEP_KEYS.join('|')})$` }),
      Type.String({ maxLength: 60 }),
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false, title: 'Nakshi submission, version 1' },
)
