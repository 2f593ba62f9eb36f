/* Of what is asked again and again only the latest answer counts; a search that a newer one ends says nothing. */
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useLatest } from '~/composables/useDeskWorker'
import { WorkerFailure } from '~/composables/useWorker'

interface Asked {
  readonly of: string
  readonly answer: (with_: string) => void
  readonly fail: (error: Error) => void
}
const asked: Asked[] = []
const worker = { stop: vi.fn() }
const wait = (of: string) => new Promise<string>((answer, fail) => void asked.push({ of, answer, fail }))
vi.mock('~/composables/useWorker', async (original) => ({
  ...(await original<typeof import('~/composables/useWorker')>()),
  callable: (run: unknown) => run,
  useWorker: () => ({ call: (ask: (remote: unknown) => Promise<unknown>) => ask(remote), stop: worker.stop }),
}))
/** What the page hands to a search, to be called while it goes on. */
let told: { readonly progress: (share: number) => void; readonly first: (found: unknown) => void }
const remote = {
  diagnoseSheet: (
    rig: { name: string },
    _: unknown,
    __: unknown,
    progress: (share: number) => void,
    first: (found: unknown) => void,
  ) => {
    told = { progress, first }
    return wait(rig.name)
  },
}
const shown = vi.fn()
vi.mock('~/composables/useApi', () => ({ showProblem: shown }))
const { useDiagnosis } = await import('~/composables/useDiagnosis')
const settle = () => new Promise((done) => setTimeout(done))

let scope: EffectScope
beforeEach(() => {
  asked.length = 0
  worker.stop.mockReset()
  shown.mockReset()
  scope = effectScope()
})
afterEach(() => scope.stop())

describe('the latest of several', () => {
  it('counts, in whichever order they come', async () => {
    const { answer, ask } = useLatest(wait)
    void ask('one')
    void ask('two')
    asked[1]!.answer('2')
    await settle()
    asked[0]!.answer('1')
    await settle()
    expect(answer.value).toBe('2')
  })
  it('is waited for: an earlier answer ends no waiting', async () => {
    const { isBusy, ask } = useLatest(wait)
    void ask('one')
    void ask('two')
    asked[0]!.answer('1')
    await settle()
    expect(isBusy.value).toBe(true)
    asked[1]!.answer('2')
    await settle()
    expect(isBusy.value).toBe(false)
  })
  it('that fails says why, and keeps the answer that stood; the next one clears it', async () => {
    const { answer, problem, isBusy, ask } = useLatest(wait)
    void ask('one')
    asked[0]!.answer('1')
    await settle()
    void ask('two')
    asked[1]!.fail(new Error('This could not be computed.'))
    await settle()
    expect([answer.value, problem.value, isBusy.value]).toEqual(['1', 'This could not be computed.', false])
    void ask('three')
    asked[2]!.answer('3')
    await settle()
    expect([answer.value, problem.value]).toEqual(['3', null])
  })
  it('an earlier one that fails late says nothing', async () => {
    const { problem, ask } = useLatest(wait)
    void ask('one')
    void ask('two')
    asked[0]!.fail(new Error('late'))
    asked[1]!.answer('2')
    await settle()
    expect(problem.value).toBeNull()
  })
  it('asked for nothing, has no answer, not even one that is on its way', async () => {
    const { answer, isBusy, ask } = useLatest(wait)
    void ask('one')
    await ask(null)
    asked[0]!.answer('1')
    await settle()
    expect([answer.value, isBusy.value]).toEqual([null, false])
  })
})

describe('causes of a sheet', () => {
  const rig = (name: string) => ({ name }) as never
  const search = () => scope.run(useDiagnosis)!

  it('are shown as far as they are known while the search goes on', async () => {
    const { diagnosis, progress, search: begin } = search()
    const searching = begin(rig('bay'), {}, new Map())
    await settle()
    expect([diagnosis.value, progress.value]).toEqual([null, 0])
    told.progress(0.4)
    told.first({ odd: ['c1.zs'] })
    expect([diagnosis.value, progress.value]).toEqual([{ odd: ['c1.zs'] }, 0.4])
    asked[0]!.answer('all' as never)
    await searching
    expect([diagnosis.value, progress.value]).toEqual(['all', null])
  })
  it('of a sheet that changed end the search before; what that one says is not heard', async () => {
    const { diagnosis, progress, search: begin } = search()
    void begin(rig('before'), {}, new Map())
    await settle()
    const searching = begin(rig('now'), {}, new Map())
    await settle()
    expect(worker.stop).toHaveBeenCalledTimes(1)
    asked[0]!.fail(new WorkerFailure('stopped'))
    await settle()
    expect(progress.value).toBe(0)
    asked[1]!.answer('of now' as never)
    await searching
    expect(diagnosis.value).toBe('of now')
    expect(shown).not.toHaveBeenCalled()
  })
  it('one that is done stays for the next sheet of the same bay', async () => {
    const { search: begin } = search()
    const first = begin(rig('bay'), {}, new Map())
    await settle()
    asked[0]!.answer('one' as never)
    await first
    void begin(rig('bay'), {}, new Map())
    await settle()
    expect(worker.stop).not.toHaveBeenCalled()
  })
  it('that cannot be computed say so, and can be looked for again', async () => {
    const { progress, search: begin } = search()
    const searching = begin(rig('bay'), {}, new Map())
    await settle()
    asked[0]!.fail(new WorkerFailure('failed'))
    await searching
    expect(shown).toHaveBeenCalledTimes(1)
    expect(progress.value).toBeNull()
  })
})
