import { magnitude } from '../network/complex'
import type { Rig, TerminalRef } from '../model/rig'
import { indexParts, nodeOf, terminalsOf } from '../model/terminals'
import { solveBay } from './network-of'
import type { BayState } from './state'

/** The lowest lamp of a two-pole voltage indicator, V; BS EN 61243-3, from memory. */
const SHOWN_FROM_V = 12

export const isBattery = (rig: Rig): boolean =>
  rig.parts.some((part) => part.kind === 'supply' && part.arrangement === 'battery')

/** Terminals that stand at a voltage against earth (of a battery: against its negative), as the bay stands. */
export function liveTerminals(rig: Rig, state: BayState): TerminalRef[] {
  const solved = solveBay(rig, state, { hertz: isBattery(rig) ? 0 : 50 })
  if (!solved.ok) return []
  const parts = indexParts(rig)
  return rig.parts
    .flatMap((part) => terminalsOf(part).map((name) => `${part.id}.${name}`))
    .filter((ref) => {
      const node = nodeOf(parts, ref)
      return !solved.floating.has(node) && magnitude(solved.volt(node)) > SHOWN_FROM_V
    })
}
