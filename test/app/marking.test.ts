/* The marking desk: a change keeps the feedback, a decision waits for it, what somebody else did meanwhile is shown. */
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import type { MarkingView } from '#schemas/marking-views'
import { ApiProblem } from '~/utils/api-problem'

const call = vi.fn()
const shown = vi.fn((error: unknown) => error)
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const box = {
  feedback: ref(''),
  state: ref('saved'),
  take: vi.fn(),
  turn: vi.fn(),
  write: vi.fn(),
  add: vi.fn(),
  giveUp: vi.fn(),
  save: vi.fn(async () => true),
}
vi.mock('~/composables/useFeedbackBox', () => ({ useFeedbackBox: () => box }))
vi.mock('~/composables/useDevicePlace', () => ({ usePlaces: () => vi.fn() }))
const { useMarking } = await import('~/composables/useMarking')

const sheet = ref(22)
const OVERRIDE = { item: 'design.c1.ib', verdict: 'right', reason: 'Said aloud.' } as const
const viewOf = (version: number, overrides: readonly object[] = [], id = sheet.value) =>
  ({
    attempt: { id },
    seen: `hash ${version}`,
    draft: { version, overrides, feedback: 'as it was' },
  }) as unknown as MarkingView
let scope: EffectScope
afterEach(() => scope.stop())
async function aDesk(view = viewOf(1)) {
  call.mockResolvedValueOnce(view)
  scope = effectScope()
  const desk = scope.run(() => useMarking(() => sheet.value))!
  await vi.waitFor(() => expect(desk.view.value).not.toBeNull())
  call.mockClear()
  return desk
}

beforeEach(() => {
  sheet.value = 22
  box.state.value = 'saved'
  box.feedback.value = ''
  call.mockReset()
  for (const mock of [shown, box.take, box.turn, box.giveUp]) mock.mockClear()
  box.save.mockReset().mockResolvedValue(true)
})

describe('a mark that is changed', () => {
  test('goes with its reason and the feedback in hand, and replaces an earlier change of that line', async () => {
    const desk = await aDesk(
      viewOf(1, [
        { ...OVERRIDE, verdict: 'wrong' },
        { ...OVERRIDE, item: 'design.c1.in' },
      ]),
    )
    box.state.value = 'editing'
    box.feedback.value = 'half a sentence'
    call.mockResolvedValue(viewOf(2))
    await expect(desk.override('design.c1.ib', 'right', 'Said aloud.')).resolves.toBe(true)
    expect(call).toHaveBeenCalledWith('PUT', 'marking/22', {
      version: 1,
      overrides: [{ ...OVERRIDE, item: 'design.c1.in' }, OVERRIDE],
      feedback: 'half a sentence',
    })
  })
  test('is taken back without the others', async () => {
    const desk = await aDesk(viewOf(1, [OVERRIDE, { ...OVERRIDE, item: 'design.c1.in' }]))
    call.mockResolvedValue(viewOf(2))
    await desk.clearOverride('design.c1.ib')
    expect(call.mock.calls[0]![2]).toMatchObject({
      overrides: [{ item: 'design.c1.in' }],
      feedback: 'as it was',
    })
  })
  test('on a sheet that somebody else changed is refused, and the sheet is read again', async () => {
    const desk = await aDesk()
    call.mockRejectedValueOnce(new ApiProblem(409, 'stale', 'Changed.')).mockResolvedValueOnce(viewOf(5))
    await expect(desk.override('design.c1.ib', 'right', 'Said aloud.')).resolves.toBe(false)
    expect([desk.view.value!.draft.version, shown.mock.calls.length]).toEqual([5, 1])
  })
})

describe('a decision', () => {
  test('waits until the feedback is saved, and names what stood on the screen', async () => {
    const desk = await aDesk()
    call.mockResolvedValue(viewOf(2))
    await desk.decide()
    expect(box.save).toHaveBeenCalledOnce()
    expect(call).toHaveBeenCalledWith('POST', 'marking/22/decision', { version: 1, seen: 'hash 1' })
  })
  test('is not made while the feedback could not be saved, nor is the sheet released', async () => {
    const desk = await aDesk()
    box.save.mockResolvedValue(false)
    await desk.decide()
    await desk.release()
    expect(call).not.toHaveBeenCalled()
  })
  test('on work that was changed since shows the work as it is now', async () => {
    const desk = await aDesk()
    const theirs = viewOf(9)
    call.mockRejectedValue(new ApiProblem(409, 'changedSince', 'Look again.', [], { theirs }))
    await expect(desk.decide()).resolves.toBe(false)
    expect(desk.view.value).toEqual(theirs)
  })
  test('tapped twice is made once', async () => {
    const desk = await aDesk()
    call.mockResolvedValue(viewOf(2))
    const both = await Promise.all([desk.decide(), desk.decide()])
    expect([both, call.mock.calls.length, desk.isBusy.value]).toEqual([[true, false], 1, false])
  })
})

