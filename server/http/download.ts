import { setHeader, type H3Event } from 'h3'

/** Hands a file over under its name. */
export function download(
  event: H3Event,
  {
    name,
    type,
    content,
  }: { readonly name: string; readonly type: string; readonly content: Uint8Array | string },
): Uint8Array | string {
  setHeader(event, 'content-type', type)
  setHeader(event, 'content-disposition', `attachment; filename*=UTF-8''${encodeURIComponent(name)}`)
  return typeof content === 'string' ? content : Buffer.from(content)
}
