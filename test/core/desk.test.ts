/* What the desk computes beside the design: rows and pasted tables, materials, advisers, the wheel of laws. */
import { bookOf } from '#core/regulations/book/book'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { adviseAddition, type AdditionQuestion } from '#core/design/advisers/addition'
import { adviseRcd, type RcdQuestion } from '#core/design/advisers/rcd'
import { WHEEL, solveWheel } from '#core/design/calculator/laws'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { DEFAULT_POLICY } from '#core/policies/policy'
import { isTable, pasteCircuits } from '#core/exercise/form/paste'
import { formSentences } from '#words/form'
import { readForm } from '#core/exercise/form/read-form'
import { CIRCUIT_TEMPLATES, addBoard, addCircuit, removeRow, rowOf } from '#core/exercise/form/rows'
import { toForm } from '#core/exercise/form/to-form'
import { layOut } from '#core/exercise/single-line'
import { practiceInstallation, sockets } from '#core/bay/practice/installations'
import { bestDrums, cutFromDrums, cutFromStock, type Drum } from '#core/design/materials/drums'
import { materialsOf } from '#core/design/materials/materials'
import { DUTY_TEXT, NEED_SENTENCE, WAY_TEXT } from '#words/advisers'
import { boards } from '../support/boards'
import { anExercise } from '../support/task'

const FORM = toForm(anExercise())

describe('rows of the builder', () => {
  test('every template has a solution as soon as it is added', () => {
    for (const [name, parts] of Object.entries(CIRCUIT_TEMPLATES)) {
      const { form } = addCircuit({ ...FORM, phases: '3', 'b1.phases': '3' }, { ...parts, line: 'L2' })
      const fed =
        name === 'Feed to a board'
          ? (() => {
              const { form: next } = addCircuit(addBoard(form), { board: 'b2' })
              return next
            })()
          : form
      const { exercise, problems } = readForm(fed, DEFAULT_POLICY)
      expect(problems, name).toEqual({})
      const design = designOf(assignmentOf(exercise!))
      expect(design.ok, `${name}: ${JSON.stringify(design.circuits.map(({ stopped }) => stopped))}`).toBe(
        true,
      )
    }
  })
  test('added and taken out again, the form is as before; a copy has its own way', () => {
    const { form, id } = addCircuit(FORM, rowOf(FORM, 'c1'))
    expect([form[`${id}.way`], form.circuits, form.askCircuits]).toEqual(['2', 'c1 c2', 'c1 c2'])
    expect(removeRow(form, id)).toEqual(FORM)
  })
  test('a box that cannot be read leaves the rest computing', () => {
    const { form } = addCircuit(FORM, {})
    const { installation, exercise, problems } = readForm({ ...form, 'c2.length': 'far' }, DEFAULT_POLICY)
    expect(formSentences(problems)).toEqual({ 'c2.length': 'Write a number in m.' })
    expect(exercise).toBeUndefined()
    expect(installation!.circuits.map(({ id }) => id)).toEqual(['c1'])
  })
})

describe('a table pasted from a spreadsheet', () => {
  test('columns are found by their heads in whatever order, units mixed; strange heads are named', () => {
    const pasted = pasteCircuits(
      FORM,
      'Length\tLoad\tCircuit\tColour\tRCD\n18 m\t2.2 kW\tKettle\tred\t30 mA\n2500\t8 × 18 W\tLights\tblue\tnone\n',
    )
    expect(pasted).toMatchObject({ added: 2, unknown: ['Colour'] })
    expect(rowOf(pasted.form, 'c2')).toMatchObject({
      name: 'Kettle',
      amount: '2.2 kW',
      length: '18 m',
      residual: '30',
      basis: 'power',
    })
    expect(rowOf(pasted.form, 'c3')).toMatchObject({ name: 'Lights', basis: 'lamps', use: 'lighting' })
    const { problems, installation } = readForm(pasted.form, DEFAULT_POLICY)
    expect(formSentences(problems)['c3.length']).toMatch(/500 m or less/)
    expect(installation!.circuits.map(({ id }) => id)).toEqual(['c1', 'c2'])
  })
  test('one value is not a table, nor are cells without heads', () => {
    expect([isTable('18 m'), isTable('18\t4\t2'), isTable('Circuit\tLoad\nA\t2 kW')]).toEqual([
      false,
      false,
      true,
    ])
  })
  test('whatever is pasted, nothing is lost and nothing crashes', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(
            fc.string({ maxLength: 6 }).map((cell) => cell.replace(/[\t\r\n]/g, '')),
            { minLength: 2, maxLength: 5 },
          ),
          { minLength: 1, maxLength: 4 },
        ),
        (rows) => {
          const { form } = pasteCircuits(
            FORM,
            ['Circuit\tLoad\tm\tway\tuse', ...rows.map((row) => row.join('\t'))].join('\n'),
          )
          expect(form).toMatchObject({ ...FORM, circuits: form.circuits, askCircuits: form.askCircuits })
          expect(() => readForm(form, DEFAULT_POLICY)).not.toThrow()
        },
      ),
    )
  })
})

