import { rcdZsOhm, type Book } from '#core/regulations/book/book'
import type { CableKind } from '#core/regulations/cables/cable'
import { CABLES } from '#core/regulations/cables/sizes'
import { CONDUITS_MM, conduitFactor } from '#core/regulations/containment'
import { RCD_RATINGS_A } from '#core/regulations/rcd'
import { SOURCES } from '#core/regulations/source'
import { cableTitle } from './book-words'
import { cell, plain } from './cells'
import type { LibraryTable } from './entry'

const residual = (book: Book): LibraryTable => ({
  kind: 'table',
  id: 'zs-residual',
  title: 'Largest Zs where an RCD clears the fault',
  source: SOURCES.residualLoopImpedance,
  unit: 'Ω',
  corner: 'IΔn',
  columns: ['Zs'],
  rows: RCD_RATINGS_A.map((rating) => ({
    head: `${rating * 1e3} mA`,
    cells: [plain(rcdZsOhm(book, rating), `${book.values.parameters.touchLimitV} V ÷ ${rating} A`)],
  })),
  note: 'An electrode above 200 Ω is likely to be unstable.',
})

/** Armour or sheath as the protective conductor; none where it is copper, as in the table of conductors. */
function cpcTables(kind: CableKind): LibraryTable[] {
  const { cpc, lineMm2 } = CABLES[kind]
  if (cpc.made === 'copper') return []
  return [
    {
      kind: 'table',
      id: `cpc-${kind}`,
      title: `${cpc.made === 'armour' ? 'Armour' : 'Sheath'} as cpc, ${cableTitle(kind)}`,
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

const conduit: LibraryTable = {
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
}

/** Tables that are worked out from others, or that a cable is made by. */
export const workedTables = (book: Book): LibraryTable[] => [
  residual(book),
  ...Object.values(CABLES).flatMap(({ kind }) => cpcTables(kind)),
  conduit,
]
