import { formatNumber } from '../../units/format'
import type { QuantityKey } from '../../units/quantity'
import { METHODS } from '../cables/cable'
import { CABLES } from '../cables/sizes'
import { COPPER_OHM_PER_M } from '../conductors'
import { CONDUITS_MM, TRUNKING, conduitFactor } from '../containment'
import { CURVES, DEVICES, MAGNETIC_BAND, breakerMaximumZsOhm } from '../devices'
import { PME_BONDING, TAILS_MM2 } from '../earthing'
import {
  AMBIENT_FACTOR,
  BURIED_GROUPING_FACTOR,
  GROUND_FACTOR,
  GROUPING_FACTOR,
  INSULATION_FACTOR,
} from '../factors'
import { FUSE_LOOP_OHM, type FuseFamily } from '../fuses'
import { RCD_RATINGS_A, rcdMaximumZsOhm } from '../rcd'
import { SOURCES } from '../source'
import { C_MIN, TOUCH_LIMIT_V, U0_V, type Phases } from '../supply'
import type { Cell, LibraryTable } from './entry'

const GAP: Cell = { text: '–' }
const cell = (value: number | undefined, quantity: QuantityKey, derivation?: string): Cell => {
  if (value === undefined) return GAP
  const text = formatNumber(value, quantity)
  return { text, value: Number(text), derivation }
}
const plain = (value: number | undefined, derivation?: string): Cell =>
  value === undefined ? GAP : { text: String(value), value, derivation }

function loopTables(): LibraryTable[] {
  const breakers: LibraryTable = {
    kind: 'table',
    id: 'zs-breakers',
    title: 'Largest Zs for breakers and RCBOs, 0.4 s and 5 s',
    source: SOURCES.maximumLoopImpedance,
    unit: 'Ω',
    corner: 'In',
    columns: CURVES.map((curve) => `type ${curve}`),
    rows: DEVICES.breaker.ratingsA.map((rating) => ({
      head: `${rating} A`,
      cells: CURVES.map((curve) =>
        cell(
          breakerMaximumZsOhm(curve, rating),
          'resistance',
          `${U0_V} × ${C_MIN} ÷ (${MAGNETIC_BAND[curve][1]} × ${rating})`,
        ),
      ),
    })),
    note: 'Zs = U0 × Cmin ÷ Ia. Ia is the upper end of the magnetic band: 5, 10 or 20 times In.',
  }
  const fuse = (family: FuseFamily, name: string): LibraryTable => ({
    kind: 'table',
    id: `zs-${family}`,
    title: `Largest Zs for ${name}`,
    source: SOURCES.fuseLoopImpedance,
    unit: 'Ω',
    corner: 'In',
    columns: ['0.4 s (Table 41.2)', '5 s (Table 41.4)'],
    rows: Object.keys(FUSE_LOOP_OHM[family].slow)
      .map(Number)
      .map((rating) => ({
        head: `${rating} A`,
        cells: (['fast', 'slow'] as const).map((speed) => {
          const ohm = FUSE_LOOP_OHM[family][speed][rating]
          return cell(
            ohm,
            'resistance',
            ohm === undefined
              ? undefined
              : `${U0_V} × ${C_MIN} ÷ ${((U0_V * C_MIN) / ohm).toFixed(0)} A, the current that melts it in that time`,
          )
        }),
      })),
  })
  return [
    breakers,
    fuse('gg', 'BS 88-2 fuses'),
    fuse('cartridge', 'BS 88-3 fuses'),
    fuse('rewirable', 'BS 3036 rewirable fuses'),
    fuse('plug', 'BS 1362 plug fuses'),
    {
      kind: 'table',
      id: 'zs-residual',
      title: 'Largest Zs where an RCD clears the fault',
      source: SOURCES.residualLoopImpedance,
      unit: 'Ω',
      corner: 'IΔn',
      columns: ['Zs'],
      rows: RCD_RATINGS_A.map((rating) => ({
        head: `${rating * 1e3} mA`,
        cells: [plain(rcdMaximumZsOhm(rating), `${TOUCH_LIMIT_V} V ÷ ${rating} A`)],
      })),
      note: 'An electrode above 200 Ω is likely to be unstable.',
    },
  ]
}

