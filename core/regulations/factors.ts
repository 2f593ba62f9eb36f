/** Ca by ambient air temperature, °C, for 70 °C and 90 °C conductors; BS 7671 Table 4B1, from memory. */
export const AMBIENT_FACTOR: Readonly<Record<70 | 90, ReadonlyMap<number, number>>> = {
  70: new Map([
    [25, 1.03],
    [30, 1],
    [35, 0.94],
    [40, 0.87],
    [45, 0.79],
    [50, 0.71],
  ]),
  90: new Map([
    [25, 1.02],
    [30, 1],
    [35, 0.96],
    [40, 0.91],
    [45, 0.87],
    [50, 0.82],
  ]),
}

/** Ca by ground temperature for buried cables; BS 7671 Table 4B2, from memory. */
export const GROUND_FACTOR: Readonly<Record<70 | 90, ReadonlyMap<number, number>>> = {
  70: new Map([
    [10, 1.1],
    [15, 1.05],
    [20, 1],
    [25, 0.95],
    [30, 0.89],
    [35, 0.84],
    [40, 0.77],
  ]),
  90: new Map([
    [10, 1.07],
    [15, 1.04],
    [20, 1],
    [25, 0.96],
    [30, 0.93],
    [35, 0.89],
    [40, 0.85],
  ]),
}

export const GROUPINGS = ['bunched', 'single-layer'] as const
export type GroupingArrangement = (typeof GROUPINGS)[number]

/** Cg by number of circuits from one upward; BS 7671 Table 4C1, from memory. */
export const GROUPING_FACTOR: Readonly<Record<GroupingArrangement, readonly number[]>> = {
  bunched: [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5],
  'single-layer': [1, 0.85, 0.79, 0.75, 0.73, 0.72, 0.72, 0.71, 0.7],
}

/** Cg of cables laid touching in the ground; BS 7671 Table 4C2, from memory. */
export const BURIED_GROUPING_FACTOR: readonly number[] = [1, 0.75, 0.65, 0.6, 0.55, 0.5]

/**
 * Ci by length of cable inside thermal insulation, mm; 500 stands for half a metre and more. BS 7671 523.9
 * and Table 52.2, from memory.
 */
export const INSULATION_FACTOR: ReadonlyMap<number, number> = new Map([
  [0, 1],
  [50, 0.88],
  [100, 0.78],
  [200, 0.63],
  [400, 0.51],
  [500, 0.5],
])

/** A rewirable fuse needs more current to melt than a breaker to trip; BS 7671 Appendix 4, 5.1.1, from memory. */
export const REWIRABLE_FACTOR = 0.725
/** Cables laid in the ground; BS 7671 Appendix 4, 5.1.1 (Cc), from memory. */
export const BURIED_FACTOR = 0.9
