/*
 * The network solver against ngspice (39, from Debian's packages), on netlists written by hand beside the same network as
 * data. Where a formula of the trade gives the answer too, it stands in the case. Voltages and currents agree to 1e-9.
 */
import { describe, expect, it } from 'vitest'
import { magnitude, phasor, real, subtract, type Complex } from '#core/bay/network/complex'
import type { Element } from '#core/bay/network/network'
import { solve } from '#core/bay/network/solve'
import { spiceListing } from '#core/bay/network/spice'
import { handWritten, runSpice } from '../support/spice'

const RELATIVE = 1e-9
/** Below this a voltage or current of these networks is rounding: V or A. */
const ABSOLUTE = 1e-9

const r = (name: string, from: string, to: string, ohm: number, x = 0): Element => ({
  kind: 'impedance',
  name,
  from,
  to,
  ohm: { re: ohm, im: x },
})
const v = (name: string, from: string, to: string, volt: Complex | number, ohm: number): Element => ({
  kind: 'source',
  name,
  from,
  to,
  volt: typeof volt === 'number' ? real(volt) : volt,
  ohm: real(ohm),
})
const earth = 'earth'
const range = (n: number) => Array.from({ length: n }, (_, i) => i)

interface Case {
  readonly name: string
  readonly hertz: number
  readonly elements: readonly Element[]
  readonly spice: readonly string[]
  /** What the trade's own formula gives, as a check that both are the right network: [node, V]. */
  readonly formula?: readonly [string, number]
}

/**
 * A ring of 1.5/1.0-like legs, 30 m all round, cross-connected line to cpc; 1 A driven in at socket k reads
 * (r1 + r2)/4.
 */
const crossConnected = (k: number): Case => {
  const [r1, r2, sockets] = [0.3, 0.3, 5]
  const legs = range(sockets + 1)
  const names = ['a', ...range(sockets).map((i) => String(i + 1)), 'b']
  const at = (prefix: string, i: number) => `${prefix}${names[i]}`
  return {
    name: `ring cross-connected, read at socket ${k}`,
    hertz: 0,
    elements: [
      ...legs.flatMap((i) => [
        r(`l${i}`, at('l', i), at('l', i + 1), r1 / (sockets + 1)),
        r(`e${i}`, at('e', i), at('e', i + 1), r2 / (sockets + 1)),
      ]),
      r('x1', 'la', 'eb', 1e-6),
      r('x2', 'lb', 'ea', 1e-6),
      r('ref', 'ea', earth, 1),
      { kind: 'injection', name: 'meter', from: `e${k}`, to: `l${k}`, ampere: real(1) },
    ],
    spice: [
      ...legs.flatMap((i) => [
        `Rl${i} ${at('l', i)} ${at('l', i + 1)} ${r1 / (sockets + 1)}`,
        `Re${i} ${at('e', i)} ${at('e', i + 1)} ${r2 / (sockets + 1)}`,
      ]),
      'Rx1 la eb 1u',
      'Rx2 lb ea 1u',
      'Rref ea 0 1',
      `Imeter e${k} l${k} DC 1`,
    ],
  }
}

const threePhase: Element[] = [0, -120, 120].map((angle, i) =>
  v(`g${i + 1}`, 'star', `l${i + 1}`, phasor(230, angle), 0.05),
)
const threePhaseSpice = [0, -120, 120].flatMap((angle, i) => [
  `Vg${i + 1} s${i + 1} star AC 230 ${angle}`,
  `Rg${i + 1} s${i + 1} l${i + 1} 0.05`,
])

