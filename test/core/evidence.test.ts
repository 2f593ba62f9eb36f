/* Evidence laid over a framework: separate occasions, kinds, quotas, the gap in words, and when a unit closes. */
import { describe, expect, it } from 'vitest'
import { frameworkFaults, frameworkNotes } from '#core/assessment/outcomes/check-framework'
import { coverage, type Occasion } from '#core/assessment/outcomes/coverage'
import type { Criterion, Framework, Quota } from '#core/assessment/outcomes/framework'
import { closings, gapsOf } from '#core/assessment/outcomes/gap'
import { separateOccasions } from '#core/assessment/outcomes/separate'
import { SHOWN_NOTHING, shownByTask, type Shown } from '#core/assessment/outcomes/shows'
import { upgradeFramework } from '#core/assessment/outcomes/upgrade-framework'
import { readFrameworkCsv, writeFrameworkCsv } from '#schemas/framework-csv'
import { frameworkFaultSays, frameworkNoteSays } from '#words/evidence/framework'
import { unitGapSays } from '#words/evidence/gap'
import threeUnits from '../../frameworks/three-units.json'
import workshop from '../../frameworks/workshop-unit.json'
import { aCircuit, anExercise } from '../support/task'

const criterion = (code: string, over: Partial<Criterion> = {}): Criterion => ({
  code,
  text: `does ${code}`,
  bs7671: '',
  occasions: 2,
  evidence: ['reading.zs'],
  kinds: [],
  needs: [],
  isCritical: false,
  ...over,
})
const aFramework = (
  criteria: readonly Criterion[],
  quotas: readonly Quota[] = [],
  over: Partial<Framework> = {},
): Framework => ({
  format: 'nakshi.framework',
  version: 2,
  code: 'F',
  title: 'Framework',
  separate: 'job',
  domestic: '',
  behaviours: [],
  units: [{ code: 'U', title: 'Unit', criteria, quotas }],
  ...over,
})
const occasion = (job: string, over: Partial<Occasion> = {}): Occasion => ({
  criterion: 'C1',
  met: true,
  exerciseCode: job,
  exerciseTitle: job,
  decidedBy: 'A. Sessor',
  decidedAt: '2026-11-12T10:00:00.000Z',
  kinds: ['product'],
  shown: SHOWN_NOTHING,
  ...over,
})
const shown = (over: Partial<Shown>): Shown => ({ ...SHOWN_NOTHING, ...over })
const gapSays = (framework: Framework, occasions: readonly Occasion[], behaviours: readonly string[] = []) =>
  gapsOf(framework, { occasions, behaviours: new Set(behaviours) }).flatMap((gap) =>
    unitGapSays(gap, framework.behaviours),
  )

describe('what makes two occasions separate', () => {
  const times = [
    { job: 'a', day: '2026-11-01' },
    { job: 'a', day: '2026-11-02' },
    { job: 'b', day: '2026-11-02' },
    { job: 'b', day: '2026-11-02' },
  ]
  it.each([
    ['job', 2],
    ['day', 2],
    ['jobOrDay', 3],
    ['jobAndDay', 2],
  ] as const)('by %s: %i', (rule, expected) => expect(separateOccasions(times, rule)).toBe(expected))

  it('by job and day it is the largest choice without one in common, found against every choice there is', () => {
    const random = (seed: number) => () => (seed = (seed * 16807) % 2147483647) / 2147483647
    const disjoint = (chosen: readonly { job: string; day: string }[]) =>
      new Set(chosen.map(({ job }) => job)).size === chosen.length &&
      new Set(chosen.map(({ day }) => day)).size === chosen.length
    for (let seed = 1; seed <= 60; seed += 1) {
      const next = random(seed)
      const some = Array.from({ length: 9 }, () => ({
        job: `j${Math.floor(next() * 4)}`,
        day: `2026-01-0${1 + Math.floor(next() * 4)}`,
      }))
      let best = 0
      for (let mask = 0; mask < 2 ** some.length; mask += 1) {
        const chosen = some.filter((_, i) => (mask >> i) & 1)
        if (disjoint(chosen)) best = Math.max(best, chosen.length)
      }
      expect(separateOccasions(some, 'jobAndDay'), `seed ${seed}`).toBe(best)
    }
  })

  it('work elsewhere counts by the day on which it was done, not by that of the decision', () => {
    const two = [occasion('x', { workedOn: '2026-10-01' }), occasion('y', { workedOn: '2026-10-08' })]
    expect(coverage([criterion('C1')], two, 'day')[0]!.met).toBe(2)
  })
})

