import type { Box, ExerciseForm } from './fields'
import type { FormProblem } from './problem'
import { readBox } from './read-box'

export type Problems = Record<string, FormProblem>

/** Reads the boxes of one row; each that cannot be read is noted. */
export function readRow<F extends string>(
  prefix: string,
  boxes: Readonly<Record<F, Box>>,
  form: ExerciseForm,
  problems: Problems,
): Record<F, string | number | null> {
  return Object.fromEntries(
    (Object.entries(boxes) as [F, Box][]).map(([field, box]) => {
      const read = readBox(box, form[prefix + field])
      if (read.problem !== undefined) problems[prefix + field] = read.problem
      return [field, read.value ?? null]
    }),
  ) as Record<F, string | number | null>
}
