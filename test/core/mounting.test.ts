/* A board from a box of parts: what fits where, what a busbar touches, what is gone with a part, what is proved. */
import { describe, expect, it } from 'vitest'
import { compareRigs } from '#core/bay/compare/compare'
import { layoutBay } from '#core/bay/layout/layout'
import { rigProblems } from '#core/bay/model/check'
import { modulesOf } from '#core/bay/model/rail'
import { intakeWires, routesOf, wiringFields, type WiringFields } from '#core/bay/model/wiring'
import { boxesOf, canBeBare } from '#core/bay/mount/box'
import { mountingLacks } from '#core/bay/mount/check'
import { fits, mountOn, mountingFields, wiredOn } from '#core/bay/mount/mounted'
import { isProof, polesToProve, proofField, proofText } from '#core/bay/mount/proof'
import { benchBoard } from '#core/bay/practice/bench-board'
import { PRACTICE_BAYS } from '#core/bay/practice/bays'
import { inTurn, quiet, tryOut, type Act } from '#core/bay/practice/trial'
import { deadState } from '#core/bay/behaviour/state'
import { prepare } from '#core/bay/instruments/setup'
import { readContinuity } from '#core/bay/instruments/continuity'
import { openingBand } from '#core/bay/protection/band'
import { changePart } from '#core/bay/faults/edit'
import type { DevicePart, Rig, Socket } from '#core/bay/model/rig'

const bench = benchBoard()
const whole = (rig: Rig): Record<string, string> => ({
  ...Object.fromEntries(
    Object.entries(wiringFields(rig, intakeWires(rig))).filter(([name]) => !name.startsWith('blank.')),
  ),
  ...mountingFields(rig),
})
const built = (rig: Rig, fields: WiringFields): Rig =>
  wiredOn(mountOn(rig, fields).rig, routesOf(rig), fields)
const teethOf = (fields: WiringFields) => built(bench, fields).busbars[0]?.teeth
const differing = (change: WiringFields) =>
  compareRigs(bench, built(bench, { ...whole(bench), ...change })).map(({ code }) => code)

describe('a bare enclosure', () => {
  it('begins with nothing in it but what stands at the wall and the plug with its meter', () => {
    const { rig } = mountOn(bench, {})
    expect(rig.parts.filter(({ board }) => board !== null)).toEqual([])
    expect(rig.busbars).toEqual([])
    expect(new Set(rig.wires.flatMap(({ from, to }) => [from, to].map((ref) => ref.split('.')[0])))).toEqual(
      new Set(['supply', 'plug', 'meter']),
    )
  })
  it('mounted and wired as it was meant it is the board that was asked for, of every practice bay with one line', () => {
    let count = 0
    for (const { code, rig } of PRACTICE_BAYS) {
      const intended = rig()
      if (!canBeBare(intended)) continue
      const fields = whole(intended)
      const is = built(intended, fields)
      expect(rigProblems(is), code).toEqual([])
      expect(compareRigs(intended, is), code).toEqual([])
      expect(
        mountingLacks(intended, fields).filter((lack) => lack.code !== 'deviceUnproved'),
        code,
      ).toEqual([])
      count += 1
    }
    expect(count).toBeGreaterThan(5)
  })
  it('a board with three lines is not offered', () => {
    expect(canBeBare(PRACTICE_BAYS.find(({ code }) => code === 'three')!.rig())).toBe(false)
  })
})

describe('the rail', () => {
  const box = boxesOf(bench)[0]!
  const part = (id: string) => box.devices.find((device) => device.id === id)!
  // One module is 18 mm a pole that opens; DIN 43880, from memory.
  it('gives each device a module for each pole that opens', () => {
    expect(box.devices.map((device) => [device.id, modulesOf(device)])).toEqual([
      ['b1main', 2],
      ['b1rcd', 2],
      ['b1w1', 1],
      ['b1w2', 1],
    ])
    expect(box.places).toBe(8)
  })
  it('takes nothing over its ends or on another device; a device may move along its own place', () => {
    const places = new Map([['b1main', 3]])
    expect([2, 3, 4, 7, 8].map((place) => fits(box, places, part('b1rcd'), place))).toEqual([
      false,
      false,
      false,
      true,
      false,
    ])
    expect(fits(box, places, part('b1main'), 4)).toBe(true)
  })
  it('holds nothing before it is fitted, nor what is said to stand where it cannot', () => {
    expect(mountOn(bench, { 'mount.b1main': '1' }).mounting.places.size).toBe(0)
    const rail = { 'rail.b1': 'fitted' }
    for (const place of ['0', '8', '9', '-1', '1.5', 'x', ''])
      expect(mountOn(bench, { ...rail, 'mount.b1main': place }).mounting.places.size, place).toBe(0)
    // Two at one place: the second stays in the box.
    expect([...mountOn(bench, { ...rail, 'mount.b1main': '1', 'mount.b1rcd': '2' }).mounting.places]).toEqual(
      [['b1main', 1]],
    )
  })
  it('is drawn with each device where it stands, and a place to touch wherever nothing does', () => {
    const fields = { 'rail.b1': 'fitted', 'mount.b1main': '3', 'cover.b1.8': 'fitted' }
    const { rig, mounting } = mountOn(bench, fields)
    const { slots, boxes, rails } = layoutBay(rig, { boxes: boxesOf(bench), mounting })
    expect(slots.map(({ way, isBlanked }) => [way, isBlanked])).toEqual([
      [1, false],
      [2, false],
      [5, false],
      [6, false],
      [7, false],
      [8, true],
    ])
    const main = boxes.find(({ part: { id } }) => id === 'b1main')!
    expect(main.x).toBeGreaterThan(slots[1]!.x)
    expect(main.x + main.w).toBeLessThan(slots[2]!.x)
    expect(rails).toHaveLength(1)
  })
})

