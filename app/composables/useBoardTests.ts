import { parseReading } from '#core/testing/parse/parse-reading'
import { kindOf } from '#core/testing/kinds/kinds'
import { whyKey } from '#core/testing/readings'
import type { BoardView, CircuitHead, TestView } from '#schemas/schedule-views'
import { DEAD_COLUMNS, LIVE_COLUMNS, READY } from '~/texts/schedule'

interface Given {
  readonly board: BoardView
  readonly isDead: boolean
  readonly read: (key: string) => string
  readonly write: (key: string, text: string) => void
}

/**
 * The schedule of one stage: rows and columns for the desk, a line of tests for the bay, and how far both are
 * filled.
 */
export function useBoardTests(given: () => Given) {
  const tests = computed(() => given().board.tests.filter(({ isDead }) => isDead === given().isDead))
  const asked = computed(() => tests.value.filter(({ isAsked }) => isAsked))
  const ofSupply = computed(() => tests.value.filter(({ circuit }) => circuit === null))
  const columns = computed(() =>
    (given().isDead ? DEAD_COLUMNS : LIVE_COLUMNS).filter((kind) =>
      tests.value.some((test) => test.kind === kind && test.circuit !== null),
    ),
  )
  const rows = computed(() =>
    given().board.circuits.map((circuit) => {
      const circuitTests = tests.value.filter((test) => test.circuit === circuit.id)
      return {
        circuit,
        cells: columns.value.map((kind) => circuitTests.find((test) => test.kind === kind && test.isAsked)),
        more: circuitTests.filter(({ isAsked }) => !isAsked),
      }
    }),
  )

  const isFilled = (key: string) =>
    !['empty', 'unreadable'].includes(parseReading(given().read(key), kindOf(key)).form)
  const isBad = (key: string) => parseReading(given().read(key), kindOf(key)).form === 'unreadable'
  /** Left out, and the reason is still owed. */
  const owesReason = (key: string) =>
    parseReading(given().read(key), kindOf(key)).form === 'left' && given().read(whyKey(key)).trim() === ''
  const progressOf = (circuit: CircuitHead | null) => {
    const circuitTests = asked.value.filter((test) => test.circuit === (circuit?.id ?? null))
    return { filled: circuitTests.filter(({ key }) => isFilled(key)).length, of: circuitTests.length }
  }
  const filled = computed(() => asked.value.filter(({ key }) => isFilled(key)).length)

  const everyPoint = ref(false)
  const line = computed<readonly TestView[]>(() => (everyPoint.value ? tests.value : asked.value))
  const chosen = ref<string | null>(null)
  const current = computed(
    () =>
      line.value.find(({ key }) => key === chosen.value) ??
      line.value.find(({ key }) => !isFilled(key)) ??
      line.value[0],
  )
  const place = computed(() => line.value.findIndex(({ key }) => key === current.value?.key))
  function step(by: number): void {
    const next = line.value[place.value + by]
    if (next) chosen.value = next.key
  }

  const go = (key: string) => void (chosen.value = key)
  const measureEvery = (isOn: boolean) => void (everyPoint.value = isOn)

  const readyBox = computed(() => (given().isDead ? 'set:readyDead' : 'set:readyLive'))
  const ticked = computed(() => new Set(given().read(readyBox.value).split(' ').filter(Boolean)))
  const checks = computed(() => READY[given().isDead ? 'dead' : 'live'])
  function tick(key: string): void {
    const next = ticked.value.has(key)
      ? [...ticked.value].filter((other) => other !== key)
      : [...ticked.value, key]
    given().write(readyBox.value, next.join(' '))
  }
  return {
    tests,
    asked,
    ofSupply,
    columns,
    rows,
    isFilled,
    isBad,
    owesReason,
    progressOf,
    filled,
    everyPoint,
    measureEvery,
    line,
    go,
    current,
    place,
    step,
    ticked,
    checks,
    tick,
  }
}
