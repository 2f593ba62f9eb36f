/* Sequences of safe isolation written by hand around what is known of the place and of what was used, each with what
   a competent assessor would say and why. HSG85 (every source, one padlock for each person, notices), GS 38 (leads
   and tips), BS 7671 461 and 537.2 (devices for isolation, neutral), all from memory; the rest common practice,
   no source. */
import { describe, expect, it } from 'vitest'
import { judgeIsolation } from '#core/isolation/judge'
import type { Act, ActKind } from '#core/isolation/model/act'
import type { Site } from '#core/isolation/model/rule'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import { RULE_TEXT, nextWords } from '#words/isolation-rules'
import { ruleSource } from '#words/isolation-sources'

type Done = Partial<Act> & { readonly kind: ActKind }
const SITE: Site = { needsPermit: false, phases: 1, level: 'second', policy: DEFAULT_ISOLATION }

const act = (kind: ActKind, parts: Partial<Act> = {}): Done => ({ kind, ...parts })
const prove = act('prove', { proof: 'known-source', shows: true, indicator: 'two-pole' })
const dead = act('testDead', { shows: false, pairs: 3, atPoint: true, indicator: 'two-pole', place: 'point' })
const proved = [prove, dead, prove]
const before = [
  act('ask'),
  act('inform'),
  act('identify'),
  act('take', { indicator: 'two-pole' }),
  act('lookOver', { shows: true }),
  prove,
  act('checkLive', { shows: true, indicator: 'two-pole', place: 'point' }),
]
const off = (parts: Partial<Act> = {}) => act('switchOff', { device: 'w1', place: 'board', ...parts })
const locked = [act('lock', { device: 'w1' }), act('keepKey')]
const noticed = [act('notice', { device: 'w1' }), act('warnNeutral')]
const work = [
  act('open'),
  act('testTerminals', { shows: false, pairs: 3, indicator: 'two-pole' }),
  act('touch'),
]
const secured = [off(), ...locked, ...noticed]

/** What broke, critical ones with a mark. */
function broken(acts: readonly Done[], site: Partial<Site> = {}): string[] {
  const { rules } = judgeIsolation(
    acts.map((done, i): Act => ({ atS: i * 10, ...done })),
    { ...SITE, ...site },
    true,
  )
  return rules
    .filter(({ state }) => state === 'broken')
    .map(({ code, seriousness }) => (seriousness === 'critical' ? `${code}!` : code))
}
const sequence = (...parts: readonly (Done | readonly Done[])[]) => parts.flat() as Done[]

describe('the indicator itself', () => {
  it('looked over: nothing is said', () => {
    expect(broken(sequence(before, secured, dead, prove, work))).toEqual([])
  })
  it('not looked over: a remark by default, a fault where the centre requires it, nothing where it leaves it', () => {
    const forgotten = before.filter(({ kind }) => kind !== 'lookOver')
    const all = sequence(forgotten, secured, dead, prove, work)
    expect(broken(all)).toEqual(['lookedOver'])
    expect(broken(all, { policy: { ...DEFAULT_ISOLATION, lookOver: 'unasked' } })).toEqual([])
    const { rules } = judgeIsolation(
      all.map((done, i): Act => ({ atS: i, ...done })),
      { ...SITE, policy: { ...DEFAULT_ISOLATION, lookOver: 'required' } },
      true,
    )
    expect(rules.find(({ code }) => code === 'lookedOver')!.seriousness).toBe('fault')
  })
  it('looked over late, proved and tested after it, before hands go in: put right', () => {
    const late = before.filter(({ kind }) => kind !== 'lookOver')
    const policy = { ...DEFAULT_ISOLATION, lookOver: 'required' } as const
    expect(
      broken(sequence(late, secured, act('lookOver', { shows: true }), proved, work), { policy }),
    ).toEqual([])
  })
  it('found damaged and used all the same: a fault; put aside for another one: nothing', () => {
    const damaged = before.map((done) => (done.kind === 'lookOver' ? { ...done, shows: false } : done))
    expect(broken(sequence(damaged, secured, dead, prove, work))).toContain('soundIndicator')
    const another = damaged.flatMap((done) =>
      done.kind === 'lookOver'
        ? [done, act('take', { indicator: 'two-pole' }), act('lookOver', { shows: true })]
        : [done],
    )
    expect(broken(sequence(another, secured, dead, prove, work))).toEqual([])
  })
  it('the one that is asked for fits the stage', () => {
    expect(nextWords('indicatorFits', { level: 'first-weeks', policy: DEFAULT_ISOLATION })).toMatch(/plug-in/)
    expect(nextWords('indicatorFits', { level: 'second', policy: DEFAULT_ISOLATION })).toMatch(/two-pole/)
    const policy = { ...DEFAULT_ISOLATION, firstWeeks: 'two-pole' } as const
    expect(nextWords('indicatorFits', { level: 'first-weeks', policy })).toMatch(/two-pole/)
  })
})

