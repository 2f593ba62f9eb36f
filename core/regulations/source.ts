/** Where a value comes from. `fromMemory` marks values to be checked against the document itself. */
export interface Source {
  readonly document: string
  readonly place: string
  readonly fromMemory: boolean
}

const bs7671 = (place: string): Source => ({ document: 'BS 7671:2018+A2:2022', place, fromMemory: true })
const onSiteGuide = (place: string): Source => ({ document: 'On-Site Guide to BS 7671:2018+A2:2022', place, fromMemory: true })

export const SOURCES = {
  designCurrent: bs7671('433.1.1 and Appendix 4'),
  deviceRating: bs7671('433.1.1 (Ib ≤ In ≤ Iz)'),
  ambientFactor: bs7671('Table 4B1, 70 °C thermoplastic'),
  groupingFactor: bs7671('Table 4C1'),
  minimumTabulatedCurrent: bs7671('Appendix 4, 5.1 (It ≥ In ÷ (Ca × Cg))'),
  conduitRatings: bs7671('Table 4D1A'),
  flatCableRatings: bs7671('Table 4D5'),
  conduitVoltDrop: bs7671('Table 4D1B'),
  flatCableVoltDrop: bs7671('Table 4D5'),
  voltDropLimit: bs7671('525 and Appendix 4, 6.4 (Table 4Ab)'),
  minimumArea: bs7671('Table 52.3'),
  conductorResistance: onSiteGuide('Appendix I, Table I1'),
  hotMultiplier: onSiteGuide('Appendix I, Table I3'),
  loopImpedance: bs7671('411.4.4 (Zs = Ze + R1 + R2)'),
  maximumLoopImpedance: bs7671('Table 41.3 (Zs = U0 × Cmin ÷ Ia)'),
  residualLoopImpedance: bs7671('411.5.3 and Table 41.5 (Zs × IΔn ≤ 50 V)'),
  additionalProtection: bs7671('411.3.3, 411.3.4, 415.1, 522.6.202'),
  breakingCapacity: bs7671('434.5.1'),
  continuity: bs7671('643.2.1'),
  insulation: bs7671('643.3 and Table 64'),
  polarity: bs7671('643.6'),
  externalImpedance: bs7671('643.7.3'),
  measuredLoop: bs7671('643.7.3 and Appendix 3'),
  residualTime: bs7671('643.8 (max 300 ms general type at IΔn)'),
} as const satisfies Record<string, Source>

/** The source in a few words, for dense tables: `BS 7671 Table 4B1`, `OSG Appendix I`. */
export function shortSource(source: Source): string {
  return `${source.document.startsWith('On-Site') ? 'OSG' : 'BS 7671'} ${source.place}`
}

/** One line that names the source, saying so when the value was written down from memory. */
export function sourceLine(source: Source): string {
  return `${source.document}, ${source.place}${source.fromMemory ? ' (from memory)' : ''}`
}
