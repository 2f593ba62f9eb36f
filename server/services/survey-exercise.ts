import { criteriaOf } from '#core/assessment/outcomes/framework'
import { readForm } from '#core/exercise/form/read-form'
import { toForm } from '#core/exercise/form/to-form'
import { circuitsByRoute, exerciseFormOf, fedBoxes, laidRoutes } from '#core/survey/sheet/feed'
import { followSurvey, tooLongRoutes } from '#core/survey/sheet/follow'
import { readSheet } from '#core/survey/sheet/sheet'
import type { SurveyExerciseBody, SurveyTakeBody } from '#schemas/survey-requests'
import type { ExerciseSurvey, SurveyFollows } from '#schemas/survey-views'
import { formSentence } from '#words/form'
import type { Person } from '../repos/people'
import type { StoredSurvey, SurveyFeed } from '../repos/surveys'
import { allow, found, may } from './access'
import { changesInForce } from './book-in-force'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { createExercise, saveExercise } from './exercises'
import { Problem } from './problem'
import { openSurvey } from './surveys'

/** Makes a board exercise of a survey in one act: a draft to look over, each box with where it comes from. */
export function exerciseFromSurvey(
  context: Context,
  actor: Person,
  id: number,
  { version, code, criterion }: SurveyExerciseBody,
): { readonly id: number } {
  allow(actor, 'exercise.change')
  const { repos, now } = context
  const known = criteriaOf(frameworkInForce(context)).some((one) => one.code === criterion)
  if (!known)
    throw new Problem('bodyNotRight', { fields: [{ field: criterion, message: 'is no criterion.' }] })
  return repos.transaction(() => {
    const survey = openSurvey(context, actor, id)
    if (survey.version !== version) throw new Problem('surveyGone')
    const sheet = readSheet(survey.fields)
    if (laidRoutes(sheet.plan).length === 0) throw new Problem('surveyNoRoute')
    const title = survey.fields.title?.trim() || 'Survey'
    const scenario = survey.fields['report.summary']?.trim() || (survey.site?.story ?? '')
    const form = exerciseFormOf(sheet, { code, title, scenario, criteria: criterion })
    const { exercise, problems } = readForm(form, repos.centre.policies())
    if (!exercise) throw new Problem('surveyNoExercise', { fields: problemFields(problems) })
    const stored = createExercise(context, actor, exercise)
    repos.surveys.feed({ exerciseId: stored.id, surveyId: id, boxes: fedBoxes(sheet) }, actor.id, now)
    return { id: stored.id }
  })
}

/** What follows from a survey as it is saved; its designs for those alone who set exercises. */
export function followsOfSurvey(context: Context, actor: Person, id: number): SurveyFollows {
  const { fields, version } = openSurvey(context, actor, id)
  const sheet = readSheet(fields)
  const designs = followSurvey(sheet, changesInForce(context))
  const isSetter = may(actor, 'exercise.change')
  return {
    version,
    tooLong: tooLongRoutes(designs),
    designs: isSetter ? designs : [],
    boxes: isSetter ? fedBoxes(sheet) : [],
  }
}

const problemFields = (problems: ReturnType<typeof readForm>['problems']) =>
  Object.entries(problems).map(([field, problem]) => ({ field, message: formSentence(problem) }))

/** What the survey of an exercise says of each of its boxes today; null where it was made by hand. */
export function surveyOfExercise(
  { repos }: Context,
  actor: Person,
  exerciseId: number,
): ExerciseSurvey | null {
  allow(actor, 'exercise.see')
  const stored = found(repos.exercises.byId(exerciseId))
  const feed = repos.surveys.feedOf(exerciseId)
  if (!feed) return null
  const survey = found(repos.surveys.byId(feed.surveyId))
  const form = toForm(stored.exercise)
  const { boxes, circuits, routes } = todayOf(survey, feed)
  const today = new Map(boxes.map((fed) => [fed.box, fed]))
  const taken = new Map(feed.boxes.map((fed) => [fed.box, fed]))
  return {
    survey: { id: survey.id, title: survey.fields.title ?? '' },
    version: stored.version,
    isSet: stored.state === 'set',
    boxes: [...new Set([...taken.keys(), ...today.keys()])]
      .filter((box) => form[box] !== undefined || taken.has(box))
      .map((box) => ({
        box,
        now: form[box] ?? null,
        taken: taken.get(box)?.text ?? null,
        surveyed: today.get(box)?.text ?? null,
        from: (today.get(box) ?? taken.get(box))?.from ?? null,
      })),
    added: routes.filter(({ id }) => !circuits.has(id)).map(({ name }) => name),
    gone: [...circuits]
      .filter(([route]) => !routes.some(({ id }) => id === route))
      .map(([, circuit]) => form[`${circuit}.name`] ?? circuit),
  }
}

/** A route keeps its circuit, whatever has been added or removed before it. */
function todayOf({ fields }: StoredSurvey, feed: SurveyFeed) {
  const sheet = readSheet(fields)
  const circuits = circuitsByRoute(feed.boxes)
  return {
    boxes: fedBoxes(sheet, ({ id }) => circuits.get(id)),
    circuits,
    routes: laidRoutes(sheet.plan).map(({ route }) => route),
  }
}

/** Takes boxes over as the survey has them today. An exercise that has been set stays as it is. */
export function takeFromSurvey(
  context: Context,
  actor: Person,
  exerciseId: number,
  { version, boxes }: SurveyTakeBody,
): ExerciseSurvey {
  allow(actor, 'exercise.change')
  const { repos, now } = context
  return repos.transaction(() => {
    const stored = found(repos.exercises.byId(exerciseId))
    const feed = found(repos.surveys.feedOf(exerciseId))
    const today = todayOf(found(repos.surveys.byId(feed.surveyId)), feed).boxes
    const wanted = today.filter(({ box }) => boxes.includes(box))
    const form = {
      ...toForm(stored.exercise),
      ...Object.fromEntries(wanted.map(({ box, text }) => [box, text])),
    }
    const { exercise, problems } = readForm(form, stored.exercise.policy)
    if (!exercise) throw new Problem('surveyNoExercise', { fields: problemFields(problems) })
    saveExercise(context, actor, exerciseId, version, exercise)
    const kept = feed.boxes.filter(({ box }) => !wanted.some((one) => one.box === box))
    repos.surveys.feedAgain(exerciseId, [...kept, ...wanted], actor.id, now)
    return surveyOfExercise(context, actor, exerciseId)!
  })
}