describe('who and what hangs on it', () => {
  const silent = before.filter(({ kind }) => kind !== 'inform')
  it('somebody depends on the supply and nobody asked: a fault beside the telling', () => {
    expect(broken(sequence(silent, secured, dead, prove, work), { hasDependants: true })).toEqual(
      expect.arrayContaining(['dependantsAsked', 'informed']),
    )
    expect(
      broken(sequence(act('askDependants'), before, secured, dead, prove, work), { hasDependants: true }),
    ).toEqual([])
  })
  it.each([
    'battery',
    'photovoltaic',
    'standby',
    'ups',
    'other-phase',
    'borrowed-neutral',
    'time-switch',
  ] as const)(
    'a %s left connected when hands go in is critical; isolated, in any order before, it is right',
    (source) => {
      const site = { secondSources: [source] }
      expect(broken(sequence(before, secured, dead, prove, work), site)).toEqual(['secondSource!'])
      const isolated = act('isolateSource', { source })
      expect(broken(sequence(before, secured, isolated, dead, prove, work), site)).toEqual([])
      expect(broken(sequence(before, isolated, secured, dead, prove, work), site)).toEqual([])
    },
  )
  it('two sources, one of them isolated: still critical', () => {
    const one = act('isolateSource', { source: 'battery' })
    expect(
      broken(sequence(before, secured, one, dead, prove, work), { secondSources: ['battery', 'ups'] }),
    ).toEqual(['secondSource!'])
  })
})

describe('the device that was opened', () => {
  it.each(['functional-switch', 'contactor'] as const)('a %s does not isolate: critical', (deviceKind) => {
    expect(broken(sequence(before, off({ deviceKind }), locked, noticed, dead, prove, work))).toEqual([
      'realIsolator!',
    ])
  })
  it('put right before hands go in it exposed nobody', () => {
    const first = off({ deviceKind: 'contactor', device: 'k1' })
    const then = off({ deviceKind: 'isolator' })
    expect(broken(sequence(before, first, then, locked, noticed, dead, prove, work))).toEqual([])
  })
  it('the switch of the lamp turned off besides is no harm: what isolates is what was locked', () => {
    const besides = off({ deviceKind: 'functional-switch', device: 's1' })
    const isolator = off({ deviceKind: 'isolator' })
    expect(broken(sequence(before, isolator, besides, locked, noticed, dead, prove, work))).toEqual([])
    expect(broken(sequence(before, besides, isolator, locked, noticed, dead, prove, work))).toEqual([])
  })
  it.each(['single-pole-breaker', 'fuse'] as const)(
    '%s alone where both poles must open: critical',
    (deviceKind) => {
      const all = sequence(before, off({ deviceKind }), locked, noticed, dead, prove, work)
      expect(broken(all)).toEqual([])
      expect(broken(all, { needsTwoPoles: true })).toEqual(['bothPoles!'])
    },
  )
  it('two poles, or the neutral taken out by hand, are right there', () => {
    const site = { needsTwoPoles: true }
    expect(
      broken(
        sequence(before, off({ deviceKind: 'two-pole-breaker' }), locked, noticed, dead, prove, work),
        site,
      ),
    ).toEqual([])
    const separated = [
      act('separate'),
      act('testSeparated', { shows: false, indicator: 'two-pole' }),
      act('tape'),
    ]
    const byHand = sequence(
      before,
      off({ deviceKind: 'single-pole-breaker' }),
      locked,
      noticed,
      dead,
      prove,
      act('open'),
      act('testTerminals', { shows: false, pairs: 3, indicator: 'two-pole' }),
      separated,
      act('touch'),
    )
    expect(broken(byHand, site)).toEqual([])
  })
})

describe('several people', () => {
  const site = { workers: 3 }
  const hasp = [off(), act('hasp'), ...locked]
  it('three people, three padlocks on a hasp', () => {
    const others = [act('othersLock'), act('othersLock')]
    expect(broken(sequence(before, hasp, others, noticed, dead, prove, work), site)).toEqual([])
  })
  it('one of them without a padlock when hands go in: critical', () => {
    expect(broken(sequence(before, hasp, act('othersLock'), noticed, dead, prove, work), site)).toEqual([
      'everyOwnLock!',
    ])
  })
  it('the key in a safe that everybody locks is as good, and counts as kept', () => {
    const safe = [off(), act('lock', { device: 'w1' }), act('keySafe'), act('othersLock'), act('othersLock')]
    expect(broken(sequence(before, safe, noticed, dead, prove, work), site)).toEqual([])
  })
  it('padlocks of the others without hasp or safe have nowhere to hang', () => {
    const others = [act('othersLock'), act('othersLock')]
    expect(broken(sequence(before, secured, others, dead, prove, work), site)).toEqual(['everyOwnLock!'])
  })
  it('alone, nobody asks for a hasp', () => {
    expect(broken(sequence(before, secured, dead, prove, work), { workers: 1 })).toEqual([])
  })
  it('handed over: own lock and own proof of whoever goes on; their word alone is critical', () => {
    const begun = sequence(before, secured, dead, prove)
    expect(broken(sequence(begun, act('handOver'), work))).toEqual(['provedOnHandOver!'])
    const anew = [act('lock', { device: 'w1' }), act('keepKey'), ...proved]
    expect(broken(sequence(begun, act('handOver'), anew, work))).toEqual([])
    expect(broken(sequence(begun, act('handOver'), proved, work))).toEqual(['provedOnHandOver!'])
    // The first took over on somebody's word; that the second did not does not mend it.
    expect(broken(sequence(begun, act('handOver'), work, act('handOver'), anew, work))).toContain(
      'provedOnHandOver!',
    )
  })
})

