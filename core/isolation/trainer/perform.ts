import { touchTerminal } from '../../bay/behaviour/touch'
import { prepare } from '../../bay/instruments/setup'
import type { Rig, StandbySource } from '../../bay/model/rig'
import { partIdOf } from '../../bay/model/terminals'
import { NOTICE_PARTS, type Act, type DeviceKind, type Proof } from '../model/act'
import { follow } from './follow'
import { replies, saysScript, sees, type Line } from './line'
import type { Move, MoveOf } from './move'
import { SECOND } from './second'
import type { TrainerState } from './state'
import { surprise, surpriseAfterOpening, unlockedOn } from './surprise'
import { deviceEnds, showAt, showsLive, testTerminals } from './test-point'

/** Walking and everything else take this long, s; shown, never scored. */
const WALK_S = 25
const ACT_S = 12
const AWAY_S = 900

/** The state after a move. Same world, same moves, same state. */
export function perform(before: TrainerState, move: Move): TrainerState {
  const state = surprise(before, move)
  return (PERFORMERS[move.do] as Performer<Move>)({ state, move, done: doneIn(state, move) })
}

interface Performing<M> {
  readonly state: TrainerState
  readonly move: M
  /** The state with this act and its lines; `more` stands behind what you did. */
  readonly done: Done
}
type Performer<M> = (performing: Performing<M>) => TrainerState
type Done = (
  act: Partial<Act> & Pick<Act, 'kind'>,
  change?: Partial<TrainerState>,
  more?: readonly Line[],
  facts?: Partial<Extract<Line, { who: 'you' }>>,
) => TrainerState

const doneIn =
  (state: TrainerState, move: Move): Done =>
  (act, change = {}, more = [], facts = {}) => ({
    ...state,
    shown: null,
    ...change,
    acts: [
      ...state.acts,
      {
        atS: state.clockS,
        place: state.place,
        ...(state.indicator ? { indicator: state.indicator } : {}),
        ...act,
      },
    ],
    lines: [...state.lines, { who: 'you', move, ...facts }, ...more],
    clockS: state.clockS + ACT_S,
  })

/** An act that changes nothing but the story. */
const tells =
  (kind: Act['kind'], more: readonly Line[] = []): Performer<unknown> =>
  ({ done }) =>
    done({ kind }, {}, more)
/** An act with what it changes. */
const changes =
  (kind: Act['kind'], change: Partial<TrainerState>, more: readonly Line[] = []): Performer<unknown> =>
  ({ done }) =>
    done({ kind }, change, more)

const without = (all: readonly string[], removed: string) => all.filter((other) => other !== removed)

const PERFORMERS: { readonly [D in Move['do']]: Performer<MoveOf<D>> } = {
  walk: ({ state, move }) => ({ ...state, place: move.to, shown: null, clockS: state.clockS + WALK_S }),
  ask: ({ move, done }) =>
    done({ kind: move.topic === 'else' ? 'askDependants' : 'ask' }, {}, [saysScript(move.topic)]),
  inform: tells('inform', [replies('willTell')]),
  permit: changes('permit', { hasPermit: true }, [replies('permitGiven')]),
  handBack: changes('handBack', { hasPermit: false }, [replies('permitClosed')]),
  informAgain: tells('informAgain', [replies('good')]),
  warnNeutral: tells('warnNeutral'),
  readChart: changes('identify', { chartRead: true }),
  lookOver: ({ done }) => done({ kind: 'lookOver', shows: true }, {}, [sees('soundLeads')]),
  goAway,
  take: ({ move: { indicator }, done }) =>
    done({ kind: 'take', indicator }, { indicator, isIndicatorWorking: true }),
  prove,
  test: testPoint,
  testDevice,
  switch: switchDevice,
  lock: ({ state, move, done }) =>
    done({ kind: 'lock', device: move.device }, { locks: [...state.locks, move.device] }),
  unlock: ({ state, move, done }) =>
    done(
      { kind: 'removeOwnLock', device: move.device },
      { locks: without(state.locks, move.device) },
      state.othersLock === move.device ? [sees('otherPadlock')] : [],
    ),
  hasp: ({ state, move, done }) =>
    done({ kind: 'hasp', device: move.device }, { hasps: [...state.hasps, move.device] }),
  mateLocks: ({ move, done }) =>
    done({ kind: 'othersLock', device: move.device }, { othersLock: move.device }, [replies('mateLocked')]),
  keepKey: tells('keepKey'),
  leaveKey: tells('leaveKey'),
  notice: ({ state, move, done }) =>
    done(
      { kind: 'notice', device: move.device, content: [...NOTICE_PARTS] },
      { notices: [...state.notices, move.device] },
    ),
  blankNotice: ({ state, move, done }) =>
    done({ kind: 'notice', device: move.device, content: [] }, { notices: [...state.notices, move.device] }),
  removeNotice: ({ state, move, done }) =>
    done({ kind: 'removeNotice', device: move.device }, { notices: without(state.notices, move.device) }),
  waitForOther: changes('informAgain', { othersLock: null }, [replies('lockOff')]),
  cutOthersLock: changes('removeOthersLock', { othersLock: null }),
  open: ({ done }) => surpriseAfterOpening(done({ kind: 'open' }, { isOpen: true })),
  part: ({ state, done }) => done({ kind: 'separate' }, { isParted: true, rig: disconnected(state) }),
  tape: changes('tape', { isTaped: true }),
  work,
  cover: ({ state, done }) =>
    done({ kind: 'cover' }, { isOpen: false, isParted: false, isTaped: false, rig: state.world.rig }),
  clearTools: tells('clearTools'),
  startAgain: changes('restart', { hasSwitchedOff: false, chartRead: false }),
  checkFunction,
}

