/* What is drawn in a rehearsal is what was done: locks, hasps, notices, the point as it was left, lamps that light. */
import { describe, expect, it } from 'vitest'
import sharp from 'sharp'
import { boardFace, type FaceDevice } from '#core/drawing/board-face'
import { pointClosed, pointOpen } from '#core/drawing/point-of-work'
import type { Shapes } from '#core/drawing/shape'
import {
  LAMPS_V,
  multimeter,
  nonContactDetector,
  plugInTester,
  provingUnit,
  twoPoleIndicator,
} from '#core/drawing/tester'
import type { Secured } from '#core/drawing/securing'
import { replay } from '#core/isolation/trainer/run'
import { SCENARIO_CODES } from '#core/isolation/trainer/scenarios/scenarios'
import { faceOf, facesOf } from '#core/bay/layout/face'
import { practiceBay } from '#core/bay/practice/bays'
import { securedIn, workPointOf } from '#core/isolation/trainer/seen'
import type { DevicePart } from '#core/bay/model/rig'
import { svgOf } from '../support/scene-svg'

const NOTHING: Secured = { isLocked: false, hasHasp: false, isLockedByOther: false, notice: 'none' }
const after = (code: (typeof SCENARIO_CODES)[number], ...moves: readonly string[]) => replay(code, 1, moves)!
const board = (secured: Partial<Secured> = {}): readonly FaceDevice[] =>
  (['b1main', 'w1', 'w2'] as const).map((id, i) => ({
    id,
    kind: i === 0 ? 'switch' : 'breaker',
    modules: i === 0 ? 2 : 1,
    print: 'B 16',
    isOn: i !== 1,
    label: String(i),
    secured: i === 1 ? { ...NOTHING, ...secured } : NOTHING,
  }))
const picture = (shapes: Shapes, w: number, h: number) =>
  sharp(Buffer.from(svgOf(shapes, w, h)))
    .removeAlpha()
    .raw()
    .toBuffer()
const W = 500
const faceShapes = (secured: Partial<Secured>): Shapes => {
  const { ground, devices, cover, hung } = boardFace(board(secured), [])
  return [...ground, ...devices.flatMap(({ shapes }) => shapes), ...cover, ...hung]
}

describe('what hangs at a device', () => {
  it('follows from what was done: lock, notice with and without writing, hasp', () => {
    const off = ['walk board', 'switch b1w1']
    expect(securedIn(after('bench', ...off), 'b1w1')).toEqual(NOTHING)
    expect(securedIn(after('bench', ...off, 'hasp b1w1', 'lock b1w1', 'notice b1w1'), 'b1w1')).toEqual({
      isLocked: true,
      hasHasp: true,
      isLockedByOther: false,
      notice: 'written',
    })
    expect(securedIn(after('bench', ...off, 'blankNotice b1w1'), 'b1w1').notice).toBe('blank')
    expect(securedIn(after('bench', ...off, 'notice b1w1', 'removeNotice b1w1'), 'b1w1').notice).toBe('none')
    expect(securedIn(after('bench', ...off, 'lock b1w1'), 'b1w2')).toEqual(NOTHING)
  })
  it('somebody else’s padlock is seen once the device is off, and stays when one’s own comes off', () => {
    expect(securedIn(after('two-trades', 'walk board'), 'b1w3').isLockedByOther).toBe(false)
    const both = ['walk board', 'switch b1w3', 'lock b1w3']
    expect(securedIn(after('two-trades', ...both), 'b1w3')).toMatchObject({
      isLocked: true,
      isLockedByOther: true,
    })
    expect(securedIn(after('two-trades', ...both, 'unlock b1w3'), 'b1w3')).toMatchObject({
      isLocked: false,
      isLockedByOther: true,
    })
  })
  it('each of them is to be seen: the picture of the board differs with it', async () => {
    const bare = await picture(faceShapes({}), W, 340)
    const seen: readonly Partial<Secured>[] = [
      { isLocked: true },
      { hasHasp: true },
      { isLockedByOther: true },
      { notice: 'blank' },
      { notice: 'written' },
      { isLocked: true, isLockedByOther: true, hasHasp: true },
    ]
    const pictures = [bare, ...(await Promise.all(seen.map((one) => picture(faceShapes(one), W, 340))))]
    for (const [i, one] of pictures.entries())
      for (const other of pictures.slice(i + 1)) expect(one.equals(other)).toBe(false)
  })
})