describe('materials', () => {
  const pieces = fc
    .array(fc.double({ min: 1, max: 90, noNaN: true }), { minLength: 1, maxLength: 20 })
    .map((lengths) => lengths.map((m, i) => ({ forWhom: `bay ${i}`, lengthM: Number(m.toFixed(1)) })))
  test('from the store: each piece once, from a drum that holds it, or missing where none did', () => {
    const stock = fc
      .array(fc.double({ min: 0, max: 100, noNaN: true }), { maxLength: 6 })
      .map((all) => all.map((m, i) => ({ label: `D${i}`, leftM: Number(m.toFixed(1)) })))
    fc.assert(
      fc.property(pieces, stock, (wanted, drums) => {
        const cut = cutFromStock(wanted, drums)
        const given = [...cut.drums.flatMap((drum) => drum.pieces), ...cut.missing]
        expect(given.map(({ forWhom }) => forWhom).sort()).toEqual(
          wanted.map(({ forWhom }) => forWhom).sort(),
        )
        for (const { label, pieces: own, leftM } of cut.drums) {
          const whole = drums.find((drum) => drum.label === label)!.leftM
          expect(own.reduce((sum, piece) => sum + piece.lengthM, leftM)).toBeCloseTo(whole, 6)
          expect(leftM).toBeGreaterThanOrEqual(-1e-9)
        }
        const longest = Math.max(0, ...drums.map(({ leftM }) => leftM))
        for (const { lengthM } of wanted.filter((piece) => piece.lengthM > longest))
          expect(cut.missing.map((piece) => piece.lengthM)).toContain(lengthM)
      }),
    )
  })
  test('every piece is cut whole from some drum, and no drum gives more than it holds', () => {
    fc.assert(
      fc.property(pieces, fc.constantFrom(25, 50, 100), (wanted, drumM) => {
        const drums = cutFromDrums(wanted, drumM)
        expect(drums.flatMap((drum) => drum.pieces)).toHaveLength(wanted.length)
        for (const { lengthM, pieces: own, leftM } of drums) {
          expect(leftM).toBeGreaterThanOrEqual(0)
          expect(own.reduce((sum, piece) => sum + piece.lengthM, leftM)).toBeCloseTo(lengthM, 6)
        }
        const waste = (all: readonly Drum[]) => all.reduce((sum, drum) => sum + drum.leftM, 0)
        expect(waste(bestDrums(wanted).drums)).toBeLessThanOrEqual(waste(drums) + 1e-9)
      }),
    )
  })
  test('each built circuit has its cable, longer than the run, and its device', () => {
    fc.assert(
      fc.property(boards, (assignment) => {
        const design = designOf(assignment)
        fc.pre(design.ok)
        const { cables, devices } = materialsOf(design, assignment.asks.circuits)
        expect([cables.length, devices.length]).toEqual([design.circuits.length, design.circuits.length])
        cables.forEach(({ lengthM }, i) => expect(lengthM).toBeGreaterThan(design.circuits[i]!.task.lengthM))
      }),
      { numRuns: 30 },
    )
  })
})

test('the single-line diagram has every board and circuit once, each board below the circuit that feeds it', () => {
  fc.assert(
    fc.property(boards, ({ installation }) => {
      const { rows, bars, height } = layOut(installation)
      expect(rows).toHaveLength(installation.circuits.length + installation.boards.length)
      expect(new Set(rows.map(({ y }) => y)).size).toBe(height)
      for (const row of rows)
        if (row.is === 'board' && row.fedFromY !== null) expect(row.fedFromY).toBeLessThan(row.y)
      expect(bars.map(({ board }) => board)).toEqual(installation.boards.map(({ id }) => id))
    }),
    { numRuns: 40 },
  )
})

test('an SPD is drawn on the bar of its own board before the circuits, a standby source above everything', () => {
  const plain = practiceInstallation([sockets()])
  const [board] = plain.boards
  const drawn = layOut({
    ...plain,
    intake: { ...plain.intake, standby: { source: 'generator', powerW: 6000 } },
    boards: [{ ...board!, surge: { deviceWay: 5, way: 6 } }],
  })
  expect(drawn.rows.map(({ is, y }) => [is, y])).toEqual([
    ['sources', 0],
    ['board', 1],
    ['surge', 2],
    ['circuit', 3],
  ])
  expect(drawn.bars).toMatchObject([{ fromY: 1, toY: 3 }])
})

