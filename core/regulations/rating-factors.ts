/** Ca by ambient air temperature, °C, for 70 °C thermoplastic; BS 7671 Table 4B1, from memory. */
export const AMBIENT_FACTOR: ReadonlyMap<number, number> = new Map([
  [25, 1.03], [30, 1], [35, 0.94], [40, 0.87], [45, 0.79], [50, 0.71],
])

export type GroupingArrangement = 'bunched' | 'single-layer'

/** Cg by number of circuits from one upward; BS 7671 Table 4C1, from memory. */
export const GROUPING_FACTOR: Readonly<Record<GroupingArrangement, readonly number[]>> = {
  bunched: [1, 0.8, 0.7, 0.65, 0.6, 0.57, 0.54, 0.52, 0.5],
  'single-layer': [1, 0.85, 0.79, 0.75, 0.73, 0.72, 0.72, 0.71, 0.7],
}
