import { COPPER_OHM_PER_M } from '#core/regulations/conductors'

/** Sizes that copper conductors are made in, mm². */
export const AREAS: readonly number[] = Object.keys(COPPER_OHM_PER_M)
  .map(Number)
  .sort((a, b) => a - b)
