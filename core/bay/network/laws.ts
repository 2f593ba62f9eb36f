import { magnitude, real, subtract, type Complex } from './complex'
import type { Law } from './network'
import { SETTLED } from './tolerances'

/** Cold to hot resistance of a filament, and how it rises with the voltage; common practice, no source. */
const COLD_FRACTION = 0.1
const FILAMENT_POWER = 0.5
/** An electronic load starts at this share of its rated voltage. */
const DRIVER_STARTS = 0.35
/** What an electronic load shows an ohmmeter below that, Ω; common practice, no source. */
const DRIVER_IDLE_OHM = 1.5e6
/**
 * A surge arrester below its clamping voltage, Ω; and what it carries at it, A, rising with this power of the
 * voltage above.
 */
const ARRESTER_IDLE_OHM = 1e9
const ARRESTER_A = 1e-3
const ARRESTER_POWER = 9
/** It begins to conduct at this share of its clamping voltage. */
const ARRESTER_STARTS = 0.9

/**
 * Impedance of a load at this voltage across it, V effective; `before` is the last guess, which steep laws
 * lean on.
 */
export function ohmAt(law: Law, volt: number, hertz: number, before: Complex): Complex {
  switch (law.kind) {
    case 'filament': {
      const hot = law.ratedV ** 2 / law.ratedW
      return real(hot * Math.max(COLD_FRACTION, Math.min(1.5, (volt / law.ratedV) ** FILAMENT_POWER)))
    }
    case 'driver': {
      // Once a weak source has let it down it stays off.
      if (volt < law.ratedV * DRIVER_STARTS || before.re >= DRIVER_IDLE_OHM) return real(DRIVER_IDLE_OHM)
      const size = (volt ** 2 / law.ratedW) * (hertz === 0 ? 1 : law.powerFactor)
      // Behind its rectifier and filter the current leads.
      return hertz === 0
        ? real(size)
        : { re: size * law.powerFactor, im: -size * Math.sqrt(1 - law.powerFactor ** 2) }
    }
    case 'varistor': {
      const peak = hertz === 0 ? volt : volt * Math.SQRT2
      if (peak <= law.clampV * ARRESTER_STARTS && before.re >= ARRESTER_IDLE_OHM)
        return real(ARRESTER_IDLE_OHM)
      const wanted = Math.min(
        ARRESTER_IDLE_OHM,
        (law.clampV / ARRESTER_A) * (law.clampV / Math.max(peak, law.clampV / 10)) ** (ARRESTER_POWER - 1),
      )
      // A whole step would overshoot by as much as the curve is steep.
      return real(before.re * (wanted / before.re) ** (1 / ARRESTER_POWER))
    }
  }
}

export const isSteady = (a: Complex, b: Complex): boolean =>
  magnitude(subtract(a, b)) <= SETTLED * magnitude(b)
