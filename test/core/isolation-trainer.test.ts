/* The trainer: scenarios computed from the bay, played through. What happens in them is common practice, no source. */
import { describe, expect, it } from 'vitest'
import { touchTerminal } from '#core/bay/behaviour/touch'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import { judgeRun, replay } from '#core/isolation/trainer/run'
import { moveKey, type Move } from '#core/isolation/trainer/move'
import { movesAt } from '#core/isolation/trainer/moves-at'
import { SCENARIO_CODES, makeWorld } from '#core/isolation/trainer/scenarios/scenarios'
import { rigProblems } from '#core/bay/model/check'
import { indexParts } from '#core/bay/model/terminals'
import { scriptOf } from '#words/scenarios'
import { lineWords } from '#words/trainer'
import { aBay } from '../support/bay'
import { workingState } from '#core/bay/behaviour/state'

const walk = (to: 'customer' | 'board' | 'source' | 'point'): Move => ({ do: 'walk', to })
const proof: Move[] = [walk('source'), { do: 'prove', on: 'here' }]
const test: Move = { do: 'test', every: true }
const first = (indicator: 'two-pole' | 'plug-in' = 'two-pole'): Move[] => [
  { do: 'ask', topic: 'where' },
  { do: 'ask', topic: 'else' },
  { do: 'inform' },
  { do: 'take', indicator },
  ...proof,
  walk('point'),
  test,
  walk('board'),
  { do: 'readChart' },
]
const off = (device: string): Move[] => [
  { do: 'switch', device },
  { do: 'lock', device },
  { do: 'keepKey' },
  { do: 'notice', device },
]
const dead: Move[] = [walk('point'), test, ...proof, walk('point')]
const inside: Move[] = [{ do: 'open' }, test, { do: 'work' }]
const restore = (device: string): Move[] => [
  { do: 'cover' },
  { do: 'clearTools' },
  walk('customer'),
  { do: 'informAgain' },
  walk('board'),
  { do: 'removeNotice', device },
  { do: 'unlock', device },
  { do: 'switch', device },
  walk('point'),
  { do: 'checkFunction' },
]
const keys = (moves: readonly Move[]) => moves.map(moveKey)
function play(code: string, ...moves: readonly (Move | readonly Move[])[]) {
  const state = replay(code, 1, keys(moves.flat()))
  if (!state) throw new Error(`a move of ${code} cannot be made`)
  return {
    state,
    verdict: judgeRun(state, DEFAULT_ISOLATION, true),
    text: state.lines
      .map((line) => lineWords(line, indexParts(state.rig), state.world.point, scriptOf(code)!))
      .join('\n'),
  }
}
const critical = ({ verdict }: ReturnType<typeof play>) => verdict.critical.map(({ code }) => code)
const DANGER = /dangerous to life/

