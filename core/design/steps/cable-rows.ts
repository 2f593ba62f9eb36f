import type { Task } from '../../exercise/task'
import { CABLES, methodsOf, sizeOf, sizesOf, type CableSize } from '../../regulations/cables'
import { pairOhmPerM } from '../../regulations/conductors'
import { SOURCES } from '../../regulations/source'
import { stopped, worked, type Neighbour, type Step, type StepValues } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** It = the tabulated rating of the conductor chosen, A. */
export const tabulatedCurrent: Step = {
  key: 'it',
  ...STEP_KINDS.it,
  kind: 'looked-up',
  needs: ['csa'],
  derive: (task, values) =>
    fromRow(task, values, (size) =>
      worked(size.ratingA, 'It from csa and method', `${size.lineMm2} mm², method ${task.cable.method} → ${size.ratingA} A`, CABLES[task.cable.kind].ratingSource),
    ),
  neighbours: (task, values) => {
    const table = CABLES[task.cable.kind].ratingSource.place
    const columns = methodsOf(task.cable.kind)
      .filter((method) => method !== task.cable.method)
      .flatMap((method) => {
        const size = sizeOf(task.cable.kind, method, values.csa!)
        return size ? [{ value: size.ratingA, table, entry: `method ${method}` }] : []
      })
    return [...otherRows(task, values, table, (size) => size.ratingA), ...columns]
  },
}

/** mV/A/m of the conductor chosen. */
export const voltDropPerAmpMetre: Step = {
  key: 'voltDropPerAm',
  ...STEP_KINDS.voltDropPerAm,
  kind: 'looked-up',
  needs: ['csa'],
  derive: (task, values) =>
    fromRow(task, values, (size) =>
      worked(size.voltDropVPerAm, 'mV/A/m from csa', `${size.lineMm2} mm² → ${size.voltDropVPerAm * 1e3} mV/A/m`, CABLES[task.cable.kind].voltDropSource),
    ),
  neighbours: (task, values) =>
    otherRows(task, values, CABLES[task.cable.kind].voltDropSource.place, (size) => size.voltDropVPerAm),
}

/** r1 + r2 of the pair at 20 °C, Ω/m. */
export const resistancePerMetre: Step = {
  key: 'ohmPerM',
  ...STEP_KINDS.ohmPerM,
  kind: 'looked-up',
  needs: ['csa'],
  derive: (task, values) =>
    fromRow(task, values, (size) =>
      worked(
        pairOhmPerM(size),
        'r1 + r2 per metre at 20 °C',
        `${size.lineMm2}/${size.cpcMm2} mm² → ${(pairOhmPerM(size) * 1e3).toFixed(2)} mΩ/m`,
        SOURCES.conductorResistance,
      ),
    ),
  neighbours: (task, values) => {
    const table = SOURCES.conductorResistance.place
    const rows = otherRows(task, values, table, pairOhmPerM)
    const own = sizeOf(task.cable.kind, task.cable.method, values.csa!)
    // Flat cable has a smaller cpc: reading the line size twice is the usual slip.
    if (own && own.cpcMm2 !== own.lineMm2) {
      rows.push({ value: pairOhmPerM({ lineMm2: own.lineMm2, cpcMm2: own.lineMm2 }), table, entry: `${own.lineMm2}/${own.lineMm2} mm²` })
    }
    return rows
  },
}

function fromRow(task: Task, values: StepValues, read: (size: CableSize) => ReturnType<Step['derive']>) {
  const size = sizeOf(task.cable.kind, task.cable.method, values.csa!)
  return size ? read(size) : stopped('area', { answer: values.csa! })
}

function otherRows(task: Task, values: StepValues, table: string, read: (size: CableSize) => number): Neighbour[] {
  return sizesOf(task.cable.kind, task.cable.method)
    .filter((size) => size.lineMm2 !== values.csa)
    .map((size) => ({ value: read(size), table, entry: `${size.lineMm2} mm²` }))
}
