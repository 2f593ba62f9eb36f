/* Every defect of a drawn scene is seen: with and without it the picture differs there, pixel by pixel, and nowhere
   else; no shape says what is wrong. */
import { describe, expect, it } from 'vitest'
import sharp from 'sharp'
import type { Shapes } from '#core/drawing/shape'
import { drawSpot } from '#core/inspection/draw'
import { rightLook, soundLooks, wrongLooks } from '#core/inspection/looks'
import { sceneOf } from '#core/inspection/scene'
import { SCENES } from '#core/inspection/scenes/code'
import { SCENE_H, SCENE_W, type Spot } from '#core/inspection/scenes/spot'
import { svgOf } from '../support/scene-svg'

const pixels = async (shapes: Shapes): Promise<Buffer> =>
  sharp(Buffer.from(svgOf(shapes)))
    .removeAlpha()
    .raw()
    .toBuffer()
/** The least box round every pixel that differs, and how many do. */
function differing(a: Buffer, b: Buffer) {
  const box = { left: SCENE_W, top: SCENE_H, right: -1, bottom: -1, count: 0 }
  for (let i = 0; i < a.length; i += 3) {
    if (a[i] === b[i] && a[i + 1] === b[i + 1] && a[i + 2] === b[i + 2]) continue
    const [x, y] = [(i / 3) % SCENE_W, Math.floor(i / 3 / SCENE_W)]
    box.left = Math.min(box.left, x)
    box.right = Math.max(box.right, x)
    box.top = Math.min(box.top, y)
    box.bottom = Math.max(box.bottom, y)
    box.count++
  }
  return box
}
/** A defect may reach so far out of the place that is tapped, units: a conductor that swings free. */
const MARGIN = 26
/** Fewer pixels than this nobody would see; a terminal's strands are about a hundred. */
const LEAST_SEEN = 40

/** Of each kind of spot one that every scene code has, in a scene where nothing is wrong. */
function specimens(): { ground: Shapes; spots: readonly Spot[]; spot: Spot }[] {
  const seen = new Map<string, { ground: Shapes; spots: readonly Spot[]; spot: Spot }>()
  for (const code of SCENES)
    for (let seed = 0; seed < 12; seed++) {
      const { ground, spots } = sceneOf(code, seed)
      const sound = spots.map((spot) => ({ ...spot, look: rightLook(spot.kind) }))
      for (const spot of sound) {
        // The earthing conductor is drawn by its route, a device by what it is: each of them is looked at.
        const { route, kind, modules, lines } = spot.detail
        const key = [spot.kind, route ?? kind, modules, lines, spot.never].join(' ')
        if (!seen.has(key)) seen.set(key, { ground, spots: sound, spot })
      }
    }
  return [...seen.values()]
}

/** A scene in which nothing is wrong is drawn once. */
const soundPictures = new Map<readonly Spot[], Promise<Buffer>>()
function soundPicture(ground: Shapes, spots: readonly Spot[]): Promise<Buffer> {
  const known = soundPictures.get(spots) ?? pixels([...ground, ...spots.flatMap(drawSpot)])
  soundPictures.set(spots, known)
  return known
}

describe('what is wrong is seen', () => {
  const cases = specimens().flatMap(({ ground, spots, spot }) =>
    [...wrongLooks(spot.kind), ...soundLooks(spot.kind)]
      .filter((look) => !spot.never.includes(look))
      .map((look) => ({ name: `${spot.id}: ${look}`, ground, spots, spot, look })),
  )
  it.each(cases)('$name', async ({ ground, spots, spot, look }) => {
    const changed = spots.flatMap((one) => drawSpot(one.id === spot.id ? { ...one, look } : one))
    const [sound, other] = await Promise.all([soundPicture(ground, spots), pixels([...ground, ...changed])])
    const { count, left, top, right, bottom } = differing(sound, other)
    expect(count).toBeGreaterThan(LEAST_SEEN)
    const [x, y, w, h] = spot.reach ?? [spot.x, spot.y, spot.w, spot.h]
    expect(left).toBeGreaterThanOrEqual(x - MARGIN)
    expect(top).toBeGreaterThanOrEqual(y - MARGIN)
    expect(right).toBeLessThanOrEqual(x + w + MARGIN)
    expect(bottom).toBeLessThanOrEqual(y + h + MARGIN)
  })
  it('no drawn word says what is wrong', () => {
    const words = (shapes: Shapes): string[] =>
      shapes.flatMap((shape) => {
        if (shape.is === 'group') return words(shape.shapes)
        return shape.is === 'text' ? [shape.text] : []
      })
    for (const { spot, look } of cases)
      expect(words(drawSpot({ ...spot, look })).join(' ')).not.toMatch(new RegExp(`\\b${look}\\b`))
  })
})
