import { busbarPieces } from '../model/busbar'
import type { Part, Rig, Switch, TerminalRef } from '../model/rig'
import { indexParts, nodeOf, terminalsOf } from '../model/terminals'
import type { BayState } from './state'

/** One step of a path: through a conductor, a busbar, or a pole of a part. */
export interface TraceStep {
  readonly through: string
  readonly kind: 'wire' | 'busbar' | 'part'
  readonly from: TerminalRef
  readonly to: TerminalRef
}

interface Link extends TraceStep {
  readonly isOpen: boolean
}

/** Every conductor and contact of the bay, with the terminals that it joins; contacts as they stand. */
const linksOf = (rig: Rig, state: BayState): Link[] => [
  ...rig.wires.map(({ id, from, to }): Link => ({ through: id, kind: 'wire', from, to, isOpen: false })),
  ...rig.busbars.flatMap((busbar) =>
    busbarPieces(busbar).map(({ from, to, isCut }): Link => ({
      through: busbar.id,
      kind: 'busbar',
      from,
      to,
      isOpen: isCut,
    })),
  ),
  ...rig.parts.flatMap((part) =>
    contactsOf(part, state).map(([from, to, isOpen = false]): Link => ({
      through: part.id,
      kind: 'part',
      from: `${part.id}.${from}`,
      to: `${part.id}.${to}`,
      isOpen,
    })),
  ),
]

type Contact = readonly [from: string, to: string, isOpen?: boolean]

function contactsOf(part: Part, state: BayState): readonly Contact[] {
  if (part.kind === 'meter')
    return terminalsOf(part)
      .filter((name) => name.endsWith(' in'))
      .map((name) => [name, name.replace(' in', ' out')])
  if (part.kind === 'device')
    return part.poles.map((pole) => {
      const isOpen = !part.solid.includes(pole) && !state.closed[part.id]
      return [`${pole} in`, `${pole} out`, isOpen]
    })
  if (part.kind === 'changeover') {
    const isOver = state.thrown[part.id] ?? false
    return part.poles.flatMap((pole): Contact[] => [
      [`${pole} grid`, `${pole} out`, isOver],
      [`${pole} standby`, `${pole} out`, !isOver],
    ])
  }
  return part.kind === 'switch' ? switchContacts(part.action, state.thrown[part.id] ?? false) : []
}

function switchContacts(action: Switch['action'], isThrown: boolean): readonly Contact[] {
  if (action === 'intermediate')
    return [
      ['A1', isThrown ? 'B2' : 'B1'],
      ['A2', isThrown ? 'B1' : 'B2'],
    ]
  if (action === 'two-way') return [['C', isThrown ? 'L2' : 'L1']]
  return [['C', 'L1', !isThrown]]
}

interface Ends {
  readonly from: TerminalRef
  readonly to: TerminalRef
}

/**
 * The shortest path from one terminal to another through closed contacts, or with `throughOpen` through open ones too.
 * Undefined where nothing joins them.
 */
export function trace(
  rig: Rig,
  state: BayState,
  from: TerminalRef,
  to: TerminalRef,
  { throughOpen = false } = {},
): TraceStep[] | undefined {
  const parts = indexParts(rig)
  const node = (ref: TerminalRef) => nodeOf(parts, ref)
  const links = linksOf(rig, state).filter(({ isOpen }) => throughOpen || !isOpen)
  const cameBy = search(links, node, { from, to })
  if (!cameBy.has(node(to))) return undefined
  const path: TraceStep[] = []
  for (let step = cameBy.get(node(to)); step; step = cameBy.get(node(step.from))) path.unshift(step)
  return path
}

type CameBy = ReadonlyMap<string, TraceStep | null>

/** Breadth first, up to the goal: by which step each node was reached. */
function search(links: readonly Link[], node: (ref: TerminalRef) => string, { from, to }: Ends): CameBy {
  const around = new Map<string, Link[]>()
  for (const link of links)
    for (const end of [node(link.from), node(link.to)]) around.set(end, [...(around.get(end) ?? []), link])
  const cameBy = new Map<string, TraceStep | null>([[node(from), null]])
  for (const [here] of cameBy) {
    if (here === node(to)) break
    for (const link of around.get(here) ?? []) {
      const step = node(link.from) === here ? link : { ...link, from: link.to, to: link.from }
      if (!cameBy.has(node(step.to))) cameBy.set(node(step.to), stepOf(step))
    }
  }
  return cameBy
}

const stepOf = ({ through, kind, from, to }: Link): TraceStep => ({ through, kind, from, to })
