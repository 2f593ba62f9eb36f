import type { Rig } from '../model/rig'
import { freshId, withLeak } from './edit'
import { hasNeutral, lineOf, pointsOf, type FaultKind, type PointPart } from './fault'

const ends = (part: PointPart, between: 'LN' | 'LE' | 'NE'): readonly [string, string] => [
  between[0] === 'L' ? lineOf(part) : `${part.id}.N`,
  between[1] === 'E' ? `${part.id}.E` : `${part.id}.N`,
]

/** An unwanted path at a point, of this resistance. */
const leakAt = (code: string, between: 'LN' | 'LE' | 'NE', ohm: number, prior: number): FaultKind => ({
  code,
  group: 'leak',
  isAnySize: true,
  prior,
  places: (rig) =>
    pointsOf(rig)
      .filter((part) => between === 'LE' || hasNeutral(part))
      .map((part) => ({ key: part.id, at: [part.id] })),
  apply: (rig, { key }, size = 1) => {
    const part = pointsOf(rig).find(({ id }) => id === key)!
    const [from, to] = ends(part, between)
    return withLeak(rig, { id: freshId(rig, 'leak'), from, to, ohm: ohm / size })
  },
})

/** The main earthing terminal of a built bay. */
const MAIN_EARTH = 'met'
/** Through steelwork, Ω; common practice, no source. */
const STRUCTURE_OHM = 0.3

const lastPoints = (rig: Rig): PointPart[] => [
  ...new Map(pointsOf(rig).map((part) => [part.circuit, part])).values(),
]

export const LEAK_FAULTS: readonly FaultKind[] = [
  leakAt('shortLN', 'LN', 0.05, 2),
  leakAt('shortLE', 'LE', 0.05, 3),
  leakAt('shortNE', 'NE', 0.05, 4),
  leakAt('nail', 'LE', 0.5, 1),
  leakAt('trappedLine', 'LE', 2_000, 2),
  leakAt('trappedNeutral', 'NE', 0.5, 3),
  leakAt('damp', 'LE', 200_000, 3),
  leakAt('dampNeutral', 'NE', 200_000, 2),
  leakAt('oldInsulation', 'LN', 600_000, 2),
  {
    code: 'parallelEarth',
    group: 'leak',
    isAnySize: true,
    prior: 1,
    // Steel conduit or structure beside the cpc, from the last point back to the main earthing terminal.
    places: (rig) =>
      rig.parts.some(({ id }) => id === MAIN_EARTH)
        ? lastPoints(rig).map(({ id }) => ({ key: id, at: [id] }))
        : [],
    apply: (rig, { key }, size = 1) =>
      withLeak(rig, {
        id: freshId(rig, 'leak'),
        from: `${key}.E`,
        to: `${MAIN_EARTH}.1`,
        ohm: STRUCTURE_OHM / size,
      }),
  },
]
