import { busbarPieces } from '../model/busbar'
import type { DevicePart, Part, Pole, Rig, TerminalRef } from '../model/rig'
import { linesOf } from '../model/terminals'

/** From which side a device can be fed: with itself open, which of its ends a source still reaches. */
export interface FedEnds {
  readonly in: boolean
  readonly out: boolean
}

type Joined = readonly [TerminalRef, TerminalRef]

const isLine = (pole: Pole): boolean => pole !== 'N' && pole !== '−'

/**
 * Which ends of each device a source can reach, everything else closed: the supply of the bay, and every second source
 * that feeds in. By the lines alone; a neutral is fed by none.
 */
export function fedEnds(rig: Rig): ReadonlyMap<string, FedEnds> {
  const outside = [
    ...rig.wires.map(({ from, to }): Joined => [from, to]),
    ...rig.busbars
      .flatMap(busbarPieces)
      .flatMap(({ from, to, isCut }): Joined[] => (isCut ? [] : [[from, to]])),
  ]
  const inside = new Map(rig.parts.map((part) => [part.id, insideOf(part)]))
  const sources = rig.parts.flatMap(sourceTerminals)
  const devices = rig.parts.filter((part): part is DevicePart => part.kind === 'device')
  return new Map(
    devices.map((device) => {
      const others = [...inside].flatMap(([id, joined]) => (id === device.id ? [] : joined))
      const reached = reachedFrom(sources, [...outside, ...others])
      const isFed = (side: 'in' | 'out') =>
        device.poles.filter(isLine).some((pole) => reached.has(`${device.id}.${pole} ${side}`))
      return [device.id, { in: isFed('in'), out: isFed('out') }]
    }),
  )
}

/** Power may come from either side. */
export const isFedAtBothEnds = (ends: FedEnds | undefined): boolean =>
  ends !== undefined && ends.in && ends.out

/** A device with marked ends that a source reaches from its load end. */
export const isFedWrong = ({ marking }: Pick<DevicePart, 'marking'>, ends: FedEnds | undefined): boolean =>
  marking !== 'either' && ends !== undefined && ends.out

const chain = (terminals: readonly TerminalRef[]): Joined[] =>
  terminals.slice(1).map((terminal, i) => [terminals[i]!, terminal])

/** Terminals that a part joins when it is closed. */
function insideOf(part: Part): Joined[] {
  switch (part.kind) {
    case 'device':
      return part.poles.filter(isLine).map((pole) => [`${part.id}.${pole} in`, `${part.id}.${pole} out`])
    case 'meter':
      return linesOf(part.phases).map((pole) => [`${part.id}.${pole} in`, `${part.id}.${pole} out`])
    case 'switch':
      return chain(
        (part.action === 'intermediate' ? ['A1', 'A2', 'B1', 'B2'] : ['C', 'L1', 'L2']).map(
          (t) => `${part.id}.${t}`,
        ),
      )
    default:
      return []
  }
}

/** Lines at which a source stands. */
function sourceTerminals(part: Part): TerminalRef[] {
  if (part.kind === 'supply') {
    if (part.arrangement === 'battery') return [`${part.id}.+`]
    return linesOf(part.phases).map((line) => `${part.id}.${line}`)
  }
  // Grid and standby reach what is behind a change-over from the same side.
  if (part.kind === 'changeover') return part.poles.filter(isLine).map((pole) => `${part.id}.${pole} out`)
  if (part.kind === 'appliance' && part.load.kind === 'infeed')
    return part.poles.filter(isLine).map((pole) => `${part.id}.${pole}`)
  return []
}

function reachedFrom(sources: readonly TerminalRef[], joined: readonly Joined[]): Set<TerminalRef> {
  const next = new Map<TerminalRef, TerminalRef[]>()
  for (const [a, b] of joined) {
    next.set(a, [...(next.get(a) ?? []), b])
    next.set(b, [...(next.get(b) ?? []), a])
  }
  const reached = new Set(sources)
  for (const terminal of reached) for (const other of next.get(terminal) ?? []) reached.add(other)
  return reached
}
