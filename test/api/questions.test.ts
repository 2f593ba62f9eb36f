/* Questions at the bay through the use-cases: what is offered, put down once, taken back; what it counts for;
   rehearsals that tell no answer; files; the picture of a group. */
import { beforeEach, describe, expect, it } from 'vitest'
import { WHOLE_BOARD } from '#core/exercise/exercise'
import { practiceBay } from '#core/bay/practice/bays'
import type { Framework } from '#core/assessment/outcomes/framework'
import { sceneOf } from '#core/inspection/scene'
import { defectText } from '#words/scene-spots'
import type { Asked } from '#schemas/questions'
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { JOB_GENERATORS, whatIfQuestions } from '#words/questions/job/index'
import framework from '../../frameworks/workshop-unit.json'
import { typedAnswers } from '../../demo/story'
import { assignmentFor } from '../../server/services/assignment'
import { handInDesign } from '../../server/services/hand-in'
import { saveWork } from '../../server/services/work-save'
import { endRound, startRound } from '../../server/services/inspections'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import {
  exportBank,
  importBank,
  bankOf,
  saveQuestion,
  setQuestionPolicy,
  showBank,
} from '../../server/services/question-bank'
import { materialOf, questionsAbout } from '../../server/services/question-material'
import { answerRehearsal, promptOf, showRehearsal } from '../../server/services/question-rehearsals'
import { listRounds, saveRound, showRound, showWhatIf } from '../../server/services/question-rounds'
import { questionsOfGroup } from '../../server/services/question-statistics'
import { exportGlossary, importGlossary, showGlossary } from '../../server/services/glossary'
import { ownRecord } from '../../server/services/records'
import { NOW, aCentre, type Centre } from '../support/centre'
import { splitBoard } from '../support/bay'
import { refusal } from '../support/refusal'
import { anExercise } from '../support/task'

let centre: Centre
let id: number
const token = (n: number) => `token-number-${n}`
const asked = (parts: Partial<Asked> = {}): string =>
  JSON.stringify({
    code: 'de-order',
    wording: 'Put the dead tests in order.',
    topic: 'dead',
    outcome: 'unaided',
    prompt: '',
    remark: '',
    askedAt: NOW,
    ...parts,
  })
const ask = (fields: Record<string, string>, by = centre.assessor, at = NOW) =>
  saveRound({ ...centre.context, now: at }, by, id, { version: 1, fields })
/** The design is worked as it should be and handed in. */
function toDeadTests(readings: Record<string, string> = {}) {
  const version = () => attempt().version
  const answers = typedAnswers(assignmentFor(centre.context, attempt()), {}) as Record<string, string>
  saveWork(centre.context, centre.apprentice, id, { version: version(), answers, readings: {} })
  handInDesign(centre.context, centre.apprentice, id, version())
  saveWork(centre.context, centre.apprentice, id, { version: version(), answers, readings })
}
const attempt = () => centre.repos.attempts.byId(id)!

beforeEach(() => {
  centre = aCentre()
  const stored = createExercise(
    centre.context,
    centre.instructor,
    anExercise({
      code: 'B-1',
      tests: WHOLE_BOARD,
      installation: splitBoard(),
      asks: { circuits: ['c1'], steps: ['ib', 'in'] },
    }),
  )
  setAtOnce(centre.context, centre.instructor, { id: stored.id, version: stored.version, cohort: 'Thursday' })
  id = centre.repos.attempts.byPerson(centre.apprentice.id)[0]!.id
})

describe('what somebody did not see', () => {
  it('in the inspection trainer is asked about, in words', () => {
    const { context, apprentice } = centre
    const { id: round } = startRound(context, apprentice, 'board')
    const { defects } = sceneOf('board', centre.repos.inspections.round(round)!.seed)
    endRound(context, apprentice, round, { spots: [], answers: {} })
    const errors = materialOf(context, attempt()).errors.filter(({ from }) => from === 'inspection')
    expect(errors).toContainEqual({
      from: 'inspection',
      what: defectText(defects[0]!.kind, defects[0]!.look),
    })
    // Two defects that read alike are asked about once.
    expect(errors).toHaveLength(new Set(defects.map(({ kind, look }) => defectText(kind, look))).size)
  })
})

