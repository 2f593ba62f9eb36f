import { readdirSync, readFileSync } from 'node:fs'
import { Ajv } from 'ajv'
import { expect, test } from 'vitest'
import { referenceDesign } from '#core/design/reference'
import { toForm, readForm } from '#core/exercise/form'
import type { Exercise } from '#core/exercise/exercise'
import { ExerciseSchema } from '#schemas/exercise'
import { FrameworkSchema } from '#schemas/framework'
import { ExerciseSaveRequest } from '#schemas/requests'
import { validate } from '#schemas/validate'
import { published } from '#schemas/published'
import { nakshi } from '../../cli/nakshi'
import { createExercise, importExercise, showExercise } from '../../server/services/exercises'
import { aCentre } from '../support/centre'
import { anExercise } from '../support/task'

const read = (file: string) => readFileSync(file, 'utf8')
const DEMO = readdirSync('demo/exercises').map((name) => [name, JSON.parse(read(`demo/exercises/${name}`)) as Exercise] as const)

test('the published schemas are the ones in force', () => {
  expect(read('docs/formats/exercise.schema.json')).toBe(published('nakshi.exercise.v1', ExerciseSchema))
  expect(read('docs/formats/framework.schema.json')).toBe(published('nakshi.framework.v1', FrameworkSchema))
})

test('a schema can be checked alone and inside another, in either order', () => {
  expect(validate(ExerciseSaveRequest, { version: 1, exercise: anExercise() }).ok).toBe(true)
  expect(validate(ExerciseSchema, anExercise()).ok).toBe(true)
  expect(validate(ExerciseSaveRequest, { version: 1, exercise: anExercise({ code: '' }) }).ok).toBe(false)
})

test.each(DEMO)('%s: fits the published schema, has a solution, passes through the form unchanged', (_name, exercise) => {
  const check = new Ajv({ strict: false }).compile(JSON.parse(read('docs/formats/exercise.schema.json')))
  expect(check(exercise), JSON.stringify(check.errors)).toBe(true)
  expect(referenceDesign(exercise.task).ok).toBe(true)
  expect(readForm(toForm(exercise), exercise.task.measuredZs).exercise).toEqual(exercise)
})

test('an exercise goes out and comes back in as the same', () => {
  const [from, to] = [aCentre(), aCentre()]
  const stored = createExercise(from.context, from.instructor, anExercise({ title: 'Sockets “pit” – Ω' }))
  const text = JSON.stringify(showExercise(from.context, from.instructor, stored.id).exercise, null, 2)
  expect(importExercise(to.context, to.instructor, `\uFEFF${text}`).exercise).toEqual(stored.exercise)
})

test('the command line speaks the same files: a design as JSON, a broken file in words', () => {
  const { text, code } = nakshi(['design', 'demo/exercises/T-01.json'])
  expect(code).toBe(0)
  expect(JSON.parse(text)).toMatchObject({ governs: 'area', steps: expect.arrayContaining([expect.objectContaining({ key: 'csa', value: 1.5 })]) })
  expect(nakshi(['design', 'demo/roster.csv'])).toMatchObject({ code: 1, text: expect.stringContaining('cannot be read as JSON') })
  expect(nakshi(['design', 'package.json']).text).toContain('task is missing.')
  expect(nakshi(['nonsense']).code).toBe(2)
})
