import type { Rig } from '../model/rig'
import { terminalsOf } from '../model/terminals'
import { centred, type DrawingSheet } from './drawing-sheet'
import { LETTER_W, PITCH, TERMINAL_R, namedWidth } from './placed'

const INTAKE_H = 64

interface Space {
  readonly x: number
  readonly y: number
  /** Rows are as wide as the boards above. */
  readonly right: number
}

/** What is neither in a board nor at a point, in rows; returns where they end. */
export function layOutIntake(sheet: DrawingSheet, rig: Rig, { x: left, y: top, right }: Space): number {
  const parts = rig.parts.filter((part) => part.board === null && part.circuit === null)
  if (parts.length === 0) return top
  const lanes = Math.min(10, 4 + parts.length)
  let [x, row] = [left, 1]
  const openRow = (y: number) => sheet.channel(`intake ${row}`, y, lanes, ['left', 'right']) + 6
  let y = openRow(top)
  for (const part of parts) {
    const names = terminalsOf(part)
    const w = Math.max(
      names.length * PITCH + 14,
      part.kind === 'bar' ? part.name.length * LETTER_W + 24 : namedWidth(part.name),
    )
    if (x + w > right && x > left) {
      row += 1
      x = left
      y = openRow(y + TERMINAL_R + INTAKE_H + 4)
    }
    sheet.boxes.push({ part, x, y: y + TERMINAL_R, w, h: INTAKE_H })
    sheet.row(part, names, { x: centred(x, w, names.length), y: y + TERMINAL_R, channel: `intake ${row}` })
    x += w + 10
  }
  return y + TERMINAL_R + INTAKE_H + 10
}
