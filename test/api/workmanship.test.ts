/* Runs, measurements, inspections, pictures and rounds through the use-cases: whose they are, what is kept,
   what is closed. */
import { createHash } from 'node:crypto'
import sharp from 'sharp'
import { beforeEach, describe, expect, it } from 'vitest'
import { keepPhoto, showPhoto } from '../../server/services/photos'
import { sceneOf } from '#core/inspection/scene'
import { readRun } from '#core/containment/form'
import { dimensionsOf } from '#core/containment/dimensions'
import { PIT_RUN } from '../../demo/workmanship'
import { showRequest } from '../../server/services/floor'
import {
  endRound,
  listRounds,
  saveInspection,
  showInspection,
  showRound,
  startRound,
} from '../../server/services/inspections'
import { showMarking } from '../../server/services/marking'
import { ownRecord } from '../../server/services/records'
import {
  closeMeasurement,
  createRun,
  listRuns,
  saveMeasurement,
  saveRun,
  showMeasurement,
  showRun,
  startMeasurement,
  storesOfRuns,
} from '../../server/services/runs'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))

describe('runs', () => {
  it('of the staff are for everybody to look at, an apprentice’s own for themselves and the staff', async () => {
    const { context, instructor, apprentice, other, assessor } = centre
    const { id: theirs } = createRun(context, instructor, PIT_RUN)
    const { id: own } = createRun(context, apprentice, { ...PIT_RUN, name: 'Mine' })
    expect(listRuns(context, other).map(({ id }) => id)).toEqual([theirs])
    expect(listRuns(context, assessor).map(({ id }) => id)).toEqual([own, theirs])
    expect(showRun(context, apprentice, theirs).mayChange).toBe(false)
    expect(await refusal(() => saveRun(context, apprentice, theirs, { version: 1, fields: {} }))).toBe(
      'notAllowed',
    )
    expect(await refusal(() => showRun(context, other, own))).toBe('notFound')
    saveRun(context, apprentice, own, { version: 1, fields: { ...PIT_RUN, name: 'Ours' } })
    expect(await refusal(() => saveRun(context, apprentice, own, { version: 1, fields: PIT_RUN }))).toBe(
      'stale',
    )
  })
  it('of the staff are laid out by the stores: tubes and fittings for all bays', () => {
    const { context, instructor, technician, apprentice } = centre
    createRun(context, instructor, PIT_RUN)
    createRun(context, instructor, { order: 's1', 's1.length': 'long' })
    createRun(context, apprentice, PIT_RUN)
    const runs = storesOfRuns(context, technician)
    expect(runs).toMatchObject([
      { name: 'Inspection pit lighting', bays: 8, what: 'steel conduit 20 mm', stockMm: 3750 },
    ])
    expect(runs[0]!.bill).toContainEqual({ name: 'inspection elbows', count: 8 })
  })
  it('are measured against the drawing as it was, and closed for good', async () => {
    const { context, instructor, assessor, apprentice, other } = centre
    const { id } = createRun(context, instructor, PIT_RUN)
    const { id: measured } = startMeasurement(context, assessor, id, apprentice.id)
    saveRun(context, instructor, id, { version: 1, fields: { ...PIT_RUN, 's1.length': '900' } })
    saveMeasurement(context, assessor, measured, { version: 1, fields: { s1: '+1' } })
    expect(await refusal(() => showMeasurement(context, apprentice, measured))).toBe('notFound')
    expect(
      await refusal(() =>
        closeMeasurement(context, assessor, measured, { version: 1, parts: {}, reason: '' }),
      ),
    ).toBe('stale')
    closeMeasurement(context, assessor, measured, { version: 2, parts: {}, reason: '' })
    expect(showMeasurement(context, apprentice, measured)).toMatchObject({
      runFields: { 's1.length': '1150' },
      fields: { s1: '+1' },
      mayChange: false,
    })
    expect(await refusal(() => showMeasurement(context, other, measured))).toBe('notFound')
    expect(
      await refusal(() => saveMeasurement(context, assessor, measured, { version: 3, fields: {} })),
    ).toBe('measurementClosed')
    expect(() => centre.db.exec("UPDATE run_measurement SET fields = '{}'")).toThrow(/stays as it is/)
    expect(
      await refusal(() =>
        startMeasurement(
          context,
          assessor,
          createRun(context, instructor, { order: 's1', 's1.length': 'long' }).id,
          apprentice.id,
        ),
      ),
    ).toBe('runUnreadable')
  })
})

