/* Bays that somebody wires: their own, kept against another device, checked without giving the answer away; predictions that stay as written. */
import { beforeEach, describe, expect, test } from 'vitest'
import { checkBay, listBays, saveBay, showBay, wiredBay } from '../../server/services/bays'
import { addMeasured, listPredictions } from '../../server/services/experiments'
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
