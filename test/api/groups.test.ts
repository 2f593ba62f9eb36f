/* Staff limited to their groups, where the centre wants it: what is not theirs is not there for them; STOP reaches every bay. */
import sharp from 'sharp'
import { beforeEach, describe, expect, it } from 'vitest'
import { DEFAULT_TRUST } from '#core/policies/trust'
import type { Person } from '../../server/repos/people'
import { setTrust } from '../../server/services/centre'
import { PIT_RUN } from '../../demo/workmanship'
import { faultFindingHome, showFaultFinding } from '../../server/services/fault-finding'
import { plantBay, plantFaultFinding } from '../../server/services/fault-finding-set'
import { keepPhoto, showPhoto } from '../../server/services/photos'
import { showRegister } from '../../server/services/register'
import { createRun, listRuns, showMeasurement, showRun, startMeasurement } from '../../server/services/runs'
import { showFloor } from '../../server/services/floor'
import { groupMarks } from '../../server/services/group-marks'
import { decide, markingPile, release, saveMarking, showMarking } from '../../server/services/marking'
import { listObservations, showObservation, startObservation } from '../../server/services/observations'
import { listPeople, setGroups } from '../../server/services/people'
import { decidePermission, withdrawPermission } from '../../server/services/permission'
import { exportResults, groupRecord, listCohorts } from '../../server/services/records'
import { showTestRecords } from '../../server/services/test-records'
import { beginSession, sittingBehind } from '../../server/services/sessions'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
let attemptId: number
let exerciseId: number
/** The person as a request has them. */
const here = ({ id }: Person): Person => {
  const epoch = centre.repos.people.byId(id)!.sessionEpoch
  const token = beginSession(centre.context, { personId: id, epoch }, { device: '', address: '' })
  return sittingBehind(centre.context, token)!.person
}

beforeEach(() => {
  centre = aCentre()
  ;({ attemptId, exerciseId } = aSetExercise(centre))
  bringTo(centre, attemptId, 'handedIn')
  setTrust(centre.context, centre.administrator, { ...DEFAULT_TRUST, staffGroups: 'own' })
  setGroups(centre.context, centre.administrator, centre.assessor.id, ['Thursday'])
  centre.repos.people.insert(
    { number: 'M-1', name: 'Mo', role: 'apprentice', cohort: 'Monday' },
    'scrypt$x$x',
    false,
    centre.context.now,
  )
  setGroups(centre.context, centre.administrator, centre.instructor.id, ['Monday'])
})

