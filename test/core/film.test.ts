/* What happens at a bay, picture by picture: the same events as told, currents as Kirchhoff and Ohm want them. */
import { describe, expect, it } from 'vitest'
import { filmOf, flowNow, type Frame } from '#core/bay/behaviour/film'
import { simulate } from '#core/bay/behaviour/simulate'
import type { Rig, Socket } from '#core/bay/model/rig'
import { partIdOf } from '#core/bay/model/terminals'
import { changePart } from '#core/bay/faults/edit'
import { bayOf, faulty, inTurn, quiet, wireAt, type Act } from '#core/bay/practice/trial'
import { EXPERIMENTS } from '#words/experiments/experiments'

/** Current that goes into a bar less what comes out of it, A. */
const leftOverAt = (rig: Rig, { currents }: Pick<Frame, 'currents'>, bar: string): number =>
  rig.wires.reduce((sum, { id, from, to }) => {
    const ampere = currents[id] ?? 0
    return sum + (partIdOf(to) === bar ? ampere : 0) - (partIdOf(from) === bar ? ampere : 0)
  }, 0)
const heated = (watt: number): Rig =>
  changePart<Socket>(bayOf('split'), 'c1p1', { load: { kind: 'resistive', watt } })
const ON: readonly Act[] = [{ kind: 'use', part: 'c1p1', on: true }]
const otherBar = (): Rig => {
  const sound = bayOf('split')
  return faulty(sound, ['neutralOnOtherBar', `${wireAt(sound, 'b1nB', 'c2p1')} b1nA`])
}

describe('a film', () => {
  it('has a picture for each time between two events, and every event in one of them', () => {
    const rig = otherBar()
    const acts = inTurn([...ON, { kind: 'throw', part: 'c2p0', on: true }])
    const frames = filmOf(rig, quiet(rig), acts, 60)
    expect(frames.flatMap(({ happenings }) => happenings)).toEqual(
      simulate(rig, quiet(rig), acts, { untilS: 60 }).happenings,
    )
    expect(frames.map(({ atS }) => atS)).toEqual([...frames].map(({ atS }) => atS).sort((a, b) => a - b))
    // Both RCDs let go: what carried the heater carries nothing in the last picture.
    expect(new Set(frames.at(-1)!.tripped)).toEqual(new Set(['b1rcdA', 'b1rcdB']))
    expect(frames.at(-1)!.working).toEqual([])
    expect(frames.at(-1)!.currents).toEqual({})
  })
  it('what has tripped stands as tripped until it is closed again', () => {
    const rig = heated(3000)
    const acts = inTurn([
      { kind: 'fault', leak: { id: 'leak', from: 'c1p1.L', to: 'c1p1.E', ohm: 500 } },
      { kind: 'close', part: 'b1rcdA', on: true },
    ])
    const frames = filmOf(rig, quiet(rig), acts, 60)
    expect(frames.some(({ tripped }) => tripped.includes('b1rcdA'))).toBe(true)
    const closing = frames.find(({ happenings }) =>
      happenings.some((one) => one.kind === 'done' && one.action.kind === 'close'),
    )!
    expect(closing.tripped).not.toContain('b1rcdA')
  })
  // Ohm's law: 2 300 W at 230 V draw 10 A; the circuit's own copper takes less than a tenth of it.
  it('carries the current of its load in line and neutral, and none in the earth', () => {
    const rig = heated(2300)
    const currents = filmOf(rig, quiet(rig), inTurn(ON), 5).at(-1)!.currents
    const [line, neutral] = [wireAt(rig, 'b1w1.L out', 'c1p1.L'), wireAt(rig, 'b1nA', 'c1p1.N')]
    expect(Math.abs(currents[line]!)).toBeGreaterThan(9)
    expect(Math.abs(currents[line]!)).toBeLessThan(10)
    expect(Math.abs(currents[neutral]!)).toBeCloseTo(Math.abs(currents[line]!), 3)
    expect(currents[wireAt(rig, 'b1e', 'c1p1.E')]).toBeUndefined()
  })
  it('goes out in the line and comes back in the neutral', () => {
    const rig = heated(2300)
    const { currents } = filmOf(rig, quiet(rig), inTurn(ON), 5).at(-1)!
    const away = (a: string, b: string): boolean => {
      const wire = rig.wires.find(({ id }) => id === wireAt(rig, a, b))!
      const starts = wire.from.startsWith(a)
      return currents[wire.id]! > 0 === starts
    }
    expect(away('b1w1.L out', 'c1p1.L')).toBe(true)
    expect(away('b1nA', 'c1p1.N')).toBe(false)
  })
  // Kirchhoff's current law, at every neutral and earth bar, in every picture of every experiment with one phase.
  it('what comes to a bar leaves it', () => {
    for (const { code, settings, run } of EXPERIMENTS) {
      const { scenes } = run(Object.fromEntries(settings.map(({ key, usual }) => [key, usual])))
      for (const { rig, state, actions, untilS } of scenes) {
        const supply = rig.parts.find((part) => part.kind === 'supply')!
        if (supply.kind !== 'supply' || supply.phases === 3) continue
        const bars = rig.parts.filter(({ kind }) => kind === 'bar')
        for (const frame of filmOf(rig, state, actions, untilS))
          for (const { id } of bars) {
            // Nothing under half a milliampere is drawn, so much may be missing in each conductor of a bar.
            const loose = rig.wires.filter(({ from, to }) => [partIdOf(from), partIdOf(to)].includes(id))
            expect(Math.abs(leftOverAt(rig, frame, id)), `${code} ${id}`).toBeLessThan(
              1e-3 * (loose.length + 1),
            )
          }
      }
    }
  })
  it('every experiment has something to watch at both ends of its settings', () => {
    for (const { code, settings, run } of EXPERIMENTS)
      for (const end of ['min', 'max'] as const) {
        const chosen = settings.map((one) => [
          one.key,
          one.choices?.at(end === 'min' ? 0 : -1)?.value ?? one[end],
        ])
        const { scenes } = run(Object.fromEntries(chosen))
        expect(scenes.length, code).toBeGreaterThan(0)
        for (const { rig, state, actions, untilS } of scenes)
          expect(filmOf(rig, state, actions, untilS).length, code).toBeGreaterThan(0)
        // One of several is told by its name.
        expect(new Set(scenes.map(({ name }) => name)).size, code).toBe(scenes.length)
      }
  })
  it('what flows as the bay stands is what the last picture shows', () => {
    const rig = heated(1500)
    const last = filmOf(rig, quiet(rig), inTurn(ON), 5).at(-1)!
    expect(flowNow(rig, last.state)).toEqual(last.currents)
  })
})
