import type { BoardFrame, DevicePart, Part, Rig, TerminalRef } from '../model/rig'
import { partIdOf, terminalsOf } from '../model/terminals'

export interface Rect {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

export interface PlacedTerminal {
  readonly ref: TerminalRef
  readonly x: number
  readonly y: number
  /** What stands in its circle. */
  readonly label: string
  /** The channel that its conductors leave into. */
  readonly channel: string
}

/** A strip in which conductors run side by side: along x between two y, or the other way round. */
export interface Channel {
  readonly id: string
  readonly from: number
  readonly to: number
  /** The upright strips that it opens into. */
  readonly trunks: readonly string[]
}

/** Where everything of a bay is drawn. Depends on its parts alone, so nothing moves while somebody wires. */
export interface BayLayout {
  readonly width: number
  readonly height: number
  readonly frames: readonly (Rect & { readonly board: BoardFrame })[]
  readonly boxes: readonly (Rect & { readonly part: Part })[]
  readonly slots: readonly (Rect & { readonly board: string; readonly way: number })[]
  readonly groups: readonly (Rect & { readonly name: string })[]
  readonly terminals: ReadonlyMap<TerminalRef, PlacedTerminal>
  readonly busbars: readonly {
    readonly id: string
    readonly y: number
    readonly teeth: readonly { readonly x: number; readonly top: number; readonly place: number }[]
  }[]
  readonly channels: ReadonlyMap<string, Channel>
  readonly trunks: ReadonlyMap<string, Channel>
}

export const TERMINAL_R = 13
const PITCH = 38
const LANE = 7
const PAD = 12
const BAR_H = 52
const DEVICE_H = 122
const POINT_H = 96
const INTAKE_H = 64
const SLOT_W = 40
const HEAD = 30
const GAP = 18
/** A letter of a name, and what stands beside it. */
const LETTER_W = 8.3
const GLYPH_W = 42

const isWay = (part: Part): part is DevicePart => part.kind === 'device' && part.role === 'way'
/** The side of a device that a terminal is on: ways are fed from below by the busbar, everything else from above. */
const isBelow = (part: DevicePart, terminal: string): boolean => terminal.endsWith(' in') === isWay(part)

const labelOf = (terminal: string): string => terminal.replace(/ (in|out)$/, '')

/** Devices of a board in the order in which they stand: main switch, then each busbar's, then the rest. */
export function railOrder(rig: Rig, board: string): DevicePart[] {
  const own = rig.parts.filter((part): part is DevicePart => part.kind === 'device' && part.board === board)
  const byId = new Map(own.map((part) => [part.id, part]))
  const ordered = [
    ...own.filter(({ role }) => role === 'main-switch'),
    ...rig.busbars.flatMap(({ teeth }) => teeth.flatMap((tooth) => byId.get(partIdOf(tooth)) ?? [])),
  ]
  return [...new Set([...ordered, ...own])]
}

/** Lays out boards and intake on the left, the circuits' points on the right. */
export function layoutBay(rig: Rig): BayLayout {
  const frames: (Rect & { board: BoardFrame })[] = []
  const boxes: (Rect & { part: Part })[] = []
  const slots: (Rect & { board: string; way: number })[] = []
  const groups: (Rect & { name: string })[] = []
  const terminals = new Map<TerminalRef, PlacedTerminal>()
  const busbars: BayLayout['busbars'][number][] = []
  const channels = new Map<string, Channel>()
  const trunks = new Map<string, Channel>()
  const place = (part: Part, names: readonly string[], x: number, y: number, channel: string) =>
    names.forEach((name, i) =>
      terminals.set(`${part.id}.${name}`, {
        ref: `${part.id}.${name}`,
        x: x + i * PITCH,
        y,
        label: labelOf(name),
        channel,
      }),
    )
  const channel = (id: string, from: number, lanes: number, open: readonly string[]): number => {
    const to = from + (lanes + 1) * LANE
    channels.set(id, { id, from, to, trunks: open })
    return to
  }

  // Left margin: an upright strip for what goes from bar to device and from intake to board.
  const leftLanes = 4 + rig.boards.length * 4
  const left = { from: 8, to: 8 + leftLanes * LANE }
  const x0 = left.to + 14
  let y = 8
  let boardsRight = x0

  for (const board of rig.boards) {
    const devices = railOrder(rig, board.id)
    const bars = rig.parts.filter((part) => part.kind === 'bar' && part.board === board.id)
    const used = new Set(devices.flatMap(({ way }) => way ?? []))
    const spare = Array.from({ length: board.ways }, (_, i) => i + 1).filter((way) => !used.has(way))
    const top = y
    y += HEAD
    let x = x0 + PAD
    for (const bar of bars) {
      const names = terminalsOf(bar)
      const w = names.length * PITCH + 8
      boxes.push({ part: bar, x, y: y + 16, w, h: BAR_H - 16 })
      place(bar, names, x + PITCH / 2 + 4, y + 16 + (BAR_H - 16) / 2, `${board.id} upper`)
      x += w + GAP
    }
    let right = x
    y += BAR_H
    const wires = devices.length + bars.reduce((sum, bar) => sum + terminalsOf(bar).length, 0)
    y = channel(`${board.id} upper`, y, Math.min(14, 6 + Math.ceil(wires / 3)), ['left', 'right']) + 6

    // The rail, its busbars and spare ways.
    x = x0 + PAD
    const bottom = y + TERMINAL_R + DEVICE_H + TERMINAL_R
    for (const device of devices) {
      const [above, below] = [
        terminalsOf(device).filter((name) => !isBelow(device, name)),
        terminalsOf(device).filter((name) => isBelow(device, name)),
      ]
      const w = Math.max(above.length, below.length, device.role === 'way' ? 1 : 2) * PITCH + 10
      const inset = (count: number) => x + (w - (count - 1) * PITCH) / 2
      boxes.push({ part: device, x, y: y + TERMINAL_R, w, h: DEVICE_H })
      place(device, above, inset(above.length), y + TERMINAL_R, `${board.id} upper`)
      place(device, below, inset(below.length), bottom - TERMINAL_R, `${board.id} lower`)
      x += w + 6
    }
    for (const way of spare) {
      slots.push({ board: board.id, way, x, y: y + TERMINAL_R, w: SLOT_W, h: DEVICE_H })
      x += SLOT_W + 6
    }
    right = Math.max(right, x)
    y = bottom
    const combs = rig.busbars.filter(({ teeth }) =>
      teeth.some((tooth) => devices.some(({ id }) => id === partIdOf(tooth))),
    )
    combs.forEach(({ id, teeth }, i) => {
      const level = combs.length > 2 ? i : 0
      busbars.push({
        id,
        y: y + 12 + level * 12,
        teeth: teeth.flatMap((tooth, at) =>
          terminals.has(tooth)
            ? [{ x: terminals.get(tooth)!.x, top: terminals.get(tooth)!.y + TERMINAL_R, place: at }]
            : [],
        ),
      })
    })
    y += 22 + (combs.length > 2 ? combs.length * 12 : 0)
    y = channel(`${board.id} lower`, y, Math.min(12, 5 + devices.length), ['left', 'right']) + 6
    frames.push({ board, x: x0, y: top, w: right - x0, h: y - top })
    boardsRight = Math.max(boardsRight, right)
    y += GAP
  }

  // Intake: what is neither in a board nor at a point.
  const intake = rig.parts.filter((part) => part.board === null && part.circuit === null)
  const intakeTop = y
  let x = x0
  let row = 0
  const openRow = () => {
    row += 1
    x = x0
    y = channel(`intake ${row}`, y, Math.min(10, 4 + intake.length), ['left', 'right']) + 6
  }
  if (intake.length > 0) openRow()
  for (const part of intake) {
    const names = terminalsOf(part)
    const w = Math.max(names.length * PITCH + 14, part.name.length * LETTER_W + 24)
    if (x + w > boardsRight && x > x0) {
      y += TERMINAL_R + INTAKE_H + 4
      openRow()
    }
    boxes.push({ part, x, y: y + TERMINAL_R, w, h: INTAKE_H })
    place(part, names, x + (w - (names.length - 1) * PITCH) / 2, y + TERMINAL_R, `intake ${row}`)
    x += w + 10
  }
  const intakeBottom = intake.length === 0 ? intakeTop : y + TERMINAL_R + INTAKE_H + 10

  // Points, circuit by circuit, right of an upright strip as wide as what leaves the boards.
  const points = rig.parts.filter((part) => part.board === null && part.circuit !== null)
  const trunkLanes = Math.min(30, 6 + points.length * 2)
  const right = { from: boardsRight + 10, to: boardsRight + 10 + trunkLanes * LANE }
  const circuits = [...new Set(points.map(({ circuit }) => circuit!))]
  const pointsX = right.to + 16
  const most = points.length > 16 ? 5 : 3
  let py = 8
  let farRight = pointsX
  for (const circuit of circuits) {
    const own = points.filter((part) => part.circuit === circuit)
    const top = py
    py += HEAD - 4
    for (let i = 0; i < own.length; i += most) {
      const row = own.slice(i, i + most)
      x = pointsX + 8
      for (const part of row) {
        const names = terminalsOf(part)
        const w = Math.max(Math.min(names.length, 6) * PITCH + 12, part.name.length * LETTER_W + GLYPH_W)
        const split = names.length > 6
        boxes.push({ part, x, y: py, w, h: POINT_H })
        // Isolators of three lines have more terminals than a side takes: what comes in above, what goes out below.
        if (split) {
          const [ins, rest] = [
            names.filter((name) => name.endsWith(' in')),
            names.filter((name) => !name.endsWith(' in')),
          ]
          place(part, ins, x + (w - (ins.length - 1) * PITCH) / 2, py + 44, `row ${circuit} ${i}`)
          place(
            part,
            rest,
            x + (w - (rest.length - 1) * PITCH) / 2,
            py + POINT_H - TERMINAL_R - 4,
            `row ${circuit} ${i}`,
          )
        } else
          place(
            part,
            names,
            x + (w - (names.length - 1) * PITCH) / 2,
            py + POINT_H - TERMINAL_R - 4,
            `row ${circuit} ${i}`,
          )
        x += w + 10
      }
      farRight = Math.max(farRight, x)
      py = channel(`row ${circuit} ${i}`, py + POINT_H, Math.min(12, 4 + row.length * 2), ['right']) + 6
    }
    const device = rig.parts.find((part) => isWay(part) && part.circuit === circuit)
    groups.push({
      name: `${device ? `${device.name}, ` : ''}${rig.runs.find(({ id }) => id === `${circuit}run`)?.name ?? circuit}`,
      x: pointsX,
      y: top,
      w: 0,
      h: py - top,
    })
    py += 10
  }
  trunks.set('left', { id: 'left', ...left, trunks: [] })
  trunks.set('right', { id: 'right', ...right, trunks: [] })
  return {
    width: farRight + 6,
    height: Math.max(intakeBottom, py) + 4,
    frames,
    boxes,
    slots,
    terminals,
    busbars,
    channels,
    trunks,
    groups: groups.map((group) => ({ ...group, w: farRight - pointsX })),
  }
}