describe('somebody named for another group', () => {
  it('sees none of it, in lists and by number alike', async () => {
    const { context, apprentice, assessor } = centre
    const observed = { apprenticeId: apprentice.id, fields: {} }
    const { id } = startObservation(context, here(assessor), observed)
    const stranger = here(centre.instructor)
    expect(showFloor(context, stranger).patches).toEqual([])
    expect(markingPile(context, stranger)).toEqual([])
    expect(groupMarks(context, stranger, exerciseId).sheets).toBe(0)
    expect(listCohorts(context, stranger)).toEqual(['Monday'])
    expect(listObservations(context, stranger)).toEqual([])
    expect(exportResults(context, stranger, exerciseId).csv).not.toContain(apprentice.number)
    expect(listPeople(context, stranger).map(({ number }) => number)).not.toContain(apprentice.number)
    for (const act of [
      () => showMarking(context, stranger, attemptId),
      () => saveMarking(context, stranger, attemptId, { version: 1, overrides: [], feedback: 'x' }),
      () => decide(context, stranger, attemptId, { version: 1 }),
      () => release(context, stranger, attemptId),
      () => decidePermission(context, stranger, attemptId, { granted: false, reason: 'not yet' }),
      () => groupRecord(context, stranger, 'Thursday'),
      () => showTestRecords(context, stranger, attemptId),
      () => showObservation(context, stranger, id),
      () => startObservation(context, stranger, observed),
    ])
      expect(await refusal(act), String(act)).toBe('notFound')
  })

  it('nor what is measured, photographed, set to be found or locked there', async () => {
    const { context, apprentice, assessor, instructor } = centre
    const stranger = here(instructor)
    const { id: runId } = createRun(context, instructor, PIT_RUN)
    const { id } = startMeasurement(context, here(assessor), runId, apprentice.id)
    expect(showRun(context, here(assessor), runId).measurements).toHaveLength(1)
    expect(showRun(context, stranger, runId).measurements).toEqual([])
    const { id: own } = createRun(context, apprentice, PIT_RUN)
    expect(listRuns(context, stranger).map((run) => run.id)).toEqual([runId])
    const people = [apprentice.id]
    const plant = { bay: 'split', place: 'virtual' as const, bayNumber: null, people }
    const [fault] = plantBay(context, assessor, 'split').faults
    const faults = [{ code: fault!.code, place: fault!.place }]
    plantFaultFinding(context, here(assessor), { ...plant, faults })
    const [search] = centre.repos.faultFindings.allSet()
    expect(faultFindingHome(context, here(assessor)).set).toHaveLength(1)
    expect(faultFindingHome(context, stranger).set).toEqual([])
    expect(showRegister(context, stranger).apprentices.map(({ number }) => number)).toEqual(['M-1'])
    const picture = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#888888' } })
      .png()
      .toBuffer()
    const { hash } = await keepPhoto(context, apprentice, picture.toString('base64'))
    for (const act of [
      () => showMeasurement(context, stranger, id),
      () => startMeasurement(context, stranger, runId, apprentice.id),
      () => showRun(context, stranger, own),
      () => showFaultFinding(context, stranger, search!.id),
      () => plantFaultFinding(context, stranger, { ...plant, faults }),
      () => showPhoto(context, stranger, hash),
    ])
      expect(await refusal(act), String(act)).toBe('notFound')
  })

  it('stops its bays all the same', () => {
    centre.repos.attempts.setStage(centre.repos.attempts.byPerson(centre.other.id)[0]!.id, 'live')
    expect(withdrawPermission(centre.context, here(centre.instructor), null, '')).toEqual({ stopped: 1 })
  })
})

it('a group that nobody is in is refused by its name; the letters’ size does not matter', async () => {
  const { context, administrator, assessor, repos } = centre
  const name = (...cohorts: string[]) => setGroups(context, administrator, assessor.id, cohorts)
  expect(await refusal(() => name('Thursday', 'Thrusday'))).toBe('bodyNotRight')
  expect(repos.people.groupsOf(assessor.id)).toEqual(['Thursday'])
  name('thursday')
  expect(repos.people.groupsOf(assessor.id)).toEqual(['Thursday'])
})

it('somebody named for it, and everybody where the centre limits nobody, sees it', () => {
  const { context, assessor, instructor, administrator } = centre
  expect(markingPile(context, here(assessor))).toHaveLength(1)
  expect(listCohorts(context, here(assessor))).toEqual(['Thursday'])
  setTrust(context, administrator, DEFAULT_TRUST)
  expect(markingPile(context, here(instructor))).toHaveLength(1)
})

it('a verifier looks at what was marked and can change none of it', async () => {
  const { context, verifier, administrator } = centre
  setGroups(context, administrator, verifier.id, ['Thursday'])
  const actor = here(verifier)
  expect(showMarking(context, actor, attemptId).attempt.id).toBe(attemptId)
  expect(groupRecord(context, actor, 'Thursday').people).toHaveLength(2)
  for (const act of [
    () => saveMarking(context, actor, attemptId, { version: 1, overrides: [], feedback: 'x' }),
    () => decide(context, actor, attemptId, { version: 1 }),
    () => decidePermission(context, actor, attemptId, { granted: true, reason: '' }),
    () => withdrawPermission(context, actor, null, ''),
  ])
    expect(await refusal(act), String(act)).toBe('notAllowed')
})
