/* Safe isolation as constraints. Sources: HSE GS 38 and HSG85 for live–dead–live and securing, from memory; the rest common practice, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Act, ActKind } from '#core/isolation/model/act'
import { judgeIsolation, RULES } from '#core/isolation/judge'
import { DEFAULT_ISOLATION } from '#core/policies/isolation'
import { ISOLATION_CHOICES } from '#words/policies'
import type { Site } from '#core/isolation/model/rule'
import { RULE_TEXT } from '#words/isolation-rules'
import { ruleSource } from '#words/isolation-sources'

const site = (parts: Partial<Site> = {}): Site => ({
  needsPermit: false,
  phases: 1,
  level: 'second',
  policy: DEFAULT_ISOLATION,
  ...parts,
})

type Told = ActKind | (Partial<Act> & { kind: ActKind })
/** A sequence as one would tell it; what is left out goes right. */
function told(...acts: readonly Told[]): Act[] {
  let indicator: Act['indicator'] = undefined
  return acts.map((entry, i): Act => {
    const act = typeof entry === 'string' ? { kind: entry } : entry
    if (act.kind === 'take') indicator = act.indicator ?? 'two-pole'
    const tests: Partial<Record<ActKind, Partial<Act>>> = {
      take: { indicator },
      prove: { proof: 'known-source', shows: true, indicator },
      checkLive: { shows: true, indicator, place: 'point' },
      switchOff: { place: 'board' },
      lock: { place: 'board' },
      testDead: { shows: false, pairs: 3, atPoint: true, indicator, place: 'point' },
      testTerminals: { shows: false, pairs: 3, indicator, place: 'point' },
      testSeparated: { shows: false, indicator },
    }
    return { atS: i * 10, ...tests[act.kind], ...act }
  })
}
const BEFORE: ActKind[] = ['ask', 'inform', 'identify', 'take', 'lookOver', 'prove', 'checkLive']
const SECURED: ActKind[] = ['switchOff', 'lock', 'keepKey', 'notice', 'warnNeutral']
const DEAD: ActKind[] = ['testDead', 'prove']
const WORK: ActKind[] = ['open', 'testTerminals', 'touch']
const RESTORED: ActKind[] = [
  'cover',
  'clearTools',
  'informAgain',
  'removeNotice',
  'removeOwnLock',
  'switchOn',
  'checkFunction',
]
const RIGHT: ActKind[] = [...BEFORE, ...SECURED, ...DEAD, ...WORK, ...RESTORED]

const broken = (acts: readonly Act[], at = site(), isDone = true) =>
  judgeIsolation(acts, at, isDone)
    .rules.filter(({ state }) => state === 'broken')
    .map(({ code }) => code)
const critical = (acts: readonly Act[], at = site()) =>
  judgeIsolation(acts, at, true).critical.map(({ code }) => code)
const without = (kind: ActKind) => RIGHT.filter((candidate) => candidate !== kind)

describe('a right isolation', () => {
  it('keeps everything, in this order and in other safe ones', () => {
    expect(judgeIsolation(told(...RIGHT), site(), true)).toMatchObject({
      met: true,
      score: 1,
      critical: [],
      parts: { before: 'met', secure: 'met', prove: 'met', restore: 'met' },
    })
    expect(
      broken(
        told(
          'take',
          'lookOver',
          'prove',
          'identify',
          'checkLive',
          'inform',
          'ask',
          'switchOff',
          'lock',
          'notice',
          'keepKey',
          'warnNeutral',
          ...DEAD,
          ...WORK,
          'clearTools',
          'informAgain',
          'cover',
          'removeOwnLock',
          'removeNotice',
          'switchOn',
          'checkFunction',
        ),
      ),
    ).toEqual([])
  })
  it('property: acts of one stage may come in any order', () => {
    const early: ActKind[] = ['ask', 'inform', 'identify']
    fc.assert(
      fc.property(
        fc.shuffledSubarray(early, { minLength: 3 }),
        fc.shuffledSubarray(['keepKey', 'notice', 'warnNeutral'] as ActKind[], { minLength: 3 }),
        fc.shuffledSubarray(
          ['cover', 'clearTools', 'informAgain', 'removeNotice', 'removeOwnLock'] as ActKind[],
          { minLength: 5 },
        ),
        (a, b, c) => {
          expect(
            broken(
              told(
                ...a,
                'take',
                'lookOver',
                'prove',
                'checkLive',
                'switchOff',
                'lock',
                ...b,
                ...DEAD,
                ...WORK,
                ...c,
                'switchOn',
                'checkFunction',
              ),
            ),
          ).toEqual([])
        },
      ),
    )
  })
  it('may end when it is isolated: what was not called for is not missed, and an extra dead check is never marked down', () => {
    expect(judgeIsolation(told(...BEFORE, ...SECURED, ...DEAD), site(), true)).toMatchObject({
      met: true,
      parts: { prove: 'met', restore: 'not-shown' },
    })
    expect(broken(told(...BEFORE, ...SECURED, ...DEAD, 'testDead', 'prove', ...WORK))).toEqual([])
  })
  it('property: nothing is called broken before it is due, and leaving out an owed act is never met', () => {
    fc.assert(
      fc.property(fc.subarray(RIGHT), (acts) => {
        expect(
          judgeIsolation(told(...acts), site(), true).met &&
            (['inform', 'identify', 'lock', 'keepKey', 'prove'] as ActKind[]).some(
              (kind) => !acts.includes(kind),
            ),
        ).toBe(false)
        expect(judgeIsolation(told(...RIGHT.slice(0, acts.length)), site(), false).critical).toEqual([])
      }),
    )
  })
})

