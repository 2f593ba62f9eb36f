import { connectionUnit, pendant, socketBack, socketFront, switchBack } from '../drawing/accessory'
import { clippedCable, conduitRun, trunkingRun } from '../drawing/containment'
import { put } from '../drawing/shape'
import type { Draw } from './draw-board'
import type { SpotKind } from './looks'

export const ROOM_DRAWN = {
  socketFront: ({ x, y, look }) => [put(x, y, socketFront(look as 'right'))],
  socketBack: ({ x, y, look }) => [put(x, y, socketBack(look as 'right'))],
  switchBack: ({ x, y, look }) => [put(x, y, switchBack(look as 'right'))],
  pendant: ({ x, y, look }) => [put(x, y, pendant(look as 'right'))],
  connectionUnit: ({ x, y, look }) => [put(x, y, connectionUnit(look as 'right'))],
  conduit: ({ x, y, look, detail }) => [
    put(x, y + 6, conduitRun(detail.material as 'steel', Number(detail.w), look as 'right')),
  ],
  trunking: ({ x, y, look, detail }) => [put(x, y + 16, trunkingRun(Number(detail.w), look as 'right'))],
  cable: ({ x, y, look, detail }) => [put(x, y, clippedCable(Number(detail.w), look as 'right'))],
} as const satisfies Partial<Record<SpotKind, Draw>>
