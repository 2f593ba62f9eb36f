/* Questions: how answers are judged, when they come again, what is asked now, and that the bank that comes with
   the product can be asked as it is. */
import { describe, expect, it } from 'vitest'
import { FSRS, Rating, createEmptyCard, generatorParameters } from 'ts-fsrs'
import fc from 'fast-check'
import { questionsNow, type Standing } from '#core/questions/choose'
import { spotsOf } from '#core/questions/drawings'
import { judgeAnswer, unitOf } from '#core/questions/judge'
import { countsAs } from '#core/questions/outcome'
import { questionProblems, type Expected, type Question } from '#core/questions/question'
import { recallState, type Review } from '#core/questions/recall'
import { correlation, itemStatistics } from '#core/questions/statistics'
import { TOPICS } from '#core/questions/topics'
import { DEFAULT_QUESTIONS } from '#core/policies/questions'
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { GLOSSARY } from '#words/glossary/index'
import { TERM_OF_STEP, TERM_OF_TEST } from '#words/glossary/of-step'
import { SPOT_NAME } from '#words/questions/labels'

const number = (value: number, unit: string, within = 0): Expected => ({
  kind: 'number',
  value,
  unit,
  within,
})
const typed = (expected: Expected, text: string) => judgeAnswer(expected, { kind: 'text', text })

describe('a number is judged by value and unit, not by form', () => {
  it.each([
    ['500 Ω', 'right'],
    ['0.5 kΩ', 'right'],
    ['500 ohms', 'right'],
    ['0.5 kilohms', 'right'],
    ['500,000 mΩ', 'right'],
    ['500', 'half'],
    ['500 kΩ', 'half'],
    ['500 V', 'wrong'],
    ['5000 Ω', 'wrong'],
    ['about a lot', 'wrong'],
  ])('%s for 500 Ω is %s', (text, is) => expect(typed(number(500, 'Ω'), text).is).toBe(is))

  it.each([
    [0.4, 's', '400 ms', 'right'],
    [40, 'ms', '0.04 s', 'right'],
    [1.5, 'mm²', '1.5 mm2', 'right'],
    [3, '£', '£3.00', 'right'],
    [1, 'MΩ', '1 mΩ', 'half'],
    [5, 'years', '5', 'right'],
    [-6, '%', '−6 %', 'right'],
    [18, 'mV/A/m', '18 mV/A/m', 'right'],
  ])('%f %s given as %s is %s', (value, unit, text, is) =>
    expect(typed(number(value, unit), text).is).toBe(is),
  )

  it('says what is wrong with it: the prefix, the unit, how far off', () => {
    expect(typed(number(1, 'MΩ'), '1 kΩ').why).toEqual({ code: 'prefix' })
    expect(typed(number(230, 'V'), '230').why).toEqual({ code: 'noUnit' })
    expect(typed(number(230, 'V'), '230 A').why).toEqual({ code: 'otherQuantity' })
    expect(typed(number(1.37, 'Ω'), '13.7 Ω').why).toMatchObject({ code: 'off', ratio: expect.closeTo(10) })
  })

  it('any figure in any prefix of its unit is right where the value is', () => {
    const prefixes = ['', 'm', 'k', 'M', 'µ'] as const
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5000, noNaN: true }),
        fc.constantFrom(...prefixes),
        fc.constantFrom('Ω', 'V', 'A', 'W'),
        (value, prefix, unit) => {
          const text = `${(value / unitOf(`${prefix}${unit}`)!.factor).toFixed(12)} ${prefix}${unit}`
          return typed(number(value, unit, value * 0.001), text).is === 'right'
        },
      ),
    )
  })
})

describe('other kinds', () => {
  it('choosing is whole or not; some of several is half', () => {
    const several: Expected = { kind: 'choose', options: ['a', 'b', 'c'], right: [0, 2] }
    expect(judgeAnswer(several, { kind: 'chosen', options: [2, 0] }).is).toBe('right')
    expect(judgeAnswer(several, { kind: 'chosen', options: [0] }).is).toBe('half')
    expect(judgeAnswer(several, { kind: 'chosen', options: [0, 1] }).is).toBe('wrong')
  })
  it('two neighbours the wrong way round are half right', () => {
    const order: Expected = { kind: 'order', items: ['a', 'b', 'c', 'd'] }
    const given = (items: string[]) => judgeAnswer(order, { kind: 'ordered', items }).is
    expect(given(['a', 'b', 'c', 'd'])).toBe('right')
    expect(given(['a', 'c', 'b', 'd'])).toBe('half')
    expect(given(['d', 'b', 'c', 'a'])).toBe('wrong')
    expect(given(['a', 'b', 'c'])).toBe('wrong')
  })
  it('“it depends” where it does not is half right; an answer of another kind is not', () => {
    const verdict: Expected = { kind: 'verdict', verdict: 'false', why: 'because' }
    expect(judgeAnswer(verdict, { kind: 'verdict', verdict: 'depends' }).is).toBe('half')
    expect(judgeAnswer(verdict, { kind: 'verdict', verdict: 'true' }).is).toBe('wrong')
    expect(judgeAnswer(verdict, { kind: 'text', text: 'false' }).is).toBe('wrong')
  })
})