describe('every bare rail', () => {
  it('is drawn with nothing over anything else, RCBOs with two terminals in one module too', () => {
    for (const { code, rig: make } of PRACTICE_BAYS) {
      const intended = make()
      if (!canBeBare(intended)) continue
      const boxes = boxesOf(intended)
      const fields = Object.entries(mountingFields(intended))
      // Whole, and with every second device still in the box: open places lie between the rest.
      for (const kept of [() => true, (i: number) => i % 2 === 0]) {
        const { rig, mounting } = mountOn(intended, Object.fromEntries(fields.filter((_, i) => kept(i))))
        const layout = layoutBay(rig, { boxes, mounting })
        const onRail = layout.boxes.filter(({ part }) => mounting.places.has(part.id))
        const spans = [...onRail, ...layout.slots].sort((a, b) => a.y - b.y || a.x - b.x)
        for (const [i, { x, y, w }] of spans.entries()) {
          const next = spans[i + 1]
          if (next?.y === y) expect(x + w, code).toBeLessThan(next.x)
        }
        for (const { x, w } of spans) expect(x + w, code).toBeLessThanOrEqual(layout.width)
      }
    }
  })
})

describe('a busbar cut to so many modules', () => {
  it('touches the line of every device under it, and of none beyond', () => {
    expect(teethOf(whole(bench))).toEqual(['b1rcd.L out', 'b1w1.L in', 'b1w2.L in'])
    expect(teethOf({ ...whole(bench), 'comb.b1bus': '3' })).toEqual(['b1rcd.L out', 'b1w1.L in'])
    expect(teethOf({ ...whole(bench), 'comb.b1bus': '2' })).toEqual(['b1rcd.L out'])
  })
  const told = (change: WiringFields) =>
    mountingLacks(bench, { ...whole(bench), ...change }).flatMap(({ code, params }) =>
      code.startsWith('comb') ? [`${code} ${params.part ?? params.place ?? ''}`.trim()] : [],
    )
  it('the check tells what it does not reach, what it should not touch, and where it goes on for nothing', () => {
    expect(told({})).toEqual([])
    expect(told({ 'comb.b1bus': '3' })).toEqual(['combShort Way 2'])
    expect(told({ 'comb.b1bus': '5' })).toEqual(['combLong 7'])
    expect(told({ 'comb.b1bus': '' })).toEqual(['combMissing'])
    // The main switch moved under it: its outgoing line is joined to what the RCD protects.
    expect(told({ 'mount.b1main': '7', 'comb.b1bus': '6' })).toEqual(['combTouches Main switch'])
  })
  it('a breaker that stands before the device that feeds the busbar is not under it', () => {
    const moved = {
      ...whole(bench),
      'mount.b1main': '1',
      'mount.b1w2': '3',
      'mount.b1rcd': '4',
      'mount.b1w1': '6',
      'comb.b1bus': '3',
    }
    expect(teethOf(moved)).toEqual(['b1rcd.L out', 'b1w1.L in'])
  })
  it('is not there before its device, and one module is none', () => {
    expect(teethOf({ ...whole(bench), 'mount.b1rcd': '' })).toBeUndefined()
    expect(teethOf({ ...whole(bench), 'comb.b1bus': '1' })).toBeUndefined()
  })
  it('without its cap it is told, and it is drawn bare', () => {
    const fields = { ...whole(bench), 'cap.b1bus': '' }
    expect(mountingLacks(bench, fields).map(({ code }) => code)).toContain('capMissing')
    const { rig, mounting } = mountOn(bench, fields)
    expect(layoutBay(rig, { boxes: boxesOf(bench), mounting }).busbars[0]!.end).toBe('bare')
  })
})

