import type { BoardDesign, CircuitDesign, InstallationDesign } from '../../design/reference'
import type { CableKind } from '../../regulations/cables/cable'
import { DEVICES } from '../../regulations/devices'
import { EDITION_DOCUMENT, type Edition } from '../../regulations/editions'
import type { Arrangement } from '../../regulations/supply'
import type { Installation } from '../../installation/installation'
import type { ReadingMark } from '../judge/judge'
import { parseReading } from '../parse/parse-reading'
import { circuitOfKey, kindOf } from '../kinds/kinds'
import { bonding } from '../kinds/bonding'
import { whyKey, type Readings } from '../readings'

export const RECORD_KINDS = ['minor', 'installation'] as const
/** A minor works record of one circuit, or a record of a new installation. */
export type RecordKind = (typeof RECORD_KINDS)[number]

/** What is known without anybody typing it. */
export interface RecordFacts {
  readonly edition: Edition
  readonly installation: Installation
  readonly design: InstallationDesign
  readonly readings: Readings
  readonly marks: readonly ReadingMark[]
  readonly names: Readonly<Record<string, string>>
  readonly instrument: { readonly name: string; readonly serial: string; readonly dueOn: string } | null
  /** The live tests have been handed in. */
  readonly isTested: boolean
  readonly apprentice: string
  readonly permittedBy: string
  readonly today: string
}

/** What is known of a box and wants words around its figures. */
export type RecordPhrase =
  | { readonly code: 'supply'; readonly arrangement: Arrangement; readonly phases: 1 | 3 }
  | { readonly code: 'mainSwitch'; readonly ratingA: number | null }
  | {
      readonly code: 'device'
      readonly standard: string
      readonly curve: string | null
      readonly ratingA: number
      readonly isCombined: boolean
    }
  | { readonly code: 'conductors'; readonly areaMm2: number; readonly cable: CableKind }
  | { readonly code: 'rcd'; readonly ratedA: number | null }
  | { readonly code: 'instrument'; readonly name: string; readonly serial: string; readonly dueOn: string }
  | { readonly code: 'results'; readonly made: number; readonly of: number }
  | { readonly code: 'declaration' }

/** One box of a record. */
export interface RecordItem {
  readonly key: RecordItemKey
  /** As typed, a figure, or a phrase; empty while nobody knows. */
  readonly value: string | RecordPhrase
  /** Filled by somebody; what is known fills itself. */
  readonly isTyped: boolean
  readonly choices?: readonly string[]
  /** `N/A` and `LIM` need a reason beside them. */
  readonly why?: string
}

export const RECORD_ITEMS = [
  'client',
  'address',
  'description',
  'extent',
  'date',
  'edition',
  'departures',
  'existingComments',
  'earthingArrangement',
  'earthingConductor',
  'bondingWater',
  'bondingGas',
  'bondingReading',
  'circuit',
  'device',
  'conductors',
  'residual',
  'afdd',
  'spd',
  'devices',
  'mainSwitch',
  'arrangement',
  'mainFuse',
  'ze',
  'pfc',
  'rotation',
  'inspectDesign',
  'inspectErection',
  'inspectEnclosures',
  'inspectConnections',
  'inspectProtection',
  'inspectLabels',
  'instrument',
  'results',
  'declaration',
  'tester',
  'permission',
  'nextInspection',
] as const
export type RecordItemKey = (typeof RECORD_ITEMS)[number]

export const RECORD_PARTS = [
  'description',
  'installation',
  'supply',
  'earthing',
  'circuit',
  'board',
  'inspection',
  'results',
  'declaration',
] as const
export type RecordPartKey = (typeof RECORD_PARTS)[number]

export interface RecordPart {
  readonly key: RecordPartKey
  readonly items: readonly RecordItem[]
}

/** What stands between a record and its signature. */
export type RecordGap =
  | { readonly code: 'box' | 'reason'; readonly key: RecordItemKey }
  | { readonly code: 'readings' | 'reasons'; readonly count: number }
  | { readonly code: 'liveTests' }

/** What fails: readings by their keys, or an instrument past its calibration date. */
export type RecordFailure =
  { readonly code: 'reading'; readonly reading: string } | { readonly code: 'instrument' }

export interface TestRecord {
  readonly kind: RecordKind
  readonly parts: readonly RecordPart[]
  /** Circuits whose results belong to it. */
  readonly circuits: readonly string[]
  readonly missing: readonly RecordGap[]
  readonly failing: readonly RecordFailure[]
}

