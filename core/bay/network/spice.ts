import { angleDegrees, magnitude } from './complex'
import { solve } from './solve'
import { EARTH, type Element, type Network } from './network'

/** Joins a floating part to earth in the listing, Ω, since a simulator wants every node referred. */
const REFERENCE_OHM = 1e12
/** A reactance below this share of the resistance is rounding. */
const ROUNDING = 1e-9

export interface SpiceListing {
  readonly text: string
  /** The simulator's name of each node. */
  readonly nodes: ReadonlyMap<string, string>
  /** The simulator's name of the ammeter in each element that has one, its current taken from `from` to `to`. */
  readonly ammeters: ReadonlyMap<string, string>
}

/**
 * The network as a SPICE netlist: at 50 Hz an .ac analysis of one frequency, at 0 Hz an operating point. Every element gets an
 * ammeter of 0 V. Loads that follow their voltage stand as they are at the operating point; open contacts are left out.
 * Undefined for a network that cannot be solved.
 */
export function spiceListing(network: Network, title: string): SpiceListing | undefined {
  const solved = solve(network)
  if (!solved.ok) return undefined
  const closed = network.elements.filter((element) => element.kind === 'injection' || !element.isOpen)
  const names = [...new Set(closed.flatMap(({ from, to }) => [from, to]))]
  const nodes = new Map(names.map((name, i) => [name, name === EARTH ? '0' : `n${i + 1}`]))
  const node = (name: string) => nodes.get(name)!
  const ammeters = new Map<string, string>()
  const lines: string[] = []
  closed.forEach((element, i) => {
    const k = i + 1
    lines.push(`* ${element.name}: ${element.from} to ${element.to}`)
    if (element.kind === 'injection') {
      lines.push(`I${k} ${node(element.from)} ${node(element.to)} ${drive(network.hertz, element.ampere)}`)
      return
    }
    ammeters.set(element.name, `vm${k}`)
    lines.push(`VM${k} ${node(element.from)} m${k} ${network.hertz === 0 ? 'DC 0' : 'DC 0 AC 0'}`)
    let at = `m${k}`
    if (element.kind === 'source') {
      lines.push(`VE${k} e${k} ${at} ${drive(network.hertz, element.volt)}`)
      at = `e${k}`
    }
    lines.push(...impedance(k, at, node(element.to), ohmOf(element, solved), network.hertz))
  })
  const islands = referenceNodes(solved.floating, closed)
  islands.forEach((name, i) =>
    lines.push(
      `* ${name} has no path to earth: the listing gives it one, which carries nothing`,
      `RF${i + 1} ${node(name)} 0 ${REFERENCE_OHM}`,
    ),
  )
  const analysis = network.hertz === 0 ? 'op' : `ac lin 1 ${network.hertz} ${network.hertz}`
  const wanted = [
    ...names.filter((name) => name !== EARTH).map((name) => `v(${node(name)})`),
    ...[...ammeters.values()].map((name) => `i(${name})`),
  ]
  return {
    text: [
      `${title} · training record, not an installation in service`,
      ...lines,
      '.options reltol=1e-9 abstol=1e-15 vntol=1e-12',
      '.control',
      'set numdgt=15',
      analysis,
      ...wanted.map((what) => `print ${what}`),
      '.endc',
      '.end',
      '',
    ].join('\n'),
    nodes,
    ammeters,
  }
}

function drive(hertz: number, value: { re: number; im: number }): string {
  return hertz === 0 ? `DC ${value.re}` : `DC 0 AC ${magnitude(value)} ${angleDegrees(value)}`
}

/** Resistance and reactance in series; of a zero share nothing is written. */
function impedance(
  k: number,
  from: string,
  to: string,
  { re, im }: { re: number; im: number },
  hertz: number,
): string[] {
  const reactance = hertz === 0 ? 0 : im
  if (reactance === 0) return [`R${k} ${from} ${to} ${re}`]
  const omega = 2 * Math.PI * hertz
  const reactive = (a: string) =>
    reactance > 0 ? `L${k} ${a} ${to} ${reactance / omega}` : `C${k} ${a} ${to} ${-1 / (omega * reactance)}`
  return re === 0 ? [reactive(from)] : [`R${k} ${from} x${k} ${re}`, reactive(`x${k}`)]
}

/** What an element is at the operating point: its own figure, or where its law has settled. */
function ohmOf(
  element: Exclude<Element, { kind: 'injection' }>,
  solved: {
    volt: (node: string) => { re: number; im: number }
    ampere: (name: string) => { re: number; im: number }
  },
) {
  if (element.kind !== 'impedance' || !element.law) return element.ohm
  const current = solved.ampere(element.name)
  const square = current.re ** 2 + current.im ** 2
  const [from, to] = [solved.volt(element.from), solved.volt(element.to)]
  const [re, im] = [from.re - to.re, from.im - to.im]
  if (square === 0) return element.ohm
  const ohm = {
    re: (re * current.re + im * current.im) / square,
    im: (im * current.re - re * current.im) / square,
  }
  // Rounding must not turn into a capacitor of many farads.
  return Math.abs(ohm.im) < ROUNDING * Math.abs(ohm.re) ? { re: ohm.re, im: 0 } : ohm
}

/** One node of each floating part. */
function referenceNodes(floating: ReadonlySet<string>, elements: readonly Element[]): string[] {
  const left = new Set(floating)
  const first: string[] = []
  while (left.size > 0) {
    const [start] = left
    first.push(start!)
    const part = new Set([start!])
    for (const node of part)
      for (const { from, to, kind } of elements)
        if (kind !== 'injection' && (from === node || to === node)) part.add(from === node ? to : from)
    part.forEach((node) => left.delete(node))
  }
  return first
}
