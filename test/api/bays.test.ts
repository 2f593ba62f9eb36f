/* Bays that somebody wires: their own, kept against another device, checked without giving the answer away; predictions that stay as written. */
import { beforeEach, describe, expect, test } from 'vitest'
import { checkBay, listBays, saveBay, showBay, wiredBay } from '../../server/services/bays'
import { addMeasured, filmOfPrediction, listPredictions } from '../../server/services/experiments'
import { predict } from '../../server/services/experiments'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => void (centre = aCentre()))

describe('the bay of a task', () => {
  test('opens when the design is in, to its apprentice alone, bare and without the wiring that was meant', async () => {
    const { attemptId } = aSetExercise(centre)
    const key = `task-${attemptId}`
    expect(await refusal(() => showBay(centre.context, centre.apprentice, key))).toBe('bayNotYet')
    bringTo(centre, attemptId, 'dead')
    const view = showBay(centre.context, centre.apprentice, key)
    expect(view.bare.parts.length).toBeGreaterThan(8)
    // Only the intake is connected: no conductor touches a way or a point.
    expect(view.bare.wires.every(({ from, to }) => !/w\d|c1p/.test(`${from} ${to}`))).toBe(true)
    expect(
      view.bare.boards.every(({ blanks, labels }) => blanks.length === 0 && Object.keys(labels).length === 0),
    ).toBe(true)
    expect(await refusal(() => wiredBay(centre.context, centre.apprentice, key))).toBe('notAllowed')
    for (const stranger of [centre.other, centre.instructor])
      expect(await refusal(() => showBay(centre.context, stranger, key))).not.toBe('none')
    expect(listBays(centre.context, centre.apprentice).some((bay) => bay.key === key)).toBe(true)
    expect(listBays(centre.context, centre.other).some((bay) => bay.key === key)).toBe(false)
  })
  test('a check counts what is as asked, names the rest, and is itself counted', async () => {
    const key = 'practice-split'
    const before = checkBay(centre.context, centre.apprentice, key)
    expect(before).toMatchObject({ made: 0, problems: [] })
    // Nothing has been begun: that is not finished, and no danger by itself.
    expect(before.differences.filter(({ says }) => says.includes('is not finished')).length).toBe(2)
    expect(before.differences.some(({ seriousness }) => seriousness === 'critical')).toBe(false)
    const { fields } = wiredBay(centre.context, centre.apprentice, key)
    saveBay(centre.context, centre.apprentice, key, { version: 0, fields })
    expect(checkBay(centre.context, centre.apprentice, key)).toMatchObject({
      made: before.asked,
      differences: [],
    })
    expect(centre.repos.bays.of(centre.apprentice.id, key)!.checks).toBe(1)
  })
  test('a bare enclosure is checked with what is mounted, and taken ready with every part in its place', async () => {
    const key = 'practice-bench'
    const { context, apprentice } = centre
    const empty = checkBay(context, apprentice, key)
    expect(empty).toMatchObject({ made: 0, problems: [] })
    expect(empty.differences.map(({ says }) => says)).toContain('Bench enclosure has no rail yet.')
    const { fields } = wiredBay(context, apprentice, key)
    saveBay(context, apprentice, key, { version: 0, fields })
    const ready = checkBay(context, apprentice, key)
    expect(ready.made).toBe(ready.asked)
    // All that is left is what only a hand can show: that each pole opens and closes.
    expect(ready.differences.length).toBeGreaterThan(0)
    for (const { says } of ready.differences) expect(says).toMatch(/is not proved/)
    saveBay(context, apprentice, key, {
      version: 1,
      fields: { ...fields, 'cap.b1bus': '', 'mount.b1w2': '' },
    })
    const short = checkBay(context, apprentice, key).differences.map(({ says }) => says)
    expect(short).toContain('Busbar has no cap on its cut end.')
    expect(short).toContain('Way 2 is still in the box of parts.')
  })
  test('a task’s bay may be begun with the bare enclosure, and is never handed out mounted', async () => {
    const { attemptId } = aSetExercise(centre)
    const key = `task-${attemptId}`
    bringTo(centre, attemptId, 'dead')
    const { context, apprentice } = centre
    expect(showBay(context, apprentice, key)).toMatchObject({ isBare: false, canBeBare: true })
    saveBay(context, apprentice, key, { version: 0, fields: { 'from.bare': 'yes' } })
    expect(
      checkBay(context, apprentice, key).differences.some(({ says }) => / has no rail yet/.test(says)),
    ).toBe(true)
    expect(await refusal(() => wiredBay(context, apprentice, key))).toBe('notAllowed')
  })
  test('a second device does not overwrite the first, and impossible wiring is told by the name of the terminal', async () => {
    const key = 'practice-split'
    const wire = {
      'wire.a': 'b1w1.L out|c1p1.L|2.5|brown',
      'wire.b': 'b1nA.2|c1p1.N|2.5|blue',
      'wire.c': 'b1nA.2|c1p2.N|2.5|blue',
    }
    saveBay(centre.context, centre.apprentice, key, { version: 0, fields: wire })
    expect(
      await refusal(() => saveBay(centre.context, centre.apprentice, key, { version: 0, fields: {} })),
    ).toBe('stale')
    expect(showBay(centre.context, centre.apprentice, key).fields).toEqual(wire)
    expect(checkBay(centre.context, centre.apprentice, key).problems.join()).toMatch(
      /Neutral bar A · 2 takes one conductor and has 2/,
    )
    expect(await refusal(() => showBay(centre.context, centre.apprentice, 'practice-none'))).toBe('notFound')
  })
})

describe('predictions', () => {
  test('are kept with what was computed afterwards; only the measurement is added, and only by their author', async () => {
    const prediction = predict(centre.context, centre.apprentice, {
      experiment: 'lost-neutral',
      settings: { L1: 500, L2: 1e9 },
      predicted: ' The small lamp dies ',
    })
    expect(prediction.predicted).toBe('The small lamp dies')
    expect(prediction.settings).toMatchObject({ L1: 500, L2: 1000 })
    expect(prediction.computed.figures.length).toBe(3)
    expect(await refusal(() => addMeasured(centre.context, centre.other, prediction.id, 'mine'))).toBe(
      'notFound',
    )
    // What happened is watched by whoever predicted it, and kept nowhere: it follows from the settings.
    const { films } = filmOfPrediction(centre.context, centre.apprentice, prediction.id)
    expect(films.map(({ name }) => name)).toEqual(['Sound', 'Neutral lost'])
    expect(films[0]!.frames[0]!.working).toHaveLength(3)
    expect(prediction.computed).not.toHaveProperty('scenes')
    for (const stranger of [centre.other, centre.instructor])
      expect(await refusal(() => filmOfPrediction(centre.context, stranger, prediction.id))).toBe('notFound')
    addMeasured(centre.context, centre.apprentice, prediction.id, '362 V')
    expect(listPredictions(centre.context, centre.apprentice)).toEqual([{ ...prediction, measured: '362 V' }])
    expect(listPredictions(centre.context, centre.other)).toEqual([])
    expect(() => centre.db.exec(`UPDATE prediction SET predicted = 'I knew it'`)).toThrow(/append-only/)
    expect(() => centre.db.exec('DELETE FROM prediction')).toThrow(/append-only/)
    expect(
      await refusal(() =>
        predict(centre.context, centre.apprentice, {
          experiment: 'perpetual motion',
          settings: {},
          predicted: 'yes',
        }),
      ),
    ).toBe('notFound')
  })
})
