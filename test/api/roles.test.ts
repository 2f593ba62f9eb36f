/* Who may do what, use-case by use-case: everybody tries everything, and exactly the named roles get past the door. */
import { describe, expect, test } from 'vitest'
import { ROLES, type Role } from '#core/exercise/roster'
import { showBay } from '../../server/services/bays'
import { isolationHome } from '../../server/services/isolation-runs'
import { startObservation } from '../../server/services/observations'
import { showRegister } from '../../server/services/register'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import { faultFindingHome } from '../../server/services/fault-finding'
import { plantBay } from '../../server/services/fault-finding-set'
import { addInstrument, listInstruments } from '../../server/services/instruments'
import { showTestRecords } from '../../server/services/test-records'
import { showSchedule } from '../../server/services/schedules'
import { listRounds, showInspection } from '../../server/services/inspections'
import { listRuns, startMeasurement } from '../../server/services/runs'
import { listExperiments, listPredictions } from '../../server/services/experiments'
import { listExercises, showExercise, createExercise, taskSheets } from '../../server/services/exercises'
import { setIsolationPolicy, setPolicy, showCentre } from '../../server/services/centre'
import { putFramework } from '../../server/services/frameworks'
import { showFloor, showRequest } from '../../server/services/floor'
import { groupMarks } from '../../server/services/group-marks'
import { decide, markingPile, releaseMany, saveMarking, showMarking } from '../../server/services/marking'
import { showFirstSteps } from '../../server/services/first-steps'
import { takeSampleExercises } from '../../server/services/packs'
import { listPeople, previewRosterFile } from '../../server/services/people'
import { Problem } from '../../server/services/problem'
import { exportResults, groupRecord, listCohorts, ownRecord } from '../../server/services/records'
import { listStores, showStores } from '../../server/services/stores'
import { decidePermission } from '../../server/services/permission'
import { listWork } from '../../server/services/work'
import { DEFAULT_POLICY } from '#core/policies/policy'
import type { Framework } from '#core/assessment/outcomes/framework'
import framework from '../../frameworks/workshop-unit.json'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusedAtOnce } from '../support/refusal'
import { anExercise } from '../support/task'

type Try = (centre: Centre, role: Role) => unknown
const as = (centre: Centre, role: Role) => centre[role]
const STAFF: Role[] = ['administrator', 'instructor', 'assessor']
const MARKERS: Role[] = ['instructor', 'assessor']
/** Those who look at what was marked; a verifier changes nothing. */
const LOOKERS: Role[] = [...MARKERS, 'verifier']
const file = Buffer.from('number,name,group\nT-9,Bo,Friday\n')

/** The sheet of these tests is of one circuit: past the door there is no schedule to see. */
function door(tryIt: () => unknown): void {
  try {
    tryIt()
  } catch (error) {
    if (!(error instanceof Problem) || error.code !== 'notFound') throw error
  }
}

