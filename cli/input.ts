import { readFileSync } from 'node:fs'
import type { Static, TSchema } from '@sinclair/typebox'
import type { Exercise } from '#core/exercise/exercise'
import { upgradeExercise } from '#core/exercise/upgrade'
import { structureProblems } from '#core/installation/check'
import { rigProblems } from '#core/bay/model/check'
import { applyFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { rigSentence } from '#words/rig-problems'
import { structureSentence } from '#words/structure'
import { ExerciseSchema } from '#schemas/exercise'
import { RigSchema } from '#schemas/rig'
import { validate } from '#schemas/validate'

export const EXIT = { done: 0, input: 1, use: 2, engineering: 3 } as const

/** A failure that the person at the terminal can put right. */
export class UseError extends Error {
  constructor(
    message: string,
    readonly code: number = EXIT.input,
  ) {
    super(message)
  }
}

export interface Output {
  readonly json: unknown
  readonly explained?: string
  readonly code: number
}

export function readJson(file: string | undefined): unknown {
  if (!file) throw new UseError('A file is missing; see nakshi help.', EXIT.use)
  try {
    return JSON.parse(readFileSync(file, 'utf8').replace(/^\uFEFF/, ''))
  } catch (error) {
    throw new UseError(`${file} cannot be read as JSON: ${(error as Error).message}`)
  }
}

/** A value that fits its schema, or every reason why it does not. */
export function checked<S extends TSchema>(
  file: string | undefined,
  what: string,
  schema: S,
  value: unknown,
): Static<S> {
  const result = validate(schema, value)
  if (!result.ok)
    throw new UseError(
      `${file} is not ${what}:\n${result.problems.map(({ field, message }) => `  ${field || 'the file'} ${message}`).join('\n')}`,
    )
  return result.value
}

export function readExercise(file: string | undefined): Exercise {
  const exercise = checked(file, 'an exercise', ExerciseSchema, upgradeExercise(readJson(file))) as Exercise
  const structure = structureProblems(exercise.installation)
  if (structure.length > 0)
    throw new UseError(
      `${file} does not fit together:\n${structure.map((problem) => `  ${problem.scope}.${problem.field} ${structureSentence(problem)}`).join('\n')}`,
    )
  return exercise
}

/** A checked rig, with the faults of the command line (`code:place`) planted. */
export function readRig(file: string | undefined, faults: readonly string[] = []): Rig {
  const rig = checked(file, 'a rig', RigSchema, readJson(file)) as Rig
  const problems = rigProblems(rig, { isWired: true })
  if (problems.length > 0)
    throw new UseError(
      `${file} is not a bay:\n${problems.map((problem) => `  ${rigSentence(problem)}`).join('\n')}`,
    )
  const faulted = applyFaults(
    rig,
    faults.map((text) => ({
      code: text.slice(0, text.indexOf(':')),
      place: text.slice(text.indexOf(':') + 1),
    })),
  )
  if (!faulted.ok)
    throw new UseError(
      `The fault ${faulted.code} has no such place in ${file}; nakshi faults lists them.`,
      EXIT.use,
    )
  return faulted.rig
}
