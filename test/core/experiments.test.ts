/* Guided experiments: what a workshop knows to happen, common practice, no source where none is named. */
import { describe, expect, it } from 'vitest'
import { EXPERIMENTS, experiment } from '#words/experiments/experiments'
import type { Settings } from '#words/experiments/experiment'
import { PRACTICE_BAYS, practiceBay } from '#core/bay/practice/bays'
import { rigProblems } from '#core/bay/model/check'
import { compareRigs } from '#core/bay/compare/compare'
import { applyWiring, bareRig, routesOf, wiringFields } from '#core/bay/model/wiring'

function run(code: string, chosen: Settings = {}) {
  const found = experiment(code)!
  const outcome = found.run({
    ...Object.fromEntries(found.settings.map(({ key, usual }) => [key, usual])),
    ...chosen,
  })
  return {
    ...outcome,
    text: [
      ...outcome.lines,
      ...outcome.figures.map(({ name, value }) => `${name}: ${value}`),
      outcome.because,
    ].join('\n'),
  }
}

describe('experiments', () => {
  it('every one runs at both ends of its settings and explains itself', () => {
    for (const { code, settings, bay } of EXPERIMENTS) {
      expect(practiceBay(bay), code).toBeDefined()
      for (const end of ['min', 'max'] as const) {
        const { text, because } = run(
          code,
          Object.fromEntries(
            settings.map((setting) => [
              setting.key,
              setting.choices?.at(end === 'min' ? 0 : -1)?.value ?? setting[end],
            ]),
          ),
        )
        expect(text, code).not.toMatch(/NaN|undefined|Infinity/)
        expect(because.length, code).toBeGreaterThan(40)
      }
    }
  })
  // BS EN 60898-1 Table 7, from memory.
  it('overload: 1.4 kW hold on 6 A for ever, 9 kW open at once', () => {
    expect(run('overload', { load: 1400 }).text).toMatch(/held for two hours/)
    expect(run('overload', { load: 9000, rating: 6 }).text).toMatch(/short circuit/)
  })
  it('branches: 25 A in the shared device are exceeded by two circuits that each hold', () => {
    expect(run('branches', { load: 3500 }).because).toMatch(/rated 25 A/)
    expect(run('branches', { load: 2000 }).because).toMatch(/within its 25 A/)
  })
  it('neutral to earth: no load nothing, a heater trips', () => {
    expect(run('neutral-earth', { load: 0 }).text).toMatch(/Nothing happens/)
    expect(run('neutral-earth', { load: 2000 }).text).toMatch(/RCD A opens/)
  })
  it('borrowed neutral: line voltage at the open end while the other lamp is on, and only then', () => {
    expect(run('borrowed-neutral', { on: 1 }).text).toMatch(/against earth: 2[23]\d V/)
    expect(run('borrowed-neutral', { on: 0 }).text).toMatch(/against earth: 0\.0 V/)
  })
  it('lost neutral: the smallest lamp gets the most, equal lamps keep their voltage', () => {
    const after = (text: string) => [...text.matchAll(/(\d+) V after/g)].map(([, volt]) => Number(volt))
    const unequal = after(run('lost-neutral').text)
    expect(unequal[2]).toBeGreaterThan(300)
    expect(unequal[0]).toBeLessThan(150)
    for (const volt of after(run('lost-neutral', { L1: 100, L2: 100, L3: 100 }).text))
      expect(Math.abs(volt - 230)).toBeLessThan(3)
  })
  it('a shared device takes half the board, a combined one its own circuit', () => {
    const { figures } = run('blast-radius')
    expect(figures[1]!.value).toMatch(/Socket 3\.1 off too/)
    expect(figures[2]!.value).toMatch(/only its own circuit/)
  })
  it('the test button works without an earth and not without a supply', () => {
    expect(run('test-button', { case: 1 }).text).toMatch(/Trips: yes/)
    expect(run('test-button', { case: 2 }).text).toMatch(/Trips: no/)
  })
  it('reversed: trips and does not break, for both kinds; as marked it breaks', () => {
    for (const kind of [0, 1]) {
      expect(run('reversed', { kind, turned: 1 }).text).toMatch(/Current stops: no/)
      expect(run('reversed', { kind, turned: 0 }).text).toMatch(/Current stops: yes/)
    }
  })
  it('polarity: nothing at the holder when sound, line voltage when interchanged', () => {
    expect(run('polarity').text).toMatch(/sound: 0\.0 V/)
    expect(run('polarity').text).toMatch(/reversed: 230 V/)
  })
  it('neutral on the other bar: both devices open when the light goes on', () => {
    const { lines } = run('other-bar')
    expect(lines.filter((line) => /RCD [AB] opens/.test(line))).toHaveLength(2)
    expect(lines.findIndex((line) => /opens/.test(line))).toBeGreaterThan(
      lines.findIndex((line) => /turned on/.test(line)),
    )
  })
  it('two lines interchanged turn the field', () => {
    expect(run('rotation', { turned: 0 }).text).toMatch(/L1-L2-L3/)
    expect(run('rotation', { turned: 1 }).text).toMatch(/L1-L3-L2/)
  })
  it('one neutral for three breakers: out of its bar it stands at a line’s voltage while another lamp is on', () => {
    const volt = (settings: Record<string, number>) =>
      Number(/earth, taken out[^\d]*([\d.]+)/.exec(run('shared-neutral', settings).text)?.[1])
    // An unloaded end behind a lamp takes the whole line voltage (Kirchhoff); nothing on, nothing there.
    expect(volt({ second: 1, third: 0 })).toBeGreaterThan(220)
    expect(volt({ second: 0, third: 0 })).toBeLessThan(5)
  })
  it('with two lines on, the lamps lie in series between them: together 400 V, and the larger one takes less', () => {
    const { text } = run('shared-neutral', { second: 1, third: 1 })
    const at = (lamp: string) => Number(new RegExp(`Lamp on ${lamp}[^\\d]*([\\d.]+)`).exec(text)?.[1])
    expect(at('L2') + at('L3')).toBeGreaterThan(380)
    expect(at('L3')).toBeGreaterThan(at('L2'))
  })
})

describe('bays to practise on', () => {
  it.each(PRACTICE_BAYS.map((bay) => [bay.code, bay] as const))(
    '%s is a sound bay, and its wiring as fields makes the same bay again',
    (_, { rig: make }) => {
      const rig = make()
      expect(rigProblems(rig, { isWired: true })).toEqual([])
      const again = applyWiring(bareRig(rig), routesOf(rig), wiringFields(rig))
      expect(compareRigs(rig, again)).toEqual([])
      // Lengths follow from the routes, near enough for every reading.
      for (const wire of rig.wires)
        expect(again.wires.find(({ id }) => id === wire.id)!.lengthM).toBeLessThanOrEqual(
          wire.lengthM * 1.001 + 0.3,
        )
      expect(compareRigs(rig, bareRig(rig)).length).toBeGreaterThan(0)
    },
  )
})
