import type { BoardTask } from '../../../design/board/board-task'
import type { Task } from '../../../design/model/task'
import type { Finding } from '../../../findings/finding'
import { SLIP_TOLERANCE } from '../tolerance'
import { decimalPoint } from './decimal-point'
import { invertedFactor } from './inverted-factor'
import { neighbouringRow } from './neighbouring-row'
import { partLeftOut } from './part-left-out'
import { perMetre } from './per-metre'
import { powerAndVoltage } from './power-and-voltage'
import { ringAsRadial } from './ring-as-radial'
import type { SlipContext, SlipRule } from './slip'
import { unitPrefix } from './unit-prefix'
import { withoutDiversity } from './without-diversity'

/**
 * Where two explain an answer equally well the earlier one is named: a moved decimal point explains almost
 * anything.
 */
export const SLIP_RULES: readonly SlipRule[] = [
  unitPrefix,
  powerAndVoltage,
  ringAsRadial,
  invertedFactor,
  partLeftOut,
  perMetre,
  withoutDiversity,
  neighbouringRow,
  decimalPoint,
]

/** Fits closer together than this are equally good: the answer was rounded. */
const SAME_FIT = 1e-4

/**
 * The slip whose outcome lies nearest to the wrong answer, if one lies near enough. A picked answer has no
 * slip in it.
 */
export function likelySlip<T extends Task | BoardTask>(
  answer: number,
  context: SlipContext<T>,
): Finding | undefined {
  if (context.step.choices) return undefined
  let best: { misfit: number; finding: Finding } | undefined
  for (const { value, finding } of SLIP_RULES.flatMap((rule) => rule(context as unknown as SlipContext))) {
    const misfit = Math.abs(value / answer - 1)
    if (misfit <= SLIP_TOLERANCE && misfit < (best?.misfit ?? Infinity) - SAME_FIT) best = { misfit, finding }
  }
  return best?.finding
}
