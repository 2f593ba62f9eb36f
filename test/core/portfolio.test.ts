/* Work elsewhere: what a reader misses in a passage, measurements judged, claims that outlive their passage;
   terms found in a text. */
import { describe, expect, it } from 'vitest'
import { accountProblems, claimsOf, headOfAccount, isStillThere } from '#core/assessment/portfolio/account'
import { documentText } from '#core/assessment/portfolio/document-text'
import { judgeMeasure, measuresOf, type Measure } from '#core/assessment/portfolio/measure'
import { readerPrompts } from '#core/assessment/portfolio/reader'
import { sampleOf, drawOf, type RiskyDecision } from '#core/assessment/verification/sample'
import { DRAWINGS } from '#core/questions/drawings'
import { termsIn } from '#words/glossary/find-terms'
import { GLOSSARY, GLOSSARY_BY_KEY } from '#words/glossary/index'
import { NAMED_TERMS, placesOf } from '#words/glossary/where'
import { SKETCHES, SPOT_OF_TERM } from '#words/glossary/drawn'

describe('what a reader misses', () => {
  it('a weak passage is asked nearly everything that it touches', () => {
    expect(readerPrompts('Fitted a cable.')).toEqual([
      'own',
      'source',
      'cableType',
      'cableSize',
      'cableLength',
      'why',
    ])
    expect(readerPrompts('I clipped the cable level.')).toEqual(
      expect.arrayContaining(['source', 'cableType', 'spacing', 'levelBy', 'why']),
    )
    expect(readerPrompts('I buried the cable in the wall.')).toEqual(expect.arrayContaining(['zone']))
  })
  it('a strong one is asked nothing', () => {
    const strong =
      'I ran 14 m of 2.5 mm² flat twin and earth vertically above each ' +
      'socket, within the zone that the On-Site Guide shows on page 60, ' +
      'because buried cable has to stay where the next person expects it. I ' +
      'clipped it every 250 mm with clips and checked it plumb with a spirit level.'
    expect(readerPrompts(strong)).toEqual([])
  })
  it('what the account says elsewhere need not be said again; what a passage does not touch is not asked', () => {
    const account = 'The specification names singles in trunking. I read page 2 of drawing 7 before I began.'
    expect(
      readerPrompts('I pulled 6 mm² singles, 12 m long, so that the load has room to grow.', account),
    ).toEqual([])
    expect(
      readerPrompts('I told the duty holder before I began, because the office runs on it.', account),
    ).toEqual([])
  })
  it('a source that is named and not used is asked for its use', () => {
    expect(readerPrompts('I have BS 7671, because it is needed.')).toContain('used')
    expect(readerPrompts('I looked up Table 4D5 of BS 7671, because it is needed.')).not.toContain('used')
  })
})

describe('measured on the job', () => {
  const measure = (parts: Partial<Measure>): Measure => ({
    token: 't',
    kind: 'clipSpacing',
    value: 250,
    across: 9,
    isVertical: false,
    ...parts,
  })
  // On-Site Guide Table D1 (clips of cable) and D3 (saddles of conduit), from memory; zones BS 7671 522.6.202.
  it.each([
    [{ value: 250 }, true],
    [{ value: 251 }, false],
    [{ value: 400, isVertical: true }, true],
    [{ value: 350, across: 14 }, false],
    [{ kind: 'saddleSpacing', value: 1750, across: 20 }, true],
    [{ kind: 'saddleSpacing', value: 2000, across: 20 }, false],
    [{ kind: 'saddleSpacing', value: 2000, across: 20, isVertical: true }, true],
    [{ kind: 'zoneOffset', value: 150 }, true],
    [{ kind: 'zoneOffset', value: 151 }, false],
    [{ kind: 'level', value: 3, across: 1.5 }, true],
    [{ kind: 'level', value: 3.1, across: 1.5 }, false],
  ] as const)('%j: %s', (parts, isWithin) => expect(judgeMeasure(measure(parts)).isWithin).toBe(isWithin))
  it('says nothing where the table ends or the length is missing, and of figures that are data', () => {
    expect(judgeMeasure(measure({ across: 45 })).isWithin).toBeNull()
    expect(judgeMeasure(measure({ kind: 'level', across: 0 })).isWithin).toBeNull()
    expect(judgeMeasure(measure({ kind: 'size', value: 2.5 }))).toMatchObject({ isWithin: null, limit: null })
  })
  it('what is no measurement is left out', () => {
    expect(
      measuresOf({
        'measure.a': 'clipSpacing 250 9 vertical',
        'measure.b': 'nonsense 1',
        'measure.c': 'level x',
        'measure.d': 'level -1 2',
        'measure.e': '',
      }),
    ).toEqual([{ token: 'a', kind: 'clipSpacing', value: 250, across: 9, isVertical: true }])
  })
})

