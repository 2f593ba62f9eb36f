import type { BoardDesign, CircuitDesign } from '../../design/reference'
import { DEVICES } from '../../regulations/devices'
import { EDITION_DOCUMENT } from '../../regulations/editions'
import { circuitOfKey, kindOf } from '../kinds/kinds'
import { bonding } from '../kinds/bonding'
import { failingOf, missingOf } from './gaps'
import type {
  OtherSource,
  RecordFacts,
  RecordItem,
  RecordItemKey,
  RecordKind,
  RecordPart,
  TestRecord,
} from './record-shape'

type Fields = Readonly<Record<string, string>>
const LEFT = /^(n\/?a|lim)\b/i

/**
 * Fills a record from what is known and what has been typed, and says what is missing or fails. BS 7671 Part
 * 6, 644 and Appendix 6, from memory: the information asked for, in an arrangement of our own.
 */
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
const FIXED = ['fixed at the origin and at the board', 'N/A', 'LIM']
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

function supply(facts: RecordFacts, boxes: Boxes): RecordItem[] {
  const { known } = boxes
  const {
    installation: { intake },
    readings,
  } = facts
  const measured = (key: 'ze' | 'pfc' | 'rotation') => known(key, readings[key] ?? '')
  return [
    known('arrangement', { code: 'supply', arrangement: intake.arrangement, phases: intake.phases }),
    known('mainFuse', `${intake.mainFuseA} A`),
    measured('ze'),
    measured('pfc'),
    ...(intake.phases === 3 ? [measured('rotation')] : []),
    ...otherSources(sourcesOf(facts.installation), boxes),
  ]
}

/** Sources beside the supply, by the circuits that bring them in. */
export const sourcesOf = ({ intake, circuits }: RecordFacts['installation']): OtherSource[] => [
  ...(intake.standby ? [{ infeed: intake.standby.source, circuit: null }] : []),
  ...circuits.flatMap(({ infeed, name }) => (infeed ? [{ infeed, circuit: name }] : [])),
]

/** What is said of them, with the notice that BS 7671 514.15.1 asks for, from memory; nothing where there is none. */
const otherSources = (sources: readonly OtherSource[], { known, typed }: Boxes): RecordItem[] =>
  sources.length === 0
    ? []
    : [known('otherSources', { code: 'sources', sources }), typed('multipleSuppliesNotice', FIXED)]

const closingParts = (
  facts: RecordFacts,
  circuits: readonly string[],
  { typed, known }: Boxes,
): RecordPart[] => [
  {
    key: 'results',
    items: [
      known('instrument', instrumentOf(facts)),
      ...insulationTest(facts).map((value) => known('insulationTest', value)),
      known('results', resultsOf(facts, circuits)),
    ],
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
    ...otherSources(sourcesOf({ ...facts.installation, circuits: [circuit] }), { typed, known }),
  ]
}

const deviceStandards = (circuits: readonly CircuitDesign[]): string =>
  [...new Set(circuits.map(({ circuit }) => DEVICES[circuit.device.family].standard))].join(', ')
const mainSwitchA = (origin: BoardDesign | undefined): number | null => origin?.values.mainSwitch || null
const instrumentOf = ({ instrument }: RecordFacts): RecordItem['value'] =>
  instrument ? { code: 'instrument', ...instrument } : ''

/** The test voltage and what had to be out, where it was written down. */
function insulationTest({ readings }: RecordFacts): RecordItem['value'][] {
  const [volt, out] = [readings['set:irVolt'] ?? '', readings['set:irOut'] ?? '']
  return volt.trim() || out.trim() ? [{ code: 'insulationTest', volt: volt.trim(), out: out.trim() }] : []
}

function resultsOf({ marks }: RecordFacts, circuits: readonly string[]): RecordItem['value'] {
  const readingMarks = marks.filter(
    ({ reading, outOf }) => outOf > 0 && circuits.includes(circuitOfKey(reading) ?? ''),
  )
  return readingMarks.length === 0
    ? ''
    : {
        code: 'results',
        made: readingMarks.filter(({ verdict }) => verdict !== 'missing').length,
        of: readingMarks.length,
      }
}
