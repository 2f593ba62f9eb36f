/* A bay at work while its computing takes a moment: taps wait their turn, and what was ended stays ended. */
import { effectScope, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { polesToProve } from '#core/bay/mount/proof'
import type { Rig } from '#core/bay/model/rig'
import { practiceBay } from '#core/bay/practice/bays'
import { workAtBay, type BayJob } from '~/utils/bay-work'
import { plain } from '~/composables/useWorker'

/** The worker: it answers when a test lets it. */
let jobs: { readonly job: BayJob; readonly answer: () => void }[] = []
vi.mock('~/composables/useBayWorker', () => ({
  useBayWorker: () => ({
    work: (job: BayJob) =>
      new Promise((resolve) => {
        const asked = structuredClone(plain(job))
        jobs.push({ job: asked, answer: () => resolve(workAtBay(asked)) })
      }),
  }),
}))
vi.mock('~/utils/warn', () => ({ warn: vi.fn() }))
const { useBayRun } = await import('~/composables/useBayRun')
const { useProving } = await import('~/composables/useProving')

const HEATERS = practiceBay('heaters')!.rig()
const rig = shallowRef<Rig | null>(HEATERS)
const MAIN = HEATERS.parts.find((part) => part.kind === 'device' && part.role === 'main-switch')!.id
const SUPPLY = { kind: 'supply', on: true } as const
const SHORT = ['c1p1.L', 'c1p1.N', 0.05] as const
let scope: EffectScope
let run: ReturnType<typeof useBayRun>

const idle = () => new Promise((done) => setTimeout(done))
/** Answers what is asked now and what follows from it, until the worker has nothing left. */
async function settle() {
  await idle()
  for (let one = jobs.shift(); one; one = jobs.shift()) {
    one.answer()
    await idle()
  }
}
/** Answers the next that is asked, alone. */
async function step() {
  await vi.waitFor(() => expect(jobs.length).toBeGreaterThan(0))
  jobs.shift()!.answer()
  await idle()
}
const energised = async () => {
  void run.energise()
  await settle()
}

beforeEach(() => {
  jobs = []
  rig.value = HEATERS
  scope = effectScope()
  run = scope.run(() => useBayRun(() => rig.value))!
})
afterEach(() => scope.stop())

describe('taps that come quicker than the computing', () => {
  it('wait their turn: a second one on a switch turns it back', async () => {
    const over = () => run.act((now) => ({ kind: 'close', part: MAIN, on: !now.closed[MAIN] }))
    void over()
    void over()
    await idle()
    expect(jobs).toHaveLength(1)
    await step()
    expect(run.state.value!.closed[MAIN]).toBe(true)
    await settle()
    expect(run.state.value!.closed[MAIN]).toBe(false)
  })
  it('one that fails holds up none of those after it', async () => {
    const failed = run.act(() => {
      throw new Error('no such part')
    })
    void run.act(SUPPLY)
    await expect(failed).rejects.toThrow('no such part')
    await settle()
    expect(run.state.value!.isSupplyOn).toBe(true)
    expect(run.isBusy.value).toBe(false)
  })
})

describe('everything off', () => {
  it('stays off: what was still being computed does not put the supply on again', async () => {
    void run.energise()
    await idle()
    run.reset()
    await settle()
    expect(run.state.value!.isSupplyOn).toBe(false)
    expect([run.live.value.size, run.flow.value.size, run.lines.value.length]).toEqual([0, 0, 0])
    expect(run.isBusy.value).toBe(false)
  })
  it('nor what stands live, where that is known last', async () => {
    void run.energise()
    await step()
    expect(run.state.value!.isSupplyOn).toBe(true)
    run.reset()
    await settle()
    expect([run.live.value.size, run.flow.value.size]).toEqual([0, 0])
  })
  it('drops taps that waited for their turn; what is done afterwards is done', async () => {
    void run.act(SUPPLY)
    void run.act({ kind: 'close', part: MAIN, on: true })
    run.reset()
    void run.act({ kind: 'close', part: MAIN, on: true })
    await settle()
    expect([run.state.value!.isSupplyOn, run.state.value!.closed[MAIN]]).toEqual([false, true])
  })
  it('takes away what was just being made to touch', async () => {
    await energised()
    void run.touch(...SHORT)
    await idle()
    run.reset()
    await settle()
    expect(run.leaks.value).toEqual([])
  })
})

describe('what is made to touch', () => {
  it('and separated before that was computed touches no longer', async () => {
    await energised()
    void run.touch(...SHORT)
    await idle()
    run.untouch()
    await settle()
    expect(run.leaks.value).toEqual([])
  })
  it('twice in a row is two places, each of its own', async () => {
    void run.touch('c1p1.N', 'c1p1.E', 0.05)
    void run.touch('c1p2.N', 'c1p2.E', 0.05)
    await settle()
    expect(new Set(run.leaks.value.map(({ id }) => id)).size).toBe(2)
  })
})

describe('a reading', () => {
  const RCD_TEST = {
    instrument: 'rcd',
    at: ['c1p1.L', 'c1p1.E'],
    volt: 500,
    ratedA: 0.03,
    multiple: 1,
  } as const
  it('is of how the bay stands when its turn comes, after the taps before it', async () => {
    const across = [`${MAIN}.L in`, `${MAIN}.L out`]
    void run.act({ kind: 'close', part: MAIN, on: true })
    const reading = run.measure({ ...RCD_TEST, instrument: 'continuity', at: across })
    void run.act({ kind: 'close', part: MAIN, on: false })
    await settle()
    expect((await reading).display).toMatchObject({ is: 'reading', reading: { isOver: false } })
  })
  it('that opened a device leaves it open, whatever was tapped meanwhile', async () => {
    await energised()
    const reading = run.measure(RCD_TEST)
    void run.act({ kind: 'close', part: MAIN, on: true })
    await settle()
    const { trips } = await reading
    expect(trips.length).toBeGreaterThan(0)
    for (const part of trips) expect(run.state.value!.closed[part]).toBe(false)
  })
})

describe('proving a pole', () => {
  const poles = polesToProve(HEATERS)
  const [open, closed] = ['open', 'closed'].map((position) =>
    poles.find((pole) => pole.device.id === MAIN && pole.position === position)!,
  )
  it('two taps after each other keep to each its own position: nothing moves the lever in between', async () => {
    const kept: Record<string, string> = {}
    const wiring = { change: (fields: object) => Object.assign(kept, fields) }
    const prove = scope.run(() => useProving(wiring as never, run))!
    void prove(open!)
    void prove(closed!)
    void run.act({ kind: 'close', part: MAIN, on: false })
    await settle()
    const texts = Object.entries(kept)
    expect(texts.find(([name]) => name.endsWith('.open'))![1]).toBe('over')
    expect(Number(texts.find(([name]) => name.endsWith('.closed'))![1])).toBeLessThan(1)
  })
})
