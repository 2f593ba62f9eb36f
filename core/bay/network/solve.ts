import { ZERO, type Complex } from './complex'
import { currentsOf, largestShareA } from './currents'
import { beginElimination, comeBack, takeOut, type Elimination } from './eliminate'
import { floatingNodes } from './floating'
import { isSteady, ohmAt } from './laws'
import { movedNodes } from './moved-nodes'
import type { Element, Impedance, Law, Network, Source } from './network'
import { planFor, type Plan } from './plan'
import { copyInto, copyOf, stamp, stampAdmittance, type Stamped } from './stamp'
import { BALANCE_A, BALANCE_RELATIVE, BALANCE_ROUNDING, MOST_ROUNDS } from './tolerances'

/** What a network does: voltages against earth, V, and currents, A. */
export interface Solved {
  readonly ok: true
  /**
   * Voltage of a node against earth, V; of a floating part against one node of its own. Zero for a node that
   * is not there.
   */
  readonly volt: (node: string) => Complex
  /** Current through an element from `from` to `to`, A. Zero for one that is not there. */
  readonly ampere: (element: string) => Complex
  /** Nodes without any path to earth: only differences between them mean something. */
  readonly floating: ReadonlySet<string>
  /** Largest departure from Kirchhoff's current law at a node, A. */
  readonly residualA: number
}

export interface Unsolved {
  readonly ok: false
  readonly reason: 'shortCircuit' | 'notANumber' | 'twoOfOneName' | 'driven' | 'unsettled'
  /** The element or node to look at. */
  readonly name: string
}

/** Solves a network by taking out node after node. A given plan must be of the same names, nodes and joints. */
export function solve({ elements: given, hertz }: Network, plan: Plan = planFor(given)): Solved | Unsolved {
  if (plan.doubled !== null) return { ok: false, reason: 'twoOfOneName', name: plan.doubled }
  const wrong = wrongElement(given)
  if (wrong) return wrong
  const followers = followersOf(given, plan)
  const places = followers.map(({ i }) => i)
  const { still, moved } = movedNodes(plan, places)
  // What does not follow its voltage is written once, and what no follower moves is taken out once.
  const steady = stamp(given, plan, places)
  const elimination = beginElimination(plan)
  const isStillAdrift = takeOut(elimination, steady, plan, still)
  const now = followers.length === 0 ? steady : copyOf(steady)
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    if (round > 0) copyInto(steady, now)
    for (const { i, ohm } of followers) stampAdmittance(now, ohm, i, plan)
    const isAdrift = takeOut(elimination, now, plan, moved)
    comeBack(elimination, now, plan, moved)
    if (followVoltages(followers, elimination, plan, hertz)) continue
    comeBack(elimination, now, plan, still)
    return told(given, plan, now, elimination, isStillAdrift || isAdrift)
  }
  return { ok: false, reason: 'unsettled', name: given[places[0]!]!.name }
}

/** An element that follows its voltage, by its place in the list, and what it is taken for now. */
interface Follower {
  readonly i: number
  readonly law: Law
  ohm: Complex
}

function followersOf(elements: readonly Element[], plan: Plan): readonly Follower[] {
  const followers: Follower[] = []
  for (let i = 0; i < elements.length; i += 1) {
    const element = elements[i]!
    if (element.kind === 'impedance' && element.law && !element.isOpen && plan.edgeOf[i]! >= 0)
      followers.push({ i, law: element.law, ohm: element.ohm })
  }
  return followers
}

/** Each follower as it is at the voltage found; whether that is another than it was taken for. */
function followVoltages(
  followers: readonly Follower[],
  { vRe, vIm }: Elimination,
  { from, to }: Plan,
  hertz: number,
): boolean {
  let hasChanged = false
  for (const follower of followers) {
    const [a, b] = [from[follower.i]!, to[follower.i]!]
    const ohm = ohmAt(follower.law, Math.hypot(vRe[a]! - vRe[b]!, vIm[a]! - vIm[b]!), hertz, follower.ohm)
    if (isSteady(ohm, follower.ohm)) continue
    hasChanged = true
    follower.ohm = ohm
  }
  return hasChanged
}

/** The first element that no network can have, if there is one. */
function wrongElement(elements: readonly Element[]): Unsolved | undefined {
  for (const element of elements) {
    const value = element.kind === 'injection' ? element.ampere : element.ohm
    if (
      !Number.isFinite(value.re) ||
      !Number.isFinite(value.im) ||
      (element.kind === 'source' && !Number.isFinite(element.volt.re + element.volt.im))
    )
      return { ok: false, reason: 'notANumber', name: element.name }
    if (element.kind !== 'injection' && !element.isOpen && isShort(element))
      return { ok: false, reason: 'shortCircuit', name: element.name }
  }
  return undefined
}

/** No impedance at all, or one below zero that does not give. */
function isShort(element: Impedance | Source): boolean {
  const { re, im } = element.ohm
  const gives = element.kind === 'impedance' && element.gives === true
  return (re < 0 && !gives) || (re === 0 && im === 0)
}

/** Numbers back under their names, with Kirchhoff's current law checked at every node. */
function told(
  elements: readonly Element[],
  plan: Plan,
  stamped: Stamped,
  voltages: Elimination,
  hasAdrift: boolean,
): Solved | Unsolved {
  const { nodes, indexOf, placeOf } = plan
  const { vRe, vIm } = voltages
  const adrift = nodes.findIndex((_, k) => !Number.isFinite(vRe[k]! + vIm[k]!))
  if (adrift >= 0) return { ok: false, reason: 'notANumber', name: nodes[adrift]! }
  const { iRe, iIm, residualA, largestA } = currentsOf(elements, plan, stamped, voltages)
  const overA = residualA - BALANCE_A - BALANCE_RELATIVE * largestA
  // Only a current driven into a part that has no way out can leave this much over.
  if (overA > 0 && overA > BALANCE_ROUNDING * largestShareA(elements, plan, stamped, voltages))
    return { ok: false, reason: 'driven', name: [...floatingNodes(elements)][0] ?? nodes[0]! }
  // Spare terminals float in every bay; few ask which.
  let floating: ReadonlySet<string> | undefined
  return {
    ok: true,
    residualA,
    get floating() {
      return (floating ??= hasAdrift ? floatingNodes(elements) : new Set())
    },
    volt: (node) => {
      const k = indexOf.get(node)
      return k === undefined ? ZERO : { re: vRe[k]!, im: vIm[k]! }
    },
    ampere: (name) => {
      const i = placeOf.get(name)
      return i === undefined ? ZERO : { re: iRe[i]!, im: iIm[i]! }
    },
  }
}
