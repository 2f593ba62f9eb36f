import type { Parameter } from '#core/regulations/book/values'

/** Figures in rules: what each is, and its unit. */
export const PARAMETER_WORDS: Readonly<Record<Parameter, { readonly name: string; readonly unit: string }>> =
  {
    cMin: { name: 'Cmin, minimum voltage factor', unit: '' },
    touchLimitV: { name: 'Touch voltage behind an RCD in TT', unit: 'V' },
    lightingDrop: { name: 'Voltage drop, lighting', unit: '%' },
    otherDrop: { name: 'Voltage drop, other uses', unit: '%' },
    rewirable: { name: 'Cf, rewirable fuse', unit: '' },
    buried: { name: 'Cc, cable in the ground', unit: '' },
    ringCableA: { name: 'Each leg of a ring carries at least', unit: 'A' },
    ringLeastMm2: { name: 'Least csa of a ring', unit: 'mm²' },
    lightingLeastMm2: { name: 'Least csa, lighting', unit: 'mm²' },
    powerLeastMm2: { name: 'Least csa, power', unit: 'mm²' },
    socketRcdA: { name: 'Socket-outlets with additional protection, up to', unit: 'A' },
    shortTimeSocketsA: { name: 'Short disconnection time, circuits with sockets up to', unit: 'A' },
    shortTimeOtherA: { name: 'Short disconnection time, other final circuits up to', unit: 'A' },
    finalTnS: { name: 'Disconnection, final circuit, TN', unit: 's' },
    finalTtS: { name: 'Disconnection, final circuit, TT', unit: 's' },
    distributionTnS: { name: 'Disconnection, distribution circuit, TN', unit: 's' },
    distributionTtS: { name: 'Disconnection, distribution circuit, TT', unit: 's' },
    cookerSocketA: { name: 'Cooker control unit with a socket, added', unit: 'A' },
    dischargeFactor: { name: 'Discharge lamps, volt-amperes for each watt', unit: '' },
  }
