import { bySeriousness } from '../../findings/seriousness'
import type { Rig, Wire } from '../model/rig'
import { indexParts, partIdOf } from '../model/terminals'
import { boardDifferences } from './boards'
import { conductorDifferences } from './conductor'
import { deviceDifferences } from './devices'
import type { Difference } from './difference'
import { edgesOf, roleOf, type Edge } from './edges'
import { netsOf, sameJoints } from './joints'
import { movedDifferences } from './moved'
import { pairUp } from './pair'

/**
 * What is built against what was meant. Which terminal of a bar, which end of a ring and which way round a conductor was
 * written down do not matter; every other difference is named, the dangerous ones first.
 */
export function compareRigs(intended: Rig, built: Rig): Difference[] {
  const { missing, left, inPlace } = matched(intended, built)
  // Points joined in another order: every node still has what it had, and a ring is still one.
  const isOrderAlone =
    missing.length > 0 &&
    missing.length === left.length &&
    !left.some((edge) => joinsCircuits(intended, edge)) &&
    sameJoints(intended, built)
  return [
    ...inPlace.flatMap(([want, is]) => conductorDifferences(want, is)),
    ...(isOrderAlone ? [otherOrder(missing, left)] : misplaced(intended, missing, left)),
    ...deviceDifferences(intended, built),
    ...boardDifferences(intended, built),
  ].sort(bySeriousness)
}

interface Matched {
  readonly missing: readonly Edge[]
  readonly left: readonly Edge[]
  readonly inPlace: readonly (readonly [Wire, Wire])[]
}

/** Conductors that are where they belong, whatever they are called, and those that are not. */
function matched(intended: Rig, built: Rig): Matched {
  const left = edgesOf(built, indexParts(built))
  const inPlace: (readonly [Wire, Wire])[] = []
  const missing = edgesOf(intended, indexParts(intended)).filter((want) => {
    const i = left.findIndex(({ a, b }) => a === want.a && b === want.b)
    if (i === -1) return true
    inPlace.push([want.wire, left.splice(i, 1)[0]!.wire])
    return false
  })
  return { missing, left, inPlace }
}

const otherOrder = (missing: readonly Edge[], left: readonly Edge[]): Difference => ({
  code: 'otherOrder',
  seriousness: 'note',
  wire: left[0]!.wire.id,
  at: left.flatMap(({ wire }) => [wire.from, wire.to]),
  role: roleOf(missing[0]!.wire),
  params: { count: left.length },
})

/** A conductor from a point of one circuit to a point of another. */
function joinsCircuits(rig: Rig, { wire }: Edge): boolean {
  const parts = indexParts(rig)
  const [a, b] = [wire.from, wire.to].map((ref) => parts.get(partIdOf(ref))?.circuit ?? null)
  return a !== null && b !== null && a !== b
}

/** What is missing and what is left over belong together where they share an end. */
function misplaced(intended: Rig, missing: readonly Edge[], left: readonly Edge[]): Difference[] {
  const parts = indexParts(intended)
  const nets = netsOf(intended, parts)
  const pairs = pairUp(missing, left, parts)
  return [
    ...movedDifferences(
      pairs.filter((pair) => pair.kind === 'moved'),
      parts,
    ),
    ...missingDifferences(
      intended,
      pairs.flatMap((pair) => (pair.kind === 'missing' ? [pair.want] : [])),
    ),
    ...pairs.flatMap((pair) => (pair.kind === 'extra' ? [extraDifference(pair.is, nets)] : [])),
  ]
}

/** Circuits of which nothing is there yet are told once; in the others each missing conductor by itself. */
function missingDifferences(intended: Rig, missing: readonly Edge[]): Difference[] {
  const runs = new Set(missing.flatMap(({ wire }) => wire.run ?? []))
  const isUntouched = (run: string) =>
    intended.wires.filter((wire) => wire.run === run).length ===
    missing.filter(({ wire }) => wire.run === run).length
  const untouched = new Set([...runs].filter(isUntouched))
  return [
    ...[...untouched].map((run): Difference => ({
      code: 'unfinished',
      seriousness: 'fault',
      wire: null,
      at: intended.wires.filter((wire) => wire.run === run).flatMap(({ from, to }) => [from, to]),
      role: null,
      params: {
        circuit: intended.runs.find(({ id }) => id === run)?.name ?? run,
        count: missing.filter(({ wire }) => wire.run === run).length,
      },
    })),
    ...missing.filter(({ wire }) => !untouched.has(wire.run ?? '')).map(missingDifference),
  ]
}

/** Without its protective conductor a circuit works and can kill; without line or neutral it is not finished. */
const missingDifference = ({ wire }: Edge): Difference => ({
  code: 'missing',
  seriousness: roleOf(wire) === 'earth' ? 'critical' : 'fault',
  wire: null,
  at: [wire.from, wire.to],
  role: roleOf(wire),
  params: {},
})

/** A left-over conductor is worse where it joins two things that the intended bay keeps apart. */
function extraDifference({ wire, a, b }: Edge, nets: ReadonlyMap<string, string>): Difference {
  const isBridge = nets.get(a) !== nets.get(b)
  return {
    code: isBridge ? 'bridge' : 'extra',
    seriousness: isBridge ? 'critical' : 'fault',
    wire: wire.id,
    at: [wire.from, wire.to],
    role: roleOf(wire),
    params: {},
  }
}