describe('critical breaches, each of them whatever else is right', () => {
  const cases: readonly (readonly [string, Act[], string])[] = [
    ['hands in before anything was tested', told(...BEFORE, ...SECURED, 'open', 'touch'), 'handsAfterDead'],
    [
      'no proof before',
      told('ask', 'inform', 'identify', 'take', 'checkLive', ...SECURED, ...DEAD, ...WORK),
      'provedBefore',
    ],
    ['no proof after', told(...BEFORE, ...SECURED, 'testDead', ...WORK), 'provedAfter'],
    [
      'dead test at something else',
      told(...BEFORE, ...SECURED, { kind: 'testDead', atPoint: false }, 'prove', ...WORK),
      'deadAtPoint',
    ],
    ['not secured', told(...without('lock')), 'locked'],
    [
      'key left in the lock',
      told(...RIGHT.map((kind) => (kind === 'keepKey' ? 'leaveKey' : kind) as ActKind)),
      'keyKept',
    ],
    [
      'proved on the circuit itself',
      told(...BEFORE.slice(0, 4), { kind: 'prove', proof: 'same-circuit' }, ...SECURED, ...DEAD, ...WORK),
      'proofElsewhere',
    ],
    [
      'went on after a failed proof',
      told(...BEFORE, ...SECURED, 'testDead', { kind: 'prove', shows: false }, ...WORK),
      'stoppedAtFailedProof',
    ],
    [
      'another’s lock cut',
      told(...BEFORE, ...SECURED, ...DEAD, ...WORK, 'cover', 'removeOthersLock', 'switchOn', 'checkFunction'),
      'ownLockOnly',
    ],
    [
      'a test showed live and hands went in',
      told(...BEFORE, ...SECURED, { kind: 'testDead', shows: true }, 'prove', ...WORK),
      'notOnLive',
    ],
    [
      'changed the indicator between',
      told(...BEFORE, ...SECURED, { kind: 'take', indicator: 'plug-in' }, ...DEAD, ...WORK),
      'handsAfterDead',
    ],
    [
      'a multimeter as proof',
      told(
        'ask',
        'inform',
        'identify',
        { kind: 'take', indicator: 'multimeter' },
        'prove',
        ...SECURED,
        ...DEAD,
        ...WORK,
      ),
      'deadAtPoint',
    ],
    ['the assessor stopped it', told(...BEFORE, 'switchOff', 'stop'), 'stopped'],
  ]
  it.each(cases)('%s', (_, acts, code) => {
    expect(critical(acts)).toContain(code)
    expect(judgeIsolation(acts, site(), true).met).toBe(false)
    expect(judgeIsolation(acts, site(), true).rules[0]!.seriousness).toBe('critical')
  })
  it('a permit where the site asks for one, and only there', () => {
    expect(critical(told(...RIGHT), site({ needsPermit: true }))).toEqual(['permit'])
    const permitted = ['ask', 'permit', ...RIGHT.slice(1)] as ActKind[]
    const handedBackFirst = permitted.flatMap((kind) => (kind === 'switchOn' ? ['handBack', kind] : [kind]))
    const byPermit = (permitReturn: 'before' | 'after') =>
      site({ needsPermit: true, policy: { ...DEFAULT_ISOLATION, permitReturn } })
    expect(broken(told(...(handedBackFirst as ActKind[])), byPermit('before'))).toEqual([])
    expect(broken(told(...permitted, 'handBack'), byPermit('after'))).toEqual([])
    // Kept while the supply is put back.
    expect(critical(told(...permitted, 'handBack'), byPermit('before'))).toEqual(['permitBack'])
    expect(broken(told('ask', 'permit', ...RIGHT.slice(1)), site({ needsPermit: true }))).toEqual([
      'permitBack',
    ])
  })
})

