/* A board laid out as an exercise: set with its best arrangement, handed in, marked, and shown once it can
   no longer be copied. */
import { beforeEach, describe, expect, it } from 'vitest'
import { swapped } from '#core/arrangement/swap'
import { USUAL_WEIGHTS } from '#core/arrangement/wishes'
import type { LayoutView } from '#schemas/layout-views'
import { LayoutSetRequest } from '#schemas/layout-views'
import { validate } from '#schemas/validate'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import {
  listLayouts,
  restoreLayout,
  setLayout,
  showLayout,
  tryLayout,
  withdrawLayout,
} from '../../server/services/layouts'
import { aBoardOf } from '../support/board-of'
import { createRepos } from '../../server/repos'
import { aCentre, type Centre } from '../support/centre'
import { refusal, refusedAtOnce } from '../support/refusal'

let centre: Centre
let exerciseId: number
beforeEach(() => {
  centre = aCentre()
  exerciseId = createExercise(centre.context, centre.instructor, { ...aBoardOf(6), code: 'T-90' }).id
})
const body = () => ({ exerciseId, boardId: 'b1', cohort: 'Thursday', reach: 12, weights: USUAL_WEIGHTS })
const set = async () => (await setLayout(centre.context, centre.instructor, body())).id
const tried = (id: number, view: LayoutView, seating: LayoutView['start']) =>
  tryLayout(centre.context, centre.apprentice, id, { seating: [...seating], tries: view.tries.length })

describe('a board that is set', () => {
  it('is there for its group, without the best arrangement, and for nobody else', async () => {
    const id = await set()
    const view = showLayout(centre.context, centre.apprentice, id)
    expect(view).toMatchObject({ best: null, mark: null, tries: [], results: null })
    expect(listLayouts(centre.context, centre.apprentice)).toMatchObject([
      { id, exerciseCode: 'T-90', tries: 0 },
    ])
    const outside = { ...centre.apprentice, cohort: 'Friday' }
    expect(listLayouts(centre.context, outside)).toEqual([])
    expect(refusedAtOnce(() => showLayout(centre.context, outside, id))).toBe('notFound')
    const limited = { ...centre.instructor, groups: ['Friday'] }
    expect(refusedAtOnce(() => showLayout(centre.context, limited, id))).toBe('notFound')
    for (const actor of [centre.apprentice, centre.technician, centre.verifier])
      expect(await refusal(() => setLayout(centre.context, actor, body()))).toBe('notAllowed')
  })

  it('says what each try loses, and shows the best after three of them', async () => {
    const id = await set()
    let view = showLayout(centre.context, centre.apprentice, id)
    view = tried(id, view, view.start)
    expect(view.tries).toMatchObject([{ percent: 0 }])
    expect(view.mark!.lost.length).toBeGreaterThan(0)
    expect(view.best).toBeNull()
    const { circuits, board } = view
    view = tried(id, view, swapped(circuits, board, view.start, view.mark!.better!.seats))
    expect(view.tries[1]!.percent).toBeGreaterThan(0)
    view = tried(id, view, view.start)
    expect(view.best, 'the same board again').toBeNull()
    view = tried(id, view, swapped(circuits, board, view.start, [0, 5]))
    expect(view.best).not.toBeNull()
    expect(tried(id, view, view.best!).mark).toMatchObject({ percent: 100, lost: [], better: null })
    tryLayout(centre.context, centre.assessor, id, { seating: [...view.start], tries: 0 })
    const { results } = showLayout(centre.context, centre.assessor, id)
    expect(results).toMatchObject([{ name: centre.apprentice.name, tries: 5, percent: 100 }])
  })

  it('set before a wish came to be is marked without it', async () => {
    const id = await set()
    centre.db
      .prepare("UPDATE layout_task SET document = json_remove(document, '$.weights.surge') WHERE id = ?")
      .run(id)
    // As after a start of the server: nothing of it is kept in memory.
    const context = { ...centre.context, repos: createRepos(centre.db) }
    const view = showLayout(context, centre.apprentice, id)
    expect(view.weights).toEqual({ ...USUAL_WEIGHTS, surge: 0 })
    const after = tryLayout(context, centre.apprentice, id, { seating: [...view.start], tries: 0 })
    expect(after.tries).toMatchObject([{ percent: 0 }])
    for (const { by } of after.mark!.lost) expect(by).toBeGreaterThan(0)
  })

  it('with an SPD has it on the board, marked by the length of its leads', async () => {
    const own = aBoardOf(6)
    const [first] = own.installation.boards
    const surge = { deviceWay: 8, way: 9 }
    const boards = [{ ...first!, ways: 10, surge }, ...own.installation.boards.slice(1)]
    exerciseId = createExercise(centre.context, centre.instructor, {
      ...own,
      code: 'T-91',
      installation: { ...own.installation, boards },
    }).id
    const view = showLayout(centre.context, centre.apprentice, await set())
    expect(view.circuits.filter((circuit) => circuit.surge).map(({ name }) => name)).toEqual([
      'Device of SPD',
      'SPD',
    ])
    const marked = tried(view.id, view, view.start)
    expect(marked.mark!.lost.map(({ wish }) => wish)).toContain('surge')
  })

  it('takes a try once, and none that leaves a circuit out', async () => {
    const id = await set()
    const view = showLayout(centre.context, centre.apprentice, id)
    tried(id, view, view.start)
    expect(refusedAtOnce(() => tried(id, view, view.start))).toBe('changedSince')
    const short = view.start.map((place) => (place === 0 ? null : place))
    expect(refusedAtOnce(() => tried(id, { ...view, tries: [view.tries[0]!] }, short))).toBe('layoutNotWhole')
    expect(centre.repos.layouts.tries(id, centre.apprentice.id)).toHaveLength(1)
  })

  it('is withdrawn and then there for nobody, restored with what was tried', async () => {
    const id = await set()
    const view = showLayout(centre.context, centre.apprentice, id)
    tried(id, view, view.start)
    withdrawLayout(centre.context, centre.instructor, id)
    expect(refusedAtOnce(() => showLayout(centre.context, centre.apprentice, id))).toBe('notFound')
    expect(centre.repos.personData.of(centre.apprentice.id).layout_try).toHaveLength(1)
    expect(refusedAtOnce(() => restoreLayout(centre.context, centre.apprentice, id))).toBe('notAllowed')
    restoreLayout(centre.context, centre.instructor, id)
    expect(showLayout(centre.context, centre.apprentice, id).tries).toHaveLength(1)
  })
})