type Fields = Readonly<Record<string, string>>
const LEFT = /^(n\/?a|lim)\b/i

/** Fills a record from what is known and what has been typed, and says what is missing or fails. BS 7671 Part 6, 644 and Appendix 6, from memory: the information asked for, in an arrangement of our own. */
export function testRecord(kind: RecordKind, facts: RecordFacts, fields: Fields): TestRecord {
  const tested = [...new Set(facts.marks.flatMap(({ reading }) => circuitOfKey(reading) ?? []))]
  const chosen = kind === 'minor' ? [fields.circuit ?? ''].filter((id) => tested.includes(id)) : tested
  const boxes = boxesFrom(fields)
  const parts =
    kind === 'minor' ? minorParts(facts, chosen[0], tested, boxes) : installationParts(facts, boxes)
  return {
    kind,
    parts,
    circuits: chosen,
    missing: missingOf(facts, parts, chosen),
    failing: failingOf(facts, chosen),
  }
}

interface Boxes {
  readonly typed: (key: RecordItemKey, choices?: readonly string[]) => RecordItem
  readonly known: (key: RecordItemKey, value: RecordItem['value']) => RecordItem
}

const boxesFrom = (fields: Fields): Boxes => ({
  typed: (key, choices) => ({
    key,
    value: (fields[key] ?? '').trim(),
    isTyped: true,
    ...(choices ? { choices } : {}),
    ...(LEFT.test(fields[key] ?? '') ? { why: (fields[`why.${key}`] ?? '').trim() } : {}),
  }),
  known: (key, value) => ({ key, value, isTyped: false }),
})

const YES = ['yes', 'no']
const FITTED = ['fitted', 'N/A', 'LIM']
const INSPECTED = [
  'inspectDesign',
  'inspectErection',
  'inspectEnclosures',
  'inspectConnections',
  'inspectProtection',
  'inspectLabels',
] as const

function minorParts(
  facts: RecordFacts,
  circuit: string | undefined,
  tested: readonly string[],
  boxes: Boxes,
): RecordPart[] {
  const { typed, known } = boxes
  const design = facts.design.circuits.find(({ scope }) => scope === circuit)
  const named: RecordItem = { ...typed('circuit', tested), value: facts.names[circuit ?? ''] ?? '' }
  return [
    {
      key: 'description',
      items: [
        typed('client'),
        typed('address'),
        typed('description'),
        typed('date'),
        known('edition', EDITION_DOCUMENT[facts.edition]),
        typed('departures'),
        typed('existingComments'),
      ],
    },
    { key: 'earthing', items: earthing(facts, boxes) },
    { key: 'circuit', items: [named, ...(design ? circuitItems(design, facts, boxes) : [])] },
    ...closingParts(facts, circuit ? [circuit] : [], boxes),
  ]
}

function installationParts(facts: RecordFacts, boxes: Boxes): RecordPart[] {
  const { typed, known } = boxes
  const { installation, design } = facts
  const origin = design.boards.find(({ board }) => board.fedBy === null)
  return [
    {
      key: 'installation',
      items: [
        typed('client'),
        typed('address'),
        typed('description'),
        typed('extent'),
        typed('date'),
        known('edition', EDITION_DOCUMENT[facts.edition]),
        typed('departures'),
      ],
    },
    { key: 'supply', items: supply(facts, boxes) },
    { key: 'earthing', items: earthing(facts, boxes) },
    {
      key: 'board',
      items: [
        known('mainSwitch', { code: 'mainSwitch', ratingA: mainSwitchA(origin) }),
        typed('spd', FITTED),
        typed('afdd', FITTED),
        known('devices', deviceStandards(design.circuits)),
      ],
    },
    { key: 'inspection', items: INSPECTED.map((key) => typed(key, ['satisfactory', 'N/A', 'LIM'])) },
    ...closingParts({ ...facts, installation }, Object.keys(facts.names), boxes),
  ]
}

function supply({ installation: { intake }, readings }: RecordFacts, { known }: Boxes): RecordItem[] {
  const measured = (key: 'ze' | 'pfc' | 'rotation') => known(key, readings[key] ?? '')
  return [
    known('arrangement', { code: 'supply', arrangement: intake.arrangement, phases: intake.phases }),
    known('mainFuse', `${intake.mainFuseA} A`),
    measured('ze'),
    measured('pfc'),
    ...(intake.phases === 3 ? [measured('rotation')] : []),
  ]
}

