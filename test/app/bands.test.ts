/* Bands side by side: as few as the room allows, in order, nothing wider than the room unless it stands alone. */
import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { bandsOf } from '../../app/utils/bands'

const same = (width: number) => width
describe('bands', () => {
  it('break where the next one has no room', () => {
    expect(bandsOf([300, 300, 400, 200], same, 700)).toEqual([
      [300, 300],
      [400, 200],
    ])
  })
  it('lose nothing, keep the order, and are never wider than the room but for one alone', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 900 })),
        fc.integer({ min: 1, max: 1200 }),
        (widths, room) => {
          const bands = bandsOf(widths, same, room)
          expect(bands.flat()).toEqual(widths)
          for (const band of bands)
            if (band.length > 1) expect(band.reduce((sum, width) => sum + width, 0)).toBeLessThanOrEqual(room)
        },
      ),
    )
  })
})
