import type { Arrester, BoardFrame, DevicePart, Part, Rig } from '../model/rig'
import { partIdOf, terminalsOf } from '../model/terminals'
import { centred, type DrawingSheet } from './drawing-sheet'
import { GAP, HEAD, PAD, PITCH, TERMINAL_R, isWay, railOrder } from './placed'

const BAR_H = 52
const DEVICE_H = 122
const SLOT_W = 40
const BOTH_SIDES = ['left', 'right'] as const

/** What stands on the rail of a board. */
type OnRail = DevicePart | Arrester

/** Where a board is put, and where it ends. */
interface Corner {
  readonly x: number
  readonly y: number
}

/** Bars on top, the rail with its devices and spare ways, the busbar under it. Returns the lower right corner. */
export function layOutBoard(sheet: DrawingSheet, rig: Rig, board: BoardFrame, { x, y: top }: Corner): Corner {
  const devices = railOrder(rig, board.id)
  const arresters = rig.parts.filter(
    (part): part is Arrester => part.kind === 'arrester' && part.board === board.id,
  )
  const bars = rig.parts.filter((part) => part.kind === 'bar' && part.board === board.id)
  const barsRight = layOutBars(sheet, board.id, bars, { x: x + PAD, y: top + HEAD })
  const wires = devices.length + bars.reduce((sum, bar) => sum + terminalsOf(bar).length, 0)
  const upperLanes = Math.min(14, 6 + Math.ceil(wires / 3))
  const railTop = sheet.channel(`${board.id} upper`, top + HEAD + BAR_H, upperLanes, BOTH_SIDES) + 6
  const rail = [...devices, ...arresters]
  const railRight = layOutRail(sheet, board.id, rail, { x: x + PAD, y: railTop })
  const right = Math.max(
    barsRight,
    layOutSpareWays(sheet, board, rail, { x: railRight, y: railTop + TERMINAL_R }),
  )
  const combsTop = layOutCombs(sheet, rig, devices, railTop + TERMINAL_R + DEVICE_H + TERMINAL_R)
  const bottom =
    sheet.channel(`${board.id} lower`, combsTop, Math.min(12, 5 + devices.length), BOTH_SIDES) + 6
  sheet.frames.push({ board, x, y: top, w: right - x, h: bottom - top })
  return { x: right, y: bottom }
}

function layOutBars(sheet: DrawingSheet, board: string, bars: readonly Part[], at: Corner): number {
  let { x } = at
  for (const bar of bars) {
    const names = terminalsOf(bar)
    const [w, y, h] = [names.length * PITCH + 8, at.y + 16, BAR_H - 16]
    sheet.boxes.push({ part: bar, x, y, w, h })
    sheet.row(bar, names, { x: x + PITCH / 2 + 4, y: y + h / 2, channel: `${board} upper` })
    x += w + GAP
  }
  return x
}

/**
 * The side of a device that a terminal is on: ways are fed from below by the busbar, everything else from
 * above.
 */
const isBelow = (part: OnRail, terminal: string): boolean =>
  part.kind === 'device' && terminal.endsWith(' in') === isWay(part)

function layOutRail(sheet: DrawingSheet, board: string, rail: readonly OnRail[], at: Corner): number {
  let { x } = at
  const y = at.y + TERMINAL_R
  for (const part of rail) {
    const above = terminalsOf(part).filter((name) => !isBelow(part, name))
    const below = terminalsOf(part).filter((name) => isBelow(part, name))
    const w = Math.max(above.length, below.length, isWay(part) ? 1 : 2) * PITCH + 10
    sheet.boxes.push({ part, x, y, w, h: DEVICE_H })
    sheet.row(part, above, { x: centred(x, w, above.length), y, channel: `${board} upper` })
    sheet.row(part, below, { x: centred(x, w, below.length), y: y + DEVICE_H, channel: `${board} lower` })
    x += w + 6
  }
  return x
}

function layOutSpareWays(
  sheet: DrawingSheet,
  board: BoardFrame,
  rail: readonly OnRail[],
  at: Corner,
): number {
  const used = new Set(rail.flatMap(({ way }) => way ?? []))
  const spare = Array.from({ length: board.ways }, (_, i) => i + 1).filter((way) => !used.has(way))
  spare.forEach((way, i) =>
    sheet.slots.push({ board: board.id, way, x: at.x + i * (SLOT_W + 6), y: at.y, w: SLOT_W, h: DEVICE_H }),
  )
  return at.x + spare.length * (SLOT_W + 6)
}

/** Busbars under the rail; more than two stand on levels of their own. Returns where they end. */
function layOutCombs(sheet: DrawingSheet, rig: Rig, devices: readonly DevicePart[], y: number): number {
  const ids = new Set(devices.map(({ id }) => id))
  const combs = rig.busbars.filter(({ teeth }) => teeth.some((tooth) => ids.has(partIdOf(tooth))))
  const hasLevels = combs.length > 2
  combs.forEach(({ id, teeth }, i) =>
    sheet.busbars.push({
      id,
      y: y + 12 + (hasLevels ? i * 12 : 0),
      teeth: teeth.flatMap((tooth, place) => {
        const at = sheet.terminals.get(tooth)
        return at ? [{ x: at.x, top: at.y + TERMINAL_R, place }] : []
      }),
    }),
  )
  return y + 22 + (hasLevels ? combs.length * 12 : 0)
}
