/* Drawings to point at: each part is seen where it is asked for, and nowhere else. */
import { describe, expect, it } from 'vitest'
import sharp from 'sharp'
import { DRAWINGS, DRAWING_CODES, DRAWING_SIZE, spotsOf, type DrawingCode } from '#core/questions/drawings'
import { wholePicture } from '#core/questions/pictures/picture'
import { PICTURES } from '#core/questions/pictures/pictures'
import type { Shapes } from '#core/drawing/shape'
import { svgOf } from '../support/scene-svg'

const { width, height } = DRAWING_SIZE
const pixels = (shapes: Shapes) =>
  sharp(Buffer.from(svgOf(shapes, width, height)))
    .removeAlpha()
    .raw()
    .toBuffer()
/** A part may reach so far out of what is tapped, units. */
const MARGIN = 8

async function differing(code: DrawingCode, id: string) {
  const { parts, ...rest } = PICTURES[code]
  const [whole, without] = await Promise.all([
    pixels(wholePicture(PICTURES[code], spotsOf(code))),
    pixels(wholePicture({ ...rest, parts: { ...parts, [id]: [] } }, spotsOf(code))),
  ])
  const xs: number[] = []
  const ys: number[] = []
  for (let i = 0; i < whole.length; i += 3)
    if (whole[i] !== without[i] || whole[i + 1] !== without[i + 1] || whole[i + 2] !== without[i + 2]) {
      xs.push((i / 3) % width)
      ys.push(Math.floor(i / 3 / width))
    }
  return {
    count: xs.length,
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  }
}

describe.each(DRAWING_CODES)('the drawing of the %s', (code) => {
  it('has a part for every spot and no other', () => {
    expect(Object.keys(PICTURES[code].parts).sort()).toEqual([...spotsOf(code)].sort())
  })
  it.each(DRAWINGS[code].map(({ id, x, y, w, h }) => ({ id, x, y, w, h })))(
    '$id is seen at its spot',
    async ({ id, x, y, w, h }) => {
      const seen = await differing(code, id)
      expect(seen.count).toBeGreaterThan(20)
      expect(seen.left).toBeGreaterThanOrEqual(x - MARGIN)
      expect(seen.top).toBeGreaterThanOrEqual(y - MARGIN)
      expect(seen.right).toBeLessThanOrEqual(x + w + MARGIN)
      expect(seen.bottom).toBeLessThanOrEqual(y + h + MARGIN)
    },
  )
})
