/* What the desk adds up from several sheets, and a search for a fault from beginning to end. */
import { beforeEach, describe, expect, it } from 'vitest'
import { stateAfter } from '#core/testing/fault-finding/steps'
import { previewPlant } from '#core/testing/fault-finding/preview'
import { showFloor, showRequest } from '../../server/services/floor'
import { groupMarks } from '../../server/services/group-marks'
import { endFaultFinding, showFaultFinding, stepFaultFinding } from '../../server/services/fault-finding'
import { plantBay, plantFaultFinding, previewFaultFinding } from '../../server/services/fault-finding-set'
import { decide, markingPile, release, showMarking } from '../../server/services/marking'
import { removeOld } from '../../server/services/retention'
import { listStores, showStores } from '../../server/services/stores'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal, refusedAtOnce } from '../support/refusal'

let centre: Centre
beforeEach(() => (centre = aCentre()))
/** The second apprentice's attempt, taken through as that apprentice. */
const asOther = (): Centre => ({ ...centre, apprentice: centre.other })

describe('a group', () => {
  it('step by step: who is right, carried, wrong, by how much, and the reasons that several share', () => {
    const { attemptId, exerciseId } = aSetExercise(centre)
    const second = centre.repos.attempts.byPerson(centre.other.id)[0]!.id
    bringTo(centre, attemptId, 'handedIn', { slips: { 'c1.ib': 23 } })
    expect(groupMarks(centre.context, centre.assessor, exerciseId)).toMatchObject({ sheets: 1 })
    bringTo(asOther(), second, 'handedIn', { typed: { 'c1.residual': 'none' } })
    const { sheets, steps } = groupMarks(centre.context, centre.assessor, exerciseId)
    expect(sheets).toBe(2)
    const of = (step: string) => steps.find((groupStep) => groupStep.step === step)!
    expect(of('ib').verdicts).toEqual({ right: 1, carried: 0, wrong: 1, missing: 0 })
    expect(of('itMin').verdicts.carried).toBe(1)
    expect(of('residual').verdicts.wrong).toBe(1)
    // 23 A for what its own variant works out: the ratio says how far off, and whose it is.
    const reference = showMarking(centre.context, centre.assessor, attemptId).marked.design.find(
      ({ step }) => step === 'ib',
    )!.reference as number
    const { ratio, name } = of('ib').ratios.find(({ attempt }) => attempt === attemptId)!
    expect(ratio).toBeCloseTo(23 / reference, 6)
    expect(name).toBe(centre.apprentice.name)
    expect(of('ib').slips).toMatchObject([{ count: 1 }])
    expect(of('in').ratios).toEqual([])
    for (const { verdicts } of steps)
      expect(Object.values(verdicts).reduce((sum, entry) => sum + entry, 0)).toBe(2)
  })
  it('nothing handed in is nothing to show; what is still worked on does not count', () => {
    const { exerciseId } = aSetExercise(centre)
    expect(groupMarks(centre.context, centre.assessor, exerciseId)).toMatchObject({ sheets: 0, steps: [] })
  })
})

describe('the pile', () => {
  it('has what waits first, and leads from sheet to sheet', () => {
    const { attemptId } = aSetExercise(centre)
    const second = centre.repos.attempts.byPerson(centre.other.id)[0]!.id
    bringTo(centre, attemptId, 'handedIn')
    bringTo(asOther(), second, 'handedIn')
    decide(centre.context, centre.assessor, attemptId, { version: 0 })
    expect(markingPile(centre.context, centre.assessor).map(({ id, stage }) => `${id} ${stage}`)).toEqual([
      `${second} handedIn`,
      `${attemptId} decided`,
    ])
    const [first, other] = [attemptId, second].map((id) => showMarking(centre.context, centre.assessor, id))
    expect(
      [first!.previous, first!.next, other!.previous, other!.next].filter((id) => id !== null).sort(),
    ).toEqual([attemptId, second].sort())
    release(centre.context, centre.assessor, attemptId)
    expect(markingPile(centre.context, centre.assessor).find(({ id }) => id === attemptId)).toMatchObject({
      stage: 'released',
      met: true,
    })
  })
})

