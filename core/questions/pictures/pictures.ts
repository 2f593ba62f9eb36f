import type { DrawingCode } from '../drawings'
import { BOARD_PICTURE } from './board'
import { INTAKE_PICTURE } from './intake'
import { OUTLET_PICTURE } from './outlet'
import type { Picture } from './picture'
import { WALL_PICTURE } from './wall'

/** Drawings to point at, as they look. */
export const PICTURES: Readonly<Record<DrawingCode, Picture>> = {
  intake: INTAKE_PICTURE,
  board: BOARD_PICTURE,
  outlet: OUTLET_PICTURE,
  wall: WALL_PICTURE,
}
