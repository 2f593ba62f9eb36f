import type { PairReading } from '../../bay/instruments/kept-network'
import { networkOf } from '../../bay/behaviour/network-of'
import type { BayState } from '../../bay/behaviour/state'
import { prepare, type Setup } from '../../bay/instruments/setup'
import type { Rig } from '../../bay/model/rig'
import { indexParts, nodeOf } from '../../bay/model/terminals'
import { magnitude, real, subtract } from '../../bay/network/complex'
import type { Element } from '../../bay/network/network'
import { planFor, type Plan } from '../../bay/network/plan'
import { solve, type Solved } from '../../bay/network/solve'

/** Small, so that nothing is driven far. */
const PROBE_A = 1e-3

interface BenchAt {
  readonly rig: Rig
  readonly state: BayState
  readonly setup: Setup
  /** 0 for direct current. */
  readonly hertz: number
}

type Pair = readonly [string, string]

/**
 * Impedances between pairs of terminals of one set-up: one plan, and for each pair one ampere in at one side
 * and out at the other.
 */
export function impedances({ rig, state, setup, hertz }: BenchAt, pairs: readonly Pair[]): PairReading[] {
  const bench = prepare(rig, state, setup)
  const parts = indexParts(bench.rig)
  const node = (ref: string) => nodeOf(parts, ref)
  const probe = (name: string, [from, to]: Pair, ampere = 0): Element => ({
    kind: 'injection',
    name,
    from: node(from),
    to: node(to),
    ampere: real(ampere),
  })
  const network = networkOf(bench.rig, state, { hertz, conductorC: 20, add: bench.links })
  // Every probed node must be in the plan, joined to anything or not.
  const fixed = [...network.elements, ...pairs.map((pair, i) => probe(`present ${i}`, pair))]
  const plan = planOf([...fixed, probe('probe', pairs[0]!)])
  const solveAt = (pair: Pair, ampere: number): Solved | undefined => {
    const [from, to] = [plan.from.slice(), plan.to.slice()]
    from[fixed.length] = plan.indexOf.get(node(pair[0]))!
    to[fixed.length] = plan.indexOf.get(node(pair[1]))!
    const result = solve({ hertz, elements: [...fixed, probe('probe', pair, ampere)] }, { ...plan, from, to })
    return result.ok ? result : undefined
  }
  const rest = hertz === 0 ? undefined : solveAt(pairs[0]!, 0)
  const across = (solved: Solved, [at, to]: Pair) => subtract(solved.volt(node(at)), solved.volt(node(to)))
  return pairs.map((pair) => {
    const solved = solveAt(pair, PROBE_A)
    const volt = solved && across(solved, pair)
    const driven = volt && rest ? subtract(volt, across(rest, pair)) : volt
    return {
      ohm: driven ? magnitude(driven) / PROBE_A : Infinity,
      openV: rest ? magnitude(across(rest, pair)) : 0,
    }
  })
}

/** Bays that differ only in how strongly their nodes are joined have one plan: a loose screw, a longer run. */
const PLANS = new Map<string, Plan>()
const MOST_PLANS = 400

function planOf(elements: readonly Element[]): Plan {
  let key = ''
  for (const { name, from, to } of elements) key += `${name} ${from} ${to}|`
  const known = PLANS.get(key)
  if (known) return known
  if (PLANS.size >= MOST_PLANS) PLANS.clear()
  const plan = planFor(elements)
  PLANS.set(key, plan)
  return plan
}
