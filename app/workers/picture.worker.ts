import { expose } from 'comlink'

/** Makes a picture small enough to keep: at most this wide or high, as JPEG. */
const MOST_PX = 1280
const QUALITY = 0.8

/** The picture as JPEG in base64; null where it cannot be read. */
async function shrink(file: Blob): Promise<string | null> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap) return null
  const scale = Math.min(1, MOST_PX / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * scale), Math.round(bitmap.height * scale))
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  const small = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  let binary = ''
  for (const byte of new Uint8Array(await small.arrayBuffer())) binary += String.fromCharCode(byte)
  return btoa(binary)
}

const offer = { shrink }
export type PictureOffer = typeof offer
expose(offer)
