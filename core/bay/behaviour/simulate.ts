import type { Solved } from '../network/solve'
import type { Rig, Supply } from '../model/rig'
import type { Action, Happening } from './happenings'
import { solveBay } from './network-of'
import { goneOver, gridRemembered, overdueIn, type Overdue } from './standby'
import type { BayState } from './state'
import { USUAL_SPECIMENS, threatsTo, type Specimens } from './threats'
import { TripProgress, type Due } from './trip-progress'
import { watchDevice, watchLoads, type LoadReading } from './watch'

export interface Simulated {
  readonly happenings: readonly Happening[]
  readonly state: BayState
  /** The rig with the faults that came to it on the way. */
  readonly rig: Rig
}

/** A bay between two events, as it was solved. */
export interface Moment {
  readonly atS: number
  readonly rig: Rig
  readonly state: BayState
  readonly solved: Solved
  /** Everything that has happened by then. */
  readonly happenings: readonly Happening[]
}

/** More events than this are a device that chatters. */
const MOST_EVENTS = 400
/** Where a rig has no supply, V. */
const USUAL_V = 230

/** A bay while things happen at it. */
interface Course {
  rig: Rig
  state: BayState
  nowS: number
  /** What the loads did in the last solution. */
  before: ReadonlyMap<string, LoadReading> | undefined
  readonly happenings: Happening[]
  /** Actions to come, the next one first. */
  readonly waiting: Action[]
  readonly progress: TripProgress
  /** Devices whose contacts parted without breaking the current. */
  readonly stuck: Set<string>
  /** Motors running up, since when. */
  readonly motorsSince: Map<string, number>
  /** Told of each moment between two events. */
  readonly watch: ((moment: Moment) => void) | undefined
  /** Change-overs that stand on the wrong side, since when. */
  readonly overdueSince: Map<string, number>
  readonly ratedV: number
  readonly hertz: number
}

function courseOf(rig: Rig, state: BayState, actions: readonly Action[], watch: Course['watch']): Course {
  const supply = rig.parts.find((part): part is Supply => part.kind === 'supply')
  return {
    rig,
    state,
    nowS: 0,
    before: undefined,
    happenings: [],
    waiting: [...actions].sort((a, b) => a.atS - b.atS),
    progress: new TripProgress(),
    stuck: new Set(),
    motorsSince: new Map(),
    watch,
    overdueSince: new Map(),
    ratedV: supply?.volt ?? USUAL_V,
    hertz: supply?.arrangement === 'battery' ? 0 : 50,
  }
}

/**
 * What happens at a bay: actions in order, devices opening when their time has come, loads going dark. Time
 * that a device has carried an overcurrent is added up as shares of its opening time. Ends when nothing is
 * left to happen or after `untilS`.
 */
export function simulate(
  start: Rig,
  from: BayState,
  actions: readonly Action[],
  {
    untilS = 10,
    specimens = USUAL_SPECIMENS,
    watch,
  }: { readonly untilS?: number; readonly specimens?: Specimens; readonly watch?: Course['watch'] } = {},
): Simulated {
  const course = courseOf(start, from, actions, watch)
  for (let event = 0; event < MOST_EVENTS; event += 1) if (!step(course, untilS, specimens)) break
  const { happenings, state, rig } = course
  return { happenings, state, rig }
}

/** One event further; false when nothing is left to happen. */
function step(course: Course, untilS: number, specimens: Specimens): boolean {
  const { rig, hertz, happenings } = course
  const solved = solveBay(rig, course.state, { hertz })
  if (!solved.ok) {
    happenings.push({ atS: course.nowS, kind: 'unsolved', reason: solved.reason, name: solved.name })
    return false
  }
  settleLoads(course, solved)
  course.watch?.({ atS: course.nowS, rig, state: course.state, solved, happenings: [...happenings] })
  const due = dueAt(course, solved, specimens)
  const [trip, motor, over, action] = [due[0], nextMotor(course), nextOver(course, solved), course.waiting[0]]
  const next = Math.min(...[action, trip, motor, over].map((event) => event?.atS ?? Infinity))
  if (next > untilS) {
    happenings.push({ atS: next === Infinity ? Math.min(untilS, course.nowS) : untilS, kind: 'settled' })
    return false
  }
  course.progress.pass(due, next - course.nowS)
  course.nowS = next
  if (action && action.atS <= next) doAction(course, action)
  else if (trip && trip.atS <= next) openDevice(course, trip, solved)
  else if (over && over.atS <= next) goOver(course, over)
  else if (motor) runUp(course, motor.part)
  return true
}

/** What will open if nothing changes, the first in front. */
function dueAt(course: Course, solved: Solved, specimens: Specimens): Due[] {
  const { rig, state, stuck, progress, nowS } = course
  return rig.parts
    .flatMap((device) =>
      device.kind === 'device' && state.closed[device.id] && !stuck.has(device.id)
        ? progress.meet(device, threatsTo(rig, device, solved, specimens), nowS)
        : [],
    )
    .sort((a, b) => a.atS - b.atS)
}

function doAction(course: Course, action: Action): void {
  course.waiting.shift()
  Object.assign(course, act(course.rig, course.state, action))
  course.happenings.push({ atS: course.nowS, kind: 'done', action })
}

