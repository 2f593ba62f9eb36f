import { arcFaultDetection } from './steps/arc-fault'
import { effectiveRating, minimumTabulatedCurrent } from './steps/capacity'
import { resistancePerMetre, tabulatedCurrent, voltDropPerAmpMetre } from './steps/cable-rows'
import { conductorArea } from './steps/conductor-area'
import { containmentSize } from './steps/containment-size'
import { designCurrent } from './steps/design-current'
import { deviceRating } from './steps/device-rating'
import { ambientFactor, deviceFactor, groupingFactor, insulationFactor } from './steps/factors'
import { deviceDirection } from './steps/direction'
import { faultCurrentAtFarBoard } from './steps/far-board'
import { adiabaticArea, breakingCapacity, disconnectionTime, letThroughEnergy } from './steps/fault-duty'
import {
  coldResistance,
  earthFaultCurrent,
  hotResistance,
  lineEndToEnd,
  loopImpedance,
  neutralEndToEnd,
  protectiveEndToEnd,
} from './steps/fault-loop'
import { maximumLoopImpedance } from './steps/maximum-loop-impedance'
import { residualDelay, rcdDevice, rcdTypeStep } from './steps/rcd'
import { selectivityStep } from './steps/selectivity'
import { startingCurrent } from './steps/starting-current'
import type { CircuitStep } from './steps/step-context'
import { temperatureOfDrop, voltageDrop, voltageDropFromOrigin } from './steps/voltage-drop'

/** What a board must know of its circuits before its demand can be reckoned. */
export const LOAD_STEPS: readonly CircuitStep[] = [designCurrent, startingCurrent, deviceRating]

/** The rest of a circuit's design, in the order in which it is worked; every step's `needs` stand before it. */
export const CABLE_STEPS: readonly CircuitStep[] = [
  ambientFactor,
  groupingFactor,
  insulationFactor,
  deviceFactor,
  minimumTabulatedCurrent,
  conductorArea,
  tabulatedCurrent,
  effectiveRating,
  voltDropPerAmpMetre,
  temperatureOfDrop,
  voltageDrop,
  voltageDropFromOrigin,
  resistancePerMetre,
  lineEndToEnd,
  neutralEndToEnd,
  protectiveEndToEnd,
  coldResistance,
  hotResistance,
  loopImpedance,
  rcdDevice,
  rcdTypeStep,
  residualDelay,
  maximumLoopImpedance,
  earthFaultCurrent,
  disconnectionTime,
  letThroughEnergy,
  adiabaticArea,
  breakingCapacity,
  faultCurrentAtFarBoard,
  selectivityStep,
  arcFaultDetection,
  deviceDirection,
  containmentSize,
]

/** A circuit's whole design. */
export const CIRCUIT_CHAIN: readonly CircuitStep[] = [...LOAD_STEPS, ...CABLE_STEPS]
