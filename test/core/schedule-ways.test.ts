/* Ways in for readings, and what is asked of those who wrote them: files, the line-based stream, order and permission, questions about a group. */
import { describe, expect, it } from 'vitest'
import { groupQuestions, type GroupSheet } from '#core/testing/judge/group'
import { processFindings, type ProcessFacts } from '#core/testing/judge/process'
import { scheduleOf } from '#core/testing/plan/schedule'
import { readStreamLine, streamLine, type StreamLine } from '#core/testing/parse/stream'
import { readReadingsCsv } from '#schemas/readings-csv'
import { aBay } from '../support/bay'

const KEYS = new Set(['ze', 'c1.r1', 'c1.irLE', 'c1.zs@c1p2'])
const taken = (text: string) => {
  const read = readReadingsCsv(text, KEYS)
  if (!read.ok) throw new Error(read.problem)
  return {
    readings: read.readings.map(({ key, text: value, at }) => [key, value, at]),
    problems: read.problems.map(({ line, problem, cell }) => [line, problem, cell]),
  }
}

describe('a file of readings', () => {
  it('has its columns in any order, its units in a column or in the heading, commas or semicolons', () => {
    expect(taken('reading,test\n0.44,c1.r1\n').readings).toEqual([['c1.r1', '0.44', '']])
    expect(taken('unit;reading;test\nMΩ;>999;c1.irLE\nmΩ;440;c1.r1\n').readings).toEqual([
      ['c1.irLE', '>999 MΩ', ''],
      ['c1.r1', '440 mΩ', ''],
    ])
    expect(taken('Test,Reading (kΩ)\nc1.irLE,900\n').readings).toEqual([['c1.irLE', '900 kΩ', '']])
    expect(taken('test,reading,unit\nc1.r1,0.4 Ω,mΩ\nze,N/A,Ω\n').readings).toEqual([
      ['c1.r1', '0.4 Ω', ''],
      ['ze', 'N/A', ''],
    ])
  })
  it('says when, and names the lines that cannot be taken; the others are', () => {
    expect(
      taken('test,reading,time\nze,0.3,2026-11-25T09:00:00Z\nc9.r1,0.4,\nc1.r1,0.4,soon\n,0.2,\n'),
    ).toEqual({
      readings: [['ze', '0.3', '2026-11-25T09:00:00.000Z']],
      problems: [
        [3, 'noSuchTest', 'c9.r1'],
        [4, 'noTime', 'soon'],
        [5, 'noKey', ''],
      ],
    })
  })
  it.each([
    ['"test,reading\nze,0.3', 'notCsv'],
    ['point,ohms\nze,0.3', 'heading'],
    ['', 'heading'],
  ] as const)('%j is refused as %s', (text, problem) => {
    expect(readReadingsCsv(text, KEYS)).toEqual({ ok: false, problem })
  })
})

describe('the stream of an instrument', () => {
  const lines: readonly StreamLine[] = [
    { is: 'sheet', attempt: 12, code: '7F3A9C' },
    { is: 'instrument', name: 'Multi 1' },
    { is: 'null', ohm: 0.08 },
    { is: 'read', key: 'c1.zs@c1p4', text: '0.84 Ω' },
    { is: 'read', key: 'ze', text: '>1999' },
    { is: 'end' },
  ]
  it('is written and read back line by line', () => {
    for (const line of lines) expect(readStreamLine(streamLine(line))).toEqual({ ok: true, line })
    expect(readStreamLine('  read   ze  0.3 ')).toEqual({
      ok: true,
      line: { is: 'read', key: 'ze', text: '0.3' },
    })
  })
  it.each([
    ['HELLO', 'notALine'],
    ['', 'notALine'],
    ['SHEET 12', 'badSheet'],
    ['SHEET x 7F3A9C', 'badSheet'],
    ['NULL', 'badNull'],
    ['NULL -1', 'badNull'],
    ['READ ze', 'badRead'],
    ['READ ../x 1', 'badRead'],
    [`READ ze ${'9'.repeat(300)}`, 'tooLong'],
  ] as const)('%j is refused as %s', (line, problem) => {
    expect(readStreamLine(line)).toEqual({ ok: false, problem })
  })
})

