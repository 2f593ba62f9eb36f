import { rcdNeeds, type RcdCase, type RcdNeed } from '../limits/rcd-needs'
import { neededRcdType, type DcContent, type RcdType } from '../../regulations/rcd'

/** What the adviser is told. */
export interface RcdQuestion extends RcdCase {
  readonly ratingA: number
  readonly dc: DcContent
  /** Can the board that is there take an RCBO of a make it was tested with? */
  readonly boardTakesRcbo: boolean
  /** Something is added to a circuit that is there already. */
  readonly isAddition: boolean
  /** Nothing is installed or altered: what is there stands as it was designed. */
  readonly isExisting?: boolean
}

export type RcdWay =
  'rcbo' | 'rcd-section' | 'upstream' | 'socket' | 'separate-enclosure' | 'new-board' | 'protect-cable'

export interface WayToProvide {
  readonly way: RcdWay
  /** 1 little, 2 some, 3 much. */
  readonly inconvenience: 1 | 2 | 3
}

export interface RcdAdvice {
  readonly needs: readonly RcdNeed[]
  /** Largest rated residual current that satisfies every rule, A; 0 where none asks for one. */
  readonly neededA: number
  readonly type: RcdType
  readonly ways: readonly WayToProvide[]
  /** Nothing asks for one, but the rules that would are worth knowing. */
  readonly isRecommended: boolean
  /** New work would need one; of what is there nothing is asked retrospectively. */
  readonly isRetrospective: boolean
}

/**
 * "Do I need an RCD?": the rules that ask for one, what it must be, and the usual ways to provide it, the
 * least trouble first.
 */
export function adviseRcd(question: RcdQuestion): RcdAdvice {
  const needs = rcdNeeds(question, question.ratingA)
  const isRetrospective = question.isExisting === true && needs.length > 0
  const isAsked = needs.length > 0 && !isRetrospective
  const neededA = isAsked ? Math.min(...needs.map((need) => need.maximumA)) : 0
  return {
    needs,
    neededA,
    type: neededRcdType(
      question.dc,
      question.edition,
      question.use !== 'sockets' && question.use !== 'distribution',
    ),
    ways: neededA === 0 ? [] : waysToProvide(question, needs),
    isRecommended: neededA === 0 && question.use === 'sockets',
    isRetrospective,
  }
}

function waysToProvide(question: RcdQuestion, needs: readonly RcdNeed[]): WayToProvide[] {
  const codes = new Set(needs.map(({ code }) => code))
  const ways: WayToProvide[] = []
  if (question.boardTakesRcbo) ways.push({ way: 'rcbo', inconvenience: 1 })
  // A socket with its own RCD protects what is plugged in, neither the cable behind it nor a whole TT circuit.
  if (question.isAddition && codes.has('sockets') && !codes.has('concealed') && !codes.has('faultProtection'))
    ways.push({ way: 'socket', inconvenience: 1 })
  if (question.isAddition && codes.has('concealed') && codes.size === 1)
    ways.push({ way: 'protect-cable', inconvenience: 2 })
  if (!question.boardTakesRcbo) ways.push({ way: 'separate-enclosure', inconvenience: 2 })
  if (question.boardTakesRcbo) ways.push({ way: 'rcd-section', inconvenience: 2 })
  ways.push({ way: 'upstream', inconvenience: 3 })
  if (!question.boardTakesRcbo) ways.push({ way: 'new-board', inconvenience: 3 })
  return ways.sort((a, b) => a.inconvenience - b.inconvenience)
}
