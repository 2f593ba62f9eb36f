import type { Rig, TerminalRef } from '../model/rig'
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
function linksOf(rig: Rig, state: BayState): Link[] {
  const links: Link[] = rig.wires.map(({ id, from, to }) => ({
    through: id,
    kind: 'wire',
    from,
    to,
    isOpen: false,
  }))
  for (const { id, teeth, missing, cutAfter } of rig.busbars) {
    const there = teeth.map((tooth, i) => ({ tooth, i })).filter(({ i }) => !missing.includes(i))
    there
      .slice(1)
      .forEach(({ tooth, i }, k) =>
        links.push({
          through: id,
          kind: 'busbar',
          from: there[k]!.tooth,
          to: tooth,
          isOpen: cutAfter.some((cut) => cut >= there[k]!.i && cut < i),
        }),
      )
  }
  const contact = (part: string, from: string, to: string, isOpen: boolean) =>
    links.push({ through: part, kind: 'part', from: `${part}.${from}`, to: `${part}.${to}`, isOpen })
  for (const part of rig.parts) {
    if (part.kind === 'meter')
      terminalsOf(part)
        .filter((name) => name.endsWith(' in'))
        .forEach((name) => contact(part.id, name, name.replace(' in', ' out'), false))
    if (part.kind === 'device')
      part.poles.forEach((pole) =>
        contact(part.id, `${pole} in`, `${pole} out`, !part.solid.includes(pole) && !state.closed[part.id]),
      )
    if (part.kind !== 'switch') continue
    const isThrown = state.thrown[part.id] ?? false
    if (part.action === 'intermediate') {
      contact(part.id, 'A1', isThrown ? 'B2' : 'B1', false)
      contact(part.id, 'A2', isThrown ? 'B1' : 'B2', false)
    } else if (part.action === 'two-way') contact(part.id, 'C', isThrown ? 'L2' : 'L1', false)
    else contact(part.id, 'C', 'L1', !isThrown)
  }
  return links
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
  const around = new Map<string, Link[]>()
  for (const link of linksOf(rig, state)) {
    if (link.isOpen && !throughOpen) continue
    for (const end of [link.from, link.to]) {
      const node = nodeOf(parts, end)
      around.set(node, [...(around.get(node) ?? []), link])
    }
  }
  const goal = nodeOf(parts, to)
  const cameBy = new Map<string, TraceStep | null>([[nodeOf(parts, from), null]])
  for (const [node] of cameBy) {
    if (node === goal) break
    for (const link of around.get(node) ?? []) {
      const isForward = nodeOf(parts, link.from) === node
      const next = nodeOf(parts, isForward ? link.to : link.from)
      if (!cameBy.has(next))
        cameBy.set(next, {
          through: link.through,
          kind: link.kind,
          from: isForward ? link.from : link.to,
          to: isForward ? link.to : link.from,
        })
    }
  }
  if (!cameBy.has(goal)) return undefined
  const path: TraceStep[] = []
  for (let step = cameBy.get(goal); step; step = cameBy.get(nodeOf(parts, step.from))) path.unshift(step)
  return path
}
