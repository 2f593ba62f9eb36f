import type { DevicePart, Part, Wire } from '../model/rig'
import { nodeOf, partIdOf, terminalNameOf, type PartIndex } from '../model/terminals'
import type { Difference } from './difference'
import { roleOf } from './edges'
import type { Moved } from './pair'

/** Conductors at other terminals than meant; those that took each other's places are told as one. */
export function movedDifferences(moved: readonly Moved[], parts: PartIndex): Difference[] {
  const named = new Set<Moved>()
  const found: Difference[] = []
  for (const difference of moved) {
    if (named.has(difference)) continue
    const all = interchangedWith(
      difference,
      moved.filter((other) => !named.has(other)),
    )
    for (const each of all) named.add(each)
    found.push(all.length > 1 ? swapDifference(all, parts) : moveDifference(difference, parts))
  }
  return found
}

/** Conductors that took each other's places at one part, with those that moved along with them. */
function interchangedWith(entry: Moved, others: readonly Moved[]): readonly Moved[] {
  const crossed = others.filter(
    (other) => other !== entry && other.from === entry.to && other.to === entry.from,
  )
  if (crossed.length === 0) return [entry]
  const along = others.filter(
    (other) => other !== entry && other.from === entry.from && other.to === entry.to,
  )
  return [entry, ...crossed, ...along]
}

const SWAPPED: Readonly<Record<string, Difference['code']>> = {
  'line neutral': 'lineNeutralSwapped',
  'earth neutral': 'neutralEarthSwapped',
  'earth line': 'lineEarthSwapped',
}

function swapDifference(all: readonly Moved[], parts: PartIndex): Difference {
  const roles = [...new Set(all.map(({ want }) => roleOf(want.wire)))].sort().join(' ')
  const code = SWAPPED[roles]
  return {
    code: code ?? 'otherTerminal',
    seriousness: code ? 'critical' : 'fault',
    wire: all[0]!.is.wire.id,
    at: [...new Set(all.map(({ to, is }) => refAt(is.wire, to, parts)))],
    role: roleOf(all[0]!.want.wire),
    params: {},
  }
}

/** The terminal of a wire at this node. */
const refAt = (wire: Wire, node: string, parts: PartIndex): string =>
  nodeOf(parts, wire.from) === node ? wire.from : wire.to

function moveDifference(moved: Moved, parts: PartIndex): Difference {
  const { want, is, from, to } = moved
  const [code, seriousness] =
    atBars(moved, parts) ?? atWays(moved, parts) ?? atOtherCircuit(moved, parts) ?? elsewhere(moved, parts)
  return {
    code,
    seriousness,
    wire: is.wire.id,
    at: [refAt(is.wire, to, parts), from],
    role: roleOf(want.wire),
    params: {},
  }
}

type Judged = readonly [Difference['code'], Difference['seriousness']]

const servesOf = (part: Part | undefined) => (part?.kind === 'bar' ? part.serves : undefined)

function atBars({ want, to }: Moved, parts: PartIndex): Judged | undefined {
  const [role, serves] = [roleOf(want.wire), servesOf(parts.get(partIdOf(`${to}.`)))]
  if (role === 'neutral' && serves === 'N') return ['otherNeutralBar', 'fault']
  if (role === 'neutral' && serves === 'E') return ['neutralOnEarthBar', 'critical']
  return role === 'earth' && serves === 'N' ? ['earthOnNeutralBar', 'critical'] : undefined
}

const isWay = (part: Part | undefined): part is DevicePart => part?.kind === 'device' && part.role === 'way'

function atWays({ from, to }: Moved, parts: PartIndex): Judged | undefined {
  const [meant, now] = [parts.get(partIdOf(`${from}.`)), parts.get(partIdOf(`${to}.`))]
  if (!isWay(meant) || !isWay(now)) return undefined
  const isOtherWay = meant.id !== now.id && terminalNameOf(to) === terminalNameOf(from)
  return [isOtherWay ? 'otherWay' : 'otherLine', 'fault']
}

/**
 * Taken from a point of another circuit: every point works, and isolating the one leaves the conductor to the
 * other.
 */
function atOtherCircuit({ want, to, kept }: Moved, parts: PartIndex): Judged | undefined {
  const [own, other] = [parts.get(partIdOf(`${kept}.`))?.circuit, parts.get(partIdOf(`${to}.`))?.circuit]
  if (!own || !other || own === other) return undefined
  const role = roleOf(want.wire)
  if (role === 'neutral') return ['neutralFromOther', 'critical']
  return role === 'earth' ? ['earthFromOther', 'critical'] : undefined
}

/** Earth at a line or neutral terminal, or the other way round, can put a case at line voltage. */
function elsewhere({ from, to }: Moved, parts: PartIndex): Judged {
  const isEarthy = (node: string) => terminalNameOf(node) === 'E' || servesOf(parts.get(node)) === 'E'
  return ['otherTerminal', isEarthy(from) !== isEarthy(to) ? 'critical' : 'fault']
}