function cableTables(): LibraryTable[] {
  return Object.values(CABLES).flatMap((cable): LibraryTable[] => {
    const name = CABLE_TITLE[cable.kind]
    const columns = METHODS.filter((method) => cable.ratingsA[method]).flatMap((method) =>
      ([1, 3] as Phases[])
        .filter((phases) => cable.ratingsA[method]![phases])
        .map((phases) => ({ method, phases })),
    )
    const phases = ([1, 3] as Phases[]).filter((count) => cable.voltDropVPerAm[count])
    return [
      {
        kind: 'table',
        id: `rating-${cable.kind}`,
        title: `Current ratings, ${name}`,
        source: cable.ratingSource,
        unit: 'A',
        corner: 'csa',
        columns: columns.map((column) => `${column.method}, ${column.phases === 3 ? 'three' : 'two'} loaded`),
        rows: cable.lineMm2.map((area, i) => ({
          head: `${area} mm²`,
          cells: columns.map((column) => plain(cable.ratingsA[column.method]![column.phases]![i])),
        })),
        note: `Ambient 30 °C${cable.methods.includes('D') ? ' (ground 20 °C for method D)' : ''}, conductor ${cable.conductorC} °C, one circuit.`,
      },
      {
        kind: 'table',
        id: `drop-${cable.kind}`,
        title: `Voltage drop, ${name}`,
        source: cable.voltDropSource,
        unit: 'mV/A/m',
        corner: 'csa',
        columns: phases.map((count) => (count === 3 ? 'three phase' : 'single phase')),
        rows: cable.lineMm2.map((area, i) => ({
          head: `${area} mm²`,
          cells: phases.map((count) =>
            cell(
              cable.voltDropVPerAm[count]![i],
              'voltDropPerAmpMetre',
              `about ${count === 3 ? '√3' : '2'} × ${(COPPER_OHM_PER_M[area]! * 1e3).toFixed(2)} mΩ/m at ${cable.conductorC} °C`,
            ),
          ),
        })),
      },
      ...(cable.cpc.made === 'copper'
        ? []
        : [
            {
              kind: 'table' as const,
              id: `cpc-${cable.kind}`,
              title: `${cable.cpc.made === 'armour' ? 'Armour' : 'Sheath'} as cpc, ${name}`,
              source: cable.cpc.source,
              unit: 'mm² and mΩ/m',
              corner: 'csa',
              columns: ['two-core, mm²', 'two-core, mΩ/m', 'four-core, mm²', 'four-core, mΩ/m'],
              rows: cable.lineMm2.map((area, i) => ({
                head: `${area} mm²`,
                cells: ([1, 3] as const).flatMap((count) => [
                  plain(cable.cpc.areaMm2[count]![i]),
                  cell(cable.cpc.ohmPerM[count]![i], 'resistancePerMetre'),
                ]),
              })),
              note: `k = ${cable.cpc.k}; from 20 °C to service × ${cable.cpc.hotMultiplier.toFixed(2)}.`,
            },
          ]),
    ]
  })
}

const CABLE_TITLE = {
  'flat-twin-earth': 'flat twin and earth',
  'singles-in-conduit': 'singles in conduit',
  'singles-in-trunking': 'singles in trunking',
  multicore: 'multicore, 70 °C',
  'armoured-70': 'armoured, 70 °C',
  'armoured-90': 'armoured, 90 °C',
  mineral: 'mineral insulated, heavy duty',
  'fire-resistant': 'fire resistant',
} as const