describe('a round at a bay', () => {
  it('what is tapped is put down once, however often and by whomever it is sent, and is there afterwards', () => {
    ask({ [`ask.${token(1)}`]: asked() })
    ask({ [`ask.${token(1)}`]: asked({ outcome: 'notYet' }) })
    // Somebody else asks the same person at the same time, without having seen the first.
    ask(
      { [`ask.${token(2)}`]: asked({ code: 'de-tick', wording: 'What goes into the box?' }) },
      centre.instructor,
    )
    const { fields, version } = showRound(centre.context, centre.assessor, id)
    expect(Object.keys(fields)).toEqual([`ask.${token(1)}`, `ask.${token(2)}`])
    expect(JSON.parse(fields[`ask.${token(1)}`]!)).toMatchObject({ outcome: 'unaided' })
    expect(version).toBe(3)
    expect(() => centre.db.exec("UPDATE question_asked SET outcome = 'notYet'")).toThrow(/append-only/)
  })
  it('a tap that was a mistake is taken back with a trace, and counts for nothing', async () => {
    ask({ [`ask.${token(1)}`]: asked() })
    ask({ [`undo.${token(1)}`]: NOW, [`undo.${token(9)}`]: NOW })
    expect(centre.repos.questions.askedOn(id)).toMatchObject([{ token: token(1), isUndone: true }])
    expect(centre.repos.questions.occasionsOf(centre.apprentice.id)).toEqual([])
    expect(
      (await listRounds(centre.context, centre.assessor)).heads.find((head) => head.id === id)!.asked,
    ).toBe(0)
  })
  it('is an occasion for the criteria of its topic; what a prompt counts for is the centre’s', () => {
    const topics = (framework as Framework).units
      .flatMap(({ criteria }) => criteria)
      .filter(({ evidence }) => evidence.includes('question.dead'))
    expect(topics.length).toBeGreaterThan(0)
    ask({ [`ask.${token(1)}`]: asked() })
    const shown = ownRecord(centre.context, centre.apprentice)
      .units.flatMap(({ coverage }) => coverage)
      .find(({ criterion }) => criterion.code === topics[0]!.code)!
    expect(shown.occasions).toMatchObject([
      { met: true, decidedBy: centre.assessor.name, exerciseTitle: 'Question: Put the dead tests in order.' },
    ])

    setQuestionPolicy(centre.context, centre.instructor, { prompted: 'noted', earshotMinutes: 10 })
    ask({ [`ask.${token(2)}`]: asked({ code: 'de-tick', outcome: 'prompted', prompt: 'Number or tick?' }) })
    expect(centre.repos.questions.occasionsOf(centre.apprentice.id)).toHaveLength(topics.length)
  })
  it('what cannot be read is refused by its field, and nothing of it is kept', async () => {
    expect(await refusal(() => ask({ [`ask.${token(1)}`]: asked(), [`ask.${token(2)}`]: 'not JSON' }))).toBe(
      'bodyNotRight',
    )
    expect(await refusal(() => ask({ [`ask.${token(1)}`]: JSON.stringify({ code: 'x' }) }))).toBe(
      'bodyNotRight',
    )
    expect(centre.repos.questions.askedOn(id)).toEqual([])
  })
  it('a device whose clock runs ahead asked at latest now', () => {
    ask({ [`ask.${token(1)}`]: asked({ askedAt: '2031-01-01T00:00:00.000Z' }) })
    expect(centre.repos.questions.askedOn(id)[0]!.askedAt).toBe(NOW)
  })
  it('is the staff’s alone, and of their groups', async () => {
    expect(await refusal(() => showRound(centre.context, centre.apprentice, id))).toBe('notAllowed')
    expect(
      await refusal(() => showRound(centre.context, { ...centre.assessor, groups: ['Monday'] }, id)),
    ).toBe('notFound')
    expect(await refusal(() => showBank(centre.context, centre.apprentice))).toBe('notAllowed')
  })
})

