import { boardFedBy } from '../../installation/tree'
import type { Board, Installation, Line } from '../../installation/installation'
import { sizeOf } from '../../regulations/cables/sizes'
import { hasRcd } from '../../regulations/devices'
import type { DevicePart, Pole } from '../model/rig'
import { buildPoints } from './points'
import type { Draft } from './draft'
import type { Origin, WorkedCircuit } from './worked'
import { LINE_COLOURS, type Feed } from './intake'

const LINK_MM2 = 16
const LINK_M = 0.3
const SECTION_NAMES = ['A', 'B']

const LINES: readonly Line[] = ['L1', 'L2', 'L3']

/** A part in a frame; everything that most devices share is filled in. */
function device(
  parts: Pick<DevicePart, 'id' | 'name' | 'board' | 'role' | 'poles' | 'ratingA'> & Partial<DevicePart>,
): DevicePart {
  return {
    kind: 'device',
    circuit: null,
    solid: [],
    hasEarth: false,
    overcurrent: null,
    residual: null,
    detectsArcs: false,
    plugFuseA: null,
    marking: 'either',
    way: null,
    ...parts,
  }
}

/** A board with main switch, residual sections, bars and the circuits behind it; returns what feeds the boards beyond. */
export function buildBoard(
  draft: Draft,
  installation: Installation,
  board: Board,
  circuits: readonly WorkedCircuit[],
  feed: Feed,
): Map<string, Feed> {
  const { id, phases } = board
  const linePoles: readonly Pole[] = phases === 1 ? ['L'] : LINES
  draft.frame({
    id,
    name: board.name,
    phases,
    ways: board.ways,
    blanks: spareWays(board, circuits),
    labels: Object.fromEntries(
      circuits.map(({ circuit }) => [
        phases === 3 && circuit.phases === 1 ? `${circuit.way}${circuit.line}` : String(circuit.way),
        circuit.name,
      ]),
    ),
  })
  const part = { board: id, circuit: null }

  // Main switch and earth.
  const main = draft.part(
    device({
      id: `${id}main`,
      name: mainName(installation, board),
      ...part,
      role: 'main-switch',
      poles: [...linePoles, 'N'],
      ratingA: 100,
    }),
  )
  feed.lines.forEach(([, from], i) =>
    draft.wire(
      from,
      `${main}.${phases === 1 ? 'L' : linePoles[i]!} in`,
      feed.areaMm2,
      feed.lengthM,
      LINE_COLOURS[i]!,
      { run: feed.run },
    ),
  )
  draft.wire(feed.neutral, `${main}.N in`, feed.areaMm2, feed.lengthM, 'blue', { run: feed.run })
  const earthBar = draft.part({
    id: `${id}e`,
    name: 'Earth bar',
    kind: 'bar',
    serves: 'E',
    ...part,
    terminals: board.ways + 1,
  })
  if (board.electrodeOhm !== null) {
    const electrode = draft.part({
      id: `${id}electrode`,
      name: `Electrode of ${board.name}`,
      kind: 'metalwork',
      board: null,
      circuit: null,
      toEarthOhm: board.electrodeOhm,
    })
    draft.wire(`${electrode}.E`, draft.free(earthBar), 16, 3, 'green-and-yellow')
  } else if (feed.earth !== null)
    draft.wire(feed.earth, draft.free(earthBar), feed.earthMm2, feed.lengthM, 'green-and-yellow', {
      run: feed.run,
    })

  // Sections: circuits that need an RCD of the board stand behind two, so that one fault leaves half.
  const shared = circuits.filter(
    ({ circuit, residualA }) => phases === 1 && residualA !== null && !hasRcd(circuit.device.family),
  )
  const count = Math.min(2, shared.length)
  const sections = Array.from({ length: count }, (_, i) => {
    const name = count === 1 ? 'RCD' : `RCD ${SECTION_NAMES[i]}`
    const rcd = draft.part(
      device({
        id: `${id}rcd${SECTION_NAMES[i]}`,
        name,
        ...part,
        role: 'residual',
        poles: ['L', 'N'],
        ratingA: 63,
        residual: {
          ratedA: Math.min(...shared.map(({ residualA }) => residualA!)),
          type: 'A',
          isDelayed: false,
        },
      }),
    )
    const bar = draft.part({
      id: `${id}n${SECTION_NAMES[i]}`,
      name: `Neutral bar ${count === 1 ? '' : SECTION_NAMES[i]}`.trim(),
      kind: 'bar',
      serves: 'N',
      ...part,
      terminals: Math.ceil(board.ways / 2),
    })
    draft.wire(`${main}.L out`, `${rcd}.L in`, LINK_MM2, LINK_M, 'brown')
    draft.wire(`${main}.N out`, `${rcd}.N in`, LINK_MM2, LINK_M, 'blue')
    draft.wire(`${rcd}.N out`, draft.free(bar), LINK_MM2, LINK_M, 'blue')
    return { rcd, name, bar, teeth: [`${rcd}.L out`] }
  })
  const plain = circuits.filter((one) => !shared.includes(one))
  const plainBar =
    plain.length > 0 || count === 0
      ? draft.part({
          id: `${id}n`,
          name: count === 0 ? 'Neutral bar' : 'Neutral bar, unprotected',
          kind: 'bar',
          serves: 'N',
          ...part,
          terminals: board.ways,
        })
      : null
  if (plainBar) draft.wire(`${main}.N out`, draft.free(plainBar), LINK_MM2, LINK_M, 'blue')
  const plainTeeth = new Map(linePoles.map((pole) => [pole, [`${main}.${pole} out`]]))

  // Devices of the ways, and what they feed.
  const beyond = new Map<string, Feed>()
  for (const worked of circuits) {
    const { circuit, ratingA, residualA } = worked
    const section = sections[shared.indexOf(worked) % Math.max(1, count)]
    const isShared = shared.includes(worked)
    const poles: readonly Pole[] = circuit.phases === 3 ? LINES : ['L']
    // On a three-phase board a single-phase circuit brings its RCD along.
    const own = residualA !== null && !isShared
    const number = `${circuit.way}${phases === 3 && circuit.phases === 1 ? circuit.line : ''}`
    const way = draft.part(
      device({
        id: `${id}w${number}`,
        name: `Way ${number}`,
        board: id,
        circuit: circuit.id,
        role: 'way',
        poles: own ? [...poles, 'N'] : poles,
        solid: own && circuit.phases === 1 ? ['N'] : [],
        ratingA,
        overcurrent: circuit.device,
        way: circuit.way,
        residual: own ? { ratedA: residualA, type: 'A', isDelayed: false } : null,
        detectsArcs: circuit.device.family === 'afdd',
      }),
    )
    poles.forEach((pole) => {
      const tooth = `${way}.${pole} in`
      if (isShared) section!.teeth.push(tooth)
      else plainTeeth.get(phases === 1 ? 'L' : circuit.phases === 3 ? pole : circuit.line)!.push(tooth)
    })
    if (own) draft.wire(`${way}.N in`, draft.free(plainBar!), ratingA > 32 ? 10 : 6, LINK_M, 'blue')
    const bar = isShared ? section!.bar : plainBar!
    const origin: Origin = {
      number,
      lines: poles.map((pole, i) => ({ pole, from: `${way}.${pole} out`, colour: LINE_COLOURS[i]! })),
      neutral: () => (own ? `${way}.N out` : draft.free(bar)),
      earth: () => draft.free(earthBar),
    }
    const fed = boardFedBy(installation, circuit.id)
    if (fed) beyond.set(fed.id, feedTo(draft, worked, origin, fed))
    else buildPoints(draft, worked, origin)
  }
  sections.forEach(({ rcd, name, teeth }) =>
    draft.busbar({ id: `${rcd}bus`, name: `Busbar of ${name}`, teeth, missing: [], cutAfter: [] }),
  )
  plainTeeth.forEach(
    (teeth, pole) =>
      teeth.length > 1 &&
      draft.busbar({ id: `${id}bus${pole}`, name: `Busbar ${pole}`, teeth, missing: [], cutAfter: [] }),
  )
  return beyond
}

