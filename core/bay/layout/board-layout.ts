import type { PartsBox } from '../mount/box'
import { occupied, type Mounting } from '../mount/mounted'
import { modulesOf, railOrder, spareWaysOf, type OnRail } from '../model/rail'
import type { BoardFrame, Busbar, Part, Rig } from '../model/rig'
import { partIdOf, terminalsOf } from '../model/terminals'
import { centred, type DrawingSheet } from './drawing-sheet'
import { GAP, HEAD, PAD, PITCH, TERMINAL_R, isWay } from './placed'

const BAR_H = 52
const DEVICE_H = 122
const SLOT_W = 40
const BOTH_SIDES = ['left', 'right'] as const

const BESIDE = 6
/** From one slot or module to the next, at least. */
const LEAST_STEP = SLOT_W + BESIDE

/** Boards that are mounted from a box of parts. */
export interface BareRails {
  readonly boxes: readonly PartsBox[]
  readonly mounting: Mounting
}

/** Where a board is put, and where it ends. */
interface Corner {
  readonly x: number
  readonly y: number
}

/** Bars on top, the rail with its devices and spare ways, the busbar under it. Returns the lower right corner. */
export function layOutBoard(
  sheet: DrawingSheet,
  rig: Rig,
  board: BoardFrame,
  { x, y: top, bare }: Corner & { readonly bare?: BareRails | undefined },
): Corner {
  const devices = railOrder(rig, board.id)
  const bars = rig.parts.filter((part) => part.kind === 'bar' && part.board === board.id)
  const barsRight = layOutBars(sheet, board.id, bars, { x: x + PAD, y: top + HEAD })
  const wires = devices.length + bars.reduce((sum, bar) => sum + terminalsOf(bar).length, 0)
  const upperLanes = Math.min(14, 6 + Math.ceil(wires / 3))
  const railTop = sheet.channel(`${board.id} upper`, top + HEAD + BAR_H, upperLanes, BOTH_SIDES) + 6
  const at = { x: x + PAD, y: railTop }
  const box = bare?.boxes.find((candidate) => candidate.board.id === board.id)
  const railRight = box
    ? layOutBareRail(sheet, box, bare!.mounting, at)
    : layOutFullRail(sheet, rig, board, at)
  const right = Math.max(barsRight, railRight)
  const combsTop = layOutCombs(sheet, rig, devices, {
    y: railTop + TERMINAL_R + DEVICE_H + TERMINAL_R,
    x: at.x,
    cut: box && { mounting: bare!.mounting, step: stepOf(box) },
  })
  const bottom =
    sheet.channel(`${board.id} lower`, combsTop, Math.min(12, 5 + devices.length), BOTH_SIDES) + 6
  sheet.frames.push({ board, x, y: top, w: right - x, h: bottom - top })
  return { x: right, y: bottom }
}

/** Devices one beside the other, then what is spare. */
function layOutFullRail(sheet: DrawingSheet, rig: Rig, board: BoardFrame, at: Corner): number {
  const railRight = layOutRail(sheet, board.id, railOrder(rig, board.id), at)
  return layOutSpareWays(sheet, board, spareWaysOf(board, rig.parts), { x: railRight, y: at.y + TERMINAL_R })
}

