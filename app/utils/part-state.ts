import type { BayState } from '#core/bay/behaviour/state'
import type { Part } from '#core/bay/model/rig'

/** Is this part closed, turned on, in use? */
export function stateOf(part: Part, state: BayState): boolean {
  switch (part.kind) {
    case 'supply':
      return state.isSupplyOn
    case 'device':
      return state.closed[part.id] ?? false
    case 'switch':
    case 'changeover':
      return state.thrown[part.id] ?? false
    default:
      return state.inUse[part.id] ?? false
  }
}
