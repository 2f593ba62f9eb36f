import type { DevicePart, Rig } from './rig'
import { indexParts, partIdOf } from './terminals'

/**
 * The device with a RCD that a circuit's line comes through: its own, or the first one on the way to the
 * supply.
 */
export function rcdBefore({ parts, wires, busbars }: Rig, circuit: string | null): DevicePart | undefined {
  const way = parts.find(
    (part): part is DevicePart => part.kind === 'device' && part.role === 'way' && part.circuit === circuit,
  )
  if (!way) return undefined
  if (way.residual) return way
  const index = indexParts({ parts })
  const seen = new Set<string>()
  const open = [`${way.id}.${way.poles.find((pole) => pole !== 'N')} in`]
  while (open.length > 0) {
    const node = open.pop()!
    if (seen.has(node)) continue
    seen.add(node)
    const part = index.get(partIdOf(node))
    if (node.endsWith(' out') && part?.kind === 'device') {
      if (part.residual) return part
      // Through a switch or the way of a feeding board; never out through a neighbour.
      open.push(node.replace(/ out$/, ' in'))
    }
    for (const { from, to } of wires) if (from === node || to === node) open.push(from === node ? to : from)
    for (const { teeth, missing } of busbars)
      if (teeth.some((tooth, i) => tooth === node && !missing.includes(i)))
        open.push(...teeth.filter((_, i) => !missing.includes(i)))
  }
  return undefined
}
