import type { Task } from '../model/task'
import { rcdZsOhm } from '../../regulations/book/book'
import { isFrom } from '../../regulations/editions'
import { ADDITIONAL_A, RCD_RATINGS_A } from '../../regulations/rcd'

/** Why an RCD is needed. `maximumA` is the largest rated residual current that satisfies the rule. */
export interface RcdNeed {
  readonly code: 'sockets' | 'concealed' | 'dwellingLighting' | 'bathroom' | 'outdoors' | 'faultProtection'
  readonly regulation: string
  readonly maximumA: number
}

/** What the rules look at; an adviser asks for the same. */
export type RcdCase = Pick<Task, 'edition' | 'book' | 'use' | 'premises' | 'location' | 'concealed'> &
  Partial<Pick<Task, 'topology' | 'points'>> & {
    readonly supply: Pick<Task['supply'], 'arrangement' | 'zeOhm'>
  }

/** A mobile appliance outdoors draws this much at most; BS 7671 411.3.3 (ii). */
const MOBILE_LIMIT_A = 32

/** Socket-outlets to BS 1363, A. */
const USUAL_OUTLET_A = 13
/** Above this a circuit has outlets of its own rating, A; common practice, no source. */
const MOST_WITH_USUAL_A = 32

/**
 * Rating of the circuit's socket-outlets, A: the rules go by it and not by the circuit's device. 13 A on rings and where
 * several share the circuit; a single outlet is rated as its device.
 */
function outletA({ topology, points }: RcdCase, ratingA: number): number {
  if (ratingA > MOST_WITH_USUAL_A) return ratingA
  return topology !== 'ring' && points === 1 ? ratingA : USUAL_OUTLET_A
}

/** Every rule of the edition (from memory) that asks for an RCD on this circuit. */
export function rcdNeeds(circuit: RcdCase, ratingA: number): RcdNeed[] {
  const { edition, use } = circuit
  const needs: RcdNeed[] = []
  const additional = (code: RcdNeed['code'], regulation: string) =>
    needs.push({ code, regulation, maximumA: ADDITIONAL_A })
  if (use === 'sockets' && outletA(circuit, ratingA) <= circuit.book.values.parameters.socketRcdA)
    additional('sockets', '411.3.3')
  const isHome = circuit.premises === 'dwelling' || circuit.premises === 'shared-residence'
  if (use === 'lighting' && isHome && isFrom(edition, '18')) additional('dwellingLighting', '411.3.4')
  if (circuit.concealed) additional('concealed', '522.6.202')
  if (circuit.location === 'bathroom') additional('bathroom', '701.411.3.3')
  if (circuit.location === 'outdoors' && use !== 'distribution' && ratingA <= MOBILE_LIMIT_A)
    additional('outdoors', '411.3.3')
  if (circuit.supply.arrangement === 'TT') {
    // The least sensitive one whose 50 V ÷ IΔn still lies above the electrode's resistance.
    const maximumA =
      [...RCD_RATINGS_A].reverse().find((rating) => rcdZsOhm(circuit.book, rating) > circuit.supply.zeOhm) ??
      ADDITIONAL_A
    needs.push({ code: 'faultProtection', regulation: '411.5.2', maximumA })
  }
  return needs
}

/** Largest rated residual current that all rules allow, A, or 0 where none is needed. */
export function neededRcdA(circuit: RcdCase, ratingA: number): number {
  const needs = rcdNeeds(circuit, ratingA)
  return needs.length === 0 ? 0 : Math.min(...needs.map((need) => need.maximumA))
}
