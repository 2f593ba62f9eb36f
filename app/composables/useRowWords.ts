import type { Advice } from '#core/design/advice'
import type { InstallationDesign } from '#core/design/reference'
import { idsIn, type ExerciseForm, type FormProblems } from '#core/exercise/form/fields'
import { constraintSentence } from '#words/constraints'
import { findingSentence } from '#words/findings/findings'
import { STEP_TEXT } from '#words/steps'
import { BOARD_NAME, CIRCUIT_NAME } from '~/texts/builder'

export interface RowWord {
  readonly text: string
  readonly isStop: boolean
}

interface Shown {
  readonly problems: FormProblems
  readonly design: InstallationDesign | null
  readonly advice: readonly Advice[]
}

/**
 * What stands under each row of the table: what is wrong in its cells, then why it cannot be worked, then
 * advice. Rows whose words did not change keep their object.
 */
export function useRowWords(form: () => ExerciseForm, shown: () => Shown) {
  const boards = computed(() => idsIn(form().boards))
  const problems = computed(() => partsOf(shown().problems))

  function cellWords(id: string): RowWord[] {
    const names: Record<string, string> = {
      ...CIRCUIT_NAME,
      ...(boards.value.includes(id) ? BOARD_NAME : {}),
    }
    return Object.entries(problems.value[id] ?? {}).map(([field, text]) => ({
      text: `${names[field] ?? field}: ${text}`,
      isStop: true,
    }))
  }
  function stopWords(id: string): RowWord[] {
    const { circuits = [], boards: own = [] } = shown().design ?? {}
    const stopped = [...circuits, ...own].find(({ scope }) => scope === id)?.stopped
    if (!stopped) return []
    const step = STEP_TEXT[stopped.at].name.toLowerCase()
    return [{ text: `No solution at ${step}. ${constraintSentence(stopped.constraint)}`, isStop: true }]
  }
  const adviceWords = (id: string): RowWord[] =>
    shown()
      .advice.filter(({ scope }) => scope === id)
      .map(({ finding }) => ({ text: findingSentence(finding), isStop: false }))

  function wordsFor(id: string): RowWord[] {
    const [cells, stop] = [cellWords(id), stopWords(id)]
    if (cells.length > 0) return cells
    return stop.length > 0 ? stop : adviceWords(id)
  }
  return computed<Record<string, RowWord[]>>((old) =>
    Object.fromEntries(
      [...boards.value, ...idsIn(form().circuits)].map((id) => {
        const words = wordsFor(id)
        return [id, old?.[id] && JSON.stringify(old[id]) === JSON.stringify(words) ? old[id] : words]
      }),
    ),
  )
}