describe('spaced return', () => {
  const at = (day: number) => new Date(Date.UTC(2026, 8, 1 + day)).toISOString()
  it('the package keeps its published vector', () => {
    // FSRS-6, ratings good ×6, again ×2, good ×5: intervals in days. From memory of the package's own FSRS-6 test.
    const scheduler = new FSRS(generatorParameters({ enable_fuzz: false }))
    const ratings = [3, 3, 3, 3, 3, 3, 1, 1, 3, 3, 3, 3, 3] as const
    let card = createEmptyCard(new Date(Date.UTC(2022, 10, 29, 12, 30)))
    let now = card.due
    const intervals = ratings.map((rating) => {
      card = scheduler.next(card, now, rating as Rating.Good).card
      now = card.due
      return card.scheduled_days
    })
    expect(intervals).toEqual([0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21])
  })
  it('after one good answer the stability is a published default weight; good comes a day after hard', () => {
    const state = recallState([{ at: at(0), recall: 'good' }])!
    // From memory of the published default weights of FSRS-6: w2 = 2.3065 days to a chance of 0.9. The package rounds
    // to whole days and keeps good at least a day behind hard.
    expect(state.stabilityDays).toBeCloseTo(2.3065, 3)
    expect(recallState([{ at: at(0), recall: 'helped' }])!.dueAt).toBe(at(2))
    expect(state.dueAt).toBe(at(3))
  })
  it('known well it comes later each time, not known it comes tomorrow', () => {
    const good = (days: number[]): Review[] => days.map((day) => ({ at: at(day), recall: 'good' }))
    const due = (reviews: readonly Review[]) => recallState(reviews)!.dueAt
    expect(due(good([0, 3])) > due(good([0]))).toBe(true)
    expect(due([...good([0, 3]), { at: at(14), recall: 'lost' }]) < at(18)).toBe(true)
    expect(recallState([])).toBeNull()
  })
})

describe('what to ask now', () => {
  const question = (code: string, over: Partial<Question> = {}): Question => ({
    ...SHIPPED_QUESTIONS[0]!,
    code,
    topic: 'dead',
    level: 2,
    moments: [],
    ...over,
  })
  const standing = (over: Partial<Standing> = {}): Standing => ({
    moment: 'dead',
    reviews: new Map(),
    heard: new Set(),
    open: new Set(),
    openCriteria: new Set(),
    lately: null,
    now: '2026-11-12T14:00:00.000Z',
    ...over,
  })
  const codes = (bank: readonly Question[], over: Partial<Standing> = {}) =>
    questionsNow(bank, standing(over), 'somebody').map(({ question: { code } }) => code)
  const bank = Array.from({ length: 20 }, (_, i) => question(`d-${i}`, { topic: TOPICS[i % TOPICS.length]! }))

  it('an own slip comes first, a due one before a fresh one; three to five fit', () => {
    const weak: Review[] = [{ at: '2026-11-01T10:00:00.000Z', recall: 'lost' }]
    const asked = codes([...bank, question('job-finding-c1'), question('weak')], {
      reviews: new Map([['weak', weak]]),
    })
    expect(asked.slice(0, 2)).toEqual(['job-finding-c1', 'weak'])
    expect(asked.length).toBeGreaterThanOrEqual(3)
    expect(asked.length).toBeLessThanOrEqual(5)
  })
  it('never what was just heard, never what is not due, never what belongs to another moment', () => {
    const all = codes([question('a'), question('b'), question('c', { topic: 'containment' })])
    expect(all.toSorted()).toEqual(['a', 'b'])
    expect(codes([question('a'), question('b')], { heard: new Set(['a']) })).toEqual(['b'])
    const fresh: Review[] = [{ at: '2026-11-12T10:00:00.000Z', recall: 'good' }]
    expect(codes([question('a'), question('b')], { reviews: new Map([['a', fresh]]) })).toEqual(['b'])
  })
  it('the difficulty fits: who knew everything lately is asked to reason', () => {
    const levels = [1, 2, 3].map((level) => question(`l${level}`, { level: level as 1, topic: 'dead' }))
    expect(codes(levels, { lately: 1 })[0]).toBe('l3')
    expect(codes(levels, { lately: 0 })[0]).toBe('l1')
  })
  it('a prompt counts as the centre says', () => {
    expect(countsAs('prompted', DEFAULT_QUESTIONS)).toBe(true)
    expect(countsAs('prompted', { ...DEFAULT_QUESTIONS, prompted: 'noted' })).toBeNull()
    expect(countsAs('notYet', DEFAULT_QUESTIONS)).toBe(false)
  })
})

