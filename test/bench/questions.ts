/* Benchmarks of the questions: generators of one job, what to ask a group of twenty, what would happen if. Part of npm run bench. */
import { WHOLE_BOARD } from '#core/exercise/exercise'
import type { Exercise } from '#core/exercise/exercise'
import { jobQuestions, whatIfQuestions } from '#words/questions/job/index'
import paintShop from '../../packs/workshop/T-05.json'
import { typedAnswers } from '../../demo/story'
import { assignmentFor } from '../../server/services/assignment'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import { handInDesign } from '../../server/services/hand-in'
import { materialOf, readyQuestions } from '../../server/services/question-material'
import { groupLooked, roundsAsMade } from '../../server/services/question-rounds'
import { saveWork } from '../../server/services/work-save'
import { aCentre } from '../support/centre'
import { time, timed } from './clock'

const GROUP = 20
const ASKED_BEFORE = 200

/** The six-circuit board of the demo in dead tests, a group of twenty, 200 answers of each; ms. */
export async function questionTimes(): Promise<{
  readonly generatorsMs: number
  readonly groupMs: number
  readonly whatIfMs: number
}> {
  const centre = aCentre()
  const { context, repos, instructor } = centre
  for (let i = 3; i <= GROUP; i += 1)
    repos.people.insert(
      { number: `T-${i}`, name: `Person ${i}`, role: 'apprentice', cohort: 'Thursday' },
      'scrypt$x$x',
      false,
      context.now,
    )
  const { id, version } = createExercise(context, instructor, paintShop as unknown as Exercise)
  setAtOnce(context, instructor, { id, version, cohort: 'Thursday' })
  const attempts = repos.attempts.byExercise(id)
  const first = attempts[0]!
  const own = repos.people.byId(first.personId)!
  const typed = typedAnswers(assignmentFor(context, first), {}) as Record<string, string>
  saveWork(context, own, first.id, { version: first.version, answers: typed, readings: {} })
  handInDesign(context, own, first.id, repos.attempts.byId(first.id)!.version)
  for (const { personId, id: attemptId } of attempts)
    for (let n = 0; n < ASKED_BEFORE; n += 1)
      repos.questions.add({
        token: `token-${personId}-${n}`,
        personId,
        attemptId,
        byId: instructor.id,
        code: `question-${n % 90}`,
        topic: 'dead',
        wording: 'Asked before?',
        outcome: n % 3 ? 'unaided' : 'notYet',
        prompt: '',
        remark: '',
        askedAt: new Date(Date.parse(context.now) - n * 86_400_000).toISOString(),
        receivedAt: context.now,
        criteria: [],
      })
  if (repos.exercises.byId(id)!.exercise.tests !== WHOLE_BOARD)
    throw new Error('the bench wants a whole board')
  const material = materialOf(context, repos.attempts.byId(first.id)!)
  await readyQuestions(context, repos.attempts.byExercise(id))
  const round = () => roundsAsMade(context, groupLooked(context, instructor))
  return {
    generatorsMs: Math.min(...Array.from({ length: 5 }, () => timed(() => jobQuestions(material)))),
    groupMs: time(round, 9),
    whatIfMs: timed(() => whatIfQuestions(material)),
  }
}
