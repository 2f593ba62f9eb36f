import type { Arrester, BoardFrame, DevicePart, Part, Rig } from './rig'
import { partIdOf } from './terminals'

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

/** What stands on a rail in its order: main switch, then each busbar's, then the rest. */
export function railOrder(rig: Rig, board: string): OnRail[] {
  const parts = railPartsOf(rig, board)
  const byId = new Map(parts.map((part) => [part.id, part]))
  return [
    ...new Set([
      ...parts.filter((part) => part.kind === 'device' && part.role === 'main-switch'),
      ...rig.busbars.flatMap(({ teeth }) => teeth.flatMap((tooth) => byId.get(partIdOf(tooth)) ?? [])),
      ...parts.filter(({ kind }) => kind === 'device'),
      ...parts,
    ]),
  ]
}

/** Ways of a board on which nothing stands, from 1. */
export function spareWaysOf({ id, ways }: Pick<BoardFrame, 'id' | 'ways'>, parts: readonly Part[]): number[] {
  const taken = new Set(railPartsOf({ parts }, id).flatMap((part) => part.way ?? []))
  return Array.from({ length: ways }, (_, i) => i + 1).filter((way) => !taken.has(way))
}
