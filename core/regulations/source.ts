import { EDITION_DOCUMENT, type Edition } from './editions'

/** Where a value comes from. `fromMemory` marks values to be checked against the document itself. */
export interface Source {
  readonly book: 'bs7671' | 'onSiteGuide' | 'bsen60898' | 'bsen60702' | 'bs5467' | 'maker'
  readonly place: string
  readonly fromMemory: boolean
  /** The centre's own book says otherwise there, as somebody wrote down; a second person may have checked it. */
  readonly centre?: { readonly place: string; readonly checked: boolean; readonly isClause?: boolean }
}

const bs7671 = (place: string): Source => ({ book: 'bs7671', place, fromMemory: true })
const onSiteGuide = (place: string): Source => ({ book: 'onSiteGuide', place, fromMemory: true })

export const SOURCES = {
  designCurrent: bs7671('433.1.1 and Appendix 4'),
  diversity: onSiteGuide('Appendix A, Table A2'),
  startingCurrent: bs7671('552.1.1'),
  deviceRating: bs7671('433.1.1 (Ib ≤ In ≤ Iz)'),
  ringRating: bs7671('433.1.204'),
  ambientFactor: bs7671('Table 4B1'),
  groundFactor: bs7671('Table 4B2'),
  groupingFactor: bs7671('Table 4C1'),
  buriedGrouping: bs7671('Table 4C2'),
  insulationFactor: bs7671('523.9 and Table 52.2'),
  deviceFactor: bs7671('Appendix 4, 5.1.1 (433.1.202)'),
  minimumTabulatedCurrent: bs7671('Appendix 4, 5.1 (It ≥ In ÷ (Ca × Cg × Ci × Cf))'),
  effectiveRating: bs7671('433.1.1 and Appendix 4, 5.1 (Iz = It × Ca × Cg × Ci; In ≤ Iz)'),
  overloadFactor: bs7671('433.1.202 and 433.1.203 (In ≤ 0.725 × Iz, or 0.9 × Iz in the ground)'),
  conduitRatings: bs7671('Table 4D1A'),
  conduitVoltDrop: bs7671('Table 4D1B'),
  multicoreRatings: bs7671('Table 4D2A'),
  multicoreVoltDrop: bs7671('Table 4D2B'),
  armouredRatings: bs7671('Table 4D4A'),
  armouredVoltDrop: bs7671('Table 4D4B'),
  flatCableRatings: bs7671('Table 4D5'),
  flatCableVoltDrop: bs7671('Table 4D5'),
  hotArmouredRatings: bs7671('Table 4E4A'),
  hotArmouredVoltDrop: bs7671('Table 4E4B'),
  mineralRatings: bs7671('Table 4G1A'),
  mineralVoltDrop: bs7671('Table 4G1B'),
  voltDropLimit: bs7671('525 and Appendix 4, 6.4 (Table 4Ab)'),
  voltDropTemperature: bs7671('Appendix 4, 6.1'),
  minimumArea: bs7671('Table 52.3'),
  conductorResistance: onSiteGuide('Appendix I, Table I1'),
  armourResistance: { book: 'bs5467', place: 'armour resistance and area by cable', fromMemory: true },
  sheathResistance: { book: 'bsen60702', place: 'copper sheath area, heavy duty two-core', fromMemory: true },
  hotMultiplier: onSiteGuide('Appendix I, Table I3'),
  ringContinuity: onSiteGuide('10.3.2 (ring final circuit continuity)'),
  loopImpedance: bs7671('411.4.4 (Zs = Ze + R1 + R2)'),
  maximumLoopImpedance: bs7671('Table 41.3 (Zs = U0 × Cmin ÷ Ia)'),
  fuseLoopImpedance: bs7671('Table 41.2 (0.4 s)'),
  slowFuseLoopImpedance: bs7671('Table 41.4 (5 s)'),
  residualLoopImpedance: bs7671('411.5.3 and Table 41.5 (Zs × IΔn ≤ 50 V)'),
  timeCurrent: bs7671('Appendix 3, time/current characteristics; limit by 411.3.2'),
  disconnectionTimes: bs7671('411.3.2 and Table 41.1'),
  figures: bs7671('Parts 4 and 5 and Appendix 4, clause by clause'),
  adiabatic: bs7671('543.1.3 (S = √(I²t) ÷ k) and Table 54.3'),
  letThrough: { book: 'bsen60898', place: 'Annex ZA, energy limiting class 3', fromMemory: true },
  makerData: { book: 'maker', place: 'points given with the exercise', fromMemory: false },
  additionalProtection: bs7671('411.3.3, 411.3.4, 415.1, 522.6.202'),
  residualType: bs7671('531.3.3'),
  residualDelay: bs7671('536.4.1.4 and 531.3.2'),
  breakingCapacity: bs7671('434.5.1'),
  faultCurrent: bs7671('434.1 and Appendix 14'),
  selectivity: bs7671('536.4'),
  arcFault: bs7671('421.1.7'),
  surge: bs7671('443.4'),
  direction: bs7671('530.3.201 and Part 2 (uni- and bidirectional devices)'),
  demand: bs7671('311.1 and On-Site Guide Appendix A'),
  mainSwitch: bs7671('462.1.201 and 536.202'),
  busbar: bs7671('536.4.202 and BS EN 61439-3'),
  busbarInfeed: bs7671('551.7.2 (InA ≥ In + Ig of the sources beside the supply)'),
  tails: onSiteGuide('2.2.3 and Table 4.4'),
  earthing: bs7671('543.1.4 and Table 54.7'),
  bonding: bs7671('544.1.1 and Table 54.8'),
  conduitCapacity: onSiteGuide('Appendix E'),
  continuity: bs7671('643.2.1'),
  insulation: bs7671('643.3 and Table 64'),
  polarity: bs7671('643.6'),
  externalImpedance: bs7671('643.7.3'),
  measuredLoop: bs7671('643.7.3 and Appendix 3'),
  functional: bs7671('643.10 (functional testing) and 643.9 (phase sequence)'),
  residualTime: bs7671('643.8 (max 300 ms general type at IΔn)'),
} as const satisfies Record<string, Source>

