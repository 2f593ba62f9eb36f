import type { Element } from './network'
import type { Plan } from './plan'

/** A network as numbers: what joins the nodes, S, and what drives them, A. */
export interface Stamped {
  /** Admittance of each element; zero where it is open or an injection. */
  readonly elementRe: Float64Array
  readonly elementIm: Float64Array
  /** Admittance between two nodes, over the plan's edges. */
  readonly yRe: Float64Array
  readonly yIm: Float64Array
  /** Current driven into each node. */
  readonly jRe: Float64Array
  readonly jIm: Float64Array
}

/**
 * Writes every element into the matrix, admittances on the edges, driving currents at its nodes; those in
 * `later` are left out for now.
 */
export function stamp(elements: readonly Element[], plan: Plan, later: readonly number[] = []): Stamped {
  const [edges, nodes, count] = [plan.edgeCount, plan.nodes.length, elements.length]
  const stamped: Stamped = {
    elementRe: new Float64Array(count),
    elementIm: new Float64Array(count),
    yRe: new Float64Array(edges),
    yIm: new Float64Array(edges),
    jRe: new Float64Array(nodes),
    jIm: new Float64Array(nodes),
  }
  let next = 0
  for (let i = 0; i < count; i += 1) {
    if (later[next] === i) next += 1
    else stampElement(stamped, elements[i]!, i, plan)
  }
  return stamped
}

/** A copy, for an elimination that uses it up. */
export const copyOf = ({ elementRe, elementIm, yRe, yIm, jRe, jIm }: Stamped): Stamped => ({
  elementRe: elementRe.slice(),
  elementIm: elementIm.slice(),
  yRe: yRe.slice(),
  yIm: yIm.slice(),
  jRe: jRe.slice(),
  jIm: jIm.slice(),
})

/** Adds element `i`. */
export function stampElement(
  { elementRe, elementIm, yRe, yIm, jRe, jIm }: Stamped,
  element: Element,
  i: number,
  plan: Plan,
): void {
  let driveRe = 0
  let driveIm = 0
  if (element.kind === 'injection') {
    driveRe = element.ampere.re
    driveIm = element.ampere.im
  } else {
    const edge = plan.edgeOf[i]!
    if (element.isOpen || edge < 0) return
    const { re, im } = element.ohm
    const square = re * re + im * im
    const gRe = re / square
    const gIm = -im / square
    elementRe[i] = gRe
    elementIm[i] = gIm
    yRe[edge]! += gRe
    yIm[edge]! += gIm
    if (element.kind !== 'source') return
    driveRe = element.volt.re * gRe - element.volt.im * gIm
    driveIm = element.volt.re * gIm + element.volt.im * gRe
  }
  const [from, to] = [plan.from[i]!, plan.to[i]!]
  jRe[from]! -= driveRe
  jIm[from]! -= driveIm
  jRe[to]! += driveRe
  jIm[to]! += driveIm
}
