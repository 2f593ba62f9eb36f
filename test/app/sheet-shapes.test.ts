/* How what is typed travels, under which heads the boxes of a sheet stand, and where on its thread an attempt is. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STEP_KEYS, nodeKey } from '#core/design/model/step-keys'
import { STAGES, type Stage } from '#core/exercise/attempt/stages'
import { DEVICES } from '#core/regulations/devices'
import type { WorkView } from '#schemas/views'
import { choicesFor, sheetParts } from '../../app/texts/sheet-parts'
import { workStages } from '../../app/texts/work-stages'
import { DOCUMENT_SHAPES, flattenWork, unflattenWork, withoutEmpty } from '../../app/utils/document-shapes'

const someFields = fc.dictionary(
  fc.string({ minLength: 1, maxLength: 12 }).filter((key) => key !== '__proto__'),
  fc.string(),
)

describe('what is typed', () => {
  it('goes flat into boxes and comes back whole, answers and readings apart', () => {
    fc.assert(
      fc.property(someFields, someFields, (answers, readings) => {
        expect(unflattenWork(flattenWork({ answers, readings } as never))).toEqual({
          answers: { ...answers },
          readings: { ...readings },
        })
      }),
    )
  })
  it('a reading and an answer of one name are two boxes', () => {
    const flat = flattenWork({ answers: { 'c1.zs': '0.4' }, readings: { 'c1.zs': '0.5' } } as never)
    expect(flat).toEqual({ 'design.c1.zs': '0.4', 'reading.c1.zs': '0.5' })
  })
  it('boxes that a stage has locked are named as they stand on the sheet', () => {
    const locked = { answers: ['c1.ib'], readings: ['zs'] }
    expect(DOCUMENT_SHAPES.work.lockedOf({ locked })).toEqual(['design.c1.ib', 'reading.zs'])
  })
  it('an emptied box is left out of a wiring, and kept in a sheet, where it takes back what was there', () => {
    const fields = { a: 'x', b: '' }
    expect(withoutEmpty(fields)).toEqual({ a: 'x' })
    expect(DOCUMENT_SHAPES.withoutEmpty.bodyOf(fields, 3)).toEqual({ version: 3, fields: { a: 'x' } })
    expect(DOCUMENT_SHAPES.sheet.bodyOf(fields, 3)).toEqual({ version: 3, fields })
  })
  it('feedback travels with the marks as they were changed', () => {
    const draft = { feedback: 'Look again.', overrides: [{ code: 'D1', met: true }], version: 4 }
    const { fields, version } = DOCUMENT_SHAPES.feedback.typedOf({ draft })
    expect(DOCUMENT_SHAPES.feedback.bodyOf(fields, version)).toEqual(draft)
  })
})

describe('the boxes of a sheet', () => {
  it('stand under one head each, every step of a circuit and a board', () => {
    const nodes = STEP_KEYS.map((step) => nodeKey('c1', step))
    const shown = sheetParts(nodes).flatMap(({ nodes: own }) => own)
    expect([...shown].sort()).toEqual([...nodes].sort())
  })
  it('heads without a box are left out', () => {
    expect(sheetParts([nodeKey('c1', 'ib'), nodeKey('c1', 'zs')]).map(({ name }) => name)).toEqual([
      'Load and device',
      'Fault to earth',
    ])
  })
  it('offer what such a device breaks, and only conduit to singles', () => {
    const circuit = (family: string, kind: string) => ({ device: { family }, cable: { kind } }) as never
    const broken = choicesFor('breaking', circuit('breaker', 'flat-twin-earth'))!.map(({ value }) => value)
    expect(broken.length).toBeGreaterThan(0)
    for (const value of broken) expect(DEVICES.breaker.capacitiesA).toContain(value)
    const singles = choicesFor('containment', circuit('breaker', 'singles-in-conduit'))!
    const others = choicesFor('containment', circuit('breaker', 'flat-twin-earth'))!
    expect(singles.length).toBeGreaterThan(0)
    expect(singles.filter((one) => others.includes(one))).toEqual([])
    expect(choicesFor('ib', circuit('breaker', 'flat-twin-earth'))).toBeUndefined()
  })
})

describe('the thread of an attempt', () => {
  const view = (stage: Stage, parts: Partial<WorkView> = {}): WorkView =>
    ({
      stage,
      exercise: { code: 'T-01', tests: 'c1' },
      readings: {},
      readingKeys: ['r1r2', 'zs'],
      events: [],
      board: null,
      ...parts,
    }) as unknown as WorkView
  const states = (of: WorkView) => workStages(of, 3, 6).map(({ key, state }) => `${key} ${state}`)

  it('has one place where somebody is, from the design until it is released', () => {
    for (const stage of STAGES) {
      const now = workStages(view(stage), 3, 6).filter(({ state }) => state === 'now')
      expect(now, stage).toHaveLength(stage === 'released' ? 0 : 1)
    }
  })
  it('keeps the permission shut until it is asked for, and signed once it is given', () => {
    expect(states(view('dead'))).toContain('permission shut')
    expect(states(view('permission'))).toContain('permission now')
    const permit = [{ act: 'permit', by: 'Mira Achterberg' }] as never
    expect(states(view('live', { events: permit }))).toContain('permission signed')
  })
  it('without tests there is a design and a decision', () => {
    const only = view('design', { exercise: { code: 'D-01', tests: null } as never })
    expect(states(only)).toEqual(['task done', 'design now', 'decision todo'])
  })
  it('says after a refusal what to do, and counts only what was read', () => {
    const refused = view('dead', { events: [{ act: 'refuse' }] as never, readings: { r1r2: ' ' } as never })
    const dead = workStages(refused, 6, 6).find(({ key }) => key === 'dead')!
    expect(dead).toMatchObject({ note: 'put right, ask again', progress: 0 })
    const read = view('dead', { readings: { r1r2: '0.4' } as never })
    expect(workStages(read, 6, 6).find(({ key }) => key === 'dead')).toMatchObject({ progress: 1 })
  })
})