/** Whatever is not a socket in its scenario. */
const POINT: Readonly<Record<string, string>> = {
  'joint-box': 'box',
  'pit-lamp': 'lamp',
  'wheel-lathe': 'unit',
}

describe('a board from before it', () => {
  it('has each device in its order, as wide as its modules, none over another', () => {
    const { devices, w } = boardFace(board(), [])
    expect(devices.map(({ id }) => id)).toEqual(['b1main', 'w1', 'w2'])
    for (const [i, { x, w: wide }] of devices.entries())
      expect(x + wide).toBeLessThanOrEqual(devices[i + 1]?.x ?? w)
  })
  it('nothing moves when the chart is read or a lock hangs: each device stays under the finger', () => {
    const places = (one: ReturnType<typeof boardFace>) => [one.w, ...one.devices.map(({ x }) => x)]
    expect(places(boardFace(board({ isLocked: true }), ['1  Sockets']))).toEqual(
      places(boardFace(board(), [])),
    )
  })
  it('every device of every rehearsal has a face, and every point of work a picture, shut and open', () => {
    for (const code of SCENARIO_CODES) {
      const { rig, world } = after(code)
      const devices = rig.parts.filter(
        (part): part is DevicePart => part.kind === 'device' && part.board !== null,
      )
      for (const device of devices) expect(faceOf(device).modules, code).toBeGreaterThan(0)
      expect(faceOf(devices.find(({ role }) => role === 'main-switch')!).kind).toBe('switch')
      const kind = workPointOf(rig.parts.find(({ id }) => id === world.point)!)
      expect(kind, code).toBe(POINT[code] ?? 'socket')
      expect(pointClosed(kind).length, code).toBeGreaterThan(0)
    }
  })
  it('a device that does not open a pole looks like one that does: its face gives no answer away', () => {
    const welded = after('whole-board').rig.parts.find(({ id }) => id === 'b1main') as DevicePart
    const sound = after('bench').rig.parts.find(({ id }) => id === 'b1main') as DevicePart
    expect(welded.solid).not.toEqual(sound.solid)
    expect(faceOf(welded)).toEqual(faceOf(sound))
  })
})

describe('a board on its chart', () => {
  const labels = (code: 'split' | 'three') => {
    const rig = practiceBay(code)!.rig()
    return facesOf(rig, 'b1', ({ name }) => name).map(({ label }) => label)
  }
  it('has each section behind its RCD, and with three lines each way with its lines', () => {
    expect(labels('split')).toEqual(['Main switch', 'RCD A', 'Way 1', 'RCD B', 'Way 2'])
    expect(labels('three')).toEqual(['Main switch', 'Way 1L1', 'Way 1L2', 'Way 1L3'])
  })
  it('stands alone, without the place of a chart beside it', () => {
    expect(boardFace(board(), null).w).toBeLessThan(boardFace(board(), []).w)
  })
})

describe('what is held in the hand', () => {
  const lit = (shapes: Shapes) =>
    shapes.filter((shape) => shape.is !== 'group' && shape.skin === 'lamp on').length
  it('a two-pole indicator lights its lamps up to the voltage, and none at a dead pair', () => {
    expect([0, 230, 400].map((volt) => lit(twoPoleIndicator(volt)))).toEqual([
      0,
      LAMPS_V.filter((lamp) => lamp <= 230).length,
      LAMPS_V.length,
    ])
  })
  it('each other one shows whether it is lit', () => {
    expect([lit(plugInTester('lit', true)), lit(plugInTester('', false))]).toEqual([1, 0])
    expect([lit(provingUnit(true)), lit(provingUnit(false))]).toEqual([1, 0])
    expect(nonContactDetector(true)).not.toEqual(nonContactDetector(false))
    expect(multimeter('228 V')).toContainEqual(expect.objectContaining({ text: '228 V' }))
  })
  it('neutrals that are parted, and tape on them, are seen at the open point', async () => {
    const looks = [
      { isOpen: true, isParted: false, isTaped: false },
      { isOpen: true, isParted: true, isTaped: false },
      { isOpen: true, isParted: true, isTaped: true },
    ]
    const [shut, parted, taped] = await Promise.all(looks.map((look) => picture(pointOpen(look), 300, 190)))
    expect(shut!.equals(parted!)).toBe(false)
    expect(parted!.equals(taped!)).toBe(false)
  })
})
