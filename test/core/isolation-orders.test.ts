/* Sequences of safe isolation written by hand, each with what a competent assessor would say and why.
   HSE GS 38 (proving an indicator before and after) and HSG85 (securing, permits), from memory; the rest common practice, no source. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { nakshi } from '../../cli/nakshi'
import { IsolationSequenceSchema } from '#schemas/isolation-sequence'
import { published } from '#schemas/published'
import { judgeIsolation } from '#core/isolation/judge'
import type { Act, ActKind } from '#core/isolation/model/act'
import type { Site } from '#core/isolation/model/rule'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import { RULE_TEXT } from '#words/isolation-rules'

const SITE: Site = { needsPermit: false, phases: 1, level: 'second', policy: DEFAULT_ISOLATION }

const LIVE = 'known-source'
const ask = { kind: 'ask' } as const
const inform = { kind: 'inform' } as const
const chart = { kind: 'identify' } as const
const take = (indicator: Act['indicator'] = 'two-pole') => ({ kind: 'take', indicator }) as const
const prove = (indicator: Act['indicator'] = 'two-pole', shows = true) =>
  ({ kind: 'prove', proof: LIVE, shows, indicator }) as const
const seenLive = { kind: 'checkLive', shows: true, indicator: 'two-pole', place: 'point' } as const
const off = (device = 'w1') => ({ kind: 'switchOff', device, place: 'board' }) as const
const on = (device = 'w1') => ({ kind: 'switchOn', device, place: 'board' }) as const
const lock = (device = 'w1') => ({ kind: 'lock', device, place: 'board' }) as const
const key = { kind: 'keepKey' } as const
const notice = (device = 'w1') => ({ kind: 'notice', device, place: 'board' }) as const
const neutral = { kind: 'warnNeutral' } as const
const dead = (pairs = 3, indicator: Act['indicator'] = 'two-pole') =>
  ({ kind: 'testDead', shows: false, pairs, atPoint: true, indicator, place: 'point' }) as const
const stillLive = { ...dead(), shows: true } as const
const open = { kind: 'open' } as const
const again = { kind: 'testTerminals', shows: false, pairs: 3, indicator: 'two-pole' } as const
const hands = { kind: 'touch' } as const
const cover = { kind: 'cover' } as const
const tools = { kind: 'clearTools' } as const
const tell = { kind: 'informAgain' } as const
const noticeOff = (device = 'w1') => ({ kind: 'removeNotice', device }) as const
const unlock = (device = 'w1') => ({ kind: 'removeOwnLock', device }) as const
const works = { kind: 'checkFunction' } as const
const restart = { kind: 'restart' } as const

type One = Partial<Act> & { readonly kind: ActKind }
const sequence = (...acts: readonly One[]): Act[] => acts.map((act, i) => ({ atS: i * 10, ...act }))
const lookOver = { kind: 'lookOver', shows: true } as const
const before: readonly One[] = [ask, inform, chart, take(), lookOver, prove(), seenLive]
const secured: readonly One[] = [off(), lock(), key, notice(), neutral]
const worked: readonly One[] = [open, again, hands]
const restored: readonly One[] = [cover, tools, tell, noticeOff(), unlock(), on(), works]

const broken = (acts: readonly One[], at: Site = SITE) => {
  const { rules, met } = judgeIsolation(sequence(...acts), at, true)
  const of = (isCritical: boolean) =>
    rules
      .filter(({ state, seriousness }) => state === 'broken' && (seriousness === 'critical') === isCritical)
      .map(({ code }) => code)
  const remarks = rules.filter(({ state, seriousness }) => state === 'broken' && seriousness === 'note')
  return { critical: of(true), met, remarks: remarks.map(({ code }) => code) }
}

describe('safe, though not in the order of the book: nothing critical', () => {
  const safe: readonly (readonly [why: string, acts: readonly One[]])[] = [
    ['as the book has it', [...before, ...secured, dead(), prove(), ...worked, ...restored]],
    [
      'the chart read first, people told last before switching',
      [take(), prove(), chart, seenLive, ask, inform, ...secured, dead(), prove(), ...worked, ...restored],
    ],
    [
      'the notice hung only after the dead test, still before hands go in',
      [...before, off(), lock(), key, neutral, dead(), prove(), notice(), ...worked, ...restored],
    ],
    [
      'first test without proof, put right: proved, tested and proved again before hands went in',
      [ask, inform, chart, take(), ...secured, dead(), prove(), dead(), prove(), ...worked, ...restored],
    ],
    [
      'locked only after a first test, then tested again',
      [...before, off(), dead(), lock(), key, notice(), neutral, dead(), prove(), ...worked, ...restored],
    ],
    [
      'the key left in the lock, fetched before going to the point',
      [
        ...before,
        off(),
        lock(),
        { kind: 'leaveKey' },
        key,
        notice(),
        neutral,
        dead(),
        prove(),
        ...worked,
        ...restored,
      ],
    ],
    [
      'two tests at the point, the second with every pair',
      [...before, ...secured, dead(2), dead(3), prove(), ...worked, ...restored],
    ],
    [
      'the lock first on the neighbour, found at the second look and moved before hands went in',
      [
        ...before,
        off(),
        lock('w2'),
        unlock('w2'),
        lock(),
        key,
        notice(),
        neutral,
        dead(),
        prove(),
        ...worked,
        ...restored,
      ],
    ],
    [
      'a wrong breaker switched off and on again at once, then the right one',
      [...before, off('w2'), on('w2'), ...secured, dead(), prove(), ...worked, ...restored],
    ],
    [
      'the indicator failed its second proof; another one taken and everything proved anew',
      [
        ...before,
        ...secured,
        dead(),
        prove('two-pole', false),
        take('two-pole'),
        prove(),
        dead(),
        prove(),
        ...worked,
        ...restored,
      ],
    ],
    [
      'proved on the circuit itself first, seen to be wrong, proved on another source before the test',
      [
        ask,
        inform,
        chart,
        take(),
        { kind: 'prove', proof: 'same-circuit', shows: true, indicator: 'two-pole' },
        prove(),
        seenLive,
        ...secured,
        dead(),
        prove(),
        ...worked,
        ...restored,
      ],
    ],
    ['isolated and handed over while the work goes on', [...before, ...secured, dead(), prove(), ...worked]],
  ]
  it.each(safe)('%s', (_, acts) => {
    expect(broken(acts).critical).toEqual([])
    expect(broken(acts).met).toBe(true)
  })

  it('what was put right stays a remark and no more', () => {
    const acts = [
      ask,
      inform,
      chart,
      take(),
      ...secured,
      dead(),
      prove(),
      dead(),
      prove(),
      ...worked,
      ...restored,
    ]
    expect(broken(acts).remarks).toContain('provedFirst')
  })
})

describe('somebody was exposed: critical, and named', () => {
  const exposed: readonly (readonly [why: string, acts: readonly One[], code: string])[] = [
    [
      'the neighbour locked, hands in on a circuit that anybody can switch on',
      [...before, off(), lock('w2'), key, notice(), neutral, dead(), prove(), ...worked],
      'lockedRight',
    ],
    [
      'proved with one indicator, tested dead with another',
      [...before, ...secured, dead(3, 'plug-in'), prove(), ...worked],
      'oneIndicator',
    ],
    [
      'tested with the one, proved again with another',
      [...before, ...secured, dead(), prove('plug-in'), ...worked],
      'oneIndicator',
    ],
    [
      'another one taken between the test and its second proof',
      [...before, ...secured, dead(), take('plug-in'), prove('plug-in'), ...worked],
      'handsAfterDead',
    ],
    ['never proved, hands in', [ask, inform, chart, take(), ...secured, dead(), ...worked], 'provedBefore'],
    [
      'locked after the only test',
      [...before, off(), dead(), prove(), lock(), key, notice(), neutral, ...worked],
      'locked',
    ],
    [
      'the key left in the lock',
      [...before, off(), lock(), { kind: 'leaveKey' }, notice(), neutral, dead(), prove(), ...worked],
      'keyKept',
    ],
    [
      'line to neutral alone: a borrowed neutral does not show',
      [...before, ...secured, dead(1), prove(), ...worked],
      'morePairsThanOne',
    ],
    [
      'every pair at the board, one at the point of work',
      [...before, ...secured, { ...dead(10), atPoint: false }, dead(1), prove(), ...worked],
      'morePairsThanOne',
    ],
    [
      'energised with the cover off',
      [
        ...before,
        ...secured,
        dead(),
        prove(),
        ...worked,
        tools,
        tell,
        noticeOff(),
        unlock(),
        on(),
        cover,
        works,
      ],
      'covered',
    ],
    [
      'opened a second time and energised',
      [...before, ...secured, dead(), prove(), ...worked, cover, open, hands, unlock(), on(), cover, works],
      'covered',
    ],
    [
      'a test that showed voltage, hands in all the same',
      [...before, ...secured, stillLive, open, hands],
      'notOnLive',
    ],
  ]
  it.each(exposed)('%s', (_, acts, code) => {
    expect(broken(acts).critical).toContain(code)
    expect(broken(acts).met).toBe(false)
    expect(RULE_TEXT[code]).toBeDefined()
  })

  it('line to neutral alone is a fault where the centre isolates both poles and says so', () => {
    const acts = [...before, ...secured, dead(1), prove(), ...worked, ...restored]
    const at = { ...SITE, policy: { ...DEFAULT_ISOLATION, singlePair: 'fault' as const } }
    expect(broken(acts, at).critical).toEqual([])
    expect(broken(acts, at).met).toBe(false)
  })
})

describe('a way locked by mistake', () => {
  const wrong: readonly One[] = [
    ...before,
    off('w2'),
    lock('w2'),
    key,
    notice('w2'),
    neutral,
    stillLive,
    restart,
  ]
  const right: readonly One[] = [chart, prove(), ...secured, dead(), prove(), ...worked, ...restored]

  it('is not clean while somebody else’s supply is off with a lock and a notice on it', () => {
    const { rules, met } = judgeIsolation(sequence(...wrong, ...right), SITE, true)
    expect(rules.find(({ code }) => code === 'othersPutBack')).toMatchObject({ state: 'broken' })
    expect(met).toBe(false)
  })
  it('is clean once both are taken off again', () => {
    const acts = [...wrong, unlock('w2'), noticeOff('w2'), on('w2'), ...right]
    const { rules, critical } = judgeIsolation(sequence(...acts), SITE, true)
    expect(rules.find(({ code }) => code === 'othersPutBack')).toMatchObject({ state: 'kept' })
    expect(critical).toEqual([])
  })
})

describe('the device is spoken of only where somebody put it down', () => {
  it('an observation without devices is judged as before', () => {
    const plain = [...before, ...secured, dead(), prove(), ...worked, ...restored].map((act) => ({
      ...act,
      device: undefined,
    }))
    expect(broken(plain).critical).toEqual([])
    expect(
      judgeIsolation(sequence(...plain), SITE, true).rules.some(({ code }) => code === 'lockedRight'),
    ).toBe(false)
  })
})

describe('nakshi isolation', () => {
  const folder = mkdtempSync(join(tmpdir(), 'isolation-'))
  const fileOf = (value: object): string => {
    const file = join(folder, 'sequence.json')
    writeFileSync(file, JSON.stringify(value))
    return file
  }
  const head = {
    format: 'nakshi.isolation',
    version: 1,
    site: { needsPermit: false, phases: 1, level: 'second' },
  }
  const right = [...before, ...secured, dead(), prove(), ...worked, ...restored]

  it('says what the screens say, with the act at which it was broken', () => {
    expect(JSON.parse(nakshi(['isolation', fileOf({ ...head, acts: right })]).text)).toMatchObject({
      met: true,
    })
    const wrong = [...before, off(), lock('w2'), key, notice(), neutral, dead(), prove(), ...worked]
    const { text, code } = nakshi(['isolation', fileOf({ ...head, acts: wrong }), '--explain'])
    expect(code).toBe(3)
    expect(text).toMatch(
      /broken +critical +The device that was switched off is the one that is locked \(act 9/,
    )
  })
  it('takes the centre’s choices; what is not one of them is named', () => {
    const one = [...before, ...secured, dead(1), prove(), ...worked, ...restored]
    expect(nakshi(['isolation', fileOf({ ...head, acts: one })]).code).toBe(3)
    expect(nakshi(['isolation', fileOf({ ...head, policy: { singlePair: 'fault' }, acts: one })]).code).toBe(
      0,
    )
    const bad = nakshi(['isolation', fileOf({ ...head, acts: [{ kind: 'guess' }] })])
    expect(bad.code).toBe(1)
    expect(bad.text).toMatch(/acts\.0\.kind/)
  })
  it('the published schema is the one in force', () => {
    expect(readFileSync('docs/formats/isolation.schema.json', 'utf8')).toBe(
      published('nakshi.isolation.v1', IsolationSequenceSchema),
    )
  })
})