describe('what is taken off or left out', () => {
  it('takes its conductors with it, and leaves a bay that can be computed', () => {
    const is = built(bench, { ...whole(bench), 'mount.b1w1': '' })
    expect(is.wires.some(({ from, to }) => from.startsWith('b1w1.') || to.startsWith('b1w1.'))).toBe(false)
    expect(rigProblems(is)).toEqual([])
    expect(tryOut(is, quiet(is), [], 5).happenings.some(({ kind }) => kind === 'unsolved')).toBe(false)
  })
  it('is told part by part', () => {
    expect(mountingLacks(bench, {}).map(({ code }) => code)).toEqual(['railMissing'])
    expect(
      mountingLacks(bench, { ...whole(bench), 'mount.b1w1': '', 'mount.b1n': '' }).flatMap(
        ({ code, where }) => (code === 'notMounted' ? [where] : []),
      ),
    ).toEqual(['b1w1', 'b1n'])
  })
  it('an open place is a difference from what was asked for', () => {
    expect(
      differing({ 'cover.b1.7': '', 'cover.b1.8': '' }).filter((code) => code === 'blankMissing'),
    ).toHaveLength(2)
    expect(differing({ 'cover.b1.8': '' }).filter((code) => code === 'blankMissing')).toHaveLength(1)
  })
})

describe('proving each pole before any supply', () => {
  const read = (rig: Rig, device: string, closed: readonly string[]) =>
    proofText(
      readContinuity(
        prepare(rig, {
          ...deadState(rig),
          closed: Object.fromEntries(closed.map((id) => [id, true])),
          inUse: {},
        }),
        { at: `${device}.L in`, to: `${device}.L out` },
      ),
    )
  it('asks for both positions of every pole that opens, at the board alone', () => {
    expect(new Set(polesToProve(bench).map(proofField))).toEqual(
      new Set(
        ['b1main.L', 'b1main.N', 'b1rcd.L', 'b1rcd.N', 'b1w1.L', 'b1w2.L'].flatMap((pole) => [
          `proof.${pole}.open`,
          `proof.${pole}.closed`,
        ]),
      ),
    )
  })
  it('a sound device reads no continuity open and next to nothing closed', () => {
    const is = built(bench, whole(bench))
    for (const device of ['b1main', 'b1rcd', 'b1w1', 'b1w2']) {
      expect(isProof('open', read(is, device, [])), device).toBe(true)
      expect(isProof('closed', read(is, device, [device])), device).toBe(true)
    }
  })
  it('a pole that does not open is caught by it, and by nothing that is seen', () => {
    const welded = changePart<DevicePart>(built(bench, whole(bench)), 'b1main', { solid: ['L'] })
    expect(isProof('open', read(welded, 'b1main', []))).toBe(false)
  })
  it.each([
    ['open', '', false],
    ['open', 'over', true],
    ['open', '0.02', false],
    ['open', '88', false],
    ['closed', '0.02', true],
    ['closed', '12', false],
    ['closed', 'over', false],
    ['closed', '', false],
  ] as const)('%s, read as “%s”: %s', (position, text, is) => {
    expect(isProof(position, text)).toBe(is)
  })
})

// BS EN 60898-1 Table 7, from memory: 1.13 In not within the hour, 1.45 In within it, 2.55 In within a minute.
describe('an overload that can be watched with ordinary loads', () => {
  const opensAfter = (watt: number): number | undefined => {
    const is = changePart<Socket>(built(bench, whole(bench)), 'c2p1', { load: { kind: 'resistive', watt } })
    const acts: readonly Act[] = [{ kind: 'use', part: 'c2p1', on: true }]
    const trip = tryOut(is, quiet(is), acts, 3600).happenings.find(({ kind }) => kind === 'tripped')
    return inTurn(acts).length && trip?.atS
  }
  it('400 W hold on the 2 A breaker, 690 W open it within the hour, 1 200 W within a minute', () => {
    expect(opensAfter(400)).toBeUndefined()
    expect(opensAfter(690)).toBeGreaterThan(60)
    expect(opensAfter(1200)).toBeLessThan(60)
    const band = openingBand({ family: 'breaker', curve: 'B' }, 2, 1200 / 230)
    expect(opensAfter(1200)).toBeGreaterThanOrEqual(band.earliestS)
    expect(opensAfter(1200)).toBeLessThanOrEqual(band.latestS * 1.1)
  })
})
