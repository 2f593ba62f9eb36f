import {
  AMBIENT_FACTOR,
  BURIED_GROUPING_FACTOR,
  GROUND_FACTOR,
  GROUPING_FACTOR,
  INSULATION_FACTOR,
} from '#core/regulations/factors'
import { SOURCES } from '#core/regulations/source'
import { cell } from './cells'
import type { LibraryTable } from './entry'

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

/** Correction factors. */
export const FACTOR_TABLES: readonly LibraryTable[] = [
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