describe('the floor and the stores', () => {
  it('tell who has waited since when, what is live until when, and that a permission runs out by itself', () => {
    const { attemptId } = aSetExercise(centre)
    const second = centre.repos.attempts.byPerson(centre.other.id)[0]!.id
    const later = (minutes: number): Centre => ({
      ...centre,
      context: {
        ...centre.context,
        now: new Date(Date.parse(centre.context.now) + minutes * 60_000).toISOString(),
      },
    })
    bringTo({ ...later(10), apprentice: centre.other }, second, 'permission')
    bringTo(centre, attemptId, 'live')
    const patch = (minutes: number, id: number) =>
      showFloor(later(minutes).context, centre.assessor).patches.find((floorPatch) => floorPatch.id === id)!
    expect(patch(15, second)).toMatchObject({ stage: 'permission', lastAct: { at: later(10).context.now } })
    expect(showRequest(later(15).context, centre.assessor, second).gate).toMatchObject({ open: true })
    expect(refusedAtOnce(() => showRequest(later(15).context, centre.assessor, attemptId))).toBe('wrongStage')
    expect(patch(15, attemptId)).toMatchObject({ stage: 'live' })
    const until = Date.parse(patch(15, attemptId).liveUntil!)
    expect(until).toBeGreaterThan(Date.parse(later(15).context.now))
    const after = (until - Date.parse(centre.context.now)) / 60_000 + 1
    expect(patch(after, attemptId)).toMatchObject({ stage: 'dead', liveUntil: null })
  })
  it('lay out a bay’s cable, devices and tools for everybody who has the task', () => {
    const { exerciseId } = aSetExercise(centre)
    expect(listStores(centre.context, centre.technician)).toMatchObject([
      { id: exerciseId, groups: [{ cohort: 'Thursday', people: 2 }] },
    ])
    const stores = showStores(centre.context, centre.technician, exerciseId)
    expect(stores).toMatchObject({ cohort: 'Thursday' })
    const perBay = stores.bays.map(({ materials }) =>
      materials.cables.reduce((sum, { lengthM }) => sum + lengthM, 0),
    )
    const session = stores.cables.reduce(
      (sum, { drums }) =>
        sum + drums.flatMap(({ pieces }) => pieces).reduce((own, { lengthM }) => own + lengthM, 0),
      0,
    )
    expect(session).toBeCloseTo(
      perBay.reduce((sum, entry) => sum + entry, 0),
      6,
    )
  })
})

