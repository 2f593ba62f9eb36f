/* The design beside the boxes while a form is typed: a task behind the key, what stayed the same object by object, and
   words that hold still under the hand. */
import { effectScope, nextTick, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { toForm } from '#core/exercise/form/to-form'
import type { ExerciseForm } from '#core/exercise/form/fields'
import { anExercise } from '../support/task'
import { aBoardOf } from '../support/board-of'

const asked = vi.fn()
vi.mock('~/composables/useExpectedReadings', () => ({
  useExpectedReadings: (of: () => unknown) => {
    asked.mockImplementation(of)
    return shallowRef([])
  },
}))
const { useDesignAsTyped } = await import('~/composables/useDesignAsTyped')

const EXERCISE = anExercise({ installation: aBoardOf(3).installation, tests: 'c1' })
const [C1, C2, C3] = EXERCISE.installation.circuits.map(({ id }) => id) as [string, string, string]
const PAUSE_MS = 350
let scope: EffectScope
const form = shallowRef<ExerciseForm>(toForm(EXERCISE))
const isReady = ref(true)
function aDesign() {
  return scope.run(() =>
    useDesignAsTyped({
      form,
      policy: shallowRef(EXERCISE.policy),
      book: shallowRef([]),
      isReady: () => isReady.value,
    }),
  )!
}
const type = (parts: Readonly<Record<string, string>>) => (form.value = { ...form.value, ...parts })
/** The box has been drawn, and the task after that is over. */
const drawn = async () => {
  await nextTick()
  vi.advanceTimersByTime(1)
}
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
  form.value = toForm(EXERCISE)
  isReady.value = true
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
type Designed = ReturnType<typeof aDesign>
const lengthOf = ({ design }: Designed, circuit: string) =>
  design.value!.circuits.find(({ scope: of }) => of === circuit)!

describe('a key', () => {
  it('is designed in the task after it, and its circuit alone is another object then', async () => {
    const beside = aDesign()
    const before = beside.design.value!
    type({ [`${C2}.length`]: '31' })
    expect(beside.design.value).toBe(before)
    await drawn()
    expect(lengthOf(beside, C2)).not.toBe(before.circuits.find(({ scope: of }) => of === C2))
    for (const same of [C1, C3])
      expect(lengthOf(beside, same)).toBe(before.circuits.find(({ scope: of }) => of === same))
  })
  it('that changes no figure changes no object', async () => {
    const beside = aDesign()
    const before = beside.design.value!
    type({ title: 'Another title' })
    await drawn()
    expect(beside.design.value!.circuits).toEqual(before.circuits)
    beside.design.value!.circuits.forEach((one, i) => expect(one).toBe(before.circuits[i]))
  })
  it('half a number leaves the words where they are until the hand rests', async () => {
    const beside = aDesign()
    const before = beside.shown.value
    beside.noteTyping()
    type({ [`${C2}.length`]: '' })
    await drawn()
    expect(Object.keys(beside.read.value.problems)).toContain(`${C2}.length`)
    expect(beside.shown.value).toBe(before)
    vi.advanceTimersByTime(PAUSE_MS)
    expect(Object.keys(beside.shown.value.problems)).toContain(`${C2}.length`)
  })
  it('and another before the hand rests goes on waiting', async () => {
    const beside = aDesign()
    beside.noteTyping()
    vi.advanceTimersByTime(PAUSE_MS - 50)
    beside.noteTyping()
    vi.advanceTimersByTime(PAUSE_MS - 50)
    expect(beside.isTyping.value).toBe(true)
    vi.advanceTimersByTime(50)
    expect(beside.isTyping.value).toBe(false)
  })
})

it('whoever saves is given what stands there now, not what stood there a task ago', () => {
  const beside = aDesign()
  type({ [`${C2}.length`]: '31' })
  const { installation } = beside.newest()
  expect(installation!.circuits.find(({ id }) => id === C2)).toMatchObject({ lengthM: 31 })
})
it('before the centre is known, or without a board, there is no design and no advice', async () => {
  isReady.value = false
  const beside = aDesign()
  expect([beside.design.value, beside.shown.value.advice]).toEqual([null, []])
  isReady.value = true
  expect(beside.design.value).not.toBeNull()
  type({ boards: '' })
  await drawn()
  expect(beside.design.value).toBeNull()
})

describe('what the tests should show', () => {
  it('is asked for the circuit under test, of the form as it stands', () => {
    aDesign()
    expect(asked()).toMatchObject({ tests: 'c1', edition: form.value.edition })
  })
  it('is not asked while a number is half typed, nor where nothing is tested', async () => {
    const beside = aDesign()
    beside.noteTyping()
    expect(asked()).toBeUndefined()
    vi.advanceTimersByTime(PAUSE_MS)
    expect(asked()).toBeDefined()
    type({ tests: '' })
    await drawn()
    expect(asked()).toBeUndefined()
  })
})

it('a page that is left follows nothing any more', async () => {
  const beside = aDesign()
  const before = beside.design.value
  beside.noteTyping()
  type({ [`${C2}.length`]: '31' })
  scope.stop()
  await drawn()
  expect(vi.getTimerCount()).toBe(0)
  expect(beside.read.value.installation!.circuits.find(({ id }) => id === C2)).not.toMatchObject({
    lengthM: 31,
  })
  expect(before).not.toBeNull()
})
