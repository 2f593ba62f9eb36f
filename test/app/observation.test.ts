/* A real isolation being observed: every tap is an act of its own, what stands is judged, a decision waits for the
   network. */
import { effectScope, reactive, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import type { ObservationView } from '#schemas/isolation-views'
import { ApiProblem } from '~/utils/api-problem'

const call = vi.fn()
const shown = vi.fn((error: unknown) => error)
const told = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('element-plus', () => ({ ElMessage: (said: { message: string }) => told(said.message) }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const fields = reactive<Record<string, string>>({})
const view = shallowRef<ObservationView | null>(null)
const autosave = {
  fields,
  state: ref('saved'),
  message: ref(''),
  flush: vi.fn(async () => 9),
  write: (name: string, text: string) => void (fields[name] = text),
}
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptDocument: () => ({ view, problem: ref(null), autosave, load: vi.fn() }),
}))
const { useObservation } = await import('~/composables/useObservation')

let scope: EffectScope
let seen: ReturnType<typeof useObservation>
const kinds = () => seen.acts.value.map(({ act }) => act.kind)

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-11-12T14:00:00Z') })
  for (const name of Object.keys(fields)) delete fields[name]
  Object.assign(fields, { 'head.level': 'first', 'head.phases': '1', 'head.circuit': 'Sockets' })
  view.value = { state: 'running', policy: DEFAULT_ISOLATION, fields: {} } as ObservationView
  autosave.state.value = 'saved'
  autosave.message.value = ''
  for (const mock of [call, shown, told]) mock.mockReset()
  scope = effectScope()
  seen = scope.run(() => useObservation(3))!
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

/** So many seconds later somebody taps this. */
const tap = (kind: Parameters<typeof seen.tap>[0], parts: Parameters<typeof seen.tap>[1] = {}, s = 5) => {
  vi.advanceTimersByTime(1000 * s)
  seen.tap(kind, parts)
}

describe('a tap', () => {
  it('is an act with its time; two in the same millisecond are two', () => {
    seen.tap('identify')
    seen.tap('take', { indicator: 'two-pole' })
    seen.tap('prove', { proof: 'proving-unit', shows: true })
    expect(kinds()).toEqual(['identify', 'take', 'prove'])
    expect(new Set(seen.acts.value.map(({ key }) => key)).size).toBe(3)
  })
  it('taken back stays on the record and is judged no more; put back it counts again', () => {
    tap('identify')
    tap('switchOff', { isMain: true })
    const [, off] = seen.acts.value
    seen.takeBack(off!.key)
    expect(kinds()).toEqual(['identify', 'switchOff'])
    expect(seen.acts.value[1]!.isUndone).toBe(true)
    expect(seen.likely.value).not.toContain('testDead')
    seen.putBack(off!.key)
    expect(seen.acts.value[1]!.isUndone).toBe(false)
  })
  it('has a remark of its own', () => {
    tap('identify')
    seen.remark(seen.acts.value[0]!.key, 'read the label aloud')
    expect(seen.acts.value[0]!.remark).toBe('read the label aloud')
  })
  it('of the second way carries the indicator that was taken before', () => {
    tap('take', { indicator: 'two-pole' })
    tap('testDead', { shows: false, pairs: 3, atPoint: true })
    expect(seen.acts.value[1]!.act.indicator).toBe('two-pole')
  })
})

describe('what is offered next', () => {
  it('begins with what opens the sequence, and never with a test of a circuit that is still on', () => {
    expect(seen.likely.value.length).toBeGreaterThan(0)
    expect(seen.likely.value).not.toContain('testDead')
    expect(seen.likely.value).not.toContain('lock')
  })
  it('has the switch once the circuit is found and the indicator is proved', () => {
    tap('identify')
    tap('take', { indicator: 'two-pole' })
    expect(seen.likely.value).not.toContain('switchOff')
    tap('prove', { proof: 'proving-unit', shows: true })
    expect(seen.likely.value).toContain('switchOff')
  })
  it('once dead is proved begins with proving the indicator again: proved, tested, proved', () => {
    tap('identify')
    tap('take', { indicator: 'two-pole' })
    tap('prove', { proof: 'proving-unit', shows: true })
    tap('switchOff')
    tap('lock')
    tap('testDead', { shows: false, pairs: 10 })
    expect(seen.likely.value[0]).toBe('prove')
    tap('prove', { proof: 'proving-unit', shows: true })
    tap('open')
    expect(seen.likely.value[0]).toBe('testTerminals')
    tap('cover')
    expect(seen.likely.value).toContain('switchOn')
  })
  it('is at most a handful', () => {
    for (const kind of ['identify', 'take', 'prove', 'switchOff', 'lock'] as const) {
      expect(seen.likely.value.length).toBeLessThanOrEqual(4)
      tap(kind)
    }
  })
})

describe('what is judged', () => {
  it('before the end leaves open what can still be done; at the end it is missing', () => {
    tap('identify')
    const open = seen.soFar.value!.rules.filter(({ state }) => state === 'open')
    expect(open.length).toBeGreaterThan(3)
    expect(seen.atEnd.value!.rules.some(({ state }) => state === 'open')).toBe(false)
  })
  it('is, once decided, what was signed, whatever this device still holds', () => {
    tap('identify')
    view.value = { ...view.value!, state: 'decided', fields: { 'head.circuit': 'Lighting' } }
    expect(kinds()).toEqual([])
    expect(seen.head.value.circuit).toBe('Lighting')
  })
})

describe('the decision', () => {
  const MET = { met: true, feedback: 'In order.', pin: '2468' } as never

  it('is made of what has arrived, by its version', async () => {
    call.mockResolvedValueOnce({ ...view.value!, state: 'decided' })
    expect(await seen.decide(MET)).toBe(true)
    expect(call).toHaveBeenCalledWith(
      'POST',
      'observations/3/decision',
      expect.objectContaining({ version: 9, met: true }),
    )
    expect(seen.view.value!.state).toBe('decided')
  })
  it('waits for the network: nothing is asked, and it says that nothing is lost', async () => {
    autosave.state.value = 'offline'
    expect(await seen.decide(MET)).toBe(false)
    expect(call).not.toHaveBeenCalled()
    expect(told.mock.calls[0]![0]).toContain('nothing is lost')
    expect(seen.isBusy.value).toBe(false)
  })
  it('refused, it is said in the server’s words and the observation goes on', async () => {
    call.mockRejectedValueOnce(new ApiProblem(403, 'pinWrong', 'This PIN is not yours.'))
    expect(await seen.decide(MET)).toBe(false)
    expect(shown.mock.calls[0]![0]).toMatchObject({ message: 'This PIN is not yours.' })
    expect(seen.view.value!.state).toBe('running')
  })
})