describe('how it was gone about', () => {
  const schedule = scheduleOf(aBay(), { edition: '18-A2', rcdTests: 'edition' })
  const facts: ProcessFacts = {
    times: { 'c1.r2': '2026-11-25T09:00:00Z', 'c1.irLE': '2026-11-25T09:10:00Z', ze: '2026-11-25T10:00:00Z' },
    permissions: [{ from: '2026-11-25T09:50:00Z', until: null }],
    instrument: { name: 'Multi 1', dueOn: '2027-01-01' },
    isLeadsNulled: true,
    today: '2026-11-25',
  }
  const codes = (parts: Partial<ProcessFacts>) =>
    processFindings(schedule, { ...facts, ...parts }).map(({ code, seriousness }) => `${seriousness} ${code}`)
  it('in order, permitted, with a calibrated instrument: nothing to say', () => expect(codes({})).toEqual([]))
  it('a live reading before the permission, or after it was withdrawn, is a breach', () => {
    expect(codes({ times: { ...facts.times, ze: '2026-11-25T09:20:00Z' } })).toEqual([
      'critical time.beforePermission',
    ])
    expect(codes({ permissions: [{ from: '2026-11-25T09:50:00Z', until: '2026-11-25T09:55:00Z' }] })).toEqual(
      ['critical time.beforePermission'],
    )
  })
  it('insulation before continuity, an overdue instrument, leads not written down are noted', () => {
    expect(
      codes({
        times: { ...facts.times, 'c1.r2': '2026-11-25T09:30:00Z' },
        instrument: { name: 'Multi 1', dueOn: '2026-11-24' },
        isLeadsNulled: false,
      }),
    ).toEqual(['note time.insulationFirst', 'note instrument.overdue', 'note leads.notRecorded'])
  })
  // BS 7671 Table 64, from memory: 500 V d.c. for circuits of 230 and 400 V.
  it.each([
    ['500', []],
    ['1000', []],
    ['', []],
    ['250', ['note insulation.lowVoltage']],
    ['250 V', ['note insulation.lowVoltage']],
  ] as const)('insulation tested at “%s” V', (insulationVolt, said) => {
    expect(codes({ insulationVolt })).toEqual(said)
  })
})

describe('questions about a group', () => {
  const keys = Array.from({ length: 12 }, (_, i) => `c${i + 1}.r1`)
  const sheet = (bay: number, scale: number, text: (told: number, i: number) => string): GroupSheet => {
    const told = keys.map((_, i) => scale * (0.3 + 0.07 * i))
    return {
      bay,
      readings: Object.fromEntries(keys.map((key, i) => [key, text(told[i]!, i)])),
      expected: new Map(
        keys.map((key, i) => [
          key,
          {
            key,
            value: told[i]!,
            low: told[i]! * 0.9 - 0.03,
            high: told[i]! * 1.1 + 0.03,
            limit: undefined,
            source: { book: 'bs7671', place: '', fromMemory: true },
            working: 'wholeRing',
            reasons: [],
          },
        ]),
      ),
    }
  }
  const honest = (told: number, i: number) =>
    (told * (1 + [0.03, -0.02, 0.04, -0.035, 0.015][i % 5]!) + 0.004 * ((i % 3) - 1)).toFixed(2)
  const codes = (groupSheet: GroupSheet, others: readonly GroupSheet[]) =>
    groupQuestions(groupSheet, others).map(({ code, params }) =>
      `${code} ${'bay' in params ? params.bay : ''}`.trim(),
    )
  it('two honest sheets raise none', () =>
    expect(codes(sheet(2, 1.1, honest), [sheet(1, 1, honest)])).toEqual([]))
  it('a neighbour’s figures where the bays differ', () => {
    const theirs = sheet(1, 1, honest)
    expect(codes({ ...sheet(2, 1.15, honest), readings: theirs.readings }, [theirs])).toContain(
      'group.alike 1',
    )
  })
  it('the calculated values to the last figure, and one end figure throughout', () => {
    expect(
      codes(
        sheet(3, 1, (told) => told.toFixed(3)),
        [],
      ),
    ).toContain('group.tooClose')
    expect(
      codes(
        sheet(4, 1, (told) => `${told.toFixed(1)}0`),
        [],
      ),
    ).toContain('group.fewFigures')
  })
})
