import type { Task } from '../model/task'
import { CABLES, isBuried } from '../../regulations/cables/sizes'
import { ambientIn, groupingIn, rowsOf } from '../../regulations/book/book'
import type { Cell } from '../../regulations/book/change'
import { ruleCell } from '../../regulations/book/rule-tables'
import { SOURCES } from '../../regulations/source'
import { stopped, worked, type Neighbour } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const ambientTable = ({ cable, book }: Task) =>
  ambientIn(book, isBuried(cable.method) ? 'ground' : 'air', CABLES[cable.kind].conductorC)

/** Ca from the temperature of the air, or of the ground for a buried cable. */
export const ambientFactor: CircuitStep = {
  key: 'ca',
  ...STEP_KINDS.ca,
  kind: 'looked-up',
  needs: [],
  cell: ({ cable, ambientC }) => ({
    table: isBuried(cable.method) ? 'ca-ground' : 'ca-air',
    row: String(ambientC),
    column: String(CABLES[cable.kind].conductorC),
  }),
  derive: (task) => {
    const factor = ambientTable(task).get(task.ambientC)
    if (factor === undefined)
      return stopped('ambient', {
        ambientC: task.ambientC,
        rows: [...ambientTable(task).keys()].join(', '),
        buried: isBuried(task.cable.method) ? 'ground' : 'air',
      })
    const isGround = isBuried(task.cable.method)
    return worked(
      factor,
      isGround ? 'Ca from the ground temperature' : 'Ca from the ambient temperature',
      `${task.ambientC} °C → ${factor}`,
      isGround ? SOURCES.groundFactor : SOURCES.ambientFactor,
    )
  },
  neighbours: (task) =>
    [...ambientTable(task)]
      .filter(([rowC]) => rowC !== task.ambientC)
      .map(([rowC, value]) => ({
        value,
        table: isBuried(task.cable.method) ? 'Table 4B2' : 'Table 4B1',
        entry: `${rowC} °C`,
      })),
}

const groupingColumn = ({ cable, grouping }: Task) =>
  isBuried(cable.method) ? 'buried' : grouping.arrangement
const groupingRow = (task: Task) => groupingIn(task.book, groupingColumn(task))

/** Cg from the number of circuits that run together. */
export const groupingFactor: CircuitStep = {
  key: 'cg',
  ...STEP_KINDS.cg,
  kind: 'looked-up',
  needs: [],
  cell: (task): Cell => ({ table: 'cg', row: String(task.grouping.circuits), column: groupingColumn(task) }),
  derive: (task) => {
    const { circuits } = task.grouping
    const factor = groupingRow(task)[circuits - 1]
    if (factor === undefined) return stopped('grouping', { circuits, most: groupingRow(task).length })
    return worked(
      factor,
      'Cg from the circuits grouped',
      `${circuits} → ${factor}`,
      isBuried(task.cable.method) ? SOURCES.buriedGrouping : SOURCES.groupingFactor,
    )
  },
  neighbours: (task) => {
    const { circuits, arrangement } = task.grouping
    const row = groupingRow(task)
    const table = isBuried(task.cable.method) ? 'Table 4C2' : 'Table 4C1'
    const rows: Neighbour[] = row.flatMap((value, i) =>
      i + 1 === circuits ? [] : [{ value, table, entry: `${i + 1} ${i === 0 ? 'circuit' : 'circuits'}` }],
    )
    const other = arrangement === 'bunched' ? 'single-layer' : 'bunched'
    const across = groupingIn(task.book, other)[circuits - 1]
    if (!isBuried(task.cable.method) && across !== undefined && across !== row[circuits - 1]) {
      rows.push({ value: across, table, entry: other === 'bunched' ? 'bunched' : 'single layer' })
    }
    return rows
  },
}

const MORE_THAN_MM = 500
function insulationWords(mm: number): string {
  if (mm === 0) return 'none'
  return mm >= MORE_THAN_MM ? 'half a metre or more' : `${mm} mm`
}

/** Cf of every combination, and in what words. */
function deviceFactors({ book }: Task): readonly (readonly [factor: number, words: string])[] {
  const { rewirable, buried } = book.values.parameters
  return [
    [1, 'a breaker above ground'],
    [rewirable, 'a rewirable fuse'],
    [buried, 'a cable in the ground'],
    [rewirable * buried, 'a rewirable fuse'],
  ]
}

/** Ci from the length of cable inside thermal insulation. Methods 100 to 103 have it in their column already. */
export const insulationFactor: CircuitStep = {
  key: 'ci',
  ...STEP_KINDS.ci,
  kind: 'looked-up',
  needs: [],
  cell: ({ insulationMm }) => ({ table: 'ci', row: String(insulationMm), column: 'factor' }),
  derive: ({ insulationMm, book }) => {
    const rows = rowsOf(book.values.insulation)
    const factor = rows.get(insulationMm)
    if (factor === undefined)
      return stopped('insulation', { insulationMm, rows: [...rows.keys()].join(', ') })
    return worked(
      factor,
      'Ci from the length in insulation',
      `${insulationWords(insulationMm)} → ${factor}`,
      SOURCES.insulationFactor,
    )
  },
  neighbours: ({ insulationMm, book }) =>
    [...rowsOf(book.values.insulation)]
      .filter(([rowMm]) => rowMm !== insulationMm)
      .map(([rowMm, value]) => ({ value, table: 'Table 52.2', entry: insulationWords(rowMm) })),
}

/** What the device and the ground each take from the cable, 1 for nothing. */
function deviceParts({ device, cable, book }: Task): { rewirable: number; buried: number } {
  const { rewirable, buried } = book.values.parameters
  return {
    rewirable: device.family === 'fuse-rewirable' ? rewirable : 1,
    buried: isBuried(cable.method) ? buried : 1,
  }
}

/** Cf = 0.725 for a rewirable fuse, times 0.9 (Cc) for a cable in the ground. */
export const deviceFactor: CircuitStep = {
  key: 'cf',
  ...STEP_KINDS.cf,
  kind: 'looked-up',
  needs: [],
  cell: ({ device, cable }) => {
    if (device.family === 'fuse-rewirable') return ruleCell('rewirable')
    return isBuried(cable.method) ? ruleCell('buried') : undefined
  },
  derive: (task) => {
    const { rewirable, buried } = deviceParts(task)
    const parts = [
      ...(rewirable === 1 ? [] : [`${rewirable} rewirable`]),
      ...(buried === 1 ? [] : [`${buried} in the ground (Cc)`]),
    ]
    return worked(
      rewirable * buried,
      'Cf from device and burial',
      parts.length === 0 ? 'neither rewirable fuse nor ground → 1' : parts.join(' × '),
      SOURCES.deviceFactor,
    )
  },
  neighbours: (task) => {
    const { rewirable, buried } = deviceParts(task)
    return deviceFactors(task)
      .filter(([value]) => value !== rewirable * buried)
      .map(([value, entry]) => ({ value, table: 'Appendix 4, 5.1.1', entry }))
  },
}