export type SourceKey = keyof typeof SOURCES
const KEYS = new Map<Source, SourceKey>(
  Object.entries(SOURCES).map(([key, source]) => [source, key as SourceKey]),
)
/** The key of a source as it is shipped; undefined for one that was made on the way. */
export const sourceKey = (source: Source): SourceKey | undefined => KEYS.get(source)

const BOOKS: Readonly<
  Record<Source['book'], { readonly name: (edition: Edition) => string; readonly short: string }>
> = {
  bs7671: { name: (edition) => EDITION_DOCUMENT[edition], short: 'BS 7671 ' },
  onSiteGuide: { name: (edition) => `On-Site Guide to ${EDITION_DOCUMENT[edition]}`, short: 'OSG ' },
  bsen60898: { name: () => 'BS EN 60898-1', short: 'BS EN 60898 ' },
  bsen60702: { name: () => 'BS EN 60702-1', short: 'BS EN 60702 ' },
  bs5467: { name: () => 'BS 5467', short: 'BS 5467 ' },
  maker: { name: () => 'Maker’s data', short: 'maker’s data, ' },
}

/** The source in a few words, for dense tables: `BS 7671 Table 4B1`, `OSG Appendix I`. */
export const shortSource = (source: Source): string =>
  `${BOOKS[source.book].short}${source.place}${source.centre ? `; ${centreWords(source.centre)}` : ''}`

/** What is said beside a value that a centre read in its own book. */
const centreWords = ({ place, checked, isClause }: NonNullable<Source['centre']>): string =>
  `${isClause ? 'clause' : 'value'} from the centre’s book (${place})` +
  (checked ? '' : ', not yet checked by a second person')

/** One line that names the source, saying so when the value was written down from memory. */
export function sourceLine(source: Source, edition: Edition): string {
  const named = `${BOOKS[source.book].name(edition)}, ${source.place}`
  if (source.centre) return `${named}; ${centreWords(source.centre)}`
  return `${named}${source.fromMemory ? ' (from memory)' : ''}`
}
