import { createHash, createHmac } from 'node:crypto'
import { LRUCache } from 'lru-cache'
import { indexParts } from '#core/bay/model/terminals'
import { assignmentOf } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { DEVICES } from '#core/regulations/devices'
import { bayUnderTest, type BayUnderTest, type TestedAssignment } from '#core/testing/judge/bay-under-test'
import { judgeReadings, type JudgedSheet, type ReadingMark } from '#core/testing/judge/judge'
import { isDead } from '#core/testing/kinds/kinds'
import { askedAsMeasured } from '#core/testing/plan/schedule'
import type { OtherBay } from '#core/testing/relations/sheet'
import { whyKey } from '#core/testing/readings'
import type { BoardView, CircuitHead } from '#schemas/schedule-views'
import { wayWords } from '#words/names'
import { setupWords } from '#words/test-setup'
import type { Attempt } from '../repos/attempts'
import { heavy } from '../heavy/pool'
import { assignmentFor } from './assignment'
import type { Context } from './context'
import { Problem } from './problem'

type Repos = Pick<Context, 'repos'>

/** Bays by what they are made of: the same installation, worked to the same rules, is solved once. */
const BAYS = new LRUCache<string, { readonly bay: BayUnderTest | undefined }>({ max: 600 })

export const isWholeBoard = (context: Repos, attempt: Attempt): boolean =>
  assignmentFor(context, attempt).tests === WHOLE_BOARD

/** What a bay of this number is made of, with the key under which it is kept. */
function plansOf({ edition, policy, book, installation, tests }: TestedAssignment, bay: number) {
  const content = JSON.stringify([edition, policy, book, installation, tests, bay])
  return {
    assignment: { edition, policy, book, installation, tests },
    name: `Bay ${bay}`,
    key: createHash('sha256').update(content).digest('base64'),
  }
}

/** The bay of an attempt under test; undefined where nothing is tested, or nothing could be built. */
export function bayOf(context: Repos, attempt: Attempt): BayUnderTest | undefined {
  const { assignment, name, key } = plansOf(assignmentFor(context, attempt), attempt.bay)
  const known = BAYS.get(key)
  if (known) return known.bay
  const bay = bayUnderTest(assignment, name)
  BAYS.set(key, { bay })
  return bay
}

/**
 * Has these bays kept, what they should show worked out away from the server’s thread: for what asks for a whole group
 * at once. One after the other, so that others get in between. Goes on when whoever asked has left: the next one finds
 * them, and what they handed in is handed in.
 */
export async function keepBays({ repos }: Repos, attempts: readonly Attempt[]): Promise<void> {
  // Of a group there is one.
  const exercises = new Map(
    [...new Set(attempts.map(({ exerciseId }) => exerciseId))].map((id) => [
      id,
      repos.exercises.byId(id)!.exercise,
    ]),
  )
  const all = attempts.map(({ exerciseId, installation, bay }) =>
    plansOf(assignmentOf(exercises.get(exerciseId)!, installation), bay),
  )
  for (const plans of all) if (!BAYS.has(plans.key)) await (MAKING.get(plans.key) ?? makeAway(plans))
}

/** Bays that are being worked out; whoever wants one of them too waits for it. */
const MAKING = new Map<string, Promise<void>>()

function makeAway({ assignment, name, key }: ReturnType<typeof plansOf>): Promise<void> {
  const make = async () => {
    const expected = assignment.tests === null ? undefined : await heavy({}, 'expectedOf', assignment, name)
    BAYS.set(key, { bay: bayUnderTest(assignment, name, expected) })
  }
  // Where the thread has failed, or too much waits for it, whoever needs the bay works it out in place.
  const making = make()
    .catch(() => undefined)
    .finally(() => MAKING.delete(key))
  MAKING.set(key, making)
  return making
}

/** The bay to test, or a refusal where it has no design. */
export function bayToTest(context: Repos, attempt: Attempt): BayUnderTest {
  const bay = bayOf(context, attempt)
  if (!bay) throw new Problem('unsolvable')
  return bay
}

/** The whole sheet judged, against the others of the group where they are given. */
export function judgedSheet(context: Repos, attempt: Attempt, others: readonly OtherBay[] = []): JudgedSheet {
  const bay = attempt.stage === 'design' ? undefined : bayOf(context, attempt)
  return bay ? judgeReadings(bay, attempt.readings, others) : { marks: [], relations: [] }
}