describe('what is offered', () => {
  it('in dead tests: three to five that fit, one about this job, one about the person’s own slip', () => {
    toDeadTests({ 'c1.irLE': '0.4' })
    const offered = showRound(centre.context, centre.assessor, id).offered.dead
    expect(offered.length).toBeGreaterThanOrEqual(3)
    expect(offered.length).toBeLessThanOrEqual(5)
    expect(offered[0]).toMatchObject({
      reason: 'ownError',
      question: { text: expect.stringContaining('0.4') },
    })
    expect(offered.some(({ reason }) => reason === 'thisJob')).toBe(true)
  })
  it('never what this person was just asked, nor a neighbour in earshot', () => {
    const first = showRound(centre.context, centre.assessor, id).offered.design[0]!.question
    ask({ [`ask.${token(1)}`]: asked({ code: first.code, topic: first.topic }) })
    const codesOf = (attemptId: number, now = NOW) =>
      showRound({ ...centre.context, now }, centre.assessor, attemptId).offered.design.map(
        ({ question }) => question.code,
      )
    expect(codesOf(id)).not.toContain(first.code)
    const beside = centre.repos.attempts.byPerson(centre.other.id)[0]!.id
    expect(codesOf(beside)).not.toContain(first.code)
  })
  it('generators: eighty and more; each answer is whole, and none is half-filled', () => {
    expect(JOB_GENERATORS.length).toBeGreaterThanOrEqual(80)
    expect(new Set(JOB_GENERATORS.map(({ code }) => code)).size).toBe(JOB_GENERATORS.length)
    for (const stage of ['design', 'dead'] as const) {
      if (stage === 'dead') toDeadTests()
      const questions = questionsAbout(centre.context, attempt())
      expect(questions.length).toBeGreaterThan(20)
      expect(new Set(questions.map(({ code }) => code)).size).toBe(questions.length)
      for (const question of questions)
        expect(JSON.stringify(question), question.code).not.toMatch(/undefined|NaN|null,"unit"|\[object/)
    }
  })
  it('what would happen if: the answer is what the model of this bay computes', async () => {
    toDeadTests()
    const questions = await showWhatIf(centre.context, centre.assessor, id)
    const text = (code: string) => {
      const { expected } = questions.find((question) => question.code.startsWith(`job-${code}-`))!
      return expected.kind === 'spoken' ? expected.model : ''
    }
    expect(questions.length).toBeGreaterThanOrEqual(5)
    expect(text('if-neutral-earth-quiet')).toMatch(/Nothing opens by itself/)
    // Two circuits behind one RCD: load current of the other divides at the touching neutral (common practice, no
    // source).
    const heaters = whatIfQuestions({
      ...materialOf(centre.context, attempt()),
      rig: practiceBay('heaters')!.rig(),
    })
    const shared = heaters.find(({ code }) => code.startsWith('job-if-neutral-earth-'))!.expected
    expect(shared.kind === 'spoken' && shared.model).toMatch(/did not come back through it/)
    expect(text('if-short')).toMatch(/short circuit/)
    expect(whatIfQuestions({ ...materialOf(centre.context, attempt()), rig: null })).toEqual([])
  })
})

describe('a rehearsal', () => {
  it('tells nothing of the answer before it is given, and why it is right afterwards', () => {
    const { question } = showRehearsal(centre.context, centre.apprentice, 'myths')
    expect(Object.keys(question!)).not.toContain('expected')
    const told = answerRehearsal(centre.context, centre.apprentice, {
      code: question!.code,
      given: { kind: 'verdict', verdict: 'depends' },
    })
    expect(told).toMatchObject({
      is: expect.stringMatching(/half|right/),
      source: expect.stringMatching(/./),
    })
    expect(told.dueAt! > NOW).toBe(true)
    expect(showRehearsal(centre.context, centre.apprentice, 'myths').question!.code).not.toBe(question!.code)
    expect(centre.repos.questions.occasionsOf(centre.apprentice.id)).toEqual([])
  })
  it('a spoken answer is compared by its owner before it counts', () => {
    const code = 'de-r1r2'
    const shown = answerRehearsal(centre.context, centre.apprentice, {
      code,
      given: { kind: 'text', text: 'line and cpc' },
    })
    expect(shown).toMatchObject({ dueAt: null, model: expect.stringContaining('cpc') })
    answerRehearsal(centre.context, centre.apprentice, { code, given: { kind: 'compared', is: 'half' } })
    expect(centre.repos.questions.rehearsedBy(centre.apprentice.id)).toEqual([
      { code, rating: 'half', at: NOW },
    ])
  })
  it('nobody calls a judged answer right by themselves; what is kept for assessment is not there', async () => {
    const claimed = answerRehearsal(centre.context, centre.apprentice, {
      code: 'my-off-dead',
      given: { kind: 'compared', is: 'right' },
    })
    expect(claimed.is).toBe('wrong')
    const kept = SHIPPED_QUESTIONS.find(({ isKept }) => isKept)!
    expect(
      await refusal(() =>
        answerRehearsal(centre.context, centre.apprentice, {
          code: kept.code,
          given: { kind: 'text', text: '' },
        }),
      ),
    ).toBe('notFound')
    expect(await refusal(() => promptOf(centre.context, centre.apprentice, kept.code, 0))).toBe('notFound')
  })
  it('items to be put in order never lie in their order', () => {
    const orders = SHIPPED_QUESTIONS.filter(({ expected, isKept }) => expected.kind === 'order' && !isKept)
    for (const { code, topic, expected } of orders) {
      const home = aCentre()
      for (const other of SHIPPED_QUESTIONS)
        if (other.topic === topic && other.code !== code)
          home.repos.questions.rehearse(home.apprentice.id, other.code, 'right', NOW)
      const { question } = showRehearsal(home.context, home.apprentice, topic)
      expect(question!.code).toBe(code)
      expect(question!.choices).not.toEqual(expected.kind === 'order' && expected.items)
    }
  })
  it('about own jobs only when they have been decided: before that it would tell the sheet', () => {
    toDeadTests()
    expect(showRehearsal(centre.context, centre.apprentice, 'job').question).toBeNull()
  })
})

describe('the bank', () => {
  const own = { ...SHIPPED_QUESTIONS[0]!, code: 'centre-1' }
  it('a code is taken once, whatever its letters; somebody else’s version is shown', async () => {
    saveQuestion(centre.context, centre.instructor, { question: own, version: null, isRetired: false })
    const again = { question: { ...own, code: 'CENTRE-1' }, version: null, isRetired: false }
    expect(await refusal(() => saveQuestion(centre.context, centre.instructor, again))).toBe('questionKnown')
    const change = { question: { ...own, text: 'Changed?' }, version: 1, isRetired: false }
    saveQuestion(centre.context, centre.instructor, change)
    expect(await refusal(() => saveQuestion(centre.context, centre.assessor, change))).toBe('stale')
  })
  it('one that cannot be asked is refused; a shipped one is replaced or not asked any more', async () => {
    const bad = { ...own, expected: { kind: 'choose' as const, options: ['a', 'A'], right: [0] } }
    expect(
      await refusal(() =>
        saveQuestion(centre.context, centre.instructor, { question: bad, version: null, isRetired: false }),
      ),
    ).toBe('questionNotRight')
    saveQuestion(centre.context, centre.instructor, {
      question: SHIPPED_QUESTIONS[3]!,
      version: null,
      isRetired: true,
    })
    expect(bankOf(centre.context)).toHaveLength(SHIPPED_QUESTIONS.length - 1)
  })
  it('a file with doubled codes takes the first; what is there already, in whatever order of its parts, adds nothing', async () => {
    const content = Buffer.from(
      JSON.stringify({
        format: 'nakshi.questions',
        version: 1,
        questions: [
          own,
          { ...own, text: 'Second?' },
          Object.fromEntries(Object.entries(SHIPPED_QUESTIONS[5]!).reverse()),
        ],
      }),
    ).toString('base64')
    const report = await importBank(centre.context, centre.instructor, { name: 'bank.json', content })
    expect(report).toMatchObject({ added: 1, replaced: 0, left: [expect.stringContaining('twice')] })
    expect(bankOf(centre.context).filter(({ code }) => code === 'centre-1')).toMatchObject([
      { text: own.text },
    ])
  })
})

describe('a file that is read while somebody writes', () => {
  const own = { ...SHIPPED_QUESTIONS[0]!, code: 'centre-9' }
  it('meets what was saved meanwhile: it replaces it, and nothing is there twice', async () => {
    const content = Buffer.from(
      JSON.stringify({
        format: 'nakshi.questions',
        version: 1,
        questions: [{ ...own, text: 'From the file?' }],
      }),
    ).toString('base64')
    const reading = importBank(centre.context, centre.instructor, { name: 'bank.json', content })
    saveQuestion(centre.context, centre.instructor, {
      question: { ...own, text: 'Typed meanwhile?' },
      version: null,
      isRetired: false,
    })
    expect(await reading).toMatchObject({ added: 0, replaced: 1, left: [] })
    expect(
      bankOf(centre.context)
        .filter(({ code }) => code === own.code)
        .map(({ text }) => text),
    ).toEqual(['From the file?'])
  })
  it('a package of the whole bank comes back as it went', async () => {
    const { content } = await exportBank(centre.context, centre.instructor, 'qti')
    expect(
      await importBank(centre.context, centre.instructor, {
        name: 'bank.zip',
        content: content.toString('base64'),
      }),
    ).toMatchObject({ added: 0 })
  })
})

describe('a question with criteria of its own', () => {
  it('is an occasion for them and for none of its topic; a criterion that is gone is passed over', () => {
    const [shipped] = showBank(centre.context, centre.instructor).items.filter(
      ({ question }) => question.topic === 'dead',
    )
    const question = { ...shipped!.question, code: 'own-1', criteria: ['Q7', 'GONE'] }
    saveQuestion(centre.context, centre.instructor, { question, version: null, isRetired: false })
    ask({ [`ask.${token(1)}`]: asked({ code: 'own-1' }) })
    expect(
      centre.repos.questions.occasionsOf(centre.apprentice.id).map(({ criterion }) => criterion),
    ).toEqual(['Q7'])
  })
})

describe('before and after a lesson', () => {
  it('is said by topic where there are enough, and “too few” where there are not', () => {
    const day = (n: number, outcome: 'unaided' | 'notYet', month: string) =>
      [
        `ask.lesson-${month}-${outcome}-${n}`,
        asked({ outcome, askedAt: `2026-${month}-0${1 + (n % 9)}T09:00:00.000Z` }),
      ] as const
    const some = (count: number, outcome: 'unaided' | 'notYet', month: string) =>
      [...Array(count).keys()].map((n) => day(n, outcome, month))
    ask(
      Object.fromEntries([
        ...some(20, 'notYet', '09'),
        ...some(5, 'unaided', '09'),
        ...some(20, 'unaided', '10'),
        ...some(5, 'notYet', '10'),
      ]),
    )
    const changes = (taughtOn: string) =>
      questionsOfGroup(centre.context, centre.instructor, { cohort: 'Thursday', taughtOn }).changes
    expect(changes('2026-10-01')).toMatchObject([
      { topic: 'dead', change: { is: 'more', before: { hits: 5, of: 25 }, after: { hits: 20, of: 25 } } },
    ])
    expect(changes('2026-01-01')).toMatchObject([{ change: { is: 'tooFew' } }])
    expect(questionsOfGroup(centre.context, centre.instructor, { cohort: 'Thursday' }).changes).toEqual([])
  })
})

describe('the picture of a group', () => {
  it('tells which questions fail and how that changes by month; too few is said so', () => {
    ask({
      [`ask.${token(1)}`]: asked({ outcome: 'notYet', askedAt: '2026-10-02T09:00:00.000Z' }),
      [`ask.${token(2)}`]: asked(),
    })
    const group = questionsOfGroup(centre.context, centre.verifier, { cohort: 'Thursday' })
    expect(group.items).toMatchObject([
      { code: 'de-order', answers: 2, facility: null, counts: { unaided: 1, prompted: 0, notYet: 1 } },
    ])
    expect(group.months.map(({ month, unaided }) => [month, unaided])).toEqual([['2026-10', 0], ['2026-11', 1]]) // prettier-ignore
  })
})

describe('the glossary', () => {
  it('has two samples to be checked; a column goes out and comes back; a term that is unknown is named', async () => {
    expect(showGlossary(centre.context, centre.apprentice, 'pl').languages).toMatchObject([
      { isChecked: false },
      { isChecked: false },
    ])
    const csv = exportGlossary(centre.context, centre.apprentice).replace(
      ',pl Polski (to be checked)',
      ',pl Polski',
    )
    expect(
      importGlossary(centre.context, centre.instructor, {
        name: 'g.csv',
        content: `${csv}nothing,x,y,z,\r\n`,
      }),
    ).toEqual({ languages: 2, unknown: ['nothing'] })
    expect(showGlossary(centre.context, centre.apprentice, 'pl').texts).toMatchObject({ fuse: 'bezpiecznik' })
    expect(
      showGlossary(centre.context, centre.apprentice, 'pl').languages.find(({ code }) => code === 'pl'),
    ).toMatchObject({ isChecked: true })
    expect(exportGlossary(centre.context, centre.apprentice)).toBe(csv)
    expect(
      await refusal(() =>
        importGlossary(centre.context, centre.instructor, { name: 'g.csv', content: 'key,language\nfuse,x' }),
      ),
    ).toBe('glossaryFileWrong')
    expect(
      await refusal(() => importGlossary(centre.context, centre.apprentice, { name: 'g.csv', content: csv })),
    ).toBe('notAllowed')
  })
})