describe('a criterion', () => {
  it('counts kinds that it allows, and lacks those that it needs', () => {
    const strict = criterion('C1', { kinds: ['observed', 'product'], needs: ['observed'], occasions: 1 })
    const [written] = coverage([strict], [occasion('a', { kinds: ['written'] })], 'job')
    expect([written!.met, written!.missingKinds]).toEqual([0, ['observed']])
    const [product] = coverage([strict], [occasion('a')], 'job')
    expect([product!.met, product!.isComplete]).toEqual([1, false])
    const both = [occasion('a'), occasion('b', { kinds: ['observed'] })]
    expect(coverage([strict], both, 'job')[0]!.isComplete).toBe(true)
  })
  it('is not brought nearer by an occasion that was not met', () => {
    expect(coverage([criterion('C1')], [occasion('a', { met: false })], 'job')[0]!.met).toBe(0)
  })
})

describe('the gap, in words', () => {
  const set: Quota = {
    kind: 'set',
    code: 'Q1',
    text: 'Three wiring systems, conduit and trunking among them',
    of: 'wiringSystem',
    least: 3,
    compulsory: ['conduit', 'trunking'],
    each: 2,
  }
  const done = (job: string, ...wiringSystems: Shown['wiringSystems']) =>
    occasion(job, { shown: shown({ wiringSystems }) })

  it('names compulsory members with the occasions that they lack, then what is free to choose', () => {
    const framework = aFramework([criterion('C1')], [set])
    expect(gapSays(framework, [done('a', 'conduit', 'trunking'), done('b', 'conduit')])).toEqual([
      'Three wiring systems, conduit and trunking among them: ' +
        'trunking on one more occasion and one more wiring system.',
    ])
    expect(
      gapSays(framework, [done('a', 'conduit', 'trunking', 'tray'), done('b', 'conduit', 'tray')]),
    ).toEqual(['Three wiring systems, conduit and trunking among them: trunking on one more occasion.'])
    expect(
      gapSays(framework, [
        done('a', 'conduit', 'trunking', 'tray'),
        done('b', 'conduit', 'trunking', 'tray'),
      ]),
    ).toEqual([])
  })
  it('one thing short of a set says so', () => {
    const five: Quota = {
      ...set,
      code: 'Q2',
      text: 'Five cable types',
      of: 'cable',
      least: 5,
      compulsory: [],
      each: 1,
    }
    const cables = shown({ cables: ['singles', 'multicore', 'armoured', 'mineral'] })
    const two = [occasion('a', { shown: cables }), occasion('b', { shown: cables })]
    expect(gapSays(aFramework([criterion('C1')], [five]), two)).toEqual([
      'Five cable types: one more cable type.',
    ])
  })
  it('a share says how many there are, how many are needed, and what would do it', () => {
    const share: Quota = {
      kind: 'share',
      code: 'Q3',
      text: 'Mostly elsewhere',
      settings: ['commercial', 'industrial'],
      moreThan: 0.5,
      jobs: 3,
    }
    const job = (code: string, setting: Shown['setting']) => occasion(code, { shown: shown({ setting }) })
    const five = [
      job('a', 'domestic'),
      job('b', 'domestic'),
      job('c', 'domestic'),
      job('d', 'commercial'),
      job('e', 'industrial'),
    ]
    const framework = aFramework([criterion('C1')], [share])
    expect(gapSays(framework, five)).toEqual([
      'Mostly elsewhere: 2 of 5 jobs are commercial or industrial, 3 ' +
        'are needed: two more commercial or industrial jobs would do it.',
    ])
    // Half is not more than half.
    expect(gapSays(framework, [...five, job('f', 'commercial')])).toHaveLength(1)
    expect(gapSays(framework, [...five, job('f', 'commercial'), job('g', 'commercial')])).toEqual([])
    // The same job twice is one job.
    expect(gapSays(framework, [...five, job('d', 'commercial'), job('e', 'industrial')])).toHaveLength(1)
  })
  it('behaviours that nobody has seen are named', () => {
    const behaviours = [
      { code: 'B1', text: 'keeps tidy' },
      { code: 'B2', text: 'asks first' },
    ]
    const all: Quota = { kind: 'behaviours', code: 'Q4', text: 'All behaviours', least: 2 }
    const two = [occasion('a'), occasion('b')]
    const framework = aFramework([criterion('C1')], [all], { behaviours })
    expect(gapSays(framework, two, ['B1'])).toEqual([
      'All behaviours: one more behaviour, of these: asks first.',
    ])
    expect(gapSays(framework, two, ['B1', 'B2'])).toEqual([])
  })
  it('criteria say occasions and kinds', () => {
    const framework = aFramework([criterion('C1', { needs: ['questioned'], isCritical: true })])
    expect(gapSays(framework, [occasion('a')])).toEqual([
      'C1 does C1: one more occasion and questioned at least once (critical).',
    ])
  })
  it('evidence of another unit does not fill this one’s quotas', () => {
    const two = aFramework([criterion('C1')], [set])
    const framework = {
      ...two,
      units: [...two.units, { code: 'V', title: 'V', criteria: [criterion('C2')], quotas: [] }],
    }
    const elsewhere = [done('a', 'conduit'), done('b', 'conduit')].map((one) => ({ ...one, criterion: 'C2' }))
    expect(gapsOf(framework, { occasions: elsewhere, behaviours: new Set() })[0]!.quotas).toMatchObject([
      { shown: [] },
    ])
  })
})

