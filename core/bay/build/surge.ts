import { LINES, type Board, type SurgeWays } from '../../installation/installation'
import { SURGE_BREAKER } from '../../installation/surge'
import type { Draft } from './draft'
import { LINE_COLOURS, devicePart } from './parts'
import type { Sections } from './sections'

/** An SPD for 230 V begins to conduct here, V peak; varistor for 275 V, common practice, no source. */
const CLAMP_V = 430
/** Copper no smaller than this to a type 2 SPD, mm²; BS 7671 534.4.10, from memory. */
const LEAD_MM2 = 6
const LEAD_M = 0.2

/** The SPD of a board and its device on the comb of the ways that share no RCD. */
export function buildSurge(
  draft: Draft,
  board: Board,
  { way, deviceWay }: SurgeWays,
  sections: Sections,
  earthBar: string,
): void {
  const lines = board.phases === 3 ? LINES : (['L'] as const)
  const { family, curve, ratingA } = SURGE_BREAKER
  const device = draft.part(
    devicePart({
      id: `${board.id}w${deviceWay}`,
      name: `Way ${deviceWay}`,
      board: board.id,
      role: 'way',
      poles: lines,
      ratingA,
      overcurrent: { family, curve },
      way: deviceWay,
    }),
  )
  const spd = draft.part({
    kind: 'arrester',
    id: `${board.id}spd`,
    name: 'SPD',
    board: board.id,
    circuit: null,
    poles: [...lines, 'N'],
    clampV: CLAMP_V,
    way,
  })
  const lead = { areaMm2: LEAD_MM2, lengthM: LEAD_M }
  lines.forEach((pole, i) => {
    sections.plainTeeth.get(pole)!.push(`${device}.${pole} in`)
    draft.wire(`${device}.${pole} out`, `${spd}.${pole}`, { ...lead, colour: LINE_COLOURS[i]! })
  })
  draft.wire(draft.free(sections.plainBar!), `${spd}.N`, { ...lead, colour: 'blue' })
  draft.wire(`${spd}.E`, draft.free(earthBar), { ...lead, colour: 'green-and-yellow' })
}