const closingParts = (
  facts: RecordFacts,
  circuits: readonly string[],
  { typed, known }: Boxes,
): RecordPart[] => [
  {
    key: 'results',
    items: [known('instrument', instrumentOf(facts)), known('results', resultsOf(facts, circuits))],
  },
  {
    key: 'declaration',
    items: [
      known('declaration', { code: 'declaration' }),
      known('tester', facts.apprentice),
      known('permission', facts.permittedBy),
      typed('nextInspection'),
    ],
  },
]

const earthing = (facts: RecordFacts, { typed, known }: Boxes): RecordItem[] => [
  known('earthingArrangement', facts.installation.intake.arrangement),
  typed('earthingConductor', YES),
  typed('bondingWater', ['connected', 'N/A', 'LIM']),
  typed('bondingGas', ['connected', 'N/A', 'LIM']),
  known(
    'bondingReading',
    facts.marks
      .filter(({ reading }) => kindOf(reading).key === bonding.key)
      .map(({ typed: text }) => text)
      .join(', '),
  ),
]

/** Device, conductors and RCD of a circuit; RCBOs name each function's standard. */
function circuitItems(
  { circuit, values }: CircuitDesign,
  facts: RecordFacts,
  { typed, known }: Boxes,
): RecordItem[] {
  const { family, curve } = circuit.device
  const { standard } = DEVICES[family]
  return [
    known('device', { code: 'device', standard, curve, ratingA: values.in!, isCombined: family === 'rcbo' }),
    known('conductors', { code: 'conductors', areaMm2: values.csa!, cable: circuit.cable.kind }),
    known('residual', { code: 'rcd', ratedA: values.residual || null }),
    typed('afdd', FITTED),
    ...(facts.edition === '17-A3' ? [] : [typed('spd', FITTED)]),
  ]
}

const deviceStandards = (circuits: readonly CircuitDesign[]): string =>
  [...new Set(circuits.map(({ circuit }) => DEVICES[circuit.device.family].standard))].join(', ')
const mainSwitchA = (origin: BoardDesign | undefined): number | null => origin?.values.mainSwitch || null
const instrumentOf = ({ instrument }: RecordFacts): RecordItem['value'] =>
  instrument ? { code: 'instrument', ...instrument } : ''

function resultsOf({ marks }: RecordFacts, circuits: readonly string[]): RecordItem['value'] {
  const own = marks.filter(
    ({ reading, outOf }) => outOf > 0 && circuits.includes(circuitOfKey(reading) ?? ''),
  )
  return own.length === 0
    ? ''
    : { code: 'results', made: own.filter(({ verdict }) => verdict !== 'missing').length, of: own.length }
}

/** What is still empty, and which reasons are owed. */
function missingOf(
  facts: RecordFacts,
  parts: readonly RecordPart[],
  circuits: readonly string[],
): RecordGap[] {
  const items = parts.flatMap(({ items: own }) => own)
  const concerned = facts.marks.filter(({ reading }) => concerns(reading, circuits))
  const tests = concerned.filter(({ verdict }) => verdict === 'missing').length
  const owed = concerned.filter(
    ({ reading, typed }) =>
      parseReading(typed, kindOf(reading)).form === 'left' && !(facts.readings[whyKey(reading)] ?? '').trim(),
  ).length
  return [
    ...items.filter(({ value }) => value === '').map(({ key }): RecordGap => ({ code: 'box', key })),
    ...items.filter(({ why }) => why === '').map(({ key }): RecordGap => ({ code: 'reason', key })),
    ...(tests ? [{ code: 'readings', count: tests } as const] : []),
    ...(owed ? [{ code: 'reasons', count: owed } as const] : []),
    ...(facts.isTested ? [] : [{ code: 'liveTests' } as const]),
  ]
}

/** Readings that fail, and an instrument past its calibration date. */
function failingOf({ marks, instrument, today }: RecordFacts, circuits: readonly string[]): RecordFailure[] {
  const critical = marks.filter(
    ({ reading, findings }) =>
      concerns(reading, circuits) && findings.some(({ seriousness }) => seriousness === 'critical'),
  )
  return [
    ...critical.map(({ reading }): RecordFailure => ({ code: 'reading', reading })),
    ...(instrument && instrument.dueOn < today ? [{ code: 'instrument' } as const] : []),
  ]
}

const concerns = (reading: string, circuits: readonly string[]): boolean =>
  circuitOfKey(reading) === undefined || circuits.includes(circuitOfKey(reading)!)
