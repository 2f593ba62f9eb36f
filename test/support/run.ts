import type { ContainmentRun, Detour, Direction, Former, Straight } from '#core/containment/containment-run'

export const FORMER: Former = { radiusMm: 80, startMm: 0, springDeg: 4 }
/** A straight with a bend behind it. */
export const straight = (
  to: Direction,
  lengthMm: number,
  then: Straight['then'] = 'bend',
  parts: Partial<Straight> = {},
): Straight => ({ to, lengthMm, then, setDeg: 90, detour: null, ...parts })
/** A conduit of 20 mm. */
export const run = (straights: readonly Straight[], parts: Partial<ContainmentRun> = {}): ContainmentRun => ({
  name: 'R',
  made: 'conduit',
  material: 'pvc',
  sizeMm: 20,
  depthMm: 20,
  straights,
  ...parts,
})
export const offset: Detour = {
  kind: 'offset',
  atMm: 300,
  heightMm: 60,
  angleDeg: 30,
  towards: 'out',
  flatMm: 0,
}
