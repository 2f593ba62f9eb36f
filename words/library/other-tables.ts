import { COPPER_OHM_PER_M } from '#core/regulations/conductors'
import { CONDUITS_MM, TRUNKING, conduitFactor } from '#core/regulations/containment'
import { PME_BONDING, TAILS_MM2 } from '#core/regulations/earthing'
import { SOURCES } from '#core/regulations/source'
import { cell, plain } from './cells'
import type { LibraryTable } from './entry'

/** Conductors, tails, bonding, conduit and trunking. */
export const OTHER_TABLES: readonly LibraryTable[] = [
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
      .map((area) => ({ head: `${area} mm²`, cells: [cell(COPPER_OHM_PER_M[area], 'resistancePerMetre')] })),
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
