import { firstSteps, isReady, type FirstStep } from '#core/planning/first-steps'
import type { FirstStepsView } from '#schemas/first-steps'
import type { Person } from '../repos/people'
import { allow, may, type Action } from './access'
import type { Context } from './context'

const NEEDED: Readonly<Record<FirstStep, Action>> = {
  framework: 'centre.change',
  staff: 'people.change',
  apprentices: 'people.change',
  instruments: 'instruments.keep',
  exercise: 'exercise.change',
  set: 'exercise.change',
}

/** What a new centre still has to do before its first lesson, and what of it is for whoever asks. */
export function showFirstSteps({ repos }: Context, actor: Person): FirstStepsView {
  allow(actor, 'firstSteps.see')
  const people = repos.people.all()
  const inRole = (role: Person['role']) => people.filter((person) => person.role === role).length
  const steps = firstSteps({
    frameworks: repos.centre.frameworkVersions().filter(({ by }) => by !== null).length,
    instructors: inRole('instructor'),
    apprentices: inRole('apprentice'),
    instruments: repos.instruments.all().length,
    exercises: repos.exercises.heads().length,
    given: [...repos.attempts.counts().values()].filter((people) => people > 0).length,
  })
  return {
    steps: steps.map((state) => ({ ...state, isOwn: may(actor, NEEDED[state.step]) })),
    isReady: isReady(steps),
  }
}
