/* A framework as it is worked on, and the margin of an account: what stands there follows from what is typed. */
import { effectScope, nextTick, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Framework } from '#core/assessment/outcomes/framework'
import { frameworkFaults } from '#core/assessment/outcomes/check-framework'
import { marginOf, measuredIn, useClaims } from '~/composables/useAccount'
import { freeCode, useFrameworkDraft } from '~/composables/useFrameworkDraft'
import threeUnits from '../../frameworks/three-units.json'

const framework = threeUnits as Framework

describe('a framework that is worked on', () => {
  const worked = () => {
    const source = shallowRef<Framework | null>(framework)
    return { source, ...effectScope().run(() => useFrameworkDraft(() => source.value))! }
  }
  it('is a copy: nothing of what is in force changes, and what was typed can be thrown away', () => {
    const { draft, isChanged, discard } = worked()
    draft.value!.units[0]!.criteria[0]!.text = 'other words'
    expect([isChanged.value, framework.units[0]!.criteria[0]!.text]).toEqual([
      true,
      threeUnits.units[0]!.criteria[0]!.text,
    ])
    discard()
    expect(isChanged.value).toBe(false)
  })
  it('what is added has a code of its own and can be used as it is', () => {
    const { draft, addUnit, addCriterion, addQuota, addBehaviour } = worked()
    addUnit()
    const unit = draft.value!.units.at(-1)!
    for (let i = 0; i < 3; i += 1) addCriterion(unit)
    for (const kind of ['set', 'share', 'behaviours'] as const) addQuota(unit, kind)
    addBehaviour()
    addBehaviour()
    expect(frameworkFaults(draft.value as Framework)).toEqual([])
    expect(new Set(unit.criteria.map(({ code }) => code)).size).toBe(4)
  })
  it('what somebody else put in force takes the place of the draft', async () => {
    const { source, draft, isChanged } = worked()
    source.value = { ...framework, title: 'Newer' }
    await nextTick()
    expect([draft.value!.title, isChanged.value]).toEqual(['Newer', false])
  })
  it('a free code is free whatever the case', () => expect(freeCode('U', ['u1', 'U2', 'x'])).toBe('U3'))
})

describe('the margin', () => {
  const fields = () => {
    const typed: Record<string, string> = { text: 'I fixed the trunking. I tested it.' }
    const write = (name: string, text: string) =>
      void (text === '' ? delete typed[name] : (typed[name] = text))
    return { typed, write, ...useClaims({ write }) }
  }
  const NOTHING = { decisions: [], discussions: [] }
  const decision = (claim: string, met: boolean, at: string) => ({
    handInId: 1,
    claim,
    criterion: 'C',
    kind: 'written' as const,
    met,
    reason: '',
    by: 'A',
    at,
  })

  it('a claim stands with what is asked of it and its own decisions; taken off it is gone, the text stays', () => {
    const { typed, claim, drop } = fields()
    claim('I fixed the trunking.', 'C', 'written')
    claim('I tested it.', 'D', 'product')
    const [first, second] = marginOf(typed, NOTHING)
    expect(first!.asks).toContain('spacing')
    const decided = marginOf(typed, {
      decisions: [decision(first!.token, false, '1'), decision(first!.token, true, '2')],
      discussions: [
        { claim: first!.token, asked: 'How far apart?', said: 'Every metre.', minutes: 4, by: 'A', at: '3' },
      ],
    })
    expect(decided[0]!.decisions.map(({ met }) => met)).toEqual([false, true])
    expect(decided[1]!.decisions).toEqual([])
    expect(decided.map(({ discussions }) => discussions.length)).toEqual([1, 0])
    drop(second!.token)
    expect(marginOf(typed, NOTHING).map(({ criterion }) => criterion)).toEqual(['C'])
    expect(typed.text).toContain('I tested it.')
  })
  it('an edited passage says so, and the claim keeps its words', () => {
    const { typed, claim, write } = fields()
    claim('I fixed the trunking.', 'C', 'written')
    write('text', 'I fixed the trunking with screws. I tested it.')
    expect(marginOf(typed, NOTHING)[0]).toMatchObject({ isEdited: true, quote: 'I fixed the trunking.' })
  })
  it('a measurement stands with what is known of its limit', () => {
    expect(measuredIn({ 'measure.a': 'level 5 2' })[0]!.verdict).toMatchObject({ isWithin: false, limit: 2 })
  })
})
