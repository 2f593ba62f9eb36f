import { COPPER_OHM_PER_M, copperMultiplier } from '../regulations/conductors'
import { bench, type Bench } from './bench'

const MAINS_V = 230
const SIZES = [1, 1.5, 2.5, 4, 6, 10]
/** Conductors that are fully loaded, °C. */
const LOADED_C = 70
/** What one conductor of copper resists, Ω, at a temperature, °C. */
const ohmOf = (areaMm2: number, lengthM: number, conductorC = 20): number =>
  COPPER_OHM_PER_M[areaMm2]! * lengthM * copperMultiplier(conductorC)

/** A lamp, counted at the resistance that it has when it is bright, and a rheostat before it. */
const rheostat = bench({
  knobs: {
    volt: { least: 6, most: 24, step: 1, start: 12 },
    lampOhm: { least: 4, most: 20, step: 1, start: 6 },
    rheostatOhm: { least: 0, most: 30, step: 1, start: 6 },
  },
  figures: { current: 'current', lampVolt: 'voltage', lampPower: 'power', rheostatPower: 'power' },
  asked: 'current',
  work: ({ volt, lampOhm, rheostatOhm }) => {
    const current = volt / (lampOhm + rheostatOhm)
    return {
      current,
      lampVolt: current * lampOhm,
      lampPower: current ** 2 * lampOhm,
      rheostatPower: current ** 2 * rheostatOhm,
    }
  },
})

/** Equal lamps on the mains, one behind the other (0) or side by side (1). */
const lamps = bench({
  knobs: {
    count: { least: 1, most: 6, step: 1, start: 2 },
    watt: { least: 10, most: 100, step: 10, start: 60 },
    beside: { choices: [0, 1], start: 0 },
  },
  figures: { lampPower: 'power', current: 'current', lampVolt: 'voltage', whole: 'power' },
  asked: 'lampPower',
  work: ({ count, watt, beside }) => {
    const lampOhm = MAINS_V ** 2 / watt
    const lampVolt = beside === 1 ? MAINS_V : MAINS_V / count
    const lampPower = lampVolt ** 2 / lampOhm
    const current = (lampVolt / lampOhm) * (beside === 1 ? count : 1)
    return { lampPower, current, lampVolt, whole: lampPower * count }
  },
})

/** A cable of two conductors, there and back, cold. */
const heat = bench({
  knobs: {
    areaMm2: { choices: SIZES, start: 1.5 },
    current: { least: 1, most: 40, step: 1, start: 16 },
    lengthM: { least: 1, most: 50, step: 1, start: 20 },
  },
  figures: { lost: 'power', ohm: 'resistance', drop: 'voltage', perMetre: 'power' },
  asked: 'lost',
  work: ({ areaMm2, current, lengthM }) => {
    const ohm = 2 * ohmOf(areaMm2, lengthM)
    const lost = current ** 2 * ohm
    return { lost, ohm, drop: current * ohm, perMetre: lost / lengthM }
  },
})

/**
 * Air round the drum, °C, and what a lead warms up by at its full current when it is unwound, K; common practice,
 * no source.
 */
const AROUND_C = 25
const STRETCHED_K = 40
const FULL_A = 13
/** A drum that carries 13 A unwound is marked for about 5 A wound up; common practice, no source. */
const WOUND_A = 5

/** An extension lead, partly still on its drum: what is wound up cannot lose its heat. */
const drum = bench({
  knobs: {
    current: { least: 1, most: 13, step: 0.5, start: 10 },
    wound: { least: 0, most: 100, step: 5, start: 50 },
  },
  figures: { rise: 'temperatureRise', hottest: 'temperature' },
  // A temperature has no zero to compare with; a rise has.
  asked: 'rise',
  work: ({ current, wound }) => {
    const worse = (FULL_A / WOUND_A) ** 2 - 1
    const rise = STRETCHED_K * (current / FULL_A) ** 2 * (1 + (worse * wound) / 100)
    return { rise, hottest: AROUND_C + rise }
  },
})

