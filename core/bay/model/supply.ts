import { U0_V } from '../../regulations/supply'
import type { Supply } from './rig'

/** Star point to the mass of earth at the source, Ω; common practice, no source. */
export const SOURCE_EARTH_OHM = 0.1
const BATTERY_V = 48

/** Voltage that a supply of this arrangement usually has, line to neutral, V. */
export const nominalVoltOf = (arrangement: Supply['arrangement']): number =>
  arrangement === 'battery' ? BATTERY_V : U0_V
