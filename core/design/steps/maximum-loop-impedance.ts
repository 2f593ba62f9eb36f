import { MAGNETIC_MULTIPLE, RATINGS_A, RESIDUAL_RATINGS_A, breakerMaximumZsOhm, residualMaximumZsOhm, type Curve } from '../../regulations/breakers'
import { SOURCES } from '../../regulations/source'
import { C_MIN, TOUCH_LIMIT_V, U0_V } from '../../regulations/supply'
import { faultClearedByResidual, maximumZsOhm } from '../limits'
import { worked, type Neighbour, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** Zs max: U0 × Cmin ÷ Ia for the breaker in TN, 50 V ÷ IΔn in TT, Ω. */
export const maximumLoopImpedance: Step = {
  key: 'zsMax',
  ...STEP_KINDS.zsMax,
  kind: 'looked-up',
  needs: ['in', 'residual'],
  derive: (task, values) => {
    const { in: rating, residual } = values
    const limit = maximumZsOhm(task, rating!, residual!)
    if (faultClearedByResidual(task) && residual! > 0) {
      return worked(limit, 'Zs ≤ 50 V ÷ IΔn', `${TOUCH_LIMIT_V} ÷ ${residual}`, SOURCES.residualLoopImpedance)
    }
    const { curve } = task.device
    const multiple = MAGNETIC_MULTIPLE[curve]
    return worked(limit, 'Zs ≤ U0 × Cmin ÷ Ia', `${U0_V} × ${C_MIN} ÷ (${multiple} × ${rating})`, SOURCES.maximumLoopImpedance)
  },
  neighbours: (task, values) => {
    const rows: Neighbour[] = RATINGS_A.filter((rating) => rating !== values.in).map((rating) => ({
      value: breakerMaximumZsOhm(task.device.curve, rating),
      table: 'Table 41.3',
      entry: `${task.device.curve}${rating}`,
    }))
    for (const curve of ['B', 'C', 'D'] as Curve[]) {
      if (curve !== task.device.curve || faultClearedByResidual(task)) {
        rows.push({ value: breakerMaximumZsOhm(curve, values.in!), table: 'Table 41.3', entry: `${curve}${values.in}` })
      }
    }
    for (const residual of RESIDUAL_RATINGS_A) {
      if (residual !== values.residual) rows.push({ value: residualMaximumZsOhm(residual), table: 'Table 41.5', entry: `${residual * 1e3} mA` })
    }
    return rows
  },
}
