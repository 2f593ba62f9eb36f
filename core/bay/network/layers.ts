import { frontOf, type Front } from './fronts'
import type { Element, Network } from './network'
import { planFor } from './plan'

/** An element with its numbers: its two nodes by rank, its admittance, S, and what it drives from one to the other, A. */
export interface Placed {
  readonly element: Element
  readonly from: number
  readonly to: number
  readonly gRe: number
  readonly gIm: number
  readonly driveRe: number
  readonly driveIm: number
}

/**
 * A network taken apart node by node, what each node left kept. A change makes a layer over it, in which only the nodes
 * that feel the change are taken out anew; the layer below stays as it is.
 */
export interface Layer {
  readonly below: Layer | null
  /** Rank of earth, the last. */
  readonly earth: number
  /** Of direct current: nothing has an imaginary part. */
  readonly isReal: boolean
  /** Nodes that came with changes so far; each has a rank below −1. */
  readonly newNodes: number
  readonly rankOf: (node: string) => number | undefined
  readonly fronts: Map<number, Front>
  /** Of each node the elements to nodes that are taken out later. */
  readonly edges: Map<number, readonly Placed[]>
  /** Sources at each node. */
  readonly sources: Map<number, readonly Placed[]>
  readonly children: Map<number, readonly number[]>
  /** By name; null for one that has gone. */
  readonly elements: Map<string, Placed | null>
}

/** A node without a neighbour hands on to nobody. */
const NOBODY = -1
const NONE: readonly never[] = []

export function frontAt(layer: Layer, rank: number): Front | undefined {
  for (let one: Layer | null = layer; one !== null; one = one.below) {
    const found = one.fronts.get(rank)
    if (found !== undefined) return found
  }
  return undefined
}
export function elementAt(layer: Layer, name: string): Placed | undefined {
  for (let one: Layer | null = layer; one !== null; one = one.below) {
    const found = one.elements.get(name)
    if (found !== undefined) return found ?? undefined
  }
  return undefined
}
function listAt<K extends 'edges' | 'children' | 'sources'>(layer: Layer, what: K, rank: number) {
  for (let one: Layer | null = layer; one !== null; one = one.below) {
    const found = one[what].get(rank)
    if (found !== undefined) return found
  }
  return NONE
}
const edgesAt = (layer: Layer, rank: number) => listAt(layer, 'edges', rank) as readonly Placed[]
const childrenAt = (layer: Layer, rank: number) => listAt(layer, 'children', rank) as readonly number[]
/** What the sources at a node drive into it, A: summed anew, since a difference would leave rounding behind. */
function driveAt(layer: Layer, rank: number): readonly [re: number, im: number] {
  let [re, im] = [0, 0]
  for (const one of listAt(layer, 'sources', rank) as readonly Placed[]) {
    const sign = one.to === rank ? 1 : -1
    re += sign * one.driveRe
    im += sign * one.driveIm
  }
  return [re, im]
}

/** Contacts that are open join nothing. */
const isJoined = (element: Element): boolean => element.kind !== 'injection' && !element.isOpen

/** A whole network, at the figures that its elements have. */
export function layNetwork({ elements, hertz }: Network): Layer {
  const { indexOf, nodes } = planFor(elements.filter(isJoined))
  const rankOf = (node: string) => indexOf.get(node)
  const empty: Layer = { ...layerOver(null, nodes.length - 1, 0, hertz === 0), rankOf }
  return change(empty, NONE, elements)
}

const layerOver = (
  below: Layer | null,
  earth: number,
  newNodes: number,
  isReal: boolean,
): Omit<Layer, 'rankOf'> => ({
  below,
  earth,
  isReal,
  newNodes,
  fronts: new Map(),
  edges: new Map(),
  sources: new Map(),
  children: new Map(),
  elements: new Map(),
})

/** Nodes that are to be taken out anew, in their order. */
class Waiting {
  /** The highest first. */
  private readonly ranks: number[] = []
  private readonly known = new Set<number>()

  constructor(private readonly earth: number) {}

  put(rank: number): void {
    if (rank === this.earth || rank === NOBODY || this.known.has(rank)) return
    this.known.add(rank)
    const { ranks } = this
    let at = ranks.length
    while (at > 0 && ranks[at - 1]! < rank) at -= 1
    ranks.splice(at, 0, rank)
  }

  next(): number | undefined {
    const rank = this.ranks.pop()
    if (rank !== undefined) this.known.delete(rank)
    return rank
  }
}

