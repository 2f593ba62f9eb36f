import { angleDegrees, magnitude, type Complex } from './complex'
import { solve, type Solved } from './solve'
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
  const { hertz } = network
  const closed = network.elements.filter((element) => element.kind === 'injection' || !element.isOpen)
  const names = [...new Set(closed.flatMap(({ from, to }) => [from, to]))]
  const nodes = new Map(names.map((name, i) => [name, name === EARTH ? '0' : `n${i + 1}`]))
  const node = (name: string) => nodes.get(name)!
  const ammeters = new Map(
    closed.flatMap(({ kind, name }, i) => (kind === 'injection' ? [] : [[name, `vm${i + 1}`] as const])),
  )
  const lines = closed.flatMap((element, i) => elementLines({ element, k: i + 1, hertz, node, solved }))
  const references = referenceNodes(solved.floating, closed).flatMap((name, i) => [
    `* ${name} has no path to earth: the listing gives it one, which carries nothing`,
    `RF${i + 1} ${node(name)} 0 ${REFERENCE_OHM}`,
  ])
  const wanted = [
    ...names.filter((name) => name !== EARTH).map((name) => `v(${node(name)})`),
    ...[...ammeters.values()].map((name) => `i(${name})`),
  ]
  return { text: listing(title, [...lines, ...references], hertz, wanted), nodes, ammeters }
}

/** The network with every load as it settles, as it is listed. Throws for one that cannot be solved. */
export function settledNetwork(network: Network): Network {
  const solved = solve(network)
  if (!solved.ok) throw new Error(`not solved: ${solved.reason} at ${solved.name}`)
  const elements = network.elements.map((element): Element => {
    if (element.kind !== 'impedance' || !element.law) return element
    const { law: _, ...rest } = element
    return { ...rest, ohm: ohmOf(element, solved) }
  })
  return { ...network, elements }
}

interface ListedElement {
  readonly element: Element
  /** Its number in the listing. */
  readonly k: number
  readonly hertz: number
  readonly node: (name: string) => string
  readonly solved: Solved
}

/** An element with its ammeter in front; a source has its voltage between the two. */
function elementLines({ element, k, hertz, node, solved }: ListedElement): string[] {
  const [from, to] = [node(element.from), node(element.to)]
  const about = `* ${element.name}: ${element.from} to ${element.to}`
  if (element.kind === 'injection') return [about, `I${k} ${from} ${to} ${drive(hertz, element.ampere)}`]
  const isSource = element.kind === 'source'
  return [
    about,
    `VM${k} ${from} m${k} ${hertz === 0 ? 'DC 0' : 'DC 0 AC 0'}`,
    ...(isSource ? [`VE${k} e${k} m${k} ${drive(hertz, element.volt)}`] : []),
    ...impedance(k, [isSource ? `e${k}` : `m${k}`, to], ohmOf(element, solved), hertz),
  ]
}

const listing = (title: string, lines: readonly string[], hertz: number, wanted: readonly string[]): string =>
  [
    `${title} · training record, not an installation in service`,
    ...lines,
    '.options reltol=1e-9 abstol=1e-15 vntol=1e-12',
    '.control',
    'set numdgt=15',
    hertz === 0 ? 'op' : `ac lin 1 ${hertz} ${hertz}`,
    ...wanted.map((what) => `print ${what}`),
    '.endc',
    '.end',
    '',
  ].join('\n')

function drive(hertz: number, value: Complex): string {
  return hertz === 0 ? `DC ${value.re}` : `DC 0 AC ${magnitude(value)} ${angleDegrees(value)}`
}

/** Resistance and reactance in series; of a zero share nothing is written. */
function impedance(
  k: number,
  [from, to]: readonly [string, string],
  { re, im }: Complex,
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
  solved: Pick<Solved, 'volt' | 'ampere'>,
): Complex {
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
