import { AMBIENT_FACTOR } from '../../regulations/rating-factors'
import { SOURCES } from '../../regulations/source'
import { stopped, worked, type Step } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** Ca from the ambient air temperature; thermoplastic 70 °C. */
export const ambientFactor: Step = {
  key: 'ca',
  ...STEP_KINDS.ca,
  kind: 'looked-up',
  needs: [],
  derive: ({ ambientC }) => {
    const factor = AMBIENT_FACTOR.get(ambientC)
    if (factor === undefined) return stopped('ambient', { ambientC })
    return worked(factor, 'Ca from the ambient temperature', `${ambientC} °C → ${factor}`, SOURCES.ambientFactor)
  },
  neighbours: ({ ambientC }) =>
    [...AMBIENT_FACTOR]
      .filter(([rowC]) => rowC !== ambientC)
      .map(([rowC, value]) => ({ value, table: 'Table 4B1', entry: `${rowC} °C` })),
}
