import type { StepKey } from '#core/design/model/step-keys'
import { materialsOf } from '#core/design/materials/materials'
import { toolsFor } from '#core/design/materials/tools'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { idsIn } from '#core/exercise/form/fields'
import { findingSentence } from '#words/findings/findings'
import type { useExerciseBuilder } from './useExerciseBuilder'

const NO_PROBLEMS: Readonly<Record<string, string>> = {}
/** Columns of the table; the boxes beside it need none of them to be drawn again. */
const TYPED_IN_TABLE = ['name', 'way', 'amount', 'length', 'ambient']

/**
 * The form of a builder by rows; rows that did not change stay the same objects, so that a keystroke draws
 * one row again and not the page.
 */
export function useBuilderRows(
  { form, read, shown }: ReturnType<typeof useExerciseBuilder>,
  selected: Readonly<Ref<string>>,
) {
  const rows = computed<Record<string, Record<string, string>>>((old) => partsOf(form.value, old))
  const rowProblems = computed<Record<string, Record<string, string>>>((old) =>
    partsOf(read.value.problems, old),
  )
  const head = computed(() => rows.value['']!)
  const headProblems = computed(() => rowProblems.value[''] ?? NO_PROBLEMS)
  const selectedRow = computed<Record<string, string>>((old) =>
    keep(
      old,
      Object.fromEntries(
        Object.entries(rows.value[selected.value] ?? {}).filter(([field]) => !TYPED_IN_TABLE.includes(field)),
      ),
    ),
  )
  const selectedProblems = computed(() => rowProblems.value[selected.value] ?? NO_PROBLEMS)
  const boardNames = computed<Record<string, string>>((old) =>
    keep(
      old,
      Object.fromEntries(
        idsIn(form.value.boards).map((board) => [board, form.value[`${board}.name`] ?? board]),
      ),
    ),
  )
  const boards = computed(() =>
    Object.entries(boardNames.value).map(([board, name]) => ({ id: board, name })),
  )
  const circuits = computed(() =>
    idsIn(form.value.circuits).map((circuit) => ({
      id: circuit,
      name: form.value[`${circuit}.name`] ?? circuit,
    })),
  )
  const intakeWords = computed<string[]>((old) =>
    keep(
      old,
      shown.value.advice
        .filter(({ scope }) => scope === 'intake')
        .map(({ finding }) => findingSentence(finding)),
    ),
  )
  const scopes = computed(() =>
    Object.fromEntries([...boards.value, ...circuits.value].map((part) => [part.id, part.name])),
  )
  return {
    rows,
    rowProblems,
    head,
    headProblems,
    selectedRow,
    selectedProblems,
    boards,
    circuits,
    intakeWords,
    scopes,
  }
}

/** What the design of a builder says of its parts, and what it takes to build it. */
export function useBuilderDesign(
  { form, design, shown }: ReturnType<typeof useExerciseBuilder>,
  selected: Readonly<Ref<string>>,
) {
  const parts = computed(() => [...(design.value?.circuits ?? []), ...(design.value?.boards ?? [])])
  const selectedDesign = computed(() => {
    const { circuits = [], boards = [] } = shown.value.design ?? {}
    return [...circuits, ...boards].find(({ scope }) => scope === selected.value)
  })
  const applying = computed(
    () => new Set<StepKey>(parts.value.flatMap(({ steps }) => steps.map(({ key }) => key))),
  )
  const failed = computed(
    () => new Set(parts.value.flatMap(({ stopped, scope }) => (stopped ? [scope] : []))),
  )
  const figureOf = (scope: string, step: StepKey) =>
    parts.value.find((part) => part.scope === scope)?.values[step]
  /** The circuits that are put together at the bay. */
  const built = computed(() => {
    const { tests, circuits, askCircuits } = form.value
    if (tests === WHOLE_BOARD) return idsIn(circuits)
    return tests ? [tests] : idsIn(askCircuits)
  })
  const materials = computed(() =>
    design.value
      ? {
          materials: materialsOf(design.value, built.value),
          ...toolsFor(design.value, built.value, form.value.tests !== ''),
        }
      : null,
  )
  return { selectedDesign, applying, failed, figureOf, materials }
}
