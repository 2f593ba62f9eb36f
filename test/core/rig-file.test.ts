/* Rig files as people write them: what is wrong is told by the name of the terminal. And the commands that read them. */
import type { Outcome } from '#core/testing/kinds/kind'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { testsOf } from '#core/testing/plan/schedule'
import { predictAll } from '#core/testing/expected/predict'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { rigProblems } from '#core/bay/model/check'
import type { Rig, Wire } from '#core/bay/model/rig'
import { rigSentence } from '#words/rig-problems'
import { RigSchema } from '#schemas/rig'
import { published } from '#schemas/published'
import { validate } from '#schemas/validate'
import { nakshi } from '../../cli/nakshi'
import { FAULT_TEXT } from '#words/faults'
import { ReadingsSchema } from '#schemas/readings'
import { aBay, wireBetween, withFault } from '../support/bay'

const rig = aBay()
const folder = mkdtempSync(join(tmpdir(), 'rig-'))
let files = 0
function fileOf(value: unknown): string {
  const file = join(folder, `rig${(files += 1)}.json`)
  writeFileSync(file, JSON.stringify(value))
  return file
}
const changed = (id: string, change: Partial<Wire>): Rig => ({
  ...rig,
  wires: rig.wires.map((wire) => (wire.id === id ? { ...wire, ...change } : wire)),
})
const first = wireBetween(rig, 'b1w1.L out', 'c1p1.L')

/** A reading as somebody writes it into a file. */
function writtenDown(key: string, outcome: Outcome): string {
  if (key.includes('polarity')) return '✓'
  if (!('value' in outcome)) return ''
  const unit = /[.]ir/.test(key) ? `${outcome.value / 1e6} MΩ` : outcome.value.toFixed(2)
  const figure = key.includes('rcd') ? `${outcome.value * 1e3} ms` : unit
  return `${outcome.is === 'over' ? '>' : ''}${figure}`
}

describe('what cannot be is explained by name', () => {
  const cases: readonly (readonly [string, Rig, RegExp])[] = [
    [
      'an unknown terminal',
      changed(first, { to: 'c1p1.Q' }),
      /ends at terminal Q of Socket 1\.1, which has L, N, E/,
    ],
    ['an unknown part', changed(first, { to: 'c9p1.L' }), /ends at c9p1, and there is no such part/],
    ['a negative length', changed(first, { lengthM: -3 }), /Way 1 · L out to Socket 1\.1 · L\) is -3 m long/],
    [
      'no length, which would be an ideal wire',
      changed(first, { lengthM: 0 }),
      /short circuit without resistance/,
    ],
    ['an area that is not made', changed(first, { areaMm2: 3 }), /3 mm². Conductors are made in 1, 1.5, 2.5/],
    [
      'two conductors in a terminal for one',
      { ...rig, wires: [...rig.wires, { ...rig.wires[0]!, id: 'more', from: 'b1nA.1', to: 'c1p1.N' }] },
      /Neutral bar A · 1 takes one conductor and has 2/,
    ],
    [
      'both ends at one terminal',
      changed(first, { to: 'b1w1.L out' }),
      /Both ends of .* are at Way 1 · L out/,
    ],
    [
      'a board without supply',
      { ...rig, wires: rig.wires.filter(({ to }) => !to.startsWith('b1main')) },
      /Nothing joins Board to the supply/,
    ],
    [
      'no supply at all',
      { ...rig, parts: rig.parts.filter(({ kind }) => kind !== 'supply'), wires: [] },
      /The bay has no supply/,
    ],
    [
      'two devices on one way',
      {
        ...rig,
        parts: [...rig.parts, { ...rig.parts.find(({ id }) => id === 'b1w1')!, id: 'twin', name: 'Twin' }],
      },
      /where Way 1 is already/,
    ],
    [
      'a tooth that is not there',
      { ...rig, busbars: rig.busbars.map((busbar) => ({ ...busbar, missing: [9] })) },
      /there is none at 9/,
    ],
  ]
  it.each(cases)('%s', (_, wrong, sentence) => {
    expect(rigProblems(wrong, { isWired: true }).map(rigSentence).join('\n')).toMatch(sentence)
    // At the terminal the same, with an exit code, and never a number that is none.
    const { text, code } = nakshi(['simulate', fileOf(wrong)])
    expect(code).toBe(1)
    expect(text).toMatch(sentence)
    expect(text).not.toMatch(/NaN|undefined/)
  })
  it('a file that is no rig says what is missing', () =>
    expect(nakshi(['simulate', fileOf({ format: 'nakshi.rig' })]).text).toMatch(/version is missing/))
})

