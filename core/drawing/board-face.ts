import { boardCase, chart } from './enclosure'
import { DEVICE_H, MODULE_W, deviceBody, type DeviceDrawn } from './device'
import { path, put, rect, rounded, words, type Shapes } from './shape'
import { securedAt, type Secured } from './securing'

/** A device of a board whose cover is on. */
export interface FaceDevice extends Pick<DeviceDrawn, 'kind' | 'modules' | 'print' | 'isOn'> {
  readonly id: string
  readonly secured: Secured
  /** On the strip below it. */
  readonly label: string
}

interface FacePlaced {
  readonly id: string
  readonly x: number
  readonly w: number
  readonly shapes: Shapes
}
export interface BoardFace {
  readonly w: number
  readonly h: number
  readonly ground: Shapes
  readonly devices: readonly FacePlaced[]
  /** The cover over the devices' ends, and the names on its strip. */
  readonly cover: Shapes
  /** What hangs at the levers; it covers what stands below and is drawn last. */
  readonly hung: Shapes
}

const EDGE = 34
const WINDOW_Y = 64
const COVER = 46
/** Where a lever stands that is off. */
const LEVER_OFF_Y = WINDOW_Y - COVER + 107
const CHART_W = 214
const CASE_H = 240
const FACE_H = 306
const FACE_H_WITH_HASP = 326

/** The chart in its pocket, not read yet. */
const foldedChart: Shapes = [
  rounded(3, rect('painted', 0, 0, 190, 60)),
  rounded(1, rect('paper', 18, -6, 154, 34)),
  words(95, 14, 'Circuits', 'words fine'),
  path('line', 'M0 26H190', 2),
]

/**
 * A board as one stands before it: cover on, levers in its window, names on the strip, and what hangs at the levers.
 * `charted`: the lines of the circuit chart once somebody has read it, none before; null for the board alone.
 */
export function boardFace(devices: readonly FaceDevice[], charted: readonly string[] | null): BoardFace {
  const railW = devices.reduce((sum, { modules }) => sum + modules * MODULE_W, 0)
  // The chart has its place beside the board before it is read, so that nothing moves under the hand.
  const w = railW + EDGE * 2 + (charted === null ? 0 : CHART_W)
  const windowH = DEVICE_H - COVER * 2
  const hangingH = devices.some(({ secured }) => secured.hasHasp) ? FACE_H_WITH_HASP : FACE_H
  let x = EDGE
  const placed = devices.map((device) => {
    const at = x
    x += device.modules * MODULE_W
    return { device, at, w: device.modules * MODULE_W }
  })
  return {
    w,
    h: charted === null ? CASE_H : hangingH,
    ground: [
      ...boardCase('metal', railW + EDGE * 2, CASE_H),
      rounded(3, rect('painted', 10, 10, railW + EDGE * 2 - 20, CASE_H - 20)),
      rounded(2, rect('dark', EDGE - 6, WINDOW_Y - 6, railW + 12, windowH + 12)),
      ...(charted === null
        ? []
        : [put(railW + EDGE * 2 + 12, 12, charted.length > 0 ? chart(charted) : foldedChart)]),
    ],
    devices: placed.map(({ device, at, w: wide }) => ({
      id: device.id,
      x: at,
      w: wide,
      shapes: [put(at + 1, WINDOW_Y - COVER, deviceBody({ ...device, body: 'right' }))],
    })),
    cover: [
      rect('painted bare', EDGE - 10, 14, railW + 20, WINDOW_Y - 20),
      rect('painted bare', EDGE - 10, WINDOW_Y + windowH + 6, railW + 20, 56),
      path('line thin', `M${EDGE - 10} ${WINDOW_Y - 6}h${railW + 20}m0 ${windowH + 12}h${-railW - 20}`),
      rounded(1, rect('paper', EDGE - 6, WINDOW_Y + windowH + 14, railW + 12, 26)),
      ...placed.flatMap(({ device, at, w: wide }) => [
        path('line thin', `M${at} ${WINDOW_Y + windowH + 14}v26`),
        words(at + wide / 2, WINDOW_Y + windowH + 32, device.label, 'words fine'),
      ]),
    ],
    hung: placed.flatMap(({ device, at, w: wide }) => securedAt(at + wide / 2, LEVER_OFF_Y, device.secured)),
  }
}
