import type { Constraint } from '#core/design/model/step'
import { formatQuantity } from '#core/units/format'

type Params = Constraint['params']

const EXISTING_FAILS = {
  area: 'smaller than allowed',
  capacity: 'current rating',
  voltDrop: 'voltage drop',
  loop: 'fault loop',
  adiabatic: 'cpc',
} as const

const SENTENCES: Readonly<Record<Constraint['code'], (p: Params) => string>> = {
  load: () => 'The load must be more than zero.',
  rating: (p) =>
    `The load takes ${formatQuantity(Number(p.ib), 'current')}; the largest device is ${p.largest} A. Make the load smaller or split it.`,
  start: (p) =>
    `No rating of type ${p.curve} stays quiet at the starting current of ${formatQuantity(Number(p.start), 'current')}. Choose type C or D, or a fuse.`,
  ringRating: (p) =>
    `A ring is protected by 30 or 32 A and the load takes ${formatQuantity(Number(p.ib), 'current')}. Split the load, or choose a device that has one of these ratings.`,
  ambient: (p) =>
    `The table for ${p.buried === 'ground' ? 'the ground' : 'air'} has no row for ${p.ambientC} °C. Choose one of ${p.rows} °C.`,
  grouping: (p) =>
    `The table of grouping factors has no row for ${p.circuits} circuits. Choose 1 to ${p.most}.`,
  insulation: (p) =>
    `The table of thermal insulation has no row for ${p.insulationMm} mm. Choose one of ${p.rows} mm.`,
  method: (p) =>
    `This cable has no ratings for method ${p.method}${Number(p.phases) === 3 ? ' with three loaded conductors' : ''}. Choose another method or cable.`,
  area: () => 'No size of this cable is large enough for the use.',
  adiabatic: (p) =>
    `The cpc prevents a solution: at ${p.answer} mm² it is ${formatQuantity(Number(p.cpcMm2), 'area')} and the fault needs ${formatQuantity(Number(p.cpcMinMm2), 'area')}. A quicker device or a lower fault current would help.`,
  containment: (p) =>
    `The cables’ terms of ${Math.round(Number(p.terms))} are more than the largest size takes (${Math.round(Number(p.largest))}). Put fewer circuits together, or more draw points.`,
  demand: (p) =>
    `The demand of ${formatQuantity(Number(p.demand), 'current')} after diversity is more than the main fuse of ${p.mainFuseA} A. Make loads smaller, or ask for a larger supply.`,
  mainSwitch: (p) => `No main switch carries ${formatQuantity(Number(p.carried), 'current')}.`,
  bonding: (p) => `The bonding table ends below a neutral of ${p.neutralMm2} mm².`,
  existingRating: (p) =>
    `The load now takes ${formatQuantity(Number(p.ib), 'current')}; the device that is there is ${p.ratingA} A. The addition needs a circuit of its own.`,
  existingCable: (p) =>
    `The cable that is there, ${p.answer} mm², is not enough any more (${EXISTING_FAILS[p.fails as keyof typeof EXISTING_FAILS]}). The addition needs a circuit of its own.`,
  upstream: () => 'The board that this circuit feeds has no demand yet: give it a circuit with a load.',
  dropAbove: (p) =>
    `The run to this board already loses ${formatQuantity(Number(p.dropAbove), 'percent')}, all that is allowed here. Make the cable to the board larger, or the load smaller.`,
  capacity: (p) =>
    `Current rating prevents a solution: the largest size, ${p.answer} mm², carries ${formatQuantity(Number(p.ratingA), 'current')} and ${formatQuantity(Number(p.itMin), 'current')} are needed. Fewer grouped circuits, a cooler place or a smaller load would help.`,
  voltDrop: (p) =>
    `Voltage drop prevents a solution: at ${p.answer} mm² it is ${formatQuantity(Number(p.voltDropV), 'voltage')}, the limit is ${formatQuantity(Number(p.voltDropLimitV), 'voltage')}. The run could be ${formatQuantity(Number(p.longestM), 'length')} at the most.`,
  loop: (p) =>
    Number(p.longestM) > 0
      ? `The earth fault loop prevents a solution: at ${p.answer} mm² Zs is ${formatQuantity(Number(p.zsOhm), 'resistance')}, the limit is ${formatQuantity(Number(p.zsMaxOhm), 'resistance')}. The run could be ${formatQuantity(Number(p.longestM), 'length')} at the most, or choose another curve.`
      : `The earth fault loop prevents a solution: Ze of ${formatQuantity(Number(p.zeOhm), 'resistance')} alone is above the limit of ${formatQuantity(Number(p.zsMaxOhm), 'resistance')}. ${p.arrangement === 'TT' ? 'A TT bay needs a better electrode or a more sensitive RCD.' : 'Check Ze, or the curve of the device.'}`,
  breaking: (p) =>
    `The prospective fault current of ${Number(p.ipfA) / 1e3} kA is above the ${Number(p.largestA) / 1e3} kA that any device here can break.`,
  residual: (p) =>
    p.fitted
      ? `The RCD at the bay (${Number(p.fitted) * 1e3} mA) does not satisfy ${p.regulation}: at most ${Number(p.needed) * 1e3} mA. Choose a more sensitive one.`
      : `This circuit needs an RCD of at most ${Number(p.needed) * 1e3} mA (${p.regulation}), and the bay has none. Choose one.`,
}

/** What stops a design, as one sentence that says what would help. */
export const constraintSentence = (constraint: Constraint): string =>
  SENTENCES[constraint.code](constraint.params)
