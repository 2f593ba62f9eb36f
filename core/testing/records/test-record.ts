import type { BoardDesign, CircuitDesign, InstallationDesign } from '../../design/reference'
import { DEVICES } from '../../regulations/devices'
import { EDITION_DOCUMENT, type Edition } from '../../regulations/editions'
import type { ReadingMark } from '../judge/circuit'
import { parseReading } from '../parse/parse-reading'
import { readingKind, whyKey, type Readings } from '../readings'
import type { Installation } from '../../installation/installation'
import { PAPER_TEXT, type PaperItemKey } from '../../texts/papers'

export const PAPER_KINDS = ['minor', 'installation'] as const
/** A record of work on one circuit in five parts, or of a new installation. */
export type PaperKind = (typeof PAPER_KINDS)[number]

/** What is known without anybody typing it. */
export interface PaperFacts {
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

export interface PaperItem {
  readonly key: string
  readonly name: string
  readonly value: string
  /** Filled by somebody; what is known fills itself. */
  readonly isTyped: boolean
  readonly choices?: readonly string[]
  /** `N/A` and `LIM` need a reason beside them. */
  readonly why?: string
}

export interface PaperPart {
  readonly name: string
  readonly items: readonly PaperItem[]
}

export interface Paper {
  readonly kind: PaperKind
  readonly parts: readonly PaperPart[]
  /** Circuits whose results belong to it. */
  readonly circuits: readonly string[]
  /** By name, what stands between it and a signature. */
  readonly missing: readonly string[]
  readonly failing: readonly string[]
}

type Fields = Readonly<Record<string, string>>
const LEFT = /^(n\/?a|lim)\b/i

/** Fills a record from what is known and what has been typed, and names what is missing or fails. BS 7671 Part 6, 644 and Appendix 6, from memory: the information asked for, in an arrangement of our own. */
export function paperOf(kind: PaperKind, facts: PaperFacts, fields: Fields): Paper {
  const tested = [...new Set(facts.marks.flatMap(({ reading }) => circuitOf(reading) ?? []))]
  const chosen = kind === 'minor' ? [fields.circuit ?? ''].filter((id) => tested.includes(id)) : tested
  const typed = (key: PaperItemKey, choices?: readonly string[]): PaperItem => ({
    key,
    name: PAPER_TEXT[key],
    value: (fields[key] ?? '').trim(),
    isTyped: true,
    ...(choices ? { choices } : {}),
    ...(LEFT.test(fields[key] ?? '') ? { why: (fields[`why.${key}`] ?? '').trim() } : {}),
  })
  const known = (key: PaperItemKey, value: string): PaperItem => ({
    key,
    name: PAPER_TEXT[key],
    value,
    isTyped: false,
  })
  const parts =
    kind === 'minor'
      ? minorParts(facts, chosen[0], tested, typed, known)
      : installationParts(facts, typed, known)
  return {
    kind,
    parts,
    circuits: chosen,
    missing: missingOf(facts, parts, chosen),
    failing: failingOf(facts, chosen),
  }
}

type Typed = (key: PaperItemKey, choices?: readonly string[]) => PaperItem
type Known = (key: PaperItemKey, value: string) => PaperItem

const YES = ['yes', 'no']
const FITTED = ['fitted', 'N/A', 'LIM']

function minorParts(
  facts: PaperFacts,
  circuit: string | undefined,
  tested: readonly string[],
  typed: Typed,
  known: Known,
): PaperPart[] {
  const design = facts.design.circuits.find(({ scope }) => scope === circuit)
  return [
    {
      name: 'Description',
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
    { name: 'Earthing and bonding', items: earthing(facts, typed, known) },
    {
      name: 'Circuit',
      items: [
        { ...typed('circuit', tested), value: facts.names[circuit ?? ''] ?? '' },
        ...(design ? circuitItems(design, facts, typed, known) : []),
      ],
    },
    {
      name: 'Test results',
      items: [
        known('instrument', instrumentWords(facts)),
        known('results', resultsWords(facts, circuit ? [circuit] : [])),
      ],
    },
    {
      name: 'Declaration',
      items: [
        known('declaration', PAPER_TEXT.declarationWords),
        known('tester', facts.apprentice),
        known('permission', facts.permittedBy),
        typed('nextInspection'),
      ],
    },
  ]
}

function installationParts(facts: PaperFacts, typed: Typed, known: Known): PaperPart[] {
  const { installation, design } = facts
  const origin = design.boards.find(({ board }) => board.fedBy === null)
  return [
    {
      name: 'Installation',
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
    {
      name: 'Supply',
      items: [
        known(
          'arrangement',
          `${installation.intake.arrangement}, ${installation.intake.phases === 3 ? 'three phase, 230/400 V' : 'single phase, 230 V'}`,
        ),
        known('mainFuse', `${installation.intake.mainFuseA} A`),
        known('ze', measured(facts, 'ze')),
        known('pfc', measured(facts, 'pfc')),
        ...(installation.intake.phases === 3 ? [known('rotation', measured(facts, 'rotation'))] : []),
      ],
    },
    { name: 'Earthing and bonding', items: earthing(facts, typed, known) },
    {
      name: 'Main switch and board',
      items: [
        known('mainSwitch', mainSwitchWords(origin)),
        typed('spd', FITTED),
        typed('afdd', FITTED),
        known('devices', deviceStandards(design.circuits)),
      ],
    },
    {
      name: 'Inspection',
      items: (
        [
          'inspectDesign',
          'inspectErection',
          'inspectEnclosures',
          'inspectConnections',
          'inspectProtection',
          'inspectLabels',
        ] as const
      ).map((key) => typed(key, ['in order', 'N/A', 'LIM'])),
    },
    {
      name: 'Test results',
      items: [
        known('instrument', instrumentWords(facts)),
        known('results', resultsWords(facts, Object.keys(facts.names))),
      ],
    },
    {
      name: 'Declaration',
      items: [
        known('declaration', PAPER_TEXT.declarationWords),
        known('tester', facts.apprentice),
        known('permission', facts.permittedBy),
        typed('nextInspection'),
      ],
    },
  ]
}

const earthing = (facts: PaperFacts, typed: Typed, known: Known): PaperItem[] => [
  known('earthingArrangement', facts.installation.intake.arrangement),
  typed('earthingConductor', YES),
  typed('bondingWater', ['connected', 'N/A', 'LIM']),
  typed('bondingGas', ['connected', 'N/A', 'LIM']),
  known(
    'bondingReading',
    facts.marks
      .filter(({ reading }) => reading.startsWith('bonding'))
      .map(({ typed: text }) => text)
      .join(', '),
  ),
]

/** Device, conductors and residual function of a circuit; combined devices name each function's standard. */
function circuitItems(
  { circuit, values }: CircuitDesign,
  facts: PaperFacts,
  typed: Typed,
  known: Known,
): PaperItem[] {
  const { family, curve } = circuit.device
  return [
    known(
      'device',
      `${DEVICES[family].standard} ${curve ? `type ${curve} ` : ''}${values.in} A${family === 'rcbo' ? ' (overcurrent and residual function of one device)' : ''}`,
    ),
    known('conductors', `${values.csa} mm², ${circuit.cable.kind.replaceAll('-', ' ')}`),
    known('residual', values.residual ? `${Math.round(values.residual * 1e3)} mA` : 'none'),
    typed('afdd', FITTED),
    ...(facts.edition === '17-A3' ? [] : [typed('spd', FITTED)]),
  ]
}

const deviceStandards = (circuits: readonly CircuitDesign[]): string =>
  [...new Set(circuits.map(({ circuit }) => DEVICES[circuit.device.family].standard))].join(', ')
const mainSwitchWords = (origin: BoardDesign | undefined): string =>
  origin?.values.mainSwitch ? `${origin.values.mainSwitch} A` : 'as the board has it'
const instrumentWords = ({ instrument }: PaperFacts): string =>
  instrument ? `${instrument.name}, ${instrument.serial}, calibrated until ${instrument.dueOn}` : ''
const measured = ({ readings }: PaperFacts, key: string): string => readings[key] ?? ''
const circuitOf = (key: string): string | undefined => /^([a-z0-9]+)\./.exec(key)?.[1]

function resultsWords({ marks }: PaperFacts, circuits: readonly string[]): string {
  const own = marks.filter(({ reading, outOf }) => outOf > 0 && circuits.includes(circuitOf(reading) ?? ''))
  return own.length === 0
    ? ''
    : `${own.filter(({ verdict }) => verdict !== 'missing').length} of ${own.length} readings, on the schedule`
}

/** By name, what is still empty. */
function missingOf(facts: PaperFacts, parts: readonly PaperPart[], circuits: readonly string[]): string[] {
  const items = parts.flatMap(({ items: own }) => own)
  const empty = items.filter(({ value }) => value === '').map(({ name }) => name)
  const unreasoned = items
    .filter(({ why }) => why === '')
    .map(({ name }) => `Reason for ${name.toLowerCase()}`)
  const tests = facts.marks.filter(
    ({ reading, verdict }) => verdict === 'missing' && concerns(reading, circuits),
  ).length
  const owed = facts.marks.filter(
    ({ reading, typed }) =>
      concerns(reading, circuits) &&
      parseReading(typed, readingKind(reading)).form === 'left' &&
      !(facts.readings[whyKey(reading)] ?? '').trim(),
  ).length
  return [
    ...empty,
    ...unreasoned,
    ...(tests ? [`${tests} readings of the schedule`] : []),
    ...(owed ? [`Reasons for ${owed} tests that were left out`] : []),
    ...(facts.isTested ? [] : ['Live tests, handed in']),
  ]
}

/** Readings that fail, and an instrument out of its time. */
function failingOf({ marks, instrument, today }: PaperFacts, circuits: readonly string[]): string[] {
  const critical = marks.filter(
    ({ reading, findings }) =>
      concerns(reading, circuits) && findings.some(({ seriousness }) => seriousness === 'critical'),
  )
  return [
    ...critical.map(({ reading }) => reading),
    ...(instrument && instrument.dueOn < today ? ['instrument'] : []),
  ]
}

const concerns = (reading: string, circuits: readonly string[]): boolean =>
  circuitOf(reading) === undefined || circuits.includes(circuitOf(reading)!)
