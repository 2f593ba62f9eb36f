/** Makes a picture small enough to keep: at most this wide or high, as JPEG. */
const MOST_PX = 1280
const QUALITY = 0.8

addEventListener('message', async ({ data }: MessageEvent<{ turn: number; file: Blob }>) => {
  try {
    const bitmap = await createImageBitmap(data.file)
    const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height))
    const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    const small = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
    const bytes = new Uint8Array(await small.arrayBuffer())
    let binary = ''
    for (const byte of bytes) binary += String.fromCharCode(byte)
    postMessage({ turn: data.turn, jpegBase64: btoa(binary) })
  } catch {
    postMessage({ turn: data.turn, jpegBase64: null })
  }
})
