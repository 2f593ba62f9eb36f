import { createHmac } from 'node:crypto'
import { designOf } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { InstallationDesign } from '#core/design/reference'
import { DEVICES } from '#core/regulations/devices'
import { isDead, type Readings } from '#core/testing/readings'
import { buildRig } from '#core/bay/build/build'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { expectedSchedule, type ScheduleExpected } from '#core/testing/expected/expected'
import { judgeSchedule, type JudgedSchedule } from '#core/testing/judge/judge'
import { scheduleOf, type ScheduleTest } from '#core/testing/plan/schedule'
import { setupWords } from '#words/test-setup'
import type { BoardView, CircuitHead } from '#schemas/schedule-views'
import type { Attempt } from '../repos/attempts'
import type { Context } from './context'
import { Problem } from './problem'
import { assignmentFor } from './assignment'

/** The bay of an attempt whose whole board is tested: as it is meant, with its schedule and what each test should show. */
export interface BoardBay {
  readonly rig: Rig
  readonly design: InstallationDesign
  readonly schedule: readonly ScheduleTest[]
  readonly expected: ReadonlyMap<string, ScheduleExpected>
}

/** A bay is worked once for an attempt: its installation and exercise no longer change. */
const BAYS = new WeakMap<Context['repos'], Map<number, BoardBay>>()

export const isWholeBoard = (context: Pick<Context, 'repos'>, attempt: Attempt): boolean =>
  assignmentFor(context, attempt).tests === WHOLE_BOARD

/** The bay to test, or a refusal where it has no design. */
export function boardBay(context: Pick<Context, 'repos'>, attempt: Attempt): BoardBay {
  const known = BAYS.get(context.repos) ?? new Map<number, BoardBay>()
  BAYS.set(context.repos, known)
  const before = known.get(attempt.id)
  if (before) return before
  const assignment = assignmentFor(context, attempt)
  const design = designOf(assignment)
  const rig = buildRig(assignment.installation, design, `Bay ${attempt.bay}`)
  if (!rig) throw new Problem('unsolvable')
  const schedule = scheduleOf(rig, {
    edition: assignment.edition,
    residualTests: assignment.policy.residualTests ?? 'edition',
  })
  const made = { rig, design, schedule, expected: expectedSchedule(rig, design, schedule) }
  known.set(attempt.id, made)
  return made
}

/** The whole schedule judged. */
export function judgedBoard(
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
  readings: Readings = attempt.readings,
): JudgedSchedule {
  const { schedule, expected } = boardBay(context, attempt)
  return judgeSchedule(schedule, expected, readings, {
    edition: assignmentFor(context, attempt).edition,
    arrangement: attempt.installation.intake.arrangement,
  })
}

/** Everything that may stand on the sheet of this attempt: its tests, and what is written about them or about the sheet. */
export function boardKeys(context: Pick<Context, 'repos'>, attempt: Attempt): ReadonlySet<string> {
  return new Set(
    boardBay(context, attempt)
      .schedule.flatMap(({ key }) => [key, `why:${key}`, `at:${key}`])
      .concat(SHEET_KEYS),
  )
}
/** The instrument by its name in the register, the resistance that was nulled, and what has been checked before. */
const SHEET_KEYS = ['set:instrument', 'set:leads', 'set:readyDead', 'set:readyLive']

/** Live boxes open with the permission; everything about the sheet itself with the dead tests. */
export function isDeadBox(key: string): boolean {
  const test = key.replace(/^(why|at):/, '')
  return key.startsWith('set:') ? key !== 'set:readyLive' : isDead(test)
}

/** A code that stands on the page of an attempt, so that an instrument's bridge writes into the right sheet and no other. */
export const pairingCode = (secret: string, attemptId: number): string =>
  createHmac('sha256', secret).update(`stream ${attemptId}`).digest('hex').slice(0, 6).toUpperCase()

/** The schedule for the one who tests: how each test is made, nothing about what it should show. */
export function boardView(
  { repos }: Pick<Context, 'repos'>,
  attempt: Attempt,
  stream: BoardView['stream'],
): BoardView {
  const { rig, schedule } = boardBay({ repos }, attempt)
  const parts = indexParts(rig)
  return {
    circuits: circuitHeads({ repos }, attempt),
    instruments: repos.instruments.all(),
    stream,
    tests: schedule.map((test) => ({
      key: test.key,
      kind: test.kind,
      circuit: test.circuit,
      pointName: test.point ? (parts.get(test.point)?.name ?? test.point) : null,
      isAsked: test.isAsked,
      isDead: test.isDead,
      setup: setupWords(rig, test),
    })),
  }
}

export function circuitHeads(context: Pick<Context, 'repos'>, attempt: Attempt): CircuitHead[] {
  const { schedule, design } = boardBay(context, attempt)
  const tested = new Set(schedule.map(({ circuit }) => circuit))
  return design.circuits
    .filter(({ scope }) => tested.has(scope))
    .map(({ circuit, values, task }) => {
      const row = task.cable.kind
      const { curve, family } = circuit.device
      return {
        id: circuit.id,
        name: circuit.name,
        conductors: `${values.csa} mm² ${row.replaceAll('-', ' ')}`,
        device: `Way ${circuit.way} · ${curve ?? ''}${values.in} ${curve ? '' : 'A '}${DEVICES[family].standard}${values.residual ? `, ${Math.round(values.residual * 1e3)} mA` : ''}`,
      }
    })
}

/** Boxes that must hold something readable before the sheet goes on. */
export const askedKeys = (context: Pick<Context, 'repos'>, attempt: Attempt, dead: boolean): string[] =>
  boardBay(context, attempt)
    .schedule.filter((test) => test.isAsked && test.isDead === dead)
    .map(({ key }) => key)
