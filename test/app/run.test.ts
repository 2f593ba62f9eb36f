/* A run of conduit as it is typed and dragged: what follows at once, what a moment later, what stands still. */
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { effectScope, reactive, ref, shallowRef, type EffectScope, nextTick } from 'vue'

const fields = reactive<Record<string, string>>({})
const write = (key: string, text: string): void => {
  fields[key] = text
}
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptSheet: () => ({ view: ref(null), problem: ref(null), autosave: { fields, write }, load: vi.fn() }),
}))
vi.mock('~/stores/shared', () => ({ useBookInForce: () => ({ data: shallowRef(null) }) }))
vi.mock('~/composables/useCutting', () => ({
  useCutting: (asked: () => unknown) => {
    return {
      get value() {
        return asked()
      },
    }
  },
}))
const { useRun } = await import('~/composables/useRun')

const RUN = {
  name: 'Pit',
  made: 'conduit',
  material: 'pvc',
  size: '20',
  bays: '2',
  order: 'a b',
  'a.to': 'right',
  'a.length': '1200',
  'a.then': 'bend',
  'b.to': 'up',
  'b.length': '800',
}
let scope: EffectScope
const aRun = () => scope.run(() => useRun(1))!
const later = async () => {
  await nextTick()
  vi.runAllTimers()
}

beforeEach(() => {
  vi.useFakeTimers()
  for (const key of Object.keys(fields)) delete fields[key]
  Object.assign(fields, RUN)
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('a run under the hand', () => {
  test('the drawing follows at once, what is cut for it a moment later', async () => {
    const run = aRun()
    const before = run.tubes.value[0]!.cutMm
    run.setLength(0, 1500)
    expect(run.sheet.value!.run.straights[0]!.lengthMm).toBe(1500)
    expect(run.tubes.value[0]!.cutMm).toBe(before)
    await later()
    // A straight that is 300 mm longer takes 300 mm more pipe.
    expect(run.tubes.value[0]!.cutMm - before).toBeCloseTo(300)
  })
  test('every bay is cut for', () => {
    const { cutting } = aRun()
    expect(cutting.value).toMatchObject({
      stockMm: 3000,
      pieces: [{ name: 'bay 1 · 1' }, { name: 'bay 2 · 1' }],
    })
  })
  test('what is said stays the same table while a length changes and nothing new is said', () => {
    const run = aRun()
    const [problems, sentences] = [run.boxProblems.value, run.sentences.value]
    run.setLength(0, 1500)
    expect(run.boxProblems.value).toBe(problems)
    expect(run.sentences.value).toBe(sentences)
  })
  test('a box that is being retyped keeps the last drawing, and says what to write', () => {
    const run = aRun()
    expect(run.sheet.value!.run.straights[0]!.lengthMm).toBe(1200)
    write('a.length', '')
    expect(run.isReadable.value).toBe(false)
    expect(run.boxProblems.value['a.length']).toMatch(/number/i)
    expect(run.sheet.value!.run.straights[0]!.lengthMm).toBe(1200)
  })
  test('a straight too short for its bend is said at that straight, and nothing is cut for it', async () => {
    const run = aRun()
    run.setLength(0, 20)
    await later()
    expect(run.sentences.value.get(0)?.length).toBeGreaterThan(0)
    expect([run.tubes.value, run.supports.value, run.cutting.value]).toEqual([[], [], null])
  })
})

describe('straights', () => {
  test('one that is added is in hand; one that is removed takes its boxes along', () => {
    const run = aRun()
    run.add('left')
    expect([run.sheet.value!.run.straights.length, run.selected.value]).toEqual([3, 2])
    const added = fields.order!.split(' ').at(-1)!
    run.remove(added)
    expect(run.sheet.value!.run.straights).toHaveLength(2)
    expect(fields[`${added}.to`]).toBe('')
  })
})