describe('when a unit closes at the present pace', () => {
  const framework = aFramework([criterion('C1', { occasions: 4 })])
  const at = (day: string, job: string) => occasion(job, { decidedAt: `2026-${day}T10:00:00.000Z` })
  const closedAt = (occasions: readonly Occasion[], now: string) => {
    const evidence = { occasions, behaviours: new Set<string>() }
    return closings(framework, gapsOf(framework, evidence), evidence, now).get('U')!
  }
  const closes = (occasions: readonly Occasion[], now = '2026-11-26T10:00:00.000Z') =>
    closedAt(occasions, now)

  it('two occasions in four weeks leave two for the next four', () => {
    expect(closes([at('10-29', 'a'), at('11-12', 'b')])!.slice(0, 10)).toBe('2026-12-24')
  })
  it('says nothing where nothing has moved for eight weeks, and now where it is closed', () => {
    expect(closes([at('03-01', 'a'), at('03-02', 'b')])).toBeNull()
    expect(closes([])).toBeNull()
    expect(closes(['a', 'b', 'c', 'd'].map((job) => at('11-12', job)))).toBe('2026-11-26T10:00:00.000Z')
  })
})

describe('what a task shows', () => {
  const exercise = anExercise()
  it('follows from the circuits that are wired, their board and the premises', () => {
    const conduit = aCircuit({ id: 'c1', cable: { kind: 'singles-in-conduit', method: 'B' }, use: 'sockets' })
    const clipped = aCircuit({ id: 'c2', cable: { kind: 'mineral', method: 'C' }, use: 'lighting' })
    const installation = {
      ...exercise.installation,
      premises: 'industrial' as const,
      circuits: [conduit, clipped],
    }
    expect(shownByTask(installation, 'all')).toMatchObject({
      setting: 'industrial',
      wiringSystems: ['conduit', 'clipped'],
      cables: ['singles', 'mineral'],
    })
    expect(shownByTask(installation, 'all').equipment).toEqual(
      expect.arrayContaining(['distribution-board', 'socket-outlet', 'luminaire']),
    )
    expect(shownByTask(installation, 'c2')).toMatchObject({ wiringSystems: ['clipped'], cables: ['mineral'] })
  })
  it('a design alone has installed nothing', () => {
    expect(shownByTask(exercise.installation, null)).toEqual(SHOWN_NOTHING)
  })
})

