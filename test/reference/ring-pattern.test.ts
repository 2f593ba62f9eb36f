/* Patterns round a ring, from rings that ngspice solves and not the product's own model: sockets at equal distances,
   2.5 mm² line and neutral of 7.41 mΩ/m (On-Site Guide Table I1, from memory), cross-connected at the board as
   Guidance Note 3 describes it, from memory; 1 A between line and neutral of one socket reads its resistance. */
import { describe, expect, it } from 'vitest'
import { ringPattern, type RingPattern } from '#core/testing/relations/ring-pattern'
import { handWritten, runSpice } from '../support/spice'

const SOCKETS = 8
const STEP_OHM = 6 * 7.41e-3
type Ladder = readonly string[]

/** Line and neutral of a ring, end 1 to end 2 at the board, through sockets 1 to 8. */
function ring(more: Ladder = [], omit: Ladder = []): Ladder {
  const ends: Readonly<Record<number, string>> = { 0: 'a', [SOCKETS + 1]: 'b' }
  const node = (of: string, i: number) => `${of}${ends[i] ?? i}`
  const wires = ['l', 'n'].flatMap((of) =>
    Array.from({ length: SOCKETS + 1 }, (_, i) => ({
      name: `r${of}${i}`,
      text: `r${of}${i} ${node(of, i)} ${node(of, i + 1)} ${STEP_OHM}`,
    })),
  )
  return [...wires.filter(({ name }) => !omit.includes(name)).map(({ text }) => text), ...more]
}
const CROSSED: Ladder = ['rx1 la nb 1u', 'rx2 lb na 1u']
const OWN: Ladder = ['rx1 la na 1u', 'rx2 lb nb 1u']
const bridge = (of: string, from: number, to: number) => `rbridge${of} ${of}${from} ${of}${to} ${3 * 7.41e-3}`

function read(ladder: Ladder, from: string, to: string): number {
  const lines = [...ladder, `i1 ${to} ${from} 1`, `rref ${to} 0 1`]
  return runSpice(handWritten(lines, 0, [`v(${from})`, `v(${to})`])).get(`v(${from})`)!.re
}
const round = (ladder: Ladder, links: Ladder) =>
  Array.from({ length: SOCKETS }, (_, i) => read([...ladder, ...links], `l${i + 1}`, `n${i + 1}`))
const endToEnd = (ladder: Ladder, of: string) => read(ladder, `${of}a`, `${of}b`)
/** As a display shows it. */
const shown = (ohms: readonly number[]) => ohms.map((ohm) => Math.round(ohm * 100) / 100)
const patternOf = (ladder: Ladder, links = CROSSED): RingPattern =>
  ringPattern(shown(round(ladder, links)), [endToEnd(ladder, 'l'), endToEnd(ladder, 'n')])

describe('round a ring', () => {
  it('sound: a quarter of both ends everywhere', () => {
    const quarter = (endToEnd(ring(), 'l') + endToEnd(ring(), 'n')) / 4
    for (const ohm of round(ring(), CROSSED)) expect(ohm).toBeCloseTo(quarter, 3)
    expect(patternOf(ring())).toEqual({ is: 'level' })
  })
  it('each leg joined with itself', () => {
    expect(patternOf(ring(), OWN)).toEqual({ is: 'legsJoined' })
  })
  it.each([
    [2, 6],
    [1, 5],
    [3, 7],
    [2, 7],
    [1, 6],
  ])(
    'a bridge by both conductors from socket %i to %i: the sockets between rise above the rest',
    (from, to) => {
      const bridged = ring([bridge('l', from, to), bridge('n', from, to)])
      const pattern = patternOf(bridged)
      expect(pattern).toMatchObject({ is: 'hump' })
      const { first, last } = pattern as Extract<RingPattern, { is: 'hump' }>
      // Places from 0; the sockets next to the ends of the bridge may hide in the scatter.
      expect(first).toBeGreaterThanOrEqual(from)
      expect(first).toBeLessThanOrEqual(from + 1)
      expect(last).toBeLessThanOrEqual(to - 2)
      expect(last).toBeGreaterThanOrEqual(to - 3)
    },
  )
  it('one socket on a spur of 9 m reads more by both its conductors', () => {
    const spur = ring([`rsl l4 lspur ${9 * 7.41e-3}`, `rsn n4 nspur ${9 * 7.41e-3}`])
    const ohms = round(spur, CROSSED).map((ohm, i) =>
      i === 4 ? read([...spur, ...CROSSED], 'lspur', 'nspur') : ohm,
    )
    expect(ringPattern(shown(ohms), [endToEnd(spur, 'l'), endToEnd(spur, 'n')])).toEqual({
      is: 'hump',
      first: 4,
      last: 4,
    })
  })
  it('a joint of 0.5 Ω in the line: level still, below a quarter of the ends', () => {
    const joint = [...ring([], ['rl4']), `rl4 l4 l5 ${STEP_OHM + 0.5}`]
    expect(patternOf(joint).is === 'offset' || patternOf(joint).is === 'uneven').toBe(true)
  })
  it('unequal legs: sockets crowded beside the board are level too', () => {
    const quarter = (endToEnd(ring(), 'l') + endToEnd(ring(), 'n')) / 4
    expect(
      ringPattern([quarter, quarter, quarter, quarter, quarter * 1.02], [quarter * 2, quarter * 2]),
    ).toEqual({ is: 'level' })
  })
  it('fewer than four readings show nothing', () => {
    expect(ringPattern([0.2, undefined, 0.3, 0.2], [0.4, 0.4])).toEqual({ is: 'unknown' })
  })
})
