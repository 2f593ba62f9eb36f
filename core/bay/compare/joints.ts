import type { Rig } from '../model/rig'
import { indexParts, nodeOf, type PartIndex } from '../model/terminals'
import { edgesOf } from './edges'

/** Nodes that conductors alone join, by the name of one of them. */
export function netsOf(rig: Rig, parts: PartIndex): Map<string, string> {
  const parent = new Map<string, string>()
  const root = (node: string): string => {
    const up = parent.get(node) ?? node
    if (up === node) return node
    const top = root(up)
    parent.set(node, top)
    return top
  }
  for (const { from, to } of rig.wires) {
    const [a, b] = [nodeOf(parts, from), nodeOf(parts, to)]
    parent.set(a, parent.get(a) ?? a)
    parent.set(b, parent.get(b) ?? b)
    parent.set(root(a), root(b))
  }
  return new Map([...parent.keys()].map((node) => [node, root(node)]))
}

/** Do conductors join the same terminals in both, and do the same of them lie on rings, if in another order? */
export function sameJoints(intended: Rig, built: Rig): boolean {
  const groups = (rig: Rig) => {
    const byRoot = new Map<string, string[]>()
    for (const [node, root] of netsOf(rig, indexParts(rig)))
      byRoot.set(root, [...(byRoot.get(root) ?? []), node])
    return [...byRoot.values()]
      .map((nodes) => nodes.sort().join(' '))
      .sort()
      .join('|')
  }
  return groups(intended) === groups(built) && ringNodes(intended) === ringNodes(built)
}

/** Nodes that are left when every loose end is taken off, again and again, and how many conductors join them. */
function ringNodes(rig: Rig): string {
  let edges = edgesOf(rig, indexParts(rig))
  for (;;) {
    const degree = new Map<string, number>()
    for (const { a, b } of edges) for (const node of [a, b]) degree.set(node, (degree.get(node) ?? 0) + 1)
    const kept = edges.filter(({ a, b }) => degree.get(a)! > 1 && degree.get(b)! > 1)
    if (kept.length === edges.length)
      return [...degree]
        .map(([node, count]) => `${node}×${count}`)
        .sort()
        .join(' ')
    edges = kept
  }
}