describe('the record', () => {
  it('has what a closed measurement shows; deciding otherwise wants a reason', async () => {
    const { context, instructor, assessor, apprentice } = centre
    const { id } = createRun(context, instructor, PIT_RUN)
    const measure = () => startMeasurement(context, assessor, id, apprentice.id).id
    const sheet = readRun(PIT_RUN).sheet!
    const exact = Object.fromEntries(
      dimensionsOf(sheet.run).map(({ key, kind }) => [key, kind === 'way' || kind === 'bubble' ? '✓' : '0']),
    )
    const shown = () =>
      Object.fromEntries(
        ownRecord(context, apprentice).units.flatMap(({ coverage }) =>
          coverage
            .filter(({ criterion }) => criterion.code.startsWith('W'))
            .map(({ criterion, occasions }) => [criterion.code, occasions.map(({ met }) => met)]),
        ),
      )
    const first = measure()
    saveMeasurement(context, assessor, first, { version: 1, fields: { ...exact, s2: '+35' } })
    expect(
      await refusal(() =>
        closeMeasurement(context, assessor, first, { version: 2, parts: { setOut: true }, reason: '' }),
      ),
    ).toBe('otherwiseReason')
    closeMeasurement(context, assessor, first, { version: 2, parts: {}, reason: '' })
    expect(shown()).toEqual({ W1: [false], W2: [true], W3: [], W4: [] })
    const second = measure()
    saveMeasurement(context, assessor, second, { version: 1, fields: { ...exact, s2: '+35' } })
    closeMeasurement(context, assessor, second, {
      version: 2,
      parts: { setOut: true },
      reason: 'The drawing was changed at the bay.',
    })
    expect(shown().W1).toEqual([false, true])
    expect(() => centre.db.exec('DELETE FROM run_occasion')).toThrow(/append-only/)
  })
  it('has an inspection only once an assessor has gone over it; with the hand-in it is closed for the apprentice', async () => {
    const { context, apprentice, assessor } = centre
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'live')
    const { items, version } = showInspection(context, apprentice, attemptId)
    const fields = Object.fromEntries(items.map(({ key }) => [`see.${key}`, 'ok']))
    saveInspection(context, apprentice, attemptId, { version, fields })
    centre.repos.attempts.setStage(attemptId, 'handedIn')
    expect(showMarking(context, assessor, attemptId).marked.work).toEqual([])
    expect(
      await refusal(() => saveInspection(context, apprentice, attemptId, { version: version + 1, fields })),
    ).toBe('inspectionClosed')
    saveInspection(context, assessor, attemptId, { version: version + 1, fields })
    expect(showMarking(context, assessor, attemptId).marked.work).toHaveLength(
      new Set(items.map(({ group }) => group)).size,
    )
    expect(showInspection(context, apprentice, attemptId)).toMatchObject({
      mayChange: false,
      savedBy: { isAssessor: true },
    })
  })
})

