/**
 * Total body impedance hand to hand or hand to foot, large dry contact, half the population below it: V → Ω.
 * IEC 60479-1 Table 1, from memory.
 */
const BODY_OHM: readonly (readonly [volt: number, ohm: number])[] = [
  [25, 3250],
  [50, 2500],
  [75, 2000],
  [100, 1725],
  [125, 1550],
  [150, 1400],
  [175, 1325],
  [200, 1275],
  [225, 1225],
  [400, 950],
  [700, 775],
]

/** Impedance of a body at this touch voltage, Ω; straight between the rows, level beyond them. */
export function bodyOhm(touchV: number): number {
  const above = BODY_OHM.findIndex(([volt]) => volt >= touchV)
  if (above <= 0) return BODY_OHM[above === 0 ? 0 : BODY_OHM.length - 1]![1]
  const [v0, r0] = BODY_OHM[above - 1]!
  const [v1, r1] = BODY_OHM[above]!
  return r0 + ((r1 - r0) * (touchV - v0)) / (v1 - v0)
}

export type BodyEffect = 'unfelt' | 'felt' | 'letGo' | 'danger'

/**
 * What a current through the body does when it flows for long: felt from 0.5 mA, no letting go from 10 mA,
 * heart in danger from 30 mA. IEC 60479-1 zones AC-1 to AC-4, from memory.
 */
export const bodyEffect = (ampere: number): BodyEffect =>
  EFFECT_BELOW_A.find(([below]) => ampere < below)?.[1] ?? 'danger'

const EFFECT_BELOW_A: readonly (readonly [number, BodyEffect])[] = [
  [0.5e-3, 'unfelt'],
  [10e-3, 'felt'],
  [30e-3, 'letGo'],
]
