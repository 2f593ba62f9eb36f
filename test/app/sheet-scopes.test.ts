/* The circuits and boards of a worksheet while answers are typed. */
import { describe, expect, test } from 'vitest'
import { computed, effectScope, reactive, ref, watch } from 'vue'
import { publicInstallation } from '#core/exercise/assignment'
import type { NodeKey } from '#core/design/model/step-keys'
import { useSheetScopes } from '../../app/composables/useSheetScopes'
import { aBoardOf } from '../support/board-of'

const INSTALLATION = publicInstallation(aBoardOf(2).installation)
const [C1, C2] = INSTALLATION.circuits.map(({ id }) => id) as [string, string]
const NODES = [`${C1}.ib`, `${C1}.in`, `${C2}.ib`] as NodeKey[]

function aSheet() {
  const answers = reactive<Record<string, string>>({})
  const missing = ref<readonly string[]>([])
  const sheet = effectScope().run(() =>
    useSheetScopes({
      nodes: () => NODES,
      installation: () => INSTALLATION,
      answer: (node) => answers[node] ?? '',
      followedAnswer: (node) => answers[node] ?? '',
      missing: () => missing.value,
    }),
  )!
  return { answers, missing, sheet }
}

describe('the circuits and boards of a worksheet', () => {
  test('only those that are asked stand there, each with its own steps; the first is open', () => {
    const { sheet } = aSheet()
    expect(sheet.scopes.value.map(({ id, steps }) => [id, steps])).toEqual([
      [C1, 2],
      [C2, 1],
    ])
    expect([sheet.scope.value?.id, sheet.next.value?.id, sheet.circuit.value?.id]).toEqual([C1, C2, C1])
  })
  test('after the last there is none; a circuit brings its board', () => {
    const { sheet } = aSheet()
    sheet.chosen.value = C2
    expect([sheet.scope.value?.id, sheet.next.value]).toEqual([C2, undefined])
    expect(sheet.board.value?.id).toBe(INSTALLATION.circuits[1]!.board)
  })
  test('what can be read as an answer counts, what is half typed does not', () => {
    const { answers, sheet } = aSheet()
    answers[`${C1}.ib`] = '12.5 A'
    answers[`${C2}.ib`] = '-'
    expect(sheet.answered.value).toBe(1)
    expect(sheet.scopes.value.map(({ answered }) => answered)).toEqual([1, 0])
    expect([sheet.ownValue(C1, 'ib'), sheet.ownValue(C2, 'ib')]).toEqual([12.5, undefined])
  })
  test('a box that a refused hand-in named marks its circuit alone', () => {
    const { missing, sheet } = aSheet()
    missing.value = [`${C2}.ib`]
    expect(sheet.scopes.value.map(({ hasMissing }) => hasMissing)).toEqual([false, true])
  })
  test('a further figure in a box that holds an answer changes nothing around it', () => {
    const { answers, sheet } = aSheet()
    answers[`${C1}.ib`] = '1'
    let changes = 0
    watch(
      computed(() => [sheet.scopes.value, sheet.answered.value]),
      () => (changes += 1),
      { flush: 'sync' },
    )
    answers[`${C1}.ib`] = '12'
    answers[`${C1}.ib`] = '12.5'
    expect(changes).toBe(0)
    const { nodes } = sheet.scope.value!
    answers[`${C1}.ib`] = ''
    expect(changes).toBe(1)
    // The same list of boxes, so that none of them is drawn anew.
    expect(sheet.scope.value!.nodes).toBe(nodes)
  })
})