describe('item statistics', () => {
  it('correlation agrees with a worked example', () => {
    // y = 2x − 1 exactly, then one pair off: r of (1,1) (2,3) (3,5) (4,6) is 8.5 / √(5 × 14.75) = 0.9898, by hand.
    expect(correlation([[1, 1], [2, 3], [3, 5]])).toBeCloseTo(1, 9) // prettier-ignore
    expect(correlation([[1, 1], [2, 3], [3, 5], [4, 6]])).toBeCloseTo(0.98977, 4) // prettier-ignore
    expect(correlation([[1, 2], [3, 2]])).toBeNull() // prettier-ignore
  })
  it('eleven answers are too few to say, twelve say it', () => {
    const answers = (people: number) =>
      Array.from({ length: people }, (_, person) => [
        { person, code: 'a', score: person % 2 },
        { person, code: 'b', score: person % 2 },
      ]).flat()
    expect(itemStatistics(answers(11))[0]).toMatchObject({ facility: null, discrimination: null })
    expect(itemStatistics(answers(12))[0]).toMatchObject({ facility: 0.5, discrimination: expect.closeTo(1) })
  })
})

describe('the bank that comes with the product', () => {
  it('has 250 questions and more, 30 myths and more, every topic, and every one can be asked', () => {
    expect(SHIPPED_QUESTIONS.length).toBeGreaterThanOrEqual(250)
    expect(SHIPPED_QUESTIONS.filter(({ isMyth }) => isMyth).length).toBeGreaterThanOrEqual(30)
    expect(new Set(SHIPPED_QUESTIONS.map(({ code }) => code)).size).toBe(SHIPPED_QUESTIONS.length)
    expect(new Set(SHIPPED_QUESTIONS.map(({ topic }) => topic)).size).toBe(TOPICS.length)
    for (const question of SHIPPED_QUESTIONS) {
      const spots = question.expected.kind === 'point' ? spotsOf(question.expected.drawing) : []
      expect(questionProblems(question, spots), question.code).toEqual([])
      expect(question.source, question.code).not.toBe('')
      for (const spot of spots) expect(SPOT_NAME[spot], spot).toBeTruthy()
    }
  })
  it('a number that is asked in a unit can be given in it', () => {
    for (const { expected, code } of SHIPPED_QUESTIONS)
      if (expected.kind === 'number')
        expect(typed(expected, `${expected.value} ${expected.unit}`).is, code).toBe('right')
  })
  /** Source of each: from memory of the printed tables named. */
  it.each([
    ['bo-zs-b32', 1.37, 'BS 7671 Table 41.3'],
    ['bo-zs-c16', 1.37, 'BS 7671 Table 41.3'],
    ['bo-zs-b6', 7.28, 'BS 7671 Table 41.3'],
    ['ca-it-25', 27, 'BS 7671 Table 4D5, method C'],
    ['ca-it-6', 47, 'BS 7671 Table 4D5, method C'],
    ['ca-ambient', 0.87, 'BS 7671 Table 4B1'],
    ['ca-grouping', 0.7, 'BS 7671 Table 4C1'],
    ['ca-copper-1', 18.1, 'On-Site Guide Table I1'],
    ['ca-cpc-10', 10, 'BS 7671 Table 54.7'],
    ['ca-cpc-25mm', 16, 'BS 7671 Table 54.7'],
    ['pr-temperature', 20, 'On-Site Guide Table I3: 1.20'],
    ['rc-zs-30', 1667, 'BS 7671 Table 41.5'],
    ['rc-zs-100', 500, 'BS 7671 Table 41.5'],
    ['su-ze-tncs', 0.35, 'declared by distributors'],
    ['su-ze-tns', 0.8, 'declared by distributors'],
    ['su-lowest', 216.2, 'ESQCR: 230 V − 6 %'],
    ['su-highest', 253, 'ESQCR: 230 V + 10 %'],
    ['bn-size-pme', 10, 'BS 7671 Table 54.8'],
  ])('%s is %f (%s)', (code, value) => {
    const { expected } = SHIPPED_QUESTIONS.find((question) => question.code === code)!
    if (expected.kind !== 'number') throw new Error(`${code} is no number`)
    expect(Math.abs(expected.value - value)).toBeLessThanOrEqual(Math.max(0.006, value * 0.002))
  })
})

describe('the glossary', () => {
  it('every dotted term of a step or test is one of its terms', () => {
    const keys = new Set(GLOSSARY.map(({ key }) => key))
    for (const key of [...Object.values(TERM_OF_STEP), ...Object.values(TERM_OF_TEST)])
      expect(keys).toContain(key)
  })
  it('has about 250 terms, each once, each in one plain sentence', () => {
    expect(GLOSSARY.length).toBeGreaterThanOrEqual(240)
    expect(new Set(GLOSSARY.map(({ key }) => key)).size).toBe(GLOSSARY.length)
    for (const { says, term } of GLOSSARY) expect(says, term).toMatch(/^.{12,160}\.$/)
  })
})