describe('a search for a planted fault', () => {
  /** A broken line between two points of a circuit, found among what can be planted. */
  const plant = () => {
    const { faults } = plantBay(centre.context, centre.instructor, 'ring')
    const fault = faults.find(({ code, where }) => code === 'lineOpen' && where.includes('Lamp 2.3'))!
    plantFaultFinding(centre.context, centre.instructor, {
      bay: 'ring',
      faults: [{ code: fault.code, place: fault.place }],
      people: [centre.apprentice.id],
      place: 'virtual',
      bayNumber: 1,
    })
    return { fault, id: centre.repos.faultFindings.byPerson(centre.apprentice.id)[0]!.id }
  }
  it('is looked at, isolated, halved, concluded, repaired and proved: met, and only then told', () => {
    const { fault, id } = plant()
    const { context, apprentice } = centre
    let version = 1
    const step = (what: Parameters<typeof stepFaultFinding>[3]['step']) => {
      const view = stepFaultFinding(context, apprentice, id, { version, step: what })
      version = view.version
      return view
    }
    const read = (test: string) => step({ do: 'test', test, read: '' }).log.at(-1)!.words
    expect(showFaultFinding(context, apprentice, id).symptoms.join()).toContain('Does not work')
    step({ do: 'look' })
    step({ do: 'isolate' })
    expect(read('c2.zs@c2p5')).toContain('no supply')
    expect(read('c2.r1r2@c2p1')).toMatch(/0\.\d+ Ω/)
    expect(read('c2.r1r2@c2p5')).toContain('>1999')
    step({ do: 'think', text: 'Between the first and the last: look in the middle.' })
    expect(read('c2.r1r2@c2p3')).toContain(
      fault.where.indexOf('Lamp 2.3') > fault.where.indexOf('Lamp 2.2') && fault.where.includes('Lamp 2.2')
        ? '>1999'
        : '',
    )
    step({ do: 'conclude', code: fault.code, place: fault.place })
    step({ do: 'repair' })
    expect(read('c2.r1r2@c2p5')).toMatch(/: \d\.\d+ Ω/)
    expect(showFaultFinding(context, apprentice, id).secret).toBeNull()
    step({ do: 'restore' })
    const over = endFaultFinding(context, apprentice, id)
    expect(over.verdict!.marks.filter(({ state }) => state === 'broken')).toEqual([])
    expect(over).toMatchObject({ isDone: true, verdict: { met: true } })
    expect(over.secret).toContain('Open circuit in line')
    expect(stateAfter(centre.repos.faultFindings.byId(id)!.log)).toMatchObject({ isRepaired: true })
  })
  it('under a number that was given out before, it tells what is reported of its own bay', () => {
    const { id } = plant()
    const { context, administrator, apprentice } = centre
    const before = showFaultFinding(context, apprentice, id).symptoms
    const old = { ...context, now: '2046-01-01T00:00:00.000Z' }
    removeOld(old, administrator, 'practice', 1)
    const { faults } = plantBay(context, centre.instructor, 'ring')
    const sound = faults.find(({ code, where }) => code === 'earthOpen' && where.includes('Lamp 2.3'))!
    plantFaultFinding(context, centre.instructor, {
      bay: 'ring',
      faults: [{ code: sound.code, place: sound.place }],
      people: [apprentice.id],
      place: 'virtual',
      bayNumber: 1,
    })
    const next = centre.repos.faultFindings.byPerson(apprentice.id)[0]!.id
    expect(next).toBe(id)
    expect(before.join()).toContain('Does not work')
    expect(showFaultFinding(context, apprentice, next).symptoms.join()).not.toContain('Does not work')
  })
  it('is stepped by the person it was set for alone: staff look, and change nothing', async () => {
    const { id } = plant()
    for (const other of [centre.instructor, centre.assessor, centre.other])
      await expect(
        refusal(() => stepFaultFinding(centre.context, other, id, { version: 1, step: { do: 'isolate' } })),
        other.role,
      ).resolves.toMatch(/notFound|notAllowed/)
    expect(centre.repos.faultFindings.byId(id)!.log).toEqual([])
  })
  it('measuring a live circuit with a dead test is refused, and critical however right the answer is', () => {
    const { fault, id } = plant()
    const log = [
      { do: 'test', test: 'c2.r1r2@c2p5', read: '' },
      { do: 'isolate' },
      { do: 'conclude', code: fault.code, place: fault.place },
    ] as const
    const views = log.map((step, i) =>
      stepFaultFinding(centre.context, centre.apprentice, id, { version: i + 1, step }),
    )
    expect(views[0]!.log[0]!.words).toContain('refused: live')
    const { verdict } = endFaultFinding(centre.context, centre.apprentice, id)
    expect(verdict!.met).toBe(false)
    expect(verdict!.marks.find(({ rule }) => rule === 'isolation')).toMatchObject({ isCritical: true })
    expect(verdict!.marks.find(({ rule }) => rule === 'answer')).toMatchObject({ state: 'kept' })
  })
  it('a repair of something else mends nothing', () => {
    const { fault, id } = plant()
    const { faults } = plantBay(centre.context, centre.instructor, 'ring')
    const other = faults.find(({ code, where }) => code === fault.code && where.includes('Socket 1.2'))!
    const log = [
      { do: 'isolate' },
      { do: 'conclude', code: other.code, place: other.place },
      { do: 'repair' },
      { do: 'test', test: 'c2.r1r2@c2p5', read: '' },
    ] as const
    const views = log.map((step, i) =>
      stepFaultFinding(centre.context, centre.apprentice, id, { version: i + 1, step }),
    )
    expect(views.at(-1)!.log.at(-1)!.words).toContain('>1999')
    expect(endFaultFinding(centre.context, centre.apprentice, id).verdict).toMatchObject({ met: false })
  })
  it('two faults that cannot be in one bay together are told, not planted', async () => {
    const { faults } = plantBay(centre.context, centre.instructor, 'split')
    const open = faults.find(({ code, where }) => code === 'neutralOpen' && where.includes('Lamp'))!
    const borrowed = faults.find(
      ({ code, where }) =>
        code === 'borrowedNeutral' && open.where.split(' ').some((word) => where.includes(word)),
    )!
    const both = [open, borrowed, open].map(({ code, place }) => ({ code, place }))
    expect(
      await refusal(() =>
        previewFaultFinding(centre.context, centre.instructor, { bay: 'split', faults: both }),
      ),
    ).toBe('notFound')
    expect(
      await refusal(() =>
        plantFaultFinding(centre.context, centre.instructor, {
          bay: 'split',
          faults: both,
          people: [centre.apprentice.id],
          place: 'virtual',
          bayNumber: 1,
        }),
      ),
    ).toBe('notFound')
    expect(
      previewPlant(centre.repos.faultFindings.byPerson(centre.apprentice.id)[0]?.rig ?? plantRig(), [
        { code: open.code, place: open.place },
      ]),
    ).not.toBeNull()
  })
  const plantRig = () => {
    plantFaultFinding(centre.context, centre.instructor, {
      bay: 'split',
      faults: [{ code: 'shortNE', place: 'c1p1' }],
      people: [centre.apprentice.id],
      place: 'virtual',
      bayNumber: 1,
    })
    return centre.repos.faultFindings.byPerson(centre.apprentice.id)[0]!.rig
  }
})
