import { EARTH, type Element } from './network'

/** Nodes that no chain of closed elements joins to earth. */
export function floatingNodes(elements: readonly Element[]): ReadonlySet<string> {
  const joined = new Map<string, string[]>()
  const at = (node: string) => {
    const known = joined.get(node)
    if (known) return known
    const fresh: string[] = []
    joined.set(node, fresh)
    return fresh
  }
  for (const element of elements) {
    const [from, to] = [at(element.from), at(element.to)]
    if (element.kind === 'injection' || element.isOpen) continue
    from.push(element.to)
    to.push(element.from)
  }
  const reached = new Set([EARTH])
  for (const node of reached) for (const other of joined.get(node) ?? []) reached.add(other)
  return new Set([...joined.keys()].filter((node) => !reached.has(node)))
}