const USE_CASES: [string, Role[], Try][] = [
  ['see people', STAFF, (c, role) => listPeople(c.context, as(c, role))],
  ['see groups', [...STAFF, 'verifier'], (c, role) => listCohorts(c.context, as(c, role))],
  [
    'see what a new centre still has to do',
    ['administrator', 'instructor'],
    (c, role) => showFirstSteps(c.context, as(c, role)),
  ],
  ['take the sample exercises', ['instructor'], (c, role) => takeSampleExercises(c.context, as(c, role))],
  ['bring in a roster', ['administrator'], (c, role) => previewRosterFile(c.context, as(c, role), file)],
  ['see exercises', [...STAFF, 'technician', 'verifier'], (c, role) => listExercises(c.context, as(c, role))],
  [
    'open an exercise with its answers',
    [...STAFF, 'technician', 'verifier'],
    (c, role) => showExercise(c.context, as(c, role), 1),
  ],
  [
    'print task sheets',
    [...STAFF, 'technician', 'verifier'],
    (c, role) => taskSheets(c.context, as(c, role), 1),
  ],
  [
    'write an exercise',
    ['instructor'],
    (c, role) => createExercise(c.context, as(c, role), anExercise({ code: `R-${role}` })),
  ],
  ['see the floor', MARKERS, (c, role) => showFloor(c.context, as(c, role))],
  [
    'refuse to energise',
    MARKERS,
    (c, role) => decidePermission(c.context, as(c, role), 1, { granted: false, reason: 'Covers are off.' }),
  ],
  ['see the pile', LOOKERS, (c, role) => markingPile(c.context, as(c, role))],
  ['open a sheet with its marks', LOOKERS, (c, role) => showMarking(c.context, as(c, role), 1)],
  ['see what a group gets wrong', LOOKERS, (c, role) => groupMarks(c.context, as(c, role), 1)],
  [
    'see a group’s record',
    [...STAFF, 'verifier'],
    (c, role) => groupRecord(c.context, as(c, role), 'Thursday'),
  ],
  ['take out results', [...STAFF, 'verifier'], (c, role) => exportResults(c.context, as(c, role), 1)],
  ['see what stores lay out', ['instructor', 'technician'], (c, role) => listStores(c.context, as(c, role))],
  ['see the centre', [...STAFF, 'verifier'], (c, role) => showCentre(c.context, as(c, role))],
  [
    'choose a policy',
    ['administrator'],
    (c, role) => setPolicy(c.context, as(c, role), { ...DEFAULT_POLICY, measuredZs: 'corrected' }),
  ],
  [
    'load a framework',
    ['administrator'],
    (c, role) => putFramework(c.context, as(c, role), { value: framework as Framework }),
  ],
  [
    'practise on a bay',
    [...MARKERS, 'apprentice'],
    (c, role) => showBay(c.context, as(c, role), 'practice-split'),
  ],
  ['see experiments', [...MARKERS, 'apprentice'], (c, role) => listExperiments(c.context, as(c, role))],
  ['see own predictions', [...MARKERS, 'apprentice'], (c, role) => listPredictions(c.context, as(c, role))],
  ['rehearse an isolation', [...MARKERS, 'apprentice'], (c, role) => isolationHome(c.context, as(c, role))],
  [
    'observe an isolation',
    MARKERS,
    (c, role) => startObservation(c.context, as(c, role), { apprenticeId: c.apprentice.id, fields: {} }),
  ],
  ['see locks and permits', MARKERS, (c, role) => showRegister(c.context, as(c, role))],
  [
    'choose how isolation is judged',
    ['administrator'],
    (c, role) => setIsolationPolicy(c.context, as(c, role), { ...DEFAULT_ISOLATION, notice: 'required' }),
  ],
  [
    'see the register of instruments',
    [...STAFF, 'technician', 'apprentice'],
    (c, role) => listInstruments(c.context, as(c, role)),
  ],
  [
    'keep the register of instruments',
    ['instructor', 'technician'],
    (c, role) =>
      addInstrument(c.context, as(c, role), {
        name: `X-${role}`,
        serial: '1',
        kind: 'loop',
        doneOn: '2026-01-01',
        dueOn: '2027-01-01',
        certificate: 'DC-1',
      }),
  ],
  [
    'set out conduit',
    [...MARKERS, 'technician', 'apprentice'],
    (c, role) => listRuns(c.context, as(c, role)),
  ],
  [
    'measure a run',
    MARKERS,
    (c, role) => door(() => startMeasurement(c.context, as(c, role), 1, c.apprentice.id)),
  ],
  [
    'inspect a bay',
    [...MARKERS, 'apprentice'],
    (c, role) => door(() => showInspection(c.context, as(c, role), 1)),
  ],
  ['train inspecting', [...MARKERS, 'apprentice'], (c, role) => listRounds(c.context, as(c, role))],
  ['look for faults', [...MARKERS, 'apprentice'], (c, role) => faultFindingHome(c.context, as(c, role))],
  ['plant faults', MARKERS, (c, role) => plantBay(c.context, as(c, role), 'split')],
  ['judge a schedule', LOOKERS, (c, role) => door(() => showSchedule(c.context, as(c, role), 1))],
  [
    'see records',
    [...MARKERS, 'apprentice', 'verifier'],
    (c, role) => door(() => showTestRecords(c.context, as(c, role), 1)),
  ],
  ['see own tasks', ['apprentice'], (c, role) => listWork(c.context, as(c, role))],
  ['see own record', ['apprentice'], (c, role) => ownRecord(c.context, as(c, role))],
]

