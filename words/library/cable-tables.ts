import { METHODS } from '#core/regulations/cables/cable'
import { CABLES } from '#core/regulations/cables/sizes'
import { COPPER_OHM_PER_M } from '#core/regulations/conductors'
import type { Phases } from '#core/regulations/supply'
import { cell, plain } from './cells'
import type { LibraryTable } from './entry'

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

type CableData = (typeof CABLES)[keyof typeof CABLES]
const BOTH: readonly Phases[] = [1, 3]

function ratingTable(cable: CableData): LibraryTable {
  const columns = METHODS.filter((method) => cable.ratingsA[method]).flatMap((method) =>
    BOTH.filter((phases) => cable.ratingsA[method]![phases]).map((phases) => ({ method, phases })),
  )
  return {
    kind: 'table',
    id: `rating-${cable.kind}`,
    title: `Current ratings, ${CABLE_TITLE[cable.kind]}`,
    source: cable.ratingSource,
    unit: 'A',
    corner: 'csa',
    columns: columns.map((column) => `${column.method}, ${column.phases === 3 ? 'three' : 'two'} loaded`),
    rows: cable.lineMm2.map((area, i) => ({
      head: `${area} mm²`,
      cells: columns.map((column) => plain(cable.ratingsA[column.method]![column.phases]![i])),
    })),
    note: `Ambient 30 °C${cable.methods.includes('D') ? ' (ground 20 °C for method D)' : ''}, conductor ${cable.conductorC} °C, one circuit.`,
  }
}

function dropTable(cable: CableData): LibraryTable {
  const phases = BOTH.filter((count) => cable.voltDropVPerAm[count])
  return {
    kind: 'table',
    id: `drop-${cable.kind}`,
    title: `Voltage drop, ${CABLE_TITLE[cable.kind]}`,
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
  }
}

/** Armour or sheath as the protective conductor; none where it is copper, as in the table of conductors. */
function cpcTables({ kind, cpc, lineMm2 }: CableData): LibraryTable[] {
  if (cpc.made === 'copper') return []
  return [
    {
      kind: 'table',
      id: `cpc-${kind}`,
      title: `${cpc.made === 'armour' ? 'Armour' : 'Sheath'} as cpc, ${CABLE_TITLE[kind]}`,
      source: cpc.source,
      unit: 'mm² and mΩ/m',
      corner: 'csa',
      columns: ['two-core, mm²', 'two-core, mΩ/m', 'four-core, mm²', 'four-core, mΩ/m'],
      rows: lineMm2.map((area, i) => ({
        head: `${area} mm²`,
        cells: ([1, 3] as const).flatMap((count) => [
          plain(cpc.areaMm2[count]![i]),
          cell(cpc.ohmPerM[count]![i], 'resistancePerMetre'),
        ]),
      })),
      note: `k = ${cpc.k}; from 20 °C to service × ${cpc.hotMultiplier.toFixed(2)}.`,
    },
  ]
}

/** Current ratings, voltage drop and protective conductor of every cable. */
export const CABLE_TABLES: readonly LibraryTable[] = Object.values(CABLES).flatMap((cable) => [
  ratingTable(cable),
  dropTable(cable),
  ...cpcTables(cable),
])
