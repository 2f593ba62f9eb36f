/* The schedule of one stage: its columns and rows, what is filled, bad or owed, and the next test at the bay. */
import { effectScope, reactive, ref, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { whyKey } from '#core/testing/readings'
import type { BoardView, TestView } from '#schemas/schedule-views'
import { useBoardTests } from '~/composables/useBoardTests'

const test = (key: string, parts: Partial<TestView> = {}): TestView => ({
  key,
  kind: key.replace(/^.*\./, '').replace(/@.*$/, ''),
  circuit: key.includes('.') ? key.split('.')[0]! : null,
  pointName: null,
  isAsked: true,
  isDead: true,
  setup: { instrument: '', probes: '', ready: [], caution: null },
  ...parts,
})
const circuit = (id: string) => ({ id, name: id, device: 'Way 1 · B16', conductors: '2.5 / 1.5 mm²' })
const BOARD: BoardView = {
  circuits: [circuit('c1'), circuit('c2')],
  tests: [
    test('c1.r1r2'),
    test('c1.irLN'),
    test('c1.r1r2@c1p1', { isAsked: false }),
    test('c2.irLN'),
    test('ze', { isDead: false }),
    test('c1.zs', { isDead: false }),
    test('c2.zs', { isDead: false }),
  ],
  instruments: [],
  stream: { port: null, code: '' },
}
const typed = reactive<Record<string, string>>({})
const isDead = ref(true)
let scope: EffectScope
let board: ReturnType<typeof useBoardTests>

beforeEach(() => {
  for (const key of Object.keys(typed)) delete typed[key]
  isDead.value = true
  scope = effectScope()
  board = scope.run(() =>
    useBoardTests(() => ({
      board: BOARD,
      isDead: isDead.value,
      read: (key) => typed[key] ?? '',
      write: (key, text) => void (typed[key] = text),
    })),
  )!
})
afterEach(() => scope.stop())

describe('the table', () => {
  it('has a column for each kind that a circuit is tested for, in the order of the work, and a row a circuit', () => {
    expect(board.columns.value).toEqual(['r1r2', 'irLN'])
    expect(board.rows.value.map(({ cells }) => cells.map((one) => one?.key))).toEqual([
      ['c1.r1r2', 'c1.irLN'],
      [undefined, 'c2.irLN'],
    ])
  })
  it('keeps what is not asked for beside its circuit', () => {
    expect(board.rows.value[0]!.more.map(({ key }) => key)).toEqual(['c1.r1r2@c1p1'])
  })
  it('of the live tests has the supply by itself', () => {
    isDead.value = false
    expect(board.ofSupply.value.map(({ key }) => key)).toEqual(['ze'])
    expect(board.columns.value).toEqual(['zs'])
  })
})

describe('a reading', () => {
  it.each([
    ['0.42', true, false, false],
    ['0,42', true, false, false],
    ['about 0.4', false, true, false],
    ['', false, false, false],
  ])('“%s”: filled %s, unreadable %s, owes a reason %s', (text, filled, bad, owes) => {
    typed['c1.r1r2'] = text
    expect([board.isFilled('c1.r1r2'), board.isBad('c1.r1r2'), board.owesReason('c1.r1r2')]).toEqual([
      filled,
      bad,
      owes,
    ])
  })
  it('left out owes its reason until there is one', () => {
    typed['c1.r1r2'] = 'N/A'
    expect(board.owesReason('c1.r1r2')).toBe(true)
    typed[whyKey('c1.r1r2')] = 'No cpc at this point.'
    expect(board.owesReason('c1.r1r2')).toBe(false)
  })
  it('counts for its circuit alone; what is not asked for counts nowhere', () => {
    typed['c1.r1r2'] = '0.42'
    typed['c1.r1r2@c1p1'] = '0.40'
    expect(board.progressOf(BOARD.circuits[0]!)).toEqual({ filled: 1, of: 2 })
    expect(board.progressOf(BOARD.circuits[1]!)).toEqual({ filled: 0, of: 1 })
    expect(board.filled.value).toBe(1)
  })
})

describe('one test after the other at the bay', () => {
  it('begins with the first that is not filled', () => {
    expect(board.current.value!.key).toBe('c1.r1r2')
    typed['c1.r1r2'] = '0.42'
    expect(board.current.value!.key).toBe('c1.irLN')
  })
  it('goes on and back by hand, and stops at both ends', () => {
    board.step(-1)
    expect(board.current.value!.key).toBe('c1.r1r2')
    board.step(2)
    board.step(1)
    expect(board.current.value!.key).toBe('c2.irLN')
    board.go('c1.irLN')
    expect(board.place.value).toBe(1)
  })
  it('stays where it was put while that box is filled', () => {
    board.go('c1.r1r2')
    typed['c1.r1r2'] = '0.42'
    expect(board.current.value!.key).toBe('c1.r1r2')
  })
  it('takes every point in where each is measured', () => {
    board.measureEvery(true)
    expect(board.line.value.map(({ key }) => key)).toContain('c1.r1r2@c1p1')
  })
  it('all filled, shows the first again', () => {
    for (const { key } of BOARD.tests) typed[key] = '0.42'
    expect(board.current.value!.key).toBe('c1.r1r2')
  })
})

it('what must be so before is ticked one by one, of the dead and of the live tests by itself', () => {
  board.tick('isolated')
  board.tick('people')
  board.tick('isolated')
  expect([...board.ticked.value]).toEqual(['people'])
  isDead.value = false
  expect(board.ticked.value.size).toBe(0)
  expect(board.checks.value.map(({ key }) => key)).toContain('permit')
  board.tick('permit')
  expect(typed).toEqual({ 'set:readyDead': 'people', 'set:readyLive': 'permit' })
})