const CASES: readonly Case[] = [
  {
    name: 'divider',
    hertz: 0,
    elements: [v('g', earth, 'a', 12, 1), r('u', 'a', 'b', 2), r('d', 'b', earth, 3)],
    spice: ['Vg g 0 12', 'Rg g a 1', 'Ru a b 2', 'Rd b 0 3'],
    formula: ['b', 6],
  },
  ...[1, 2, 3, 4, 5].map(crossConnected),
  {
    name: 'three insulation resistances in parallel',
    hertz: 0,
    elements: [
      v('g', earth, 'l', 500, 0.5e6),
      r('c1', 'l', earth, 20e6),
      r('c2', 'l', earth, 50e6),
      r('c3', 'l', earth, 2e6),
    ],
    spice: ['Vg g 0 500', 'Rg g l 500k', 'Rc1 l 0 20meg', 'Rc2 l 0 50meg', 'Rc3 l 0 2meg'],
    formula: ['l', (500 * 1) / (1 + 0.5e6 * (1 / 20e6 + 1 / 50e6 + 1 / 2e6))],
  },
  {
    name: 'cpc and steel conduit as parallel earth paths in a fault',
    hertz: 50,
    elements: [
      v('g', 'star', 'l', 230, 0.1),
      r('line', 'l', 'f', 0.36),
      r('fault', 'f', 'case', 0.02),
      r('cpc', 'case', 'met', 0.6),
      r('steel', 'case', 'met', 0.15),
      r('main', 'met', 'star', 0.2),
      r('src', 'star', earth, 5),
      r('pipe', 'met', earth, 12),
    ],
    spice: [
      'Vg g star AC 230',
      'Rg g l 0.1',
      'Rline l f 0.36',
      'Rfault f case 0.02',
      'Rcpc case met 0.6',
      'Rsteel case met 0.15',
      'Rmain met star 0.2',
      'Rsrc star 0 5',
      'Rpipe met 0 12',
    ],
  },
  {
    name: 'neutral touching earth: load current splits at the board',
    hertz: 50,
    elements: [
      v('g', 'star', 'l', 230, 0.1),
      r('load', 'l', 'nb', 23),
      r('neutral', 'nb', 'star', 0.08),
      r('touch', 'nb', 'met', 0.3),
      r('main', 'met', 'star', 0.2),
      r('src', 'star', earth, 1),
    ],
    spice: [
      'Vg g star AC 230',
      'Rg g l 0.1',
      'Rload l nb 23',
      'Rneutral nb star 0.08',
      'Rtouch nb met 0.3',
      'Rmain met star 0.2',
      'Rsrc star 0 1',
    ],
  },
  {
    name: 'borrowed neutral: one lamp returns over the other circuit',
    hertz: 50,
    elements: [
      v('g', earth, 'l', 230, 0.2),
      r('c1', 'l', 'p1', 0.3),
      r('lamp1', 'p1', 'n2', 529),
      r('c2', 'l', 'p2', 0.4),
      r('lamp2', 'p2', 'n2', 882),
      r('n2', 'n2', 'bar', 0.4),
      r('bar', 'bar', earth, 0.05),
    ],
    spice: [
      'Vg g 0 AC 230',
      'Rg g l 0.2',
      'Rc1 l p1 0.3',
      'Rlamp1 p1 n2 529',
      'Rc2 l p2 0.4',
      'Rlamp2 p2 n2 882',
      'Rn2 n2 bar 0.4',
      'Rbar bar 0 0.05',
    ],
  },
  {
    name: 'broken neutral: the far side stands at line voltage',
    hertz: 50,
    elements: [v('g', earth, 'l', 230, 0.2), r('lamp', 'l', 'n', 529), r('meter', 'n', earth, 1e6)],
    spice: ['Vg g 0 AC 230', 'Rg g l 0.2', 'Rlamp l n 529', 'Rmeter n 0 1meg'],
    formula: ['n', (230 * 1e6) / (1e6 + 529.2)],
  },
  {
    name: 'lost neutral on three unequal phases',
    hertz: 50,
    elements: [
      ...threePhase,
      r('star', 'star', earth, 0.5),
      r('a', 'l1', 'n', 23),
      r('b', 'l2', 'n', 53),
      r('c', 'l3', 'n', 230),
      r('leak', 'n', earth, 1e6),
    ],
    spice: [
      ...threePhaseSpice,
      'Rstar star 0 0.5',
      'Ra l1 n 23',
      'Rb l2 n 53',
      'Rc l3 n 230',
      'Rleak n 0 1meg',
    ],
  },
  {
    name: 'balanced star: nothing in the neutral',
    hertz: 50,
    elements: [
      ...threePhase,
      r('star', 'star', earth, 0.5),
      ...[1, 2, 3].map((i) => r(`z${i}`, `l${i}`, 'n', 20, 9)),
      r('n', 'n', 'star', 0.3),
    ],
    spice: [
      ...threePhaseSpice,
      'Rstar star 0 0.5',
      ...[1, 2, 3].flatMap((i) => [`Rz${i} l${i} m${i} 20`, `Lz${i} m${i} n ${9 / (2 * Math.PI * 50)}`]),
      'Rn n star 0.3',
    ],
    formula: ['n', 0],
  },
  {
    name: 'distributed load along a radial',
    hertz: 50,
    elements: [
      v('g', earth, 'p0', 230, 0.25),
      ...range(8).flatMap((i) => [
        r(`leg${i}`, `p${i}`, `p${i + 1}`, 0.06),
        r(`at${i}`, `p${i + 1}`, earth, 184),
      ]),
    ],
    spice: [
      'Vg g 0 AC 230',
      'Rg g p0 0.25',
      ...range(8).flatMap((i) => [`Rleg${i} p${i} p${i + 1} 0.06`, `Rat${i} p${i + 1} 0 184`]),
    ],
  },
  {
    name: 'motor and capacitor at 50 Hz',
    hertz: 50,
    elements: [
      v('g', earth, 'l', 230, 0.1),
      r('motor', 'l', earth, 18, 14),
      r('capacitor', 'l', earth, 0.5, -80),
    ],
    spice: [
      'Vg g 0 AC 230',
      'Rg g l 0.1',
      'Rm l m 18',
      `Lm m 0 ${14 / (2 * Math.PI * 50)}`,
      'Rc l c 0.5',
      `Cc c 0 ${1 / (2 * Math.PI * 50 * 80)}`,
    ],
  },
  {
    name: 'TT fault through two electrodes',
    hertz: 50,
    elements: [
      v('g', 'star', 'l', 230, 0.2),
      r('src', 'star', earth, 0.8),
      r('line', 'l', 'case', 0.5),
      r('cpc', 'case', 'met', 0.5),
      r('electrode', 'met', earth, 88),
      r('body', 'case', earth, 2200),
    ],
    spice: [
      'Vg g star AC 230',
      'Rg g l 0.2',
      'Rsrc star 0 0.8',
      'Rline l case 0.5',
      'Rcpc case met 0.5',
      'Relectrode met 0 88',
      'Rbody case 0 2200',
    ],
  },
  {
    name: 'battery board: two strings in parallel',
    hertz: 0,
    elements: [
      v('b1', 'minus', 'plus', 48.6, 0.02),
      v('b2', 'minus', 'plus', 48.1, 0.05),
      r('load', 'plus', 'far', 0.03),
      r('set', 'far', 'minus', 1.9),
      r('ref', 'minus', earth, 1),
    ],
    spice: [
      'Vb1 g1 minus 48.6',
      'Rb1 g1 plus 0.02',
      'Vb2 g2 minus 48.1',
      'Rb2 g2 plus 0.05',
      'Rload plus far 0.03',
      'Rset far minus 1.9',
      'Rref minus 0 1',
    ],
  },
]

