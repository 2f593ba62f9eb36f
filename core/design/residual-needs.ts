import type { Task } from './task'
import { isFrom } from '../regulations/editions'
import {
  ADDITIONAL_A,
  RESIDUAL_RATINGS_A,
  SOCKET_LIMIT_A,
  residualMaximumZsOhm,
} from '../regulations/residual'

/** Why a residual device is needed. `maximumA` is the largest rated residual current that satisfies the rule. */
export interface ResidualNeed {
  readonly code: 'sockets' | 'concealed' | 'dwellingLighting' | 'bathroom' | 'outdoors' | 'faultProtection'
  readonly regulation: string
  readonly maximumA: number
}

/** What the rules look at; an adviser asks for the same. */
export type ResidualCase = Pick<Task, 'edition' | 'use' | 'premises' | 'location' | 'concealed'> & {
  readonly supply: Pick<Task['supply'], 'arrangement' | 'zeOhm'>
}

/** A mobile appliance outdoors draws this much at most; BS 7671 411.3.3 (ii). */
const MOBILE_LIMIT_A = 32

/** Every rule of the edition (from memory) that asks for a residual device on this circuit. */
export function residualNeeds(circuit: ResidualCase, ratingA: number): ResidualNeed[] {
  const { edition, use } = circuit
  const needs: ResidualNeed[] = []
  const additional = (code: ResidualNeed['code'], regulation: string) =>
    needs.push({ code, regulation, maximumA: ADDITIONAL_A })
  if (use === 'sockets' && ratingA <= SOCKET_LIMIT_A[edition]) additional('sockets', '411.3.3')
  const isHome = circuit.premises === 'dwelling' || circuit.premises === 'shared-residence'
  if (use === 'lighting' && isHome && isFrom(edition, '18')) additional('dwellingLighting', '411.3.4')
  if (circuit.concealed) additional('concealed', '522.6.202')
  if (circuit.location === 'bathroom') additional('bathroom', '701.411.3.3')
  if (circuit.location === 'outdoors' && use !== 'distribution' && ratingA <= MOBILE_LIMIT_A)
    additional('outdoors', '411.3.3')
  if (circuit.supply.arrangement === 'TT') {
    // The least sensitive one whose 50 V ÷ IΔn still lies above the electrode's resistance.
    const maximumA =
      [...RESIDUAL_RATINGS_A]
        .reverse()
        .find((rating) => residualMaximumZsOhm(rating) > circuit.supply.zeOhm) ?? ADDITIONAL_A
    needs.push({ code: 'faultProtection', regulation: '411.5.2', maximumA })
  }
  return needs
}

/** Largest rated residual current that all rules allow, A, or 0 where none is needed. */
export function neededResidualA(circuit: ResidualCase, ratingA: number): number {
  const needs = residualNeeds(circuit, ratingA)
  return needs.length === 0 ? 0 : Math.min(...needs.map((need) => need.maximumA))
}
