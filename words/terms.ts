/** The trade's vocabulary: what a quantity or thing is called, and its symbol where one is in use. Screens, findings and documents take their labels from here. */
export interface Term {
  readonly name: string
  readonly symbol?: string
}

const term = (name: string, symbol?: string): Term => (symbol ? { name, symbol } : { name })

export const TERMS = {
  designCurrent: term('Design current', 'Ib'),
  startingCurrent: term('Starting current'),
  nominalRating: term('Nominal rating of the protective device', 'In'),
  deviceRating: term('Device rating', 'In'),
  ambientFactor: term('Correction factor, ambient temperature', 'Ca'),
  groupingFactor: term('Correction factor, grouping', 'Cg'),
  insulationFactor: term('Correction factor, thermal insulation', 'Ci'),
  deviceFactor: term('Correction factor, rewirable fuse or buried', 'Cf'),
  minimumTabulated: term('Minimum tabulated current', 'It(min)'),
  tabulated: term('Tabulated current-carrying capacity', 'It'),
  asInstalled: term('Current-carrying capacity as installed', 'Iz'),
  conductorSize: term('Conductor size', 'csa'),
  voltageDrop: term('Voltage drop', 'ΔU'),
  r1r2Cold: term('R1 + R2 at 20 °C', 'R1 + R2'),
  r1r2Hot: term('R1 + R2 at operating temperature', 'R1 + R2'),
  temperatureMultiplier: term('Temperature multiplier'),
  zs: term('Earth fault loop impedance', 'Zs'),
  zsFurthest: term('Zs at the furthest point', 'Zs'),
  maxZs: term('Maximum permitted Zs', 'max Zs'),
  ze: term('External earth fault loop impedance', 'Ze'),
  ipf: term('Prospective fault current', 'Ipf'),
  earthFaultCurrent: term('Earth fault current', 'If'),
  furthestPoint: term('Furthest point'),
  rcd: term('RCD'),
  rcdFirst: term('Residual current device (RCD)'),
  rcdType: term('RCD type'),
  rcdDelay: term('RCD, time-delayed (S type)'),
  ringEnds: term('Ring final circuit, end to end'),
  continuity: term('Continuity of protective conductors'),
  insulation: term('Insulation resistance', 'IR'),
  polarity: term('Polarity'),
  dutyHolder: term('Duty holder'),
  cautionNotice: term('Caution notice'),
  lockOff: term('Lock-off device and padlock'),
  board: term('Distribution board'),
  fcu: term('Fused connection unit (FCU)'),
} as const satisfies Record<string, Term>

export type TermKey = keyof typeof TERMS
export const termName = (key: TermKey): string => TERMS[key].name
