import { simulate } from '../../bay/behaviour/simulate'
import type { Rig } from '../../bay/model/rig'
import type { Line } from './line'
import type { TrainerState } from './state'

/** How long what follows an act is watched, s. */
const FOLLOW_S = 5

export interface Followed {
  readonly bay: TrainerState['bay']
  readonly seen: readonly Line[]
}

/** What a hand's act brings about, and what of it can be seen from here: devices that open. */
export function follow(
  rig: Rig,
  bay: TrainerState['bay'],
  actions: Parameters<typeof simulate>[2],
): Followed {
  const { state, happenings } = simulate(rig, bay, actions, { untilS: FOLLOW_S })
  return {
    bay: state,
    seen: happenings
      .filter(({ kind }) => kind === 'tripped')
      .map((happening): Line => ({ who: 'see', happening })),
  }
}
