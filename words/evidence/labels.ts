import type { SeparateRule, SetSort } from '#core/assessment/outcomes/framework'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { CableType, Equipment, Setting, WiringSystem } from '#core/assessment/outcomes/shows'

export const KIND_TEXT: Readonly<Record<EvidenceKind, string>> = {
  observed: 'observed',
  product: 'product inspected',
  questioned: 'questioned',
  witnessed: 'witness statement',
  written: 'written',
  simulated: 'simulated',
}

export const SETTING_TEXT: Readonly<Record<Setting, string>> = {
  domestic: 'domestic',
  commercial: 'commercial',
  industrial: 'industrial',
  agricultural: 'agricultural',
  public: 'public building',
}

const WIRING_SYSTEM_TEXT: Readonly<Record<WiringSystem, string>> = {
  conduit: 'conduit',
  trunking: 'trunking',
  tray: 'tray',
  basket: 'basket',
  ladder: 'ladder',
  busbar: 'busbar trunking',
  clipped: 'clipped cable',
  concealed: 'concealed cable',
  buried: 'buried cable',
}
const CABLE_TEXT: Readonly<Record<CableType, string>> = {
  'flat-twin-earth': 'flat twin and earth',
  singles: 'singles',
  multicore: 'multicore',
  armoured: 'armoured',
  mineral: 'mineral insulated',
  'fire-resistant': 'fire resistant',
  flexible: 'flexible cord',
  data: 'data cable',
}
const EQUIPMENT_TEXT: Readonly<Record<Equipment, string>> = {
  'consumer-unit': 'consumer unit',
  'distribution-board': 'distribution board',
  'circuit-breaker': 'circuit-breaker',
  rcbo: 'RCBO',
  rcd: 'RCD',
  afdd: 'AFDD',
  fuse: 'fuse',
  'socket-outlet': 'socket-outlet',
  luminaire: 'luminaire',
  heater: 'heater',
  cooker: 'cooker',
  shower: 'shower',
  immersion: 'immersion heater',
  motor: 'motor',
  fixed: 'fixed appliance',
}
const MEMBER_TEXT: Readonly<Record<string, string>> = {
  ...WIRING_SYSTEM_TEXT,
  ...CABLE_TEXT,
  ...EQUIPMENT_TEXT,
}
/** The name of a wiring system, a cable type or a piece of equipment. */
export const memberText = (member: string): string => MEMBER_TEXT[member] ?? member

export const SORT_TEXT: Readonly<Record<SetSort, { readonly one: string; readonly many: string }>> = {
  wiringSystem: { one: 'wiring system', many: 'wiring systems' },
  cable: { one: 'cable type', many: 'cable types' },
  equipment: { one: 'kind of equipment', many: 'kinds of equipment' },
}

export const SEPARATE_TEXT: Readonly<Record<SeparateRule, string>> = {
  job: 'another job',
  day: 'another day',
  jobAndDay: 'another job on another day',
  jobOrDay: 'another job or another day',
}
