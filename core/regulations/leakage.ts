/** Accumulated standing leakage behind one RCD, as a share of IΔn; BS 7671:2018 531.3.2, from memory. */
export const LEAKAGE_SHARE = 0.3

/**
 * Usual standing leakage of equipment, A each, of heating by its power, A per W. Limits of the product standards
 * (BS EN 60335-1, BS EN 60950-1) and common practice, from memory: measure the installation where it matters.
 */
export const USUAL_LEAKAGE_A = {
  computer: 1.5e-3,
  printer: 0.5e-3,
  copier: 1.5e-3,
  router: 0.5e-3,
  ledDriver: 0.5e-3,
  dischargeLamp: 0.5e-3,
  refrigerator: 1.5e-3,
  washingMachine: 3.5e-3,
  dishwasher: 3.5e-3,
  toolClassOne: 0.75e-3,
  toolClassTwo: 0.25e-3,
  filterOfDrive: 3.5e-3,
} as const
export type LeakageItem = keyof typeof USUAL_LEAKAGE_A

/** Heating elements, A per kW, at the most so much each, A; BS EN 60335-1 13.2, from memory. */
export const HEATING_LEAKAGE = { perKw: 0.75e-3, most: 5e-3 } as const
