import { sizeOf } from '../regulations/cables/sizes'
import { DEVICES, hasRcd } from '../regulations/devices'
import type { Board, Circuit, Installation } from './installation'
import { boardFedBy, boardsOutward } from './tree'

/** Something about how the parts belong together that cannot be, at the cell where it can be mended. */
export interface StructureProblem {
  readonly scope: string
  readonly field:
    | 'board'
    | 'way'
    | 'fedBy'
    | 'phases'
    | 'use'
    | 'topology'
    | 'residual'
    | 'curve'
    | 'basis'
    | 'spur'
    | 'existingRating'
    | 'existingArea'
    | 'electrode'
    | 'points'
    | 'spurs'
  readonly code:
    | 'noSuchBoard'
    | 'wayTaken'
    | 'wayBeyond'
    | 'feedsItself'
    | 'noSupply'
    | 'noSuchFeed'
    | 'feedIsFinal'
    | 'feedsNothing'
    | 'twoOrigins'
    | 'noOrigin'
    | 'threePhaseOnOne'
    | 'boardWiderThanFeed'
    | 'ringOfThree'
    | 'ringNotSockets'
    | 'residualMissing'
    | 'curveMissing'
    | 'fuseHasCurve'
    | 'boardLoadOnly'
    | 'spurWithoutRing'
    | 'spursWithoutRing'
    | 'tooManySpurs'
    | 'spurWithoutLength'
    | 'existingRating'
    | 'existingArea'
    | 'electrodeAtOrigin'
    | 'motorLamps'
  readonly params: Readonly<Record<string, string | number>>
}

/** Everything about the structure that stands in the way of a design; empty when boards and circuits fit together. */
export function structureProblems(installation: Installation): StructureProblem[] {
  return [
    ...installation.boards.flatMap((board) => boardProblems(installation, board)),
    ...installation.circuits.flatMap((circuit) => circuitProblems(installation, circuit)),
  ]
}

function boardProblems(installation: Installation, board: Board): StructureProblem[] {
  const problems: StructureProblem[] = []
  const add = (
    field: StructureProblem['field'],
    code: StructureProblem['code'],
    params: StructureProblem['params'] = {},
  ) => problems.push({ scope: board.id, field, code, params: { name: board.name, ...params } })
  const origins = installation.boards.filter(({ fedBy }) => fedBy === null)
  if (board === installation.boards[0] && origins.length === 0) add('fedBy', 'noOrigin')
  if (board.fedBy === null) {
    if (origins.length > 1 && board !== origins[0]) add('fedBy', 'twoOrigins', { other: origins[0]!.name })
    if (board.electrodeOhm !== null) add('electrode', 'electrodeAtOrigin')
    if (board.phases > installation.intake.phases) add('phases', 'boardWiderThanFeed', { feed: 'the supply' })
    return problems
  }
  const feed = installation.circuits.find(({ id }) => id === board.fedBy)
  if (!feed) add('fedBy', 'noSuchFeed')
  else if (feed.board === board.id) add('fedBy', 'feedsItself', { feed: feed.name })
  else if (feed.use !== 'distribution') add('fedBy', 'feedIsFinal', { feed: feed.name })
  else if (!boardsOutward(installation).includes(board)) add('fedBy', 'noSupply', { feed: feed.name })
  else if (board.phases > feed.phases) add('phases', 'boardWiderThanFeed', { feed: feed.name })
  return problems
}

function circuitProblems(installation: Installation, circuit: Circuit): StructureProblem[] {
  const problems: StructureProblem[] = []
  const add = (
    field: StructureProblem['field'],
    code: StructureProblem['code'],
    params: StructureProblem['params'] = {},
  ) => problems.push({ scope: circuit.id, field, code, params: { name: circuit.name, ...params } })
  const board = installation.boards.find(({ id }) => id === circuit.board)
  if (!board) add('board', 'noSuchBoard')
  else {
    if (circuit.phases > board.phases) add('phases', 'threePhaseOnOne', { board: board.name })
    if (circuit.way > board.ways) add('way', 'wayBeyond', { ways: board.ways, board: board.name })
    const taken = installation.circuits.find(
      (other) =>
        other !== circuit &&
        other.board === board.id &&
        other.way === circuit.way &&
        sharesLine(board, other, circuit) &&
        installation.circuits.indexOf(other) < installation.circuits.indexOf(circuit),
    )
    if (taken) add('way', 'wayTaken', { way: circuit.way, other: taken.name })
  }
  const feeds = boardFedBy(installation, circuit.id)
  if (circuit.use === 'distribution' && !feeds) add('use', 'feedsNothing')
  if ((circuit.load.basis === 'board') !== (circuit.use === 'distribution')) add('basis', 'boardLoadOnly')
  if (circuit.topology === 'ring' && circuit.phases === 3) add('topology', 'ringOfThree')
  if (circuit.topology === 'ring' && circuit.use !== 'sockets') add('topology', 'ringNotSockets')
  if (circuit.topology !== 'ring' && circuit.spurM > 0) add('spur', 'spurWithoutRing')
  if (circuit.topology !== 'ring' && circuit.spurs > 0) add('spurs', 'spursWithoutRing')
  // The points count those on spurs too.
  if (circuit.topology === 'ring' && circuit.spurs > circuit.points - circuit.spurs)
    add('spurs', 'tooManySpurs', { most: Math.floor(circuit.points / 2) })
  if (circuit.topology === 'ring' && circuit.spurs > 0 && circuit.spurM === 0)
    add('spur', 'spurWithoutLength')
  const isFuse = DEVICES[circuit.device.family].fuse !== null
  if (isFuse && circuit.device.curve !== null) add('curve', 'fuseHasCurve')
  if (!isFuse && circuit.device.curve === null) add('curve', 'curveMissing')
  if (hasRcd(circuit.device.family) && circuit.residualA === null) add('residual', 'residualMissing')
  if (circuit.load.basis === 'lamps' && circuit.phases === 3) add('basis', 'motorLamps')
  const { existing } = circuit
  if (existing && !DEVICES[circuit.device.family].ratingsA.includes(existing.ratingA))
    add('existingRating', 'existingRating', { ratings: DEVICES[circuit.device.family].ratingsA.join(', ') })
  if (existing && !sizeOf(circuit.cable.kind, circuit.cable.method, circuit.phases, existing.lineMm2))
    add('existingArea', 'existingArea')
  return problems
}

/** Two circuits on one way of a three-phase board stand side by side on different lines. */
function sharesLine(board: Board, a: Circuit, b: Circuit): boolean {
  return board.phases === 1 || a.phases === 3 || b.phases === 3 || a.line === b.line
}
