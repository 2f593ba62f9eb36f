import { CLAUSES } from '#core/regulations/book/change'
import { PRINTED_KINDS } from '#core/regulations/book/cable-tables'
import { bookTable } from '#core/regulations/book/tables'
import { CONDUIT_BENDS, DIVERSITY_PLACES, type Parameter } from '#core/regulations/book/values'
import { CABLE_NAME } from '../names'
import { PARAMETER_WORDS } from './parameter-words'
import type { CableKind } from '#core/regulations/cables/cable'
import { CABLES } from '#core/regulations/cables/sizes'
import { SOURCES, type SourceKey } from '#core/regulations/source'

/** How a table of the book is headed on screen. */
export interface TableWords {
  readonly title: string
  readonly unit: string
  readonly corner: string
  readonly column: (key: string) => string
  readonly row: (key: string) => string
  readonly note?: string
}

/** Cables by the table in which they are printed. */
const CABLE_TITLE: Readonly<Partial<Record<CableKind, string>>> = {
  'flat-twin-earth': 'flat twin and earth',
  'singles-in-conduit': 'singles in conduit or trunking',
  multicore: 'multicore and fire resistant, 70 °C',
  'armoured-70': 'armoured, 70 °C',
  'armoured-90': 'armoured, 90 °C',
  mineral: 'mineral insulated, heavy duty',
}
export const cableTitle = (kind: CableKind): string => CABLE_TITLE[kind] ?? kind

const mm2 = (row: string): string => `${row} mm²`
const ampere = (row: string): string => `${row} A`

function cableWords(kind: CableKind): [string, TableWords][] {
  const { conductorC, methods } = CABLES[kind]
  const ground = methods.includes('D') ? ' (ground 20 °C for method D)' : ''
  return [
    [
      `rating-${kind}`,
      {
        title: `Current ratings, ${cableTitle(kind)}`,
        unit: 'A',
        corner: 'csa',
        column: (key) => {
          const [method, phases] = key.split('/')
          return `${method}, ${phases === '3' ? 'three' : 'two'} loaded`
        },
        row: mm2,
        note: `Ambient 30 °C${ground}, conductor ${conductorC} °C, one circuit.`,
      },
    ],
    [
      `drop-${kind}`,
      {
        title: `Voltage drop, ${cableTitle(kind)}`,
        unit: 'mV/A/m',
        corner: 'csa',
        column: (key) => (key === '3' ? 'three phase' : 'single phase'),
        row: mm2,
      },
    ],
  ]
}

const byTemperature = (title: string): TableWords => ({
  title,
  unit: '',
  corner: '°C',
  column: (key) => `${key} °C conductor`,
  row: (key) => `${key} °C`,
})

const fuse = (name: string): TableWords => ({
  title: `Largest Zs for ${name}`,
  unit: 'Ω',
  corner: 'In',
  column: (key) => (key === 'fast' ? '0.4 s (Table 41.2)' : '5 s (Table 41.4)'),
  row: ampere,
})

const GROUPED: Readonly<Record<string, string>> = {
  bunched: 'bunched or enclosed',
  'single-layer': 'single layer, touching',
  buried: 'in the ground, touching (4C2)',
}

const one = (
  title: string,
  unit: string,
  corner: string,
  column: string,
  row: TableWords['row'],
): TableWords => ({ title, unit, corner, column: () => column, row })

const TERMS: Readonly<Record<string, string>> = {
  short: 'conduit, straight up to 3 m',
  long: 'conduit, other runs',
  trunking: 'trunking',
}
const bendsWords = (bends: number): string => {
  if (bends === 0) return 'straight run'
  return bends === 1 ? 'one bend' : `${bends} bends`
}
const DIVERSITY_TITLE = {
  home: 'homes',
  guestHouse: 'guest houses',
  business: 'shops, offices and workshops',
} as const
const SHARES: Readonly<Record<string, string>> = {
  largest: 'largest, %',
  second: 'second, %',
  others: 'others, %',
  fullA: 'in full, A',
  above: 'of the rest, %',
}

/** Cpc that differs from its line, and what is not copper. */
function cpcWords(kind: CableKind): [string, TableWords][] {
  const made = CPC_MADE[CABLES[kind].cpc.made]
  const words = { corner: 'csa', column: (key: string) => (key === '3' ? 'four-core' : 'two-core'), row: mm2 }
  return [
    [`cpc-area-${kind}`, { ...words, title: `${made}, ${cableTitle(kind)}`, unit: 'mm²' }],
    [`cpc-ohm-${kind}`, { ...words, title: `${made}, ${cableTitle(kind)}, at 20 °C`, unit: 'mΩ/m' }],
  ]
}
const CPC_MADE = { copper: 'Cpc', armour: 'Armour as cpc', sheath: 'Sheath as cpc' } as const

