import { openingBand, plugFuseBand, type TimeBand } from '../protection/band'
import { USUAL_THRESHOLD, arcTimeS, rcdBand } from '../protection/rcd'
import type { Solved } from '../network/solve'
import { magnitude } from '../network/complex'
import { DEVICES, MAGNETIC_BAND } from '../../regulations/devices'
import type { DevicePart, Rig, Supply } from '../model/rig'
import type { Action, Happening, TripCause } from './happenings'
import { solveBay } from './network-of'
import type { BayState } from './state'
import { watchDevice, watchLoads, type LoadReading } from './watch'

export interface Specimens {
  /** Share of IΔn at which RCDs trip, 0.5 to 1. */
  readonly rcdShare: number
  /** Where in their time band overcurrent devices stand. */
  readonly overcurrent: keyof TimeBand
}

export const USUAL_SPECIMENS: Specimens = { rcdShare: USUAL_THRESHOLD, overcurrent: 'usualS' }

export interface Simulated {
  readonly happenings: readonly Happening[]
  readonly state: BayState
  /** The rig with the faults that came to it on the way. */
  readonly rig: Rig
}

/** From here on a latch has let go and the device opens, whatever the current does then: a share of its opening time. */
const COMMITTED = 0.5
/** An hour stands for "does not open". */
const LONGEST_S = 7200
/** More events than this are a device that chatters. */
const MOST_EVENTS = 400

/** One reason why a device may open, and how far it has come. */
interface Threat {
  readonly cause: TripCause
  readonly opensS: number
  readonly ampere: number
  readonly isLatching: boolean
  readonly poles: Readonly<Record<string, number>>
}

/**
 * What happens at a bay: actions in order, devices opening when their time has come, loads going dark. Time that a device
 * has carried an overcurrent is added up as shares of its opening time. Ends when nothing is left to happen or after `untilS`.
 */
export function simulate(
  start: Rig,
  from: BayState,
  actions: readonly Action[],
  {
    untilS = 10,
    specimens = USUAL_SPECIMENS,
  }: { readonly untilS?: number; readonly specimens?: Specimens } = {},
): Simulated {
  const happenings: Happening[] = []
  const waiting = [...actions].sort((a, b) => a.atS - b.atS)
  const ratedV = start.parts.find((part): part is Supply => part.kind === 'supply')?.volt ?? 230
  const hertz = start.parts.some((part) => part.kind === 'supply' && part.arrangement === 'battery') ? 0 : 50
  /** How far each device has come, 0 to 1, by cause, and since when. */
  const progress = new Map<
    string,
    { share: number; sinceS: number; ampere: number; poles: Readonly<Record<string, number>> }
  >()
  const stuck = new Set<string>()
  const motorsSince = new Map<string, number>()
  let rig = start
  let state = from
  let now = 0
  let before: ReadonlyMap<string, LoadReading> | undefined

  for (let event = 0; event < MOST_EVENTS; event += 1) {
    const solved = solveBay(rig, state, { hertz })
    if (!solved.ok) {
      happenings.push({ atS: now, kind: 'unsolved', reason: solved.reason, name: solved.name })
      break
    }
    before = noteLoads(rig, state, solved, ratedV, now, before, happenings)
    state = { ...state, running: stillRunning(state, before) }
    noteMotors(rig, before, state, now, motorsSince)

    // What will open, and when.
    const due: { readonly atS: number; readonly device: DevicePart; readonly threat: Threat }[] = []
    for (const device of rig.parts) {
      if (device.kind !== 'device' || !state.closed[device.id] || stuck.has(device.id)) continue
      const threats = threatsTo(rig, device, solved, specimens)
      for (const cause of CAUSES) {
        const key = `${device.id} ${cause}`
        const threat = threats.find((one) => one.cause === cause)
        const kept = progress.get(key)
        if (threat) {
          const known = kept ?? { share: 0, sinceS: now, ampere: threat.ampere, poles: threat.poles }
          progress.set(
            key,
            kept && kept.share >= COMMITTED
              ? known
              : { ...known, ampere: threat.ampere, poles: threat.poles },
          )
          if (threat.opensS < LONGEST_S)
            due.push({ atS: now + (1 - known.share) * threat.opensS, device, threat })
        } else if (kept && kept.share >= COMMITTED && LATCHING.has(cause)) {
          due.push({
            atS: now,
            device,
            threat: { cause, opensS: 0, ampere: kept.ampere, isLatching: true, poles: kept.poles },
          })
        } else progress.delete(key)
      }
    }
    const nextTrip = due.sort((a, b) => a.atS - b.atS)[0]
    const nextMotor = [...motorsSince]
      .map(([part, sinceS]) => ({ part, atS: sinceS + startTimeOf(rig, part) }))
      .sort((a, b) => a.atS - b.atS)[0]
    const nextAction = waiting[0]
    const next = Math.min(nextAction?.atS ?? Infinity, nextTrip?.atS ?? Infinity, nextMotor?.atS ?? Infinity)
    if (next > untilS) {
      happenings.push({ atS: Math.min(untilS, next === Infinity ? now : untilS), kind: 'settled' })
      break
    }
    for (const { device, threat } of due) {
      const known = progress.get(`${device.id} ${threat.cause}`)!
      progress.set(`${device.id} ${threat.cause}`, {
        ...known,
        share: threat.opensS === 0 ? 1 : Math.min(1, known.share + (next - now) / threat.opensS),
      })
    }
    now = next
    if (nextAction && nextAction.atS <= now) {
      waiting.shift()
      ;({ rig, state } = act(rig, state, nextAction))
      happenings.push({ atS: now, kind: 'done', action: nextAction })
    } else if (nextTrip && nextTrip.atS <= now) {
      const { device, threat } = nextTrip
      const known = progress.get(`${device.id} ${threat.cause}`)!
      const reading = watchDevice(device, solved)
      CAUSES.forEach((cause) => progress.delete(`${device.id} ${cause}`))
      happenings.push({
        atS: now,
        kind: 'tripped',
        part: device.id,
        cause: threat.cause,
        ampere: known.ampere,
        afterS: now - known.sinceS,
        poles: known.poles,
      })
      if (device.marking !== 'either' && reading.isReversed) {
        stuck.add(device.id)
        happenings.push({ atS: now, kind: 'failedToBreak', part: device.id, ampere: reading.ampere })
      } else
        state = {
          ...state,
          closed: { ...state.closed, [device.id]: false },
          testing: { ...state.testing, [device.id]: false },
        }
    } else if (nextMotor) {
      motorsSince.delete(nextMotor.part)
      state = { ...state, running: { ...state.running, [nextMotor.part]: true } }
      happenings.push({ atS: now, kind: 'ranUp', part: nextMotor.part })
    }
  }
  return { happenings, state, rig }
}

