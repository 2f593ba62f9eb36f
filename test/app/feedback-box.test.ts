/* Feedback while it is typed: kept on the device, sent after a pause, never lost to a slow or failing server. */
import { effectScope, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MarkingView } from '#schemas/marking-views'
import { useFeedbackBox } from '~/composables/useFeedbackBox'
import type { DeviceCopy, DevicePlace } from '~/utils/device-copy'

/** Places on the device by name, each holding at most one copy. */
const device = new Map<string, DeviceCopy>()
const left: string[] = []
const placeOf = (name: string): DevicePlace => ({
  read: async () => device.get(name),
  keep: (copy) => void device.set(name, copy),
  forget: async () => void device.delete(name),
  open: () => () => void left.push(name),
})

/** A server that answers when the test lets it. */
interface Sent {
  readonly text: string
  readonly arrive: () => void
  readonly fail: () => void
}
let sent: Sent[]
let attempt: string
let scope: EffectScope
let box: ReturnType<typeof useFeedbackBox>
const save = (text: string) =>
  new Promise<void>((arrive, fail) => void sent.push({ text, arrive, fail: () => fail(new Error('down')) }))
const viewOf = (feedback: string | null, parts: Partial<MarkingView> = {}) =>
  ({
    draft: { feedback, version: 3 },
    attempt: { stage: 'handedIn' },
    decision: null,
    suggestedFeedback: 'Good work on the ring.',
    ...parts,
  }) as unknown as MarkingView
const PAUSE_MS = 900
const RETRY_MS = 4000
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)

beforeEach(() => {
  vi.useFakeTimers()
  device.clear()
  left.length = 0
  sent = []
  attempt = 'first'
  scope = effectScope()
  box = scope.run(() => useFeedbackBox(save, () => placeOf(attempt)))!
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('what stands in the box', () => {
  it('is what the server has; before anything was written, what the model suggests', async () => {
    await box.take(viewOf(null))
    expect(box.feedback.value).toBe('Good work on the ring.')
    await box.take(viewOf('Mine.'))
    expect(box.feedback.value).toBe('Mine.')
  })
  it('is, once released, what was released', async () => {
    const released = { attempt: { stage: 'released' }, decision: { feedback: 'As signed.' } }
    await box.take(viewOf(null, released as unknown as Partial<MarkingView>))
    expect(box.feedback.value).toBe('As signed.')
  })
  it('is what this device could not send, and that goes to the server now', async () => {
    device.set('first', { base: { feedback: 'Old.' }, mine: { feedback: 'Old. And new.' }, version: 2 })
    await box.take(viewOf('Old.'))
    expect(box.feedback.value).toBe('Old. And new.')
    await pass(PAUSE_MS)
    expect(sent.map(({ text }) => text)).toEqual(['Old. And new.'])
  })
  it('is not replaced by news while something is typed', async () => {
    await box.take(viewOf('Theirs.'))
    box.write('Mine')
    await box.take(viewOf('Theirs, later.'))
    expect(box.feedback.value).toBe('Mine')
  })
  it('takes a sentence of the bank as a paragraph of its own', async () => {
    await box.take(viewOf('Well tested. '))
    box.add('Name both terminals.')
    expect(box.feedback.value).toBe('Well tested.\n\nName both terminals.')
  })
})

describe('what is typed', () => {
  it('is on the device at once, at the server after a pause, and then nowhere else', async () => {
    await box.take(viewOf('Was.'))
    for (const text of ['A', 'Ag', 'Agai', 'Again.']) box.write(text)
    expect(device.get('first')).toEqual({
      base: { feedback: 'Was.' },
      mine: { feedback: 'Again.' },
      version: 3,
    })
    await pass(PAUSE_MS)
    expect(sent.map(({ text }) => text)).toEqual(['Again.'])
    expect(box.state.value).toBe('saving')
    sent[0]!.arrive()
    await pass(0)
    expect(box.state.value).toBe('saved')
    expect(device.has('first')).toBe(false)
  })
  it('goes on being typed while it is on its way: the rest follows, the device keeps it till then', async () => {
    await box.take(viewOf(''))
    box.write('First')
    await pass(PAUSE_MS)
    box.write('First and second')
    sent[0]!.arrive()
    await pass(0)
    expect(sent.map(({ text }) => text)).toEqual(['First', 'First and second'])
    expect(device.get('first')?.mine.feedback).toBe('First and second')
    sent[1]!.arrive()
    await pass(0)
    expect(device.has('first')).toBe(false)
  })
  it('and typed on while the sending fails, stays as it was typed', async () => {
    await box.take(viewOf(''))
    box.write('First')
    await pass(PAUSE_MS)
    box.write('First and second')
    sent[0]!.fail()
    await pass(0)
    expect(box.feedback.value).toBe('First and second')
    await pass(RETRY_MS)
    expect(sent.at(-1)!.text).toBe('First and second')
  })
  it('is tried again without a network, and says so meanwhile', async () => {
    await box.take(viewOf(''))
    box.write('Again.')
    await pass(PAUSE_MS)
    sent[0]!.fail()
    await pass(0)
    expect(box.state.value).toBe('offline')
    await pass(RETRY_MS)
    sent[1]!.arrive()
    await pass(0)
    expect(box.state.value).toBe('saved')
  })
})

describe('before a decision', () => {
  it('waits until the server has what stands in the box, however often it was typed on', async () => {
    await box.take(viewOf(''))
    box.write('One')
    const saving = box.save()
    await pass(0)
    box.write('One, two')
    sent[0]!.arrive()
    await pass(0)
    sent[1]!.arrive()
    expect(await saving).toBe(true)
    expect(sent.map(({ text }) => text)).toEqual(['One', 'One, two'])
  })
  it('says that it has not arrived where it has not', async () => {
    await box.take(viewOf(''))
    box.write('One')
    const saving = box.save()
    await pass(0)
    sent[0]!.fail()
    expect(await saving).toBe(false)
  })
  it('sends nothing where nothing was typed', async () => {
    await box.take(viewOf('Was.'))
    expect(await box.save()).toBe(true)
    expect(sent).toEqual([])
  })
})

describe('another attempt', () => {
  it('has its own text: what is on its way for the one before does not touch it', async () => {
    await box.take(viewOf(''))
    box.write('For the first')
    await pass(PAUSE_MS)
    attempt = 'second'
    box.turn()
    await box.take(viewOf('For the second'))
    sent[0]!.fail()
    await pass(RETRY_MS)
    expect(box.feedback.value).toBe('For the second')
    expect(box.state.value).toBe('saved')
    expect(sent).toHaveLength(1)
    expect(device.get('first')?.mine.feedback).toBe('For the first')
    expect(left).toEqual(['first'])
  })
  it('read too late from the device, what was kept for the one before is not laid over it', async () => {
    device.set('first', { base: { feedback: '' }, mine: { feedback: 'Kept for the first' }, version: 1 })
    const taking = box.take(viewOf(''))
    attempt = 'second'
    box.turn()
    await taking
    expect(box.feedback.value).not.toBe('Kept for the first')
  })
})

it('given up, the box is the server’s again and the device has nothing', async () => {
  await box.take(viewOf('Was.'))
  box.write('Not this')
  box.giveUp()
  await pass(PAUSE_MS)
  expect(sent).toEqual([])
  expect(device.has('first')).toBe(false)
  await box.take(viewOf('Was.'))
  expect(box.feedback.value).toBe('Was.')
})
