/* Looking before testing: what is on the list of a bay, when it is safe to test, and rounds of the trainer. IP4X on top and IP2X elsewhere: BS 7671 416.2, from memory. Grades of what is seen: common practice, no source. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { concludeInspection, type InspectionFields } from '#core/inspection/conclude'
import { inspectionItems } from '#core/inspection/items'
import { drawSpot } from '#core/inspection/draw'
import { LOOKS, SCENES, sceneOf, scoreRound, type SpotKind } from '#core/inspection/scene'
import { DEFECT_TEXT, ITEM_TEXT } from '#words/inspection'
import { aBay } from '../support/bay'

const rig = aBay()
const items = inspectionItems(rig)
const all = (as: string): InspectionFields =>
  Object.fromEntries(
    items.flatMap(({ key, torqueNm }) => [
      [`see.${key}`, as],
      ...(torqueNm === null ? [] : [[`torque.${key}`, String(torqueNm)]]),
    ]),
  )

describe('the list of a bay', () => {
  it('has every terminal group, bar, spare way, label and accessory once, each with its words', () => {
    expect(new Set(items.map(({ key }) => key)).size).toBe(items.length)
    expect(items.filter(({ what }) => what === 'blank')).toHaveLength(4)
    expect(items.filter(({ what }) => what === 'accessory').length).toBe(
      rig.parts.filter(({ kind }) => ['socket', 'switch', 'lampholder', 'appliance'].includes(kind)).length,
    )
    expect(items.map(({ what }) => what)).toEqual(
      expect.arrayContaining([
        'ipTop',
        'ipSides',
        'busbar',
        'neutralBar',
        'earthBar',
        'notice',
        'tails',
        'bonding',
      ]),
    )
    for (const { what } of items) expect(ITEM_TEXT[what].remarks.length).toBeGreaterThan(0)
  })
  it('asks for doubling and dressing where the centre does', () => {
    const keys = (policy: Parameters<typeof inspectionItems>[1]) =>
      inspectionItems(rig, policy).map(({ what }) => what)
    expect(keys({})).not.toContain('doubling')
    expect(keys({ doubling: 'doubled', dressing: 'marked' })).toEqual(
      expect.arrayContaining(['doubling', 'dressing']),
    )
  })
})

describe('safe to test', () => {
  it('when everything was looked at and nothing dangerous is open; an improvement does not stand in the way', () => {
    expect(concludeInspection(items, all('ok'))).toMatchObject({
      isSafeToTest: true,
      observations: [],
      torque: [],
      looked: items.length,
    })
    const { [`see.${items[0]!.key}`]: _left, ...rest } = all('ok')
    expect(concludeInspection(items, rest)).toMatchObject({ isSafeToTest: false, looked: items.length - 1 })
    expect(
      concludeInspection(items, { ...all('ok'), [`see.${items[0]!.key}`]: 'improve' }).isSafeToTest,
    ).toBe(true)
    for (const grade of ['danger', 'potential'])
      expect(concludeInspection(items, { ...all('ok'), [`see.${items[0]!.key}`]: grade }).isSafeToTest).toBe(
        false,
      )
  })
  it('a screw that was not tightened to its value, or has none written down, is named; the mark on the device counts', () => {
    const terminals = items.find(({ what }) => what === 'terminals')!
    const torque = (parts: InspectionFields) =>
      concludeInspection(items, { ...all('ok'), ...parts }).torque.map(({ nm, wantedNm }) => [nm, wantedNm])
    expect(torque({ [`torque.${terminals.key}`]: '' })).toEqual([[null, terminals.torqueNm]])
    expect(torque({ [`torque.${terminals.key}`]: '1,2 Nm' })).toEqual([[1.2, terminals.torqueNm]])
    expect(torque({ [`torque.${terminals.key}`]: '1.2', [`marked.${terminals.key}`]: '1.2' })).toEqual([])
  })
  it('observations stand in the order of their danger', () => {
    const fields = { ...all('ok'), [`see.${items[0]!.key}`]: 'improve', [`see.${items[3]!.key}`]: 'danger' }
    expect(concludeInspection(items, fields).observations.map(({ grade }) => grade)).toEqual([
      'danger',
      'improve',
    ])
  })
})

describe('rounds of the trainer', () => {
  it('the same seed gives the same scene; every scene has defects, each with words and a place', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SCENES), fc.integer({ min: 0, max: 999_999 }), (code, seed) => {
        const scene = sceneOf(code, seed)
        expect(sceneOf(code, seed)).toEqual(scene)
        expect(scene.defects.length).toBeGreaterThanOrEqual(3)
        for (const { spot, kind, look } of scene.defects) {
          expect(DEFECT_TEXT[`${kind} ${look}`]).toBeTruthy()
          expect(scene.spots.find(({ id }) => id === spot)!.look).toBe(look)
        }
        // Whatever is drawn as it should be is no defect.
        for (const { id, kind, look } of scene.spots)
          expect(scene.defects.some(({ spot }) => spot === id)).toBe(look !== LOOKS[kind][0])
      }),
      { numRuns: 200 },
    )
  })
  it('every look is seen: it is drawn otherwise than the sound one, and no shape says what is wrong', () => {
    const words = new RegExp(
      `\\b(${Object.values(LOOKS)
        .flatMap(([, ...wrong]) => wrong)
        .join('|')})\\b`,
    )
    for (const [kind, [sound, ...wrong]] of Object.entries(LOOKS))
      for (const id of kind === 'earth' ? ['e1', 'earthing-a', 'earthing-b', 'earthing-c'] : [kind])
        for (const look of wrong) {
          const drawn = (as: string) =>
            JSON.stringify(
              drawSpot({ id, kind: kind as SpotKind, of: null, x: 100, y: 100, w: 60, h: 60, look: as }),
            )
          expect(drawn(look), `${id} ${look}`).not.toBe(drawn(sound))
          expect(drawn(look), `${id} ${look}`).not.toMatch(words)
        }
  })
  it('all found and graded is a hundred; missed, graded otherwise and false ones cost what they should', () => {
    const scene = sceneOf('board', 42)
    const right = scene.defects.map(({ spot, grade }) => ({ spot, grade, remark: '' }))
    const sound = scene.spots.find(({ id }) => !scene.defects.some(({ spot }) => spot === id))!.id
    expect(scoreRound(scene, right)).toMatchObject({ percent: 100, missed: [], false: [] })
    expect(scoreRound(scene, right.slice(1)).percent).toBe(Math.round(100 * (1 - 1 / right.length)))
    const strange = (['danger', 'potential', 'improve', 'further'] as const).find(
      (grade) => grade !== scene.defects[0]!.grade && !scene.defects[0]!.alsoRight.includes(grade),
    )!
    expect(scoreRound(scene, [{ ...right[0]!, grade: strange }, ...right.slice(1)])).toMatchObject({
      wronglyGraded: [right[0]!.spot],
      percent: Math.round(100 * (1 - 0.5 / right.length)),
    })
    expect(scoreRound(scene, [...right, { spot: sound, grade: 'danger', remark: '' }])).toMatchObject({
      false: [sound],
      percent: Math.round(100 * (1 - 0.5 / right.length)),
    })
    expect(scoreRound(scene, []).percent).toBe(0)
  })
  it('an intake also asks who owns what, and never to break a seal', () => {
    const scene = sceneOf('intake', 7)
    const right = Object.fromEntries(scene.questions.map(({ key, answer }) => [key, answer]))
    expect(right.seal).toMatch(/call the owner/)
    expect(scoreRound(scene, [], right).wrongAnswers).toEqual([])
    expect(scoreRound(scene, [], { ...right, seal: 'cut it and write it down' }).wrongAnswers).toEqual([
      'seal',
    ])
  })
})