describe('scenarios', () => {
  it.each(SCENARIO_CODES)(
    '%s is a bay that can be, begins live, and is the same for the same seed',
    (code) => {
      const world = makeWorld(code, () => 0.5)
      expect(rigProblems(world.rig, { isWired: true })).toEqual([])
      expect(replay(code, 7, keys(first()))).toEqual(replay(code, 7, keys(first())))
      expect(
        replay(code, 7, keys(first().slice(0, 8)))!.acts.find(({ kind }) => kind === 'checkLive')?.shows,
      ).toBe(true)
      expect(movesAt(replay(code, 7, [])!).length).toBeGreaterThan(8)
    },
  )
  it('a battery behind the circuit: live again with its breaker off, until its own isolator is off too', () => {
    const trapped = play(
      'backup-battery',
      first(),
      off('b1w3'),
      walk('point'),
      test,
      { do: 'open' },
      { do: 'work' },
    )
    expect(trapped.state.acts.find(({ kind }) => kind === 'testDead')!.shows).toBe(true)
    expect(critical(trapped)).toContain('secondSource')
    expect(trapped.text).toMatch(DANGER)
    const right = play('backup-battery', first(), off('b1w3'), off('backupiso'), dead, inside)
    expect(right.state.acts.find(({ kind }) => kind === 'testDead')!.shows).toBe(false)
    expect(critical(right)).toEqual([])
    // The breaker back on, the circuit is fed from the grid again and the battery's inverter rests.
    const back = play('backup-battery', first(), off('b1w3'), off('backupiso'), dead, inside, restore('b1w3'))
    expect(critical(back)).toEqual([])
    expect([back.state.bay.thrown.over ?? false, back.state.bay.inUse.backup ?? false]).toEqual([
      false,
      false,
    ])
  })
  it('right circuit: everything kept, nothing felt, and back again', () => {
    const run = play(
      'bench',
      first('plug-in'),
      off('b1w1'),
      walk('customer'),
      { do: 'warnNeutral' },
      dead,
      inside,
      restore('b1w1'),
    )
    expect(run.verdict).toMatchObject({ met: true, critical: [] })
    expect(run.text).toMatch(/Every conductor was dead/)
  })
  it('who leaves with the breaker unlocked finds it on again; locked off it stays dead', () => {
    const away: Move[] = [{ do: 'goAway' }, walk('point'), test]
    const unlocked = play('bench', first('plug-in'), { do: 'switch', device: 'b1w1' }, away)
    expect(unlocked.state.acts.at(-1)).toMatchObject({ kind: 'testDead', shows: true })
    expect(unlocked.state.acts.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['leave', 'return']))
    const locked = play('bench', first('plug-in'), off('b1w1'), away)
    expect(locked.state.acts.at(-1)).toMatchObject({ kind: 'testDead', shows: false })
    // Nobody saw what happened meanwhile: hands in after that without a new proof is a fault.
    const on = play('bench', first('plug-in'), off('b1w1'), dead, { do: 'goAway' }, inside)
    expect(on.verdict.rules.find(({ code }) => code === 'provedOnReturn')).toMatchObject({ state: 'broken' })
  })
  it('wrong breaker of two that look alike: the dead test shows it, and starting again is no failure', () => {
    const wrong = [...first(), ...off('b1w1'), walk('point'), test]
    expect(play('store', wrong).state.acts.at(-1)).toMatchObject({ kind: 'testDead', shows: true })
    const back: Move[] = [
      walk('board'),
      { do: 'removeNotice', device: 'b1w1' },
      { do: 'unlock', device: 'b1w1' },
      { do: 'switch', device: 'b1w1' },
      { do: 'startAgain' },
      { do: 'readChart' },
    ]
    const again = play(
      'store',
      wrong,
      back,
      ...[proof, walk('point'), test, walk('board')],
      off('b1w3'),
      walk('customer'),
      { do: 'warnNeutral' },
      dead,
      inside,
      restore('b1w3'),
    )
    expect(again.verdict).toMatchObject({ met: true })
    expect(critical(play('store', wrong, proof, walk('point'), { do: 'open' }, { do: 'work' }))).toEqual(
      expect.arrayContaining(['handsAfterDead']),
    )
    expect(play('store', wrong, proof, walk('point'), { do: 'open' }, { do: 'work' }).text).toMatch(DANGER)
  })
  it('a wrong label and a name at the wrong way mislead whoever believes them', () => {
    expect(play('bay-end', first(), off('b1w1'), walk('point'), test).state.acts.at(-1)!.shows).toBe(true)
    expect(play('stores-desk', first(), off('b1w2'), walk('point'), test).state.acts.at(-1)!.shows).toBe(true)
    expect(play('stores-desk', first(), off('b1w3'), walk('point'), test).state.acts.at(-1)!.shows).toBe(
      false,
    )
  })
  it('two circuits in one box: dead outside, live at a joint inside', () => {
    const outside = play('joint-box', first(), off('b1w1'), dead)
    expect(outside.state.acts.filter(({ kind }) => kind === 'testDead').at(-1)!.shows).toBe(false)
    const run = play('joint-box', first(), off('b1w1'), dead, { do: 'open' }, test)
    expect(run.state.acts.at(-1)).toMatchObject({ kind: 'testTerminals', shows: true })
    expect(
      critical(play('joint-box', first(), off('b1w1'), dead, { do: 'open' }, test, { do: 'work' })),
    ).toContain('notOnLive')
  })
  it('a dying battery: the wrong circuit looks dead, and only the second proof says why', () => {
    const run = play('lamp-check', first(), off('b1w3'), walk('point'), test)
    expect(run.state.acts.at(-1)!.shows).toBe(false)
    expect(play('lamp-check', first(), off('b1w3'), dead).text).toMatch(/Nothing lights/)
    expect(
      play('lamp-check', first(), off('b1w3'), walk('point'), test, { do: 'open' }, { do: 'work' }).text,
    ).toMatch(DANGER)
    expect(critical(play('lamp-check', first(), off('b1w3'), dead, inside))).toContain('stoppedAtFailedProof')
  })
  it('left unsecured it is switched on again; locked it stays off', () => {
    expect(
      play('busy-shop', first(), { do: 'switch', device: 'b1w1' }, walk('point'), test).state.acts.at(-1)!
        .shows,
    ).toBe(true)
    expect(play('busy-shop', first(), off('b1w1'), walk('point'), test).state.acts.at(-1)!.shows).toBe(false)
  })
  it('borrowed neutral: dead, then live at the parted neutral', () => {
    const run = play('pit-lamp', first(), off('b1w1'), dead, { do: 'open' }, test, { do: 'part' }, test)
    expect(run.state.acts.filter(({ kind }) => kind === 'testTerminals').at(-1)!.shows).toBe(false)
    expect(run.state.acts.at(-1)).toMatchObject({ kind: 'testSeparated', shows: true })
    expect(
      play('pit-lamp', first(), off('b1w1'), dead, { do: 'open' }, test, { do: 'part' }, { do: 'work' }).text,
    ).toMatch(DANGER)
  })
  it('parted neutral against earth takes the others out, taped it does not', () => {
    expect(
      play('store-heater', first(), off('b1w1'), dead, { do: 'open' }, test, { do: 'part' }, test).text,
    ).toMatch(/RCD .* opens/)
    expect(
      play(
        'store-heater',
        first(),
        off('b1w1'),
        dead,
        { do: 'open' },
        test,
        { do: 'part' },
        { do: 'tape' },
        test,
      ).text,
    ).not.toMatch(/RCD .* opens/)
  })
  it('three singles in place of a triple: two lines stay until all are off', () => {
    expect(play('wheel-lathe', first(), off('b1w1s1'), walk('point'), test).state.acts.at(-1)).toMatchObject({
      shows: true,
      pairs: 6,
    })
    expect(
      play(
        'wheel-lathe',
        first(),
        off('b1w1s1'),
        off('b1w1s2'),
        off('b1w1s3'),
        walk('point'),
        test,
      ).state.acts.at(-1)!.shows,
    ).toBe(false)
  })
  it('a welded pole leaves the line although the lever is down', () => {
    const run = play('whole-board', first(), off('b1main'), walk('point'), test)
    expect(run.state.acts.at(-1)!.shows).toBe(true)
    // The opened neutral comes up to the line through the lamps that are on: line to neutral alone would look dead.
    expect(run.state.shown!.pairs.map(({ name, volt }) => `${name} ${volt}`)).toEqual([
      'L–N 0',
      'L–E 230',
      'N–E 230',
    ])
  })
  it('a permit site, and another’s padlock', () => {
    expect(critical(play('charger-room', first(), off('b1w3'), dead))).toEqual(['permit'])
    expect(critical(play('charger-room', { do: 'permit' }, first(), off('b1w3'), dead))).toEqual([])
    expect(
      replay('two-trades', 1, keys([...first(), ...off('b1w3'), ...dead, ...inside, ...restore('b1w3')])),
    ).toBeUndefined()
    expect(
      critical(
        play('two-trades', first(), off('b1w3'), dead, inside, { do: 'cover' }, walk('board'), {
          do: 'cutOthersLock',
        }),
      ),
    ).toContain('ownLockOnly')
  })
})

