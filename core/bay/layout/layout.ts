import type { Rig } from '../model/rig'
import { layOutBoard, type BareRails } from './board-layout'
import { DrawingSheet } from './drawing-sheet'
import { layOutIntake } from './intake-layout'
import { GAP, LANE, type BayLayout } from './placed'
import { layOutPoints, pointsOf } from './points-layout'

const MARGIN = 8

/**
 * Lays out boards and intake on the left, the circuits' points on the right; boards that are mounted from a box of parts
 * with everything where it has been put.
 */
export function layoutBay(rig: Rig, bare?: BareRails): BayLayout {
  const sheet = new DrawingSheet()
  // Upright strips: left of the boards for what goes from bar to device and from intake to board, and right
  // of them, as wide as what leaves.
  const left = { from: MARGIN, to: MARGIN + (4 + rig.boards.length * 4) * LANE }
  const boardsLeft = left.to + 14
  let [y, boardsRight] = [MARGIN, boardsLeft]
  for (const board of rig.boards) {
    const end = layOutBoard(sheet, rig, board, { x: boardsLeft, y, bare })
    y = end.y + GAP
    boardsRight = Math.max(boardsRight, end.x)
  }
  const intakeBottom = layOutIntake(sheet, rig, { x: boardsLeft, y, right: boardsRight })
  const rightLanes = Math.min(30, 6 + pointsOf(rig).length * 2)
  const right = { from: boardsRight + 10, to: boardsRight + 10 + rightLanes * LANE }
  const pointsLeft = right.to + 16
  const end = layOutPoints(sheet, rig, pointsLeft)
  const { frames, boxes, slots, terminals, busbars, channels, groups, rails } = sheet
  return {
    width: end.x + 6,
    height: Math.max(intakeBottom, end.y) + 4,
    frames,
    boxes,
    slots,
    rails,
    terminals,
    busbars,
    channels,
    trunks: new Map([
      ['left', { id: 'left', ...left, trunks: [] }],
      ['right', { id: 'right', ...right, trunks: [] }],
    ]),
    groups: groups.map((group) => ({ ...group, w: end.x - pointsLeft })),
  }
}
