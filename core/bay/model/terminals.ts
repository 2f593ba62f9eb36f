import type { Part, Pole, Rig, Supply, TerminalRef } from './rig'

const sides = (poles: readonly Pole[]): string[] => [
  ...poles.map((pole) => `${pole} in`),
  ...poles.map((pole) => `${pole} out`),
]
/** Lines of a supply, meter or board. */
export const linesOf = (phases: 1 | 3): readonly Pole[] => (phases === 1 ? ['L'] : ['L1', 'L2', 'L3'])

const CHANGEOVER_SIDES = ['grid', 'standby', 'out'] as const

const SWITCH_TERMINALS = {
  'one-way': ['C', 'L1', 'E'],
  'two-way': ['C', 'L1', 'L2', 'E'],
  intermediate: ['A1', 'A2', 'B1', 'B2', 'E'],
} as const

const ALWAYS = {
  socket: ['L', 'N', 'E'],
  lampholder: ['L', 'N', 'E'],
  junction: ['L', 'N', 'E', 'S'],
  metalwork: ['E'],
} as const

function supplyTerminals({ arrangement, phases }: Supply): readonly string[] {
  if (arrangement === 'battery') return ['+', '−']
  return [...linesOf(phases), 'N', ...(arrangement === 'TT' ? [] : ['E'])]
}

/** Names of a part's terminals, in the order in which they are drawn. */
export function terminalsOf(part: Part): readonly string[] {
  switch (part.kind) {
    case 'supply':
      return supplyTerminals(part)
    case 'meter':
      return sides([...linesOf(part.phases), 'N'])
    case 'device':
      return [...sides(part.poles), ...(part.hasEarth ? ['E'] : [])]
    case 'bar':
      return Array.from({ length: part.terminals }, (_, i) => String(i + 1))
    case 'arrester':
      return [...part.poles, 'E']
    case 'standby':
      return [...linesOf(part.phases), 'N', 'E']
    case 'changeover':
      return CHANGEOVER_SIDES.flatMap((side) => part.poles.map((pole) => `${pole} ${side}`))
    case 'switch':
      return SWITCH_TERMINALS[part.action]
    case 'appliance':
      return [...part.poles, ...(part.poles.includes('+') ? [] : ['E'])]
    default:
      return ALWAYS[part.kind]
  }
}

/** Conductors that one terminal of this part takes. */
export function roomOf(part: Part): number {
  switch (part.kind) {
    case 'bar':
      return 1
    case 'junction':
      return 8
    case 'socket':
    case 'lampholder':
    case 'switch':
    case 'appliance':
      return 4
    case 'supply':
    case 'metalwork':
      return 2
    default:
      return 3
  }
}

export const partIdOf = (ref: TerminalRef): string => ref.slice(0, ref.indexOf('.'))
export const terminalNameOf = (ref: TerminalRef): string => ref.slice(ref.indexOf('.') + 1)

export type PartIndex = ReadonlyMap<string, Part>
/** Rigs never change, so neither does the index of their parts. */
const INDEXES = new WeakMap<readonly Part[], PartIndex>()

export function indexParts({ parts }: Pick<Rig, 'parts'>): PartIndex {
  const known = INDEXES.get(parts)
  if (known) return known
  const index = new Map(parts.map((part) => [part.id, part]))
  INDEXES.set(parts, index)
  return index
}

/**
 * The electrical node of a terminal: a bar is one piece of copper, everything else has a node for each
 * terminal.
 */
export function nodeOf(parts: PartIndex, ref: TerminalRef): string {
  const id = partIdOf(ref)
  return parts.get(id)?.kind === 'bar' ? id : ref
}

/** A terminal as people say it: `RCD A · N in`, `Neutral bar B · 2`. */
export function terminalWords(parts: PartIndex, ref: TerminalRef): string {
  return `${parts.get(partIdOf(ref))?.name ?? partIdOf(ref)} · ${terminalNameOf(ref)}`
}
