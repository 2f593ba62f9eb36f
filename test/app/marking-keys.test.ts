/* The marking desk by keyboard: each act has its key; a sheet that is held refuses what would change it. */
import { effectScope, shallowRef } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'
import type { Shortcut } from '~/composables/useShortcuts'

let keys: readonly Shortcut[] = []
vi.mock('~/composables/useShortcuts', () => ({ useShortcuts: (all: readonly Shortcut[]) => (keys = all) }))
const { useMarkingKeys } = await import('~/composables/useMarkingKeys')

const done: string[] = []
const note =
  (name: string) =>
  (...of: unknown[]): Promise<void> => {
    done.push([name, ...of].join(' '))
    return Promise.resolve()
  }
const view = shallowRef({ attempt: { stage: 'handedIn' }, next: 23, previous: 21 })
let isHeld = false
let selected = 'design.c1.ib'
beforeEach(() => {
  done.length = 0
  isHeld = false
  selected = 'design.c1.ib'
  view.value = { attempt: { stage: 'handedIn' }, next: 23, previous: 21 }
  const acts = {
    desk: { view, clearOverride: note('clear'), decide: note('decide'), release: note('release') },
    ...{ isHeld: () => isHeld, selected: () => selected },
    ...{ move: note('move'), moveToFault: note('to a fault'), moveScope: note('scope') },
    ...{ toggleOpen: note('open'), toggleGiven: note('given'), change: note('change') },
    ...{ takeComment: note('sentence'), next: note('waiting'), sideways: note('sheet') },
  } as unknown as Parameters<typeof useMarkingKeys>[0]
  effectScope().run(() => useMarkingKeys(acts))
})
const the = (label: string): Shortcut => keys.find((key) => key.label === label)!
const isOff = ({ isOff: off }: Shortcut): boolean => off?.() ?? false

it.each([
  ['J', 'move 1'],
  ['K', 'move -1'],
  ['W', 'to a fault'],
  ['→', 'scope 1'],
  ['←', 'scope -1'],
  ['O', 'open'],
  ['G', 'given'],
  ['E', 'change'],
  ['U', 'clear design.c1.ib'],
  ['1', 'sentence 1'],
  ['8', 'sentence 8'],
  ['D', 'decide'],
  ['R', 'release'],
  ['N', 'waiting'],
  ['.', 'sheet 23'],
  [',', 'sheet 21'],
])('%s: %s', (label, expected) => {
  the(label).run()
  expect(done).toEqual([expected])
})
it('no key stands for two acts', () => {
  const all = keys.map((key) => key.keys.toLowerCase())
  expect(new Set(all).size).toBe(all.length)
})
it('a sheet that is held can be read and left, not changed', () => {
  isHeld = true
  const free = keys.filter((key) => !isOff(key)).map(({ label }) => label)
  expect(free).toEqual(['J', 'K', 'W', '→', '←', 'O', 'G', 'N', '.', ','])
})
it('is released once it is decided, not before', () => {
  expect(isOff(the('R'))).toBe(true)
  view.value = { ...view.value, attempt: { stage: 'decided' } }
  expect(isOff(the('R'))).toBe(false)
})
it('with no line chosen there is nothing to undo', () => {
  selected = ''
  the('U').run()
  expect(done).toEqual([])
})
