import type { Task } from '../model/task'
import type { Cell } from '../../regulations/book/change'
import { pairOhmPerM, type CableSize } from '../../regulations/cables/sizes'
import { SOURCES } from '../../regulations/source'
import { U0_V } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { worked, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import { cpcCells, fromRow, lineCells } from './cable-rows'
import type { CircuitStep } from './step-context'

const isRing = ({ topology }: Task): boolean => topology === 'ring'
const ohms = (value: number) => formatNumber(value, 'resistance')

/** End-to-end resistance of one conductor of a ring at 20 °C, Ω: what the ohmmeter shows across its two ends. */
function endToEnd(
  key: 'r1' | 'rn' | 'r2',
  cells: (task: Task, csa: number) => readonly Cell[],
  ohmPerM: (size: CableSize) => number,
  area: (size: CableSize) => number,
): CircuitStep {
  return {
    key,
    ...STEP_KINDS[key],
    kind: 'calculated',
    needs: ['csa'],
    appliesTo: isRing,
    cell: (task, { csa }) => cells(task, csa!),
    derive: (task, values) =>
      fromRow(task, values, (size) =>
        worked(
          ohmPerM(size) * task.lengthM,
          `${key} = mΩ/m × L ÷ 1000, end to end`,
          `${(ohmPerM(size) * 1e3).toFixed(2)} (${area(size)} mm²) × ${task.lengthM} ÷ 1000`,
          SOURCES.ringContinuity,
        ),
      ),
  }
}
export const lineEndToEnd = endToEnd(
  'r1',
  (_task, csa) => lineCells(csa),
  (size) => size.r1OhmPerM,
  (size) => size.lineMm2,
)
export const neutralEndToEnd = endToEnd(
  'rn',
  (_task, csa) => lineCells(csa),
  (size) => size.r1OhmPerM,
  (size) => size.lineMm2,
)
export const protectiveEndToEnd = endToEnd(
  'r2',
  cpcCells,
  (size) => size.r2OhmPerM,
  (size) => size.cpcMm2,
)

/** R1 + R2 at 20 °C, Ω: what the ohmmeter should show. Of a ring a quarter of r1 + r2, and the whole of a spur. */
export const coldResistance: CircuitStep = {
  key: 'r1r2',
  ...STEP_KINDS.r1r2,
  kind: 'calculated',
  needs: ['ohmPerM', 'r1', 'r2'],
  derive: (task, values) => (isRing(task) ? ringResistance(task, values) : radialResistance(task, values)),
}

function radialResistance(task: Task, { ohmPerM }: StepValues) {
  return worked(
    ohmPerM! * task.lengthM,
    'R1 + R2 = (r1 + r2) × L ÷ 1000',
    `${formatNumber(ohmPerM!, 'resistancePerMetre')} × ${task.lengthM} ÷ 1000`,
    SOURCES.conductorResistance,
  )
}

function ringResistance(task: Task, values: StepValues) {
  return fromRow(task, values, (size) => {
    const spur = pairOhmPerM(size) * task.spurM
    const spurWords =
      task.spurM > 0 ? ` + ${(pairOhmPerM(size) * 1e3).toFixed(2)} × ${task.spurM} ÷ 1000` : ''
    return worked(
      (values.r1! + values.r2!) / 4 + spur,
      `R1 + R2 = (r1 + r2) ÷ 4${task.spurM > 0 ? ', and the spur' : ''}`,
      `(${ohms(values.r1!)} + ${ohms(values.r2!)}) ÷ 4${spurWords}`,
      SOURCES.ringContinuity,
    )
  })
}

/** R1 + R2 in service, Ω: what the fault will meet. */
export const hotResistance: CircuitStep = {
  key: 'r1r2Hot',
  ...STEP_KINDS.r1r2Hot,
  kind: 'calculated',
  needs: ['r1r2', 'csa'],
  derive: (task, values) =>
    fromRow(task, values, ({ hotMultiplier }) =>
      worked(
        values.r1r2! * hotMultiplier,
        `(R1 + R2) × ${hotMultiplier.toFixed(2)}`,
        `${ohms(values.r1r2!)} × ${hotMultiplier.toFixed(2)}`,
        SOURCES.hotMultiplier,
      ),
    ),
}

/** Zs = Ze + (R1 + R2) in service, Ω. */
export const loopImpedance: CircuitStep = {
  key: 'zs',
  ...STEP_KINDS.zs,
  kind: 'calculated',
  needs: ['r1r2Hot'],
  derive: ({ supply }, { r1r2Hot }) =>
    worked(
      supply.zeOhm + r1r2Hot!,
      'Zs = Ze + (R1 + R2) hot',
      `${ohms(supply.zeOhm)} + ${ohms(r1r2Hot!)}`,
      SOURCES.loopImpedance,
    ),
}

/** If = U0 ÷ Zs, A: the current that an earth fault at the furthest point drives. */
export const earthFaultCurrent: CircuitStep = {
  key: 'faultCurrent',
  ...STEP_KINDS.faultCurrent,
  kind: 'calculated',
  needs: ['zs'],
  derive: (_task, { zs }) =>
    worked(U0_V / zs!, 'If = U0 ÷ Zs', `${U0_V} ÷ ${ohms(zs!)}`, SOURCES.timeCurrent),
}