/** Its contacts part; with marked terminals fed the wrong way round the arc goes on. */
function openDevice(course: Course, due: Due, solved: Solved): void {
  const { state, nowS: atS, happenings } = course
  const { device, threat } = due
  const { ampere, sinceS, poles } = course.progress.take(due)
  const part = device.id
  happenings.push({ atS, kind: 'tripped', part, cause: threat.cause, ampere, afterS: atS - sinceS, poles })
  const reading = watchDevice(device, solved)
  if (device.marking !== 'either' && reading.isReversed) {
    course.stuck.add(part)
    happenings.push({ atS, kind: 'failedToBreak', part, ampere: reading.ampere })
    return
  }
  course.state = {
    ...state,
    closed: { ...state.closed, [part]: false },
    testing: { ...state.testing, [part]: false },
  }
}

/** The change-over that will have gone over first. */
function nextOver(course: Course, solved: Solved): (Overdue & { readonly atS: number }) | undefined {
  const { rig, state, ratedV, nowS, overdueSince: since } = course
  const overdue = overdueIn(rig, state, solved, ratedV)
  for (const id of since.keys()) if (!overdue.some(({ changeover }) => changeover.id === id)) since.delete(id)
  return overdue
    .map((one) => {
      const { id, afterS } = one.changeover
      if (!since.has(id)) since.set(id, nowS)
      return { ...one, atS: since.get(id)! + afterS! }
    })
    .sort((a, b) => a.atS - b.atS)[0]
}

function goOver(course: Course, over: Overdue): void {
  course.state = goneOver(course.rig, course.state, over)
  course.happenings.push({
    atS: course.nowS,
    kind: 'wentOver',
    part: over.changeover.id,
    toStandby: over.toStandby,
  })
}

function runUp(course: Course, part: string): void {
  course.motorsSince.delete(part)
  course.state = { ...course.state, running: { ...course.state.running, [part]: true } }
  course.happenings.push({ atS: course.nowS, kind: 'ranUp', part })
}

function act(rig: Rig, state: BayState, action: Action): Pick<Course, 'rig' | 'state'> {
  const mark = (marks: BayState['closed'], on: boolean) =>
    'part' in action ? { ...marks, [action.part]: on } : marks
  switch (action.kind) {
    case 'supply':
      return { rig, state: { ...state, isSupplyOn: action.on, running: gridRemembered(rig, state) } }
    case 'close':
      return { rig, state: { ...state, closed: mark(state.closed, action.on) } }
    case 'throw':
      return { rig, state: { ...state, thrown: mark(state.thrown, action.on) } }
    case 'use':
      return { rig, state: { ...state, inUse: mark(state.inUse, action.on) } }
    case 'test':
      return { rig, state: { ...state, testing: mark(state.testing, true) } }
    case 'fault':
      return { rig: { ...rig, leaks: [...rig.leaks, action.leak] }, state }
  }
}

/**
 * Notes loads that came on, went off or are harmed since the last solution, and motors that run up or have
 * lost their voltage.
 */
function settleLoads(course: Course, solved: Solved): void {
  const { rig, state, ratedV, nowS: atS, before, happenings } = course
  const readings = new Map(watchLoads(rig, state, solved, ratedV).map((reading) => [reading.part, reading]))
  for (const [part, { isWorking, isHarmed, volt }] of readings) {
    const was = before?.get(part)
    if (isWorking !== (was?.isWorking ?? false) && (before || isWorking))
      happenings.push({ atS, kind: isWorking ? 'lit' : 'dark', part, volt })
    if (isHarmed && !was?.isHarmed) happenings.push({ atS, kind: 'overvoltage', part, volt })
  }
  course.before = readings
  const running = { ...stillRunning(state, readings), ...gridRemembered(rig, state, { solved, ratedV }) }
  course.state = { ...state, running }
  noteMotors(course, readings)
}

/** Motors run up while they have their voltage. */
function noteMotors(
  { rig, state, nowS, motorsSince: since }: Course,
  readings: ReadonlyMap<string, LoadReading>,
): void {
  for (const part of rig.parts) {
    if (part.kind !== 'appliance' || part.load.kind !== 'motor') continue
    const isTurning = readings.get(part.id)?.isWorking ?? false
    if (!isTurning || state.running[part.id]) since.delete(part.id)
    else if (!since.has(part.id)) since.set(part.id, nowS)
  }
}

/** A motor that has lost its voltage must run up again. */
const stillRunning = (state: BayState, readings: ReadonlyMap<string, LoadReading>): BayState['running'] =>
  Object.fromEntries(Object.entries(state.running).filter(([part]) => readings.get(part)?.isWorking))

/** The motor that will have run up first. */
const nextMotor = ({
  rig,
  motorsSince,
}: Course): { readonly part: string; readonly atS: number } | undefined =>
  [...motorsSince]
    .map(([part, sinceS]) => ({ part, atS: sinceS + startTimeOf(rig, part) }))
    .sort((a, b) => a.atS - b.atS)[0]

function startTimeOf(rig: Rig, id: string): number {
  const part = rig.parts.find((candidate) => candidate.id === id)
  return part?.kind === 'appliance' && part.load.kind === 'motor' ? part.load.startS : 0
}
