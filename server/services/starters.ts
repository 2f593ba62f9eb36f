import { STEP_TOPIC } from '#core/assessment/starter-topics'
import { provokedBy } from '#core/assessment/marking/slips/provoke'
import { starterOf, type Starter } from '#core/assessment/starter'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Installation } from '#core/installation/installation'
import type { StarterView } from '#schemas/picture-views'
import type { StarterBody } from '#schemas/planning-requests'
import type { Person } from '../repos/people'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { createExercise } from './exercises'
import { setAtOnce } from './set-exercise'
import { addLesson } from './picture'
import { Problem } from './problem'
import { bankOf } from './question-bank'

/** More exercises than this are not tried for a starter. */
const MOST_TRIED = 40

/** A starter out of the first exercise of the centre in which the slip shows. */
function findStarter({ repos }: Context, slip: string, code: string) {
  for (const { id, exercise } of repos.exercises.all().slice(0, MOST_TRIED)) {
    const starter = starterOf(exercise, slip, code)
    if (starter) return { base: { id, code: exercise.code, title: exercise.title }, starter }
  }
  throw new Problem('starterNone')
}

function shownIn({ exercise, at }: Starter, installation: Installation, slip: string) {
  const found = provokedBy(designOf(assignmentOf(exercise, installation)), slip).find(
    ({ circuit, step }) => circuit === at.circuit && step === at.step,
  )
  return { right: found?.right ?? at.right, slip: found?.slip ?? at.slip }
}

/** Ten variants that provoke a slip, and questions that unpick it. */
export function previewStarter(context: Context, actor: Person, slip: string): StarterView {
  allow(actor, 'lesson.keep')
  const { base, starter } = findStarter(context, slip, 'S-0')
  const { at, variants } = starter
  const topic = STEP_TOPIC[at.step] ?? 'principles'
  return {
    base,
    step: at.step,
    variants: variants.map(({ index, installation }) => ({
      index,
      lengthM: installation.circuits.find(({ id }) => id === at.circuit)!.lengthM,
      ...shownIn(starter, installation, slip),
    })),
    questions: bankOf(context)
      .filter((question) => question.topic === topic)
      .slice(0, 3)
      .map(({ code, text }) => ({ code, text })),
  }
}

/** Sets a starter for a group, and puts the lesson down with it: its result stands beside the picture. */
export function setStarter(
  context: Context,
  actor: Person,
  { cohort, slip, code, day, title }: StarterBody,
): { readonly id: number } {
  allow(actor, 'exercise.change')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { starter } = findStarter(context, slip, code)
  const { repos } = context
  return repos.transaction(() => {
    const stored = createExercise(context, actor, starter.exercise)
    setAtOnce(context, actor, { id: stored.id, version: stored.version, cohort })
    addLesson(context, actor, { cohort, day, about: slip, title }, stored.id)
    return { id: stored.id }
  })
}
