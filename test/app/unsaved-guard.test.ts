/* Leaving with something unsaved is asked about, by link, by closing the page; Ctrl+S saves. */
import { beforeEach, describe, expect, it, vi } from 'vitest'

type Listener = (event: object) => void
const listeners: Record<string, Listener> = {}
vi.mock('@vueuse/core', () => ({
  useEventListener: (name: string, listen: Listener) => void (listeners[name] = listen),
}))
const sure = vi.fn<() => Promise<boolean>>()
vi.mock('~/utils/sure', () => ({ isSure: sure }))
let leave: (to: { path: string }) => Promise<boolean>
vi.stubGlobal('onBeforeRouteLeave', (guard: typeof leave) => (leave = guard))
const { useUnsavedGuard } = await import('~/composables/useUnsavedGuard')

let isUnsaved = true
const save = vi.fn()
beforeEach(() => {
  isUnsaved = true
  save.mockReset()
  sure.mockReset()
  useUnsavedGuard(() => isUnsaved, save)
})
function happen(name: string, parts: object = {}): boolean {
  const preventDefault = vi.fn()
  listeners[name]!({ preventDefault, ...parts })
  return preventDefault.mock.calls.length > 0
}

describe('a link to another page', () => {
  it.each([true, false])('is followed only by whoever says so: %s', async (answer) => {
    sure.mockResolvedValue(answer)
    await expect(leave({ path: '/floor' })).resolves.toBe(answer)
  })
  it('is followed at once where nothing is unsaved, or where it stays with exercises', async () => {
    await expect(leave({ path: '/exercises/4/print' })).resolves.toBe(true)
    isUnsaved = false
    await expect(leave({ path: '/floor' })).resolves.toBe(true)
    expect(sure).not.toHaveBeenCalled()
  })
})
it('a page that is closed warns while something is unsaved, and not after', () => {
  expect(happen('beforeunload')).toBe(true)
  isUnsaved = false
  expect(happen('beforeunload')).toBe(false)
})
describe('Ctrl+S', () => {
  it.each([{ ctrlKey: true }, { metaKey: true }])(
    'saves, and the browser’s own saving does not come: %o',
    (held) => {
      expect(happen('keydown', { key: 's', ...held })).toBe(true)
      expect(save).toHaveBeenCalledOnce()
    },
  )
  it('with nothing unsaved sends nothing', () => {
    isUnsaved = false
    expect(happen('keydown', { key: 's', ctrlKey: true })).toBe(true)
    expect(save).not.toHaveBeenCalled()
  })
  it('a plain s is a letter', () => {
    expect(happen('keydown', { key: 's' })).toBe(false)
    expect(save).not.toHaveBeenCalled()
  })
})