/** One conductor of copper at a temperature. */
const warmth = bench({
  knobs: {
    areaMm2: { choices: SIZES, start: 2.5 },
    lengthM: { least: 10, most: 200, step: 10, start: 100 },
    conductorC: { least: -10, most: 90, step: 5, start: 70 },
  },
  figures: { ohm: 'resistance', cold: 'resistance', more: 'percent' },
  asked: 'ohm',
  work: ({ areaMm2, lengthM, conductorC }) => {
    const [cold, ohm] = [ohmOf(areaMm2, lengthM), ohmOf(areaMm2, lengthM, conductorC)]
    return { ohm, cold, more: ohm / cold - 1 }
  },
})

/** Equal loads along one run, the conductors as warm as their full load makes them. */
const run = bench({
  knobs: {
    areaMm2: { choices: SIZES, start: 2.5 },
    loads: { least: 1, most: 8, step: 1, start: 4 },
    each: { least: 1, most: 6, step: 0.5, start: 3 },
    spacingM: { least: 5, most: 30, step: 1, start: 10 },
  },
  figures: { drop: 'voltage', current: 'current', end: 'voltage', share: 'percent' },
  asked: 'drop',
  work: ({ areaMm2, loads, each, spacingM }) => {
    const stretchOhm = 2 * ohmOf(areaMm2, spacingM, LOADED_C)
    // Every stretch carries what all loads behind it take.
    const drop = stretchOhm * each * ((loads * (loads + 1)) / 2)
    return { drop, current: loads * each, end: MAINS_V - drop, share: drop / MAINS_V }
  },
})

/** What a load takes in a month, and what it costs, £. */
const price = bench({
  knobs: {
    watt: { least: 100, most: 9000, step: 100, start: 3000 },
    hours: { least: 0.5, most: 24, step: 0.5, start: 2 },
    days: { least: 1, most: 31, step: 1, start: 30 },
    pence: { least: 5, most: 60, step: 1, start: 25 },
  },
  figures: { cost: 'money', taken: 'energyTaken', current: 'current' },
  asked: 'cost',
  work: ({ watt, hours, days, pence }) => {
    const taken = (watt / 1000) * hours * days
    return { cost: (taken * pence) / 100, taken, current: watt / MAINS_V }
  },
})

/** Power sent over a line, its voltage raised by a transformer before it. */
const line = bench({
  knobs: {
    kilowatt: { least: 1, most: 40, step: 1, start: 10 },
    ohm: { least: 0.1, most: 2, step: 0.1, start: 0.5 },
    ratio: { choices: [1, 2, 5, 10, 48], start: 1 },
  },
  figures: { lost: 'power', volt: 'voltage', current: 'current', arrives: 'power' },
  asked: 'lost',
  work: ({ kilowatt, ohm, ratio }) => {
    const volt = MAINS_V * ratio
    const current = (kilowatt * 1000) / volt
    // A line cannot lose more than is sent.
    const lost = Math.min(kilowatt * 1000, current ** 2 * ohm)
    return { lost, volt, current, arrives: kilowatt * 1000 - lost }
  },
})

/** In the order in which they are met. */
export const BENCHES = { rheostat, lamps, heat, warmth, run, drum, price, line } as const
export type BenchCode = keyof typeof BENCHES
export const BENCH_CODES = Object.keys(BENCHES) as BenchCode[]
export const isBenchCode = (code: string): code is BenchCode => Object.hasOwn(BENCHES, code)
/** A bench whatever its knobs and figures are called. */
export const benchOf = (code: BenchCode): Bench => BENCHES[code] as unknown as Bench
/** Names of what can be set and of what follows. */
export type KnobOf<C extends BenchCode> = keyof (typeof BENCHES)[C]['knobs']
export type FigureOf<C extends BenchCode> = keyof (typeof BENCHES)[C]['figures']
