/* What the bays of a group should show is worked out in a thread beside the server’s own, once, and asked for by many. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import type { Attempt } from '../../server/repos/attempts'
import { assignmentFor } from '../../server/services/assignment'
import { createExercise } from '../../server/services/exercises'
import { readyBeside, readyGroup } from '../../server/services/group-ready'
import { groupMarks } from '../../server/services/group-marks'
import { showMarking } from '../../server/services/marking'
import { listRounds } from '../../server/services/question-rounds'
import { setAtOnce } from '../../server/services/set-exercise'
import { bayOf, keepBays } from '../../server/services/test-sheet'
import { aCentre, bringTo, type Centre } from '../support/centre'
import { aCircuit, anExercise, anInstallation } from '../support/task'

/** The thread: what has been asked of it, and an answer when the test says so. */
const thread = vi.hoisted(() => ({
  asked: [] as string[],
  answer: [] as (() => void)[],
  isHeld: false,
  isFull: false,
}))
vi.mock('../../server/heavy/pool', async () => {
  const worker = await import('../../server/heavy/worker')
  return {
    heavy: async (_: unknown, name: 'expectedOf', ...args: Parameters<typeof worker.expectedOf>) => {
      thread.asked.push(`${name} ${args[1]}`)
      if (thread.isFull) throw new Error('the queue is full')
      if (thread.isHeld) await new Promise<void>((go) => thread.answer.push(go))
      // As between threads: what comes back is a copy.
      return structuredClone(worker[name](...structuredClone(args)))
    },
  }
})

/** What has been worked out on the server’s own thread. */
const inPlace = vi.hoisted(() => ({ made: [] as string[] }))
vi.mock('#core/testing/judge/bay-under-test', async (original) => {
  const real = await original<typeof import('#core/testing/judge/bay-under-test')>()
  return {
    ...real,
    bayUnderTest: (...given: Parameters<typeof real.bayUnderTest>) => {
      if (given[2] === undefined) inPlace.made.push(given[1])
      return real.bayUnderTest(...given)
    },
  }
})

let centre: Centre
let sheets: readonly Attempt[]
let made = 0
beforeEach(() => {
  centre = aCentre()
  // No two tests have the same bay: bays are kept by what they are made of.
  made += 1
  const installation = anInstallation({ circuits: [aCircuit({ name: `Sockets ${made}` })] })
  const { id, version } = createExercise(
    centre.context,
    centre.instructor,
    anExercise({ installation, tests: 'c1' }),
  )
  setAtOnce(centre.context, centre.instructor, { id, version, cohort: 'Thursday' })
  sheets = centre.repos.attempts.byExercise(id)
  Object.assign(thread, { asked: [], answer: [], isHeld: false, isFull: false })
})
const first = () => sheets[0]!
const settled = () => new Promise((go) => setTimeout(go, 0))
/** Lets the thread answer until nothing more is asked of it. */
async function answerAll() {
  for (let quiet = 0; quiet < 3; quiet += 1) {
    await settled()
    if (thread.answer.length > 0) quiet = 0
    for (const go of thread.answer.splice(0)) go()
  }
}

describe('a bay that is kept', () => {
  it('is the one that would have been worked out in place', async () => {
    await keepBays(centre.context, sheets)
    for (const sheet of sheets)
      expect(bayOf(centre.context, sheet)).toEqual(
        bayUnderTest(assignmentFor(centre.context, sheet), `Bay ${sheet.bay}`),
      )
    expect(thread.asked).toHaveLength(sheets.length)
  })
  it('is asked for once, however many want it at the same time and later', async () => {
    thread.isHeld = true
    const all = Promise.all([1, 2, 3].map(() => keepBays(centre.context, sheets)))
    await answerAll()
    await all
    await keepBays(centre.context, sheets)
    expect(thread.asked.toSorted()).toEqual(sheets.map(({ bay }) => `expectedOf Bay ${bay}`).toSorted())
  })
  it('is tried again where the thread has failed', async () => {
    thread.isFull = true
    await keepBays(centre.context, sheets)
    // Whoever needs one meanwhile has it worked out in place.
    inPlace.made = []
    expect(bayOf(centre.context, first())?.expected.size).toBeGreaterThan(0)
    expect(inPlace.made).toEqual([`Bay ${first().bay}`])
    thread.isFull = false
    await keepBays(centre.context, sheets)
    expect(thread.asked).toHaveLength(2 * sheets.length - 1)
  })
})

describe('before a use case that marks beside a group', () => {
  const asked = () => thread.asked.splice(0)

  it('every bay of the group is ready, so that marking itself asks for none', async () => {
    centre.repos.attempts.setStage(first().id, 'live')
    await readyBeside(centre.context, centre.apprentice, first().id)
    expect(asked()).toHaveLength(sheets.length)
    inPlace.made = []
    centre.repos.attempts.setStage(first().id, 'design')
    bringTo(centre, first().id, 'handedIn')
    showMarking(centre.context, centre.assessor, first().id)
    groupMarks(centre.context, centre.assessor, first().exerciseId)
    await readyGroup(centre.context, centre.assessor, first().exerciseId, null)
    expect([...asked(), ...inPlace.made]).toEqual([])
  })
  it('the group is not even read where the marks are kept, so that what is typed at the desk is saved as soon', async () => {
    bringTo(centre, first().id, 'handedIn')
    showMarking(centre.context, centre.assessor, first().id)
    const ofGroup = vi.spyOn(centre.repos.attempts, 'ofGroup')
    await readyBeside(centre.context, centre.assessor, first().id)
    expect(ofGroup).not.toHaveBeenCalled()
    centre.repos.attempts.setStage(first().id, 'decided')
    await readyBeside(centre.context, centre.assessor, first().id)
    expect(ofGroup).toHaveBeenCalledTimes(1)
    ofGroup.mockRestore()
  })
  it('nothing is worked out for somebody who may not see the sheet, nor for one that is not there', async () => {
    centre.repos.attempts.setStage(first().id, 'dead')
    await readyBeside(centre.context, centre.other, first().id)
    await readyBeside(centre.context, { ...centre.assessor, groups: ['Friday'] }, first().id)
    await readyBeside(centre.context, centre.assessor, 999)
    await readyGroup(centre.context, centre.other, first().exerciseId, null)
    expect(asked()).toEqual([])
  })
})

describe('a list of what to ask', () => {
  it('does not wait for a thread that takes long; at the next look the questions about the job are there', async () => {
    bringTo(centre, first().id, 'dead')
    thread.isHeld = true
    thread.asked = []
    const from = performance.now()
    const before = await listRounds(centre.context, centre.assessor)
    expect(performance.now() - from).toBeLessThan(1000)
    expect(before.heads.every(({ next }) => next !== '')).toBe(true)
    await answerAll()
    thread.isHeld = false
    const after = await listRounds(centre.context, centre.assessor)
    expect(after.heads.map(({ id }) => id)).toEqual(before.heads.map(({ id }) => id))
    expect(after.heads).not.toEqual(before.heads)
  })
})