describe('advisers', () => {
  const home: RcdQuestion = {
    edition: '18-A2',
    book: bookOf('18-A2'),
    use: 'sockets',
    premises: 'dwelling',
    location: 'general',
    concealed: false,
    supply: { arrangement: 'TN-C-S', zeOhm: 0.3 },
    ratingA: 32,
    dc: 'none',
    boardTakesRcbo: true,
    isAddition: true,
  }
  const ways = (parts: Partial<RcdQuestion>) => adviseRcd({ ...home, ...parts }).ways.map(({ way }) => way)
  test('editions differ: one socket-outlet of 32 A and a light at home were free of it in 2015, 13 A outlets on 32 A were not', () => {
    const needed = (parts: Partial<RcdQuestion>) =>
      (['17-A3', '18', '18-A2'] as const).map(
        (edition) => adviseRcd({ ...home, ...parts, edition, book: bookOf(edition) }).neededA,
      )
    expect(needed({ points: 1 })).toEqual([0, 0.03, 0.03])
    expect(needed({})).toEqual([0.03, 0.03, 0.03])
    expect(
      (['17-A3', '18'] as const).map(
        (edition) =>
          adviseRcd({ ...home, edition, book: bookOf(edition), use: 'lighting', ratingA: 6 }).neededA,
      ),
    ).toEqual([0, 0.03])
  })
  test('the least trouble comes first; a socket with its own RCD is no help for a hidden cable or a TT circuit', () => {
    expect(ways({})[0]).toBe('rcbo')
    expect(ways({ boardTakesRcbo: false })).toEqual(['socket', 'separate-enclosure', 'upstream', 'new-board'])
    expect(ways({ boardTakesRcbo: false, concealed: true })).not.toContain('socket')
    expect(ways({ supply: { arrangement: 'TT', zeOhm: 90 } })).not.toContain('socket')
    expect(ways({ use: 'fixed', ratingA: 20, isAddition: false })).toEqual([])
  })
  test('a circuit that is there already: nothing retrospectively, why new work would need one, recommended', () => {
    const there = adviseRcd({ ...home, isAddition: false, isExisting: true })
    expect(there).toMatchObject({ neededA: 0, ways: [], isRetrospective: true, isRecommended: true })
    expect(there.needs.map(({ code }) => code)).toContain('sockets')
    expect(adviseRcd({ ...home, isAddition: false })).toMatchObject({ neededA: 0.03, isRetrospective: false })
  })
  test('an addition: adequate earthing first, a spur of a spur refused, its record by its kind', () => {
    const ask = (parts: Partial<AdditionQuestion>) =>
      adviseAddition({
        ...home,
        addition: 'single-to-twin',
        earthingAdequate: true,
        hasRcd: false,
        isSpurOfSpur: false,
        ...parts,
      }).duties.map(({ duty }) => duty)
    expect(ask({ earthingAdequate: false }).slice(0, 2)).toEqual(['look-first', 'earthing-first'])
    expect(ask({ isSpurOfSpur: true })).toContain('spur-of-spur')
    expect(ask({ addition: 'points-on-ring' })).toEqual(
      expect.arrayContaining(['extend-ring', 'residual', 'record-minor']),
    )
    expect(ask({ addition: 'new-circuit' })).toContain('record-full')
    expect(ask({ hasRcd: true })).toContain('residual-there')
  })
  test('every answer has its sentence', () => {
    for (const words of [
      ...Object.values(DUTY_TEXT),
      ...Object.values(NEED_SENTENCE),
      ...Object.values(WAY_TEXT).map(({ cost }) => cost),
    ])
      expect(words).toMatch(/\.$/)
  })
})

test('the wheel: any two of V, I, R, P give the others, and agree with V = I × R and P = V × I', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 500, noNaN: true }),
      fc.double({ min: 0.1, max: 500, noNaN: true }),
      fc.subarray([...WHEEL], { minLength: 2, maxLength: 2 }),
      (v, i, known) => {
        const all = { V: v, I: i, R: v / i, P: v * i }
        const solved = solveWheel(Object.fromEntries(known.map((key) => [key, all[key]])))!
        for (const key of WHEEL) expect(solved.values[key] / all[key], key).toBeCloseTo(1, 9)
        expect(solved.steps).toHaveLength(2)
      },
    ),
  )
  expect(solveWheel({ V: 230 })).toBeUndefined()
  expect(solveWheel({ V: 230, I: 0 })).toBeUndefined()
})
