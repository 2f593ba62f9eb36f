import type { BayState } from '#core/bay/behaviour/state'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { inTurn, tryOut, type Act } from '#core/bay/practice/trial'
import { formatDuration } from '#core/units/format'
import { happeningSentence } from '../happenings'
import type { Scene } from './experiment'

/** How a bay stands, to be looked at: nothing is done to it. */
export const still = (rig: Rig, state: BayState, name = ''): Scene => ({
  name,
  rig,
  state,
  actions: [],
  untilS: 1,
})

/** Runs actions a second apart and tells what happened, each line with its time; and the same to be watched. */
export function play(
  rig: Rig,
  state: BayState,
  acts: readonly Act[],
  untilS = 60,
): ReturnType<typeof tryOut> & { readonly lines: string[]; readonly scene: Scene } {
  const tried = tryOut(rig, state, acts, untilS)
  const parts = indexParts(rig)
  const lines = tried.happenings
    .filter(({ kind }) => kind !== 'settled')
    .map((happening) => `${formatDuration(happening.atS)}: ${happeningSentence(happening, parts)}`)
  return { ...tried, lines, scene: { name: '', rig, state, actions: inTurn(acts), untilS } }
}

/** Voltage as a meter shows it. */
export const volts = (v: number): string => `${v.toFixed(v < 10 ? 1 : 0)} V`
