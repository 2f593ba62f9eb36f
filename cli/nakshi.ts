/* nakshi: the core at the command line. JSON in, JSON or an explanation out; `nakshi help` lists the commands. */
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { upgradeAnswers } from '#core/exercise/upgrade'
import type { Answers } from '#core/assessment/marking/answer'
import { markDesign } from '#core/assessment/marking/mark-design'
import { WHOLE_BOARD, type Exercise } from '#core/exercise/exercise'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import { kindOf } from '#core/testing/kinds/kinds'
import { workingWords } from '#words/testing'
import { constraintSentence } from '#words/constraints'
import { findingSentence } from '#words/findings/findings'
import { makeVariants } from '#core/exercise/variants'
import { SubmissionSchema } from '#schemas/submission'
import { check, diagnoseSheet } from './diagnosis-commands'
import { explainDesign, explainMarks } from './explain'
import { EXIT, UseError, checked, readExercise, readJson, type Output } from './input'
import { isolation } from './isolation-command'
import { instrument, send, type InstrumentOptions, type Sending } from './instrument-command'
import { backup, restoreBackup, verifyFile, type KeepingOptions } from './keeping-commands'
import { faults, netlist, read, rig, simulateRig, type RigOptions } from './rig-commands'

const HELP = `nakshi design EXERCISE.json [--explain]                  reference design of every circuit and board, expected readings
nakshi variants EXERCISE.json COUNT                      variants of like difficulty, from the exercise's seed
nakshi mark EXERCISE.json SUBMISSION.json [--explain]    follow-through marks of a submission
nakshi rig EXERCISE.json                                 the bay that an exercise asks for, wired as it should be
nakshi faults RIG.json                                   every fault of the catalogue and where this bay could have it
nakshi simulate RIG.json [--do "5 throw c2p0" …]         what happens: energised in sequence, or after these actions (s, action, part)
nakshi read RIG.json --instrument I --at T --to T        what an instrument shows; --live, --link "T,T", --free x12:from, --volt, --multiple, --rated
nakshi netlist RIG.json [--hertz 0]                      the energised bay as a SPICE netlist
nakshi check RIG.json READINGS.json                      every test of the bay: read, expected, whether it fits
nakshi diagnose RIG.json READINGS.json                   causes that explain the sheet, ranked, and what to measure next; --other READINGS.json of another bay
nakshi isolation SEQUENCE.json [--explain]               a sequence of safe isolation judged: kept, broken, how serious, at which act
nakshi backup [--data FOLDER] [--to FOLDER]              copies the database of a centre, running or not, and looks the copy over
nakshi verify FILE                                       pages, references, photographs and seal of a database or backup
nakshi restore BACKUP [--data FOLDER]                    puts a backup in the place of the database of a server that is stopped
nakshi instrument RIG.json [--stage dead|live]           a simulated tester's readings: as lines, as --csv, or to the application with --port and --sheet "12 7F3A9C";
                                                         --leads 0.19, --nulled 0, --seed, --circuit, --asked, --multiples, --name, --pace

simulate, read, netlist and instrument take --fault code:place, as nakshi faults lists them. --explain writes the derivation for people instead of JSON.
Exit codes: 0 done · 1 a file cannot be read or taken · 2 wrong use · 3 no solution, or a critical error in what is marked`

function design(file?: string): Output {
  const exercise = readExercise(file)
  const worked = designOf(assignmentOf(exercise))
  const parts = [...worked.circuits, ...worked.boards].map(({ scope, steps, stopped, ...rest }) => ({
    scope,
    name: 'circuit' in rest ? rest.circuit.name : rest.board.name,
    steps,
    ...(stopped ? { stopped: { at: stopped.at, reason: constraintSentence(stopped.constraint) } } : {}),
  }))
  return {
    json: { ok: worked.ok, parts, readings: expectedOfCircuit(exercise) },
    explained: explainDesign(worked, exercise.edition),
    code: worked.ok ? EXIT.done : EXIT.engineering,
  }
}

/** What the tests of the one circuit that is wired should show, by kind. */
function expectedOfCircuit(exercise: Exercise) {
  const bay =
    exercise.tests === WHOLE_BOARD ? undefined : bayUnderTest(assignmentOf(exercise), exercise.title)
  const asked = bay?.schedule.filter(({ isAsked }) => isAsked) ?? []
  return asked.map(({ key }) => {
    const expected = bay!.expected.get(key)!
    return { ...expected, key: kindOf(key).shows, working: workingWords(expected.working) }
  })
}

