import type { DevicePart, Rig } from '../../bay/model/rig'
import { DEVICE_H, MODULE_W } from '../../drawing/device'
import { boardCase, rail, type CaseMaterial } from '../../drawing/enclosure'
import { put, rect, rounded, words, type Shapes } from '../../drawing/shape'
import { SCENE_H, SCENE_W, spot, type Bare } from './spot'

const CASE = { x: 50, y: 50, w: 1100, h: 680 }
const MAIN_X = 140
const MAIN_MODULES = 4
const DEVICE_Y = 330
const WAYS_X = MAIN_X + MAIN_MODULES * MODULE_W + 12
const LINES = 3
const BAR_X = 770
const BAR_W = 340
const SCREW_STEP = 40
const N_Y = 170
const E_Y = 264
const COLOURS = ['brown', 'black', 'grey'] as const

/** A device of a board with three lines: which way and line it begins on, and how many lines it takes. */
interface Way {
  readonly device: DevicePart
  readonly name: string
  /** As it is written: `2L1`, or `1` for all three lines. */
  readonly key: string
  readonly x: number
  readonly lines: readonly number[]
}

function waysOf(rig: Rig): Way[] {
  const frame = rig.boards[0]!
  return rig.parts
    .filter((part): part is DevicePart => part.kind === 'device' && part.role === 'way')
    .map((device): Way => {
      const line = /L([123])$/.exec(device.name)
      const lines = line ? [Number(line[1]) - 1] : [0, 1, 2]
      const key = line ? `${device.way}L${line[1]}` : String(device.way)
      return {
        device,
        key,
        name: frame.labels[key] ?? frame.labels[String(device.way)] ?? device.name,
        x: WAYS_X + ((device.way! - 1) * LINES + lines[0]!) * MODULE_W,
        lines,
      }
    })
    .sort((a, b) => a.x - b.x)
}

const printOf = ({ overcurrent, ratingA }: DevicePart): string =>
  `${overcurrent?.curve ?? ''} ${ratingA}`.trim()
const endOf = (rig: Rig): number => WAYS_X + rig.boards[0]!.ways * LINES * MODULE_W

/** Everything that can be looked at on a board with three lines, laid out from the model of its bay. */
export function threePhaseSpots(rig: Rig): Bare[] {
  const ways = waysOf(rig)
  const endX = endOf(rig)
  const taken = new Set(ways.flatMap(({ device, lines }) => lines.map((line) => `${device.way} ${line}`)))
  const slots = Array.from({ length: rig.boards[0]!.ways * LINES }, (_, i) => ({
    way: Math.floor(i / LINES) + 1,
    line: i % LINES,
    x: WAYS_X + i * MODULE_W,
  }))
  const single = ways.filter(({ lines }) => lines.length === 1)
  return [
    spot('inside', 'case', null, [780, 600, 320, 96]),
    ...[830, 930, 1030].map((x, i) => spot(`top${i + 1}`, 'top', String(i + 1), [x, 38, 44, 28])),
    spot('side1', 'side', 'left', [36, 470, 44, 28]),
    spot('side2', 'side', 'right', [1120, 470, 44, 28]),
    spot('entry1', 'entry', 'cables', [WAYS_X - 12, 20, endX - WAYS_X + 20, 76], {
      xs: ways.map(({ x, lines }) => x + (lines.length * MODULE_W) / 2 - 1).join(' '),
    }),
    spot('busbar', 'busbar', null, [WAYS_X, DEVICE_Y + DEVICE_H - 4, endX - WAYS_X + 44, 44], {
      fingers: slots.map(({ x }) => x + 21 - WAYS_X).join(' '),
      wide: endX - WAYS_X,
    }),
    spot('tails', 'tails', null, [76, 222, 260, 498], { lines: LINES, mainX: MAIN_X }),
    spot('main', 'isolator', null, [MAIN_X, DEVICE_Y, MAIN_MODULES * MODULE_W, DEVICE_H], {
      modules: MAIN_MODULES,
    }),
    ...ways.flatMap((way) => wayOf(way, ways, single)),
    ...slots
      .filter(({ way, line }) => !taken.has(`${way} ${line}`))
      .map(({ way, line, x }) =>
        spot(`spare${way}L${line + 1}`, 'way', `${way}L${line + 1}`, [x, DEVICE_Y + 30, MODULE_W, 130]),
      ),
    spot('spd', 'spd', null, [endX + 12, DEVICE_Y, MODULE_W, DEVICE_H]),
    spot('chart', 'chart', null, [530, 596, 200, 44 + ways.length * 14], {
      rows: ways.map(({ device, key, name }) => `${key}  ${name}  ${printOf(device)}`).join('|'),
    }),
    ...[150, 1050].map((x, i) => spot(`screw${i + 1}`, 'coverScrew', String(i + 1), [x, 700, 24, 24])),
    spot('cover', 'cover', null, [190, 740, 820, 20]),
  ]
}

function wayOf({ device, key, name, x, lines }: Way, ways: readonly Way[], single: readonly Way[]): Bare[] {
  const modules = lines.length
  const cableX = x + (modules * MODULE_W) / 2 - 1
  const place = ways.findIndex((way) => way.key === key)
  const neutralPlace = single.findIndex((way) => way.key === key)
  const screwX = BAR_X + 12 + place * SCREW_STEP
  const neutralX = BAR_X + 12 + neutralPlace * SCREW_STEP
  return [
    {
      ...spot(device.id, 'device', name, [x, DEVICE_Y - 60, modules * MODULE_W, DEVICE_H + 60], {
        print: printOf(device),
        kind: device.residual ? 'rcbo' : 'breaker',
        modules,
        from: -(DEVICE_Y - 88),
        colours: lines.map((line) => COLOURS[line]).join(' '),
      }),
    },
    spot(`label${key}`, 'label', name, [x - 1, DEVICE_Y + DEVICE_H + 44, MODULE_W, 24], { text: key }),
    ...(neutralPlace < 0
      ? []
      : [
          {
            ...spot(`n${key}`, 'neutral', name, [neutralX - 20, N_Y - 60, 40, 86], {
              cx: cableX + 5,
              own: N_Y + 11,
              other: N_Y + 11,
            }),
            never: ['other'],
          },
        ]),
    spot(`e${key}`, 'earth', name, [screwX, E_Y - 50, 38, 76], { cx: cableX - 5, barY: E_Y + 11 }),
  ]
}

/** What stands behind the spots: the case, the rail, the bars with their numbered screws. */
export function threePhaseGround(rig: Rig, material: CaseMaterial): Shapes {
  const bar = (y: number, name: string): Shapes => [
    rounded(2, rect('brass', BAR_X - 24, y, BAR_W, 22)),
    words(BAR_X - 46, y + 18, name, 'words plain'),
    ...Array.from({ length: Math.floor((BAR_W - 20) / SCREW_STEP) }, (_, i) =>
      words(BAR_X + 28 + i * SCREW_STEP, y + 42, String(i + 1), 'words plain'),
    ),
  ]
  return [
    rect('wall', 0, 0, SCENE_W, SCENE_H),
    put(CASE.x, CASE.y, boardCase(material, CASE.w, CASE.h)),
    put(CASE.x + 40, DEVICE_Y + 82, rail(endOf(rig) - CASE.x + 20)),
    ...bar(N_Y, 'N'),
    ...bar(E_Y, 'E'),
    ...['L1', 'L2', 'L3', 'N'].map((name, i) =>
      words(MAIN_X + 21 + i * MODULE_W, DEVICE_Y + DEVICE_H + 18, name, 'words plain'),
    ),
  ]
}
