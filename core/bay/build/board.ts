import { boardFedBy } from '../../installation/tree'
import type { Board, Installation, Line } from '../../installation/installation'
import type { Pole } from '../model/rig'
import { buildPoints } from './points'
import { copperOf } from './copper'
import type { Draft } from './draft'
import type { Feed } from './intake'
import { LINE_COLOURS, barPart, devicePart, metalwork } from './parts'
import { buildSurge } from './surge'
import { LINK, buildSections, type Sections } from './sections'
import type { Origin, WorkedCircuit } from './worked'

const LINES: readonly Line[] = ['L1', 'L2', 'L3']
/** Conductor to an electrode of a board's own. */
const TO_ELECTRODE = { areaMm2: 16, lengthM: 3 } as const

/**
 * A board with main switch, residual sections, bars and the circuits behind it; returns what feeds the boards
 * beyond.
 */
export function buildBoard(
  draft: Draft,
  installation: Installation,
  board: Board,
  circuits: readonly WorkedCircuit[],
  feed: Feed,
): Map<string, Feed> {
  const linePoles: readonly Pole[] = board.phases === 1 ? ['L'] : LINES
  draft.frame(frameOf(board, circuits))
  const main = buildMainSwitch(
    draft,
    { id: `${board.id}main`, name: mainName(installation, board) },
    linePoles,
    board,
  )
  layFeed(draft, main, linePoles, feed)
  const earthBar = buildEarth(draft, board, feed)
  const sections = buildSections(draft, board, circuits, { id: main, linePoles })
  const beyond = new Map<string, Feed>()
  const { surge } = board
  const afterSurge = circuits.find(({ circuit }) => surge && circuit.way > surge.deviceWay)
  const buildSpd = () => surge && buildSurge(draft, board, surge, sections, earthBar)
  for (const worked of circuits) {
    // A comb takes its teeth from left to right.
    if (worked === afterSurge) buildSpd()
    const origin = buildWay(draft, board, worked, sections, earthBar)
    const fed = boardFedBy(installation, worked.circuit.id)
    if (fed) beyond.set(fed.id, feedTo(draft, worked, origin, fed))
    else buildPoints(draft, worked, origin)
  }
  if (!afterSurge) buildSpd()
  for (const { busbar } of sections.all) draft.busbar(busbar)
  for (const [pole, teeth] of sections.plainTeeth)
    if (teeth.length > 1) draft.busbar({ id: `${board.id}bus${pole}`, name: `Busbar ${pole}`, teeth })
  return beyond
}

function frameOf(board: Board, circuits: readonly WorkedCircuit[]) {
  const { id, name, phases, ways } = board
  const labels = [
    ...circuits.map(({ circuit }) => [wayNumber(board, circuit), circuit.name]),
    ...(board.surge ? [[String(board.surge.deviceWay), 'SPD']] : []),
  ]
  return { id, name, phases, ways, blanks: spareWays(board, circuits), labels: Object.fromEntries(labels) }
}

/** The way, with its line where a three-phase board has a single-phase circuit. */
const wayNumber = (board: Board, { way, phases, line }: WorkedCircuit['circuit']): string =>
  board.phases === 3 && phases === 1 ? `${way}${line}` : String(way)

const buildMainSwitch = (
  draft: Draft,
  named: { readonly id: string; readonly name: string },
  linePoles: readonly Pole[],
  board: Board,
): string =>
  draft.part(
    devicePart({ ...named, board: board.id, role: 'main-switch', poles: [...linePoles, 'N'], ratingA: 100 }),
  )

function layFeed(draft: Draft, main: string, linePoles: readonly Pole[], feed: Feed): void {
  const tail = { ...feed.live, lengthM: feed.lengthM, run: feed.run }
  feed.lines.forEach(([, from], i) => {
    const pole = linePoles.length === 1 ? 'L' : linePoles[i]!
    draft.wire(from, `${main}.${pole} in`, { ...tail, colour: LINE_COLOURS[i]! })
  })
  draft.wire(feed.neutral, `${main}.N in`, { ...tail, colour: 'blue' })
}

