import type { Task } from '../model/task'
import { voltDropShare } from '../../regulations/book/book'
import { ruleCell } from '../../regulations/book/rule-tables'
import { CABLES } from '../../regulations/cables/sizes'
import { SOURCES } from '../../regulations/source'
import { nominalV } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { COPPER_ORIGIN_C, TABLE_AMBIENT_C, carriedLoadA, temperatureFactor } from '../limits/counted-drop'
import { dropShare } from '../limits/limits'
import { accepted, atMost, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** Ct: the drop of a conductor that this load does not bring to its full temperature; BS 7671 Appendix 4, 6.1. */
export const temperatureOfDrop: CircuitStep = {
  key: 'ct',
  ...STEP_KINDS.ct,
  kind: 'calculated',
  needs: ['ib', 'it', 'ca', 'cg'],
  appliesTo: ({ warmDrop }) => warmDrop === 'corrected',
  derive: (task, values) => {
    const { ib, it, ca, cg } = values as Required<typeof values>
    const tp = CABLES[task.cable.kind].conductorC
    const carried = carriedLoadA(task, ib, values.in!)
    return worked(
      temperatureFactor(task, { ib, in: values.in!, it, ca, cg }),
      'Ct = (230 + tp − (Ca²Cg² − Ib² ÷ It²)(tp − 30)) ÷ (230 + tp)',
      `(${COPPER_ORIGIN_C + tp} − (${formatNumber(ca, 'factor')}² × ${formatNumber(cg, 'factor')}² − ${formatNumber(carried, 'current')}² ÷ ${formatNumber(it, 'current')}²) × ${tp - TABLE_AMBIENT_C}) ÷ ${COPPER_ORIGIN_C + tp}`,
      SOURCES.voltDropTemperature,
    )
  },
}

/**
 * What stands for the shared current in the formula: a quarter for a ring, half and a little for loads along
 * the way.
 */
function shareWords(task: Task): string {
  if (task.topology === 'ring') return task.isSpread ? ' ÷ 8' : ' ÷ 4'
  return task.isSpread && task.points > 1 ? ` × ${task.points + 1} ÷ ${2 * task.points}` : ''
}

/** An answer worked with the whole load at the end is recognised within this share. */
const WHOLE_LOAD_SLACK = 0.01

/** ΔU = mV/A/m × Ib × L ÷ 1000, V; shared in a ring and along a row of points. */
export const voltageDrop: CircuitStep = {
  key: 'voltDrop',
  ...STEP_KINDS.voltDrop,
  kind: 'calculated',
  needs: ['voltDropPerAm', 'ib'],
  derive: (task, { voltDropPerAm, ib, ct }) =>
    worked(
      voltDropPerAm! * ib! * task.lengthM * dropShare(task) * (ct ?? 1),
      `ΔU = mV/A/m × Ib × L ÷ 1000${shareWords(task)}${ct === undefined ? '' : ' × Ct'}`,
      `${formatNumber(voltDropPerAm!, 'voltDropPerAmpMetre')} × ${formatNumber(ib!, 'current')} × ${task.lengthM} ÷ 1000${shareWords(task)}${ct === undefined ? '' : ` × ${formatNumber(ct, 'factor')}`}`,
      SOURCES.voltDropLimit,
    ),
  // Many schools work with the whole load at the furthest point: more than there is, and right for its premise.
  accept: (task, { voltDropPerAm, ib, ct }, answer) => {
    if (!task.isSpread) return undefined
    const atTheEnd = dropShare({ ...task, isSpread: false })
    const whole = voltDropPerAm! * ib! * task.lengthM * atTheEnd * (ct ?? 1)
    const isWhole = atTheEnd > dropShare(task) && Math.abs(answer / whole - 1) <= WHOLE_LOAD_SLACK
    return isWhole ? accepted('wholeLoadAtFurthest') : undefined
  },
}

/** The drop from the origin as a share of the nominal voltage. */
export const voltageDropFromOrigin: CircuitStep = {
  key: 'voltDropTotal',
  ...STEP_KINDS.voltDropTotal,
  kind: 'calculated',
  needs: ['voltDrop'],
  cell: ({ use }) => ruleCell(use === 'lighting' ? 'lightingDrop' : 'otherDrop'),
  derive: (task, { voltDrop }) => {
    const total = task.dropAbove + voltDrop! / nominalV(task.phases)
    const above = task.dropAbove > 0 ? `${formatNumber(task.dropAbove, 'percent')} % + ` : ''
    return worked(
      total,
      'ΔU from the origin',
      `${above}${formatNumber(voltDrop!, 'voltage')} ÷ ${nominalV(task.phases)}`,
      SOURCES.voltDropLimit,
      atMost(total, voltDropShare(task.book, task.use)),
    )
  },
}
