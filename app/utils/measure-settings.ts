import type { TestVolt } from '#core/bay/instruments/insulation'
import type { RcdMultiple } from '#core/bay/instruments/rcd-test'
import type { InstrumentCode } from '#core/bay/instruments/take'

/** How the instrument at a bay is set. */
export interface MeasureSettings {
  instrument: InstrumentCode
  volt: TestVolt
  multiple: RcdMultiple
  ratedA: number
  linking: boolean
}
