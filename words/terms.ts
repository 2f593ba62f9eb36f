/**
 * The trade's vocabulary: what a quantity or thing is called. Screens, findings and documents take their
 * labels from here; a new label of a term is a line here.
 */
export const TERMS = {
  designCurrent: 'Design current',
  startingCurrent: 'Starting current',
  deviceRating: 'Device rating',
  ambientFactor: 'Correction factor, ambient temperature',
  groupingFactor: 'Correction factor, grouping',
  insulationFactor: 'Correction factor, thermal insulation',
  deviceFactor: 'Correction factor, rewirable fuse or buried',
  minimumTabulated: 'Minimum tabulated current',
  tabulated: 'Tabulated current-carrying capacity',
  asInstalled: 'Current-carrying capacity as installed',
  conductorSize: 'Conductor size',
  voltageDrop: 'Voltage drop',
  r1r2Cold: 'R1 + R2 at 20 °C',
  r1r2Hot: 'R1 + R2 at operating temperature',
  zsFurthest: 'Zs at the furthest point',
  maxZs: 'Maximum permitted Zs',
  ze: 'External earth fault loop impedance',
  ipf: 'Prospective fault current',
  earthFaultCurrent: 'Earth fault current',
  rcd: 'RCD',
  rcdType: 'RCD type',
  continuity: 'Continuity of protective conductors',
  polarity: 'Polarity',
} as const satisfies Record<string, string>

export type TermKey = keyof typeof TERMS
export const termName = (key: TermKey): string => TERMS[key]
