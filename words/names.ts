import type { Standby } from '#core/installation/installation'
import type { Infeed, Marking } from '#core/regulations/infeed'
import type { TaskKind } from '#core/exercise/exercise'
import type { Circuit, Consequence, Load } from '#core/installation/installation'
import type { CableKind, Method } from '#core/regulations/cables/cable'
import type { DeviceFamily } from '#core/regulations/devices'
import type { Premises } from '#core/regulations/diversity'
import type { GroupingArrangement } from '#core/regulations/factors'
import type { DcContent } from '#core/regulations/rcd'
import type { Phases, Use } from '#core/regulations/supply'

/* What the choices of an installation are called, in full and short enough for a table cell. */

export const CABLE_NAME: Readonly<Record<CableKind, string>> = {
  'flat-twin-earth': 'Flat twin and earth',
  'singles-in-conduit': 'Singles in conduit',
  'singles-in-trunking': 'Singles in trunking',
  multicore: 'Multicore, 70 °C',
  'armoured-70': 'Armoured, 70 °C',
  'armoured-90': 'Armoured, 90 °C',
  mineral: 'Mineral insulated',
  'fire-resistant': 'Fire resistant',
}
export const CABLE_SHORT: Readonly<Record<CableKind, string>> = {
  'flat-twin-earth': 'flat T+E',
  'singles-in-conduit': 'conduit',
  'singles-in-trunking': 'trunking',
  multicore: 'multicore',
  'armoured-70': 'SWA 70',
  'armoured-90': 'SWA 90',
  mineral: 'mineral',
  'fire-resistant': 'fire res.',
}
export const USE_NAME: Readonly<Record<Use, string>> = {
  sockets: 'Socket-outlets',
  lighting: 'Lighting',
  heating: 'Space heating',
  'storage-heating': 'Storage or floor heating',
  cooker: 'Cooker',
  shower: 'Shower',
  immersion: 'Immersion heater',
  motor: 'Motor',
  fixed: 'Fixed load',
  distribution: 'Feed to a board',
}
export const USE_SHORT: Readonly<Record<Use, string>> = {
  sockets: 'sockets',
  lighting: 'lighting',
  heating: 'heating',
  'storage-heating': 'storage',
  cooker: 'cooker',
  shower: 'shower',
  immersion: 'immersion',
  motor: 'motor',
  fixed: 'fixed',
  distribution: 'board',
}
export const BASIS_NAME: Readonly<Record<Load['basis'], string>> = {
  power: 'power',
  current: 'current',
  lamps: 'lamps',
  motor: 'motor',
  cooker: 'cooker',
  board: 'demand',
}
export const PREMISES_NAME: Readonly<Record<Premises, string>> = {
  dwelling: 'Dwelling',
  'shared-residence': 'Shared residence, care home',
  'guest-house': 'Hotel, guest house',
  commercial: 'Commercial',
  industrial: 'Industrial',
}
export const CONSEQUENCE_NAME: Readonly<Record<Consequence, string>> = {
  none: 'None of these',
  injury: 'Serious injury or death',
  'public-service': 'Public service lost, heritage damaged',
  business: 'Business or industry stopped',
  'many-people': 'Many people in one place',
}
export const LOCATION_NAME = { general: 'Indoors', bathroom: 'Bathroom', outdoors: 'Outdoors' } as const
export const METHOD_NAME: Readonly<Record<Method, string>> = {
  A: 'A, in an insulated wall',
  B: 'B, enclosed on a wall',
  C: 'C, clipped direct',
  D: 'D, in the ground',
  E: 'E, in free air',
  100: '100, above ceiling, thin insulation',
  101: '101, above ceiling, thick insulation',
  102: '102, in a stud wall, touching',
  103: '103, in a stud wall, surrounded',
}
export const GROUPING_NAME: Readonly<Record<GroupingArrangement, string>> = {
  bunched: 'bunched or enclosed',
  'single-layer': 'single layer',
}
export const FAMILY_NAME: Readonly<Record<DeviceFamily, string>> = {
  breaker: 'Breaker',
  rcbo: 'RCBO',
  afdd: 'AFDD with RCBO',
  'fuse-gg': 'Fuse BS 88-2',
  'fuse-cartridge': 'Fuse BS 88-3',
  'fuse-rewirable': 'Rewirable fuse',
}
export const FAMILY_SHORT: Readonly<Record<DeviceFamily, string>> = {
  breaker: 'breaker',
  rcbo: 'RCBO',
  afdd: 'AFDD',
  'fuse-gg': 'BS 88-2',
  'fuse-cartridge': 'BS 88-3',
  'fuse-rewirable': 'BS 3036',
}
export const DC_NAME: Readonly<Record<DcContent, string>> = {
  none: 'None',
  pulsating: 'Pulsating (electronics)',
  mixed: 'Mixed (single-phase drives)',
  smooth: 'Smooth (three-phase drives)',
}
/** Second sources, as they stand in a sentence and in a list. */
/** What takes over where the grid is gone. */
export const STANDBY_NAME: Readonly<Record<Standby['source'] | 'none', string>> = {
  none: 'none',
  generator: 'generator',
  battery: 'battery',
  vehicle: 'vehicle',
}
export const INFEED_NAME: Readonly<Record<Infeed, string>> = {
  photovoltaic: 'solar PV',
  battery: 'a battery',
  vehicle: 'a vehicle',
  generator: 'a generator',
}
export const MARKING_NAME: Readonly<Record<Marking, string>> = {
  either: 'bidirectional',
  'line-load': 'unidirectional',
}
export const KIND_NAME: Readonly<Record<TaskKind, string>> = {
  'new-circuit': 'New circuit',
  'whole-board': 'Whole board',
  alteration: 'Alteration',
}

/** A way as charts and labels have it: `3`; on a three-phase board `3 L1`, of a three-phase circuit `3 L1–L3`. */
export const wayWords = (
  { way, line, phases }: Pick<Circuit, 'way' | 'line' | 'phases'>,
  boardPhases: Phases,
): string => {
  if (boardPhases === 1) return String(way)
  return `${way} ${phases === 3 ? 'L1–L3' : line}`
}
