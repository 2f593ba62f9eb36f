/* The drawing of a bench: all of it on the sheet wherever the knobs stand, and dark until it is switched on. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { BENCH_CODES, benchOf, type BenchCode } from '#core/principles/benches'
import type { Knob } from '#core/principles/bench'
import { sketchOf } from '../../app/texts/principle-sketch'

const WIDTH = 560
const HEIGHT = 228

const turned = (code: BenchCode) =>
  fc.tuple(
    ...Object.entries<Knob>(benchOf(code).knobs).map(([key, knob]) =>
      'choices' in knob
        ? fc.tuple(fc.constant(key), fc.constantFrom(...knob.choices))
        : fc.tuple(fc.constant(key), fc.constantFrom(knob.least, knob.start, knob.most)),
    ),
  )

it('stays on the sheet, and shows nothing of what comes out before it is on', () => {
  for (const code of BENCH_CODES)
    fc.assert(
      fc.property(turned(code), (pairs) => {
        const settings = Object.fromEntries(pairs)
        const figures = benchOf(code).work(settings)
        const [off, on] = [false, true].map((isOn) => sketchOf(code, settings, figures, isOn))
        expect(off!.items.every(({ level }) => level === 0)).toBe(true)
        expect(off!.items.map(({ level: _, ...rest }) => rest)).toEqual(
          on!.items.map(({ level: _, ...rest }) => rest),
        )
        for (const { x, y, level } of on!.items) {
          expect(x > 0 && x < WIDTH && y > 0 && y < HEIGHT, `${code} ${x} ${y}`).toBe(true)
          expect(level >= 0 && level <= 1).toBe(true)
        }
        for (const wire of on!.wires) expect(wire).not.toMatch(/NaN|undefined/)
      }),
      { numRuns: 30 },
    )
})

it('has as many lamps as are set, brighter side by side than one behind the other', () => {
  const lamps = (beside: number) => {
    const settings = { count: 4, watt: 60, beside }
    const { items } = sketchOf('lamps', settings, benchOf('lamps').work(settings), true)
    return items.filter(({ kind }) => kind === 'lamp')
  }
  expect([lamps(0).length, lamps(1).length]).toEqual([4, 4])
  expect(lamps(1)[0]!.level).toBe(1)
  expect(lamps(0)[0]!.level).toBeCloseTo(1 / 16, 9)
})
