/* One list for whoever walks the floor: bay by bay, what is live first, then the longest wait. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { WALK_KINDS, countWaiting, walkOf, type WalkNeed } from '#core/floor/needs'

const need = (kind: WalkNeed['kind'], bay: number, minute: number): WalkNeed => ({
  kind,
  bay,
  at: `2026-11-12T09:${String(minute).padStart(2, '0')}:00.000Z`,
})
const shown = (needs: readonly WalkNeed[], order: 'bays' | 'waiting') =>
  walkOf(needs, order).map(({ bay, needs: list }) => `${bay}: ${list.map(({ kind }) => kind).join(' ')}`)

describe('the walk', () => {
  const NEEDS = [
    need('question', 2, 1),
    need('terminations', 7, 30),
    need('energise', 7, 10),
    need('live', 7, 40),
    need('help', 3, 20),
    need('repeat', 1, 0),
  ]
  it('goes from bay to bay; within one what is live stands first, then the longest wait, then what has time', () => {
    expect(shown(NEEDS, 'bays')).toEqual([
      '1: repeat',
      '2: question',
      '3: help',
      '7: live energise terminations',
    ])
  })
  it('or to whoever waits longest; where nobody waits one comes by last', () => {
    expect(shown(NEEDS, 'waiting')).toEqual([
      '7: live energise terminations',
      '3: help',
      '1: repeat',
      '2: question',
    ])
  })
  it('counts those who wait: neither what is live nor what can be done in passing', () => {
    expect(countWaiting(NEEDS)).toBe(3)
  })
  it('loses nothing and invents nothing, whatever comes', () => {
    const any = fc.record({
      kind: fc.constantFrom(...WALK_KINDS),
      bay: fc.integer({ min: 1, max: 6 }),
      at: fc.integer({ min: 0, max: 59 }).map((minute) => need('help', 1, minute).at),
    })
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), fc.constantFrom('bays', 'waiting'), (needs, order) => {
        const walk = walkOf(needs, order as 'bays')
        const out = walk.flatMap(({ bay, needs: list }) => list.map((one) => [bay, one] as const))
        expect(out.every(([bay, one]) => one.bay === bay)).toBe(true)
        const key = (list: readonly WalkNeed[]) => list.map((one) => JSON.stringify(one)).sort()
        expect(key(out.map(([, one]) => one))).toEqual(key(needs))
        expect(new Set(walk.map(({ bay }) => bay)).size).toBe(walk.length)
      }),
    )
  })
})