const WORDS = new Map<string, TableWords>([
  [
    'zs-breakers',
    {
      title: 'Largest Zs for breakers and RCBOs, 0.4 s and 5 s',
      unit: 'Ω',
      corner: 'In',
      column: (key) => `type ${key}`,
      row: ampere,
      note: 'Zs = U0 × Cmin ÷ Ia. Ia is the upper end of the magnetic band: 5, 10 or 20 times In.',
    },
  ],
  ['zs-gg', fuse('BS 88-2 fuses')],
  ['zs-cartridge', fuse('BS 88-3 fuses')],
  ['zs-rewirable', fuse('BS 3036 rewirable fuses')],
  ['zs-plug', fuse('BS 1362 plug fuses')],
  ['ca-air', byTemperature('Ca by air temperature')],
  ['ca-ground', byTemperature('Ca by ground temperature')],
  [
    'cg',
    {
      title: 'Cg by circuits grouped',
      unit: '',
      corner: 'circuits',
      column: (key) => GROUPED[key] ?? key,
      row: (key) => key,
    },
  ],
  [
    'ci',
    one(
      'Ci by length in thermal insulation',
      '',
      'length',
      'Ci',
      (key) => `${key} mm${key === '500' ? ' and more' : ''}`,
    ),
  ],
  ...PRINTED_KINDS.flatMap(cableWords),
  [
    'copper',
    {
      ...one('Copper conductors at 20 °C', 'mΩ/m', 'csa', 'r', mm2),
      note: 'Pairs add: 2.5/1.5 mm² is 7.41 + 12.10 = 19.51 mΩ/m. To 70 °C × 1.20.',
    },
  ],
  ['tails', one('Tails by main fuse', 'mm²', 'fuse', 'tails', ampere)],
  ['bonding', one('Main bonding with PME', 'mm²', 'supply neutral', 'bonding', (key) => `up to ${key} mm²`)],
  ['trunking', one('Trunking factors at 45 % fill', '', 'size', 'factor', (key) => `${key} mm`)],
  [
    'terms',
    {
      title: 'Cable terms for conduit and trunking',
      unit: '',
      corner: 'csa',
      column: (key) => TERMS[key] ?? key,
      row: mm2,
      note: 'The sum of the terms must not be more than the factor.',
    },
  ],
  [
    'conduit-short',
    one('Conduit factors, straight run up to 3 m', '', 'size', 'factor', (key) => `${key} mm`),
  ],
  ...CONDUIT_BENDS.map((bends): [string, TableWords] => [
    `conduit-${bends}`,
    {
      title: `Conduit factors, ${bendsWords(bends)} between draw points`,
      unit: '',
      corner: 'run',
      column: (key) => `${key} mm`,
      row: (key) => `${key} m`,
    },
  ]),
  ...PRINTED_KINDS.flatMap(cpcWords),
  [
    'let-through',
    {
      title: 'Let-through energy of breakers, class 3',
      unit: 'A²s',
      corner: 'In',
      column: (key) => `type ${key.replace('/', ', ')} kA`,
      row: (key) => `up to ${key} A`,
    },
  ],
  ['k', one('k of the cpc by cable', 'A·√s/mm²', 'cable', 'k', (key) => CABLE_NAME[key as CableKind])],
  ...DIVERSITY_PLACES.map((place): [string, TableWords] => [
    `diversity-${place}`,
    {
      title: `Diversity, ${DIVERSITY_TITLE[place]}`,
      unit: '',
      corner: 'use',
      column: (key) => SHARES[key] ?? key,
      row: (key) => key,
      note: 'A use without a row counts in full.',
    },
  ]),
])

const RULE = 'rule-'

/** How a table of the book is headed, and its rows and columns named. */
export function tableWords(table: string): TableWords {
  const words = WORDS.get(table)
  if (words) return words
  const { name, unit } = PARAMETER_WORDS[table.slice(RULE.length) as Parameter]
  return one(name, unit, '', 'value', () => 'figure')
}

/** A place in the book in one line: `Current ratings, flat twin and earth: 2.5 mm², C, two loaded`. */
export function cellWords({ table, row, column }: { table: string; row: string; column: string }): string {
  if (table === CLAUSES) return `Clause: ${SOURCES[row as SourceKey].place}`
  const words = tableWords(table)
  if (table.startsWith(RULE)) return words.title
  const at = `${words.title}: ${words.row(row)}`
  // Of a table with one column the column says nothing.
  if (bookTable(table)?.columns.length === 1) return at
  return `${at}, ${table.startsWith('rating-') ? 'method ' : ''}${words.column(column)}`
}

/** A value with its unit. */
export function valueWords(table: string, value: number | null | undefined): string {
  if (value === null || value === undefined) return 'no such row'
  const { unit } = tableWords(table)
  return unit ? `${value} ${unit}` : String(value)
}
