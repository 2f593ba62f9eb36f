import { computed, ref } from 'vue'
import { readAnswer } from '#core/assessment/marking/answer'
import { scopeOf, stepOf, type NodeKey, type StepKey } from '#core/design/model/step-keys'
import type { PublicInstallation } from '#core/exercise/assignment'

/** What a worksheet asks, and what has been written so far. */
export interface SheetAsked {
  readonly nodes: () => readonly NodeKey[]
  readonly installation: () => PublicInstallation | undefined
  readonly answer: (node: NodeKey) => string
  /** The same a task behind the key: what is counted is drawn after the box. */
  readonly followedAnswer: (node: NodeKey) => string
  /** Boxes that a refused hand-in named. */
  readonly missing: () => readonly string[]
}

/**
 * The circuits and boards of a worksheet, each with what it asks and how much of it can be read. A key typed into
 * one box changes none of them until that box begins or ceases to hold an answer, and then only how many are answered.
 */
export function useSheetScopes({ nodes, installation, answer, followedAnswer, missing }: SheetAsked) {
  const isAnswered = (node: NodeKey): boolean => readAnswer(stepOf(node), followedAnswer(node)).ok
  // As text, since the same text starts nothing anew.
  const answeredText = computed(() => nodes().filter(isAnswered).join(' '))
  const answeredNodes = computed(() => new Set(answeredText.value.split(' ').filter(Boolean)))

  // What is asked of each stays the same while it is answered.
  const asked = computed(() =>
    [...(installation()?.circuits ?? []), ...(installation()?.boards ?? [])].flatMap(({ id, name }) => {
      const own = nodes().filter((node) => scopeOf(node) === id)
      return own.length === 0 ? [] : { id, name, nodes: own, steps: own.length }
    }),
  )
  const scopes = computed(() =>
    asked.value.map((one) => ({
      ...one,
      answered: one.nodes.filter((node) => answeredNodes.value.has(node)).length,
      hasMissing: one.nodes.some((node) => missing().includes(node)),
    })),
  )
  const names = computed(() => Object.fromEntries(asked.value.map(({ id, name }) => [id, name])))
  const chosen = ref<string | null>(null)
  const at = computed(() =>
    Math.max(
      0,
      scopes.value.findIndex(({ id }) => id === chosen.value),
    ),
  )
  const scope = computed(() => scopes.value[at.value])
  const next = computed(() => scopes.value[at.value + 1])
  const circuit = computed(() => installation()?.circuits.find(({ id }) => id === scope.value?.id))
  const board = computed(() =>
    installation()?.boards.find(({ id }) => id === (circuit.value?.board ?? scope.value?.id)),
  )
  /** What was written, as a number; undefined where it cannot be read as one. */
  const ownValue = (of: string, step: StepKey): number | undefined => {
    const read = readAnswer(step, answer(`${of}.${step}`))
    return read.ok ? read.value : undefined
  }
  const answered = computed(() => answeredNodes.value.size)
  return { scopes, names, scope, next, chosen, circuit, board, answered, ownValue }
}
