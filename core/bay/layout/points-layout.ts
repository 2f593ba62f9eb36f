import type { Part, Rig } from '../model/rig'
import { terminalsOf } from '../model/terminals'
import { centred, type DrawingSheet } from './drawing-sheet'
import { HEAD, PITCH, TERMINAL_R, isWay, namedWidth } from './placed'

const POINT_H = 96
/** A side of a box takes so many terminals. */
const ONE_SIDE = 6
/** With more points than this five stand in a row. */
const MANY_POINTS = 16

/** Parts fixed in the bay that serve one circuit. */
export const pointsOf = (rig: Rig): Part[] =>
  rig.parts.filter((part) => part.board === null && part.circuit !== null)

/** The points, circuit by circuit; returns the lower right corner. */
export function layOutPoints(
  sheet: DrawingSheet,
  rig: Rig,
  left: number,
): { readonly x: number; readonly y: number } {
  const points = pointsOf(rig)
  const most = points.length > MANY_POINTS ? 5 : 3
  let [y, right] = [8, left]
  for (const circuit of new Set(points.map((part) => part.circuit!))) {
    const top = y
    y += HEAD - 4
    const parts = points.filter((part) => part.circuit === circuit)
    for (let i = 0; i < parts.length; i += most) {
      const row = parts.slice(i, i + most)
      const channel = `row ${circuit} ${i}`
      right = Math.max(right, layOutRow(sheet, row, { x: left + 8, y, channel }))
      y = sheet.channel(channel, y + POINT_H, Math.min(12, 4 + row.length * 2), ['right']) + 6
    }
    sheet.groups.push({ name: groupName(rig, circuit), x: left, y: top, w: 0, h: y - top })
    y += 10
  }
  return { x: right, y }
}

function groupName(rig: Rig, circuit: string): string {
  const device = rig.parts.find((part) => isWay(part) && part.circuit === circuit)
  const run = rig.runs.find(({ id }) => id === `${circuit}run`)
  return `${device ? `${device.name}, ` : ''}${run?.name ?? circuit}`
}

interface RowPlace {
  readonly x: number
  readonly y: number
  readonly channel: string
}

function layOutRow(sheet: DrawingSheet, row: readonly Part[], place: RowPlace): number {
  let { x } = place
  for (const part of row) {
    const count = Math.min(terminalsOf(part).length, ONE_SIDE)
    const w = Math.max(count * PITCH + 12, namedWidth(part.name))
    sheet.boxes.push({ part, x, y: place.y, w, h: POINT_H })
    layOutTerminals(sheet, part, { ...place, x, w })
    x += w + 10
  }
  return x
}

/** Isolators of three lines have more terminals than a side takes: what comes in above, what goes out below. */
function layOutTerminals(
  sheet: DrawingSheet,
  part: Part,
  { x, y, w, channel }: RowPlace & { readonly w: number },
): void {
  const names = terminalsOf(part)
  const isSplit = names.length > ONE_SIDE
  const above = names.filter((name) => isSplit && name.endsWith(' in'))
  const below = names.filter((name) => !above.includes(name))
  sheet.row(part, above, { x: centred(x, w, above.length), y: y + 44, channel })
  sheet.row(part, below, { x: centred(x, w, below.length), y: y + POINT_H - TERMINAL_R - 4, channel })
}
