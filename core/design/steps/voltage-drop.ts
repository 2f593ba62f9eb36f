import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** ΔU = mV/A/m × Ib × L ÷ 1000, V. */
export const voltageDrop: Step = {
  key: 'voltDrop',
  ...STEP_KINDS.voltDrop,
  kind: 'calculated',
  needs: ['voltDropPerAm', 'ib'],
  derive: (task, { voltDropPerAm, ib }) =>
    worked(
      voltDropPerAm! * ib! * task.lengthM,
      'ΔU = mV/A/m × Ib × L ÷ 1000',
      `${formatNumber(voltDropPerAm!, 'voltDropPerAmpMetre')} × ${formatNumber(ib!, 'current')} × ${task.lengthM} ÷ 1000`,
      SOURCES.voltDropLimit,
    ),
}
