import { COPPER_OHM_PER_M, copperMultiplier } from '../conductors'
import { SOURCES } from '../source'
import { milli, type Cable, type Protective } from './cable'

const TO_16 = [1, 1.5, 2.5, 4, 6, 10, 16]
const TO_35 = [...TO_16, 25, 35]

/** A copper cpc in the cable, or drawn in beside its lines: k = 115. */
function copperCpc(areas: readonly number[]): Protective {
  const ohmPerM = areas.map((area) => COPPER_OHM_PER_M[area]!)
  return {
    made: 'copper',
    areaMm2: { 1: areas, 3: areas },
    ohmPerM: { 1: ohmPerM, 3: ohmPerM },
    hotMultiplier: copperMultiplier(70),
    k: 115,
    source: SOURCES.conductorResistance,
  }
}

const VOLT_DROP = {
  1: milli([44, 29, 18, 11, 7.3, 4.4, 2.8, 1.75, 1.25]),
  3: milli([38, 25, 15, 9.5, 6.4, 3.8, 2.4, 1.5, 1.1]),
}

/** BS 7671 Table 4D5, from memory. */
export const flatTwinEarth: Cable = {
  kind: 'flat-twin-earth',
  conductorC: 70,
  methods: ['C', 'A', '100', '101', '102', '103'],
  lineMm2: TO_16,
  ratingsA: {
    A: { 1: [11.5, 14.5, 20, 26, 32, 44, 57] },
    C: { 1: [16, 20, 27, 37, 47, 64, 85] },
    100: { 1: [13, 16, 21, 27, 34, 45, 57] },
    101: { 1: [10.5, 13, 17, 22, 27, 36, 46] },
    102: { 1: [13, 16, 21, 27, 35, 47, 63] },
    103: { 1: [8, 10, 13.5, 17.5, 23.5, 32, 42.5] },
  },
  voltDropVPerAm: { 1: VOLT_DROP[1].slice(0, 7) },
  cpc: copperCpc([1, 1, 1.5, 1.5, 2.5, 4, 6]),
  ratingSource: SOURCES.flatCableRatings,
  voltDropSource: SOURCES.flatCableVoltDrop,
}

/** BS 7671 Tables 4D1A and 4D1B, from memory. */
export const singlesInConduit: Cable = {
  kind: 'singles-in-conduit',
  conductorC: 70,
  methods: ['B', 'A'],
  lineMm2: TO_35,
  ratingsA: {
    A: { 1: [11, 14.5, 20, 26, 34, 46, 61, 80, 99], 3: [10.5, 13.5, 18, 24, 31, 42, 56, 73, 89] },
    B: { 1: [13.5, 17.5, 24, 32, 41, 57, 76, 101, 125], 3: [12, 15.5, 21, 28, 36, 50, 68, 89, 110] },
  },
  voltDropVPerAm: VOLT_DROP,
  cpc: copperCpc(TO_35),
  ratingSource: SOURCES.conduitRatings,
  voltDropSource: SOURCES.conduitVoltDrop,
}

export const singlesInTrunking: Cable = {
  ...singlesInConduit,
  kind: 'singles-in-trunking',
  methods: ['B'],
  ratingsA: { B: singlesInConduit.ratingsA.B! },
}

/** BS 7671 Tables 4D2A and 4D2B, from memory: round multicore, the cpc a core of the same size. */
export const multicore: Cable = {
  kind: 'multicore',
  conductorC: 70,
  methods: ['C', 'B', 'A', 'E'],
  lineMm2: TO_35,
  ratingsA: {
    A: { 1: [11, 14, 18.5, 25, 32, 43, 57, 75, 92], 3: [10, 13, 17.5, 23, 29, 39, 52, 68, 83] },
    B: { 1: [13, 16.5, 23, 30, 38, 52, 69, 90, 111], 3: [11.5, 15, 20, 27, 34, 46, 62, 80, 99] },
    C: { 1: [15, 19.5, 27, 36, 46, 63, 85, 112, 138], 3: [13.5, 17.5, 24, 32, 41, 57, 76, 96, 119] },
    E: { 1: [17, 22, 30, 40, 51, 70, 94, 119, 148], 3: [14.5, 18.5, 25, 34, 43, 60, 80, 101, 126] },
  },
  voltDropVPerAm: VOLT_DROP,
  cpc: copperCpc(TO_35),
  ratingSource: SOURCES.multicoreRatings,
  voltDropSource: SOURCES.multicoreVoltDrop,
}

/** Fire-resistant, soft skin: taken at 70 °C because its accessories are, so Table 4D2 holds; made up to 4 mm². */
export const fireResistant: Cable = {
  ...multicore,
  kind: 'fire-resistant',
  methods: ['C', 'E'],
  lineMm2: TO_16.slice(0, 4),
  ratingsA: { C: firstSizes(multicore.ratingsA.C!, 4), E: firstSizes(multicore.ratingsA.E!, 4) },
  voltDropVPerAm: firstSizes(multicore.voltDropVPerAm, 4),
  cpc: copperCpc(TO_16.slice(0, 4)),
}

function firstSizes(values: Cable['voltDropVPerAm'], count: number): Cable['voltDropVPerAm'] {
  return { 1: values[1]!.slice(0, count), 3: values[3]!.slice(0, count) }
}
