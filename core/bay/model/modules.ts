import type { Arrester, DevicePart, Rig } from './rig'

/** What stands on the rail of a board. */
export type OnRail = DevicePart | Arrester

/** Modules of 18 mm that a device takes: one a pole that opens; a main switch two at least. */
export function modulesOf(part: OnRail): number {
  if (part.kind === 'arrester') return part.poles.length
  const opening = part.poles.filter((pole) => !part.solid.includes(pole)).length
  const least = part.role === 'main-switch' || (part.residual && !part.overcurrent) ? 2 : 1
  return Math.max(least, opening)
}

export const railPartsOf = ({ parts }: Pick<Rig, 'parts'>, board: string): OnRail[] =>
  parts.filter(
    (part): part is OnRail => (part.kind === 'device' || part.kind === 'arrester') && part.board === board,
  )