const CAUSES: readonly TripCause[] = ['short', 'residual', 'arc', 'overload', 'fuse', 'plugFuse']
const LATCHING: ReadonlySet<TripCause> = new Set<TripCause>(['short', 'residual'])

/** Everything that this device would open for as things are. */
function threatsTo(
  rig: Rig,
  device: DevicePart,
  solved: Solved,
  { rcdShare, overcurrent }: Specimens,
): Threat[] {
  const { ampere, residualA } = watchDevice(device, solved)
  const poles = Object.fromEntries(
    device.poles.map((pole) => [pole, magnitude(solved.ampere(`${device.id}:${pole}`))]),
  )
  const threats: Threat[] = []
  if (device.residual) {
    const band = rcdBand(device.residual, residualA, rcdShare)
    if (band)
      threats.push({ cause: 'residual', opensS: band.usualS, ampere: residualA, isLatching: true, poles })
  }
  if (device.overcurrent) {
    const isFuse = DEVICES[device.overcurrent.family].fuse !== null
    const opensS = openingBand(device.overcurrent, device.ratingA, ampere)[overcurrent]
    if (opensS < Infinity) {
      const isMagnetic =
        !isFuse &&
        ampere >=
          Math.sqrt(
            MAGNETIC_BAND[device.overcurrent.curve!][0] * MAGNETIC_BAND[device.overcurrent.curve!][1],
          ) *
            device.ratingA
      threats.push({
        cause: isFuse ? 'fuse' : isMagnetic ? 'short' : 'overload',
        opensS,
        ampere,
        isLatching: isMagnetic,
        poles,
      })
    }
  }
  if (device.plugFuseA !== null) {
    const opensS = plugFuseBand(device.plugFuseA, ampere)[overcurrent]
    if (opensS < Infinity) threats.push({ cause: 'plugFuse', opensS, ampere, isLatching: false, poles })
  }
  if (device.detectsArcs) {
    // Stated simplification: an arc is declared in the rig, and every arc of a bay is this device's if it carries the current.
    const arc = Math.max(
      0,
      ...rig.wires.filter(({ isArcing }) => isArcing).map(({ id }) => magnitude(solved.ampere(id))),
    )
    const opensS = arc <= ampere + 1e-9 ? arcTimeS(arc) : undefined
    if (opensS !== undefined) threats.push({ cause: 'arc', opensS, ampere: arc, isLatching: false, poles })
  }
  return threats
}

function act(rig: Rig, state: BayState, action: Action): { rig: Rig; state: BayState } {
  const mark = (marks: BayState['closed'], on: boolean) =>
    'part' in action ? { ...marks, [action.part]: on } : marks
  switch (action.kind) {
    case 'supply':
      return { rig, state: { ...state, isSupplyOn: action.on, running: {} } }
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

/** Notes loads that came on, went off or are harmed since the last solution. */
function noteLoads(
  rig: Rig,
  state: BayState,
  solved: Solved,
  ratedV: number,
  atS: number,
  before: ReadonlyMap<string, LoadReading> | undefined,
  happenings: Happening[],
): ReadonlyMap<string, LoadReading> {
  const readings = new Map(watchLoads(rig, state, solved, ratedV).map((reading) => [reading.part, reading]))
  for (const [part, { isWorking, isHarmed, volt }] of readings) {
    const was = before?.get(part)
    if (isWorking !== (was?.isWorking ?? false) && (before || isWorking))
      happenings.push({ atS, kind: isWorking ? 'lit' : 'dark', part, volt })
    if (isHarmed && !was?.isHarmed) happenings.push({ atS, kind: 'overvoltage', part, volt })
  }
  return readings
}

/** Motors run up while they have their voltage. */
function noteMotors(
  rig: Rig,
  readings: ReadonlyMap<string, LoadReading>,
  state: BayState,
  now: number,
  since: Map<string, number>,
): void {
  for (const part of rig.parts) {
    if (part.kind !== 'appliance' || part.load.kind !== 'motor') continue
    const isTurning = readings.get(part.id)?.isWorking ?? false
    if (!isTurning || state.running[part.id]) since.delete(part.id)
    else if (!since.has(part.id)) since.set(part.id, now)
  }
}

/** A motor that has lost its voltage must run up again. */
const stillRunning = (state: BayState, readings: ReadonlyMap<string, LoadReading>): BayState['running'] =>
  Object.fromEntries(Object.entries(state.running).filter(([part]) => readings.get(part)?.isWorking))

function startTimeOf(rig: Rig, id: string): number {
  const part = rig.parts.find((one) => one.id === id)
  return part?.kind === 'appliance' && part.load.kind === 'motor' ? part.load.startS : 0
}
