import type { Constraint } from '../design/step'
import { formatQuantity } from '../units/format'

type Params = Constraint['params']

const SENTENCES: Readonly<Record<Constraint['code'], (p: Params) => string>> = {
  load: () => 'The load must be more than zero.',
  rating: (p) => `The load takes ${formatQuantity(Number(p.ib), 'current')}; the largest device is ${p.largest} A. Make the load smaller or split it.`,
  ambient: (p) => `The table of ambient factors has no row for ${p.ambientC} °C. Choose a temperature from 25 to 50 °C in steps of 5.`,
  grouping: (p) => `The table of grouping factors has no row for ${p.circuits} circuits. Choose 1 to 9.`,
  method: (p) => `This cable has no ratings for method ${p.method}. Choose another method.`,
  area: () => 'No size of this cable is large enough for the use.',
  capacity: (p) =>
    `Current rating prevents a solution: the largest size, ${p.answer} mm², carries ${formatQuantity(Number(p.ratingA), 'current')} and ${formatQuantity(Number(p.itMin), 'current')} are needed. Fewer grouped circuits, a cooler place or a smaller load would help.`,
  voltDrop: (p) =>
    `Voltage drop prevents a solution: at ${p.answer} mm² it is ${formatQuantity(Number(p.voltDropV), 'voltage')}, the limit is ${formatQuantity(Number(p.voltDropLimitV), 'voltage')}. The run could be ${formatQuantity(Number(p.longestM), 'length')} at the most.`,
  loop: (p) =>
    Number(p.longestM) > 0
      ? `The earth fault loop prevents a solution: at ${p.answer} mm² Zs is ${formatQuantity(Number(p.zsOhm), 'resistance')}, the limit is ${formatQuantity(Number(p.zsMaxOhm), 'resistance')}. The run could be ${formatQuantity(Number(p.longestM), 'length')} at the most, or choose another curve.`
      : `The earth fault loop prevents a solution: Ze of ${formatQuantity(Number(p.zeOhm), 'resistance')} alone is above the limit of ${formatQuantity(Number(p.zsMaxOhm), 'resistance')}. ${p.arrangement === 'TT' ? 'A TT bay needs a better electrode or a more sensitive residual device.' : 'Check Ze, or the curve of the device.'}`,
  breaking: (p) => `The prospective fault current of ${Number(p.ipfA) / 1e3} kA is above the ${Number(p.largestA) / 1e3} kA that any device here can break.`,
  residual: (p) =>
    p.fitted
      ? `The residual device at the bay (${Number(p.fitted) * 1e3} mA) does not satisfy ${p.regulation}: at most ${Number(p.needed) * 1e3} mA. Choose a more sensitive one.`
      : `This circuit needs a residual device of at most ${Number(p.needed) * 1e3} mA (${p.regulation}), and the bay has none. Choose one.`,
}

/** What stops a design, as one sentence that says what would help. */
export const constraintSentence = (constraint: Constraint): string => SENTENCES[constraint.code](constraint.params)