function factorTables(): LibraryTable[] {
  const byTemperature = (
    id: string,
    title: string,
    source: LibraryTable['source'],
    map: typeof AMBIENT_FACTOR,
  ): LibraryTable => ({
    kind: 'table',
    id,
    title,
    source,
    unit: '',
    corner: '°C',
    columns: ['70 °C conductor', '90 °C conductor'],
    rows: [...map[70].keys()].map((c) => ({
      head: `${c} °C`,
      cells: ([70, 90] as const).map((t) => cell(map[t].get(c), 'factor')),
    })),
  })
  return [
    byTemperature('ca-air', 'Ca by air temperature', SOURCES.ambientFactor, AMBIENT_FACTOR),
    byTemperature('ca-ground', 'Ca by ground temperature', SOURCES.groundFactor, GROUND_FACTOR),
    {
      kind: 'table',
      id: 'cg',
      title: 'Cg by circuits grouped',
      source: SOURCES.groupingFactor,
      unit: '',
      corner: 'circuits',
      columns: ['bunched or enclosed', 'single layer, touching', 'in the ground, touching (4C2)'],
      rows: GROUPING_FACTOR.bunched.map((value, i) => ({
        head: String(i + 1),
        cells: [
          cell(value, 'factor'),
          cell(GROUPING_FACTOR['single-layer'][i], 'factor'),
          cell(BURIED_GROUPING_FACTOR[i], 'factor'),
        ],
      })),
    },
    {
      kind: 'table',
      id: 'ci',
      title: 'Ci by length in thermal insulation',
      source: SOURCES.insulationFactor,
      unit: '',
      corner: 'mm',
      columns: ['Ci'],
      rows: [...INSULATION_FACTOR].map(([mm, value]) => ({
        head: mm === 500 ? '500 and more' : String(mm),
        cells: [cell(value, 'factor')],
      })),
    },
  ]
}

function otherTables(): LibraryTable[] {
  return [
    {
      kind: 'table',
      id: 'copper',
      title: 'Copper conductors at 20 °C',
      source: SOURCES.conductorResistance,
      unit: 'mΩ/m',
      corner: 'csa',
      columns: ['r'],
      rows: Object.keys(COPPER_OHM_PER_M)
        .map(Number)
        .sort((a, b) => a - b)
        .map((area) => ({
          head: `${area} mm²`,
          cells: [cell(COPPER_OHM_PER_M[area], 'resistancePerMetre')],
        })),
      note: 'Pairs add: 2.5/1.5 mm² is 7.41 + 12.10 = 19.51 mΩ/m. To 70 °C × 1.20.',
    },
    {
      kind: 'table',
      id: 'tails',
      title: 'Tails by main fuse',
      source: SOURCES.tails,
      unit: 'mm²',
      corner: 'fuse',
      columns: ['tails'],
      rows: [...TAILS_MM2].map(([fuse, area]) => ({ head: `${fuse} A`, cells: [plain(area)] })),
    },
    {
      kind: 'table',
      id: 'bonding',
      title: 'Main bonding with PME',
      source: SOURCES.bonding,
      unit: 'mm²',
      corner: 'supply neutral',
      columns: ['bonding'],
      rows: PME_BONDING.map(([neutral, area]) => ({ head: `up to ${neutral} mm²`, cells: [plain(area)] })),
    },
    {
      kind: 'table',
      id: 'conduit',
      title: 'Conduit factors between draw points',
      source: SOURCES.conduitCapacity,
      unit: '',
      corner: 'run',
      columns: CONDUITS_MM.map((mm) => `${mm} mm`),
      rows: [2, 3, 5, 8].flatMap((m) =>
        [0, 1, 2].map((bends) => ({
          head: `${m} m, ${bends === 0 ? 'straight' : `${bends} ${bends === 1 ? 'bend' : 'bends'}`}`,
          cells: CONDUITS_MM.map((mm) => plain(Math.round(conduitFactor(mm, { betweenBoxesM: m, bends })))),
        })),
      ),
      note: 'The sum of the cables’ terms must not be more.',
    },
    {
      kind: 'table',
      id: 'trunking',
      title: 'Trunking factors at 45 % fill',
      source: SOURCES.conduitCapacity,
      unit: '',
      corner: 'size',
      columns: ['factor'],
      rows: TRUNKING.map(({ size, factor }) => ({
        head: `${size} mm`,
        cells: [plain(factor, 'about 0.45 × width × height inside')],
      })),
    },
  ]
}

/** Every table that a design reads, made from the data that it reads. */
export const TABLES: readonly LibraryTable[] = [
  ...loopTables(),
  ...factorTables(),
  ...cableTables(),
  ...otherTables(),
]