describe.each(USE_CASES)('%s', (_name, allowed, tryIt) => {
  test.each([...ROLES])('%s', (role) => {
    const centre = aCentre()
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'permission')
    const outcome = () => {
      try {
        tryIt(centre, role)
        return 'done'
      } catch (error) {
        if (error instanceof Problem) return error.code
        throw error
      }
    }
    expect(outcome()).toBe(allowed.includes(role) ? 'done' : 'notAllowed')
  })
})

test('stores count what the variants need, bay by bay', () => {
  const centre = aCentre()
  const { exerciseId } = aSetExercise(centre)
  const exercise = showStores(centre.context, centre.technician, exerciseId)
  const circuits = centre.repos.attempts.byExercise(1).map((attempt) => attempt.installation.circuits[0]!)
  // Half a metre at the board and 0.2 m at both sides of each of four points, rounded up to half a metre.
  expect(exercise.bays.map((bay) => bay.materials.cables[0]!.lengthM)).toEqual(
    circuits.map(({ lengthM }) => Math.ceil((lengthM + 0.5 + 1.6) * 2) / 2),
  )
  expect(exercise.bays[0]!.materials.cables[0]).toMatchObject({ lineMm2: 2.5, cpcMm2: 2.5 })
  expect(exercise.bays[0]!.materials.devices[0]).toMatchObject({
    ratingA: 16,
    curve: 'B',
    residualMA: 30,
    capacityA: 6000,
  })
  const [cable] = exercise.cables
  expect(cable!.drums.flatMap(({ pieces }) => pieces.map(({ forWhom }) => forWhom)).sort()).toEqual([
    'bay 1',
    'bay 2',
  ])
  for (const { lengthM, pieces, leftM } of cable!.drums)
    expect(pieces.reduce((sum, piece) => sum + piece.lengthM, leftM)).toBeCloseTo(lengthM, 9)
})

test('bulk release gives back what is decided and names what is not', () => {
  const centre = aCentre()
  const { attemptId } = aSetExercise(centre)
  bringTo(centre, attemptId, 'handedIn')
  decide(centre.context, centre.assessor, attemptId, { version: 0 })
  const other = centre.repos.attempts.byPerson(centre.other.id)[0]!.id
  expect(releaseMany(centre.context, centre.assessor, [attemptId, other])).toMatchObject({
    released: 1,
    left: [{ id: other }],
  })
  expect(centre.repos.attempts.byId(attemptId)!.stage).toBe('released')
})

test('the comment bank learns from what was decided, and counts what is used again', () => {
  const centre = aCentre()
  const { attemptId } = aSetExercise(centre)
  bringTo(centre, attemptId, 'handedIn', { typed: { 'c1.zs': '0.50' } })
  const suggested = showMarking(centre.context, centre.assessor, attemptId).suggestedFeedback
  for (const version of [0, 1]) {
    saveMarking(centre.context, centre.assessor, attemptId, {
      version,
      overrides: [],
      feedback: `${suggested}\n\nDraw the loop first.`,
    })
    decide(centre.context, centre.assessor, attemptId, { version: version + 1 })
  }
  expect(centre.repos.comments.all()).toEqual([{ id: 1, text: 'Draw the loop first.', step: 'zs', uses: 2 }])
})

test('the floor puts the dead tests beside a request and keeps them off everybody else', () => {
  const centre = aCentre()
  const { attemptId } = aSetExercise(centre)
  bringTo(centre, attemptId, 'permission', { readings: { irLE: '0.2' } })
  const { patches } = showFloor(centre.context, centre.assessor)
  expect(patches.map((patch) => patch.stage)).toEqual(['permission', 'design'])
  expect(showRequest(centre.context, centre.assessor, attemptId).gate.beyond).toEqual(['c1.irLE'])
  for (const somebody of [centre.apprentice, centre.other, centre.technician])
    expect(refusedAtOnce(() => showRequest(centre.context, somebody, attemptId))).toBe('notAllowed')
})
