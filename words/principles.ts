import type { BenchCode, FigureOf, KnobOf } from '#core/principles/benches'
import type { PredictionVerdict } from '#core/principles/prediction'
import { formatNumber, formatQuantity } from '#core/units/format'
import type { QuantityKey } from '#core/units/quantity'

interface BenchText<C extends BenchCode> {
  readonly title: string
  /** What stands on the bench, and what to work out before it is switched on. */
  readonly about: string
  readonly ask: string
  readonly knobs: Readonly<Record<KnobOf<C>, { readonly name: string; readonly unit: string }>>
  readonly figures: Readonly<Record<FigureOf<C>, string>>
  /** Of knobs that are choices between words. */
  readonly choices?: readonly string[]
  /** The law that it follows, and what it means at work. */
  readonly law: string
  readonly why: string
}

const AREA = { name: 'Conductor', unit: 'mm²' }

export const BENCH_TEXT: { readonly [C in BenchCode]: BenchText<C> } = {
  rheostat: {
    title: 'A lamp and a rheostat',
    about:
      'A lamp in series with a rheostat. The lamp is counted at the resistance that it has when it is bright.',
    ask: 'What current flows?',
    knobs: {
      volt: { name: 'Supply', unit: 'V' },
      lampOhm: { name: 'Lamp', unit: 'Ω' },
      rheostatOhm: { name: 'Rheostat', unit: 'Ω' },
    },
    figures: {
      current: 'Current',
      lampVolt: 'Voltage at the lamp',
      lampPower: 'Power of the lamp',
      rheostatPower: 'Heat of the rheostat',
    },
    law: 'I = V ÷ (R lamp + R rheostat), P = I² × R',
    why: 'Resistances in series add up, and share the voltage as they share the resistance.',
  },
  lamps: {
    title: 'Lamps in series and in parallel',
    about: 'Equal lamps on 230 V. Each is counted at the resistance that it has at full brightness.',
    ask: 'What power does one lamp take?',
    knobs: {
      count: { name: 'Lamps', unit: '' },
      watt: { name: 'Each, at 230 V', unit: 'W' },
      beside: { name: 'Connected', unit: '' },
    },
    choices: ['in series', 'in parallel'],
    figures: {
      lampPower: 'Power of one lamp',
      current: 'Current of the supply',
      lampVolt: 'Voltage at one lamp',
      whole: 'Power of all',
    },
    law: 'P = V² ÷ R; in series V = 230 ÷ number of lamps, in parallel V = 230',
    why: 'Half the voltage is a quarter of the power. Final circuits are wired in parallel for that reason.',
  },
  heat: {
    title: 'Heat in a cable',
    about: 'A two-core copper cable at 20 °C, with the current going there and back.',
    ask: 'What power is lost in the cable?',
    knobs: { areaMm2: AREA, current: { name: 'Current', unit: 'A' }, lengthM: { name: 'Length', unit: 'm' } },
    figures: {
      lost: 'Power lost in the cable',
      ohm: 'Resistance, there and back',
      drop: 'Voltage drop',
      perMetre: 'Heat of each metre',
    },
    law: 'R = 2 × R per metre × length, P = I² × R',
    why: 'Twice the current is four times the heat: that is what the current-carrying capacity limits.',
  },
  warmth: {
    title: 'Resistance and temperature',
    about: 'One copper conductor. The tables give its resistance at 20 °C.',
    ask: 'What is its resistance at this temperature?',
    knobs: {
      areaMm2: AREA,
      lengthM: { name: 'Length', unit: 'm' },
      conductorC: { name: 'Temperature', unit: '°C' },
    },
    figures: {
      ohm: 'Resistance at this temperature',
      cold: 'Resistance at 20 °C',
      more: 'More than at 20 °C',
    },
    law: 'R = R at 20 °C × (1 + 0.004 × (t − 20))',
    why:
      'A conductor at 70 °C has a fifth more than one that is measured cold: measured Zs is judged with ' +
      'that in mind.',
  },
  run: {
    title: 'Voltage drop along a run',
    about:
      'Equal loads along one run on 230 V, the same distance apart, the first of them one distance from ' +
      'the board. Conductors at 70 °C.',
    ask: 'What is the voltage drop at the last load?',
    knobs: {
      areaMm2: AREA,
      loads: { name: 'Loads', unit: '' },
      each: { name: 'Each takes', unit: 'A' },
      spacingM: { name: 'Apart', unit: 'm' },
    },
    figures: {
      drop: 'Voltage drop at the last load',
      current: 'Current at the board',
      end: 'Voltage at the last load',
      share: 'Voltage drop',
    },
    law: 'ΔU = Σ over all stretches of I × R; each stretch carries what lies behind it',
    why:
      'The first stretch carries everything. Counting the whole load over the whole length is on the safe ' +
      'side, and costs copper.',
  },
  drum: {
    title: 'An extension lead on its drum',
    about:
      'A lead rated 13 A unwound and 5 A wound up, in air of 25 °C; stretched out it warms up by 40 K at ' +
      '13 A. What is wound up counts by its share.',
    ask: 'How hot does it get inside the drum?',
    knobs: { current: { name: 'Current', unit: 'A' }, wound: { name: 'Still on the drum', unit: '%' } },
    figures: { hottest: 'Temperature inside the drum', above: 'Above the air, K' },
    law: 'ΔT = 40 K × (I ÷ 13)² × (1 + 5.76 × share wound up)',
    why:
      'Above 70 °C ordinary insulation softens. A lead in use is unwound completely. A simple model: the ' +
      'drum’s own label comes first.',
  },
  price: {
    title: 'Energy and its price',
    about: 'A load on 230 V, switched on for some hours a day.',
    ask: 'What does it cost?',
    knobs: {
      watt: { name: 'Power', unit: 'W' },
      hours: { name: 'Hours a day', unit: 'h' },
      days: { name: 'Days', unit: '' },
      pence: { name: 'Price of 1 kWh', unit: 'p' },
    },
    figures: { cost: 'Cost', taken: 'Energy', current: 'Current' },
    law: 'Energy = kW × hours, cost = kWh × price',
    why: 'Power says how fast, energy how much. A small load that is always on can cost more than a large one.',
  },
  line: {
    title: 'A transformer and a line',
    about:
      'Power is sent over a line; a transformer raises 230 V before it, another lowers it again behind it. ' +
      'Both are counted without loss.',
    ask: 'What power is lost in the line?',
    knobs: {
      kilowatt: { name: 'Power sent', unit: 'kW' },
      ohm: { name: 'Line, there and back', unit: 'Ω' },
      ratio: { name: 'Voltage raised', unit: '×' },
    },
    figures: {
      lost: 'Power lost in the line',
      volt: 'Voltage of the line',
      current: 'Current in the line',
      arrives: 'Power that arrives',
    },
    law: 'I = P ÷ V, loss = I² × R',
    why:
      'Ten times the voltage is a tenth of the current and a hundredth of the loss: that is why power ' +
      'travels at high voltage.',
  },
}

/** A figure as it is written at a bench; pounds stand before their number. */
export const benchFigure = (value: number, key: QuantityKey): string =>
  key === 'money' ? `£${formatNumber(value, key)}` : formatQuantity(value, key)

const timesOff = (times: number): string =>
  times >= 1 ? `${times} times too much` : `${Math.round(1 / times)} times too little`

/** How a prediction stands to what came out, and where to look. */
export function predictionSays(verdict: PredictionVerdict): string {
  switch (verdict.is) {
    case 'right':
      return 'Right, to within 5 %.'
    case 'tenfold':
      return `The figures are right, the decimal point is not: ${timesOff(verdict.times)}. Look at the units.`
    case 'double':
      return 'Twice as much as comes out. Is something counted twice?'
    case 'half':
      return 'Half of what comes out. Does the current go there and back?'
    case 'off':
      if (verdict.share === Infinity) return 'Nothing flows here.'
      if (verdict.share >= 1.5) return `${Math.round(verdict.share + 1)} times as much as comes out.`
      return `${Math.abs(Math.round(100 * verdict.share))} % too ${verdict.share > 0 ? 'much' : 'little'}.`
  }
}
