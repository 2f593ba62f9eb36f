import { simulate } from '#core/bay/behaviour/simulate'
import { workingState, type BayState } from '#core/bay/behaviour/state'
import type { Happening } from '#core/bay/behaviour/happenings'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, type PartIndex } from '#core/bay/model/terminals'
import { formatDuration } from '#core/units/format'
import { happeningSentence } from '../../happenings'

/** Bay loads at work: what is plugged in and fitted. */
export const inUse = (rig: Rig): BayState => ({
  ...workingState(rig),
  inUse: Object.fromEntries(rig.parts.map(({ id }) => [id, true])),
})
const MOST_LINES = 8

/** Loads that go off or come on together are told in one line. */
const NAMED = 2

/** What the model says, as a timeline; that things work as usual before anything is done is left out. */
export function timeline(rig: Rig, happenings: readonly Happening[]): string {
  const parts = indexParts(rig)
  const told = happenings.filter(({ kind }) => kind !== 'settled')
  const begins = told.findIndex(({ kind }) => kind !== 'lit')
  const lines = together(told.slice(Math.max(0, begins))).map((group) => {
    const [first] = group
    const more = group.length - NAMED
    if (more < 1) return group.map((one) => lineOf(one, parts)).join('\n')
    return `${lineOf(first!, parts).slice(0, -1)}, and ${more + 1} more.`
  })
  if (lines.length === 0) return 'Nothing happens that a device or a lamp would show.'
  const isCalm = told.every(({ kind }) => kind !== 'tripped' && kind !== 'failedToBreak')
  return [
    ...lines.slice(0, MOST_LINES),
    ...(lines.length > MOST_LINES ? ['and so on'] : []),
    ...(isCalm ? ['Nothing opens by itself.'] : []),
  ].join('\n')
}
const lineOf = (happening: Happening, parts: PartIndex): string =>
  `${formatDuration(happening.atS)}: ${happeningSentence(happening, parts)}`

/** Neighbours of one kind at one moment, where they are loads. */
function together(told: readonly Happening[]): Happening[][] {
  const groups: Happening[][] = []
  for (const one of told) {
    const last = groups.at(-1)
    const isAlike =
      (one.kind === 'dark' || one.kind === 'lit') && last?.[0]?.kind === one.kind && last[0].atS === one.atS
    if (isAlike) last!.push(one)
    else groups.push([one])
  }
  return groups
}

/** Loads that work when everything is in use. */
function workingIn(rig: Rig): Set<string> {
  const { happenings } = simulate(rig, inUse(rig), [], { untilS: 1 })
  const working = new Set<string>()
  for (const one of happenings) {
    if (one.kind === 'lit') working.add(one.part)
    if (one.kind === 'dark') working.delete(one.part)
  }
  return working
}
/** Names of what works in the sound bay and not in this one. */
export function goneDark(sound: Rig, rig: Rig): string[] {
  const still = workingIn(rig)
  return [...workingIn(sound)]
    .filter((id) => !still.has(id))
    .flatMap((id) => sound.parts.find((part) => part.id === id)?.name ?? [])
}
