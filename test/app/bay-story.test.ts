/* What happened at a bay, line by line: hands, what followed, and what is news. */
import { beforeEach, describe, expect, it } from 'vitest'
import type { Happening } from '#core/bay/behaviour/happenings'
import { indexParts } from '#core/bay/model/terminals'
import { practiceBay } from '#core/bay/practice/bays'
import { useBayStory } from '~/composables/useBayStory'

const PARTS = indexParts(practiceBay('heaters')!.rig())
const LAMP = { atS: 0, kind: 'lit', part: 'c2p1', volt: 230 } as const
const SUPPLY_ON = { atS: 0, kind: 'done', action: { atS: 0, kind: 'supply', on: true } } as const
const TRIPPED = {
  ...({ atS: 0.03, kind: 'tripped', part: 'b1w1', cause: 'short' } as const),
  ...{ ampere: 900, afterS: 0.01, poles: { L: 900 } },
} as const
const CLOSED = { atS: 0, kind: 'done', action: { atS: 0, kind: 'close', part: 'b1w1', on: true } } as const

let story: ReturnType<typeof useBayStory>
const tell = (...happenings: readonly Happening[]) => story.tell(happenings, PARTS)
const kinds = () => story.lines.value.map(({ kind }) => kind)
beforeEach(() => (story = useBayStory()))

describe('a line', () => {
  it('says who did what: a hand, a device that opened, what followed', () => {
    tell(SUPPLY_ON, LAMP, TRIPPED)
    expect(kinds()).toEqual(['act', 'follows', 'trip'])
    expect(story.lines.value[0]).toMatchObject({ text: 'Supply on.', time: '' })
    expect(story.lines.value[1]!.text).toContain('works, at 230 V')
    expect(story.lines.value[2]!.time).toBe('30 ms')
  })
  it('that something came to harm stands apart', () => {
    tell({ atS: 0, kind: 'overvoltage', part: 'c2p1', volt: 400 })
    expect(kinds()).toEqual(['harm'])
  })
  it('an act after which nothing changes is answered all the same', () => {
    tell({ atS: 0, kind: 'settled' })
    expect(story.lines.value.map(({ text }) => text)).toEqual(['Nothing happens.'])
  })
  it('keeps its own key while the oldest of two hundred go', () => {
    for (let i = 0; i < 230; i += 1) story.say(`touch ${i}`)
    expect(story.lines.value).toHaveLength(200)
    expect(story.lines.value[0]).toMatchObject({ key: 31, text: 'touch 30' })
  })
})

describe('what works', () => {
  it('and worked before is no news; gone off and on again it is', () => {
    tell(LAMP)
    tell(SUPPLY_ON, LAMP)
    expect(kinds()).toEqual(['follows', 'act'])
    tell({ ...LAMP, kind: 'dark', volt: 0 })
    expect([...story.working.value]).toEqual([])
    tell(LAMP)
    expect(kinds()).toHaveLength(4)
    expect([...story.working.value]).toEqual(['c2p1'])
  })
})

describe('what has tripped', () => {
  it('is so until a hand closes it again', () => {
    tell(TRIPPED)
    expect([...story.tripped.value]).toEqual(['b1w1'])
    tell({ ...CLOSED, action: { ...CLOSED.action, part: 'b1w2' } })
    expect([...story.tripped.value]).toEqual(['b1w1'])
    tell(CLOSED)
    expect([...story.tripped.value]).toEqual([])
  })
  it('and trips at once again stays tripped', () => {
    tell(TRIPPED)
    tell(CLOSED, TRIPPED)
    expect([...story.tripped.value]).toEqual(['b1w1'])
  })
})

it('begun anew, nothing is told, works or has tripped', () => {
  tell(SUPPLY_ON, LAMP, TRIPPED)
  story.reset()
  expect([story.lines.value.length, story.working.value.size, story.tripped.value.size]).toEqual([0, 0, 0])
})
