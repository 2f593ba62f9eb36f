import type { Task } from '../model/task'
import { sizeIn } from '../../regulations/book/book'
import type { Cell } from '../../regulations/book/change'
import { bookTable } from '../../regulations/book/tables'
import { printedAs } from '../../regulations/book/cable-tables'
import { ratingColumn } from '../../regulations/book/values'
import { CABLES, methodsOf, pairOhmPerM, type CableSize } from '../../regulations/cables/sizes'
import { SOURCES } from '../../regulations/source'
import { sizeFor, sizesFor } from '../limits/limits'
import { stopped, worked, type Derivation, type Neighbour, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const LOADED = { 1: ', two loaded conductors', 3: ', three loaded conductors' } as const

/** It = the tabulated rating of the conductor chosen, A. */
export const tabulatedCurrent: CircuitStep = {
  key: 'it',
  ...STEP_KINDS.it,
  kind: 'looked-up',
  needs: ['csa'],
  cell: ({ cable, phases }, { csa }) => ({
    table: `rating-${printedAs(cable.kind)}`,
    row: String(csa),
    column: ratingColumn(cable.method, phases),
  }),
  derive: (task, values) =>
    fromRow(task, values, (size) =>
      worked(
        size.ratingA,
        'It from csa and method',
        `${size.lineMm2} mm², method ${task.cable.method}${task.phases === 3 ? ', three loaded' : ''} → ${size.ratingA} A`,
        CABLES[task.cable.kind].ratingSource,
      ),
    ),
  neighbours: (task, values) => {
    const table = CABLES[task.cable.kind].ratingSource.place
    const columns = methodsOf(task.cable.kind).flatMap((method) =>
      ([1, 3] as const).flatMap((phases) => {
        const size =
          method === task.cable.method && phases === task.phases
            ? undefined
            : sizeIn(task.book, task.cable.kind, method, phases, values.csa!)
        return size
          ? [
              {
                value: size.ratingA,
                table,
                entry: `method ${method}${phases === task.phases ? '' : LOADED[phases]}`,
              },
            ]
          : []
      }),
    )
    return [...otherRows(task, values, table, (size) => size.ratingA), ...columns]
  },
}

/** mV/A/m of the conductor chosen. */
export const voltDropPerAmpMetre: CircuitStep = {
  key: 'voltDropPerAm',
  ...STEP_KINDS.voltDropPerAm,
  kind: 'looked-up',
  needs: ['csa'],
  cell: ({ cable, phases }, { csa }) => ({
    table: `drop-${printedAs(cable.kind)}`,
    row: String(csa),
    column: String(phases),
  }),
  derive: (task, values) =>
    fromRow(task, values, (size) =>
      worked(
        size.voltDropVPerAm,
        'mV/A/m from csa',
        `${size.lineMm2} mm² → ${Number((size.voltDropVPerAm * 1e3).toFixed(3))} mV/A/m`,
        CABLES[task.cable.kind].voltDropSource,
      ),
    ),
  neighbours: (task, values) => {
    const table = CABLES[task.cable.kind].voltDropSource.place
    const across = sizeIn(
      task.book,
      task.cable.kind,
      task.cable.method,
      task.phases === 3 ? 1 : 3,
      values.csa!,
    )
    return [
      ...otherRows(task, values, table, (size) => size.voltDropVPerAm),
      ...(across
        ? [
            {
              value: across.voltDropVPerAm,
              table,
              entry: task.phases === 3 ? 'the single-phase column' : 'the three-phase column',
            },
          ]
        : []),
    ]
  },
}

/** Where the resistance of a line conductor stands. */
export const lineCells = (areaMm2: number): Cell[] => [{ table: 'copper', row: String(areaMm2), column: 'r' }]

/** Where area and resistance of the cpc beside a line stand, by what it is made of. */
export function cpcCells(task: Task, csa: number): Cell[] {
  const { kind } = task.cable
  const own = (table: string) => ({ table, row: String(csa), column: String(task.phases) })
  const { made } = CABLES[kind].cpc
  if (made === 'armour') return [own(`cpc-ohm-${kind}`)]
  const area = `cpc-area-${printedAs(kind)}`
  const size = sizeFor(task, csa)
  return [
    ...(bookTable(area) ? [own(area)] : []),
    ...(made === 'copper' && size ? lineCells(size.cpcMm2) : []),
  ]
}

/** r1 + r2 of the pair at 20 °C, Ω/m. */
export const resistancePerMetre: CircuitStep = {
  key: 'ohmPerM',
  ...STEP_KINDS.ohmPerM,
  kind: 'looked-up',
  needs: ['csa'],
  cell: (task, { csa }) => [...lineCells(csa!), ...cpcCells(task, csa!)],
  appliesTo: ({ topology }) => topology !== 'ring',
  derive: (task, values) =>
    fromRow(task, values, (size) => {
      const { cpc } = CABLES[task.cable.kind]
      const pair = `${size.lineMm2}/${size.cpcMm2} mm²${cpc.made === 'copper' ? '' : `, ${cpc.made} as cpc`}`
      return worked(
        pairOhmPerM(size),
        'r1 + r2 per metre at 20 °C',
        `${pair} → ${milliohm(size.r1OhmPerM)} + ${milliohm(size.r2OhmPerM)}`,
        cpc.source,
      )
    }),
  neighbours: (task, values) => {
    const table = CABLES[task.cable.kind].cpc.source.place
    const rows = otherRows(task, values, table, pairOhmPerM)
    const cableSize = sizeFor(task, values.csa!)
    // A smaller cpc, or one of another metal: reading the line twice is the usual slip.
    if (cableSize && cableSize.cpcMm2 !== cableSize.lineMm2)
      rows.push({
        value: 2 * task.book.values.copperOhmPerM[cableSize.lineMm2]!,
        table: SOURCES.conductorResistance.place,
        entry: `${cableSize.lineMm2}/${cableSize.lineMm2} mm²`,
      })
    return rows
  },
}

const milliohm = (ohmPerM: number): string => (ohmPerM * 1e3).toFixed(2)

/** Reads from the row of the conductor written down, or stops where no such cable is made. */
export function fromRow(task: Task, values: StepValues, read: (size: CableSize) => Derivation): Derivation {
  const size = sizeFor(task, values.csa!)
  return size ? read(size) : stopped('area', { answer: values.csa! })
}

function otherRows(
  task: Task,
  values: StepValues,
  table: string,
  read: (size: CableSize) => number,
): Neighbour[] {
  return sizesFor(task)
    .filter((size) => size.lineMm2 !== values.csa)
    .map((size) => ({ value: read(size), table, entry: `${size.lineMm2} mm²` }))
}
