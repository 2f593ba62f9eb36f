import { ZERO, type Complex } from './complex'
import { eliminate, type Voltages } from './eliminate'
import { floatingNodes } from './floating'
import { isSteady, ohmAt } from './laws'
import type { Element, Impedance, Network, Source } from './network'
import { planFor, type Plan } from './plan'
import { currentsOf, largestShareA } from './currents'
import { copyOf, stamp, stampElement, type Stamped } from './stamp'
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
  const lawful: number[] = []
  for (let i = 0; i < given.length; i += 1) {
    const element = given[i]!
    if (element.kind === 'impedance' && element.law && !element.isOpen) lawful.push(i)
  }
  const elements = lawful.length === 0 ? given : [...given]
  // What does not follow its voltage is written once.
  const steady = stamp(given, plan, lawful)
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const stamped = copyOf(steady)
    for (const i of lawful) stampElement(stamped, elements[i]!, i, plan)
    const voltages = eliminate(stamped, plan)
    let isSettled = true
    for (const i of lawful) {
      const element = elements[i]! as Extract<Element, { kind: 'impedance' }>
      const [from, to] = [plan.from[i]!, plan.to[i]!]
      const ohm = ohmAt(
        element.law!,
        Math.hypot(voltages.vRe[from]! - voltages.vRe[to]!, voltages.vIm[from]! - voltages.vIm[to]!),
        hertz,
        element.ohm,
      )
      if (isSteady(ohm, element.ohm)) continue
      isSettled = false
      ;(elements as Element[])[i] = { ...element, ohm }
    }
    if (isSettled) return told(elements, plan, stamped, voltages)
  }
  return { ok: false, reason: 'unsettled', name: given[lawful[0]!]!.name }
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
  voltages: Voltages,
): Solved | Unsolved {
  const { nodes, indexOf, placeOf } = plan
  const { vRe, vIm, hasAdrift } = voltages
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
