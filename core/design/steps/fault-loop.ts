import { HOT_MULTIPLIER } from '../../regulations/conductors'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** R1 + R2 = (r1 + r2) × L at 20 °C, Ω: what the ohmmeter should show. */
export const coldResistance: Step = {
  key: 'r1r2',
  ...STEP_KINDS.r1r2,
  kind: 'calculated',
  needs: ['ohmPerM'],
  derive: (task, { ohmPerM }) =>
    worked(
      ohmPerM! * task.lengthM,
      'R1 + R2 = (r1 + r2) × L ÷ 1000',
      `${formatNumber(ohmPerM!, 'resistancePerMetre')} × ${task.lengthM} ÷ 1000`,
      SOURCES.conductorResistance,
    ),
}

/** R1 + R2 at 70 °C, Ω: what the fault will meet. */
export const hotResistance: Step = {
  key: 'r1r2Hot',
  ...STEP_KINDS.r1r2Hot,
  kind: 'calculated',
  needs: ['r1r2'],
  derive: (_task, { r1r2 }) =>
    worked(r1r2! * HOT_MULTIPLIER, '(R1 + R2) × 1.20', `${formatNumber(r1r2!, 'resistance')} × ${HOT_MULTIPLIER}`, SOURCES.hotMultiplier),
}

/** Zs = Ze + (R1 + R2) at 70 °C, Ω. */
export const loopImpedance: Step = {
  key: 'zs',
  ...STEP_KINDS.zs,
  kind: 'calculated',
  needs: ['r1r2Hot'],
  derive: (task, { r1r2Hot }) =>
    worked(
      task.supply.zeOhm + r1r2Hot!,
      'Zs = Ze + (R1 + R2) at 70 °C',
      `${task.supply.zeOhm} + ${formatNumber(r1r2Hot!, 'resistance')}`,
      SOURCES.loopImpedance,
    ),
}
