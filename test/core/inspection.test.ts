/* Looking before testing: what is on the list of a bay, when it is safe to test, and rounds of the trainer. IP4X on top and IP2X elsewhere: BS 7671 416.2, from memory. Grades of what is seen: common practice, no source. */
import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { concludeInspection, type InspectionFields } from '#core/inspection/conclude'
import { inspectionItems } from '#core/inspection/items'
import { drawSpot } from '#core/inspection/draw'
import { gradesOf, LOOKS, soundLooks, wrongLooks, type SpotKind } from '#core/inspection/looks'
import { sceneOf, scoreRound } from '#core/inspection/scene'
import { SCENES } from '#core/inspection/scenes/code'
import { ITEM_TEXT } from '#words/inspection'
import { defectText } from '#words/scene-spots'
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
  it('the same seed gives the same scene; every scene has four defects or more, each with words and a place', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SCENES), fc.integer({ min: 0, max: 999_999 }), (code, seed) => {
        const scene = sceneOf(code, seed)
        expect(sceneOf(code, seed)).toEqual(scene)
        expect(scene.defects.length).toBeGreaterThanOrEqual(4)
        for (const { spot, kind, look } of scene.defects) {
          expect(defectText(kind, look)).toBeTruthy()
          expect(scene.spots.find(({ id }) => id === spot)!.look).toBe(look)
        }
        // What is as it should be, or untidy and yet sound, is no defect.
        for (const { id, kind, look } of scene.spots)
          expect(scene.defects.some(({ spot }) => spot === id)).toBe(wrongLooks(kind).includes(look))
        expect(new Set(scene.spots.map(({ id }) => id)).size).toBe(scene.spots.length)
      }),
      { numRuns: 200 },
    )
  })
  it('of the manner before is what it was: its defects and untidy spots are found where they were found', () => {
    const made = createHash('sha256')
    for (const code of ['board', 'intake', 'room'] as const)
      for (let seed = 0; seed < 40; seed++) {
        const { spots, defects, questions } = sceneOf(code, seed, 2)
        made.update(JSON.stringify([spots.map(({ id, look }) => [id, look]), defects, questions]))
      }
    // Taken before a board with a battery came to the scenes.
    expect(made.digest('hex')).toBe('5180a39decdc42a68ded62c2c61e202db210ed70f7d022fe9140691506b5ad39')
  })
  it('a board with a battery shows which way its device is fed and asks for the notice of two supplies', () => {
    const boards = Array.from({ length: 60 }, (_, seed) => sceneOf('board', seed))
    const fed = boards.filter(({ spots }) => spots.some(({ kind }) => kind === 'mark'))
    expect(fed.length).toBeGreaterThan(5)
    for (const { spots } of fed) {
      expect(spots.filter(({ kind }) => kind === 'mark').map(({ of }) => of)).toEqual(['Battery'])
      expect(spots.some(({ kind }) => kind === 'sources')).toBe(true)
    }
    const looks = fed.flatMap(({ defects }) => defects.map(({ kind, look }) => `${kind} ${look}`))
    expect(looks).toEqual(expect.arrayContaining(['mark oneWay', 'sources none']))
  })
  it('has sixty kinds of defect and more, and untidy looks that are none', () => {
    const kinds = Object.keys(LOOKS) as SpotKind[]
    expect(kinds.flatMap(wrongLooks).length).toBeGreaterThanOrEqual(60)
    expect(kinds.flatMap(soundLooks).length).toBeGreaterThanOrEqual(8)
    for (const kind of kinds) for (const look of soundLooks(kind)) expect(gradesOf(kind, look)).toEqual([])
  })
  it('a scene weighs less than 100 kB', () => {
    for (const code of SCENES)
      for (let seed = 0; seed < 20; seed++) {
        const { ground, spots } = sceneOf(code, seed)
        expect(JSON.stringify([ground, spots.map(drawSpot)]).length).toBeLessThan(100_000)
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
