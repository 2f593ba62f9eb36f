/* The centre's own book: entered by one person, checked by another, used by every design after that. */
import { beforeEach, describe, expect, it } from 'vitest'
import { designOf } from '#core/exercise/assignment'
import type { BookEntry } from '#core/regulations/book/check'
import { bookOf, printedValue } from '#core/regulations/book/book'
import type { BookChange } from '#core/regulations/book/change'
import type { Edition } from '#core/regulations/editions'
import type { Question } from '#core/questions/question'
import { QUESTIONS_OF_BOOK, cellOfQuestion, questionIn } from '#words/questions/book-cells'
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { asInBook } from '../../server/services/question-bank'
import { sourceLine } from '#core/regulations/source'
import {
  agreeBookValue,
  checkBookValue,
  enterBookValues,
  showBook,
  showBookInForce,
  signBookList,
  withdrawBookValue,
} from '../../server/services/book'
import { withBook } from '../../server/services/book-in-force'
import { compareBooks } from '../../server/services/book-compare'
import { bookList, exportBook, importBook } from '../../server/services/book-files'
import { assignmentFor } from '../../server/services/assignment'
import { createExercise, importExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import { hashPassword } from '../../server/services/passwords'
import { Problem } from '../../server/services/problem'
import { choosePin } from '../../server/services/signatures'
import { NOW, aCentre, type Centre } from '../support/centre'
import { refusal, refusedAtOnce } from '../support/refusal'
import { aTask, anExercise, around } from '../support/task'

/** 25 A on 2.5 mm² flat twin and earth with 27 A in the table: with 24 A there it must be 4 mm². */
const tight = anExercise({
  installation: around(
    aTask({
      use: 'fixed',
      cable: { kind: 'flat-twin-earth', method: 'C' },
      load: { basis: 'current', currentA: 22, powerFactor: 1 },
      lengthM: 10,
      ambientC: 30,
      grouping: { circuits: 1, arrangement: 'bunched' },
    }),
  ),
})
const entry = (parts: Partial<BookEntry> = {}): BookEntry => ({
  edition: '18-A2',
  table: 'rating-flat-twin-earth',
  row: '2.5',
  column: 'C/1',
  value: 24,
  from: '2026-09-01',
  place: 'Table 4D5, page 412',
  ...parts,
})

let centre: Centre
beforeEach(() => {
  centre = aCentre()
})
const enter = (parts: Partial<BookEntry> = {}) =>
  enterBookValues(centre.context, centre.instructor, [entry(parts)])
const csaOf = (attemptId: number): number | undefined =>
  designOf(assignmentFor(centre.context, centre.repos.attempts.byId(attemptId)!)).circuits[0]!.values.csa
/** Sets the tight exercise under a code of its own; the first apprentice's sheet. */
function set(code: string): number {
  const { context, instructor, repos, apprentice } = centre
  const stored = createExercise(context, instructor, { ...tight, code })
  setAtOnce(context, instructor, { id: stored.id, version: stored.version, cohort: 'Thursday' })
  return repos.attempts.byPerson(apprentice.id).find(({ exerciseId }) => exerciseId === stored.id)!.id
}

describe('a value that the book says otherwise', () => {
  it('is used from the day on which it holds, and marked until a second person has checked it', () => {
    enter({ from: '2027-01-01' })
    expect(showBookInForce(centre.context, centre.apprentice).changes).toEqual([])
    enter({ from: '2026-09-01', value: 26 })
    const changes = () => showBookInForce(centre.context, centre.apprentice).changes
    expect(changes()).toMatchObject([{ value: 26, checked: false }])
    const [first] = centre.repos.book.standing().filter(({ value }) => value === 26)
    checkBookValue(centre.context, centre.assessor, first!.id)
    expect(changes()).toMatchObject([{ value: 26, checked: true }])
    // From the first of January the other one holds.
    const later = { ...centre.context, now: '2027-01-02T08:00:00.000Z' }
    expect(showBookInForce(later, centre.apprentice).changes).toMatchObject([{ value: 24, checked: false }])
  })

  it('moves drafts, and exercises that are set from then on; what was set keeps the book of its day', () => {
    const before = set('X-1')
    enter()
    const draft = createExercise(centre.context, centre.instructor, { ...tight, code: 'X-2' })
    const worked = designOf(withBook(centre.context, 'draft', draft.exercise)).circuits[0]!
    expect(worked.values.csa).toBe(4)
    const after = set('X-3')
    expect([csaOf(before), csaOf(after)]).toEqual([2.5, 4])
    const [value] = centre.repos.book.standing()
    withdrawBookValue(centre.context, centre.instructor, value!.id)
    expect([csaOf(before), csaOf(after), csaOf(set('X-4'))]).toEqual([2.5, 4, 2.5])
  })

  it('is named beside the step that looks it up', () => {
    enter({ value: 30 })
    const draft = createExercise(centre.context, centre.instructor, tight)
    const exercise = withBook(centre.context, 'draft', draft.exercise)
    const it = designOf(exercise).circuits[0]!.steps.find(({ key }) => key === 'it')!
    expect(sourceLine(it.source, exercise.edition)).toMatch(/page 412.*not yet checked/)
  })

  it('is never checked by whoever wrote it down, nor twice, nor after it was taken back', () => {
    enter()
    const { id } = centre.repos.book.standing()[0]!
    expect(refusedAtOnce(() => checkBookValue(centre.context, centre.instructor, id))).toBe('bookOwnCheck')
    checkBookValue(centre.context, centre.assessor, id)
    expect(refusedAtOnce(() => checkBookValue(centre.context, centre.administrator, id))).toBe('bookChecked')
    withdrawBookValue(centre.context, centre.assessor, id)
    expect(refusedAtOnce(() => checkBookValue(centre.context, centre.administrator, id))).toBe('notFound')
    expect(refusedAtOnce(() => withdrawBookValue(centre.context, centre.assessor, id))).toBe('notFound')
  })

  it('a clause number is named at the step, and never stands in the walk', () => {
    enter({ table: 'clauses', row: 'voltDropLimit', column: 'place', value: null, clause: ' 525.101 ' })
    const view = showBook(centre.context, centre.assessor, '18-A2')
    expect(view.values).toMatchObject([{ clause: '525.101', checkedBy: null }])
    expect(view.walk.some(({ table }) => table === 'clauses')).toBe(false)
    checkBookValue(centre.context, centre.assessor, view.values[0]!.id)
    const { changes } = showBookInForce(centre.context, centre.apprentice)
    expect(changes).toMatchObject([{ clause: '525.101', checked: true }])
  })

  it('an exercise that keeps a clause goes out as a file and comes back', () => {
    enter({
      table: 'clauses',
      row: 'minimumTabulatedCurrent',
      column: 'place',
      value: null,
      clause: '433.1.101',
    })
    const attempt = centre.repos.attempts.byId(set('T-71'))!
    const { exercise } = centre.repos.exercises.byId(attempt.exerciseId)!
    expect(exercise.book).toMatchObject([{ clause: '433.1.101' }])
    const text = JSON.stringify({ ...exercise, code: 'T-72' })
    expect(importExercise(centre.context, centre.instructor, text).exercise.book).toEqual(exercise.book)
  })

  it('cannot be rewritten in the database: who wrote what, and when, stays', () => {
    enter()
    const run = (sql: string) => () => centre.db.prepare(sql).run()
    expect(run('UPDATE book_value SET value = 30')).toThrow(/written once/)
    expect(run('DELETE FROM book_value')).toThrow(/append-only/)
    expect(run('UPDATE book_value SET checked_by = entered_by')).toThrow(/CHECK/)
  })

  it('apprentices and technicians read it and change nothing', () => {
    for (const actor of [centre.apprentice, centre.technician, centre.verifier]) {
      expect(refusedAtOnce(() => enterBookValues(centre.context, actor, [entry()]))).toBe('notAllowed')
      expect(refusedAtOnce(() => showBook(centre.context, actor, '18-A2'))).toBe('notAllowed')
      expect(showBookInForce(centre.context, actor).changes).toEqual([])
    }
  })
})

describe('what cannot be taken in', () => {
  it('a file with one wrong line changes nothing, and says which line and why', () => {
    const file = {
      name: 'book.csv',
      content: [
        'edition,table,row,column,value,from,place',
        '18-A2,rating-flat-twin-earth,2.5,C/1,26,2026-09-01,Table 4D5',
        '18-A2,ca-air,40,70,8.7,2026-09-01,Table 4B1',
      ].join('\n'),
    }
    try {
      importBook(centre.context, centre.instructor, file)
      expect.unreachable()
    } catch (error) {
      expect(error).toBeInstanceOf(Problem)
      expect((error as Problem).fields).toMatchObject([
        { field: '2.', message: expect.stringContaining('Ca by air') },
      ])
    }
    expect(centre.repos.book.standing()).toEqual([])
  })
  it.each([
    ['no JSON', '{ "format": "nakshi.book",'],
    ['another format', '{ "format": "nakshi.exercise", "version": 1, "values": [] }'],
    ['a column missing', 'edition,table,row,value\n18-A2,cg,2,0.8'],
    ['a word for a value', 'edition,table,row,column,value,from,place\n18-A2,cg,2,bunched,much,2026-09-01,p'],
    ['an unknown edition', 'edition,table,row,column,value,from,place\n16,cg,2,bunched,0.8,2026-09-01,p'],
    ['nothing at all', ''],
  ])('a file: %s', async (_what, content) => {
    expect(await refusal(() => importBook(centre.context, centre.instructor, { name: 'f', content }))).toBe(
      'bookFileWrong',
    )
  })
  it('a row that an exercise rests on stays', () => {
    createExercise(centre.context, centre.instructor, {
      ...tight,
      installation: around(aTask({ ambientC: 40 })),
    })
    const rows = ['70', '90'].map((column) => entry({ table: 'ca-air', row: '40', column, value: null }))
    expect(refusedAtOnce(() => enterBookValues(centre.context, centre.instructor, rows))).toBe(
      'bookEntriesWrong',
    )
  })
})

describe('a file of the book', () => {
  const values = [
    entry({ value: 26.5, place: 'Table 4D5, page 412; “Reference Method C”' }),
    entry({ table: 'ca-air', row: '55', column: '70', value: 0.61 }),
    entry({ table: 'ca-air', row: '55', column: '90', value: 0.76 }),
    entry({
      edition: '18-A3',
      table: 'rule-socketRcdA',
      row: '0',
      column: 'value',
      value: 32,
      from: '2026-01-01',
    }),
    entry({ table: 'clauses', row: 'voltDropLimit', column: 'place', value: null, clause: '525.101' }),
  ]
  it.each(['json', 'csv'] as const)(
    'goes out and comes back the same as %s, waiting for a second person',
    (as) => {
      enterBookValues(centre.context, centre.instructor, values)
      for (const { id } of centre.repos.book.standing()) checkBookValue(centre.context, centre.assessor, id)
      const { name, content } = exportBook(centre.context, centre.assessor, as)
      const other = aCentre()
      importBook(other.context, other.instructor, { name, content })
      const plain = (of: Centre) =>
        of.repos.book
          .standing()
          .map(({ edition, table, row, column, value, clause, from, place }) => ({
            edition,
            table,
            row,
            column,
            value,
            clause,
            from,
            place,
          }))
      expect(plain(other)).toEqual(plain(centre))
      expect(other.repos.book.standing().every(({ checkedBy }) => checkedBy === null)).toBe(true)
    },
  )
})

describe('the walk through the book', () => {
  beforeEach(() => void createExercise(centre.context, centre.instructor, tight))
  const walk = () => showBook(centre.context, centre.instructor, '18-A2').walk

  it('holds every value that the exercises look up, our own doubts first, with the exercises', () => {
    expect(walk().length).toBeGreaterThan(8)
    expect(walk().every(({ state, exercises }) => state === 'open' && exercises.includes(tight.code))).toBe(
      true,
    )
    const doubted = walk().map(({ isDoubted }) => isDoubted)
    expect(doubted).toEqual([...doubted].sort((a, b) => Number(b) - Number(a)))
    expect(showBook(centre.context, centre.instructor, '17-A3').walk).toEqual([])
  })

  it('a value that changed while it stood on the screen is not agreed to', () => {
    const item = walk().find(({ table }) => table === 'rating-flat-twin-earth')!
    const body = { edition: '18-A2' as const, table: item.table, row: item.row, column: item.column }
    enter({ value: 26 })
    expect(
      refusedAtOnce(() => agreeBookValue(centre.context, centre.assessor, { ...body, value: item.value! })),
    ).toBe('changedSince')
  })

  it('is signed when every value was checked, and those that differ by a second person', async () => {
    const { context, instructor, assessor, repos } = centre
    repos.people.setPassword(instructor.id, await hashPassword('three words apart'), false)
    await choosePin(context, instructor, 'three words apart', '58214')
    const seen = () => showBook(context, instructor, '18-A2').seen
    const sign = () =>
      signBookList(context, instructor, {
        edition: '18-A2',
        name: instructor.name,
        pin: '58214',
        seen: seen(),
      })
    enter({ value: 26 })
    for (const { table, row, column, value, state } of walk())
      if (state === 'open')
        agreeBookValue(context, assessor, { edition: '18-A2', table, row, column, value: value! })
    expect(walk().map(({ state }) => state)).not.toContain('open')
    expect(await refusal(sign)).toBe('bookNotDone')
    checkBookValue(context, assessor, repos.book.standing()[0]!.id)
    const stale = seen()
    const view = await sign()
    expect(view.lists).toMatchObject([{ edition: '18-A2', by: instructor.name, values: walk().length }])
    const { document, hash } = bookList(context, assessor, view.lists[0]!.id)
    expect(hash).toMatch(/^[0-9a-f]{64}$/)
    expect(JSON.parse(document).values).toHaveLength(walk().length)
    expect(() => centre.db.prepare("UPDATE book_list SET document = '{}'").run()).toThrow(/signed/)
    // Somebody writes something down while the PIN is typed.
    enter({ table: 'ca-air', row: '30', column: '70', value: 1 })
    expect(
      await refusal(() =>
        signBookList(context, instructor, {
          edition: '18-A2',
          name: instructor.name,
          pin: '58214',
          seen: stale,
        }),
      ),
    ).toBe('changedSince')
  })
})

describe('what another book changes', () => {
  it('names the exercises and sheets that come out otherwise, and at which step the books differ', async () => {
    set('X-1')
    createExercise(centre.context, centre.instructor, {
      ...anExercise({ code: 'X-2' }),
      installation: around(
        aTask({ use: 'lighting', load: { basis: 'current', currentA: 3, powerFactor: 1 } }),
      ),
    })
    enter()
    const told: number[] = []
    const compared = await compareBooks(
      centre.context,
      centre.instructor,
      { first: { edition: '18-A2', own: false }, second: { edition: '18-A2', own: true } },
      ({ done }) => told.push(done),
    )
    expect(told).toEqual([0])
    // The exercise itself and the two sheets of the group.
    expect(compared.exercises).toMatchObject([{ code: 'X-1', designs: 3, changed: 3 }])
    expect(compared.designs).toBe(4)
    const cause = compared.exercises[0]!.differences.find(({ step }) => step === 'csa')!
    expect(cause).toMatchObject({ before: 2.5, after: 4, isCause: true })
  })
  it('nothing where the books say the same', async () => {
    set('X-1')
    const same = { edition: '18-A2' as const, own: true }
    const compared = await compareBooks(
      centre.context,
      centre.assessor,
      { first: same, second: same },
      () => {},
    )
    expect(compared).toMatchObject({ changed: 0, exercises: [] })
  })
})

it('is kept over a day: what holds today is the same object until something is written', () => {
  enter({ value: 26 })
  const first = centre.repos.book.inForce(NOW.slice(0, 10))
  expect(centre.repos.book.inForce(NOW.slice(0, 10))).toBe(first)
  enter({ table: 'ca-air', row: '40', column: '70', value: 0.86 })
  expect(centre.repos.book.inForce(NOW.slice(0, 10))).toHaveLength(2)
})

describe('questions', () => {
  const numbers = (code: string) =>
    (SHIPPED_QUESTIONS.find((question) => question.code === code) as Question).expected
  it('every question that rests on one value of the book has it as it is shipped', () => {
    for (const code of QUESTIONS_OF_BOOK) {
      const question = SHIPPED_QUESTIONS.find((one) => one.code === code)
      const edition = question?.edition ?? '18-A3'
      const same = questionIn(question!, bookOf(edition, [moved(edition, code)]))
      expect(same.expected, code).toMatchObject({ value: (numbers(code) as { value: number }).value })
      expect(same.source).toContain('page 1')
    }
  })
  it('a rehearsal asks for what the centre’s book says, and a question of the centre’s own stays', () => {
    const question = SHIPPED_QUESTIONS.find(({ code }) => code === 'ca-it-25')!
    const book = bookOf('18-A3', [{ ...entry({ edition: '18-A3', value: 26 }), checked: true }])
    expect(asInBook([question], book)[0]!.expected).toMatchObject({ value: 26 })
    expect(asInBook([{ ...question }], book)[0]!.expected).toMatchObject({ value: 27 })
  })
  /** The shipped value, written down as the centre's own. */
  const moved = (edition: Edition, code: string): BookChange => {
    const cell = cellOfQuestion(code)
    return { ...cell, edition, value: printedValue(bookOf(edition), cell)!, place: 'page 1', checked: true }
  }
})