describe('the wrong breaker', () => {
  const wrong: Told[] = [
    ...BEFORE,
    'switchOff',
    'lock',
    'keepKey',
    'notice',
    { kind: 'testDead', shows: true },
    'removeOwnLock',
    'switchOn',
    'restart',
  ]
  it('is recoverable: started again, it is judged on the last pass', () => {
    expect(
      judgeIsolation(
        told(...wrong, 'identify', 'take', 'prove', 'checkLive', ...SECURED, ...DEAD, ...WORK, ...RESTORED),
        site(),
        true,
      ),
    ).toMatchObject({ met: true, critical: [] })
  })
  it('has to be identified anew', () => {
    expect(broken(told(...wrong, 'take', 'prove', 'checkLive', ...SECURED, ...DEAD))).toEqual(['identified'])
  })
  it('does not wash away a critical breach of the first pass', () => {
    expect(critical(told(...BEFORE, 'switchOff', 'open', 'touch', 'restart', ...RIGHT.slice(2)))).toContain(
      'handsAfterDead',
    )
  })
})

describe('schools', () => {
  const with_ = (policy: Partial<typeof DEFAULT_ISOLATION>, parts: Partial<Site> = {}) =>
    site({ ...parts, policy: { ...DEFAULT_ISOLATION, ...policy } })
  const unit = told(...RIGHT).map((act) =>
    act.kind === 'prove' ? { ...act, proof: 'proving-unit' as const } : act,
  )
  it('proof on a source, on a unit, on either', () => {
    expect(broken(unit)).toEqual([])
    expect(critical(unit, with_({ proof: 'known-source' }))).toContain('provedBefore')
    expect(broken(told(...RIGHT), with_({ proof: 'known-source' }))).toEqual([])
  })
  it('a self-test is proof only where the centre says so, for first-weeks learners', () => {
    const self = told(...RIGHT).map((act) => ({
      ...act,
      ...(act.kind === 'prove' ? { proof: 'self-test' as const } : {}),
      ...(act.indicator ? { indicator: 'plug-in' as const } : {}),
    }))
    expect(critical(self, site({ level: 'first-weeks' }))).toContain('provedBefore')
    expect(broken(self, with_({ selfTest: 'first-weeks' }, { level: 'first-weeks' }))).toEqual([])
    expect(critical(self, with_({ selfTest: 'first-weeks' }))).toContain('provedBefore')
  })
  it('three phases want ten pairs, a single phase three, or two where the centre says so', () => {
    expect(broken(told(...RIGHT), site({ phases: 3 }))).toEqual(['everyPair'])
    expect(
      broken(
        told(...RIGHT.map((kind): Told => (kind === 'testDead' ? { kind, pairs: 10 } : kind))),
        site({ phases: 3 }),
      ),
    ).toEqual([])
    const two = told(...RIGHT.map((kind): Told => (kind === 'testDead' ? { kind, pairs: 2 } : kind)))
    expect(broken(two)).toEqual(['everyPair'])
    expect(broken(two, with_({ pairs: 'two' }))).toEqual([])
  })
  it('testing again at the terminals is owed at the second level and advised before', () => {
    const skipped = judgeIsolation(told(...without('testTerminals')), site(), true)
    expect(skipped.rules.find(({ code }) => code === 'retested')).toMatchObject({
      state: 'broken',
      seriousness: 'fault',
    })
    expect(judgeIsolation(told(...without('testTerminals')), site({ level: 'first' }), true).met).toBe(true)
  })
  it('the whole board where the centre isolates by the main switch; both conductors where it disconnects them', () => {
    const main = told(...RIGHT.map((kind): Told => (kind === 'switchOff' ? { kind, isMain: true } : kind)))
    expect(broken(main, with_({ method: 'main-switch' }))).toEqual([])
    expect(broken(told(...RIGHT), with_({ method: 'main-switch' }))).toContain('neutralMinded')
    expect(broken(told(...RIGHT), with_({ method: 'breaker-and-conductors' }))).toContain('neutralMinded')
    expect(
      broken(
        told(
          ...BEFORE,
          ...SECURED,
          ...DEAD,
          'open',
          'testTerminals',
          'separate',
          'tape',
          'testSeparated',
          'touch',
        ),
        with_({ method: 'breaker-and-conductors' }),
      ),
    ).toEqual([])
  })
  it('every choice begins with its default and gives reasons; every rule has its words', () => {
    for (const { key, options } of ISOLATION_CHOICES) {
      expect(options[0]!.value).toBe(DEFAULT_ISOLATION[key])
      expect(options.every(({ reason }) => reason.length > 20)).toBe(true)
    }
    for (const { code } of RULES) expect(RULE_TEXT[code], code).toBeDefined()
  })
  it('every rule says what it rests on, and names the choice of the centre where schools differ', () => {
    for (const { code } of RULES) expect(ruleSource(code), code).toBeDefined()
    const named = ISOLATION_CHOICES.filter(({ name }) =>
      RULES.some(({ code }) => ruleSource(code)!.includes(`“${name} …”`)),
    )
    // A self-test counts as a proof or not under the same rule as every other proof.
    expect(ISOLATION_CHOICES.filter((candidate) => !named.includes(candidate)).map(({ key }) => key)).toEqual(
      ['selfTest'],
    )
  })
})
