import { energiseInOrder } from '../../bay/behaviour/energise'
import type { Action, Happening } from '../../bay/behaviour/happenings'
import { simulate, type Simulated } from '../../bay/behaviour/simulate'
import { deadState } from '../../bay/behaviour/state'
import type { Rig } from '../../bay/model/rig'

const SETTLE_S = 60
/** A heater stays plugged in this long. */
const PLUGGED_S = 2

type Noticed = Extract<Happening, { kind: 'tripped' | 'overvoltage' | 'failedToBreak' }>

/** What somebody notices: a device that opens or is overstressed, or points that do not work. */
export type Symptom =
  | {
      readonly is: 'happening'
      readonly happening: Noticed
      /** What was done before it, and how long before, s. */
      readonly after: Action | null
      readonly waitedS: number
    }
  | { readonly is: 'dark'; readonly parts: readonly string[] }

/**
 * What is noticed at a bay that has been energised in order, a heater plugged in at each socket in turn. Empty
 * where nothing shows.
 */
export function symptomsOf(built: Rig, meant: Rig): Symptom[] {
  const energised = (rig: Rig) => simulate(rig, deadState(rig), energiseInOrder(rig), { untilS: SETTLE_S })
  const [own, sound] = [energised(built), energised(meant)]
  const works = litAtTheEnd(own.happenings)
  const darkLoads = [...litAtTheEnd(sound.happenings)].filter((part) => !works.has(part))
  const trials = built.parts.flatMap(({ id, kind }) => (kind === 'socket' ? [pluggedIn(own, id)] : []))
  // A device that opens for every socket behind it is told once.
  const opened = new Set(own.happenings.flatMap((entry) => (entry.kind === 'tripped' ? [entry.part] : [])))
  const atSockets = trials.flatMap(({ noticed }) =>
    noticed.filter(({ happening: { part } }) => !opened.has(part) && opened.add(part)),
  )
  const darkSockets = trials.flatMap(({ part, isFed }) => (isFed ? [] : [part]))
  const dark = [...darkLoads, ...darkSockets]
  return [
    ...noticedIn(own.happenings),
    ...atSockets,
    ...(dark.length > 0 ? [{ is: 'dark', parts: dark } as const] : []),
  ]
}

/** What a heater at this socket does, from the bay as it has settled. */
function pluggedIn({ rig, state }: Simulated, part: string) {
  const action: Action = { atS: 0, kind: 'use', part, on: true }
  const { happenings } = simulate(rig, state, [action], { untilS: PLUGGED_S })
  const noticed = noticedIn(happenings)
  const isFed = noticed.length > 0 || happenings.some((entry) => entry.kind === 'lit' && entry.part === part)
  return { part, noticed, isFed }
}

/** The happenings that somebody notices, each with what was done before it. */
function noticedIn(happenings: readonly Happening[]): Extract<Symptom, { is: 'happening' }>[] {
  let last: Action | null = null
  return happenings.flatMap((entry) => {
    if (entry.kind === 'done') last = entry.action
    const isNoticed =
      entry.kind === 'tripped' || entry.kind === 'overvoltage' || entry.kind === 'failedToBreak'
    return isNoticed
      ? [{ is: 'happening' as const, happening: entry, after: last, waitedS: entry.atS - (last?.atS ?? 0) }]
      : []
  })
}

function litAtTheEnd(happenings: readonly Happening[]): ReadonlySet<string> {
  const on = new Set<string>()
  for (const happening of happenings) {
    if (happening.kind === 'lit') on.add(happening.part)
    else if (happening.kind === 'dark') on.delete(happening.part)
  }
  return on
}