/** Each device at its place, and a slot wherever nothing stands; slots alone before there is a rail. */
function layOutBareRail(sheet: DrawingSheet, box: PartsBox, mounting: Mounting, at: Corner): number {
  const { board, devices, places } = box
  const step = stepOf(box)
  const right = at.x + places * step
  const y = at.y + TERMINAL_R
  if (mounting.rails.has(board.id))
    sheet.rails.push({ x: at.x, y: y + DEVICE_H / 2 - 14, w: right - at.x, h: 28 })
  const taken = occupied(box, mounting.places)
  const covers = mounting.covers.get(board.id)
  for (const part of devices) {
    const place = mounting.places.get(part.id)
    if (place !== undefined) layOutRail(sheet, board.id, [part], { x: at.x + (place - 1) * step, y: at.y })
  }
  for (let place = 1; place <= places; place += 1)
    if (!taken.has(place))
      sheet.slots.push({
        board: board.id,
        way: place,
        isBlanked: covers?.has(place) ?? false,
        x: at.x + (place - 1) * step,
        y,
        w: step - BESIDE,
        h: DEVICE_H,
      })
  return right + PAD
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

const widthOf = (part: OnRail): number => {
  const names = terminalsOf(part)
  const below = names.filter((name) => isBelow(part, name)).length
  return Math.max(names.length - below, below, isWay(part) ? 1 : 2) * PITCH + 10
}

/** So far apart that no device is drawn over its modules: an RCBO has two terminals a side in one. */
const stepOf = ({ devices }: PartsBox): number =>
  Math.max(LEAST_STEP, ...devices.map((part) => (widthOf(part) + BESIDE) / modulesOf(part)))

function layOutRail(
  sheet: DrawingSheet,
  board: string,
  rail: readonly OnRail[],
  at: Corner & { readonly wide?: (part: OnRail) => number },
): number {
  let { x } = at
  const { wide = widthOf } = at
  const y = at.y + TERMINAL_R
  for (const part of rail) {
    const above = terminalsOf(part).filter((name) => !isBelow(part, name))
    const below = terminalsOf(part).filter((name) => isBelow(part, name))
    const w = wide(part)
    sheet.boxes.push({ part, x, y, w, h: DEVICE_H })
    sheet.row(part, above, { x: centred(x, w, above.length), y, channel: `${board} upper` })
    sheet.row(part, below, { x: centred(x, w, below.length), y: y + DEVICE_H, channel: `${board} lower` })
    x += w + BESIDE
  }
  return x
}

function layOutSpareWays(
  sheet: DrawingSheet,
  board: BoardFrame,
  spare: readonly number[],
  at: Corner,
): number {
  spare.forEach((way, i) =>
    sheet.slots.push({
      board: board.id,
      way,
      isBlanked: null,
      x: at.x + i * LEAST_STEP,
      y: at.y,
      w: SLOT_W,
      h: DEVICE_H,
    }),
  )
  return at.x + spare.length * LEAST_STEP
}

interface CombSpace extends Corner {
  /** Busbars that were cut by hand, on a rail of such modules. */
  readonly cut: Cut | undefined
}
interface Cut {
  readonly mounting: Mounting
  readonly step: number
}

/** Busbars under the rail; more than two stand on levels of their own. Returns where they end. */
function layOutCombs(
  sheet: DrawingSheet,
  rig: Rig,
  devices: readonly OnRail[],
  { x, y, cut }: CombSpace,
): number {
  const ids = new Set(devices.map(({ id }) => id))
  const combs = rig.busbars.filter(({ teeth }) => teeth.some((tooth) => ids.has(partIdOf(tooth))))
  const hasLevels = combs.length > 2
  combs.forEach((comb, i) => {
    const teeth = comb.teeth.flatMap((tooth, place) => {
      const at = sheet.terminals.get(tooth)
      return at ? [{ x: at.x, top: at.y + TERMINAL_R, place }] : []
    })
    const last = teeth.at(-1)?.x ?? x
    sheet.busbars.push({
      id: comb.id,
      y: y + 12 + (hasLevels ? i * 12 : 0),
      teeth,
      ...(cut ? cutEnd(comb, cut, { x, last }) : { right: last, end: 'tooth' as const }),
    })
  })
  return y + 22 + (hasLevels ? combs.length * 12 : 0)
}

/** Where a busbar that was cut by hand ends. */
function cutEnd(
  { id, teeth }: Busbar,
  { mounting: { places, combs, caps }, step }: Cut,
  { x, last }: { readonly x: number; readonly last: number },
): { right: number; end: 'bare' | 'capped' } {
  const from = places.get(partIdOf(teeth[0]!)) ?? 1
  const edge = x + (from - 1 + (combs.get(id) ?? 1)) * step - step / 2
  return { right: Math.max(last, edge) + 8, end: caps.has(id) ? 'capped' : 'bare' }
}
