/** Takes a picture in: made smaller in a worker, kept by the server under the hash of its bytes. */
export function usePictures() {
  const { call } = useApi()
  let worker: Worker | undefined
  let turn = 0

  function shrink(file: Blob): Promise<string | null> {
    worker ??= new Worker(new URL('../workers/picture.worker.ts', import.meta.url), { type: 'module' })
    const own = ++turn
    return new Promise((resolve) => {
      const answer = ({ data }: MessageEvent<{ turn: number; jpegBase64: string | null }>) => {
        if (data.turn !== own) return
        worker!.removeEventListener('message', answer)
        resolve(data.jpegBase64)
      }
      worker!.addEventListener('message', answer)
      worker!.postMessage({ turn: own, file })
    })
  }

  /** The hash under which it is kept; null when it could not be taken, which has then been said. */
  async function keep(file: File): Promise<string | null> {
    const jpegBase64 = await shrink(file)
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

  onScopeDispose(() => worker?.terminate())
  return { keep }
}
