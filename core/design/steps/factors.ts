import type { Task } from '../model/task'
import { CABLES, isBuried } from '../../regulations/cables/sizes'
import {
  AMBIENT_FACTOR,
  BURIED_FACTOR,
  BURIED_GROUPING_FACTOR,
  GROUND_FACTOR,
  GROUPING_FACTOR,
  INSULATION_FACTOR,
  REWIRABLE_FACTOR,
} from '../../regulations/factors'
import { SOURCES } from '../../regulations/source'
import { stopped, worked, type Neighbour } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const ambientTable = ({ cable }: Task) =>
  (isBuried(cable.method) ? GROUND_FACTOR : AMBIENT_FACTOR)[CABLES[cable.kind].conductorC]

/** Ca from the temperature of the air, or of the ground for a buried cable. */
export const ambientFactor: CircuitStep = {
  key: 'ca',
  ...STEP_KINDS.ca,
  kind: 'looked-up',
  needs: [],
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

const groupingRow = ({ cable, grouping }: Task) =>
  isBuried(cable.method) ? BURIED_GROUPING_FACTOR : GROUPING_FACTOR[grouping.arrangement]

/** Cg from the number of circuits that run together. */
export const groupingFactor: CircuitStep = {
  key: 'cg',
  ...STEP_KINDS.cg,
  kind: 'looked-up',
  needs: [],
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
    const across = GROUPING_FACTOR[other][circuits - 1]
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

function deviceFactorWords(value: number): string {
  if (value === 1) return 'a breaker above ground'
  return value === BURIED_FACTOR ? 'a cable in the ground' : 'a rewirable fuse'
}

/** Ci from the length of cable inside thermal insulation. Methods 100 to 103 have it in their column already. */
export const insulationFactor: CircuitStep = {
  key: 'ci',
  ...STEP_KINDS.ci,
  kind: 'looked-up',
  needs: [],
  derive: ({ insulationMm }) => {
    const factor = INSULATION_FACTOR.get(insulationMm)
    if (factor === undefined)
      return stopped('insulation', { insulationMm, rows: [...INSULATION_FACTOR.keys()].join(', ') })
    return worked(
      factor,
      'Ci from the length in insulation',
      `${insulationWords(insulationMm)} → ${factor}`,
      SOURCES.insulationFactor,
    )
  },
  neighbours: ({ insulationMm }) =>
    [...INSULATION_FACTOR]
      .filter(([rowMm]) => rowMm !== insulationMm)
      .map(([rowMm, value]) => ({ value, table: 'Table 52.2', entry: insulationWords(rowMm) })),
}

/** Cf = 0.725 for a rewirable fuse, times 0.9 (Cc) for a cable in the ground. */
export const deviceFactor: CircuitStep = {
  key: 'cf',
  ...STEP_KINDS.cf,
  kind: 'looked-up',
  needs: [],
  derive: ({ device, cable }) => {
    const rewirable = device.family === 'fuse-rewirable' ? REWIRABLE_FACTOR : 1
    const buried = isBuried(cable.method) ? BURIED_FACTOR : 1
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
  neighbours: (task) =>
    [1, REWIRABLE_FACTOR, BURIED_FACTOR, REWIRABLE_FACTOR * BURIED_FACTOR]
      .map((value) => ({ value, table: 'Appendix 4, 5.1.1', entry: deviceFactorWords(value) }))
      .filter(
        ({ value }) =>
          value !==
          (task.device.family === 'fuse-rewirable' ? REWIRABLE_FACTOR : 1) *
            (isBuried(task.cable.method) ? BURIED_FACTOR : 1),
      ),
}
