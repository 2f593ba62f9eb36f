/** A second source that a circuit brings in: power flows from its end towards the board while it works. */
export const INFEEDS = ['photovoltaic', 'battery', 'vehicle', 'generator'] as const
export type Infeed = (typeof INFEEDS)[number]

/**
 * How a device's terminals are marked: fed at either end (bidirectional), or supply at the terminals marked line
 * (unidirectional); BS 7671:2018+A2:2022+A3:2024 Part 2, from memory.
 */
export const MARKINGS = ['either', 'line-load'] as const
export type Marking = (typeof MARKINGS)[number]
