import type { Plan } from './plan'

/** All nodes of a plan but earth, by their places in it, each part in the order of elimination. */
export interface MovedNodes {
  /** What these are taken out of, and leave behind, never changes. */
  readonly still: readonly number[]
  readonly moved: readonly number[]
}

/**
 * Which nodes an elimination must take out again when the elements at these places in the list change: their own nodes,
 * and all that these hand on to. A still node never comes after a moved one that it would hear from, so the still ones
 * may all be taken out first.
 */
export function movedNodes(
  { nodes, from, to, start, neighbour }: Plan,
  changed: readonly number[],
): MovedNodes {
  const isMoved = new Uint8Array(nodes.length)
  for (const i of changed) isMoved[from[i]!] = isMoved[to[i]!] = 1
  const still: number[] = []
  const moved: number[] = []
  for (let k = 0; k < nodes.length - 1; k += 1) {
    if (isMoved[k] === 0) {
      still.push(k)
      continue
    }
    moved.push(k)
    for (let a = start[k]!; a < start[k + 1]!; a += 1) isMoved[neighbour[a]!] = 1
  }
  return { still, moved }
}
