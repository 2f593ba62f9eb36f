import { fedEnds, isFedAtBothEnds } from '../../bay/behaviour/fed-ends'
import type { DevicePart, Rig } from '../../bay/model/rig'
import { DEVICE_H, MODULE_W } from '../../drawing/device'
import { boardCase, rail, type CaseMaterial } from '../../drawing/enclosure'
import { put, rect, rounded, words, type Shapes } from '../../drawing/shape'
import { SCENE_H, SCENE_W, spot, type Bare } from './spot'

const CASE = { x: 50, y: 50, w: 1100, h: 680 }
const FIRST_X = 140
const DEVICE_Y = 330
const BAR_X = 720
/** Screws of a bar stand so far apart. */
const PITCH = 42
const BARS_Y = { n1: 160, n2: 206, e: 264 }

interface Row {
  readonly device: DevicePart
  /** What it feeds. */
  readonly name: string
  readonly x: number
  /** Counts from 0. */
  readonly section: number
}

/** Modules that a device takes on the rail. */
const modulesOf = ({ role }: DevicePart): number => (role === 'way' ? 1 : 2)

/** Devices of the rail from left to right, each with its section. */
function rowOf(rig: Rig): {
  readonly shared: readonly Row[]
  readonly ways: readonly Row[]
  readonly endX: number
} {
  const frame = rig.boards[0]!
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board === frame.id,
  )
  const residual = devices.filter(({ role }) => role === 'residual')
  const ways = devices.filter(({ role }) => role === 'way').sort((a, b) => a.way! - b.way!)
  const firstWayX = FIRST_X + (2 + 2 * residual.length) * MODULE_W + 8
  const half = Math.ceil(ways.length / Math.max(1, residual.length))
  const at = ways.map((device, i): Row => ({
    device,
    name: frame.labels[device.way!] ?? device.name,
    x: firstWayX + (device.way! - 1) * MODULE_W,
    section: residual.length > 1 ? Math.floor(i / half) : 0,
  }))
  return {
    shared: residual.map((device, i) => ({
      device,
      name: device.name,
      x: FIRST_X + (2 + 2 * i) * MODULE_W + 4,
      section: i,
    })),
    ways: at,
    endX: firstWayX + frame.ways * MODULE_W,
  }
}

const printOf = ({ overcurrent, ratingA, role }: DevicePart): string =>
  role === 'residual' ? `${ratingA} A 30 mA` : `${overcurrent?.curve ?? ''} ${ratingA}`.trim()

/** Everything that can be looked at on a board, laid out from the model of its bay. */
export function boardSpots(rig: Rig): Bare[] {
  const { shared, ways, endX } = rowOf(rig)
  const isSplit = shared.length > 1
  const ends = fedEnds(rig)
  const bothWays = ways.filter(({ device }) => isFedAtBothEnds(ends.get(device.id)))
  const spare = Array.from({ length: rig.boards[0]!.ways }, (_, i) => i + 1).filter(
    (way) => !ways.some(({ device }) => device.way === way),
  )
  const firstWayX = endX - rig.boards[0]!.ways * MODULE_W
  const wayX = (way: number) => firstWayX + (way - 1) * MODULE_W
  return [
    spot('inside', 'case', null, [780, 600, 320, 96]),
    ...[830, 930, 1030].map((x, i) => spot(`top${i + 1}`, 'top', String(i + 1), [x, 38, 44, 28])),
    spot('side1', 'side', 'left', [36, 470, 44, 28]),
    spot('side2', 'side', 'right', [1120, 470, 44, 28]),
    spot('entry1', 'entry', 'cables', [firstWayX - 12, 20, endX - firstWayX + 20, 76], {
      xs: ways.map(({ x }) => x + 21).join(' '),
    }),
    spot('busbar', 'busbar', null, [firstWayX, DEVICE_Y + DEVICE_H - 4, endX - firstWayX + 44, 44], {
      fingers: ways.map(({ x }) => x + 21 - firstWayX).join(' '),
      wide: endX - firstWayX,
    }),
    spot('tails', 'tails', null, [76, 240, 150, 480]),
    spot('main', 'isolator', null, [FIRST_X, DEVICE_Y, 2 * MODULE_W, DEVICE_H]),
    ...shared.map(({ device, x }) => ({
      ...spot(device.id, 'device', device.name, [x, DEVICE_Y - 36, 2 * MODULE_W, DEVICE_H + 36], {
        print: printOf(device),
        kind: 'rcd',
        modules: 2,
        from: -34,
      }),
      never: ['oversize', 'doubled'],
    })),
    ...ways.flatMap((row) => wayOf(row, ways.indexOf(row), isSplit)),
    spot('spd', 'spd', null, [endX + 12, DEVICE_Y, MODULE_W, DEVICE_H]),
    ...spare.map((way) => spot(`spare${way}`, 'way', String(way), [wayX(way), DEVICE_Y + 30, MODULE_W, 130])),
    ...bothWays.map(({ device, name, x }) =>
      spot(`mark${device.way}`, 'mark', name, [x, DEVICE_Y + 52, MODULE_W, DEVICE_H - 104]),
    ),
    ...(bothWays.length > 0 ? [spot('sources', 'sources', null, [300, 636, 190, 56])] : []),
    ...(shared.length > 0 ? [spot('notice', 'notice', null, [300, 636, 190, 56])] : []),
    spot('chart', 'chart', null, [530, 596, 200, 44 + ways.length * 14], {
      rows: ways.map(({ device, name }) => `${device.way}  ${name}  ${printOf(device)}`).join('|'),
    }),
    ...[150, 1050].map((x, i) => spot(`screw${i + 1}`, 'coverScrew', String(i + 1), [x, 700, 24, 24])),
    spot('cover', 'cover', null, [190, 740, 820, 20]),
  ]
}

