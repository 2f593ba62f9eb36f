import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Ajv } from 'ajv'
import { describe, expect, test } from 'vitest'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { upgradeMarked, upgradeOverrides } from '#core/assessment/upgrade'
import { upgradeExercise } from '#core/exercise/upgrade'
import type { Exercise } from '#core/exercise/exercise'
import { BookFileSchema } from '#schemas/book-requests'
import { ExerciseSchema } from '#schemas/exercise'
import { FrameworkSchema } from '#schemas/framework'
import { SubmissionSchema } from '#schemas/submission'
import { ExerciseSaveRequest } from '#schemas/requests'
import { validate } from '#schemas/validate'
import { published } from '#schemas/published'
import { nakshi } from '../../cli/nakshi'
import { createExercise, importExercise, showExercise } from '../../server/services/exercises'
import { aCentre } from '../support/centre'
import { anExercise } from '../support/task'

const read = (file: string) => readFileSync(file, 'utf8')
const DEMO = readdirSync('packs/workshop').map(
  (name) => [name, JSON.parse(read(`packs/workshop/${name}`)) as Exercise] as const,
)

test('the published schemas are the ones in force', () => {
  expect(read('docs/formats/exercise.schema.json')).toBe(published('nakshi.exercise.v2', ExerciseSchema))
  expect(read('docs/formats/book.schema.json')).toBe(published('nakshi.book.v1', BookFileSchema))
  expect(read('docs/formats/framework.schema.json')).toBe(published('nakshi.framework.v2', FrameworkSchema))
  expect(read('docs/formats/submission.schema.json')).toBe(
    published('nakshi.submission.v1', SubmissionSchema),
  )
})

test('a schema can be checked alone and inside another, in either order', () => {
  expect(validate(ExerciseSaveRequest, { version: 1, exercise: anExercise() }).ok).toBe(true)
  expect(validate(ExerciseSchema, anExercise()).ok).toBe(true)
  expect(validate(ExerciseSaveRequest, { version: 1, exercise: anExercise({ code: '' }) }).ok).toBe(false)
})

test.each(DEMO)(
  '%s: fits the published schema, has a solution, passes through the form unchanged',
  (_name, exercise) => {
    const check = new Ajv({ strict: false }).compile(JSON.parse(read('docs/formats/exercise.schema.json')))
    expect(check(exercise), JSON.stringify(check.errors)).toBe(true)
    expect(designOf(assignmentOf(exercise)).ok).toBe(true)
    expect(readForm(toForm(exercise), exercise.policy).exercise).toEqual(exercise)
  },
)

test('an exercise goes out and comes back in as the same', () => {
  const [from, to] = [aCentre(), aCentre()]
  const stored = createExercise(from.context, from.instructor, anExercise({ title: 'Sockets “pit” – Ω' }))
  const text = JSON.stringify(showExercise(from.context, from.instructor, stored.id).exercise, null, 2)
  expect(importExercise(to.context, to.instructor, `\uFEFF${text}`).exercise).toEqual(stored.exercise)
})

test('a file of version 1, with its one radial circuit, comes in as an installation with the same answers', () => {
  const first = {
    format: 'nakshi.exercise',
    version: 1,
    code: 'V-01',
    title: 'Heater',
    scenario: '',
    circuitName: 'Sand store heater',
    edition: '18-A2',
    task: {
      supply: { arrangement: 'TN-S', zeOhm: 0.62, ipfA: 1400 },
      use: 'fixed',
      premises: 'industrial',
      location: 'general',
      concealed: false,
      load: { basis: 'power', powerW: 3000, powerFactor: 1 },
      lengthM: 21,
      cable: { kind: 'flat-twin-earth', method: 'C' },
      ambientC: 30,
      grouping: { circuits: 2, arrangement: 'single-layer' },
      device: { family: 'breaker', curve: 'B' },
      residualA: null,
      measuredZs: 'corrected',
    },
    variants: { seed: 31, lengthSpread: 0.2, loadSpread: 0.08 },
    criteria: ['D1'],
  }
  const centre = aCentre()
  const { exercise } = importExercise(centre.context, centre.instructor, JSON.stringify(first))
  expect(exercise).toMatchObject({
    version: 2,
    tests: 'c1',
    policy: { measuredZs: 'corrected' },
    installation: { circuits: [{ id: 'c1', name: 'Sand store heater', lengthM: 21 }] },
  })
  // 3000 ÷ 230 = 13.04 → 16 A; 16 ÷ 0.85 = 18.8 → 1.5 mm² carries 20 A.
  expect(designOf(assignmentOf(exercise)).circuits[0]!.values).toMatchObject({ in: 16, csa: 1.5 })
  expect(upgradeExercise(exercise)).toBe(exercise)
  expect(
    upgradeOverrides([{ item: 'design.ib' as never, verdict: 'right', reason: 'Said it.' }])[0]!.item,
  ).toBe('design.c1.ib')
  expect(upgradeMarked({ design: [{ step: 'ib' } as never], readings: [] } as never).design[0]).toMatchObject(
    { node: 'c1.ib', scope: 'c1' },
  )
})

describe('the command line speaks the same files', () => {
  const BOARD = 'packs/workshop/T-04.json'
  const submission = (answers: object) => {
    const file = join(mkdtempSync(join(tmpdir(), 'nakshi-')), 'submission.json')
    writeFileSync(file, JSON.stringify({ format: 'nakshi.submission', version: 1, answers }))
    return file
  }
  test('a design as JSON, and as a derivation for people', () => {
    const { text, code } = nakshi(['design', BOARD])
    expect(code).toBe(0)
    expect(JSON.parse(text)).toMatchObject({
      ok: true,
      parts: expect.arrayContaining([
        expect.objectContaining({
          scope: 'c1',
          steps: expect.arrayContaining([expect.objectContaining({ key: 'csa', value: 2.5 })]),
        }),
      ]),
    })
    expect(nakshi(['design', BOARD, '--explain']).text).toMatch(
      /Maximum permitted Zs\s+Zs max = 1\.37 Ω\s+Zs ≤ U0 × Cmin ÷ Ia: 230 × 0\.95 ÷ \(5 × 32\)/,
    )
  })
  test('marks as JSON and in words; a critical error has an exit code of its own', () => {
    const right = nakshi(['mark', BOARD, submission({ 'c5.ib': '40.8', 'c5.in': '50' }), '--explain'])
    expect(right.text).toMatch(/c5\.ib\s+wrong.*√3 was left out/)
    expect(right.text).toMatch(/c5\.in\s+carried/)
    expect(right.code).toBe(0)
    const without = nakshi(['mark', BOARD, submission({ 'c3.residual': 'none' })])
    expect(without.code).toBe(3)
    expect(JSON.parse(without.text)).toMatchObject({ critical: true })
  })
  test('what cannot be used is refused in words, with the exit code that says which kind', () => {
    expect(nakshi(['design', 'demo/roster.csv'])).toMatchObject({
      code: 1,
      text: expect.stringContaining('cannot be read as JSON'),
    })
    expect(nakshi(['design', 'package.json']).text).toContain('installation is missing.')
    expect(nakshi(['mark', BOARD, submission({ 'c1.nonsense': '1' })])).toMatchObject({ code: 1 })
    expect(nakshi(['variants', BOARD, 'many']).code).toBe(2)
    expect(nakshi(['nonsense']).code).toBe(2)
    expect(nakshi(['design', BOARD, '--loud']).code).toBe(2)
  })
})
