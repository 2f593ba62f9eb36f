import type { Load } from '../../installation/installation'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

export type MotorLoad = Extract<Load, { basis: 'motor' }>

/** Istart = Ib × the motor's starting multiple, A. */
export const startingCurrent: CircuitStep = {
  key: 'start',
  ...STEP_KINDS.start,
  kind: 'calculated',
  needs: ['ib'],
  appliesTo: ({ load }) => load.basis === 'motor',
  derive: ({ load }, { ib }) => {
    const { startMultiple } = load as MotorLoad
    return worked(
      ib! * startMultiple,
      'Istart = Ib × starting multiple',
      `${formatNumber(ib!, 'current')} × ${startMultiple}`,
      SOURCES.startingCurrent,
    )
  },
}
