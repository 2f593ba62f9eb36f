import { bySeriousness } from '../../findings/seriousness'
import type { DevicePart, Part, Rig, Wire } from '../model/rig'
import { indexParts, nodeOf, partIdOf, terminalNameOf, type PartIndex } from '../model/terminals'
import { boardDifferences } from './boards'
import type { ConductorRole, Difference } from './difference'

/** A conductor as the network sees it: two nodes, in alphabetical order. */
interface Edge {
  readonly wire: Wire
  readonly a: string
  readonly b: string
}

const edgesOf = (rig: Rig, parts: PartIndex): Edge[] =>
  rig.wires.map((wire) => {
    const [a, b] = [nodeOf(parts, wire.from), nodeOf(parts, wire.to)].sort() as [string, string]
    return { wire, a, b }
  })

const roleOf = ({ colour }: Wire): ConductorRole =>
  colour === 'green-and-yellow' ? 'earth' : colour === 'blue' ? 'neutral' : 'line'

/**
 * What is built against what was meant. Which terminal of a bar, which end of a ring and which way round a conductor was
 * written down do not matter; every other difference is named, the dangerous ones first.
 */
export function compareRigs(intended: Rig, built: Rig): Difference[] {
  const parts = indexParts(intended)
  const wanted = edgesOf(intended, parts)
  const left = edgesOf(built, indexParts(built))
  const differences: Difference[] = []

  // Conductors that are where they belong, whatever they are called.
  const missing = wanted.filter((want) => {
    const i = left.findIndex(({ a, b }) => a === want.a && b === want.b)
    if (i === -1) return true
    const [found] = left.splice(i, 1)
    differences.push(...conductorDifferences(want.wire, found!.wire))
    return false
  })

  // Points joined in another order: every node still has what it had, and a ring is still one.
  if (missing.length > 0 && missing.length === left.length && sameJoints(intended, built)) {
    differences.push({
      code: 'otherOrder',
      seriousness: 'note',
      wire: left[0]!.wire.id,
      at: left.flatMap(({ wire }) => [wire.from, wire.to]),
      role: roleOf(missing[0]!.wire),
      params: { count: left.length },
    })
    missing.length = left.length = 0
  }

  // What is missing and what is left over belong together where they share an end.
  const moved = pairUp(missing, left, parts)
  differences.push(
    ...movedDifferences(
      moved.filter((one) => one.kind === 'moved'),
      parts,
    ),
  )
  const nets = netsOf(intended, parts)
  for (const one of moved) {
    if (one.kind === 'missing')
      differences.push({
        code: 'missing',
        seriousness: 'critical',
        wire: null,
        at: [one.want.wire.from, one.want.wire.to],
        role: roleOf(one.want.wire),
        params: {},
      })
    if (one.kind !== 'extra') continue
    const joins = isBridge(one.is, nets)
    differences.push({
      code: joins ? 'bridge' : 'extra',
      seriousness: joins ? 'critical' : 'fault',
      wire: one.is.wire.id,
      at: [one.is.wire.from, one.is.wire.to],
      role: roleOf(one.is.wire),
      params: {},
    })
  }
  differences.push(...reversed(intended, built), ...boardDifferences(intended, built))
  return differences.sort(bySeriousness)
}

/** Area and colour of a conductor in its place. */
function conductorDifferences(want: Wire, is: Wire): Difference[] {
  const at = [is.from, is.to]
  const found: Difference[] = []
  if (is.areaMm2 < want.areaMm2)
    found.push({
      code: 'thinner',
      seriousness: 'fault',
      wire: is.id,
      at,
      role: roleOf(want),
      params: { want: want.areaMm2, is: is.areaMm2 },
    })
  if (is.areaMm2 > want.areaMm2)
    found.push({
      code: 'thicker',
      seriousness: 'note',
      wire: is.id,
      at,
      role: roleOf(want),
      params: { want: want.areaMm2, is: is.areaMm2 },
    })
  if (is.colour !== want.colour) {
    const isProtective = (is.colour === 'green-and-yellow') !== (want.colour === 'green-and-yellow')
    found.push({
      code: 'colour',
      seriousness: isProtective ? 'critical' : roleOf(is) === roleOf(want) ? 'note' : 'fault',
      wire: is.id,
      at,
      role: roleOf(want),
      params: { want: want.colour, is: is.colour },
    })
  }
  return found
}

