import { path } from 'd3-path'
import type { Wire } from '../model/rig'
import { TERMINAL_R, type BayLayout, type Channel, type PlacedTerminal } from './placed'

export interface Point {
  readonly x: number
  readonly y: number
}

const LANE = 7
const CORNER = 6

/** Stretches of a channel that are taken, lane by lane. */
type Lanes = (readonly [number, number])[][]

/** The lowest lane in which this stretch is free; beyond the last one lanes are shared. */
function takeLane(lanes: Lanes, most: number, from: number, to: number): number {
  const [low, high] = from < to ? [from, to] : [to, from]
  let best = 0
  for (let lane = 0; lane < most; lane += 1) {
    const taken = (lanes[lane] ??= [])
    if (taken.every(([a, b]) => high < a - 4 || low > b + 4)) {
      taken.push([low, high])
      return lane
    }
    if (taken.length < lanes[best]!.length) best = lane
  }
  lanes[best]!.push([low, high])
  return best
}

const laneCount = ({ from, to }: Channel): number => Math.max(1, Math.floor((to - from) / LANE) - 1)

/**
 * Corner points of every conductor, from terminal to terminal: out of the terminal into its channel, along an
 * upright strip where the channels differ, and back. Same conductors, same lanes.
 */
export function routeWires(
  layout: BayLayout,
  wires: readonly Pick<Wire, 'id' | 'from' | 'to'>[],
): ReadonlyMap<string, readonly Point[]> {
  const lanes = new Map<string, Lanes>()
  const lanesOf = (id: string) => {
    const known = lanes.get(id)
    if (known) return known
    const fresh: Lanes = []
    lanes.set(id, fresh)
    return fresh
  }
  const placed = wires.flatMap(({ id, from, to }) => {
    const [a, b] = [layout.terminals.get(from), layout.terminals.get(to)]
    return a && b ? [{ id, a, b }] : []
  })
  // Short ones first: they keep to the lanes beside their terminals.
  const ordered = [...placed].sort(
    (entry, other) =>
      Math.abs(entry.a.x - entry.b.x) +
      Math.abs(entry.a.y - entry.b.y) -
      Math.abs(other.a.x - other.b.x) -
      Math.abs(other.a.y - other.b.y),
  )
  const trunkOf = (a: PlacedTerminal, b: PlacedTerminal): Channel => {
    const [ca, cb] = [layout.channels.get(a.channel)!, layout.channels.get(b.channel)!]
    const shared = ca.trunks.filter((id) => cb.trunks.includes(id))
    return layout.trunks.get(shared[0] ?? 'right')!
  }
  const level = (channel: Channel, from: number, to: number): number =>
    channel.from + (takeLane(lanesOf(channel.id), laneCount(channel), from, to) + 1) * LANE
  return new Map(
    ordered.map(({ id, a, b }): [string, Point[]] => {
      const [ca, cb] = [layout.channels.get(a.channel)!, layout.channels.get(b.channel)!]
      if (ca === cb) {
        const y = level(ca, a.x, b.x)
        return [id, [edge(a, y), { x: a.x, y }, { x: b.x, y }, edge(b, y)]]
      }
      const trunk = trunkOf(a, b)
      const middle = (trunk.from + trunk.to) / 2
      const [ya, yb] = [level(ca, a.x, middle), level(cb, middle, b.x)]
      const x = trunk.from + (takeLane(lanesOf(trunk.id), laneCount(trunk), ya, yb) + 1) * LANE
      return [
        id,
        [edge(a, ya), { x: a.x, y: ya }, { x, y: ya }, { x, y: yb }, { x: b.x, y: yb }, edge(b, yb)],
      ]
    }),
  )
}

/** Where a conductor leaves the circle of its terminal. */
const edge = ({ x, y }: PlacedTerminal, towards: number): Point => ({
  x,
  y: y + Math.sign(towards - y) * TERMINAL_R,
})

/** The corner points as an SVG path with eased corners. */
export function pathOf(points: readonly Point[]): string {
  const [first, ...rest] = points
  if (!first) return ''
  const line = path()
  line.moveTo(first.x, first.y)
  rest.forEach((corner, i) => {
    const [before, after] = [points[i]!, points[i + 2]]
    if (!after) {
      line.lineTo(corner.x, corner.y)
      return
    }
    const back = towards(corner, before)
    const on = towards(corner, after)
    line.lineTo(back.x, back.y)
    line.quadraticCurveTo(corner.x, corner.y, on.x, on.y)
  })
  return String(line)
}

function towards(corner: Point, other: Point): Point {
  const length = Math.abs(other.x - corner.x) + Math.abs(other.y - corner.y)
  const ease = Math.min(CORNER, length / 2)
  return {
    x: corner.x + Math.sign(other.x - corner.x) * ease,
    y: corner.y + Math.sign(other.y - corner.y) * ease,
  }
}
