/* Writes the schemas of the exchange files to docs/formats, for everybody who exchanges files with Nakshi. */
import { writeFileSync } from 'node:fs'
import { BookFileSchema } from '#schemas/book-requests'
import { ExerciseSchema } from '#schemas/exercise'
import { FrameworkSchema } from '#schemas/framework'
import { IsolationSequenceSchema } from '#schemas/isolation-sequence'
import { QuestionBankSchema } from '#schemas/questions'
import { ReadingsSchema } from '#schemas/readings'
import { RigSchema } from '#schemas/rig'
import { SiteSchema } from '#schemas/site'
import { SubmissionSchema } from '#schemas/submission'
import { published } from '#schemas/published'

for (const [name, schema] of [
  ['book', BookFileSchema],
  ['exercise', ExerciseSchema],
  ['framework', FrameworkSchema],
  ['isolation', IsolationSequenceSchema],
  ['questions', QuestionBankSchema],
  ['readings', ReadingsSchema],
  ['rig', RigSchema],
  ['site', SiteSchema],
  ['submission', SubmissionSchema],
] as const) {
  writeFileSync(
    `docs/formats/${name}.schema.json`,
    published(`nakshi.${name}.v${schema.properties.version.const}`, schema),
  )
}
