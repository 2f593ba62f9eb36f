import { follow } from './follow'
import { saysScript, sees } from './line'
import type { Move } from './move'
import type { TrainerState } from './state'
import type { Surprise } from './world'

type Happen = (state: TrainerState, move: Move) => Partial<TrainerState> | undefined

/** The indicator's battery dies before the dead test. */
const batteryDies: Happen = (state, move) =>
  move.do === 'test' && state.place === 'point' && state.hasSwitchedOff
    ? { isIndicatorWorking: false }
    : undefined

/** Somebody switches on whatever is off and not locked, as soon as the board is left. */
const switchedOnAgain: Happen = (state, move) =>
  move.do !== 'walk' || state.place !== 'board' || !state.hasSwitchedOff ? undefined : unlockedOn(state)

/** Everything in a board that is off and not locked is on again; undefined where nothing is. */
export function unlockedOn(state: TrainerState): Pick<TrainerState, 'bay'> | undefined {
  const off = state.rig.parts.filter(
    (part) =>
      part.kind === 'device' &&
      part.board !== null &&
      !state.bay.closed[part.id] &&
      !state.locks.includes(part.id),
  )
  if (off.length === 0) return undefined
  const closed = { ...state.bay.closed, ...Object.fromEntries(off.map(({ id }) => [id, true])) }
  return { bay: { ...state.bay, closed } }
}

/** A disconnected neutral that is not kept apart touches the earth. */
const neutralTouches: Happen = (state, move) => {
  if (!state.isParted || state.isTaped || move.do === 'tape') return undefined
  const free = state.rig.parts.find(({ id }) => id.startsWith('free-'))
  const leak = {
    id: 'parted',
    from: free ? `${free.id}.S` : `${state.world.point}.N`,
    to: `${state.world.point}.E`,
    ohm: 0.05,
  }
  const { bay, seen } = follow(state.rig, state.bay, [{ atS: 0, kind: 'fault', leak }])
  return { bay, lines: [...state.lines, sees('partedTouches'), ...seen] }
}

const BEFORE: Readonly<Partial<Record<Surprise['kind'], Happen>>> = {
  battery: batteryDies,
  reset: switchedOnAgain,
  neutralTouchesEarth: neutralTouches,
}

/** What happens by itself before this move: the first of the scenario's surprises whose moment has come, once. */
export function surprise(state: TrainerState, move: Move): TrainerState {
  for (const { kind } of state.world.surprises) {
    if (state.spent.includes(kind)) continue
    const change = BEFORE[kind]?.(state, move)
    if (change) return { ...state, ...change, spent: [...state.spent, kind] }
  }
  return state
}

/** Somebody turns a switch while the accessory is open. */
export function surpriseAfterOpening(state: TrainerState): TrainerState {
  const found = state.world.surprises.find(({ kind }) => kind === 'switchedOn')
  if (!found || found.kind !== 'switchedOn') return state
  const { bay } = follow(state.rig, state.bay, [{ atS: 0, kind: 'throw', part: found.part, on: true }])
  return { ...state, bay, lines: [...state.lines, saysScript('shout')] }
}