type Paired =
  | {
      readonly kind: 'moved'
      readonly want: Edge
      readonly is: Edge
      readonly from: string
      readonly to: string
      readonly kept: string
    }
  | { readonly kind: 'missing'; readonly want: Edge }
  | { readonly kind: 'extra'; readonly is: Edge }

/** Finds for each missing conductor the left-over one of the same kind that shares an end with it. */
function pairUp(missing: readonly Edge[], left: readonly Edge[], parts: PartIndex): Paired[] {
  const free = [...left]
  const pairs: Paired[] = []
  const shared = (want: Edge, is: Edge) =>
    is.a === want.a || is.b === want.a ? want.a : is.a === want.b || is.b === want.b ? want.b : undefined
  const closeness = (want: Edge, is: Edge) => {
    const kept = shared(want, is)
    if (kept === undefined) return -1
    const other = want.a === kept ? want.b : want.a
    const now = is.a === kept ? is.b : is.a
    // The same part or a bar is likelier to be where a conductor was meant to go than some other place.
    return (
      (is.wire.colour === want.wire.colour ? 4 : 0) +
      (partIdOf(`${other}.`) === partIdOf(`${now}.`) ? 2 : 0) +
      (parts.get(now)?.kind === parts.get(other)?.kind ? 1 : 0)
    )
  }
  const waiting = [...missing]
  for (;;) {
    let best: { want: Edge; is: Edge; score: number } | undefined
    for (const want of waiting)
      for (const is of free) {
        const score = closeness(want, is)
        if (score >= 0 && score > (best?.score ?? -1)) best = { want, is, score }
      }
    if (!best) break
    const { want, is } = best
    waiting.splice(waiting.indexOf(want), 1)
    free.splice(free.indexOf(is), 1)
    const kept = shared(want, is)!
    pairs.push({
      kind: 'moved',
      want,
      is,
      kept,
      from: want.a === kept ? want.b : want.a,
      to: is.a === kept ? is.b : is.a,
    })
  }
  return [
    ...pairs,
    ...waiting.map((want) => ({ kind: 'missing', want }) as const),
    ...free.map((is) => ({ kind: 'extra', is }) as const),
  ]
}

type Moved = Extract<Paired, { kind: 'moved' }>

function movedDifferences(moved: readonly Moved[], parts: PartIndex): Difference[] {
  const told = new Set<Moved>()
  const found: Difference[] = []
  for (const one of moved) {
    if (told.has(one)) continue
    // Conductors that took each other's places at one part.
    const crossed = moved.filter(
      (other) =>
        other !== one &&
        !told.has(other) &&
        ((other.from === one.to && other.to === one.from) ||
          (other.from === one.to && other.to === one.from)),
    )
    if (crossed.length > 0) {
      const all = [
        one,
        ...crossed,
        ...moved.filter(
          (other) =>
            other !== one && !crossed.includes(other) && other.from === one.from && other.to === one.to,
        ),
      ]
      all.forEach((each) => told.add(each))
      found.push(swapDifference(all, parts))
      continue
    }
    told.add(one)
    found.push(moveDifference(one, parts))
  }
  return found
}

function swapDifference(all: readonly Moved[], parts: PartIndex): Difference {
  const roles = [...new Set(all.map(({ want }) => roleOf(want.wire)))].sort().join(' ')
  const at = [...new Set(all.map(({ to, is, kept }) => refAt(is.wire, to, kept, parts)))]
  const code = {
    'line neutral': 'lineNeutralSwapped',
    'earth neutral': 'neutralEarthSwapped',
    'earth line': 'lineEarthSwapped',
  }[roles] as Difference['code'] | undefined
  return {
    code: code ?? 'otherTerminal',
    seriousness: code ? 'critical' : 'fault',
    wire: all[0]!.is.wire.id,
    at,
    role: roleOf(all[0]!.want.wire),
    params: {},
  }
}