describe('leaving and coming back', () => {
  const begun = sequence(before, secured, dead, prove)
  it('back again, hands in without a new proof: a fault; proved anew: right', () => {
    expect(broken(sequence(begun, act('leave'), act('return'), work))).toEqual(['provedOnReturn'])
    expect(broken(sequence(begun, act('leave'), act('return'), proved, work))).toEqual([])
  })
  it('where the centre rests on the lock, a locked bay needs no new proof', () => {
    const policy = { ...DEFAULT_ISOLATION, onReturn: 'lock-holds' } as const
    expect(broken(sequence(begun, act('leave'), act('return'), work), { policy })).toEqual([])
  })
  it('left unlocked and worked on as it was found: critical', () => {
    const loose = sequence(before, off(), noticed, dead, prove, act('leave'), act('return'), work)
    expect(broken(loose)).toContain('lockedWhileAway!')
  })
  it('left unlocked, locked and proved dead after coming back: it exposed nobody, and is remarked', () => {
    const loose = sequence(before, off(), act('leave'), act('return'), locked, noticed, proved, work)
    expect(broken(loose)).toEqual(['lockedAtOnce'])
  })
  it('every return counts: hands in after the first of two without a proof stays a fault', () => {
    const twice = sequence(begun, act('leave'), act('return'), work, act('leave'), act('return'), proved)
    expect(broken(twice)).toContain('provedOnReturn')
    expect(broken(sequence(twice, act('touch')))).toContain('provedOnReturn')
  })
  it('every leaving counts: unlocked the second time', () => {
    const again = sequence(
      begun,
      act('leave'),
      act('return'),
      proved,
      act('removeOwnLock', { device: 'w1' }),
      act('leave'),
      act('return'),
      act('touch'),
    )
    expect(broken(again)).toContain('lockedWhileAway!')
  })
  it('left before anything was switched off: nothing', () => {
    expect(broken(sequence(before, act('leave'), act('return'), secured, dead, prove, work))).toEqual([])
  })
})

describe('cover and notice', () => {
  it('a cover taken off as if it were live is no hand inside: tested there, proved, then touched', () => {
    const asLive = sequence(before, secured, act('coverAsLive'), dead, prove, act('touch'))
    expect(broken(asLive)).toEqual([])
    expect(broken(sequence(before, secured, act('coverAsLive'), act('touch')))).toContain('handsAfterDead!')
  })
  it('energised with that cover still off: critical', () => {
    const on = act('switchOn', { device: 'w1', place: 'board' })
    const all = sequence(before, secured, act('coverAsLive'), dead, prove, act('touch'), act('informAgain'))
    expect(broken(sequence(all, act('removeNotice'), act('removeOwnLock'), on))).toContain('covered!')
  })
  it('a notice without a name is remarked, a fault where notices are required; unknown content is not judged', () => {
    const bare = [off(), ...locked, act('notice', { device: 'w1', content: ['date'] }), act('warnNeutral')]
    expect(broken(sequence(before, bare, dead, prove, work))).toEqual(['noticeContent'])
    const whole = [
      off(),
      ...locked,
      act('notice', { device: 'w1', content: ['name', 'date', 'reason'] }),
      act('warnNeutral'),
    ]
    expect(broken(sequence(before, whole, dead, prove, work))).toEqual([])
  })
})

it('every rule has its words and what it rests on', () => {
  const codes = [
    'dependantsAsked',
    'lookedOver',
    'soundIndicator',
    'realIsolator',
    'bothPoles',
    'secondSource',
  ]
  const more = ['everyOwnLock', 'noticeContent', 'lockedWhileAway', 'provedOnReturn', 'provedOnHandOver']
  for (const code of [...codes, ...more]) {
    expect(RULE_TEXT[code]?.why.length, code).toBeGreaterThan(20)
    expect(ruleSource(code), code).toBeTruthy()
  }
})