it('the published schema is the one that files are checked against', () => {
  expect(readFileSync('docs/formats/rig.schema.json', 'utf8')).toBe(published('nakshi.rig.v1', RigSchema))
  expect(readFileSync('docs/formats/readings.schema.json', 'utf8')).toBe(
    published('nakshi.readings.v1', ReadingsSchema),
  )
  expect(validate(RigSchema, JSON.parse(JSON.stringify(rig))).ok).toBe(true)
})

describe('commands', () => {
  const file = fileOf(rig)
  it('rig: builds the bay of an exercise, which can be read again', () => {
    const { text, code } = nakshi(['rig', 'packs/workshop/T-04.json'])
    expect(code).toBe(0)
    expect(nakshi(['simulate', fileOf(JSON.parse(text)), '--explain']).text).toMatch(
      /Isolating switch 1L3 switched on/,
    )
  })
  it('simulate with a planted fault tells both devices', () => {
    const fault = `neutralOnOtherBar:${wireBetween(rig, 'b1nB', 'c2p1')} b1nA`
    const { text } = nakshi(['simulate', file, '--fault', fault, '--do', '1 throw c2p0', '--explain'])
    expect(text).toMatch(/RCD A opens: .* did not come back/)
    expect(text).toMatch(/RCD B opens/)
  })
  it('every fault of the catalogue has its words', () =>
    expect(
      [...new Set(possibleFaults(rig).map(({ kind }) => kind.code))].filter((code) => !FAULT_TEXT[code]),
    ).toEqual([]))
  it('faults lists what can be planted', () =>
    expect(JSON.parse(nakshi(['faults', file]).text)).toContain('polarityAtPoint:c1p1'))
  it('read: an instrument with its words', () => {
    expect(
      nakshi([
        'read',
        file,
        '--instrument',
        'continuity',
        '--at',
        'c1p3.L',
        '--to',
        'c1p3.E',
        '--link',
        'b1w1.L out,b1e.1',
        '--explain',
      ]).text,
    ).toMatch(/^0\.2\d Ω$/)
    expect(
      nakshi([
        'read',
        file,
        '--instrument',
        'continuity',
        '--at',
        'c1p3.L',
        '--to',
        'c1p3.N',
        '--live',
        '--explain',
      ]),
    ).toMatchObject({ code: 3, text: expect.stringMatching(/Isolate, lock off and prove dead/) })
    expect(nakshi(['read', file, '--instrument', 'socket', '--at', 'c1p3', '--live', '--explain']).text).toBe(
      'correct',
    )
  })
  it('wrong use says what there is', () => {
    expect(nakshi(['read', file, '--instrument', 'ohm'])).toMatchObject({
      code: 2,
      text: expect.stringMatching(/continuity, insulation/),
    })
    expect(nakshi(['read', file, '--instrument', 'loop', '--at', 'c1p3.X', '--to', 'c1p3.E'])).toMatchObject({
      code: 2,
      text: expect.stringMatching(/It has L, N, E/),
    })
    expect(nakshi(['simulate', file, '--do', '1 dance c1p1'])).toMatchObject({
      code: 2,
      text: expect.stringMatching(/supply, close, throw/),
    })
  })
  it('check and diagnose: a sheet of readings against the bay, its cause, and bad boxes by name', () => {
    const outcomes = predictAll(withFault(rig, 'damp', 'c2p1'), testsOf(rig))
    const sheet = (readings: object) => fileOf({ format: 'nakshi.readings', version: 1, readings })
    const typed = Object.fromEntries([...outcomes].map(([key, one]) => [key, writtenDown(key, one)]))
    expect(nakshi(['check', file, sheet(typed), '--explain'])).toMatchObject({
      code: 3,
      text: expect.stringMatching(/odd +insulation resistance L–E of Lighting +0\.\d+ MΩ/),
    })
    expect(nakshi(['diagnose', file, sheet(typed), '--explain']).text).toMatch(
      /Damp accessory, line to earth, Lighting, at Lamp 2\.1/,
    )
    const sound = Object.fromEntries(
      [...predictAll(rig, testsOf(rig))].map(([key, one]) => [key, writtenDown(key, one)]),
    )
    expect(nakshi(['diagnose', file, sheet(sound), '--explain'])).toEqual({
      code: 0,
      text: 'Every reading fits the bay as it was meant.',
    })
    expect(nakshi(['check', file, sheet({ 'c9.r1': '1', ze: 'low' }), '--explain'])).toMatchObject({
      code: 1,
      text: expect.stringMatching(/c9\.r1 is no test of this bay\nze is not a number/),
    })
  })
  it('netlist: text for a simulator', () => expect(nakshi(['netlist', file]).text).toMatch(/ac lin 1 50 50/))
})
