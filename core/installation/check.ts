import { CABLES } from '../regulations/cables/sizes'
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
    | 'surge'
    | 'surgeDevice'
    | 'points'
    | 'spurs'
  readonly code:
    | 'noSuchBoard'
    | 'wayTaken'
    | 'wayBeyond'
    | 'surgeOnItself'
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

/**
 * Everything about the structure that stands in the way of a design; empty when boards and circuits fit
 * together.
 */
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
  checkSurge(installation, board, add)
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

/** SPD and its device each have a way that nothing else has. */
function checkSurge({ circuits }: Installation, { id, name, ways, surge }: Board, add: Add): void {
  if (!surge) return
  if (surge.way === surge.deviceWay) add('surge', 'surgeOnItself', { way: surge.way })
  const places = [
    ['surgeDevice', surge.deviceWay],
    ['surge', surge.way],
  ] as const
  for (const [field, way] of places) {
    if (way > ways) add(field, 'wayBeyond', { ways, board: name })
    const there = circuits.find((circuit) => circuit.board === id && circuit.way === way)
    if (there) add(field, 'wayTaken', { way, other: there.name })
  }
}

/** Notes a problem of one circuit or board. */
type Add = (
  field: StructureProblem['field'],
  code: StructureProblem['code'],
  params?: StructureProblem['params'],
) => void

function circuitProblems(installation: Installation, circuit: Circuit): StructureProblem[] {
  const problems: StructureProblem[] = []
  const add: Add = (field, code, params = {}) =>
    problems.push({ scope: circuit.id, field, code, params: { name: circuit.name, ...params } })
  checkPlace(installation, circuit, add)
  checkUse(installation, circuit, add)
  checkRing(circuit, add)
  checkDevice(circuit, add)
  checkExisting(circuit, add)
  return problems
}

function checkPlace(installation: Installation, circuit: Circuit, add: Add): void {
  const board = installation.boards.find(({ id }) => id === circuit.board)
  if (!board) return add('board', 'noSuchBoard')
  if (circuit.phases > board.phases) add('phases', 'threePhaseOnOne', { board: board.name })
  if (circuit.way > board.ways) add('way', 'wayBeyond', { ways: board.ways, board: board.name })
  const earlier = installation.circuits.slice(0, installation.circuits.indexOf(circuit))
  const taken = earlier.find(
    (other) => other.board === board.id && other.way === circuit.way && sharesLine(board, other, circuit),
  )
  if (taken) add('way', 'wayTaken', { way: circuit.way, other: taken.name })
}

function checkUse(installation: Installation, circuit: Circuit, add: Add): void {
  const isFeed = circuit.use === 'distribution'
  if (isFeed && !boardFedBy(installation, circuit.id)) add('use', 'feedsNothing')
  if ((circuit.load.basis === 'board') !== isFeed) add('basis', 'boardLoadOnly')
  if (circuit.load.basis === 'lamps' && circuit.phases === 3) add('basis', 'motorLamps')
}

function checkRing({ topology, phases, use, spurM, spurs, points }: Circuit, add: Add): void {
  if (topology !== 'ring') {
    if (spurM > 0) add('spur', 'spurWithoutRing')
    if (spurs > 0) add('spurs', 'spursWithoutRing')
    return
  }
  if (phases === 3) add('topology', 'ringOfThree')
  if (use !== 'sockets') add('topology', 'ringNotSockets')
  // The points count those on spurs too.
  if (spurs > points - spurs) add('spurs', 'tooManySpurs', { most: Math.floor(points / 2) })
  if (spurs > 0 && spurM === 0) add('spur', 'spurWithoutLength')
}

function checkDevice({ device: { family, curve }, residualA }: Circuit, add: Add): void {
  const isFuse = DEVICES[family].fuse !== null
  if (isFuse && curve !== null) add('curve', 'fuseHasCurve')
  if (!isFuse && curve === null) add('curve', 'curveMissing')
  if (hasRcd(family) && residualA === null) add('residual', 'residualMissing')
}

function checkExisting({ existing, device, cable, phases }: Circuit, add: Add): void {
  if (!existing) return
  const { ratingsA } = DEVICES[device.family]
  if (!ratingsA.includes(existing.ratingA))
    add('existingRating', 'existingRating', { ratings: ratingsA.join(', ') })
  const { ratingsA: columns, lineMm2 } = CABLES[cable.kind]
  if (!columns[cable.method]?.[phases] || !lineMm2.includes(existing.lineMm2))
    add('existingArea', 'existingArea')
}

/** Two circuits on one way of a three-phase board stand side by side on different lines. */
function sharesLine(board: Board, a: Circuit, b: Circuit): boolean {
  return board.phases === 1 || a.phases === 3 || b.phases === 3 || a.line === b.line
}