/**
 * The network without the elements of these names and with those that are put in, each in place of one of its name. Takes
 * as long as the way from the change to the end of the order, whatever the size of the network.
 */
export function change(below: Layer, gone: Iterable<string>, put: readonly Element[]): Layer {
  const brought = new Map<string, number>()
  const rankOf = (node: string): number | undefined => brought.get(node) ?? below.rankOf(node)
  const layer: Layer = { ...layerOver(below, below.earth, below.newNodes, below.isReal), rankOf }
  const waiting = new Waiting(below.earth)
  const bring = (node: string): number => {
    const known = rankOf(node)
    if (known !== undefined) return known
    const rank = -2 - below.newNodes - brought.size
    brought.set(node, rank)
    return rank
  }
  for (const name of gone) takeAway(layer, waiting, name)
  for (const element of put) {
    if (element.kind === 'injection') continue
    const old = elementAt(layer, element.name)
    if (old && isSame(old.element, element)) continue
    if (old) takeAway(layer, waiting, element.name)
    if (isJoined(element)) join(layer, waiting, placed(element, bring(element.from), bring(element.to)))
  }
  takeOut(layer, waiting)
  return { ...layer, newNodes: below.newNodes + brought.size }
}

const isSame = (a: Element, b: Element): boolean =>
  a.kind === b.kind &&
  a.kind !== 'injection' &&
  b.kind !== 'injection' &&
  a.from === b.from &&
  a.to === b.to &&
  a.ohm.re === b.ohm.re &&
  a.ohm.im === b.ohm.im &&
  !a.isOpen === !b.isOpen &&
  (a.kind !== 'source' || b.kind !== 'source' || (a.volt.re === b.volt.re && a.volt.im === b.volt.im))

function placed(element: Exclude<Element, { kind: 'injection' }>, from: number, to: number): Placed {
  const { re, im } = element.ohm
  const square = re * re + im * im
  const [gRe, gIm] = [re / square, -im / square]
  const [vRe, vIm] = element.kind === 'source' ? [element.volt.re, element.volt.im] : [0, 0]
  return { element, from, to, gRe, gIm, driveRe: vRe * gRe - vIm * gIm, driveIm: vRe * gIm + vIm * gRe }
}

const lowerOf = ({ from, to }: Placed): number => Math.min(from, to)

function takeAway(layer: Layer, waiting: Waiting, name: string): void {
  const old = elementAt(layer, name)
  if (!old) return
  layer.elements.set(name, null)
  if (old.from === old.to) return
  const lower = lowerOf(old)
  layer.edges.set(
    lower,
    edgesAt(layer, lower).filter((one) => one !== old),
  )
  waiting.put(lower)
  drive(layer, waiting, old, false)
}

function join(layer: Layer, waiting: Waiting, one: Placed): void {
  layer.elements.set(one.element.name, one)
  if (one.from === one.to) return
  const lower = lowerOf(one)
  layer.edges.set(lower, [...edgesAt(layer, lower), one])
  waiting.put(lower)
  drive(layer, waiting, one, true)
}

/** A source drives both its nodes: their lists change. */
function drive(layer: Layer, waiting: Waiting, one: Placed, isHere: boolean): void {
  if (one.driveRe === 0 && one.driveIm === 0) return
  for (const rank of [one.from, one.to]) {
    const others = (listAt(layer, 'sources', rank) as readonly Placed[]).filter((other) => other !== one)
    layer.sources.set(rank, isHere ? [...others, one] : others)
    waiting.put(rank)
  }
}

/** Node after node along the ways from the change to the end of the order. */
function takeOut(layer: Layer, waiting: Waiting): void {
  for (let rank = waiting.next(); rank !== undefined; rank = waiting.next()) {
    const old = frontAt(layer, rank)
    const below = childrenAt(layer, rank).map((child) => frontAt(layer, child)!)
    const front = frontOf(rank, edgesAt(layer, rank), driveAt(layer, rank), below, layer.isReal)
    layer.fronts.set(rank, front)
    const before = old?.parent ?? NOBODY
    if (before !== front.parent) {
      if (before !== NOBODY)
        layer.children.set(
          before,
          childrenAt(layer, before).filter((child) => child !== rank),
        )
      if (front.parent !== NOBODY)
        layer.children.set(front.parent, [...childrenAt(layer, front.parent), rank])
      waiting.put(before)
    }
    waiting.put(front.parent)
  }
}
