import { describe, expect, test } from 'vitest'
import { buildRig } from '#core/bay/build/build'
import { rigProblems } from '#core/bay/model/check'
import { compareDesigns } from '#core/design/compare-designs'
import { valuesUsed } from '#core/design/book-values'
import { referenceDesign } from '#core/design/reference'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { bookOf, bookRows, printedValue, sizesIn } from '#core/regulations/book/book'
import type { BookChange } from '#core/regulations/book/change'
import { checkEntries, type BookEntry } from '#core/regulations/book/check'
import { BOOK_TABLES, bookTable } from '#core/regulations/book/tables'
import { EDITIONS } from '#core/regulations/editions'
import { sourceLine } from '#core/regulations/source'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import { bookDifferences } from '#words/library/differences'
import { tablesOf } from '#words/library/tables'
import { HISTORY, askedOn } from '#words/library/history'
import { searchLibrary } from '#words/library/search'
import { aBoardOf } from '../support/board-of'
import { aTask, anExercise, around, RULES } from '../support/task'

const change = (parts: Partial<BookChange>): BookChange => ({
  edition: '18-A2',
  table: 'rating-flat-twin-earth',
  row: '2.5',
  column: 'C/1',
  value: 24,
  place: 'Table 4D5, page 412',
  checked: false,
  ...parts,
})
const CLAUSE = {
  table: 'clauses',
  row: 'voltDropLimit',
  column: 'place',
  value: null,
  clause: '525.101',
} as const
const entry = (parts: Partial<BookEntry>): BookEntry => {
  const { checked: _, ...rest } = change({})
  return { ...rest, from: '2026-09-01', ...parts }
}
/** A circuit on 25 A whose cable is 2.5 mm² with 27 A in the table. */
const task = aTask({
  use: 'fixed',
  cable: { kind: 'flat-twin-earth', method: 'C' },
  load: { basis: 'current', currentA: 22, powerFactor: 1 },
  lengthM: 10,
  ambientC: 30,
  grouping: { circuits: 1, arrangement: 'bunched' },
})
const design = (changes?: readonly BookChange[]) =>
  referenceDesign(around(task), { ...RULES, changes }).circuits[0]!

describe('the book as shipped', () => {
  test('every table can be read, every value lies in its own range and goes the way of its table', () => {
    for (const edition of EDITIONS) {
      const book = bookOf(edition)
      for (const table of BOOK_TABLES) {
        for (const column of table.columns) {
          const values = bookRows(book, table).flatMap(
            (row) => printedValue(book, { table: table.id, row, column }) ?? [],
          )
          expect(values.length, `${table.id} ${column}`).toBeGreaterThan(0)
          for (const value of values) {
            expect(value).toBeGreaterThanOrEqual(table.range[0])
            expect(value).toBeLessThanOrEqual(table.range[1])
          }
          const sorted = [...values].sort((a, b) => (table.trend === 'falls' ? b - a : a - b))
          if (table.trend !== 'any') expect(values, `${table.id} ${column}`).toEqual(sorted)
        }
      }
    }
  })

  test('singles in trunking and fire-resistant cables read the table in which they are printed', () => {
    const book = bookOf('18-A2', [change({ table: 'rating-singles-in-conduit', column: 'B/1', value: 25 })])
    expect(sizesIn(book, 'singles-in-trunking', 'B', 1).find(({ lineMm2 }) => lineMm2 === 2.5)!.ratingA).toBe(
      25,
    )
    expect(sizesIn(book, 'fire-resistant', 'C', 1).map(({ lineMm2 }) => lineMm2)).toEqual(
      sizesIn(book, 'multicore', 'C', 1).map(({ lineMm2 }) => lineMm2),
    )
  })
})

