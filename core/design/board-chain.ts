import type { BoardStep } from './board/board-task'
import { maximumDemand } from './board/demand'
import {
  bondingConductor,
  busbarRating,
  earthingConductor,
  mainSwitch,
  surgeProtection,
  tailsArea,
} from './board/intake-steps'

/** Reckoned from the loads, before the circuits' cables are. */
export const DEMAND_STEPS: readonly BoardStep[] = [maximumDemand]
export const SWITCH_STEPS: readonly BoardStep[] = [
  mainSwitch,
  busbarRating,
  tailsArea,
  earthingConductor,
  bondingConductor,
  surgeProtection,
]
/** A board's whole design. */
export const BOARD_CHAIN: readonly BoardStep[] = [...DEMAND_STEPS, ...SWITCH_STEPS]
