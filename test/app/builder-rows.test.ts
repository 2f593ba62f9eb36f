/* The form of an exercise by rows: a key changes its own row's object and no other, and what is said stands by its row. */
import { computed, nextTick, ref, shallowRef } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { installationAdvice } from '#core/design/advice'
import { referenceDesign, type InstallationDesign } from '#core/design/reference'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { toForm } from '#core/exercise/form/to-form'
import type { ExerciseForm } from '#core/exercise/form/fields'
import { readForm } from '#core/exercise/form/read-form'
import { formSentences } from '#words/form'
import { anExercise, RULES } from '../support/task'
import { aBoardOf } from '../support/board-of'

vi.mock('~/stores/shared', () => ({}))
const { useBuilderDesign, useBuilderRows } = await import('~/composables/useBuilderRows')
const { useRowWords } = await import('~/composables/useRowWords')

const EXERCISE = anExercise({ installation: aBoardOf(3).installation, tests: null })
const BOARD = EXERCISE.installation.boards[0]!.id
const [C1, C2, C3] = EXERCISE.installation.circuits.map(({ id }) => id) as [string, string, string]

function aBuilder(exercise = EXERCISE) {
  const form = shallowRef<ExerciseForm>(toForm(exercise))
  const selected = ref(C1)
  const read = computed(() => {
    const { problems, installation } = readForm(form.value, exercise.policy)
    return { problems: formSentences(problems), installation }
  })
  const design = computed<InstallationDesign | null>(() =>
    read.value.installation ? referenceDesign(read.value.installation, { ...RULES, changes: [] }) : null,
  )
  const advice = computed(() =>
    design.value ? installationAdvice(read.value.installation!, design.value) : [],
  )
  const shown = computed(() => ({
    problems: read.value.problems,
    design: design.value,
    advice: advice.value,
  }))
  const builder = { form, read, design, shown } as unknown as Parameters<typeof useBuilderRows>[0]
  const type = (parts: Readonly<Record<string, string>>) => (form.value = { ...form.value, ...parts })
  const words = useRowWords(
    () => form.value,
    () => shown.value,
  )
  return {
    type,
    selected,
    words,
    rows: useBuilderRows(builder, selected),
    of: useBuilderDesign(builder, selected),
  }
}

describe('a key in one row', () => {
  it('makes that row’s object anew and leaves every other as it is', () => {
    const { rows, type } = aBuilder()
    const before = rows.rows.value
    type({ [`${C2}.length`]: '31' })
    const after = rows.rows.value
    expect(after[C2]).toMatchObject({ length: '31' })
    expect(after[C2]).not.toBe(before[C2])
    for (const part of ['', BOARD, C1, C3]) expect(after[part]).toBe(before[part])
  })
  it('in a column of the table leaves the boxes beside it alone; in one of theirs not', () => {
    const { rows, type } = aBuilder()
    const before = rows.selectedRow.value
    type({ [`${C1}.length`]: '31', [`${C1}.name`]: 'Far lamps' })
    expect(rows.selectedRow.value).toBe(before)
    type({ [`${C1}.method`]: 'C' })
    expect(rows.selectedRow.value).toMatchObject({ method: 'C' })
  })
  it('that renames a circuit is in the names of all; boards keep their list', () => {
    const { rows, type } = aBuilder()
    const boards = rows.boards.value
    type({ [`${C2}.name`]: 'Far lamps' })
    expect(rows.scopes.value[C2]).toBe('Far lamps')
    expect(rows.boards.value).toBe(boards)
  })
})

describe('a box that cannot be read', () => {
  it('is said at its own row, and in the words under it before anything else', async () => {
    const { rows, words, type } = aBuilder()
    type({ [`${C2}.length`]: 'far' })
    await nextTick()
    expect(Object.keys(rows.rowProblems.value)).toEqual([C2])
    expect(words.value[C2]).toEqual([{ text: expect.stringMatching(/^Length.*number/is), isStop: true }])
  })
  it('beside the table is said there once its row is the one in hand', () => {
    const { rows, type, selected } = aBuilder()
    type({ [`${C2}.length`]: 'far' })
    expect(rows.selectedProblems.value).toEqual({})
    selected.value = C2
    expect(Object.keys(rows.selectedProblems.value)).toEqual(['length'])
  })
})

describe('what the design says', () => {
  it('where a circuit cannot be worked, names the step and why, and marks the part as failed', () => {
    const { words, of, type } = aBuilder()
    type({ [`${C2}.ambient`]: '69' })
    expect([...of.failed.value]).toEqual([C2])
    expect(words.value[C2]![0]).toMatchObject({
      text: expect.stringMatching(/^No solution at /),
      isStop: true,
    })
  })
  it('rows that say the same keep their words’ object', () => {
    const { words, type } = aBuilder()
    const before = words.value
    type({ [`${C2}.ambient`]: '69' })
    expect(words.value[C1]).toBe(before[C1])
    expect(words.value[C2]).not.toBe(before[C2])
  })
  it('of the part in hand is shown with its figures', () => {
    const { of, selected } = aBuilder()
    expect(of.selectedDesign.value?.scope).toBe(C1)
    expect(of.figureOf(C1, 'in')).toBeGreaterThan(0)
    selected.value = BOARD
    expect(of.selectedDesign.value?.scope).toBe(BOARD)
    expect(of.figureOf('no such part', 'in')).toBeUndefined()
  })
})

describe('materials', () => {
  it('are of the circuits that are put together at the bay, with tools to test them where one is tested', () => {
    const { of, type } = aBuilder()
    const cabled = () => of.materials.value!.materials.cables.map(({ circuit }) => circuit)
    type({ tests: C1 })
    expect(cabled()).toEqual([C1])
    const tools = of.materials.value!.tools.length
    type({ tests: '', askCircuits: `${C1} ${C2}` })
    expect(new Set(cabled())).toEqual(new Set([C1, C2]))
    expect(of.materials.value!.tools.length).toBeLessThan(tools)
    type({ tests: WHOLE_BOARD })
    expect(new Set(cabled())).toEqual(new Set([C1, C2, C3]))
  })
})
