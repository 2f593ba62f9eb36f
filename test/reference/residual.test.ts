/* When is an RCD needed? BS 7671:2018+A2:2022, regulation by regulation, from memory. */
import { describe, expect, test } from 'vitest'
import { neededRcdA, rcdNeeds } from '#core/design/limits/rcd-needs'
import type { Task } from '#core/design/model/task'
import { aTask } from '../support/task'

const FIXED: Partial<Task> = {
  use: 'fixed',
  premises: 'industrial',
  location: 'general',
  concealed: false,
  supply: { arrangement: 'TN-S', zeOhm: 0.6, ipfA: 900 },
}
const need = (parts: Partial<Task>, ratingA = 16) => {
  const task = aTask({ ...FIXED, ...parts })
  return {
    milliampere: Math.round(neededRcdA(task, ratingA) * 1e3),
    regulations: rcdNeeds(task, ratingA).map((rule) => rule.regulation),
  }
}

describe('additional protection at 30 mA', () => {
  test.each<[string, Partial<Task>, number, number, string[]]>([
    ['a fixed appliance on the surface in a workshop: none', {}, 16, 0, []],
    ['socket-outlets up to 32 A: 411.3.3', { use: 'sockets' }, 32, 30, ['411.3.3']],
    ['a 40 A circuit for one large outlet is above the rule', { use: 'sockets', points: 1 }, 40, 0, []],
    [
      'a 32 A ring of 13 A outlets under the 17th edition: the outlets count, 20 A or less',
      { use: 'sockets', topology: 'ring', points: 8, edition: '17-A3' },
      32,
      30,
      ['411.3.3'],
    ],
    [
      'one outlet of 32 A under the 17th edition is above its 20 A',
      { use: 'sockets', points: 1, edition: '17-A3' },
      32,
      0,
      [],
    ],
    [
      'lighting in a dwelling: 411.3.4, new with the 18th edition',
      { use: 'lighting', premises: 'dwelling' },
      6,
      30,
      ['411.3.4'],
    ],
    ['lighting in a workshop: none', { use: 'lighting' }, 6, 0, []],
    ['cable hidden less than 50 mm deep: 522.6.202', { concealed: true }, 16, 30, ['522.6.202']],
    ['a bathroom: 701.411.3.3', { location: 'bathroom' }, 16, 30, ['701.411.3.3']],
    [
      'several rules at once are all named',
      { use: 'sockets', concealed: true },
      20,
      30,
      ['411.3.3', '522.6.202'],
    ],
  ])('%s', (_name, parts, ratingA, milliampere, regulations) => {
    expect(need(parts, ratingA)).toEqual({ milliampere, regulations })
  })
})

describe('fault protection in TT: 50 V ÷ IΔn above the electrode (411.5.3)', () => {
  test.each([
    [20, 300],
    [160, 300],
    [170, 100],
    [499, 100],
    [501, 30],
  ])('an electrode of %d Ω takes %d mA', (zeOhm, milliampere) => {
    expect(need({ supply: { arrangement: 'TT', zeOhm, ipfA: 500 } })).toEqual({
      milliampere,
      regulations: ['411.5.2'],
    })
  })
  test('a socket on a good electrode still needs 30 mA', () => {
    expect(need({ use: 'sockets', supply: { arrangement: 'TT', zeOhm: 20, ipfA: 500 } }).milliampere).toBe(30)
  })
})
