/* A session on the screen: moved, paired, planned by the worker, planned again on the day; what is locked or begun stays. */
import { effectScope, reactive, shallowRef } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { firstPlan } from '#core/planning/first-plan'
import type { SessionProblem } from '#core/planning/session'
import type { SessionView } from '#schemas/planning-views'

/** The worker's answer: the first plan alone. */
const asked: SessionProblem[] = []
vi.mock('~/composables/useWorker', () => ({
  useWorker: () => ({
    call: (ask: (worker: object) => unknown) =>
      ask({
        planSession: async (problem: SessionProblem, onFirst: (first: unknown) => void) => {
          asked.push(problem)
          const plan = firstPlan(problem)
          onFirst(plan)
          return { plan, isProved: true }
        },
      }),
    stop: () => undefined,
  }),
  plain: <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T,
  callable: <T>(value: T): T => value,
}))
const { usePlannedSession } = await import('~/composables/usePlannedSession')

const DAY = '2026-12-03'
const VIEW = {
  id: 1,
  fields: {},
  version: 1,
  savedAt: null,
  people: [1, 2, 3, 4].map((id) => ({ id, name: `Person ${id}` })),
  staff: [{ id: 9, name: 'Assessor' }],
  exercises: [
    { id: 5, code: 'T-05', title: '', minutes: 100, learnt: { bay: null, waiting: null, live: null } },
  ],
  instruments: [
    { id: 71, name: 'Multi 1', dueOn: '2027-06-01' },
    { id: 72, name: 'Multi 2', dueOn: '2026-11-01' },
  ],
  bays: [],
  knownBays: [1, 2, 3],
  away: [],
  needs: [],
  stock: {},
  open: [],
  lastPairs: [
    [1, 2],
    [3, 4],
  ],
} as unknown as SessionView
const task = (person: number, minutes = { design: 15, build: 30, dead: 15, live: 15 }) =>
  JSON.stringify({ people: [person], exercise: 5, minutes, isRepeat: person === 1, isLocked: false })

let scope = effectScope()
let fields: Record<string, string>
let tools: ReturnType<typeof usePlannedSession>
beforeEach(() => {
  vi.useFakeTimers()
  vi.setSystemTime(new Date(`${DAY}T06:00:00`))
  scope = effectScope()
  fields = reactive<Record<string, string>>({
    day: DAY,
    from: '09:00',
    minutes: '300',
    step: '15',
    bays: '1 2 3',
    desks: '4',
    instruments: '71 72',
    'assessor.9': '0-300',
    ...Object.fromEntries([1, 2, 3, 4].map((id) => [`task.t00${id}`, task(id)])),
  })
  const write = (name: string, text: string) => void (fields[name] = text)
  const document = { view: shallowRef(VIEW), autosave: { fields, write } } as never
  tools = scope.run(() => usePlannedSession(document))!
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  asked.length = 0
})

describe('a session on the screen', () => {
  it('is planned without the instrument that is out of calibration, and says so', async () => {
    await tools.plan()
    expect(asked[0]!.frame.instruments).toEqual([71])
    expect(tools.against.value.map(({ code }) => code)).toEqual(['outOfCalibration'])
    expect(tools.conflicts.value).toEqual([])
    expect([tools.cost.value.unplanned, tools.state.value]).toEqual([[], 'best'])
  })
  it('a task that is moved keeps its waiting, and everybody it needs is given out anew', async () => {
    await tools.plan()
    const before = tools.byTask.value.get('t001')!
    tools.move('t001', { start: before.start + 120, bay: 3 })
    const after = tools.byTask.value.get('t001')!
    expect([after.bay, after.live - after.start]).toEqual([3, before.live - before.start])
    expect([after.assessor, after.instrument]).toEqual([9, 71])
  })
  it('onto somebody else: the conflict is there at once, and gone when it is moved back', async () => {
    await tools.plan()
    const [one, other] = [tools.byTask.value.get('t001')!, tools.byTask.value.get('t002')!]
    tools.move('t002', { bay: one.bay, start: one.start })
    expect(tools.conflicts.value.map(({ code }) => code)).toContain('bayTwice')
    tools.move('t002', { bay: other.bay, start: other.start, live: other.live })
    expect(tools.conflicts.value).toEqual([])
  })
  it('what is locked stays where it is when the rest is planned again', async () => {
    await tools.plan()
    tools.move('t004', { start: 150, bay: 2 })
    tools.change(tools.session.value.tasks[3]!, { isLocked: true })
    await tools.plan()
    expect(tools.byTask.value.get('t004')).toMatchObject({ start: 150, bay: 2 })
    expect(tools.conflicts.value).toEqual([])
  })
  it('pairs keep the minutes that somebody has set, and come apart with them', () => {
    const minutes = { design: 20, build: 50, dead: 25, live: 20 }
    tools.change(tools.session.value.tasks[0]!, { minutes })
    tools.pair('mix')
    expect(tools.session.value.tasks.map(({ people }) => people)).toEqual([
      [1, 3],
      [2, 4],
    ])
    expect(tools.session.value.tasks[0]).toMatchObject({ minutes, isRepeat: true })
    tools.pair('alone')
    expect(tools.session.value.tasks.map(({ people }) => people)).toEqual([[1], [3], [2], [4]])
    expect(tools.session.value.tasks[1]!.minutes).toEqual(minutes)
  })
  it('an empty group or an exercise that is not there adds nothing', () => {
    tools.add([], 5)
    tools.add([1], 99)
    expect(tools.session.value.tasks).toHaveLength(4)
  })
})

describe('on its day', () => {
  const clock = (time: string) => vi.setSystemTime(new Date(`${DAY}T${time}:00`))
  it('an absent person is planned out, what has begun stays, and nothing begins in the past', async () => {
    await tools.plan()
    const first = [...tools.byTask.value.values()].find(({ start }) => start === 15)!
    clock('09:45')
    const late = ['t001', 't002', 't003', 't004'].find((id) => tools.byTask.value.get(id)!.start > 45)!
    const absent = Number(late.slice(-1))
    await tools.absent(absent, true)
    expect(tools.byTask.value.get(late)).toBeUndefined()
    expect(tools.byTask.value.get(first.task)).toMatchObject({ start: first.start, bay: first.bay })
    await tools.absent(absent, false)
    expect(tools.byTask.value.get(late)!.start).toBeGreaterThanOrEqual(45 + 15)
  })
  it('before it and on another day nothing has gone by; after its end all of it has', async () => {
    const now = async () => {
      await tools.plan()
      return asked.at(-1)!.frame.now
    }
    expect(await now()).toBe(0)
    clock('11:00')
    expect(await now()).toBe(120)
    fields.day = '2026-12-10'
    expect(await now()).toBe(0)
    fields.day = DAY
    clock('23:00')
    expect(await now()).toBe(300)
  })
})
