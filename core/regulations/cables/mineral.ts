import { COPPER_OHM_MM2_PER_M, copperMultiplier } from '../conductors'
import { SOURCES } from '../source'
import { milli, type Cable } from './cable'

const SIZES = [1.5, 2.5, 4, 6, 10, 16, 25]
/** Copper sheath of heavy-duty cables, two-core and four-core, mm²; BS EN 60702-1, from memory. */
const SHEATH_MM2 = { 1: [11, 13, 16, 18, 24, 30, 38], 3: [14, 17, 20, 24, 30, 39, 49] }

/** BS 7671 Tables 4G1A and 4G1B, heavy duty 750 V, 70 °C sheath, from memory. The sheath is the cpc. */
export const mineral: Cable = {
  kind: 'mineral',
  conductorC: 70,
  methods: ['C'],
  lineMm2: SIZES,
  ratingsA: { C: { 1: [25, 34, 45, 57, 77, 102, 133], 3: [21, 28, 37, 48, 65, 86, 112] } },
  voltDropVPerAm: { 1: milli([28, 17, 10, 7, 4.2, 2.6, 1.65]), 3: milli([24, 14, 9.1, 6, 3.6, 2.3, 1.45]) },
  cpc: {
    made: 'sheath',
    areaMm2: SHEATH_MM2,
    ohmPerM: {
      1: SHEATH_MM2[1].map((area) => COPPER_OHM_MM2_PER_M / area),
      3: SHEATH_MM2[3].map((area) => COPPER_OHM_MM2_PER_M / area),
    },
    hotMultiplier: copperMultiplier(70),
    k: 115,
    source: SOURCES.sheathResistance,
  },
  ratingSource: SOURCES.mineralRatings,
  voltDropSource: SOURCES.mineralVoltDrop,
}
