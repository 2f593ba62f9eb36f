import type { Elimination } from './eliminate'
import type { Element } from './network'
import type { Plan } from './plan'
import type { Stamped } from './stamp'

export interface Currents {
  /** Through each element from `from` to `to`, A. */
  readonly iRe: Float64Array
  readonly iIm: Float64Array
  /** Largest departure from Kirchhoff's current law at a node, A. */
  readonly residualA: number
  /** Largest current of an element, A. */
  readonly largestA: number
}

/**
 * Currents of all elements from the voltages of their nodes. Plain loops: this runs for every cause that a
 * diagnosis tries.
 */
export function currentsOf(
  elements: readonly Element[],
  { nodes, from, to }: Plan,
  { elementRe, elementIm }: Stamped,
  { vRe, vIm }: Pick<Elimination, 'vRe' | 'vIm'>,
): Currents {
  const [iRe, iIm] = [new Float64Array(elements.length), new Float64Array(elements.length)]
  const [leftRe, leftIm] = [new Float64Array(nodes.length), new Float64Array(nodes.length)]
  let largestA = 0
  for (let i = 0; i < elements.length; i += 1) {
    const element = elements[i]!
    const [a, b] = [from[i]!, to[i]!]
    if (element.kind === 'injection') {
      iRe[i] = element.ampere.re
      iIm[i] = element.ampere.im
    } else {
      const isSource = element.kind === 'source'
      const acrossRe = vRe[a]! - vRe[b]! + (isSource ? element.volt.re : 0)
      const acrossIm = vIm[a]! - vIm[b]! + (isSource ? element.volt.im : 0)
      iRe[i] = acrossRe * elementRe[i]! - acrossIm * elementIm[i]!
      iIm[i] = acrossRe * elementIm[i]! + acrossIm * elementRe[i]!
    }
    largestA = Math.max(largestA, Math.abs(iRe[i]!), Math.abs(iIm[i]!))
    leftRe[a]! -= iRe[i]!
    leftIm[a]! -= iIm[i]!
    leftRe[b]! += iRe[i]!
    leftIm[b]! += iIm[i]!
  }
  return { iRe, iIm, residualA: largestLeft(leftRe, leftIm), largestA }
}

/**
 * Largest current that one end of an element would drive by itself, A: what rounding is measured by. Looked at only
 * where currents do not balance, since a diagnosis solves thousands of networks that do.
 */
export function largestShareA(
  elements: readonly Element[],
  { from, to }: Plan,
  { elementRe, elementIm }: Stamped,
  { vRe, vIm }: Pick<Elimination, 'vRe' | 'vIm'>,
): number {
  const volt = (node: number): number => Math.hypot(vRe[node]!, vIm[node]!)
  let largest = 0
  for (let i = 0; i < elements.length; i += 1) {
    if (elements[i]!.kind === 'injection') continue
    const siemens = Math.hypot(elementRe[i]!, elementIm[i]!)
    largest = Math.max(largest, siemens * (volt(from[i]!) + volt(to[i]!)))
  }
  return largest
}

/** Earth, the last node, closes every balance by itself. */
function largestLeft(leftRe: Float64Array, leftIm: Float64Array): number {
  let square = 0
  for (let k = 0; k < leftRe.length - 1; k += 1)
    square = Math.max(square, leftRe[k]! * leftRe[k]! + leftIm[k]! * leftIm[k]!)
  return Math.sqrt(square)
}
