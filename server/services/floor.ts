import { STEP_KEYS } from '#core/design/step'
import { energiseGate, judgeReadings } from '#core/results/judge'
import { isDead } from '#core/results/readings'
import type { FloorView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'

/** Who is where, and who waits for permission to energise, the longest waiting first. */
export function showFloor({ repos, now }: Context, actor: Person): FloorView {
  allow(actor, 'floor.see')
  const patches = repos.attempts.all().map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    const events = repos.attempts.events(attempt.id)
    const last = events.at(-1)
    return {
      id: attempt.id, number: attempt.personNumber, name: attempt.personName, cohort: attempt.cohort, bay: attempt.bay, stage: attempt.stage,
      code: exercise.code, title: exercise.title, circuitName: exercise.circuitName,
      answered: STEP_KEYS.filter((key) => attempt.answers[key]?.trim()).length, steps: STEP_KEYS.length,
      lastAct: last ? last : null,
      savedAt: attempt.savedAt,
      request: attempt.stage === 'permission' ? deadSheet(attempt) : undefined,
    }
  })
  return { now, patches }
}

/** The dead tests as the assessor needs them before a permission. */
function deadSheet(attempt: Attempt) {
  const marks = judgeReadings(attempt.task, attempt.readings)
  return { gate: energiseGate(marks), marks: marks.filter((mark) => isDead(mark.reading)) }
}