describe('a value that the centre reads otherwise', () => {
  test('moves the design that looks it up, and is named with its page and that nobody checked it', () => {
    const [shipped, own] = [design(), design([change({})])]
    expect([shipped.values.csa, own.values.csa]).toEqual([2.5, 4])
    const raised = design([change({ value: 30 })])
    const it = raised.steps.find(({ key }) => key === 'it')!
    expect(it.value).toBe(30)
    expect(sourceLine(it.source, '18-A2')).toContain('Table 4D5, page 412')
    expect(sourceLine(it.source, '18-A2')).toContain('not yet checked')
    const checked = design([change({ value: 30, checked: true })]).steps.find(({ key }) => key === 'it')!
    expect(sourceLine(checked.source, '18-A2')).not.toContain('not yet checked')
  })

  test('whatever a design looks up is a place of its table, between printed rows and beyond them too', () => {
    const runs = [0, 1, 2, 4, 6].flatMap((bends) =>
      [2, 5, 5.5, 9, 14].map((betweenBoxesM) => ({ betweenBoxesM, bends })),
    )
    for (const kind of [
      'singles-in-conduit',
      'singles-in-trunking',
      'armoured-70',
      'flat-twin-earth',
    ] as const)
      for (const run of runs) {
        const method = kind.startsWith('singles') ? 'B' : 'C'
        const drawn = around(aTask({ ...task, cable: { kind, method }, run }))
        for (const cell of valuesUsed(referenceDesign(drawn, RULES))) {
          const table = bookTable(cell.table)!
          expect(table.columns).toContain(cell.column)
          expect(bookRows(bookOf('18-A2'), table), `${cell.table} ${cell.row}`).toContain(cell.row)
        }
      }
  })

  test('holds for its own edition alone', () => {
    expect(design([change({ edition: '18-A3' })]).values.csa).toBe(2.5)
  })

  test.each<[string, Partial<BookChange>, Parameters<typeof aTask>[0], string, number]>([
    [
      'Cg',
      { table: 'cg', row: '3', column: 'bunched', value: 0.65 },
      { grouping: { circuits: 3, arrangement: 'bunched' } },
      'cg',
      0.65,
    ],
    ['Ca', { table: 'ca-air', row: '40', column: '70', value: 0.85 }, { ambientC: 40 }, 'ca', 0.85],
    ['Ci', { table: 'ci', row: '100', column: 'factor', value: 0.77 }, { insulationMm: 100 }, 'ci', 0.77],
    ['mV/A/m', { table: 'drop-flat-twin-earth', column: '1', value: 19 }, {}, 'voltDropPerAm', 0.019],
    ['copper', { table: 'copper', column: 'r', value: 7.5 }, {}, 'ohmPerM', 7.5e-3 + 12.1e-3],
    ['Table 41.3', { table: 'zs-breakers', row: '25', column: 'B', value: 1.74 }, {}, 'zsMax', 1.74],
    [
      'discharge lamps',
      { table: 'rule-dischargeFactor', row: '0', column: 'value', value: 1.5 },
      { load: { basis: 'lamps', count: 46, eachW: 100, isDischarge: true } },
      'ib',
      (46 * 100 * 1.5) / 230,
    ],
    [
      'a household cooker',
      { table: 'diversity-home', row: 'cooker', column: 'above', value: 40 },
      { use: 'cooker', premises: 'dwelling', load: { basis: 'cooker', powerW: 6900, hasSocket: true } },
      'ib',
      10 + 0.4 * 20 + 5,
    ],
    [
      'the cpc in a flat cable',
      { table: 'cpc-area-flat-twin-earth', column: '1', value: 1 },
      {},
      'ohmPerM',
      7.41e-3 + 18.1e-3,
    ],
    [
      'armour',
      { table: 'cpc-ohm-armoured-70', column: '1', value: 9.1 },
      { cable: { kind: 'armoured-70', method: 'C' } },
      'ohmPerM',
      7.41e-3 + 9.1e-3,
    ],
    [
      'a term in conduit',
      { table: 'terms', row: '4', column: 'long', value: 140 },
      { cable: { kind: 'singles-in-conduit', method: 'B' }, run: { betweenBoxesM: 5, bends: 1 } },
      'containment',
      25,
    ],
    [
      'the cpc of a ring',
      { table: 'cpc-area-flat-twin-earth', column: '1', value: 1 },
      {
        use: 'sockets',
        topology: 'ring',
        lengthM: 50,
        load: { basis: 'current', currentA: 20, powerFactor: 1 },
      },
      'r2',
      18.1e-3 * 50,
    ],
    ['Cmin', { table: 'rule-cMin', row: '0', column: 'value', value: 1 }, {}, 'zsMax', 1.84],
  ])('%s reaches the step that looks it up', (_name, parts, about, step, value) => {
    const circuit = referenceDesign(around(aTask({ ...task, ...about })), {
      ...RULES,
      changes: [change(parts)],
    }).circuits[0]!
    const worked = circuit.steps.find(({ key }) => key === step)!
    expect(worked.value).toBeCloseTo(value, 6)
    expect(worked.source.centre?.place).toBe('Table 4D5, page 412')
  })

  test('k and let-through energy move the least cpc as S = √(I²t) ÷ k has it', () => {
    const least = (parts: Partial<BookChange>[]) => {
      const { values, steps } = design(parts.map(change))
      const { source } = steps.find(({ key }) => key === 'cpcMin')!
      return { mm2: values.cpcMin!, energy: values.energy!, isOwn: source.centre !== undefined }
    }
    const shipped = least([])
    const k = least([{ table: 'k', row: 'flat-twin-earth', column: 'k', value: 100 }])
    expect([k.mm2 / shipped.mm2, k.isOwn]).toEqual([expect.closeTo(1.15, 6), true])
    const energy = least([{ table: 'let-through', row: '32', column: 'B/3', value: 9000 }])
    expect(energy.mm2 / shipped.mm2).toBeCloseTo(Math.sqrt(energy.energy / shipped.energy), 6)
    expect(energy.energy).toBeLessThan(shipped.energy)
  })

  test('diversity moves the demand of the board', () => {
    const lamps = aTask({
      use: 'lighting',
      premises: 'dwelling',
      load: { basis: 'current', currentA: 5, powerFactor: 1 },
    })
    const demand = (changes: BookChange[]) =>
      referenceDesign(around(lamps), { ...RULES, changes }).boards[0]!.steps.find(
        ({ key }) => key === 'demand',
      )!
    expect(demand([]).value).toBeCloseTo(5 * 0.66, 6)
    const own = demand([change({ table: 'diversity-home', row: 'lighting', column: 'largest', value: 50 })])
    expect([own.value, own.source.centre?.place]).toEqual([expect.closeTo(2.5, 6), 'Table 4D5, page 412'])
  })

  test('a 30 mA rule moves with its figure: sockets up to 20 A alone', () => {
    const socket = aTask({
      use: 'sockets',
      points: 1,
      load: { basis: 'current', currentA: 30, powerFactor: 1 },
    })
    const needed = (changes: BookChange[]) =>
      referenceDesign(around(socket), { ...RULES, changes }).circuits[0]!.values.residual
    expect(needed([])).toBe(0.03)
    expect(needed([change({ table: 'rule-socketRcdA', row: '0', column: 'value', value: 20 })])).toBe(0)
  })

  test('a further size is taken once rating, drop and copper are there, and carries a load that had no cable', () => {
    const row = { row: '50' } as const
    const columns = bookTable('rating-singles-in-conduit')!.columns
    const more = [
      ...columns.map((column, i) =>
        change({ table: 'rating-singles-in-conduit', ...row, column, value: 120 + 10 * i }),
      ),
      change({ table: 'drop-singles-in-conduit', ...row, column: '1', value: 0.95 }),
      change({ table: 'drop-singles-in-conduit', ...row, column: '3', value: 0.82 }),
      change({ table: 'copper', ...row, column: 'r', value: 0.387 }),
    ]
    const kinds = (changes: readonly BookChange[]) =>
      sizesIn(bookOf('18-A2', changes), 'singles-in-conduit', 'B', 1).map(({ lineMm2 }) => lineMm2)
    expect(kinds(more)).toContain(50)
    expect(kinds(more.slice(0, -1))).not.toContain(50)
  })

  test('a bay is made of the copper of its book, and of a size that is not shipped', () => {
    const copper = change({ table: 'copper', column: 'r', value: 7.6 })
    const rig = buildRig(around(task), referenceDesign(around(task), { ...RULES, changes: [copper] }), 'bay')!
    const solved = rig.wires.filter(({ areaMm2, run }) => areaMm2 === 2.5 && run !== null)
    expect(solved.length).toBeGreaterThan(0)
    for (const wire of solved) expect(wire.ohmPerM).toBeCloseTo(7.6e-3, 9)
    const sound = buildRig(around(task), referenceDesign(around(task), RULES), 'bay')!
    expect(sound.wires.filter(({ ohmPerM }) => ohmPerM !== undefined)).toEqual([])
    const columns = bookTable('rating-multicore')!.columns
    const heavy = aTask({
      use: 'fixed',
      cable: { kind: 'multicore', method: 'C' },
      load: { basis: 'current', currentA: 120, powerFactor: 1 },
      device: { family: 'breaker', curve: 'B' },
      residualA: null,
      lengthM: 10,
      supply: { arrangement: 'TN-C-S', zeOhm: 0.1, ipfA: 2300 },
      ambientC: 30,
      grouping: { circuits: 1, arrangement: 'bunched' },
    })
    const fifty = [
      ...columns.map((column) => change({ table: 'rating-multicore', row: '50', column, value: 168 })),
      change({ table: 'drop-multicore', row: '50', column: '1', value: 0.95 }),
      change({ table: 'drop-multicore', row: '50', column: '3', value: 0.82 }),
      change({ table: 'copper', row: '50', column: 'r', value: 0.387 }),
      // Only the further size is left to choose.
      change({ table: 'rating-multicore', row: '35', column: 'C/1', value: 112 }),
    ]
    const worked = referenceDesign(around(heavy), { ...RULES, changes: fifty })
    expect(worked.circuits[0]!.values.csa).toBe(50)
    const large = buildRig(around(heavy), worked, 'bay')!
    expect(rigProblems(large)).toEqual([])
    for (const wire of large.wires.filter(({ areaMm2 }) => areaMm2 === 50))
      expect(wire.ohmPerM).toBeCloseTo(0.387e-3, 9)
  })

  test('a rule that stands elsewhere is named there: in the design, the schedule, the library, beside another book', () => {
    const moved = [change({ ...CLAUSE, place: 'page 58' })]
    const installation = around(aTask({ use: 'sockets', residualA: null }))
    const worked = referenceDesign(installation, { ...RULES, changes: moved })
    const step = worked.circuits[0]!.steps.find(({ key }) => key === 'voltDrop')!
    expect(sourceLine(step.source, '18-A2')).toContain('525.101; clause from the centre’s book (page 58)')
    const table = tablesOf(bookOf('18-A2', moved)).find(({ id }) => id === 'cg')!
    expect(table.source.centre).toBeUndefined()
    expect(
      bookDifferences({ edition: '18-A2', own: false }, { edition: '18-A2', own: true }, moved),
    ).toMatchObject([{ second: '525.101' }])
    const polarity = [change({ ...CLAUSE, row: 'polarity', clause: '643.6.2', place: 'page 214' })]
    const bay = bayUnderTest({ ...anExercise({ tests: WHOLE_BOARD }), book: polarity }, 'bay')!
    const read = bay.schedule.find(({ kind }) => kind === 'polarity')!
    expect(bay.expected.get(read.key)!.source.place).toBe('643.6.2')
  })

  test('a limit of the loop is named in the schedule with the book that has it', () => {
    const exercise = anExercise({ tests: WHOLE_BOARD })
    const { device, values } = (() => {
      const { circuit, values: worked } = designOf(assignmentOf(exercise)).circuits[0]!
      return { device: circuit.device, values: worked }
    })()
    const limit = change({ table: 'zs-breakers', row: String(values.in), column: device.curve!, value: 1.2 })
    const bay = bayUnderTest({ ...exercise, book: [limit] }, 'bay')!
    const zs = bay.schedule.find(({ kind }) => kind === 'zs')!
    expect(bay.expected.get(zs.key)).toMatchObject({
      limit: { value: expect.closeTo(1.2 * 0.8, 6) },
      source: { centre: { place: 'Table 4D5, page 412' } },
    })
  })

  test('is found in the library where it stands, with what it replaces', () => {
    const book = bookOf('18-A2', [change({ value: 26.5 })])
    const [hit] = searchLibrary('Where does 26.5 come from?', book).values
    expect(hit).toMatchObject({
      row: '2.5 mm²',
      cell: { value: 26.5, change: { place: 'Table 4D5, page 412' } },
    })
    expect(searchLibrary('26.5').values).toEqual([])
  })
})