describe('a claim', () => {
  const doc = (...lines: string[]) =>
    JSON.stringify({
      type: 'doc',
      content: lines.map((text) => ({ type: 'paragraph', content: [{ type: 'text', text }] })),
    })
  const fields = {
    text: doc('I fixed it.', 'With screws.'),
    'claim.x': JSON.stringify({ criterion: 'C', kind: 'written', quote: 'I fixed it. With screws.' }),
  }
  it('over two paragraphs stands while the words stand, and says when they have been edited', () => {
    const [claim] = claimsOf(fields)
    expect(isStillThere(claim!, fields)).toBe(true)
    expect(isStillThere(claim!, { ...fields, text: doc('I fixed it.', 'With nails.') })).toBe(false)
    expect(claim!.quote).toBe('I fixed it. With screws.')
  })
  it('of a kind that work elsewhere cannot bring is read as written', () => {
    expect(
      claimsOf({ 'claim.x': JSON.stringify({ criterion: 'C', kind: 'observed', quote: 'q' }) })[0]!.kind,
    ).toBe('written')
  })
  it('text that is no document is its own words; a broken one is no trouble', () => {
    expect(documentText('plain words')).toBe('plain words')
    expect(documentText('{"type":"doc","content":"no list"}')).toBe('')
    expect(documentText('{broken')).toBe('{broken')
  })
  it('unknown members and settings are left out of what the work shows', () => {
    expect(headOfAccount({ setting: 'moon', wiring: 'tray string', cables: 'singles' }).shown).toMatchObject({
      setting: null,
      wiringSystems: ['tray'],
      cables: ['singles'],
    })
    expect(accountProblems({}, new Set(), '2026-01-01').map(({ code }) => code)).toEqual([
      'noTitle',
      'noJob',
      'noDay',
      'noSetting',
      'noText',
      'noClaim',
    ])
  })
})

describe('what is sampled', () => {
  const decision = (id: number, over: Partial<RiskyDecision> = {}): RiskyDecision => ({
    id,
    byId: 1,
    exerciseId: 1,
    at: `2026-01-${String(10 + id).padStart(2, '0')}T00:00:00.000Z`,
    met: true,
    overrides: 0,
    critical: 0,
    criteria: 2,
    unmet: 0,
    ...over,
  })
  it('takes the riskiest first, and what is sampled once stays sampled', () => {
    const some = [...Array(16).keys()].map((id) => decision(id))
    some[12] = decision(12, { critical: 1 })
    some[13] = decision(13, { unmet: 1 })
    some[14] = decision(14, { overrides: 2 })
    const sampled = sampleOf(some, 0)
    expect(sampled.slice(0, 3).map(({ reasons }) => reasons[0])).toEqual([
      'critical',
      'borderline',
      'overridden',
    ])
    expect(sampled.filter(({ reasons }) => reasons.includes('newAssessor'))).toHaveLength(5)
    expect(sampled.filter(({ reasons }) => reasons.includes('newExercise'))).toHaveLength(3)
    expect(sampleOf(some, 10)).toEqual(sampleOf(some, 10))
  })
  it('draws its share by chance', () => {
    const drawn = [...Array(20_000).keys()].filter((id) => drawOf(id) < 10).length
    expect(drawn / 20_000).toBeGreaterThan(0.09)
    expect(drawn / 20_000).toBeLessThan(0.11)
  })
})

describe('terms', () => {
  it('are found where they stand, once, in any case but as abbreviations are written', () => {
    const parts = termsIn('The RCD trips; an rcd is no Luminaire, and the RCD stays. Ze and Zs.')
    expect(parts.map(({ text }) => text).join('')).toBe(
      'The RCD trips; an rcd is no Luminaire, and the RCD stays. Ze and Zs.',
    )
    const found = parts.filter(({ term }) => term !== null).map(({ term }) => term)
    expect(found).toContain('rcd')
    expect(found).toContain('luminaire')
    expect(new Set(found).size).toBe(found.length)
  })
  it('never within another word, and everyday words stay plain', () => {
    expect(termsIn('armouredly ringing fuseboards').every(({ term }) => term === null)).toBe(true)
    expect(termsIn('a line on the way to a point').every(({ term }) => term === null)).toBe(true)
  })
  it('each says where it matters; what is drawn is there', () => {
    expect(GLOSSARY.filter(({ key }) => placesOf(key).length === 0).map(({ key }) => key)).toEqual([])
    expect(NAMED_TERMS.filter((key) => !GLOSSARY_BY_KEY.has(key))).toEqual([])
    expect(Object.keys({ ...SKETCHES, ...SPOT_OF_TERM }).filter((key) => !GLOSSARY_BY_KEY.has(key))).toEqual(
      [],
    )
    for (const [drawing, spot] of Object.values(SPOT_OF_TERM))
      expect(DRAWINGS[drawing].map(({ id }) => id)).toContain(spot)
  })
})
