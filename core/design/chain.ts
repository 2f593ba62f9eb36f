import { ambientFactor } from './steps/ambient-factor'
import { breakingCapacity } from './steps/breaking-capacity'
import { resistancePerMetre, tabulatedCurrent, voltDropPerAmpMetre } from './steps/cable-rows'
import { conductorArea } from './steps/conductor-area'
import { designCurrent } from './steps/design-current'
import { deviceRating } from './steps/device-rating'
import { coldResistance, hotResistance, loopImpedance } from './steps/fault-loop'
import { groupingFactor } from './steps/grouping-factor'
import { maximumLoopImpedance } from './steps/maximum-loop-impedance'
import { minimumTabulatedCurrent } from './steps/minimum-tabulated-current'
import { residualDevice } from './steps/residual-device'
import { voltageDrop } from './steps/voltage-drop'
import type { Step } from './step'

/** The design in the order in which it is worked; every step's `needs` stand before it. */
export const CHAIN: readonly Step[] = [
  designCurrent,
  deviceRating,
  ambientFactor,
  groupingFactor,
  minimumTabulatedCurrent,
  conductorArea,
  tabulatedCurrent,
  voltDropPerAmpMetre,
  voltageDrop,
  resistancePerMetre,
  coldResistance,
  hotResistance,
  loopImpedance,
  residualDevice,
  maximumLoopImpedance,
  breakingCapacity,
]
