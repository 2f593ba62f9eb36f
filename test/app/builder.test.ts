/* What is typed into an exercise and into feedback is kept until it is saved or thrown away; a display is always of now. */
import { effectScope, nextTick, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MarkingView } from '#schemas/marking-views'
import type { DevicePlace } from '../../app/utils/device-copy'

vi.mock('element-plus', () => ({ ElMessage: vi.fn() }))
const { useKeptForm } = await import('../../app/composables/useKeptForm')
const { useFeedbackBox } = await import('../../app/composables/useFeedbackBox')
const { useProbes } = await import('../../app/composables/useProbes')

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
const inScope = <T>(make: () => T): T => scope.run(make)!

/** One place on a device. */
function aPlace() {
  type Copy = Parameters<DevicePlace['keep']>[0]
  const place = { copy: undefined as Copy | undefined }
  const device: DevicePlace = {
    read: async () => place.copy,
    keep: (copy) => void (place.copy = structuredClone(copy)),
    forget: async () => void (place.copy = undefined),
    open: () => () => {},
  }
  return { place, device }
}

describe('an exercise being written', () => {
  const SAVED = { code: 'T-01', title: 'Store', minutes: '90' }

  it('keeps on the device what is typed and not saved, and forgets it once it is', async () => {
    const { place, device } = aPlace()
    const form = inScope(() => useKeptForm(device, () => true))
    form.adopt(SAVED)
    form.step({ ...SAVED, title: 'Lamp store' }, 'title')
    await nextTick()
    expect(place.copy).toMatchObject({ base: SAVED, mine: { title: 'Lamp store' } })
    form.adopt({ ...SAVED, title: 'Lamp store' })
    await nextTick()
    expect(place.copy).toBeUndefined()
  })

  it('lays it over what the server has by now: other boxes are theirs, the same box is asked about', async () => {
    const { device } = aPlace()
    device.keep({ base: SAVED, mine: { ...SAVED, title: 'Lamp store', minutes: '100' }, version: 0 })
    const form = inScope(() => useKeptForm(device, () => true))
    form.adopt({ code: 'T-09', title: 'Stores', minutes: '90' })
    await form.layBack()
    expect(form.form.value).toMatchObject({ code: 'T-09', minutes: '100' })
    expect(form.conflicts.value.map(({ field }) => field)).toEqual(['title'])
    expect(form.isBack.value).toBe(true)
  })

  it('takes back a box at a time, however many letters it had', () => {
    const form = inScope(() => useKeptForm(aPlace().device, () => true))
    form.adopt(SAVED)
    for (const title of ['L', 'La', 'Lamp']) form.step({ ...form.form.value, title }, 'title')
    form.step({ ...form.form.value, minutes: '120' }, 'minutes')
    form.undo()
    expect(form.form.value).toMatchObject({ title: 'Lamp', minutes: '90' })
    form.undo()
    expect(form.form.value).toMatchObject({ title: 'Store' })
    expect(form.isChanged.value).toBe(false)
  })
})