test('the text that was put together comes back in place of the assessor’s own', async () => {
  const desk = await aDesk()
  call.mockResolvedValue(viewOf(2))
  await desk.resetFeedback()
  expect(box.giveUp).toHaveBeenCalledOnce()
  expect(call.mock.calls[0]![2]).toMatchObject({ feedback: null })
})
describe('turned to another sheet', () => {
  /** An answer that comes when the test says so. */
  function later() {
    let arrive!: (view: MarkingView) => void
    call.mockReturnValueOnce(new Promise<MarkingView>((resolve) => (arrive = resolve)))
    return (view: MarkingView) => {
      arrive(view)
      return nextTick()
    }
  }
  test('the one that was asked for before and comes later does not stand under its name', async () => {
    const desk = await aDesk()
    const [first, second] = [later(), later()]
    sheet.value = 23
    await nextTick()
    sheet.value = 24
    await nextTick()
    await second(viewOf(1, [], 24))
    await first(viewOf(1, [], 23))
    expect(desk.view.value!.attempt.id).toBe(24)
  })
  test('a failure of the one before is not said of it', async () => {
    const desk = await aDesk()
    let refuse!: (problem: ApiProblem) => void
    call.mockReturnValueOnce(new Promise((_, reject) => (refuse = reject)))
    call.mockResolvedValueOnce(viewOf(1, [], 24))
    sheet.value = 23
    await nextTick()
    sheet.value = 24
    await nextTick()
    refuse(new ApiProblem(404, 'notFound', 'Not there.'))
    await vi.waitFor(() => expect(desk.view.value!.attempt.id).toBe(24))
    expect(desk.problem.value).toBeNull()
  })
  test('until it has come there is nothing to change, decide or release', async () => {
    const desk = await aDesk()
    const next = later()
    sheet.value = 23
    await nextTick()
    expect(desk.view.value).toBeNull()
    const acts = [desk.override('design.c1.ib', 'right', 'Said aloud.'), desk.decide(), desk.release()]
    expect(await Promise.all(acts)).toEqual([false, false, false])
    expect(call.mock.calls.map(([method]) => method)).toEqual(['GET'])
    await next(viewOf(7, [], 23))
    expect(desk.view.value).toEqual(viewOf(7, [], 23))
  })
  test.each(['decide', 'release'] as const)(
    'while its feedback was being saved, %s does not happen, neither to it nor to the other',
    async (act) => {
      const desk = await aDesk()
      let saved!: (isSaved: boolean) => void
      box.save.mockReturnValueOnce(new Promise<boolean>((resolve) => (saved = resolve)))
      const acting = desk[act]()
      call.mockResolvedValueOnce(viewOf(7, [], 23))
      sheet.value = 23
      await vi.waitFor(() => expect(desk.view.value?.attempt.id).toBe(23))
      saved(true)
      await acting
      expect(call.mock.calls.map(([method]) => method)).toEqual(['GET'])
      expect(shown).not.toHaveBeenCalled()
    },
  )
  test('what was on its way to the one before arrives there, and does not stand under the other', async () => {
    const desk = await aDesk()
    const saved = later()
    const changing = desk.override('design.c1.ib', 'right', 'Said aloud.')
    call.mockResolvedValueOnce(viewOf(7, [], 23))
    sheet.value = 23
    await saved(viewOf(2, [OVERRIDE], 22))
    await changing
    expect(call.mock.calls[0]!.slice(0, 2)).toEqual(['PUT', 'marking/22'])
    await vi.waitFor(() => expect(desk.view.value).toEqual(viewOf(7, [], 23)))
  })
})
test('another sheet turns the feedback over before it is read', async () => {
  await aDesk()
  call.mockResolvedValue(viewOf(1))
  sheet.value = 23
  await nextTick()
  expect(box.turn).toHaveBeenCalledTimes(2)
  expect(call).toHaveBeenCalledWith('GET', 'marking/23')
})