describe('touch', () => {
  // IEC 60479-1 Table 1, from memory: 230 V, hand to foot, about 1.2 kΩ for half of the people; so close to 190 mA.
  it('a line at 230 V drives 150 to 220 mA through a body; a dead one nothing', () => {
    const bay = aBay()
    const touched = touchTerminal(bay, workingState(bay), 'c1p1.L')
    expect(touched.effect).toBe('danger')
    expect(touched.ampere).toBeGreaterThan(0.15)
    expect(touched.ampere).toBeLessThan(0.22)
    expect(touchTerminal(bay, { ...workingState(bay), isSupplyOn: false }, 'c1p1.L').effect).toBe('unfelt')
    expect(touchTerminal(bay, workingState(bay), 'c1p1.E').effect).toBe('unfelt')
  })
})

describe('two people with their hands in it', () => {
  const before = [...first(), { do: 'switch', device: 'b1w1' } as Move]
  const after: (Move | Move[])[] = [{ do: 'keepKey' }, { do: 'notice', device: 'b1w1' }, dead, inside]
  it('a hasp with both padlocks is kept, and the mate’s padlock comes off by the mate alone', () => {
    const run = play(
      'two-hands',
      before,
      { do: 'hasp', device: 'b1w1' },
      { do: 'lock', device: 'b1w1' },
      { do: 'mateLocks', device: 'b1w1' },
      ...after,
    )
    expect(critical(run)).toEqual([])
    expect(run.text).toContain('key stays with me')
    const atBoard = replay(
      'two-hands',
      1,
      keys([
        ...before,
        { do: 'hasp', device: 'b1w1' },
        { do: 'lock', device: 'b1w1' },
        { do: 'mateLocks', device: 'b1w1' },
        { do: 'unlock', device: 'b1w1' },
      ]),
    )!
    // Held by the mate: nothing can be switched on over their head.
    expect(keys(movesAt(atBoard))).not.toContain('switch b1w1')
    expect(keys(movesAt(atBoard))).toEqual(expect.arrayContaining(['waitForOther', 'cutOthersLock']))
  })
  it('one padlock for two people is critical', () => {
    expect(critical(play('two-hands', before, { do: 'lock', device: 'b1w1' }, ...after))).toContain(
      'everyOwnLock',
    )
  })
  it('a mate’s padlock has no place without a hasp', () => {
    const state = replay('two-hands', 1, keys([...before, { do: 'lock', device: 'b1w1' }]))!
    expect(keys(movesAt(state))).not.toContain('mateLocks b1w1')
  })
  it('a notice that nobody filled in is a notice without content', () => {
    const broken = (notice: Move) =>
      play('bench', first(), { do: 'switch', device: 'b1w1' }, { do: 'lock', device: 'b1w1' }, notice)
        .verdict.rules.filter(({ state }) => state === 'broken')
        .map(({ code }) => code)
    expect(broken({ do: 'blankNotice', device: 'b1w1' })).toContain('noticeContent')
    expect(broken({ do: 'notice', device: 'b1w1' })).not.toContain('noticeContent')
  })
})