const pointOf = (state: TrainerState) => state.rig.parts.find(({ id }) => id === state.world.point)!

/** The rig with every neutral of the point out of its terminal. */
function disconnected({ rig, bay, world }: TrainerState): Rig {
  const neutral = `${world.point}.N`
  const freed = rig.wires
    .filter(({ from, to }) => from === neutral || to === neutral)
    .map(({ id, from }) => ({ wire: id, end: from === neutral ? ('from' as const) : ('to' as const) }))
  return prepare(rig, bay, { freed, links: [] }).rig
}

function prove({ state, move: { on }, done }: Performing<MoveOf<'prove'>>): TrainerState {
  const here: Proof = state.place === 'source' ? 'known-source' : 'same-circuit'
  const proof = on === 'here' ? here : on
  const indicator = state.indicator!
  // Its own test button only shows that lamp and battery work.
  const shows =
    proof === 'same-circuit'
      ? showsLive(showAt(state, indicator, testTerminals(state, pointOf(state)), true))
      : state.isIndicatorWorking
  return done({ kind: 'prove', proof, shows }, {}, [sees(shows ? 'lights' : 'lightsNot')], {
    indicator,
    proof,
  })
}

function testPoint({ state, move, done }: Performing<MoveOf<'test'>>): TrainerState {
  const shown = showAt(state, state.indicator!, testTerminals(state, pointOf(state)), move.every)
  const act = { kind: testKind(state), shows: showsLive(shown), atPoint: true, pairs: shown.pairs.length }
  return done(act, { shown })
}

/** What a test at the point is, by how far the isolation has come. */
function testKind({ isParted, isOpen, hasSwitchedOff }: TrainerState): Act['kind'] {
  if (isParted) return 'testSeparated'
  if (isOpen) return 'testTerminals'
  return hasSwitchedOff ? 'testDead' : 'checkLive'
}

function testDevice({ state, move, done }: Performing<MoveOf<'testDevice'>>): TrainerState {
  const shown = showAt(state, state.indicator!, deviceEnds(state, move.device), true)
  const kind = state.hasSwitchedOff ? 'testDead' : 'checkLive'
  return done({ kind, shows: showsLive(shown), atPoint: false, pairs: shown.pairs.length }, { shown })
}

function switchDevice({ state, move: { device }, done }: Performing<MoveOf<'switch'>>): TrainerState {
  const isOn = !(state.bay.closed[device] ?? false)
  const isMain = state.rig.parts.some(
    (part) => part.id === device && part.kind === 'device' && part.role === 'main-switch',
  )
  const { bay, seen } = follow(state.rig, state.bay, [{ atS: 0, kind: 'close', part: device, on: isOn }])
  const hasSwitchedOff = isOn ? state.hasSwitchedOff : true
  const opened = isOn ? {} : { deviceKind: deviceKindOf(state.rig, device) }
  const source = sourceBehind(state.rig, device)
  const act: Parameters<Done>[0] =
    !isOn && source
      ? { kind: 'isolateSource', source: SECOND[source], device }
      : { kind: isOn ? 'switchOn' : 'switchOff', isMain, device, ...opened }
  return done(act, { bay, hasSwitchedOff }, seen, { isOn })
}

/** The second source that a device isolates, where it is wired to one. */
function sourceBehind(rig: Rig, device: string): StandbySource['source'] | undefined {
  const joined = rig.wires.flatMap(({ from, to }) => {
    const ends = [partIdOf(from), partIdOf(to)]
    return ends.includes(device) ? ends : []
  })
  return rig.parts.find((part): part is StandbySource => part.kind === 'standby' && joined.includes(part.id))
    ?.source
}

/** What kind of device somebody opens, by the poles that part. */
function deviceKindOf(rig: Rig, device: string): DeviceKind | undefined {
  const part = rig.parts.find(({ id }) => id === device)
  if (part?.kind !== 'device') return undefined
  if (part.role === 'main-switch' || part.role === 'isolator') return 'isolator'
  return part.poles.length - part.solid.length > 1 ? 'two-pole-breaker' : 'single-pole-breaker'
}

/** Away for a while and back again: what is off and not locked, somebody has switched on meanwhile. */
function goAway({ state, done }: Performing<unknown>): TrainerState {
  const left = done({ kind: 'leave' })
  const clockS = left.clockS + AWAY_S
  const back: Act = { atS: clockS, kind: 'return', place: state.place }
  return { ...left, ...unlockedOn(left), clockS, acts: [...left.acts, back] }
}

/** Hands on every conductor: what each of them would do to whoever touches it. */
function work({ state, done }: Performing<unknown>): TrainerState {
  const touched = testTerminals(state, pointOf(state))
    .map((ref) => touchTerminal(state.rig, state.bay, ref))
    .reduce((a, b) => (b.ampere > a.ampere ? b : a))
  const after = done({ kind: 'touch' }, {}, [{ who: 'see', touched }])
  return touched.effect === 'unfelt'
    ? after
    : { ...after, touches: [...state.touches, { act: state.acts.length, touched }] }
}

function checkFunction({ state, done }: Performing<unknown>): TrainerState {
  const { indicator } = state
  const shown = indicator ? showAt(state, indicator, testTerminals(state, pointOf(state)), true) : null
  const isBack = shown !== null && showsLive(shown)
  const seen = isBack ? 'supplyBack' : 'noSupplyHere'
  const sight = shown === null ? 'works' : seen
  return done({ kind: 'checkFunction' }, { shown }, [sees(sight)])
}
