import { EARTH, type Element } from './network'

/**
 * The order in which nodes are taken out of a network, and the edges that this makes between their neighbours. It depends
 * on which nodes are joined and not on how strongly, so one plan serves every position of the switches.
 */
export interface Plan {
  /** Nodes in order of elimination; earth is the last and stays. */
  readonly nodes: readonly string[]
  readonly indexOf: ReadonlyMap<string, number>
  /**
   * Of each element by its place in the list: its two nodes, and its edge; −1 for injections and for elements
   * between a node and itself.
   */
  readonly from: Int32Array
  readonly to: Int32Array
  readonly edgeOf: Int32Array
  readonly edgeCount: number
  /**
   * Neighbours of node k when it is taken out are `neighbour[start[k]] … neighbour[start[k + 1] − 1]`, over
   * these edges.
   */
  readonly start: Int32Array
  readonly neighbour: Int32Array
  readonly edge: Int32Array
  /** For each pair of those neighbours, in the order of two nested loops, the edge between them. */
  readonly pairStart: Int32Array
  readonly pair: Int32Array
  /** Where each element stands in the list. */
  readonly placeOf: ReadonlyMap<string, number>
  /** A name that two elements share, which no network may have. */
  readonly doubled: string | null
}

/**
 * Works out the plan: always the node with the fewest neighbours next, which fills a tree-like bay hardly at
 * all.
 */
export function planFor(elements: readonly Element[]): Plan {
  const names = [...new Set([EARTH, ...elements.flatMap(({ from, to }) => [from, to])])]
  const place = new Map(names.map((name, i) => [name, i]))
  const graph = new JointGraph(names.length)
  const edgeOf = Int32Array.from(elements, ({ kind, from, to }) =>
    kind === 'injection' || from === to ? -1 : graph.edgeBetween(place.get(from)!, place.get(to)!),
  )
  const { order, steps } = orderOf(graph)
  const rank = new Int32Array(names.length)
  order.forEach((node, i) => (rank[node] = i))
  rank[0] = order.length
  const nodes = [...order.map((node) => names[node]!), EARTH]
  const neighbours = steps.map(({ around }) => around.map(([other]) => rank[other]!))
  return {
    nodes,
    edgeOf,
    edgeCount: graph.edgeCount,
    ...placesOf(elements),
    from: Int32Array.from(elements, ({ from }) => rank[place.get(from)!]!),
    to: Int32Array.from(elements, ({ to }) => rank[place.get(to)!]!),
    indexOf: new Map(nodes.map((name, i) => [name, i])),
    ...flatten(neighbours, 'start', 'neighbour'),
    edge: Int32Array.from(steps.flatMap(({ around }) => around.map(([, edge]) => edge))),
    ...flatten(
      steps.map(({ pairs }) => pairs),
      'pairStart',
      'pair',
    ),
  }
}

/** Which nodes are joined, and by which edge. Node 0 is earth. */
class JointGraph {
  readonly joined: Map<number, number>[]
  edgeCount = 0

  constructor(count: number) {
    this.joined = Array.from({ length: count }, () => new Map())
  }

  edgeBetween(a: number, b: number): number {
    const known = this.joined[a]!.get(b)
    if (known !== undefined) return known
    this.joined[a]!.set(b, this.edgeCount)
    this.joined[b]!.set(a, this.edgeCount)
    return this.edgeCount++
  }
}

/** The first node of the lowest degree. */
function firstOf(byDegree: readonly Set<number>[]): number {
  for (const nodes of byDegree) for (const node of nodes ?? []) return node
  throw new Error('every node has been taken out')
}

/** A node taken out: its neighbours with their edges, and the edges that this leaves between each two of them. */
interface TakenOut {
  readonly around: readonly (readonly [node: number, edge: number])[]
  readonly pairs: readonly number[]
}

function orderOf(graph: JointGraph): {
  readonly order: readonly number[]
  readonly steps: readonly TakenOut[]
} {
  const { joined } = graph
  const order: number[] = []
  const steps: TakenOut[] = []
  const byDegree: Set<number>[] = []
  const file = (node: number) => (byDegree[joined[node]!.size] ??= new Set()).add(node)
  for (let node = 1; node < joined.length; node += 1) file(node)
  while (order.length < joined.length - 1) {
    const node = firstOf(byDegree)
    const around = [...joined[node]!]
    byDegree[around.length]!.delete(node)
    for (const [other] of around) if (other !== 0) byDegree[joined[other]!.size]!.delete(other)
    const pairs = around.flatMap(([one], i) =>
      around.slice(i + 1).map(([other]) => graph.edgeBetween(one, other)),
    )
    for (const [other] of around) {
      joined[other]!.delete(node)
      if (other !== 0) file(other)
    }
    order.push(node)
    steps.push({ around, pairs })
  }
  return { order, steps }
}

function placesOf(elements: readonly Element[]): Pick<Plan, 'placeOf' | 'doubled'> {
  const placeOf = new Map<string, number>()
  let doubled: string | null = null
  for (const [i, { name }] of elements.entries()) {
    if (placeOf.has(name)) doubled ??= name
    placeOf.set(name, i)
  }
  return { placeOf, doubled }
}

/** Lists of different lengths one behind the other, with where each begins. */
function flatten<S extends string, L extends string>(
  lists: readonly (readonly number[])[],
  starts: S,
  all: L,
): Record<S | L, Int32Array> {
  const start = new Int32Array(lists.length + 1)
  lists.forEach((list, i) => (start[i + 1] = start[i]! + list.length))
  return { [starts]: start, [all]: Int32Array.from(lists.flat()) } as Record<S | L, Int32Array>
}