describe('what cannot be set', () => {
  it('an exercise that comes after its board closes the board until the design is handed in', async () => {
    const id = await set()
    setAtOnce(centre.context, centre.instructor, { id: exerciseId, version: 1, cohort: 'Thursday' })
    const see = () => showLayout(centre.context, centre.apprentice, id)
    expect(refusedAtOnce(see)).toBe('layoutWhileDesigning')
    const [attempt] = centre.repos.attempts.byPerson(centre.apprentice.id)
    centre.repos.attempts.setStage(attempt!.id, 'dead')
    expect(see().circuits.length).toBeGreaterThan(0)
  })

  it('a board whose design somebody of the group still works at: it would show ratings', async () => {
    setAtOnce(centre.context, centre.instructor, { id: exerciseId, version: 1, cohort: 'Thursday' })
    expect(await refusal(set)).toBe('layoutStillDesigned')
    for (const person of [centre.apprentice, centre.other])
      for (const { id } of centre.repos.attempts.byPerson(person.id))
        centre.repos.attempts.setStage(id, 'dead')
    expect(await set()).toBeGreaterThan(0)
  })
  it('a group without people, a board that is not there, a weight beyond its slider', async () => {
    const setWith = (parts: object) =>
      refusal(() => setLayout(centre.context, centre.instructor, { ...body(), ...parts }))
    expect(await setWith({ cohort: 'Nobody' })).toBe('cohortEmpty')
    expect(await setWith({ boardId: 'b9' })).toBe('layoutNoDesign')
    const weights = { ...USUAL_WEIGHTS, heat: 11 }
    expect(validate(LayoutSetRequest, { ...body(), weights }).ok).toBe(false)
    expect(validate(LayoutSetRequest, body()).ok).toBe(true)
  })
})
