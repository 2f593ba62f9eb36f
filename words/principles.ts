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

export interface AnyBenchText extends Omit<BenchText<BenchCode>, 'knobs' | 'figures'> {
  readonly knobs: Readonly<Record<string, { readonly name: string; readonly unit: string }>>
  readonly figures: Readonly<Record<string, string>>
}

const AREA = { name: 'Conductor', unit: 'mm²' }

export const BENCH_TEXT: { readonly [C in BenchCode]: BenchText<C> } = {
  rheostat: {
    title: 'A lamp and a rheostat',
    about: 'A lamp in series with a rheostat. Take the lamp at its resistance when it is fully bright.',
    ask: 'What current flows?',
    knobs: {
      volt: { name: 'Supply', unit: 'V' },
      lampOhm: { name: 'Lamp', unit: 'Ω' },
      rheostatOhm: { name: 'Rheostat', unit: 'Ω' },
    },
    figures: {
      current: 'Current',
      lampVolt: 'Voltage at the lamp',
      lampPower: 'Power in the lamp',
      rheostatPower: 'Power lost in the rheostat',
    },
    law: 'I = V ÷ (R lamp + R rheostat), P = I² × R',
    why: 'Resistances in series add up. Each takes its share of the voltage.',
  },
  lamps: {
    title: 'Lamps in series and in parallel',
    about: 'Equal lamps on 230 V. Take each at its resistance when it is fully bright.',
    ask: 'What power does one lamp take?',
    knobs: {
      count: { name: 'Lamps', unit: '' },
      watt: { name: 'Rating at 230 V', unit: 'W' },
      beside: { name: 'Connected', unit: '' },
    },
    choices: ['in series', 'in parallel'],
    figures: {
      lampPower: 'Power in one lamp',
      current: 'Supply current',
      lampVolt: 'Voltage at one lamp',
      whole: 'Total power',
    },
    law: 'P = V² ÷ R; in series V = 230 ÷ number of lamps, in parallel V = 230',
    why: 'Half the voltage gives a quarter of the power. That is why lighting points are wired in parallel.',
  },
  heat: {
    title: 'Heat in a cable',
    about: 'A two-core copper cable at 20 °C. The current flows out in one core and back in the other.',
    ask: 'What power is lost in the cable?',
    knobs: { areaMm2: AREA, current: { name: 'Current', unit: 'A' }, lengthM: { name: 'Length', unit: 'm' } },
    figures: {
      lost: 'Power lost in the cable',
      ohm: 'Resistance of both cores',
      drop: 'Voltage drop',
      perMetre: 'Power lost in each metre',
    },
    law: 'R = 2 × R per metre × length, P = I² × R',
    why: 'Twice the current gives four times the heat. That is what the current-carrying capacity limits.',
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
    why: 'A conductor at 70 °C has a fifth more resistance than a cold one. So a measured Zs is corrected first.',
  },
  run: {
    title: 'Voltage drop along a run',
    about:
      'Equal loads along one run on 230 V, the same distance apart. The first is one spacing from the board. ' +
      'Take the conductors at 70 °C.',
    ask: 'What is the voltage drop at the last load?',
    knobs: {
      areaMm2: AREA,
      loads: { name: 'Loads', unit: '' },
      each: { name: 'Each takes', unit: 'A' },
      spacingM: { name: 'Spacing', unit: 'm' },
    },
    figures: {
      drop: 'Voltage drop at the last load',
      current: 'Current at the board',
      end: 'Voltage at the last load',
      share: 'Voltage drop',
    },
    law: 'ΔU = sum of I × R over all stretches; each stretch carries the current of the loads beyond it',
    why: 'The first stretch carries all of the current. Taking it over the whole length is safe, but costs copper.',
  },
  drum: {
    title: 'An extension lead on its drum',
    about:
      'A lead rated 13 A unwound and 5 A fully wound, in air at 25 °C. Unwound it warms up by 40 K at 13 A. ' +
      'What is still on the drum counts by its share.',
    ask: 'By how much does it warm up inside the drum?',
    knobs: { current: { name: 'Current', unit: 'A' }, wound: { name: 'Still on the drum', unit: '%' } },
    figures: { rise: 'Temperature rise', hottest: 'Temperature inside the drum' },
    law: 'ΔT = 40 K × (I ÷ 13)² × (1 + 5.76 × share wound up)',
    why:
      'Above 70 °C ordinary insulation softens. Unwind a lead completely before use. This is a simple model: ' +
      'the label on the drum comes first.',
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
    why: 'Power is how fast, energy is how much. A small load that is always on can cost more than a large one.',
  },
  line: {
    title: 'A transformer and a line',
    about:
      'Power is sent over a line. A transformer steps 230 V up before it, another steps it down again after it. ' +
      'Take both as loss-free.',
    ask: 'What power is lost in the line?',
    knobs: {
      kilowatt: { name: 'Power sent', unit: 'kW' },
      ohm: { name: 'Line, both conductors', unit: 'Ω' },
      ratio: { name: 'Step-up ratio', unit: '×' },
    },
    figures: {
      lost: 'Power lost in the line',
      volt: 'Voltage of the line',
      current: 'Current in the line',
      arrives: 'Power that arrives',
    },
    law: 'I = P ÷ V, loss = I² × R',
    why:
      'Ten times the voltage needs a tenth of the current and loses a hundredth of the power. ' +
      'That is why power travels at high voltage.',
  },
}

/** The words of a bench whatever its knobs and figures are called. */
export const benchTextOf = (code: BenchCode): AnyBenchText => BENCH_TEXT[code] as AnyBenchText

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
      return 'Half of what comes out. Does the current flow out and back?'
    case 'off':
      if (verdict.share === Infinity) return 'Nothing flows here.'
      if (verdict.share >= 1.5) return `${Math.round(verdict.share + 1)} times as much as comes out.`
      return `${Math.abs(Math.round(100 * verdict.share))} % too ${verdict.share > 0 ? 'much' : 'little'}.`
  }
}
