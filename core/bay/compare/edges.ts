import type { Rig, Wire } from '../model/rig'
import { nodeOf, type PartIndex } from '../model/terminals'
import type { ConductorRole } from './difference'

/** A conductor as the network sees it: two nodes, in alphabetical order. */
export interface Edge {
  readonly wire: Wire
  readonly a: string
  readonly b: string
}

export const edgesOf = (rig: Rig, parts: PartIndex): Edge[] =>
  rig.wires.map((wire) => {
    const [a, b] = [nodeOf(parts, wire.from), nodeOf(parts, wire.to)].sort() as [string, string]
    return { wire, a, b }
  })

/** What a conductor serves as, by its colour. */
export function roleOf({ colour }: Wire): ConductorRole {
  if (colour === 'green-and-yellow') return 'earth'
  return colour === 'blue' ? 'neutral' : 'line'
}
