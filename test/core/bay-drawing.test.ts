/* Drawings from the model: nothing lies on anything else, every conductor arrives where it is connected, a traced path is a way through the bay. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { workingState } from '#core/bay/behaviour/state'
import { tracePoint } from '#core/bay/behaviour/trace-point'
import { layoutBay } from '#core/bay/layout/layout'
import { TERMINAL_R, type BayLayout, type Rect } from '#core/bay/layout/placed'
import { pathOf, routeWires, type Point } from '#core/bay/layout/route'
import { drawRun, project } from '#core/containment/drawing'
import { designOf } from '#core/exercise/assignment'
import { PRACTICE_BAYS } from '#core/bay/practice/bays'
import { buildRig } from '#core/bay/build/build'
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, nodeOf, terminalsOf } from '#core/bay/model/terminals'
import { cornersOf } from '#core/containment/geometry'
import { readRun } from '#core/containment/form'
import { PIT_RUN } from '../../demo/workmanship'
import { boards } from '../support/boards'

const bays: readonly (readonly [string, Rig])[] = PRACTICE_BAYS.map(({ code, rig }) => [code, rig()] as const)
const generated = fc
  .sample(boards, { numRuns: 40, seed: 5 })
  .flatMap((assignment) => buildRig(assignment.installation, designOf(assignment), 'Bay') ?? [])
  .slice(0, 6)
const all: readonly (readonly [string, Rig])[] = [
  ...bays,
  ...generated.map((rig, i) => [`generated ${i + 1}`, rig] as const),
]

const overlap = (a: Rect, b: Rect) => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h
const inside = (a: Rect, b: Rect) =>
  a.x >= b.x && a.y >= b.y && a.x + a.w <= b.x + b.w && a.y + a.h <= b.y + b.h
const isIn = ({ x, y }: Point, { width, height }: Pick<BayLayout, 'width' | 'height'>) =>
  x >= 0 && y >= 0 && x <= width && y <= height

describe.each(all)('the drawing of a bay: %s', (_, rig) => {
  const layout = layoutBay(rig)
  it('has a box for every part and a place for every terminal, inside the sheet', () => {
    expect(layout.boxes.map(({ part }) => part.id).sort()).toEqual(rig.parts.map(({ id }) => id).sort())
    for (const part of rig.parts)
      for (const name of terminalsOf(part))
        expect(isIn(layout.terminals.get(`${part.id}.${name}`)!, layout), `${part.id}.${name}`).toBe(true)
  })
  it('lays nothing over anything else; terminals stay as far apart as a finger needs', () => {
    const boxes: Rect[] = [...layout.boxes, ...layout.slots]
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(overlap(a, b)).toBe(false)))
    const places = [...layout.terminals.values()]
    places.forEach((a, i) =>
      places
        .slice(i + 1)
        .forEach((b) =>
          expect(Math.hypot(a.x - b.x, a.y - b.y), `${a.ref} ${b.ref}`).toBeGreaterThanOrEqual(
            2 * TERMINAL_R,
          ),
        ),
    )
    for (const { part, ...box } of layout.boxes)
      if (part.board)
        expect(
          inside(
            box,
            layout.frames.find(({ board }) => board.id === part.board)!,
          ),
          part.id,
        ).toBe(true)
  })
  it('runs every conductor in right angles from the rim of one terminal to the rim of the other', () => {
    const routes = routeWires(layout, rig.wires)
    expect(routes.size).toBe(rig.wires.length)
    for (const { id, from, to } of rig.wires) {
      const points = routes.get(id)!
      for (const [ref, end] of [
        [from, points[0]!],
        [to, points.at(-1)!],
      ] as const) {
        const { x, y } = layout.terminals.get(ref)!
        expect(Math.hypot(end.x - x, end.y - y), ref).toBeCloseTo(TERMINAL_R, 6)
      }
      points
        .slice(1)
        .forEach((point, i) => expect(point.x === points[i]!.x || point.y === points[i]!.y, id).toBe(true))
      expect(
        points.every((point) => isIn(point, layout)),
        id,
      ).toBe(true)
      expect(pathOf(points)).toMatch(/^M[\d.]+,[\d.]+(?:[LQ][\d.,-]+)+$/)
    }
  })
  it('stays where it is while somebody wires', () => {
    const place = (entry: Rig) => [...layoutBay(entry).terminals]
    expect(place({ ...rig, wires: [] })).toEqual(place(rig))
    const [first] = possibleFaults(rig).filter(({ kind }) => kind.code === 'lineOpen')
    expect(place(first!.kind.apply(rig, first!.place))).toEqual(place(rig))
  })
  it('traces line, neutral and earth of every point back to the origin, each step from where the last one ended', () => {
    // Terminals of a bar are one place.
    const node = (ref: string) => nodeOf(indexParts(rig), ref)
    for (const part of rig.parts.filter(({ kind }) => kind === 'socket' || kind === 'lampholder')) {
      const poles = tracePoint(rig, workingState(rig), part)
      const isBattery = rig.parts.some(
        (candidate) => candidate.kind === 'supply' && candidate.arrangement === 'battery',
      )
      if (!isBattery) expect(poles.map(({ pole }) => pole).sort(), part.id).toEqual(['E', 'L', 'N'])
      for (const { steps, to } of poles) {
        expect(steps?.at(-1)?.to, `${part.id} ${to}`).toBe(to)
        steps!.slice(1).forEach((step, i) => expect(node(step.from)).toBe(node(steps![i]!.to)))
      }
    }
  })
})

describe('the drawing of a run', () => {
  const { run, former } = readRun(PIT_RUN).sheet!
  it('holds every corner, straights on the wall at their true length', () => {
    const drawn = drawRun(run, former)
    const { x, y, width, height } = drawn.viewBox
    for (const corner of drawn.corners)
      expect(corner.x > x && corner.y > y && corner.x < x + width && corner.y < y + height).toBe(true)
    const ends = (straight: number) =>
      drawn.corners.filter(({ corner }) => corner.straight === straight).at(-1)!
    expect(ends(-1).y - ends(0).y).toBeCloseTo(run.straights[0]!.lengthMm, 6)
    expect(drawn.path.match(/Q/g)!.length).toBe(
      drawn.corners.filter(({ corner }) => corner.joint === 'bend' || corner.joint === 'set').length,
    )
  })
  it('shows up as up, right as right, and what comes off the wall to the lower right', () => {
    expect(project([0, 100, 0])).toEqual({ x: 0, y: -100 })
    expect(project([100, 0, 0]).x).toBe(100)
    const out = project([0, 0, 100])
    expect(out.x > 0 && out.y > 0).toBe(true)
  })
  it('of measured corners moves those behind the deviation, and only those', () => {
    const corners = cornersOf(run)
    const shifted = corners.map(({ at, straight }) =>
      straight >= 2 ? ([at[0] + 50, at[1], at[2]] as const) : at,
    )
    const [plain, moved] = [drawRun(run, former), drawRun(run, former, shifted)]
    plain.corners.forEach(({ x, corner }, i) =>
      expect(moved.corners[i]!.x - x).toBeCloseTo(corner.straight >= 2 ? 50 : 0, 6),
    )
  })
})
