/* The inspection of somebody's work: kept like a sheet; what another has looked at meanwhile appears, one's own stays. */
import { effectScope, reactive, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { InspectionItem } from '#core/inspection/items'
import type { InspectionView } from '#schemas/workmanship-views'

const call = vi.fn()
let look = async (): Promise<void> => undefined
const fields = reactive<Record<string, string>>({})
const autosave = { fields, reconcile: vi.fn(), write: vi.fn() }
const view = shallowRef<InspectionView | null>(null)
const asked = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }) }))
vi.mock('~/composables/useNews', () => ({ useNews: (of: () => Promise<void>) => void (look = of) }))
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptSheet: (...of: string[]) => {
    asked(...of)
    return { view, problem: ref(null), autosave, load: vi.fn() }
  },
}))
const { useInspection } = await import('~/composables/useInspection')

const item = (key: string, parts: object = {}) =>
  ({ key, torqueNm: null, ...parts }) as unknown as InspectionItem
const viewOf = (parts: object = {}) =>
  ({
    ...{ fields: {}, version: 1, savedAt: null, savedBy: 'Kim', mayChange: true },
    ...{ items: [item('cover-b1'), item('entry-b1')], ...parts },
  }) as unknown as InspectionView
let scope: EffectScope
const anInspection = () => scope.run(() => useInspection(7))!
beforeEach(() => {
  for (const mock of [call, asked, autosave.reconcile, autosave.write]) mock.mockReset()
  for (const name of Object.keys(fields)) delete fields[name]
  view.value = viewOf()
  scope = effectScope()
})
afterEach(() => scope.stop())

describe('what was seen', () => {
  it('belongs to one attempt, box by box', () => {
    const { field, write } = anInspection()
    expect(asked).toHaveBeenCalledWith('inspections/7', 'Inspection')
    expect(field('see.cover-b1')).toBe('')
    fields['see.cover-b1'] = 'ok'
    expect(field('see.cover-b1')).toBe('ok')
    write('see.entry-b1', 'potential')
    expect(autosave.write).toHaveBeenCalledWith('see.entry-b1', 'potential')
  })
  it('is concluded as it is typed: looked at, open, dangers', () => {
    const { conclusion } = anInspection()
    expect(conclusion.value).toMatchObject({ looked: 0, of: 2, isSafeToTest: false })
    fields['see.cover-b1'] = 'ok'
    fields['see.entry-b1'] = 'ok'
    expect(conclusion.value).toMatchObject({ looked: 2, isSafeToTest: true })
    fields['see.entry-b1'] = 'danger'
    fields['remark.entry-b1'] = 'Sharp edge.'
    expect(conclusion.value!.observations).toMatchObject([{ grade: 'danger', remark: 'Sharp edge.' }])
    expect(conclusion.value!.isSafeToTest).toBe(false)
  })
  it('a screw counts with its torque once somebody has looked at it: within a fifth of what is marked there', () => {
    view.value = viewOf({ items: [item('screw-b1', { torqueNm: 2 })] })
    const { conclusion } = anInspection()
    const torque = () => conclusion.value!.torque.map(({ nm, wantedNm }) => [nm, wantedNm])
    expect(torque()).toEqual([])
    fields['see.screw-b1'] = 'ok'
    expect(torque()).toEqual([[null, 2]])
    fields['torque.screw-b1'] = '2,3 N m'
    expect(torque()).toEqual([])
    fields['marked.screw-b1'] = '3'
    expect(torque()).toEqual([[2.3, 3]])
  })
  it('before it has come there is no conclusion', () => {
    view.value = null
    expect(anInspection().conclusion.value).toBeNull()
  })
})

describe('news', () => {
  it('lays what another has put down under one’s own, and says who was last', async () => {
    anInspection()
    call.mockResolvedValue(
      viewOf({
        ...{ fields: { 'see.cover-b1': 'improvement' }, version: 4, savedAt: '2026-11-12T14:00:00Z' },
        ...{ savedBy: 'Mira', mayChange: false },
      }),
    )
    await look()
    expect(autosave.reconcile).toHaveBeenCalledWith(
      { 'see.cover-b1': 'improvement' },
      4,
      '2026-11-12T14:00:00Z',
    )
    expect(view.value).toMatchObject({ savedBy: 'Mira', mayChange: false })
  })
  it('that cannot be had changes nothing', async () => {
    anInspection()
    call.mockRejectedValue(new Error('offline'))
    await look()
    expect(autosave.reconcile).not.toHaveBeenCalled()
    expect(view.value).toMatchObject({ savedBy: 'Kim' })
  })
})