/** The readings of an attempt, judged; none where nothing is tested. */
export const readingMarks = (
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
  others: readonly OtherBay[] = [],
): readonly ReadingMark[] => judgedSheet(context, attempt, others).marks

/**
 * Everything that may stand on the sheet of this attempt: its tests, and what is written about them or about
 * the sheet.
 */
export function sheetKeys(context: Repos, attempt: Attempt): ReadonlySet<string> {
  const tests = (bayOf(context, attempt)?.schedule ?? []).filter(
    ({ isOffered }) => isOffered || isWholeBoard(context, attempt),
  )
  return new Set(tests.flatMap(({ key }) => [key, whyKey(key), `at:${key}`]).concat(SHEET_KEYS))
}
/**
 * The instrument by its name in the register, the resistance that was nulled, the insulation test voltage and
 * what was out for it, and what has been checked before.
 */
const SHEET_KEYS = [
  'set:instrument',
  'set:leads',
  'set:irVolt',
  'set:irOut',
  'set:readyDead',
  'set:readyLive',
]

/** Live boxes open with the permission; everything about the sheet itself with the dead tests. */
export function isDeadBox(key: string): boolean {
  const test = key.replace(/^(why|at):/, '')
  return key.startsWith('set:') ? key !== 'set:readyLive' : isDead(test)
}

/** Boxes that must hold something readable before the sheet goes on; none where the design is all there is. */
export const askedKeys = (context: Repos, attempt: Attempt, dead: boolean): string[] =>
  askedAsMeasured(bayOf(context, attempt)?.schedule ?? [], (key) => !!attempt.readings[key]?.trim())
    .filter((test) => test.isAsked && test.isDead === dead)
    .map(({ key }) => key)

/** Boxes of a single circuit that may be filled in as well. */
export const offeredKeys = (context: Repos, attempt: Attempt): string[] =>
  (bayOf(context, attempt)?.schedule ?? [])
    .filter(({ isAsked, isOffered }) => isOffered && !isAsked)
    .map(({ key }) => key)

/**
 * A code that stands on the page of an attempt, so that an instrument's bridge writes into the right sheet
 * and no other. It holds for the day.
 */
export const pairingCode = (secret: string, attemptId: number, now: string): string =>
  createHmac('sha256', secret)
    .update(`stream ${attemptId} ${now.slice(0, 10)}`)
    .digest('hex')
    .slice(0, 6)
    .toUpperCase()

const GRACE_MS = 6 * 3_600_000

/**
 * Does this code belong to the sheet? That of the day before counts for six hours more: an evening class, or a
 * page opened before midnight (UTC), is not cut off in the middle of a test.
 */
export const isPairingCode = (secret: string, attemptId: number, now: string, code: string): boolean =>
  [now, new Date(Date.parse(now) - GRACE_MS).toISOString()].some(
    (time) => pairingCode(secret, attemptId, time) === code,
  )

/** The schedule for the one who tests: how each test is made, nothing about what it should show. */
export function boardView(context: Repos, attempt: Attempt, stream: BoardView['stream']): BoardView {
  const { rig, schedule } = bayToTest(context, attempt)
  const parts = indexParts(rig)
  const tests = schedule.map(({ key, kind, circuit, point, isAsked, isDead: dead }, i) => ({
    key,
    kind,
    circuit,
    pointName: point ? (parts.get(point)?.name ?? point) : null,
    isAsked,
    isDead: dead,
    setup: setupWords(rig, schedule[i]!),
  }))
  return {
    circuits: circuitHeads(context, attempt),
    instruments: context.repos.instruments.all(),
    stream,
    tests,
  }
}

export function circuitHeads(context: Repos, attempt: Attempt): CircuitHead[] {
  const { schedule, design } = bayToTest(context, attempt)
  const phasesOf = new Map(design.boards.map(({ scope, board }) => [scope, board.phases]))
  const tested = new Set(schedule.map(({ circuit }) => circuit))
  return design.circuits
    .filter(({ scope }) => tested.has(scope))
    .map(({ circuit, values, task }) => {
      const { curve, family } = circuit.device
      const rated = `${curve ?? ''}${values.in} ${curve ? '' : 'A '}${DEVICES[family].standard}`
      const rcd = values.residual ? `, ${Math.round(values.residual * 1e3)} mA` : ''
      return {
        id: circuit.id,
        name: circuit.name,
        conductors: `${values.csa} mm² ${task.cable.kind.replaceAll('-', ' ')}`,
        device: `Way ${wayWords(circuit, phasesOf.get(circuit.board) ?? 1)} · ${rated}${rcd}`,
      }
    })
}