describe('inspections', () => {
  it('belong to the attempt, are merged by version, and stand beside the request to energise', async () => {
    const { context, apprentice, other, assessor } = centre
    const { attemptId } = aSetExercise(centre)
    expect(await refusal(() => showInspection(context, apprentice, attemptId))).toBe('notFound')
    bringTo(centre, attemptId, 'permission')
    const { items, planned } = showInspection(context, apprentice, attemptId)
    expect(planned.some(({ unit }) => unit === 'm')).toBe(true)
    saveInspection(context, apprentice, attemptId, {
      version: 1,
      fields: Object.fromEntries(items.map(({ key }) => [`see.${key}`, 'ok'])),
    })
    expect(
      await refusal(() => saveInspection(context, assessor, attemptId, { version: 1, fields: {} })),
    ).toBe('stale')
    expect(await refusal(() => showInspection(context, other, attemptId))).toBe('notFound')
    expect(showRequest(context, assessor, attemptId).marks.length).toBeGreaterThan(0)
  })
  it('keep pictures once, by the hash of their bytes, for those they concern; what is no picture is refused', async () => {
    const { context, apprentice, assessor, other } = centre
    const camera = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#c8742f' } })
      .jpeg()
      .withExif({ IFD0: { Make: 'Some camera' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .toBuffer()
    expect(camera.includes('Some camera')).toBe(true)
    const { hash } = await keepPhoto(context, apprentice, camera.toString('base64'))
    await keepPhoto(context, apprentice, camera.toString('base64'))
    expect(centre.db.prepare('SELECT count(*) AS n FROM photo').get()).toEqual({ n: 1 })
    const kept = showPhoto(context, apprentice, hash)
    expect(hash).toBe(createHash('sha256').update(kept).digest('hex'))
    // Where and with what it was taken is gone; so is what nobody needs to see.
    expect(kept.includes('Some camera')).toBe(false)
    expect(await sharp(kept).metadata()).toMatchObject({ width: 1600, height: 800, format: 'jpeg' })
    expect((await sharp(kept).metadata()).exif).toBeUndefined()
    expect(showPhoto(context, assessor, hash).equals(kept)).toBe(true)
    expect(await refusal(() => showPhoto(context, other, hash))).toBe('notFound')
  })
  it.each([
    [
      'bytes that only begin like one',
      async () => Buffer.from([0xff, 0xd8, 0xff, ...Array<number>(200).fill(7)]),
    ],
    ['one cut off in the middle', async () => (await aPicture(400)).subarray(0, 500)],
    ['one that would unfold to more pixels than a bay has', async () => aPicture(6500)],
  ])('%s is no picture', async (_, bytes) => {
    const { context, apprentice } = centre
    const sent = (await bytes()).toString('base64')
    expect(await refusal(() => keepPhoto(context, apprentice, sent))).toBe('notAPicture')
  })
  it('a person keeps so many a day and no more', async () => {
    const { context, apprentice, repos } = centre
    for (let i = 0; i < 200; i += 1)
      repos.inspections.addPhoto(
        i.toString(16).padStart(64, '0'),
        Buffer.from('x'),
        apprentice.id,
        context.now,
      )
    const sent = (await aPicture(40)).toString('base64')
    expect(await refusal(() => keepPhoto(context, apprentice, sent))).toBe('tooManyPictures')
    const tomorrow = { ...context, now: '2026-11-13T15:00:00.000Z' }
    expect((await keepPhoto(tomorrow, apprentice, sent)).hash).toHaveLength(64)
  })
})

/** A grey square. */
const aPicture = (side: number): Promise<Buffer> =>
  sharp({ create: { width: side, height: side, channels: 3, background: '#888888' } })
    .png()
    .toBuffer()

describe('rounds of the trainer', () => {
  it('tell nothing before they are over, and everything afterwards', async () => {
    const { context, apprentice, other } = centre
    const { id } = startRound(context, apprentice, 'intake')
    const { seed } = centre.repos.inspections.round(id)!
    const scene = sceneOf('intake', seed)
    const before = showRound(context, apprentice, id)
    expect(before.over).toBeNull()
    expect(JSON.stringify(before)).not.toMatch(/"answer"|"grade"|"defects"|"look"|"kind"/)
    expect(await refusal(() => showRound(context, other, id))).toBe('notFound')
    const over = endRound(context, apprentice, id, {
      spots: scene.defects.map(({ spot, grade }) => ({ spot, grade, remark: 'seen' })),
      answers: Object.fromEntries(scene.questions.map(({ key, answer }) => [key, answer])),
    })
    expect(over.over!.score.percent).toBe(100)
    expect(await refusal(() => endRound(context, apprentice, id, { spots: [], answers: {} }))).toBe('runOver')
    expect(listRounds(context, apprentice)).toMatchObject([{ id, percent: 100 }])
  })
  it('are shown and marked in the manner in which they were begun, whatever came to the scenes since', () => {
    const { context, apprentice } = centre
    const { id } = startRound(context, apprentice, 'board')
    // A seed at which the manners differ: the later one has a board with a battery.
    const seed = Array.from({ length: 60 }, (_, i) => i).find((one) =>
      sceneOf('board', one).spots.some(({ kind }) => kind === 'mark'),
    )!
    centre.db.prepare('UPDATE inspection_round SET drawn = 2, seed = ? WHERE id = ?').run(seed, id)
    const former = sceneOf('board', seed, 2)
    expect(showRound(context, apprentice, id).spots.map(({ id: spot }) => spot)).toEqual(
      former.spots.map(({ id: spot }) => spot),
    )
    const over = endRound(context, apprentice, id, {
      spots: former.defects.map(({ spot, grade }) => ({ spot, grade, remark: '' })),
      answers: {},
    })
    expect(over.over!.score).toMatchObject({ percent: 100, missed: [], false: [] })
  })
  it('of a former manner of drawing keep their result; their picture is gone, and that is said', async () => {
    const { context, apprentice } = centre
    const { id } = startRound(context, apprentice, 'board')
    centre.db.prepare('UPDATE inspection_round SET drawn = 1 WHERE id = ?').run(id)
    expect(listRounds(context, apprentice)).toMatchObject([{ id }])
    expect(await refusal(() => showRound(context, apprentice, id))).toBe('roundOlder')
  })
})
