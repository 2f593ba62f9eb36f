import { askedNodes, assignmentOf, publicInstallation, type Assignment } from '#core/exercise/assignment'
import type { WorkListItem, WorkView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, ownAttempt } from './access'
import { assignmentFor } from './assignment'
import { askedKeys, boardView, isWholeBoard, offeredKeys, pairingCode } from './test-sheet'
import type { Context } from './context'
import { inForce, eventsOf } from './stages'

/** How many boxes of the design are filled, of how many. */
export function progressOn(
  assignment: Assignment,
  answers: Attempt['answers'],
): { readonly answered: number; readonly steps: number } {
  const nodes = askedNodes(assignment)
  return { answered: nodes.filter((node) => answers[node]?.trim()).length, steps: nodes.length }
}

/** The apprentice's tasks, newest first. */
export function listWork({ repos }: Context, actor: Person): WorkListItem[] {
  allow(actor, 'work.own')
  const exerciseOf = repos.exercises.lookup()
  return repos.attempts.byPerson(actor.id).map((attempt) => {
    const { exercise } = exerciseOf(attempt.exerciseId)
    return {
      id: attempt.id,
      code: exercise.code,
      title: exercise.title,
      bay: attempt.bay,
      stage: attempt.stage,
      savedAt: attempt.savedAt,
      ...progressOn(assignmentOf(exercise, attempt.installation), attempt.answers),
      library: exercise.policy.library,
    }
  })
}

/**
 * What the apprentice's browser may hold: the task without the RCD, their own typing, the permission. The
 * worked design and the marks join it only when the decision has been released.
 */
export function showWork(context: Context, actor: Person, id: number): WorkView {
  return forApprentice(context, inForce(context, ownAttempt(actor, context.repos.attempts.byId(id))))
}

/** The list of tests tells whether an RCD is fitted, so it follows the hand-in. */
function boxesOf(
  context: Context,
  attempt: Attempt,
  isShown: boolean,
): Pick<WorkView, 'readingKeys' | 'moreKeys'> {
  if (!isShown) return { readingKeys: [], moreKeys: [] }
  return {
    readingKeys: [...askedKeys(context, attempt, true), ...askedKeys(context, attempt, false)],
    moreKeys: offeredKeys(context, attempt),
  }
}

export function forApprentice(context: Context, attempt: Attempt): WorkView {
  const { repos, stream } = context
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const events = eventsOf(context, attempt)
  const isDesigned = attempt.stage !== 'design'
  const tested = attempt.installation.circuits.find(({ id }) => id === exercise.tests)
  const decision = attempt.stage === 'released' ? repos.decisions.latest(attempt.id) : undefined
  return {
    id: attempt.id,
    bay: attempt.bay,
    name: attempt.personName,
    stage: attempt.stage,
    version: attempt.version,
    savedAt: attempt.savedAt,
    exercise: {
      code: exercise.code,
      title: exercise.title,
      scenario: exercise.scenario,
      kind: exercise.kind,
      minutes: exercise.minutes,
      tests: exercise.tests,
    },
    sheet: {
      edition: exercise.edition,
      policy: exercise.policy,
      book: exercise.book,
      asks: exercise.asks,
      installation: publicInstallation(attempt.installation),
    },
    // Worked out here: what works a design never reaches an apprentice's browser.
    asked: askedNodes(assignmentFor(context, attempt)),
    answers: attempt.answers,
    readings: attempt.readings,
    ...boxesOf(context, attempt, isDesigned && tested !== undefined),
    rcdMA: isDesigned && tested && tested.residualA !== null ? Math.round(tested.residualA * 1e3) : null,
    events: events.filter((event) => event.act !== 'decide' || decision),
    board:
      isDesigned && isWholeBoard({ repos }, attempt)
        ? boardView(
            { repos },
            attempt,
            stream
              ? { port: stream.port, code: pairingCode(stream.secret, attempt.id, context.now) }
              : { port: null, code: '' },
          )
        : null,
    decision,
  }
}