/** The terminal of a wire at this node. */
const refAt = (wire: Wire, node: string, _kept: string, parts: PartIndex): string =>
  nodeOf(parts, wire.from) === node ? wire.from : wire.to

function moveDifference({ want, is, from, to, kept }: Moved, parts: PartIndex): Difference {
  const role = roleOf(want.wire)
  const [meant, now] = [parts.get(partIdOf(`${from}.`)), parts.get(partIdOf(`${to}.`))]
  const at = [refAt(is.wire, to, kept, parts), from]
  const difference = (code: Difference['code'], seriousness: Difference['seriousness']): Difference => ({
    code,
    seriousness,
    wire: is.wire.id,
    at,
    role,
    params: {},
  })
  const serves = (part: Part | undefined) => (part?.kind === 'bar' ? part.serves : undefined)
  if (role === 'neutral' && serves(now) === 'N') return difference('otherNeutralBar', 'fault')
  if (role === 'neutral' && serves(now) === 'E') return difference('neutralOnEarthBar', 'critical')
  if (role === 'earth' && serves(now) === 'N') return difference('earthOnNeutralBar', 'critical')
  if (isWay(meant) && isWay(now) && meant.id !== now.id)
    return difference(terminalNameOf(to) === terminalNameOf(from) ? 'otherWay' : 'otherLine', 'fault')
  if (meant && meant.id === now?.id && isWay(meant)) return difference('otherLine', 'fault')
  // Earth at a line or neutral terminal, or the other way round, can put a case at line voltage.
  const isEarthy = (node: string) => terminalNameOf(`${node}`) === 'E' || serves(parts.get(node)) === 'E'
  return difference('otherTerminal', isEarthy(from) !== isEarthy(to) ? 'critical' : 'fault')
}

const isWay = (part: Part | undefined): part is DevicePart => part?.kind === 'device' && part.role === 'way'

/** Does a left-over conductor join two things that the intended bay keeps apart? */
const isBridge = ({ a, b }: Edge, nets: ReadonlyMap<string, string>): boolean => nets.get(a) !== nets.get(b)

/** Nodes that conductors alone join, by the name of one of them. */
function netsOf(rig: Rig, parts: PartIndex): Map<string, string> {
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
function sameJoints(intended: Rig, built: Rig): boolean {
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

/** Devices of marked terminals that stand the other way round. */
function reversed(intended: Rig, built: Rig): Difference[] {
  const isTurned = (rig: Rig, id: string) =>
    rig.busbars.some(({ teeth }) =>
      teeth.slice(1).some((tooth) => tooth.startsWith(`${id}.`) && tooth.endsWith(' out')),
    )
  return intended.parts.flatMap((part): Difference[] => {
    if (part.kind !== 'device') return []
    const is = built.parts.find(({ id }) => id === part.id)
    if (!is || is.kind !== 'device')
      return [
        {
          code: 'thingChanged',
          seriousness: 'fault',
          wire: null,
          at: [part.id],
          role: null,
          params: { what: 'missing' },
        },
      ]
    const found: Difference[] = []
    if (part.marking !== 'either' && isTurned(built, part.id) && !isTurned(intended, part.id))
      found.push({
        code: 'deviceReversed',
        seriousness: 'critical',
        wire: null,
        at: [`${part.id}.${part.poles[0]} in`],
        role: null,
        params: {},
      })
    if (is.ratingA !== part.ratingA || is.overcurrent?.curve !== part.overcurrent?.curve)
      found.push({
        code: 'thingChanged',
        seriousness: 'fault',
        wire: null,
        at: [part.id],
        role: null,
        params: {
          what: `${is.overcurrent?.curve ?? ''}${is.ratingA} A`,
          want: `${part.overcurrent?.curve ?? ''}${part.ratingA} A`,
        },
      })
    if (is.residual?.ratedA !== part.residual?.ratedA)
      found.push({
        code: 'thingChanged',
        seriousness: 'critical',
        wire: null,
        at: [part.id],
        role: null,
        params: {
          what: is.residual ? `${is.residual.ratedA * 1e3} mA` : 'no RCD',
          want: part.residual ? `${part.residual.ratedA * 1e3} mA` : 'none',
        },
      })
    return found
  })
}
