import { magnitude, type Complex } from '../network/complex'
import type { Solved } from '../network/solve'
import type { Rig, TerminalRef } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'
import type { Action, Happening } from './happenings'
import { isBattery } from './live'
import { ratedVolt, solveBay } from './network-of'
import { simulate, type Moment } from './simulate'
import type { BayState } from './state'
import { watchLoads } from './watch'

/** A bay between two events: how everything stands, and what flows until the next. */
export interface Frame {
  /** When it begins, s from the start. */
  readonly atS: number
  /** What brought it about. */
  readonly happenings: readonly Happening[]
  readonly state: BayState
  /** Parts that work. */
  readonly working: readonly string[]
  /** Devices that have opened by themselves so far and were not closed again. */
  readonly tripped: readonly string[]
  /**
   * What each conductor carries, A: above zero from its first end to its other, as power goes in a line and comes back
   * in a neutral; conductors that carry next to nothing are left out.
   */
  readonly currents: Readonly<Record<string, number>>
}

/** A conductor that carries less is drawn at rest, A: below it no instrument of a bay shows anything. */
const LEAST_A = 0.5e-3
/** Above this a conductor's own voltage says which way power goes, V. */
const HAS_VOLT = 10

/** What happens at a bay, as pictures to be played: one for each time between two events. */
export function filmOf(
  rig: Rig,
  from: BayState,
  actions: readonly Action[],
  untilS: number,
): readonly Frame[] {
  const frames: Frame[] = []
  let told = 0
  let tripped = new Set<string>()
  const { happenings } = simulate(rig, from, actions, {
    untilS,
    watch: (moment) => {
      const news = moment.happenings.slice(told)
      told += news.length
      tripped = trippedAfter(tripped, news)
      frames.push(frameOf(moment, news, [...tripped]))
    },
  })
  // What came after the last solution, such as that nothing more happens, belongs to the last picture.
  const last = frames.at(-1)
  const rest = happenings.slice(told)
  return last ? [...frames.slice(0, -1), { ...last, happenings: [...last.happenings, ...rest] }] : []
}

function trippedAfter(before: ReadonlySet<string>, news: readonly Happening[]): Set<string> {
  const now = new Set(before)
  for (const happening of news) {
    if (happening.kind === 'tripped') now.add(happening.part)
    if (happening.kind === 'done' && happening.action.kind === 'close') now.delete(happening.action.part)
  }
  return now
}

function frameOf(
  { atS, rig, state, solved }: Moment,
  happenings: readonly Happening[],
  tripped: readonly string[],
): Frame {
  return {
    atS,
    happenings,
    state,
    working: watchLoads(rig, state, solved, ratedVolt(rig)).flatMap(({ part, isWorking }) =>
      isWorking ? [part] : [],
    ),
    tripped,
    currents: flowOf(rig, solved),
  }
}

/** What flows in each conductor of a bay as it stands, A, signed as in a frame; nothing where it cannot be solved. */
export function flowNow(rig: Rig, state: BayState): Record<string, number> {
  const solved = solveBay(rig, state, { hertz: isBattery(rig) ? 0 : 50 })
  return solved.ok ? flowOf(rig, solved) : {}
}

function flowOf(rig: Rig, solved: Solved): Record<string, number> {
  const parts = indexParts(rig)
  const voltAt = (ref: TerminalRef): Complex => solved.volt(nodeOf(parts, ref))
  const flow: Record<string, number> = {}
  for (const { id, from } of rig.wires) {
    const ampere = solved.ampere(id)
    const size = magnitude(ampere)
    if (size >= LEAST_A) flow[id] = size * directionOf(voltAt(from), ampere)
  }
  return flow
}

/** 1 where it goes from the first end to the other: by its own voltage, or by the first line's where it has none. */
function directionOf(volt: Complex, ampere: Complex): 1 | -1 {
  const against = magnitude(volt) > HAS_VOLT ? volt : { re: 1, im: 0 }
  return against.re * ampere.re + against.im * ampere.im >= 0 ? 1 : -1
}