describe('what cannot be taken in', () => {
  const codes = (entries: BookEntry[], inUse = new Map<string, string[]>()) =>
    checkEntries(entries, [], inUse).map(({ code }) => code)
  test.each<[string, Partial<BookEntry>, string]>([
    ['a table that is not there', { table: '4Z9' }, 'noTable'],
    ['a column that it has not', { column: 'G/1' }, 'noColumn'],
    ['a row that it has not', { row: '3' }, 'noRow'],
    ['a row that is not a number', { table: 'ca-air', row: 'hot', column: '70', value: 0.5 }, 'noRow'],
    ['a value with the point lost', { value: 2700 }, 'outOfRange'],
    [
      'a factor above what any table has',
      { table: 'ca-air', row: '40', column: '70', value: 87 },
      'outOfRange',
    ],
    ['a day that is none', { from: '2026-02-30' }, 'notADay'],
    ['a day before its edition', { from: '2020-01-01' }, 'beforeEdition'],
    ['no page', { place: '  ' }, 'noPlace'],
    ['a size that carries less than the one below', { value: 19 }, 'outOfOrder'],
    ['a size that carries more than the one above', { value: 38 }, 'outOfOrder'],
    ['a row of a fixed table taken out', { value: null }, 'rowHeld'],
    ['a column left out of a new row', { table: 'ca-air', row: '55', column: '70', value: 0.61 }, 'hole'],
    ['seven circuits after nine', { table: 'cg', row: '11', column: 'bunched', value: 0.48 }, 'hole'],
    ['a clause of no rule', { ...CLAUSE, row: 'nothing' }, 'noRow'],
    ['a clause left empty', { ...CLAUSE, clause: ' ' }, 'noClause'],
    ['a clause with a value', { ...CLAUSE, value: 4 }, 'noClause'],
    ['a value with a clause', { clause: '411.3.3' }, 'clauseElsewhere'],
    ['a clause before its edition', { ...CLAUSE, from: '2020-01-01' }, 'beforeEdition'],
    ['half a row taken out', { table: 'ca-air', row: '50', column: '70', value: null }, 'hole'],
  ])('%s', (_what, parts, code) => {
    expect(codes([entry(parts)])).toContain(code)
  })
  test('one cell twice with two values', () => {
    expect(codes([entry({ value: 26 }), entry({ value: 28 })])).toEqual(['twice'])
  })
  test('a row that exercises rest on', () => {
    const rows = ['70', '90'].map((column) => entry({ table: 'ca-air', row: '50', column, value: null }))
    expect(codes(rows)).toEqual([])
    expect(checkEntries(rows, [], new Map([['ca-air|50', ['T-04', 'T-07']]]))[0]).toMatchObject({
      code: 'rowInUse',
      params: { exercises: 'T-04, T-07' },
    })
  })
  test('a whole new row, and one value that stands, are taken in', () => {
    expect(codes([entry({ value: 26 })])).toEqual([])
    expect(
      codes([
        entry({ table: 'ca-air', row: '55', column: '70', value: 0.61 }),
        entry({ table: 'ca-air', row: '55', column: '90', value: 0.76 }),
      ]),
    ).toEqual([])
  })
})