/** The earth bar, with the feed's protective conductor or an electrode of the board's own. */
function buildEarth(draft: Draft, { id, name, ways, electrodeOhm }: Board, feed: Feed): string {
  const bar = draft.part(
    barPart({ id: `${id}e`, name: 'Earth bar', board: id, serves: 'E', terminals: ways + 1 }),
  )
  const colour = 'green-and-yellow'
  if (electrodeOhm !== null) {
    const electrode = draft.part(metalwork(`${id}electrode`, `Electrode of ${name}`, electrodeOhm))
    draft.wire(`${electrode}.E`, draft.free(bar), { ...TO_ELECTRODE, colour })
  } else if (feed.earth !== null) {
    const { earthMm2: areaMm2, lengthM, run } = feed
    draft.wire(feed.earth, draft.free(bar), { areaMm2, lengthM, colour, run })
  }
  return bar
}

/** The device of a way, fed from its comb, and where its circuit starts. */
function buildWay(
  draft: Draft,
  board: Board,
  worked: WorkedCircuit,
  sections: Sections,
  earthBar: string,
): Origin {
  const { circuit, ratingA } = worked
  const section = sections.sharedBy(worked)
  const poles: readonly Pole[] = circuit.phases === 3 ? LINES : ['L']
  // On a three-phase board a single-phase circuit brings its RCD along.
  const hasOwn = worked.residualA !== null && !section
  const number = wayNumber(board, circuit)
  const way = draft.part(wayDevice(board.id, worked, { number, poles, hasOwn }))
  for (const pole of poles)
    (section?.busbar.teeth ?? teethOf(sections, board, circuit, pole)).push(`${way}.${pole} in`)
  if (hasOwn)
    draft.wire(`${way}.N in`, draft.free(sections.plainBar!), {
      areaMm2: ratingA > 32 ? 10 : 6,
      lengthM: LINK.lengthM,
      colour: 'blue',
    })
  const bar = section?.bar ?? sections.plainBar!
  return {
    number,
    lines: poles.map((pole, i) => ({ pole, from: `${way}.${pole} out`, colour: LINE_COLOURS[i]! })),
    neutral: () => (hasOwn ? `${way}.N out` : draft.free(bar)),
    earth: () => draft.free(earthBar),
  }
}

interface WayFacts {
  readonly number: string
  readonly poles: readonly Pole[]
  /** It carries an RCD itself. */
  readonly hasOwn: boolean
}

const wayDevice = (
  board: string,
  { circuit, ratingA, residualA }: WorkedCircuit,
  { number, poles, hasOwn }: WayFacts,
) =>
  devicePart({
    id: `${board}w${number}`,
    name: `Way ${number}`,
    board,
    circuit: circuit.id,
    role: 'way',
    poles: hasOwn ? [...poles, 'N'] : poles,
    solid: hasOwn && circuit.phases === 1 ? ['N'] : [],
    ratingA,
    overcurrent: circuit.device,
    way: circuit.way,
    residual: hasOwn ? { ratedA: residualA!, type: 'A', isDelayed: false } : null,
    detectsArcs: circuit.device.family === 'afdd',
    marking: circuit.marking ?? 'either',
  })

/** The comb of a pole for circuits that share no RCD. */
function teethOf(
  { plainTeeth }: Sections,
  { phases }: Board,
  circuit: WorkedCircuit['circuit'],
  pole: Pole,
): string[] {
  if (phases === 1) return plainTeeth.get('L')!
  return plainTeeth.get(circuit.phases === 3 ? pole : circuit.line)!
}

/** The conductors of a feed to a board; of a TT island its protective conductor ends insulated. */
function feedTo(draft: Draft, { circuit, lineMm2, size }: WorkedCircuit, origin: Origin, board: Board): Feed {
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
    live: copperOf(lineMm2, size.r1OhmPerM),
    earthMm2: nearestArea(size.cpcMm2),
    lengthM: circuit.lengthM,
    run,
  }
}

/** Armour and sheaths are put down as the copper area nearest below them. */
function nearestArea(areaMm2: number): number {
  const standardSizes = [1, 1.5, 2.5, 4, 6, 10, 16, 25, 35]
  return standardSizes.findLast((candidate) => candidate <= areaMm2) ?? standardSizes[0]!
}

const mainName = (installation: Installation, board: Board): string =>
  installation.boards.length === 1 ? 'Main switch' : `Main switch, ${board.name}`

function spareWays(board: Board, circuits: readonly WorkedCircuit[]): number[] {
  const { surge } = board
  const used = new Set([
    ...circuits.map(({ circuit }) => circuit.way),
    ...(surge ? [surge.deviceWay, surge.way] : []),
  ])
  return Array.from({ length: board.ways }, (_, i) => i + 1).filter((way) => !used.has(way))
}
