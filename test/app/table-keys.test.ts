/* A table of boxes by keyboard: which key does what, where, and never in a locked one. */
import { beforeEach, expect, it, vi } from 'vitest'
import { useTableKeys } from '~/composables/useTableKeys'

class Box {
  constructor(readonly dataset: Readonly<Record<string, string>>) {}
}
vi.stubGlobal('HTMLInputElement', Box)

const done: string[] = []
const note =
  (name: string) =>
  (...of: unknown[]) =>
    void done.push([name, ...of].join(' '))
let isLocked = false
const press = useTableKeys(() => isLocked, {
  move: note('move'),
  addAfter: note('add after'),
  duplicate: note('duplicate'),
  remove: note('remove'),
  undo: note('undo'),
})
function key(
  name: string,
  parts: Partial<KeyboardEvent> = {},
  target: object = new Box({ cell: 'c2.length' }),
) {
  const prevented = vi.fn()
  press({ key: name, target, preventDefault: prevented, ...parts } as unknown as KeyboardEvent)
  return prevented.mock.calls.length > 0
}
const CTRL = { ctrlKey: true }

beforeEach(() => {
  done.length = 0
  isLocked = false
})

it.each([
  ['ArrowDown', {}, 'move c2 length 1'],
  ['ArrowUp', {}, 'move c2 length -1'],
  ['Enter', {}, 'move c2 length 1'],
  ['Enter', CTRL, 'add after c2'],
  ['Enter', { metaKey: true }, 'add after c2'],
  ['d', CTRL, 'duplicate c2'],
  ['z', CTRL, 'undo'],
  ['Backspace', { ...CTRL, shiftKey: true }, 'remove c2'],
])('%s with %o: %s', (name, parts, expected) => {
  expect(key(name, parts)).toBe(true)
  expect(done).toEqual([expected])
})

it('a letter, a step to the side and the browser’s own keys stay with the box', () => {
  for (const [name, parts] of [
    ['4', {}],
    ['ArrowLeft', {}],
    ['Backspace', {}],
    ['Backspace', CTRL],
    ['c', CTRL],
  ] as const)
    expect(key(name, parts)).toBe(false)
  expect(done).toEqual([])
})

it('in a list of choices the arrows choose; with Ctrl it is part of the table', () => {
  const list = { dataset: { cell: 'c2.cable' } }
  expect(key('ArrowDown', {}, list)).toBe(false)
  expect(key('d', CTRL, list)).toBe(true)
  expect(done).toEqual(['duplicate c2'])
})

it('outside the table nothing is done', () => {
  expect(key('d', CTRL, { dataset: {} })).toBe(false)
  expect(key('d', CTRL, { dataset: { cell: 'heading' } })).toBe(false)
})

it('locked, no key does anything', () => {
  isLocked = true
  expect(key('d', CTRL)).toBe(false)
  expect(key('ArrowDown')).toBe(false)
  expect(done).toEqual([])
})
