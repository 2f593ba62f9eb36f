/* nakshi: the core at the command line. JSON in, JSON or an explanation out; `nakshi help` lists the commands. */
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { upgradeAnswers, upgradeExercise } from '#core/exercise/upgrade'
import { structureProblems } from '#core/installation/check'
import type { Answers } from '#core/marking/answer'
import { markDesign } from '#core/marking/mark-design'
import { expectedReadings } from '#core/results/expected'
import { constraintSentence } from '#core/texts/constraints'
import { findingSentence } from '#core/texts/findings'
import { structureSentence } from '#core/texts/structure'
import { makeVariants } from '#core/variants/variants'
import { ExerciseSchema } from '#schemas/exercise'
import { SubmissionSchema } from '#schemas/submission'
import { validate } from '#schemas/validate'
import { explainDesign, explainMarks } from './explain'

const HELP = `nakshi design EXERCISE.json [--explain]                  reference design of every circuit and board, expected readings
nakshi variants EXERCISE.json COUNT                      variants of like difficulty, from the exercise's seed
nakshi mark EXERCISE.json SUBMISSION.json [--explain]    follow-through marks of a submission

--explain writes the derivation for people instead of JSON.
Exit codes: 0 done · 1 a file cannot be read or taken · 2 wrong use · 3 no solution, or a critical error in what is marked`

export const EXIT = { done: 0, input: 1, use: 2, engineering: 3 } as const

/** A failure that the person at the terminal can put right. */
class UseError extends Error {
  constructor(message: string, readonly code: number = EXIT.input) {
    super(message)
  }
}

interface Output {
  readonly json: unknown
  readonly explained?: string
  readonly code: number
}

function readJson(file: string | undefined): unknown {
  if (!file) throw new UseError(`A file is missing.\n${HELP}`, EXIT.use)
  try {
    return JSON.parse(readFileSync(file, 'utf8').replace(/^\uFEFF/, ''))
  } catch (error) {
    throw new UseError(`${file} cannot be read as JSON: ${(error as Error).message}`)
  }
}

function readExercise(file: string | undefined): Exercise {
  const checked = validate(ExerciseSchema, upgradeExercise(readJson(file)))
  if (!checked.ok) throw new UseError(`${file} is not an exercise:\n${checked.problems.map(({ field, message }) => `  ${field || 'the file'} ${message}`).join('\n')}`)
  const structure = structureProblems(checked.value.installation)
  if (structure.length > 0) throw new UseError(`${file} does not fit together:\n${structure.map((problem) => `  ${problem.scope}.${problem.field} ${structureSentence(problem)}`).join('\n')}`)
  return checked.value
}

function design(file?: string): Output {
  const exercise = readExercise(file)
  const worked = designOf(assignmentOf(exercise))
  const tested = worked.circuits.find(({ scope }) => scope === exercise.tests)
  const parts = [...worked.circuits, ...worked.boards].map(({ scope, steps, stopped, ...rest }) => ({
    scope, name: 'circuit' in rest ? rest.circuit.name : rest.board.name, steps, ...(stopped ? { stopped: { at: stopped.at, reason: constraintSentence(stopped.constraint) } } : {}),
  }))
  return {
    json: { ok: worked.ok, parts, readings: tested ? expectedReadings(tested) : [] },
    explained: explainDesign(worked, exercise.edition),
    code: worked.ok ? EXIT.done : EXIT.engineering,
  }
}

function variants(file?: string, count = '12'): Output {
  if (!/^\d{1,3}$/.test(count)) throw new UseError(`COUNT is a whole number, not “${count}”.`, EXIT.use)
  const made = makeVariants(readExercise(file), Number(count))
  if (!made.ok) throw new UseError(`Only ${made.found} of ${made.wanted} variants were found (${made.reason}).`, EXIT.engineering)
  return { json: made.variants, code: EXIT.done }
}

function mark(file?: string, submissionFile?: string): Output {
  const assignment = assignmentOf(readExercise(file))
  if (!designOf(assignment).ok) throw new UseError('The exercise has no solution; see nakshi design.', EXIT.engineering)
  const checked = validate(SubmissionSchema, readJson(submissionFile))
  if (!checked.ok) throw new UseError(`${submissionFile} is not a submission:\n${checked.problems.map(({ field, message }) => `  ${field || 'the file'} ${message}`).join('\n')}`)
  const marks = markDesign(assignment, upgradeAnswers(checked.value.answers as Record<string, string>) as Answers)
  const isCritical = marks.some(({ findings }) => findings.some(({ seriousness }) => seriousness === 'critical'))
  return {
    json: {
      mark: marks.reduce((sum, step) => sum + step.mark, 0), outOf: marks.reduce((sum, step) => sum + step.outOf, 0), critical: isCritical,
      steps: marks.map((step) => ({ ...step, sentences: step.findings.map(findingSentence) })),
    },
    explained: explainMarks(marks),
    code: isCritical ? EXIT.engineering : EXIT.done,
  }
}

const COMMANDS: Readonly<Record<string, (...args: string[]) => Output>> = { design, variants, mark }

/** Runs one command; the text for the terminal and the exit code. */
export function nakshi(argv: readonly string[]): { readonly text: string; readonly code: number } {
  try {
    const { values, positionals } = parseArgs({ args: [...argv], options: { explain: { type: 'boolean' } }, allowPositionals: true })
    const [command = 'help', ...args] = positionals
    const run = COMMANDS[command]
    if (!run) return { text: HELP, code: command === 'help' ? EXIT.done : EXIT.use }
    const { json, explained, code } = run(...args)
    return { text: values.explain && explained !== undefined ? explained : JSON.stringify(json, null, 2), code }
  } catch (error) {
    if (error instanceof UseError) return { text: error.message, code: error.code }
    if ((error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS')) return { text: `${(error as Error).message}\n${HELP}`, code: EXIT.use }
    throw error
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { text, code } = nakshi(process.argv.slice(2))
  process.stdout.write(`${text}\n`)
  process.exitCode = code
}
