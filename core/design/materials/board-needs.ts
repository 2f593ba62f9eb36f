import { SURGE_BREAKER, surgePoles } from '../../installation/surge'
import { sharesRcd, sectionsFor } from '../../installation/shared-rcds'
import type { Board, Circuit } from '../../installation/installation'
import type { PartNeed } from './needs'

/** The board itself, its busbars, what closes its spare ways, and its SPD with the breaker in front of it. */
export function boardNeeds(board: Board, circuits: readonly Circuit[]): PartNeed[] {
  const { id, name, ways, phases, surge } = board
  const width = phases === 3 ? ', three phase' : ''
  const need = (part: PartNeed['part'], detail: string, count = 1): PartNeed => ({
    circuit: id,
    part,
    detail,
    count,
  })
  const spare = spareSeats(board, circuits)
  const combs = combsOf(board, circuits)
  return [
    need('board', `${name}, ${ways} ways${width}`),
    ...(combs > 0 ? [need('busbar', `to cut, for ${ways} ways${width}`, combs)] : []),
    ...(spare > 0 ? [need('blank', '', spare)] : []),
    ...(surge
      ? [
          need('spd', phases === 3 ? 'three lines and neutral' : 'line and neutral'),
          need(
            'spd-breaker',
            `${SURGE_BREAKER.curve}${SURGE_BREAKER.ratingA}${phases === 3 ? ', three pole' : ''}`,
          ),
        ]
      : []),
  ]
}

/** Modules that nothing stands in. */
function spareSeats(board: Board, circuits: readonly Circuit[]): number {
  const { ways, phases } = board
  const taken = circuits.reduce((sum, circuit) => sum + (phases === 3 ? circuit.phases : 1), 0)
  return Math.max(0, ways * phases - taken - surgePoles(board))
}

/** One for each RCD that ways share, and one for the others where there are any. */
function combsOf(board: Board, circuits: readonly Circuit[]): number {
  const sharing = circuits.filter((circuit) => sharesRcd(board, circuit)).length
  return sectionsFor(sharing) + (sharing < circuits.length || board.surge ? 1 : 0)
}