/** The conductors of a feed to a board; of a TT island its protective conductor ends insulated. */
function feedTo(draft: Draft, { circuit, lineMm2 }: WorkedCircuit, origin: Origin, board: Board): Feed {
  const size = sizeOf(circuit.cable.kind, circuit.cable.method, circuit.phases, lineMm2)!
  const run = draft.run({
    id: `${circuit.id}run`,
    name: circuit.name,
    made: 'cable',
    lengthM: circuit.lengthM,
    metal: null,
  })
  return {
    lines: origin.lines.map(({ pole, from }) => [pole, from]),
    neutral: origin.neutral(),
    earth: board.electrodeOhm === null ? origin.earth() : null,
    areaMm2: lineMm2,
    earthMm2: nearestArea(size.cpcMm2),
    lengthM: circuit.lengthM,
    run,
  }
}

/** Armour and sheaths are put down as the copper area nearest below them. */
function nearestArea(areaMm2: number): number {
  const made = [1, 1.5, 2.5, 4, 6, 10, 16, 25, 35]
  return made.findLast((one) => one <= areaMm2) ?? made[0]!
}

const mainName = (installation: Installation, board: Board): string =>
  installation.boards.length === 1 ? 'Main switch' : `Main switch, ${board.name}`

function spareWays(board: Board, circuits: readonly WorkedCircuit[]): number[] {
  const used = new Set(circuits.map(({ circuit }) => circuit.way))
  return Array.from({ length: board.ways }, (_, i) => i + 1).filter((way) => !used.has(way))
}
