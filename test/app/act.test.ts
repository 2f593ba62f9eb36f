/* One act at a time that the server may refuse; pages and pictures that are taken in. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

const call = vi.fn()
const shown = vi.fn()
const told = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('element-plus', () => ({ ElMessage: (said: { message: string }) => told(said.message) }))
const shrink = vi.fn<() => Promise<string>>()
vi.mock('~/composables/useWorker', () => ({
  useWorker: () => ({ call: (ask: (worker: object) => unknown) => ask({ shrink }) }),
}))
/** A reader of files as a browser has it. */
class Reader {
  result = ''
  error: unknown = null
  onload = () => {}
  onerror = () => {}
  readAsDataURL(file: { readonly text: string; readonly isGone?: boolean }): void {
    this.result = `data:application/pdf;base64,${btoa(file.text)}`
    this.error = new Error('The file cannot be read.')
    queueMicrotask(() => (file.isGone ? this.onerror() : this.onload()))
  }
}
vi.stubGlobal('FileReader', Reader)
const { useAct } = await import('~/composables/useAct')
const { useAccountPages } = await import('~/composables/useAccountPages')
const { usePictures } = await import('~/composables/usePictures')

const REFUSAL = new ApiProblem(409, 'stale', 'Somebody else was first.')
beforeEach(() => {
  for (const mock of [call, shown, told, shrink]) mock.mockReset()
})

describe('an act', () => {
  it('is busy while it runs, and a second tap meanwhile does nothing', async () => {
    const { isBusy, act } = useAct()
    let finish = (): void => undefined
    const first = act(() => new Promise<void>((done) => (finish = done)))
    expect(isBusy.value).toBe(true)
    const second = vi.fn()
    await expect(act(second)).resolves.toBe(false)
    expect(second).not.toHaveBeenCalled()
    finish()
    await expect(first).resolves.toBe(true)
    expect(isBusy.value).toBe(false)
  })
  it('that is refused shows why, and may be tried again', async () => {
    const { isBusy, act } = useAct()
    await expect(act(() => Promise.reject(REFUSAL))).resolves.toBe(false)
    expect(shown).toHaveBeenCalledWith(REFUSAL)
    expect(isBusy.value).toBe(false)
    await expect(act(async () => 1)).resolves.toBe(true)
  })
})

describe('a page in PDF', () => {
  const file = (parts: object) =>
    ({ name: 'certificate.pdf', size: 1200, text: '%PDF', ...parts }) as unknown as File
  it('is kept by its bytes, under a name that is not endless', async () => {
    call.mockResolvedValue({ hash: 'ab12' })
    await expect(useAccountPages().keep(file({ name: `${'long '.repeat(40)}.pdf` }))).resolves.toBe('ab12')
    const [, path, body] = call.mock.calls[0] as [string, string, { name: string; pdfBase64: string }]
    expect([path, atob(body.pdfBase64), body.name.length]).toEqual(['pages', '%PDF', 120])
  })
  it('too large is refused in words before a byte of it is read or sent', async () => {
    const large = useAccountPages().keep(file({ size: 3_400_000 }))
    await expect(large).rejects.toMatchObject({
      code: 'tooLarge',
      message: expect.stringContaining('3.4 MB'),
    })
    expect(call).not.toHaveBeenCalled()
  })
  it('a little too large is not said to be as large as is allowed', async () => {
    await expect(useAccountPages().keep(file({ size: 1_720_000 }))).rejects.toThrow(/has 1\.8 MB/)
  })
  it('that went away while it was read is a failure, not an empty page', async () => {
    await expect(useAccountPages().keep(file({ isGone: true }))).rejects.toThrow('cannot be read')
    expect(call).not.toHaveBeenCalled()
  })
})

describe('a picture', () => {
  const photo = {} as File
  it('is made small first, then kept', async () => {
    shrink.mockResolvedValue('jpeg')
    call.mockResolvedValue({ hash: 'cd34' })
    await expect(usePictures().keep(photo)).resolves.toBe('cd34')
    expect(call).toHaveBeenCalledWith('POST', 'photos', { jpegBase64: 'jpeg' })
  })
  it('that cannot be read is said to be so, with what to take instead; nothing is sent', async () => {
    shrink.mockRejectedValue(new Error('no picture'))
    await expect(usePictures().keep(photo)).resolves.toBeNull()
    expect(told.mock.calls[0]![0]).toMatch(/Take a photo, or choose a JPEG, PNG or WebP/)
    expect(call).not.toHaveBeenCalled()
  })
  it('that the server refuses shows why', async () => {
    shrink.mockResolvedValue('jpeg')
    call.mockRejectedValue(REFUSAL)
    await expect(usePictures().keep(photo)).resolves.toBeNull()
    expect(shown).toHaveBeenCalledWith(REFUSAL)
  })
})
