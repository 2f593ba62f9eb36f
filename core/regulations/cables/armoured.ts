import { armourMultiplier } from '../conductors'
import { SOURCES } from '../source'
import { milli, type Cable, type Protective } from './cable'

const SIZES = [1.5, 2.5, 4, 6, 10, 16, 25, 35]

/** Steel wire armour as cpc: two-core for single phase, four-core for three phase; BS 5467, from memory. */
function armour(conductorC: 70 | 90, k: number): Protective {
  return {
    made: 'armour',
    areaMm2: { 1: [15, 17, 19, 22, 26, 41, 42, 62], 3: [17, 20, 22, 36, 42, 50, 70, 78] },
    ohmPerM: {
      1: milli([10.2, 8.8, 7.9, 7, 6, 3.7, 3.7, 2.6]),
      3: milli([8.8, 7.7, 6.8, 4.3, 3.7, 3.1, 2.3, 2]),
    },
    hotMultiplier: armourMultiplier(conductorC),
    k,
    source: SOURCES.armourResistance,
  }
}

/** BS 7671 Tables 4D4A and 4D4B, from memory. */
export const armoured70: Cable = {
  kind: 'armoured-70',
  conductorC: 70,
  methods: ['C', 'D', 'E'],
  lineMm2: SIZES,
  ratingsA: {
    C: { 1: [21, 28, 38, 49, 67, 89, 118, 145], 3: [18, 25, 33, 42, 58, 77, 102, 125] },
    D: { 1: [22, 29, 37, 46, 60, 78, 99, 119], 3: [18, 24, 30, 38, 50, 64, 82, 98] },
    E: { 1: [22, 31, 41, 53, 72, 97, 128, 157], 3: [19, 26, 35, 45, 62, 83, 110, 135] },
  },
  voltDropVPerAm: {
    1: milli([29, 18, 11, 7.3, 4.4, 2.8, 1.75, 1.25]),
    3: milli([25, 15, 9.5, 6.4, 3.8, 2.4, 1.5, 1.1]),
  },
  cpc: armour(70, 51),
  ratingSource: SOURCES.armouredRatings,
  voltDropSource: SOURCES.armouredVoltDrop,
}

/** BS 7671 Tables 4E4A and 4E4B, from memory. */
export const armoured90: Cable = {
  kind: 'armoured-90',
  conductorC: 90,
  methods: ['C', 'D', 'E'],
  lineMm2: SIZES,
  ratingsA: {
    C: { 1: [27, 36, 49, 62, 85, 110, 146, 180], 3: [23, 31, 42, 53, 73, 94, 124, 154] },
    D: { 1: [25, 33, 43, 53, 71, 91, 116, 139], 3: [21, 28, 36, 44, 58, 75, 96, 115] },
    E: { 1: [29, 39, 52, 66, 90, 115, 152, 188], 3: [25, 33, 44, 56, 78, 99, 131, 162] },
  },
  voltDropVPerAm: {
    1: milli([31, 19, 12, 7.9, 4.7, 2.9, 1.9, 1.35]),
    3: milli([27, 16, 10, 6.8, 4, 2.5, 1.65, 1.15]),
  },
  cpc: armour(90, 46),
  ratingSource: SOURCES.hotArmouredRatings,
  voltDropSource: SOURCES.hotArmouredVoltDrop,
}
