import { energiseGate } from '#core/results/judge'
import { isDead } from '#core/results/readings'
import type { FloorView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { progressOf, readingMarks } from './work'

/** Who is where, and who waits for permission to energise, the longest waiting first. */
export function showFloor({ repos, now }: Context, actor: Person): FloorView {
  allow(actor, 'floor.see')
  const patches = repos.attempts.all().map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    const events = repos.attempts.events(attempt.id)
    const last = events.at(-1)
    return {
      id: attempt.id, number: attempt.personNumber, name: attempt.personName, cohort: attempt.cohort, bay: attempt.bay, stage: attempt.stage,
      code: exercise.code, title: exercise.title, circuitName: attempt.installation.circuits.find(({ id }) => id === exercise.tests)?.name ?? 'design only',
      ...progressOf({ repos }, attempt),
      lastAct: last ? last : null,
      savedAt: attempt.savedAt,
      request: attempt.stage === 'permission' ? deadSheet({ repos }, attempt) : undefined,
    }
  })
  return { now, patches }
}

/** The dead tests as the assessor needs them before a permission. */
function deadSheet(context: Pick<Context, 'repos'>, attempt: Attempt) {
  const marks = readingMarks(context, attempt)
  return { gate: energiseGate(marks), marks: marks.filter((mark) => isDead(mark.reading)) }
}
