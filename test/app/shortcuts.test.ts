/* Single keys: never while somebody types or a dialog is up; on the sheet of keys while their page is open. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FakeElement, Key } from '../support/keys'
import { mounted } from '../support/mounted'

let dialog: object | null = null
const page = new EventTarget()
vi.stubGlobal('window', page)
vi.stubGlobal('document', { querySelector: () => dialog })
vi.stubGlobal('KeyboardEvent', Key)
vi.stubGlobal('HTMLElement', FakeElement)
const { useShortcuts, useShortcutSheet } = await import('~/composables/useShortcuts')

const done: string[] = []
let isOff = false
const KEYS = [
  { keys: 'j', label: 'J', name: 'next line', run: () => void done.push('next line') },
  { keys: 'd', label: 'D', name: 'decide', run: () => void done.push('decide'), isOff: () => isOff },
]
let open: ReturnType<typeof mounted>
function press(...parts: ConstructorParameters<typeof Key>): boolean {
  const event = new Key(...parts)
  page.dispatchEvent(event)
  return event.defaultPrevented
}
beforeEach(() => {
  done.length = 0
  dialog = null
  isOff = false
  open = mounted(() => useShortcuts(KEYS))
})
afterEach(() => open.leave())

it('a key does its act and nothing else of the browser’s', () => {
  expect(press('j')).toBe(true)
  expect(press('x')).toBe(false)
  expect(done).toEqual(['next line'])
})
it('with Ctrl or the command key it is the browser’s', () => {
  for (const held of ['Control', 'Meta', 'Alt']) expect(press('d', [held])).toBe(false)
  expect(done).toEqual([])
})
it.each([
  ['a box', new FakeElement('INPUT')],
  ['a text', new FakeElement('TEXTAREA')],
  ['a list', new FakeElement('SELECT')],
  ['an editor', new FakeElement('DIV', true)],
])('in %s it is a letter', (_, at) => {
  expect(press('j', [], at)).toBe(false)
  expect(done).toEqual([])
})
it('under a dialog it is nobody’s', () => {
  dialog = {}
  expect(press('j')).toBe(false)
  expect(done).toEqual([])
})
it('what may not be done now is not done by its key', () => {
  isOff = true
  expect(press('d')).toBe(false)
  isOff = false
  expect(press('d')).toBe(true)
  expect(done).toEqual(['decide'])
})

describe('the sheet of keys', () => {
  it('shows those of the page that is open', () =>
    expect(useShortcutSheet().value.map(({ label }) => label)).toEqual(['J', 'D']))
  it('is empty once the page is left, and its keys do nothing', () => {
    open.leave()
    expect(useShortcutSheet().value).toEqual([])
    expect(press('j')).toBe(false)
    expect(done).toEqual([])
  })
})
