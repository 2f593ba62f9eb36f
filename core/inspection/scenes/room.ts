import { rect, rounded, path, type Shapes } from '../../drawing/shape'
import { SCENE_H, SCENE_W, spot, type Bare } from './spot'

/** How a wall is wired. */
export const WALL_MATERIALS = ['steel', 'plastic'] as const
export type WallMaterial = (typeof WALL_MATERIALS)[number]

/** A wall of a workshop with its accessories drawn forward out of their boxes. */
export const roomSpots = (material: WallMaterial): Bare[] => [
  spot('conduit', 'conduit', null, [60, 84, 560, 60], { material, w: 500 }),
  spot('trunking', 'trunking', null, [700, 70, 420, 84], { w: 420 }),
  spot('socket1', 'socketFront', 'beside the door', [70, 250, 200, 124]),
  spot('socket2', 'socketBack', 'over the bench', [330, 210, 260, 310]),
  spot('socket3', 'socketFront', 'by the lathe', [70, 430, 200, 124]),
  spot('switch1', 'switchBack', null, [660, 230, 200, 270]),
  spot('lamp', 'pendant', null, [930, 170, 120, 270]),
  spot('unit', 'connectionUnit', null, [960, 470, 120, 200]),
  spot('cable', 'cable', null, [80, 630, 760, 60], { w: 740 }),
]

export const roomGround = (): Shapes => [
  rect('wall', 0, 0, SCENE_W, SCENE_H),
  path('line thin', `M0 722H${SCENE_W}M0 40H${SCENE_W}`),
  rounded(2, rect('shade', 330, 560, 330, 20)),
]