describe('which values a design rests on, and what a book changes', () => {
  const board = assignmentOf(aBoardOf(6))
  test('each value once, and every one of them is there', () => {
    const used = valuesUsed(designOf(board))
    expect(new Set(used.map((cell) => JSON.stringify(cell))).size).toBe(used.length)
    for (const cell of used)
      expect(printedValue(bookOf(board.edition), cell), JSON.stringify(cell)).toBeDefined()
    expect(used.map(({ table }) => table)).toEqual(expect.arrayContaining(['zs-breakers', 'cg', 'copper']))
  })

  test('only values that a design rests on can move it: a change anywhere else leaves it as it is', () => {
    const used = new Set(valuesUsed(referenceDesign(around(task), RULES)).map(({ table }) => table))
    expect(used.has('rating-mineral')).toBe(false)
    const other = change({ table: 'rating-mineral', value: 35 })
    expect(
      compareDesigns(around(task), RULES, [
        { edition: '18-A2', changes: [] },
        { edition: '18-A2', changes: [other] },
      ]),
    ).toEqual([])
  })

  test('the step where the books differ is told from those that only follow', () => {
    const differences = compareDesigns(around(task), RULES, [
      { edition: '18-A2', changes: [] },
      { edition: '18-A2', changes: [change({})] },
    ])
    expect(differences.filter(({ isCause }) => isCause).map(({ step }) => step)).toEqual(['csa', 'it'])
    expect(differences.find(({ step }) => step === 'csa')).toMatchObject({ before: 2.5, after: 4 })
    expect(differences.find(({ step }) => step === 'zs')).toMatchObject({ isCause: false })
  })

  test('editions: a light at home has its RCD since 2018; a design that the rule does not touch stays', () => {
    const light = {
      ...around(aTask({ use: 'lighting', load: { basis: 'current', currentA: 3, powerFactor: 1 } })),
      premises: 'dwelling' as const,
    }
    const steps = compareDesigns(light, RULES, [
      { edition: '17-A3', changes: [] },
      { edition: '18-A3', changes: [] },
    ])
    expect(steps.find(({ step }) => step === 'residual')).toMatchObject({
      before: 0,
      after: 0.03,
      isCause: true,
    })
    expect(
      compareDesigns(light, RULES, [
        { edition: '18-A2', changes: [] },
        { edition: '18-A3', changes: [] },
      ]),
    ).toEqual([])
  })

  test('an exercise keeps the book that it was set with', () => {
    const kept = anExercise({ installation: around(task), book: [change({})] })
    expect(designOf(assignmentOf(kept)).circuits[0]!.values.csa).toBe(4)
  })
})

