/* Beside a box that comes from a survey stands where it comes from; variants of what is typed follow a pause. */
import { effectScope, nextTick, ref, shallowRef, type EffectScope, type Ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Exercise } from '#core/exercise/exercise'
import type { ExerciseSurvey } from '#schemas/survey-views'
import { anExercise } from '../support/task'

const survey = shallowRef<ExerciseSurvey | null>(null)
const asked: (string | null)[] = []
const provided = new Map<symbol, unknown>()
vi.mock('~/composables/useApi', () => ({
  useServer: (path: () => string | null) => {
    asked.push(path())
    return { data: survey, refresh: vi.fn() }
  },
}))
const makeVariants = vi.fn()
vi.mock('~/composables/useWorker', async (original) => ({
  ...(await original<typeof import('~/composables/useWorker')>()),
  useWorker: () => ({ call: (ask: (worker: unknown) => Promise<unknown>) => ask({ makeVariants }) }),
}))
vi.mock('vue', async (original) => ({
  ...(await original<typeof import('vue')>()),
  provide: (key: symbol, value: unknown) => void provided.set(key, value),
  inject: (key: symbol, otherwise: unknown) => provided.get(key) ?? otherwise,
}))
const { provideSurveyOrigins, useSurveyOrigin } = await import('~/composables/useSurveyOrigins')
const { useVariantPreview } = await import('~/composables/useVariantPreview')

let scope: EffectScope
beforeEach(() => {
  provided.clear()
  asked.length = 0
  survey.value = null
  makeVariants.mockReset()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('where a box comes from', () => {
  const box = ref<string | undefined>('c1.length')
  const said = () => scope.run(() => useSurveyOrigin(() => box.value))!

  it('is asked of the survey of this exercise; of none that is made by hand', () => {
    scope.run(() => provideSurveyOrigins(7))
    scope.run(() => provideSurveyOrigins(null))
    expect(asked).toEqual(['exercises/7/survey', null])
  })
  it('stands beside the box once the survey has come, and beside no box that somebody typed', () => {
    scope.run(() => provideSurveyOrigins(7))
    const says = said()
    expect(says.value).toBeUndefined()
    survey.value = {
      boxes: [
        { box: 'c1.length', from: { code: 'points', n: 4 } },
        { box: 'c1.ambient', from: null },
      ],
    } as unknown as ExerciseSurvey
    expect(says.value).toBe('From the survey, plan: 4 points on the route')
    box.value = 'c1.ambient'
    expect(says.value).toBeUndefined()
    box.value = undefined
    expect(says.value).toBeUndefined()
    box.value = 'c1.length'
  })
  it('is nothing on a page without a survey', () => expect(said().value).toBeUndefined())
})

describe('variants of what is typed', () => {
  let exercise: Ref<Exercise | undefined>
  let isWanted: Ref<boolean>
  const preview = () =>
    scope.run(() =>
      useVariantPreview(
        () => exercise.value,
        () => isWanted.value,
        12,
      ),
    )!
  beforeEach(() => {
    vi.useFakeTimers()
    exercise = shallowRef<Exercise | undefined>(anExercise())
    isWanted = ref(true)
  })

  it('are made once typing pauses, of what stands there then, for so many people', async () => {
    makeVariants.mockImplementation(async (one: Exercise) => one.title)
    const { result, isBusy } = preview()
    for (const title of ['Pit', 'Pit l', 'Pit lights']) {
      exercise.value = anExercise({ title })
      await vi.advanceTimersByTimeAsync(100)
    }
    await vi.advanceTimersByTimeAsync(300)
    expect(makeVariants).toHaveBeenCalledTimes(1)
    expect(makeVariants.mock.calls[0]![1]).toBe(12)
    expect([result.value, isBusy.value]).toEqual(['Pit lights', false])
  })
  it('that come late for something typed before are dropped', async () => {
    const answers: ((with_: string) => void)[] = []
    makeVariants.mockImplementation(() => new Promise((answer) => answers.push(answer)))
    const { result, isBusy } = preview()
    for (const title of ['first', 'second']) {
      exercise.value = anExercise({ title })
      await vi.advanceTimersByTimeAsync(300)
    }
    answers[1]!('of the second')
    answers[0]!('of the first')
    await vi.advanceTimersByTimeAsync(0)
    expect([result.value, isBusy.value]).toEqual(['of the second', false])
  })
  it('are not made while nobody wants them, and go when what is typed is no exercise any more', async () => {
    makeVariants.mockResolvedValue('some')
    isWanted.value = false
    const { result } = preview()
    await vi.advanceTimersByTimeAsync(500)
    expect(makeVariants).not.toHaveBeenCalled()
    isWanted.value = true
    await nextTick()
    await vi.advanceTimersByTimeAsync(500)
    expect(result.value).toBe('some')
    exercise.value = undefined
    await nextTick()
    await vi.advanceTimersByTimeAsync(500)
    expect(result.value).toBeNull()
  })
})