const agree = (ours: Complex, theirs: Complex, what: string) =>
  expect(
    magnitude(subtract(ours, theirs)),
    `${what}: ${ours.re} + ${ours.im}j against ${theirs.re} + ${theirs.im}j`,
  ).toBeLessThanOrEqual(ABSOLUTE + RELATIVE * magnitude(theirs))

describe('the solver and ngspice agree', () => {
  it.each(CASES)('$name', ({ hertz, elements, spice, formula }) => {
    const solved = solve({ hertz, elements })
    if (!solved.ok) throw new Error(`${solved.reason} ${solved.name}`)
    const nodes = [...new Set(elements.flatMap(({ from, to }) => [from, to]))].filter(
      (node) => node !== earth,
    )
    const byHand = runSpice(
      handWritten(
        spice,
        hertz,
        nodes.map((node) => `v(${node})`),
      ),
    )
    for (const node of nodes) agree(solved.volt(node), byHand.get(`v(${node})`)!, `V of ${node}, by hand`)
    if (formula) expect(magnitude(solved.volt(formula[0]))).toBeCloseTo(formula[1], 6)

    const listing = spiceListing({ hertz, elements }, 'exported')!
    const exported = runSpice(listing.text)
    for (const node of nodes)
      agree(solved.volt(node), exported.get(`v(${listing.nodes.get(node)})`)!, `V of ${node}, exported`)
    for (const [element, ammeter] of listing.ammeters)
      agree(solved.ampere(element), exported.get(`i(${ammeter})`)!, `I through ${element}, exported`)
  })

  // On-Site Guide 10.3.2, from memory: after cross-connection each socket of a ring with equal legs reads (r1
  // + r2)/4.
  it.each([1, 3, 5])('a ring of 0.3 + 0.3 Ω reads 0.15 Ω at socket %i', (k) => {
    const solved = solve({ hertz: 0, elements: crossConnected(k).elements })
    if (!solved.ok) throw new Error(solved.name)
    expect(solved.volt(`l${k}`).re - solved.volt(`e${k}`).re).toBeCloseTo((0.3 + 0.3) / 4, 5)
  })
})

/*
 * Ohm’s law: resistances in series add up. A test of insulation drives its current through a lead of a micro-ohm and
 * some megohms; that the two differ by twelve powers of ten and more must not be taken for a network without a way back.
 */
describe('a link of next to nothing in series with an insulation', () => {
  const PROBE_A = 1e-3
  const probe = (from: string, to: string): Element => ({
    kind: 'injection',
    name: 'probe',
    from,
    to,
    ampere: real(PROBE_A),
  })
  it.each([1e3, 1e5, 2e6, 6e6, 1e8, 9e8])('of %s Ω reads that', (ohm) => {
    const solved = solve({
      hertz: 0,
      elements: [r('link', 'a', 'b', 1e-6), r('ir', 'b', earth, ohm), probe('a', earth)],
    })
    if (!solved.ok) throw new Error(solved.reason)
    // A probe takes its current out of the node that it is put to.
    expect(magnitude(solved.volt('a')) / PROBE_A / (ohm + 1e-6)).toBeCloseTo(1, 9)
  })
  it('what is driven into a part that has no way back is still named, beside any of that', () => {
    const solved = solve({
      hertz: 0,
      elements: [
        r('link', 'a', 'b', 1e-6),
        r('ir', 'b', earth, 9e8),
        v('supply', 's', earth, 230, 0.1),
        r('load', 's', earth, 20),
        r('adrift', 'x', 'y', 1e6),
        probe('x', earth),
      ],
    })
    expect(solved).toMatchObject({ ok: false, reason: 'driven' })
  })
})