describe('feedback being typed', () => {
  const view = (feedback: string | null) =>
    ({
      draft: { feedback, version: 3 },
      attempt: { stage: 'handedIn' },
      decision: null,
      suggestedFeedback: 'As put together.',
    }) as unknown as MarkingView
  const refuse = () => Promise.reject(new Error('no network'))

  it('is sent after a pause, once; then nothing is left on the device', async () => {
    const sent: string[] = []
    const { place, device } = aPlace()
    const box = inScope(() =>
      useFeedbackBox(
        async (text) => void sent.push(text),
        () => device,
      ),
    )
    await box.take(view(null))
    expect(box.feedback.value).toBe('As put together.')
    box.write('Good')
    box.write('Good work')
    expect(place.copy).toMatchObject({ mine: { feedback: 'Good work' }, version: 3 })
    await vi.advanceTimersByTimeAsync(1000)
    expect(sent).toEqual(['Good work'])
    expect(box.state.value).toBe('saved')
    expect(place.copy).toBeUndefined()
  })

  it('stays in its box and on the device where it could not be sent; a fresh view does not wipe it', async () => {
    const { place, device } = aPlace()
    const box = inScope(() => useFeedbackBox(refuse, () => device))
    box.write('Calm and complete.')
    expect(await box.save()).toBe(false)
    await box.take(view('what the server had'))
    expect(box.feedback.value).toBe('Calm and complete.')
    expect(box.state.value).toBe('offline')
    expect(place.copy?.mine.feedback).toBe('Calm and complete.')
  })

  it('closed without a network, it is there again when the page is opened, and goes', async () => {
    const { place, device } = aPlace()
    const closed = effectScope()
    const before = closed.run(() => useFeedbackBox(refuse, () => device))!
    await before.take(view(null))
    before.write('Calm and complete.')
    closed.stop()
    const sent: string[] = []
    const box = inScope(() =>
      useFeedbackBox(
        async (text) => void sent.push(text),
        () => device,
      ),
    )
    await box.take(view(null))
    expect(box.feedback.value).toBe('Calm and complete.')
    await vi.advanceTimersByTimeAsync(1000)
    expect(sent).toEqual(['Calm and complete.'])
    expect(place.copy).toBeUndefined()
  })

  it('turning to another attempt neither takes the text along nor loses it', async () => {
    const places = [aPlace(), aPlace()]
    let at = 0
    const box = inScope(() => useFeedbackBox(refuse, () => places[at]!.device))
    await box.take(view(null))
    box.write('For the first.')
    at = 1
    box.turn()
    await box.take(view('What the second has.'))
    expect(box.feedback.value).toBe('What the second has.')
    expect(places[0]!.place.copy?.mine.feedback).toBe('For the first.')
    expect(places[1]!.place.copy).toBeUndefined()
  })

  it('typed on while it was being sent, it goes once more', async () => {
    const sent: string[] = []
    let arrive = () => {}
    const box = inScope(() =>
      useFeedbackBox(
        async (text) => {
          sent.push(text)
          await new Promise<void>((resolve) => (arrive = resolve))
        },
        () => aPlace().device,
      ),
    )
    box.write('First')
    const saving = box.save()
    await vi.advanceTimersByTimeAsync(0)
    box.write('First, then more')
    arrive()
    await vi.advanceTimersByTimeAsync(0)
    arrive()
    expect(await saving).toBe(true)
    expect(box.state.value).toBe('saved')
    expect(sent).toEqual(['First', 'First, then more'])
  })
})

describe('a meter with its probes on', () => {
  function aBay() {
    const state = shallowRef<{ readonly on: boolean } | null>({ on: false })
    const run = {
      state,
      links: shallowRef([]),
      freed: shallowRef([]),
      measure: vi.fn(async ({ instrument }: { instrument: string }) => ({
        display: { is: 'lamp', hazards: [], volt: instrument === 'voltage' && state.value!.on ? 230 : 0 },
        trips: [],
      })),
    }
    const probes = inScope(() => useProbes(run as never, () => state.value!.on))
    return { state, run, probes }
  }
  const shown = (probes: ReturnType<typeof aBay>['probes']) =>
    (probes.taken.value as unknown as { display: { volt: number } } | null)?.display.volt

  it('shows at once that a terminal has become live', async () => {
    const { state, probes } = aBay()
    probes.set({ instrument: 'voltage' })
    probes.probe('c1p1.L')
    probes.probe('c1p1.N')
    await vi.advanceTimersByTimeAsync(0)
    expect(shown(probes)).toBe(0)
    state.value = { on: true }
    await nextTick()
    await vi.advanceTimersByTimeAsync(0)
    expect(shown(probes)).toBe(230)
  })

  it('takes the result of a single test off when something is switched, and does not press again by itself', async () => {
    const { state, run, probes } = aBay()
    probes.set({ instrument: 'rcd' })
    probes.probe('c1p1.L')
    probes.probe('c1p1.E')
    await vi.advanceTimersByTimeAsync(0)
    expect(probes.taken.value).not.toBeNull()
    const before = run.measure.mock.calls.length
    state.value = { on: true }
    await nextTick()
    expect(probes.taken.value).toBeNull()
    expect(run.measure).toHaveBeenCalledTimes(before)
  })
})
