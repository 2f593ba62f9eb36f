import type { Complex } from './complex'
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

/** What joins and drives the nodes, of one size with the other's, over it. */
export function copyInto({ yRe, yIm, jRe, jIm }: Stamped, other: Stamped): void {
  other.yRe.set(yRe)
  other.yIm.set(yIm)
  other.jRe.set(jRe)
  other.jIm.set(jIm)
}

/** A copy, for an elimination that uses it up; the admittances of elements are shared. */
export const copyOf = ({ elementRe, elementIm, yRe, yIm, jRe, jIm }: Stamped): Stamped => ({
  elementRe,
  elementIm,
  yRe: yRe.slice(),
  yIm: yIm.slice(),
  jRe: jRe.slice(),
  jIm: jIm.slice(),
})

/** Adds element `i`. */
function stampElement(stamped: Stamped, element: Element, i: number, plan: Plan): void {
  if (element.kind === 'injection') drive(stamped, i, plan, element.ampere.re, element.ampere.im)
  else if (!element.isOpen && plan.edgeOf[i]! >= 0) {
    stampAdmittance(stamped, element.ohm, i, plan)
    if (element.kind !== 'source') return
    const { re, im } = element.volt
    const [gRe, gIm] = [stamped.elementRe[i]!, stamped.elementIm[i]!]
    drive(stamped, i, plan, re * gRe - im * gIm, re * gIm + im * gRe)
  }
}

/** Adds what joins the nodes of element `i`, which is closed and between two nodes. */
export function stampAdmittance(
  { elementRe, elementIm, yRe, yIm }: Stamped,
  { re, im }: Complex,
  i: number,
  plan: Plan,
): void {
  const edge = plan.edgeOf[i]!
  const square = re * re + im * im
  const gRe = re / square
  const gIm = -im / square
  elementRe[i] = gRe
  elementIm[i] = gIm
  yRe[edge]! += gRe
  yIm[edge]! += gIm
}

/** Adds a current from the first node of element `i` into its second. */
function drive({ jRe, jIm }: Stamped, i: number, plan: Plan, re: number, im: number): void {
  const [from, to] = [plan.from[i]!, plan.to[i]!]
  jRe[from]! -= re
  jIm[from]! -= im
  jRe[to]! += re
  jIm[to]! += im
}
