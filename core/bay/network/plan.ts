import { EARTH, type Element } from './network'

/**
 * The order in which nodes are taken out of a network, and the edges that this makes between their neighbours. It depends
 * on which nodes are joined and not on how strongly, so one plan serves every position of the switches.
 */
export interface Plan {
  /** Nodes in order of elimination; earth is the last and stays. */
  readonly nodes: readonly string[]
  readonly indexOf: ReadonlyMap<string, number>
  /** Of each element by its place in the list: its two nodes, and its edge; −1 for injections and for elements between a node and itself. */
  readonly from: Int32Array
  readonly to: Int32Array
  readonly edgeOf: Int32Array
  readonly edgeCount: number
  /** Neighbours of node k when it is taken out are `neighbour[start[k]] … neighbour[start[k + 1] − 1]`, over these edges. */
  readonly start: Int32Array
  readonly neighbour: Int32Array
  readonly edge: Int32Array
  /** For each pair of those neighbours, in the order of two nested loops, the edge between them. */
  readonly pairStart: Int32Array
  readonly pair: Int32Array
  /** A name that two elements share, which no network may have. */
  readonly doubled: string | null
}

/** Works out the plan: always the node with the fewest neighbours next, which fills a tree-like bay hardly at all. */
export function planFor(elements: readonly Element[]): Plan {
  const names = [...new Set([EARTH, ...elements.flatMap(({ from, to }) => [from, to])])]
  const place = new Map(names.map((name, i) => [name, i]))
  const joined: Map<number, number>[] = names.map(() => new Map())
  let edgeCount = 0
  const edgeBetween = (a: number, b: number): number => {
    const known = joined[a]!.get(b)
    if (known !== undefined) return known
    joined[a]!.set(b, edgeCount)
    joined[b]!.set(a, edgeCount)
    return edgeCount++
  }
  const edgeOf = Int32Array.from(elements, ({ kind, from, to }) =>
    kind === 'injection' || from === to ? -1 : edgeBetween(place.get(from)!, place.get(to)!),
  )

  const order: number[] = []
  const steps: {
    readonly around: readonly (readonly [number, number])[]
    readonly pairs: readonly number[]
  }[] = []
  const left = new Set(names.map((_, i) => i).slice(1))
  const byDegree: Set<number>[] = []
  const file = (node: number) => (byDegree[joined[node]!.size] ??= new Set()).add(node)
  left.forEach(file)
  while (left.size > 0) {
    const node = byDegree
      .find((nodes) => nodes && nodes.size > 0)!
      .values()
      .next().value as number
    const around = [...joined[node]!]
    byDegree[around.length]!.delete(node)
    for (const [other] of around) if (other !== 0) byDegree[joined[other]!.size]!.delete(other)
    const pairs: number[] = []
    for (let i = 0; i < around.length; i += 1)
      for (let j = i + 1; j < around.length; j += 1) pairs.push(edgeBetween(around[i]![0], around[j]![0]))
    for (const [other] of around) {
      joined[other]!.delete(node)
      if (other !== 0) file(other)
    }
    left.delete(node)
    order.push(node)
    steps.push({ around, pairs })
  }
  const rank = new Int32Array(names.length)
  order.forEach((node, i) => (rank[node] = i))
  rank[0] = order.length
  const nodes = [...order.map((node) => names[node]!), EARTH]
  return {
    nodes,
    edgeOf,
    edgeCount,
    doubled: doubledName(elements),
    from: Int32Array.from(elements, ({ from }) => rank[place.get(from)!]!),
    to: Int32Array.from(elements, ({ to }) => rank[place.get(to)!]!),
    indexOf: new Map(nodes.map((name, i) => [name, i])),
    ...flatten(
      steps.map(({ around }) => around.map(([other]) => rank[other]!)),
      'start',
      'neighbour',
    ),
    edge: Int32Array.from(steps.flatMap(({ around }) => around.map(([, edge]) => edge))),
    ...flatten(
      steps.map(({ pairs }) => pairs),
      'pairStart',
      'pair',
    ),
  }
}

function doubledName(elements: readonly Element[]): string | null {
  const names = new Set<string>()
  for (const { name } of elements) {
    if (names.has(name)) return name
    names.add(name)
  }
  return null
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
