import { modulesOf, railPartsOf, spareWaysOf, type OnRail } from '../model/rail'
import type { Bar, BoardFrame, Busbar, Rig } from '../model/rig'
import { partIdOf } from '../model/terminals'

/** The field by which somebody has chosen to begin with an empty enclosure. */
export const FROM_BARE = 'from.bare'

/** What lies in the box of parts for one enclosure. */
export interface PartsBox {
  readonly board: BoardFrame
  readonly devices: readonly OnRail[]
  readonly bars: readonly Bar[]
  readonly busbars: readonly Busbar[]
  /** Places of the rail, a module each. */
  readonly places: number
}

/** A board can be mounted from its parts where all that it is made of has one line. */
export const canBeBare = ({ boards }: Pick<Rig, 'boards'>): boolean =>
  boards.length > 0 && boards.every(({ phases }) => phases === 1)

/** The box of parts of each board of a bay. */
export function boxesOf(rig: Rig): PartsBox[] {
  return rig.boards.map((board) => {
    const devices = railPartsOf(rig, board.id)
    const ids = new Set(devices.map(({ id }) => id))
    return {
      board,
      devices,
      bars: rig.parts.filter((part): part is Bar => part.kind === 'bar' && part.board === board.id),
      busbars: rig.busbars.filter(({ teeth }) => teeth.some((tooth) => ids.has(partIdOf(tooth)))),
      places: devices.reduce((sum, part) => sum + modulesOf(part), 0) + spareWaysOf(board, rig.parts).length,
    }
  })
}
