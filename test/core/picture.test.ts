/* The picture of a group: weeks, change about a lesson, drift; simulated groups with an effect that is known,
   and with none. */
import { randomLcg, randomNormal } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { drifts, type Sums } from '#core/statistics/drift'
import { changeOfKind, kindsOf, mondayOf, weeksOf, type DatedSheet } from '#core/statistics/weeks'
import { kindText } from '#words/picture/kinds'
import { driftSays } from '#words/picture/says'

const sheet = (day: string, ...kinds: string[]): DatedSheet => ({ attempt: 1, person: 1, day, kinds })

describe('weeks', () => {
  it('begin on Monday, over the turn of the year and of the clocks', () => {
    expect(['2026-11-26', '2026-11-30', '2027-01-01', '2026-03-29', '2026-10-25'].map(mondayOf)).toEqual([
      '2026-11-23',
      '2026-11-30',
      '2026-12-28',
      '2026-03-23',
      '2026-10-19',
    ])
  })
  it('stand without a gap from the first sheet to the last', () => {
    const weeks = weeksOf([sheet('2026-10-20'), sheet('2026-11-05', 'a'), sheet('2026-11-06')])
    expect(weeks.map(({ monday, sheets }) => [monday, sheets.length])).toEqual([
      ['2026-10-19', 1],
      ['2026-10-26', 0],
      ['2026-11-02', 2],
    ])
    expect(weeksOf([])).toEqual([])
  })
  it('count a kind once a sheet, the most frequent first', () => {
    expect(kindsOf([sheet('2026-11-05', 'a', 'a', 'b'), sheet('2026-11-05', 'b')])).toEqual([
      { kind: 'b', sheets: 2 },
      { kind: 'a', sheets: 1 },
    ])
  })
})

describe('a lesson (simulated groups, seeded)', () => {
  const next = randomLcg(0.4)
  const group = (before: number, after: number, n: number): DatedSheet[] => [
    ...Array.from({ length: n }, () => sheet('2026-10-01', ...(next() < before ? ['slip'] : []))),
    ...Array.from({ length: n }, () => sheet('2026-11-01', ...(next() < after ? ['slip'] : []))),
  ]
  it('that halves a slip of 60 % is found in most groups of sixty sheets', () => {
    const found = Array.from({ length: 40 }, () => changeOfKind(group(0.6, 0.2, 30), 'slip', '2026-10-15').is)
    expect(found.filter((is) => is === 'fewer').length).toBeGreaterThan(32)
  })
  it('that changes nothing is called a change in hardly any', () => {
    const found = Array.from(
      { length: 100 },
      () => changeOfKind(group(0.4, 0.4, 30), 'slip', '2026-10-15').is,
    )
    expect(found.filter((is) => is !== 'open').length).toBeLessThanOrEqual(10)
  })
  it('with a handful of sheets on one side nothing is said', () => {
    expect(changeOfKind(group(1, 0, 8), 'slip', '2026-10-15').is).toBe('tooFew')
  })
})

describe('drift (simulated bays, seeded)', () => {
  const normal = randomNormal.source(randomLcg(0.7))(0, 0.04)
  const sums = (n: number, excess: number): Sums => {
    const values = Array.from({ length: n }, () => normal() + Math.log(1 + excess))
    return { n, sum: values.reduce((a, b) => a + b, 0), squares: values.reduce((a, b) => a + b * b, 0) }
  }
  const bays = (odd: Readonly<Record<string, readonly number[]>>) =>
    drifts(
      new Map(
        Array.from({ length: 10 }, (_, i) => {
          const excess = odd[`Bay ${i + 1}`] ?? [0, 0, 0]
          return [
            `Bay ${i + 1}`,
            new Map(['r1r2', 'zs', 'r2'].map((kind, k) => [kind, sums(12, excess[k]!)])),
          ] as const
        }),
      ),
    )
  it('a bay that reads 8 % high everywhere is named with about that, and hardly ever another', () => {
    const centres = Array.from({ length: 20 }, () => bays({ 'Bay 4': [0.08, 0.08, 0.08] }))
    const named = centres.flatMap((all) => all.filter(({ is }) => is === 'drifts').map(({ of }) => of))
    expect(named.filter((of) => of === 'Bay 4')).toHaveLength(20)
    expect(named.filter((of) => of !== 'Bay 4').length).toBeLessThanOrEqual(2)
    const found = centres[0]!
    const { excess } = found.find(({ of }) => of === 'Bay 4')!
    expect(excess!.low).toBeGreaterThan(0.02)
    expect(excess!.high).toBeLessThan(0.14)
    expect(driftSays(found.find(({ of }) => of === 'Bay 4')!)).toMatch(
      /^Bay 4 reads high in every test: \+\d+ % /,
    )
  })
  it('one kind that is off is a matter of that test, not of the bay; and healthy bays are left alone', () => {
    expect(bays({ 'Bay 4': [0.09, -0.01, -0.01] }).find(({ of }) => of === 'Bay 4')!.is).toBe('steady')
    const alarms = Array.from({ length: 30 }, () => bays({}))
      .flat()
      .filter(({ is }) => is === 'drifts')
    expect(alarms.length).toBeLessThanOrEqual(3)
  })
  it('too few readings are said to be too few', () => {
    expect(drifts(new Map([['Bay 1', new Map([['zs', sums(5, 1)]])]]))).toMatchObject([
      { is: 'tooFew', excess: null },
    ])
  })
})

it('every kind has a name without code in it', () => {
  for (const kind of [
    'slip.unit',
    'band.high',
    'notExplained.zs',
    'limit.passed',
    'across.zsAboveSum',
    'ring.open',
  ])
    expect(kindText(kind)).toMatch(/^[A-Z√0-9c][^.]*$|^ring: open$/)
})
