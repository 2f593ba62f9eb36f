/* Writes the schemas of the exchange files to docs/formats, for everybody who exchanges files with Nakshi. */
import { writeFileSync } from 'node:fs'
import { ExerciseSchema } from '#schemas/exercise'
import { FrameworkSchema } from '#schemas/framework'
import { published } from '#schemas/published'

for (const [name, schema] of [['exercise', ExerciseSchema], ['framework', FrameworkSchema]] as const) {
  writeFileSync(`docs/formats/${name}.schema.json`, published(`nakshi.${name}.v1`, schema))
}