describe('what earlier editions asked', () => {
  test('each topic goes forward in time and says something else each time', () => {
    for (const { id, asked } of HISTORY) {
      const days = asked.map(({ from }) => from)
      expect(days, id).toEqual([...new Set(days)].sort())
      expect(new Set(asked.map(({ said }) => said)).size, id).toBe(asked.length)
    }
  })

  test.each([
    // The dates from which new work had to keep an edition, from memory of the notes in front of each.
    ['1979-05-01', []],
    ['1995-05-01', ['16th', '16th', '15th', '15th', '15th', '15th']],
    ['2010-05-01', ['17th', '17th', '17th', '15th', 'Amendment 2', '17th']],
  ])('on %s', (day, editions) => {
    const asked = askedOn(day)
    expect(asked).toHaveLength(editions.length)
    editions.forEach((edition, i) => expect(asked[i]!.step.edition).toContain(edition))
  })

  test('the RCD of a light at home: nothing in 2010, asked since 2019; a socket outdoors since 1983', () => {
    const said = (day: string) => askedOn(day).find(({ topic }) => topic.id === 'history-rcds')!.step.said
    expect(said('2010-01-01')).not.toContain('lighting')
    expect(said('2020-01-01')).toContain('lighting')
    expect(said('1985-01-01')).toContain('outdoors')
  })

  test('is found in the library by what it speaks of', () => {
    expect(searchLibrary('red yellow blue').entries.map(({ id }) => id)).toContain('history-colours')
  })
})
