import { ZERO, magnitude, subtract, type Complex } from './complex'
import { sizeOf } from './fronts'
import { frontAt, elementAt, type Layer, type Placed } from './layers'
import type { Element } from './network'

/** A current driven from one node to another from outside, A. */
export interface Injected {
  readonly from: string
  readonly to: string
  readonly ampere: Complex
}

/** What is asked of a network: voltages against earth, V, and currents, A; each worked out when it is asked. */
export interface Answers {
  readonly volt: (node: string) => Complex
  readonly ampere: (element: string) => Complex
}

/** This much of a driven current may be left over by rounding; more has no way out. */
const LEFT_OVER = 1e-4

/**
 * Voltages and currents with what is driven from outside, over the sources or alone. Undefined where a current is driven
 * into a part that has no way out.
 */
export function answer(
  layer: Layer,
  injected: readonly Injected[],
  withSources: boolean,
): Answers | undefined {
  const driven = carryOn(layer, injected)
  if (!driven) return undefined
  const volts = new Map<number, Complex>([[layer.earth, ZERO]])
  function voltAt(rank: number): Complex {
    const known = volts.get(rank)
    if (known) return known
    const front = frontAt(layer, rank)
    const square = front ? front.dRe * front.dRe + front.dIm * front.dIm : 0
    if (!front || square === 0) return ZERO
    const outside = driven!.get(rank) ?? ZERO
    let re = outside.re + (withSources ? front.jRe : 0)
    let im = outside.im + (withSources ? front.jIm : 0)
    const { near, store, at, isReal, dRe, dIm } = front
    const imaginary = at + sizeOf(near.length)
    for (let i = 0; i < near.length; i += 1) {
      const v = voltAt(near[i]!)
      const [yRe, yIm] = [store[at + i]!, isReal ? 0 : store[imaginary + i]!]
      re += yRe * v.re - yIm * v.im
      im += yRe * v.im + yIm * v.re
    }
    const volt = { re: (re * dRe + im * dIm) / square, im: (im * dRe - re * dIm) / square }
    volts.set(rank, volt)
    return volt
  }
  const volt = (node: string): Complex => {
    const rank = layer.rankOf(node)
    return rank === undefined ? ZERO : voltAt(rank)
  }
  return {
    volt,
    ampere: (name) => {
      const one = elementAt(layer, name)
      return one ? currentOf(one, voltAt(one.from), voltAt(one.to), withSources) : ZERO
    },
  }
}

function currentOf(
  { gRe, gIm, driveRe, driveIm }: Placed,
  a: Complex,
  b: Complex,
  withSources: boolean,
): Complex {
  const [re, im] = [a.re - b.re, a.im - b.im]
  return {
    re: re * gRe - im * gIm + (withSources ? driveRe : 0),
    im: re * gIm + im * gRe + (withSources ? driveIm : 0),
  }
}

/** Less than this share of the voltage between the probes is none. */
const UNFELT = 1e-10

/**
 * Would these elements, gone or put in, change what is answered between two nodes? Where none has a voltage across it,
 * none carries a current, and all stays as it is. Only for what is driven from outside, without the sources.
 */
export function isFelt(
  layer: Layer,
  { gone, put }: { readonly gone: readonly string[]; readonly put: readonly Element[] },
  { volt }: Answers,
  between: readonly [string, string],
): boolean {
  const across = (from: string, to: string) => magnitude(subtract(volt(from), volt(to)))
  const limit = UNFELT * across(...between)
  const isJoinedNode = (node: string): boolean => {
    const rank = layer.rankOf(node)
    const front = rank === undefined ? undefined : frontAt(layer, rank)
    return rank === layer.earth || (front !== undefined && (front.dRe !== 0 || front.dIm !== 0))
  }
  return (
    gone.some((name) => {
      const old = elementAt(layer, name)?.element
      return old !== undefined && across(old.from, old.to) > limit
    }) ||
    put.some((element) => {
      const old = elementAt(layer, element.name)?.element
      if (old && across(old.from, old.to) > limit) return true
      if (element.kind === 'injection' || element.isOpen) return false
      const { from, to } = element
      return !isJoinedNode(from) || !isJoinedNode(to) || across(from, to) > limit
    })
  )
}

/** What reaches each node on the way to the end of the order, A; undefined where it has nowhere to go. */
function carryOn(layer: Layer, injected: readonly Injected[]): ReadonlyMap<number, Complex> | undefined {
  const driven = new Map<number, { re: number; im: number }>()
  const waiting: number[] = []
  let most = 0
  const put = (rank: number, re: number, im: number): void => {
    if (rank === layer.earth) return
    const known = driven.get(rank)
    if (known) {
      known.re += re
      known.im += im
      return
    }
    driven.set(rank, { re, im })
    let at = waiting.length
    while (at > 0 && waiting[at - 1]! < rank) at -= 1
    waiting.splice(at, 0, rank)
  }
  for (const { from, to, ampere } of injected) {
    const [a, b] = [layer.rankOf(from), layer.rankOf(to)]
    // A node that nothing is joined to takes no current.
    if (a === undefined || b === undefined) {
      if (from !== to && (ampere.re !== 0 || ampere.im !== 0)) return undefined
      continue
    }
    most = Math.max(most, Math.abs(ampere.re), Math.abs(ampere.im))
    put(a, -ampere.re, -ampere.im)
    put(b, ampere.re, ampere.im)
  }
  for (let rank = waiting.pop(); rank !== undefined; rank = waiting.pop()) {
    const { re, im } = driven.get(rank)!
    const front = frontAt(layer, rank)
    const square = front ? front.dRe * front.dRe + front.dIm * front.dIm : 0
    if (!front || square === 0) {
      if (Math.abs(re) + Math.abs(im) > LEFT_OVER * most) return undefined
      continue
    }
    const { near, store, at, isReal, dRe, dIm } = front
    const imaginary = at + sizeOf(near.length)
    for (let i = 0; i < near.length; i += 1) {
      const [yRe, yIm] = [store[at + i]!, isReal ? 0 : store[imaginary + i]!]
      const shareRe = (yRe * dRe + yIm * dIm) / square
      const shareIm = (yIm * dRe - yRe * dIm) / square
      put(near[i]!, shareRe * re - shareIm * im, shareRe * im + shareIm * re)
    }
  }
  return driven
}