function variants(file?: string, count = '12'): Output {
  if (!/^\d{1,3}$/.test(count)) throw new UseError(`COUNT is a whole number, not “${count}”.`, EXIT.use)
  const variantsResult = makeVariants(readExercise(file), Number(count))
  if (!variantsResult.ok)
    throw new UseError(
      `Only ${variantsResult.found} of ${variantsResult.wanted} variants were found (${variantsResult.reason}).`,
      EXIT.engineering,
    )
  return { json: variantsResult.variants, code: EXIT.done }
}

function mark(file?: string, submissionFile?: string): Output {
  const assignment = assignmentOf(readExercise(file))
  if (!designOf(assignment).ok)
    throw new UseError('The exercise has no solution; see nakshi design.', EXIT.engineering)
  const submission = checked(submissionFile, 'a submission', SubmissionSchema, readJson(submissionFile))
  const marks = markDesign(
    assignment,
    upgradeAnswers(submission.answers as Record<string, string>) as Answers,
  )
  const isCritical = marks.some(({ findings }) =>
    findings.some(({ seriousness }) => seriousness === 'critical'),
  )
  return {
    json: {
      mark: marks.reduce((sum, step) => sum + step.mark, 0),
      outOf: marks.reduce((sum, step) => sum + step.outOf, 0),
      critical: isCritical,
      steps: marks.map((step) => ({ ...step, sentences: step.findings.map(findingSentence) })),
    },
    explained: explainMarks(marks),
    code: isCritical ? EXIT.engineering : EXIT.done,
  }
}

type Options = RigOptions & InstrumentOptions & KeepingOptions & { readonly other?: string }
/** What is only known when something has been sent or copied. */
interface Later {
  readonly sending?: Sending
  readonly later?: () => Promise<Output>
}
type Command = (options: Options, ...args: string[]) => Output & Later
const plain =
  (run: (...args: string[]) => Output): Command =>
  (_, ...args) =>
    run(...args)
const COMMANDS: Readonly<Record<string, Command>> = {
  design: plain(design),
  variants: plain(variants),
  mark: plain(mark),
  rig,
  faults,
  simulate: simulateRig,
  read,
  netlist,
  check,
  diagnose: diagnoseSheet,
  instrument,
  isolation,
  backup,
  verify: verifyFile,
  restore: restoreBackup,
}

const OPTIONS = {
  explain: { type: 'boolean' },
  live: { type: 'boolean' },
  fault: { type: 'string', multiple: true },
  do: { type: 'string', multiple: true },
  link: { type: 'string', multiple: true },
  free: { type: 'string', multiple: true },
  until: { type: 'string' },
  instrument: { type: 'string' },
  at: { type: 'string' },
  to: { type: 'string' },
  volt: { type: 'string' },
  multiple: { type: 'string' },
  rated: { type: 'string' },
  hertz: { type: 'string' },
  stage: { type: 'string' },
  circuit: { type: 'string' },
  leads: { type: 'string' },
  nulled: { type: 'string' },
  seed: { type: 'string' },
  name: { type: 'string' },
  sheet: { type: 'string' },
  port: { type: 'string' },
  pace: { type: 'string' },
  csv: { type: 'boolean' },
  asked: { type: 'boolean' },
  multiples: { type: 'boolean' },
  other: { type: 'string' },
  data: { type: 'string' },
} as const

interface Result extends Later {
  readonly text: string
  readonly code: number
}

/** Runs one command; the text for the terminal and the exit code. */
export function nakshi(argv: readonly string[]): Result {
  try {
    const { values, positionals } = parseArgs({ args: [...argv], options: OPTIONS, allowPositionals: true })
    const [command = 'help', ...args] = positionals
    const run = COMMANDS[command]
    if (!run) return { text: HELP, code: command === 'help' ? EXIT.done : EXIT.use }
    const { sending, later, ...output } = run(values, ...args)
    return {
      ...written(output, values.explain === true),
      ...(sending ? { sending } : {}),
      ...(later ? { later } : {}),
    }
  } catch (error) {
    return refusal(error)
  }
}

const written = ({ json, explained, code }: Output, isExplained: boolean): Result =>
  typeof json === 'string'
    ? { text: json, code }
    : { text: isExplained && explained !== undefined ? explained : JSON.stringify(json, null, 2), code }

function refusal(error: unknown): Result {
  if (error instanceof UseError) return { text: error.message, code: error.code }
  if ((error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS'))
    return { text: `${(error as Error).message}\n${HELP}`, code: EXIT.use }
  throw error
}

/** A command whole: also what it sends or copies. */
export async function nakshiWhole(argv: readonly string[]): Promise<Result> {
  const result = nakshi(argv)
  try {
    if (result.sending) return await send(result.sending)
    if (result.later) return written(await result.later(), argv.includes('--explain'))
  } catch (error) {
    return refusal(error)
  }
  return result
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { text, code } = await nakshiWhole(process.argv.slice(2))
  process.stdout.write(`${text}\n`)
  process.exitCode = code
}
