import type { PictureOffer } from '~/workers/picture.worker'

/** Takes a picture in: made smaller in a worker, kept by the server under the hash of its bytes. */
export function usePictures() {
  const { call } = useApi()
  const { call: callWorker } = useWorker<PictureOffer>(
    () => new Worker(new URL('../workers/picture.worker.ts', import.meta.url), { type: 'module' }),
  )

  /** The hash under which it is kept; null when it could not be taken, which has then been said. */
  async function keep(file: File): Promise<string | null> {
    const jpegBase64 = await callWorker((worker) => worker.shrink(file)).catch(() => null)
    if (jpegBase64 === null) {
      ElMessage({
        type: 'error',
        message: 'This picture cannot be read. Take a photo, or choose a JPEG, PNG or WebP file.',
        duration: 7000,
        showClose: true,
      })
      return null
    }
    try {
      return (await call<{ hash: string }>('POST', 'photos', { jpegBase64 })).hash
    } catch (error) {
      showProblem(error)
      return null
    }
  }

  return { keep }
}
