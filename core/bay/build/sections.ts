import type { Board } from '../../installation/installation'
import { sectionsFor, sharesRcd, turnOf } from '../../installation/shared-rcds'
import type { Pole } from '../model/rig'
import type { Draft } from './draft'
import { barPart, devicePart } from './parts'
import type { WorkedCircuit } from './worked'

/** Links inside a board. */
export const LINK = { areaMm2: 16, lengthM: 0.3 } as const
const SECTION_NAMES = ['A', 'B']

/** What the ways of a board stand behind: a comb that grows, and the neutral bar that goes with it. */
export interface Section {
  readonly busbar: { readonly id: string; readonly name: string; readonly teeth: string[] }
  readonly bar: string
}

export interface Sections {
  /**
   * The section of a circuit that shares an RCD; undefined for one that stands on the main switch or brings
   * its own.
   */
  readonly sharedBy: (worked: WorkedCircuit) => Section | undefined
  /** The bar of the others; null where every circuit shares. */
  readonly plainBar: string | null
  /** By pole, the comb of the others. */
  readonly plainTeeth: ReadonlyMap<Pole, string[]>
  readonly all: readonly Section[]
}

/** Sections of a board: circuits that need an RCD of the board stand behind two, so that one fault leaves half. */
export function buildSections(
  draft: Draft,
  board: Board,
  circuits: readonly WorkedCircuit[],
  main: { readonly id: string; readonly linePoles: readonly Pole[] },
): Sections {
  const shared = circuits.filter(({ circuit }) => sharesRcd(board, circuit))
  const count = sectionsFor(shared.length)
  const ratedA = Math.min(...shared.map(({ residualA }) => residualA!))
  const all = Array.from({ length: count }, (_, i) => {
    const letter = count === 1 ? '' : SECTION_NAMES[i]!
    return buildSection(draft, board, { mark: SECTION_NAMES[i]!, letter, ratedA, main: main.id })
  })
  const plainBar =
    shared.length < circuits.length || count === 0 || board.surge
      ? buildPlainBar(draft, board, main.id, count)
      : null
  return {
    sharedBy: (worked) => (shared.includes(worked) ? all[turnOf(shared.indexOf(worked), count)] : undefined),
    plainBar,
    plainTeeth: new Map(main.linePoles.map((pole) => [pole, [`${main.id}.${pole} out`]])),
    all,
  }
}

interface SectionFacts {
  readonly mark: string
  /** Left out of the names where there is one section alone. */
  readonly letter: string
  readonly ratedA: number
  readonly main: string
}

function buildSection(
  draft: Draft,
  { id, ways }: Board,
  { mark, letter, ratedA, main }: SectionFacts,
): Section {
  const name = `RCD ${letter}`.trim()
  const rcd = draft.part(
    devicePart({
      id: `${id}rcd${mark}`,
      name,
      board: id,
      role: 'residual',
      poles: ['L', 'N'],
      ratingA: 63,
      residual: { ratedA, type: 'A', isDelayed: false },
    }),
  )
  const bar = draft.part(
    barPart({
      id: `${id}n${mark}`,
      name: `Neutral bar ${letter}`.trim(),
      board: id,
      serves: 'N',
      terminals: Math.ceil(ways / 2),
    }),
  )
  draft.wire(`${main}.L out`, `${rcd}.L in`, { ...LINK, colour: 'brown' })
  draft.wire(`${main}.N out`, `${rcd}.N in`, { ...LINK, colour: 'blue' })
  draft.wire(`${rcd}.N out`, draft.free(bar), { ...LINK, colour: 'blue' })
  return { busbar: { id: `${rcd}bus`, name: `Busbar of ${name}`, teeth: [`${rcd}.L out`] }, bar }
}

function buildPlainBar(draft: Draft, { id, ways }: Board, main: string, sections: number): string {
  const name = sections === 0 ? 'Neutral bar' : 'Neutral bar, unprotected'
  const bar = draft.part(barPart({ id: `${id}n`, name, board: id, serves: 'N', terminals: ways }))
  draft.wire(`${main}.N out`, draft.free(bar), { ...LINK, colour: 'blue' })
  return bar
}