describe('a framework', () => {
  it('of version 1 is read as it was meant: the same exercise once, any kind, no quotas', () => {
    const former = {
      format: 'nakshi.framework',
      version: 1,
      code: 'F',
      title: 'T',
      units: [
        {
          code: 'U',
          title: 'U',
          criteria: [{ code: 'C1', text: 'x', bs7671: '', occasions: 2, evidence: ['reading.zs' as const] }],
        },
      ],
    } as const
    const present = upgradeFramework(former)
    expect([present.separate, present.units[0]!.quotas, present.units[0]!.criteria[0]!.kinds]).toEqual([
      'job',
      [],
      [],
    ])
    expect(upgradeFramework(present)).toBe(present)
  })
  it.each([workshop, threeUnits])(
    '$title: nothing is wrong with it, and CSV brings it back the same',
    (document) => {
      const framework = document as Framework
      expect(frameworkFaults(framework)).toEqual([])
      expect(readFrameworkCsv(writeFrameworkCsv(framework))).toEqual({ ok: true, framework })
    },
  )
  it('names a quota that cannot be met, a code that is there twice, a kind that is needed and not allowed', () => {
    const bad = aFramework(
      [criterion('C1'), criterion('c1', { kinds: ['written'], needs: ['observed'] })],
      [
        { kind: 'set', code: 'Q', text: 'q', of: 'cable', least: 9, compulsory: ['string'], each: 1 },
        { kind: 'behaviours', code: 'Q', text: 'q', least: 3 },
        { kind: 'share', code: 'S', text: 's', settings: [], moreThan: 0.5, jobs: 1 },
      ],
    )
    expect(
      frameworkFaults(bad)
        .map(({ code }) => code)
        .sort(),
    ).toEqual(
      ['needNotAllowed', 'noSettings', 'tooMany', 'tooMany', 'twice', 'twice', 'unknownMember'].sort(),
    )
    for (const fault of frameworkFaults(bad)) expect(frameworkFaultSays(fault)).toMatch(/\.$/)
  })
  it('says which criteria and quotas nothing at this centre evidences', () => {
    const framework = aFramework(
      [criterion('C1'), criterion('C2')],
      [
        {
          kind: 'set',
          code: 'Q',
          text: 'q',
          of: 'wiringSystem',
          least: 2,
          compulsory: ['trunking'],
          each: 1,
        },
      ],
    )
    const notes = frameworkNotes(framework, [
      { code: 'T', criteria: ['C1'], shown: shown({ wiringSystems: ['conduit'] }) },
    ])
    expect(notes.map(({ code, of }) => [code, of])).toEqual([['noExercise', 'C2'], ['memberNowhere', 'Q'], ['exercisesTooFew', 'Q']]) // prettier-ignore
    for (const note of notes) expect(frameworkNoteSays(note)).toMatch(/\.$/)
  })
  it.each([
    ['row,code\nnonsense,x', 2, /no kind of line/],
    ['row,unit,code,text\nframework,,F,T\ncriterion,Z,C1,x', 3, /no unit “Z”/],
    ['row,code\n"open', 1, /no table/],
    ['row,code,text\nunit,U,U', 1, /no line “framework”/],
  ])('a table that is not right is named by its line: %j', (csv, line, message) => {
    const read = readFrameworkCsv(csv)
    expect(read.ok).toBe(false)
    if (!read.ok)
      expect(read.problems[0]).toMatchObject({ line, message: expect.stringMatching(message) as string })
  })
})
