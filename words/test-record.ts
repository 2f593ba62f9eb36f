import type { Edition } from '#core/regulations/editions'
import type {
  OtherSource,
  RecordFailure,
  RecordGap,
  RecordItem,
  RecordItemKey,
  RecordKind,
  RecordPartKey,
  RecordPhrase,
  TestRecord,
} from '#core/testing/records/record-shape'
import { INFEED_NAME } from './names'
import { itemName, type ScopeNames } from './findings/findings'

/** What the boxes of a record are called. */
export const RECORD_TEXT: Readonly<Record<RecordItemKey, string>> = {
  client: 'Client',
  address: 'Location',
  description: 'Description of the work',
  extent: 'Extent and limitations',
  date: 'Date of completion',
  edition: 'Worked to',
  departures: 'Departures, or none',
  existingComments: 'Comments on the existing installation',
  earthingArrangement: 'Earthing arrangement',
  earthingConductor: 'Earthing conductor present and of adequate size',
  bondingWater: 'Bonding of water',
  bondingGas: 'Bonding of gas',
  bondingReading: 'Bonding conductor, measured',
  circuit: 'Circuit',
  device: 'Protective device',
  conductors: 'Conductors',
  residual: 'RCD',
  afdd: 'Arc fault detection device (AFDD)',
  spd: 'Surge protective device (SPD)',
  devices: 'Standards of the devices',
  mainSwitch: 'Main switch',
  arrangement: 'Supply',
  mainFuse: 'Distributor’s fuse',
  ze: 'Ze, measured',
  pfc: 'Prospective fault current Ipf, measured',
  rotation: 'Phase sequence',
  otherSources: 'Other sources of supply',
  multipleSuppliesNotice: 'Multiple supplies notice',
  inspectDesign: 'Conductors, devices and routes as designed',
  inspectErection: 'Erection, supports and containment',
  inspectEnclosures: 'Enclosures, blanks and covers',
  inspectConnections: 'Connections, tightness and identification',
  inspectProtection: 'Protection against shock, fire and overcurrent',
  inspectLabels: 'Labels, charts and notices',
  instrument: 'Instrument',
  insulationTest: 'Insulation test',
  results: 'Results',
  declaration: 'Declaration',
  tester: 'Tested by',
  permission: 'Permission to energise by',
  nextInspection: 'Next inspection, date',
}

const PART_TEXT: Readonly<Record<RecordPartKey, string>> = {
  description: 'Description',
  installation: 'Installation',
  supply: 'Supply',
  earthing: 'Earthing and bonding',
  circuit: 'Circuit',
  board: 'Main switch and board',
  inspection: 'Inspection',
  results: 'Test results',
  declaration: 'Declaration',
}

const DECLARATION =
  'The work described is a training exercise. As far as it was inspected and tested it agrees with the edition named, except for the departures listed.'

/** A record in words, as it is shown, printed and signed. */
export interface NamedRecord {
  readonly kind: RecordKind
  readonly parts: readonly { readonly name: string; readonly items: readonly NamedItem[] }[]
  readonly circuits: readonly string[]
  /** By name, what stands between it and a signature. */
  readonly missing: readonly string[]
  readonly failing: readonly string[]
}

export interface NamedItem extends Omit<RecordItem, 'key' | 'value'> {
  readonly key: string
  readonly name: string
  readonly value: string
}

export function namedRecord(record: TestRecord, names: ScopeNames): NamedRecord {
  return {
    ...record,
    parts: record.parts.map(({ key, items }) => ({
      name: PART_TEXT[key],
      items: items.map((item) => ({
        ...item,
        name: RECORD_TEXT[item.key],
        value: typeof item.value === 'string' ? item.value : phraseWords(item.value),
      })),
    })),
    missing: record.missing.map(gapWords),
    failing: record.failing.map((failure) => failureWords(failure, names)),
  }
}

function deviceWords({
  standard,
  curve,
  ratingA,
  isCombined,
}: Extract<RecordPhrase, { code: 'device' }>): string {
  const combined = isCombined ? ' (overcurrent protection and RCD in one device)' : ''
  return `${standard} ${curve ? `type ${curve} ` : ''}${ratingA} A${combined}`
}

const insulationWords = ({ volt, out }: Extract<RecordPhrase, { code: 'insulationTest' }>): string =>
  [volt && `${volt} V d.c.`, out && `disconnected: ${out}`].filter(Boolean).join('; ')

/** `solar PV (Shed roof); a battery (Store)`. */
export const sourcesSay = (sources: readonly OtherSource[]): string =>
  sources
    .map(({ infeed, circuit }) => `${INFEED_NAME[infeed]} (${circuit ?? 'behind the change-over'})`)
    .join('; ')

/** What the notice of multiple supplies says of where a board is fed from. */
export const suppliesNotice = (sources: readonly OtherSource[]): string =>
  `This board is fed from the grid and from ${sourcesSay(sources)}.`
/** … and what to do about it. */
export const SUPPLIES_DUTY = 'Isolate all of them before work, and prove dead on both sides of each device.'

function phraseWords(phrase: RecordPhrase): string {
  switch (phrase.code) {
    case 'supply':
      return `${phrase.arrangement}, ${phrase.phases === 3 ? 'three phase, 230/400 V' : 'single phase, 230 V'}`
    case 'mainSwitch':
      return phrase.ratingA === null ? 'as fitted' : `${phrase.ratingA} A`
    case 'device':
      return deviceWords(phrase)
    case 'conductors':
      return `${phrase.areaMm2} mm², ${phrase.cable.replaceAll('-', ' ')}`
    case 'rcd':
      return phrase.ratedA === null ? 'none' : `${Math.round(phrase.ratedA * 1e3)} mA`
    case 'instrument':
      return `${phrase.name}, ${phrase.serial}, calibrated until ${phrase.dueOn}`
    case 'insulationTest':
      return insulationWords(phrase)
    case 'results':
      return `${phrase.made} of ${phrase.of} readings, on the schedule`
    case 'sources':
      return sourcesSay(phrase.sources)
    case 'declaration':
      return DECLARATION
  }
}

function gapWords(gap: RecordGap): string {
  switch (gap.code) {
    case 'box':
      return RECORD_TEXT[gap.key]
    case 'reason':
      return `Reason for ${RECORD_TEXT[gap.key].toLowerCase()}`
    case 'readings':
      return `${gap.count} readings of the schedule`
    case 'reasons':
      return `Reasons for ${gap.count} tests that were left out`
    case 'liveTests':
      return 'Live tests, handed in'
  }
}

const failureWords = (failure: RecordFailure, names: ScopeNames): string =>
  failure.code === 'instrument'
    ? 'Instrument out of calibration'
    : itemName(`reading.${failure.reading}`, names)

/** How often the RCD is to be tested by its button, as its notice says; BS 7671 514.12.2, from memory. */
export const RCD_NOTICE: Readonly<Record<Edition, string>> = {
  '17-A3': 'every three months',
  '18': 'every six months',
  '18-A2': 'every six months',
  '18-A3': 'every six months',
}
