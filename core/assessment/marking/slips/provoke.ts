import type { InstallationDesign } from '../../../design/reference'
import type { StepKey } from '../../../design/model/step-keys'
import { CIRCUIT_CHAIN } from '../../../design/circuit-chain'
import { SLIP_RULES } from './index'
import type { SlipContext } from './slip'

/** A step of a circuit at which a slip would show, with what it would give. */
export interface Provoked {
  readonly circuit: string
  readonly step: StepKey
  readonly right: number
  readonly slip: number
}

/** A slip must move the answer by this share, or it could pass for rounding. */
const SHOWS = 0.1

/** Where in a worked installation this slip would show: what tells a task that provokes it from one that does not. */
export function provokedBy({ circuits }: InstallationDesign, code: string): Provoked[] {
  return circuits.flatMap(({ scope, task, values, stopped }) =>
    stopped
      ? []
      : CIRCUIT_CHAIN.flatMap((step): Provoked[] => {
          const right = values[step.key]
          if (right === undefined || right === 0 || step.choices) return []
          const context = { step, task, expected: right, values } as unknown as SlipContext
          const [made] = SLIP_RULES.flatMap((rule) => rule(context)).filter(
            ({ finding, value }) => finding.code === code && Math.abs(value / right - 1) > SHOWS,
          )
          return made ? [{ circuit: scope, step: step.key, right, slip: made.value }] : []
        }),
  )
}
