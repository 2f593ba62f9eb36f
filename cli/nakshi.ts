/* nakshi: the core at the command line. JSON in, JSON out; `nakshi help` lists the commands. */
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Exercise } from '#core/exercise/exercise'
import { referenceDesign } from '#core/design/reference'
import { expectedReadings } from '#core/results/expected'
import { constraintSentence } from '#core/texts/constraints'
import { makeVariants } from '#core/variants/variants'
import { markDesign, type StepMark } from '#core/marking/mark-design'
import type { Answers } from '#core/marking/answer'
import { findingSentence } from '#core/texts/findings'
import { ExerciseSchema } from '#schemas/exercise'
import { validate } from '#schemas/validate'

const HELP = `nakshi design EXERCISE.json            the reference design with derivation and expected readings
nakshi variants EXERCISE.json COUNT    variants of like difficulty, from the exercise's seed
nakshi mark EXERCISE.json ANSWERS.json follow-through marks for answers as typed, by step`

/** A failure that the person at the terminal can put right. */
class UseError extends Error {}

function readJson(file: string | undefined): unknown {
  if (!file) throw new UseError(`A file is missing.\n${HELP}`)
  try {
    return JSON.parse(readFileSync(file, 'utf8').replace(/^\uFEFF/, ''))
  } catch (error) {
    throw new UseError(`${file} cannot be read as JSON: ${(error as Error).message}`)
  }
}

function readExercise(file: string | undefined): Exercise {
  const checked = validate(ExerciseSchema, readJson(file))
  if (!checked.ok) throw new UseError(`${file} is not an exercise:\n${checked.problems.map(({ field, message }) => `  ${field || 'the file'} ${message}`).join('\n')}`)
  return checked.value
}

function design(file?: string) {
  const { task } = readExercise(file)
  const worked = referenceDesign(task)
  if (!worked.ok) throw new UseError(constraintSentence(worked.constraint))
  return { steps: worked.steps, governs: worked.governs, readings: expectedReadings(task, worked) }
}

function variants(file?: string, count = '12') {
  const made = makeVariants(readExercise(file), Number(count))
  if (!made.ok) throw new UseError(`Only ${made.found} of ${made.wanted} variants were found (${made.reason}).`)
  return made.variants
}

function mark(file?: string, answersFile?: string): (StepMark & { sentences: string[] })[] {
  const { task } = readExercise(file)
  const worked = referenceDesign(task)
  if (!worked.ok) throw new UseError(constraintSentence(worked.constraint))
  return markDesign(task, readJson(answersFile) as Answers).map((step) => ({ ...step, sentences: step.findings.map(findingSentence) }))
}

const COMMANDS: Readonly<Record<string, (...args: string[]) => unknown>> = { design, variants, mark }

/** Runs one command; the text for the terminal and the exit code. */
export function nakshi([command = 'help', ...args]: readonly string[]): { readonly text: string; readonly code: number } {
  const run = COMMANDS[command]
  if (!run) return { text: HELP, code: command === 'help' ? 0 : 2 }
  try {
    return { text: JSON.stringify(run(...args), null, 2), code: 0 }
  } catch (error) {
    if (error instanceof UseError) return { text: error.message, code: 1 }
    throw error
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { text, code } = nakshi(process.argv.slice(2))
  process.stdout.write(`${text}\n`)
  process.exitCode = code
}
