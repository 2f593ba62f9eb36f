import type { CableKind } from '#core/regulations/cables/cable'
import type { DayConflict, RepeatWhy } from '#core/planning/facts'
import type { PlanConflict } from '#core/planning/conflicts'
import type { LearntStages, Learnt } from '#core/planning/learn'
import type { AgainstPlan } from '#core/planning/progress'
import type { Pairing } from '#core/planning/pairs'
import type { PlanCost } from '#core/planning/cost'
import { CABLE_NAME } from '../names'

/** Names that sentences need, and the clock of the session. */
export interface PlanNames {
  readonly task: (id: string) => string
  readonly person: (id: number) => string
  readonly instrument: (id: number) => string
  readonly time: (minute: number) => string
}

type Of<C extends PlanConflict['code']> = PlanConflict & { readonly code: C }
const CONFLICTS: {
  readonly [C in PlanConflict['code']]: (one: Of<C>, names: PlanNames, task: string) => string
} = {
  twoPlaces: (one, names, task) =>
    `${names.person(one.person)} cannot do ${task} and ${names.task(one.other)} at once.`,
  bayTwice: (one, names, task) => `Bay ${one.bay} is taken twice: by ${task} and ${names.task(one.other)}.`,
  noInstrument: (one, names, task) =>
    `${task} has no instrument from ${names.time(one.from)} to ${names.time(one.to)}.`,
  noAssessor: (one, names, task) =>
    `No assessor for the live tests of ${task} from ${names.time(one.from)} to ${names.time(one.to)}.`,
  assessorTwice: (one, names, task) =>
    `${names.person(one.assessor)} cannot supervise ${task} and ${names.task(one.other)} at once.`,
  assessorAway: (one, names, task) => `${names.person(one.assessor)} is not there when ${task} is live.`,
  instrumentTwice: (one, names, task) =>
    `${names.instrument(one.instrument)} is needed by ${task} and ${names.task(one.other)} at once.`,
  notCalibrated: (one, names, task) =>
    `${names.instrument(one.instrument)} is out of calibration or not in this session, but planned for ${task}.`,
  tooEarly: (one, _names, task) =>
    `${task} begins ${one.minutes} min too early: what comes before it is not done by then.`,
  tooLate: (one, _names, task) => `${task} ends ${one.minutes} min after the session.`,
  liveTooEarly: (one, _names, task) =>
    `${task} would be live ${one.minutes} min before its dead tests are done.`,
  notHere: (one, names, task) => `${names.person(one.person)} is absent, yet ${task} is planned.`,
  bayNotUsable: (one, _names, task) => `Bay ${one.bay} is not in this session, yet ${task} is planned there.`,
  desksFull: (one, _names, task) =>
    `More people at their designs than the ${one.desks} desks when ${task} begins.`,
  unplanned: (_one, _names, task) => `${task} is not planned.`,
}
/** What does not go together in a plan, at the task that it concerns. */
export const planConflictSays = (one: PlanConflict, names: PlanNames): string =>
  (CONFLICTS[one.code] as (one: PlanConflict, names: PlanNames, task: string) => string)(
    one,
    names,
    names.task(one.task),
  )

const WHY_REPEATS = { withdraw: 'STOP on', refuse: 'sent back on', booked: 'repeat booked for' } as const
/** Why a task is done again, such as `sent back on 04/12/2026: cpc of the ring open`. */
export const repeatSays = ({ is, note }: Pick<RepeatWhy, 'is' | 'note'>, day: string): string =>
  `${WHY_REPEATS[is]} ${day}${note ? `: ${note}` : ''}`

const KIND_TEXT = { inspection: 'inspection', rcd: 'RCD test' } as const

/** A cable as stores keep it, in words. */
export function cableText(cable: string): string {
  const [kind, phases, size] = cable.split(' ')
  return `${CABLE_NAME[kind as CableKind] ?? kind} ${size} mm²${phases === '3' ? ', three phase' : ''}`
}

/** What the day says against a plan. */
export function dayConflictSays(
  one: DayConflict,
  day: (iso: string) => string,
  person: (id: number) => string,
): string {
  switch (one.code) {
    case 'noDay':
      return 'Choose the day.'
    case 'noBays':
      return 'Choose at least one bay: without a bay nothing can be planned.'
    case 'noTasks':
      return 'Choose who does which exercise.'
    case 'noAssessors':
      return 'Nobody can supervise live work. Choose at least one assessor and their time.'
    case 'noInstruments':
      return 'No instrument that is in calibration that day. Choose one, or have it calibrated before.'
    case 'bayOverdue':
      return (
        `Bay ${one.bay}: its ${KIND_TEXT[one.kind]} has been overdue ` +
        `since ${day(one.dueOn)}. Test it first, or say why it is used.`
      )
    case 'outOfCalibration':
      return `${one.instrument} is out of calibration since ${day(one.dueOn)}: it is not used.`
    case 'closed':
      return `That day the centre is closed: ${one.title}.`
    case 'cableShort':
      return (
        `${cableText(one.cable)}: ${one.needM.toFixed(1)} m are needed, ` +
        `${one.leftM.toFixed(1)} m are on the drums. Order, or plan fewer.`
      )
    case 'noTerm':
      return 'That day lies outside every term of the calendar.'
    case 'away':
      return `${person(one.person)} is away that day: ${one.title}.`
    case 'tooMany':
      return (
        `${one.tasks} tasks in ${one.bays} ${one.bays === 1 ? 'bay' : 'bays'}: ${one.planned} ` +
        'are planned. The others need another session, more bays, or more minutes of an assessor.'
      )
  }
}

export const PAIRING_TEXT: Readonly<Record<Pairing, string>> = {
  alone: 'everybody alone',
  keep: 'pairs as last time',
  mix: 'other pairs than last time',
}

const minutes = (n: number): string => `${Math.round(n)} min`
const spread = ({ median, low, high, n }: Learnt): string =>
  `${minutes(median)} (half of them ${Math.round(low)} to ${minutes(high)}, ${n} times)`
/** What was learnt of the times of an exercise. */
export function learntSays({ design, bay, waiting, live }: LearntStages): string {
  if (!design && !bay && !live) return 'No times learnt yet: planned by the usual shares of what is allowed.'
  return [
    design ? `design ${spread(design)}` : '',
    bay ? `wiring and dead tests ${spread(bay)}` : '',
    waiting ? `waiting for a permission ${spread(waiting)}` : '',
    live ? `live tests ${spread(live)}` : '',
  ]
    .filter(Boolean)
    .join('; ')
}

export function costSays({ waiting, unplanned, end }: PlanCost, time: (minute: number) => string): string {
  const out = unplanned.length === 0 ? '' : ` ${unplanned.length} not planned.`
  return end === 0
    ? 'Nothing is planned yet.'
    : `${minutes(waiting)} of waiting in all; done at ${time(end)}.${out}`
}

const SHOULD_TEXT: Readonly<Record<AgainstPlan['should'], string>> = {
  before: 'not begun yet',
  design: 'design',
  build: 'wiring',
  dead: 'dead tests',
  live: 'live tests',
  done: 'done',
}
export const shouldSays = ({ should, late }: AgainstPlan): string =>
  late > 0 ? `${minutes(late)} behind: ${SHOULD_TEXT[should]} by now` : SHOULD_TEXT[should]
