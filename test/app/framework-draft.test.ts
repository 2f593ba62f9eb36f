/* A unit framework as it is worked on: codes never collide, nothing is in force before it is put there. */
import { nextTick, shallowRef } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Framework } from '#core/assessment/outcomes/framework'
import { freeCode, useFrameworkDraft } from '~/composables/useFrameworkDraft'
import sample from '../../frameworks/workshop-unit.json'

const inForce = shallowRef<Framework | null>(null)
let work: ReturnType<typeof useFrameworkDraft>
const codesOf = () =>
  work.draft.value!.units.flatMap(({ criteria, quotas }) => [...criteria, ...quotas].map(({ code }) => code))

beforeEach(() => {
  inForce.value = structuredClone(sample) as unknown as Framework
  work = useFrameworkDraft(() => inForce.value)
})

describe('a code', () => {
  it.each([
    ['U', [], 'U1'],
    ['U', ['U1', 'U2'], 'U3'],
    ['U', ['u1'], 'U2'],
    ['U', ['U2'], 'U1'],
  ])('free after %s and %o is %s', (stem, taken, expected) => {
    expect(freeCode(stem, taken)).toBe(expected)
  })
  it('of what is added is none that is there, however often something is added', () => {
    work.addUnit()
    const unit = work.draft.value!.units.at(-1)!
    for (let i = 0; i < 5; i += 1) {
      work.addCriterion(unit)
      work.addQuota(unit, (['set', 'share', 'behaviours'] as const)[i % 3]!)
    }
    for (let i = 0; i < 3; i += 1) work.addBehaviour()
    const all = [...codesOf(), ...work.draft.value!.behaviours.map(({ code }) => code)]
    expect(new Set(all.map((code) => code.toLowerCase())).size).toBe(all.length)
  })
})

describe('a draft', () => {
  it('begins as what is in force, and touches nothing of it', () => {
    expect(work.draft.value).toEqual(inForce.value)
    expect(work.isChanged.value).toBe(false)
    work.draft.value!.title = 'Another'
    work.addUnit()
    expect(work.isChanged.value).toBe(true)
    expect(inForce.value).toEqual(sample)
  })
  it('thrown away is what is in force again; changed back by hand it is no change', () => {
    const { title } = work.draft.value!
    work.draft.value!.title = 'Another'
    work.draft.value!.title = title
    expect(work.isChanged.value).toBe(false)
    work.addBehaviour()
    work.discard()
    expect(work.draft.value).toEqual(sample)
    expect(work.isChanged.value).toBe(false)
  })
  it('put in force is the new beginning', async () => {
    work.draft.value!.title = 'Another'
    inForce.value = { ...inForce.value!, title: 'Another' }
    await nextTick()
    expect(work.isChanged.value).toBe(false)
    expect(work.draft.value!.title).toBe('Another')
  })
  it('read from a file replaces it, and is not in force', () => {
    work.take({ ...inForce.value!, title: 'From a file' })
    expect(work.draft.value!.title).toBe('From a file')
    expect(work.isChanged.value).toBe(true)
  })
  it('two criteria that were added share nothing: what is changed of one stays its own', () => {
    work.addUnit()
    const unit = work.draft.value!.units.at(-1)!
    work.addCriterion(unit)
    unit.criteria[0]!.evidence.push('reading.ze')
    expect(unit.criteria[1]!.evidence).toEqual(['reading.zs'])
  })
})

it('without a framework there is no draft, and nothing is changed', () => {
  const none = useFrameworkDraft(() => null)
  expect(none.draft.value).toBeNull()
  expect(none.isChanged.value).toBe(false)
  none.discard()
  expect(none.draft.value).toBeNull()
})
