import { diversifiedA } from '../design/board/demand'
import type { InstallationDesign } from '../design/reference'
import {
  LINES,
  type Board,
  type Circuit,
  type Installation,
  type SurgeWays,
} from '../installation/installation'
import { SURGE_BREAKER } from '../installation/surge'
import { sectionsFor, sharesRcd } from '../installation/shared-rcds'
import { hasRcd } from '../regulations/devices'
import { circuitsOf } from '../installation/tree'
import type { Use } from '../regulations/supply'
import { lineOfSeat, seatsOf, wayOfSeat, type EmptyBoard, type SeatedCircuit, type Seating } from './board'
import { lossW } from './heat'

/** Third harmonic of discharge lamps without correction, share of their current; common practice, no source. */
const DISCHARGE_THIRD = 0.25
/** Standing leakage of what is plugged into or fixed on a circuit, mA; common practice, no source. */
const LEAKAGE_MA: Readonly<Partial<Record<Use, number>>> = { sockets: 3, cooker: 1.5, heating: 1, motor: 1 }
const OTHER_LEAKAGE_MA = 0.5
/** A neutral lead reaches so many modules from the bar; differs by maker, common practice, no source. */
export const USUAL_REACH = 12

/** A board of an installation as it is laid out today, with what each circuit brings. */
export interface LaidBoard {
  readonly board: EmptyBoard
  readonly circuits: readonly SeatedCircuit[]
  readonly seating: Seating
  /** Two circuits that want the same seat, by name; none where all have their own. */
  readonly clash: readonly [string, string] | null
}

/** Null where the board is not there, or a circuit of it has no design. */
export function laidBoard(
  installation: Installation,
  design: InstallationDesign,
  boardId: string,
  reach: number,
): LaidBoard | null {
  const frame = installation.boards.find(({ id }) => id === boardId)
  const task = design.boards.find(({ board }) => board.id === boardId)?.task
  if (!frame || !task) return null
  const own = circuitsOf(installation, boardId)
  const currents = diversifiedA(task)
  const circuits = own.map((circuit): SeatedCircuit | null => {
    const ratingA = design.circuits.find(({ circuit: one }) => one.id === circuit.id)?.values.in
    return ratingA === undefined
      ? null
      : seatedOf(circuit, ratingA, currents.get(circuit.id) ?? 0, sharesRcd(frame, circuit))
  })
  if (circuits.some((one) => one === null)) return null
  const board: EmptyBoard = {
    phases: frame.phases,
    ways: frame.ways,
    sections: sectionsFor(own.filter((circuit) => sharesRcd(frame, circuit)).length),
    reach,
  }
  const seated = [...(circuits as SeatedCircuit[]), ...(frame.surge ? surgeSeats(frame.phases) : [])]
  const places = [...own.map(placeOf), ...(frame.surge ? surgePlaces(frame.surge) : [])]
  return { board, circuits: seated, ...seatingOf(seated, places, board) }
}

/** The SPD and its device: they carry nothing, and take as many lines as the board has. */
const surgeSeats = (phases: Board['phases']): SeatedCircuit[] =>
  (['device', 'spd'] as const).map((surge) => ({
    id: `surge-${surge}`,
    name: surge === 'spd' ? 'SPD' : 'Device of SPD',
    phases,
    currentA: 0,
    thirdShare: 0,
    ratingA: SURGE_BREAKER.ratingA,
    heatW: 0,
    area: '',
    hasLead: false,
    isShared: false,
    leakageMA: 0,
    surge,
  }))

function seatedOf(circuit: Circuit, ratingA: number, currentA: number, isShared: boolean): SeatedCircuit {
  const { id, name, phases, load, device, use, area = '' } = circuit
  return {
    id,
    name,
    phases,
    currentA,
    thirdShare: load.basis === 'lamps' && load.isDischarge ? DISCHARGE_THIRD : 0,
    ratingA,
    heatW: lossW(ratingA, Math.min(currentA, ratingA)),
    area,
    hasLead: hasRcd(device.family),
    isShared,
    leakageMA: LEAKAGE_MA[use] ?? OTHER_LEAKAGE_MA,
  }
}

type Place = Pick<Circuit, 'way' | 'line'>
const placeOf = ({ way, line }: Circuit): Place => ({ way, line })
const surgePlaces = ({ deviceWay, way }: SurgeWays): Place[] =>
  [deviceWay, way].map((one) => ({ way: one, line: 'L1' }))

const seatsOfPlace = ({ way, line }: Place, phases: 1 | 3, board: EmptyBoard): number[] => {
  const first = (way - 1) * board.phases
  if (board.phases === 1) return [first]
  return phases === 3 ? [0, 1, 2].map((i) => first + i) : [first + LINES.indexOf(line)]
}

function seatingOf(
  circuits: readonly SeatedCircuit[],
  places: readonly Place[],
  board: EmptyBoard,
): Pick<LaidBoard, 'seating' | 'clash'> {
  const seating: (number | null)[] = Array.from({ length: seatsOf(board) }, () => null)
  let clash: LaidBoard['clash'] = null
  circuits.forEach((circuit, i) => {
    for (const seat of seatsOfPlace(places[i]!, circuit.phases, board)) {
      const there = seating[seat]
      if (there !== null && there !== undefined) clash ??= [circuits[there]!.name, circuit.name]
      else if (seat < seating.length) seating[seat] = i
    }
  })
  return { seating, clash }
}

/** Way and line of each circuit in a seating, by its id. */
function waysOf(
  { board, circuits }: Pick<LaidBoard, 'board' | 'circuits'>,
  seating: Seating,
): ReadonlyMap<string, { readonly way: number; readonly line: (typeof LINES)[number] }> {
  return new Map(
    circuits.flatMap(({ id }, place) => {
      const seat = seating.indexOf(place)
      return seat < 0 ? [] : [[id, { way: wayOfSeat(board, seat), line: LINES[lineOfSeat(board, seat)]! }]]
    }),
  )
}

/** What an exercise takes over of a seating: the boxes of its form, by key. */
export function boxesOf(laid: Pick<LaidBoard, 'board' | 'circuits'>, seating: Seating, boardId: string) {
  const boxes: Record<string, string> = {}
  for (const [id, { way, line }] of waysOf(laid, seating)) {
    const surge = laid.circuits.find((circuit) => circuit.id === id)?.surge
    if (surge) boxes[`${boardId}.${surge === 'spd' ? 'surge' : 'surgeDevice'}`] = String(way)
    else {
      boxes[`${id}.way`] = String(way)
      boxes[`${id}.line`] = line
    }
  }
  return boxes
}
