import type { Task } from '../exercise/task'
import { RESIDUAL_RATINGS_A, residualMaximumZsOhm } from '../regulations/breakers'

/** Why a residual device is needed. `maximumA` is the largest rated residual current that satisfies the rule. */
export interface ResidualNeed {
  readonly code: 'sockets' | 'concealed' | 'dwellingLighting' | 'bathroom' | 'outdoors' | 'faultProtection'
  readonly regulation: string
  readonly maximumA: number
}

const ADDITIONAL_A = 0.03

/** Every rule of BS 7671:2018+A2:2022 (from memory) that asks for a residual device on this final circuit. */
export function residualNeeds(task: Task, ratingA: number): ResidualNeed[] {
  const needs: ResidualNeed[] = []
  const additional = (code: ResidualNeed['code'], regulation: string) => needs.push({ code, regulation, maximumA: ADDITIONAL_A })
  if (task.use === 'sockets' && ratingA <= 32) additional('sockets', '411.3.3')
  if (task.use === 'lighting' && task.premises === 'dwelling') additional('dwellingLighting', '411.3.4')
  if (task.concealed) additional('concealed', '522.6.202')
  if (task.location === 'bathroom') additional('bathroom', '701.411.3.3')
  if (task.location === 'outdoors') additional('outdoors', '411.3.3')
  if (task.supply.arrangement === 'TT') {
    // The least sensitive one whose 50 V ÷ IΔn still lies above the electrode's resistance.
    const maximumA = [...RESIDUAL_RATINGS_A].reverse().find((rating) => residualMaximumZsOhm(rating) > task.supply.zeOhm) ?? ADDITIONAL_A
    needs.push({ code: 'faultProtection', regulation: '411.5.2', maximumA })
  }
  return needs
}
