/* Files that somebody hands in: made small, kept under a hash, or refused in words before anything is sent. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '~/utils/api-problem'

const call = vi.fn()
const shown = vi.fn()
const shrink = vi.fn()
const message = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/composables/useWorker', () => ({
  useWorker: () => ({ call: (ask: (worker: unknown) => Promise<unknown>) => ask({ shrink }) }),
}))
vi.mock('element-plus', () => ({ ElMessage: message }))
/** The browser's reader of files: what it cannot read it says so. */
class Reader {
  result: string | null = null
  error = new Error('The file has gone.')
  onload = () => undefined as void
  onerror = () => undefined as void
  readAsDataURL(file: File & { readonly isGone?: boolean }) {
    if (file.isGone) return void setTimeout(() => this.onerror())
    void file.arrayBuffer().then((bytes) => {
      this.result = `data:application/pdf;base64,${Buffer.from(bytes).toString('base64')}`
      this.onload()
    })
  }
}
vi.stubGlobal('FileReader', Reader)
const { useAccountPages } = await import('~/composables/useAccountPages')
const { usePictures } = await import('~/composables/usePictures')

beforeEach(() => {
  for (const mock of [call, shown, shrink, message]) mock.mockReset()
})

describe('a page of an account', () => {
  const pages = useAccountPages()
  const ofSize = (bytes: number, name = 'day book.pdf') => new File([new Uint8Array(bytes)], name)

  it('is kept under the hash that the server gives it, with its bytes as they are', async () => {
    call.mockResolvedValue({ hash: 'abc' })
    const bytes = new TextEncoder().encode('%PDF-1.7 one page')
    expect(await pages.keep(new File([bytes], 'day book.pdf'))).toBe('abc')
    const [method, path, body] = call.mock.calls[0]!
    expect([method, path, body.name]).toEqual(['POST', 'pages', 'day book.pdf'])
    expect(Buffer.from(body.pdfBase64, 'base64').toString()).toBe('%PDF-1.7 one page')
  })
  it.each([
    [1_700_000, null],
    [1_700_001, '1.8 MB'],
    [2_950_000, '3.0 MB'],
    [12_345_678, '12.4 MB'],
  ])('of %i bytes: refused with the size that it has, never one that would fit', async (bytes, says) => {
    call.mockResolvedValue({ hash: 'abc' })
    const kept = pages.keep(ofSize(bytes))
    if (says === null) expect(await kept).toBe('abc')
    else {
      await expect(kept).rejects.toMatchObject({ status: 413, code: 'tooLarge' })
      await expect(kept).rejects.toThrow(says)
      expect(call).not.toHaveBeenCalled()
    }
  })
  it('has a name as long as the server takes it, and the server’s refusal reaches whoever asked', async () => {
    call.mockResolvedValueOnce({ hash: 'abc' })
    await pages.keep(ofSize(3, 'n'.repeat(300)))
    expect(call.mock.calls[0]![2].name).toHaveLength(120)
    call.mockRejectedValueOnce(new ApiProblem(400, 'bodyNotRight', 'This is no PDF.'))
    await expect(pages.keep(ofSize(3))).rejects.toThrow('This is no PDF.')
  })
  it('that has gone meanwhile is told, and nothing is sent', async () => {
    await expect(pages.keep(Object.assign(ofSize(3), { isGone: true }))).rejects.toThrow('has gone')
    expect(call).not.toHaveBeenCalled()
  })
})

describe('a picture', () => {
  const pictures = usePictures()
  const photo = new File([new Uint8Array([255, 216, 255])], 'board.jpg')

  it('is made smaller first and kept under its hash', async () => {
    shrink.mockResolvedValue('c21hbGw=')
    call.mockResolvedValue({ hash: 'def' })
    expect(await pictures.keep(photo)).toBe('def')
    expect(call).toHaveBeenCalledWith('POST', 'photos', { jpegBase64: 'c21hbGw=' })
    expect(shown).not.toHaveBeenCalled()
  })
  it.each([
    ['cannot be read', () => shrink.mockResolvedValue(null)],
    ['breaks the worker', () => shrink.mockRejectedValue(new Error('out of memory'))],
  ])('that %s is refused once, with what to take instead', async (_, broken) => {
    broken()
    expect(await pictures.keep(photo)).toBeNull()
    expect(message).toHaveBeenCalledTimes(1)
    expect(message.mock.calls[0]![0].message).toMatch(/JPEG, PNG or WebP/)
    expect(call).not.toHaveBeenCalled()
  })
  it('that the server refuses is told in the server’s words, and is not kept', async () => {
    shrink.mockResolvedValue('c21hbGw=')
    const refusal = new ApiProblem(413, 'tooLarge', 'Too many pictures today.')
    call.mockRejectedValue(refusal)
    expect(await pictures.keep(photo)).toBeNull()
    expect(shown).toHaveBeenCalledWith(refusal)
    expect(message).not.toHaveBeenCalled()
  })
})