function wayOf({ device, name, x, section }: Row, place: number, isSplit: boolean): Bare[] {
  const isRcbo = device.residual !== null
  const screwX = BAR_X + place * PITCH
  const own = isSplit && section === 1 ? BARS_Y.n2 : BARS_Y.n1
  const other = own === BARS_Y.n1 ? BARS_Y.n2 : BARS_Y.n1
  return [
    spot(device.id, 'device', name, [x, DEVICE_Y - 60, MODULE_W, DEVICE_H + 60], {
      print: printOf(device),
      kind: isRcbo ? 'rcbo' : 'breaker',
      modules: modulesOf(device),
      from: -(DEVICE_Y - 88),
    }),
    spot(`label${device.way}`, 'label', name, [x - 1, DEVICE_Y + DEVICE_H + 44, MODULE_W, 24], {
      text: `${device.way}`,
    }),
    ...(isRcbo
      ? [
          spot(`n${device.way}`, 'flying', name, [screwX - 20, own - 8, 40, 100], {
            fromX: x + 30,
            fromY: DEVICE_Y + DEVICE_H - 8,
            lane: DEVICE_Y + DEVICE_H + 14 + place * 5,
            barY: own + 11,
          }),
        ]
      : [
          {
            ...spot(
              `n${device.way}`,
              'neutral',
              name,
              [screwX - 20, BARS_Y.n1 - 50, 40, isSplit ? 120 : 76],
              { cx: x + 26, own: own + 11, other: other + 11 },
            ),
            never: isSplit ? [] : ['other'],
          },
        ]),
    spot(`e${device.way}`, 'earth', name, [screwX + 2, BARS_Y.e - 50, 38, 76], {
      cx: x + 16,
      barY: BARS_Y.e + 11,
    }),
  ]
}

/** What stands behind the spots: the case, the rail, the bars. */
export function boardGround(rig: Rig, material: CaseMaterial): Shapes {
  const { shared } = rowOf(rig)
  return [
    rect('wall', 0, 0, SCENE_W, SCENE_H),
    put(CASE.x, CASE.y, boardCase(material, CASE.w, CASE.h)),
    put(CASE.x + 40, DEVICE_Y + 82, rail(CASE.w - 80)),
    ...(['n1', ...(shared.length > 1 ? ['n2' as const] : [])] as const).map((key) =>
      rounded(2, rect('brass', BAR_X - 24, BARS_Y[key], 390, 22)),
    ),
    rounded(2, rect('brass', BAR_X - 24, BARS_Y.e, 390, 22)),
    ...(shared.length > 1
      ? [
          words(BAR_X - 46, BARS_Y.n1 + 18, 'N 1', 'words plain'),
          words(BAR_X - 46, BARS_Y.n2 + 18, 'N 2', 'words plain'),
        ]
      : [words(BAR_X - 46, BARS_Y.n1 + 18, 'N', 'words plain')]),
    words(BAR_X - 46, BARS_Y.e + 18, 'E', 'words plain'),
  ]
}
