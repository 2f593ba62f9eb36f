import { composeFeedback } from '#core/documents/feedback'
import { referenceDesign } from '#core/design/reference'
import { markDesign } from '#core/marking/mark-design'
import { propose, type Marked } from '#core/marking/proposal'
import { criteriaOf, type Criterion } from '#core/outcomes/framework'
import { judgeReadings } from '#core/results/judge'
import type { OtherBay } from '#core/results/rules/rule'
import type { MarkingBody } from '#schemas/requests'
import type { MarkingListItem, MarkingView } from '#schemas/views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'
import { nextStage } from './work'

/** Attempts to be decided first, then those decided, by exercise and bay. */
export function markingPile({ repos }: Context, actor: Person): MarkingListItem[] {
  allow(actor, 'attempt.mark')
  const pile = repos.attempts.all().filter((attempt) => ['handedIn', 'decided', 'released'].includes(attempt.stage))
  return pile.map((attempt) => {
    const { exercise } = repos.exercises.byId(attempt.exerciseId)!
    const decision = repos.decisions.latest(attempt.id)
    const proposal = decision?.evidence.proposal ?? propose(mark(repos, attempt), criteriaFor(repos, exercise.criteria), repos.decisions.draft(attempt.id).overrides)
    return {
      id: attempt.id, name: attempt.personName, cohort: attempt.cohort, bay: attempt.bay, stage: attempt.stage, code: exercise.code, title: exercise.title,
      mark: proposal.mark, outOf: proposal.outOf, critical: proposal.critical.length, met: proposal.met,
      handedInAt: repos.attempts.events(attempt.id).findLast((event) => event.act === 'handIn')?.at ?? null,
    }
  }).sort((a, b) => Number(a.stage !== 'handedIn') - Number(b.stage !== 'handedIn'))
}

/** Everything the marking screen shows: proposed marks with reasons, the assessor's overrides, the feedback. */
export function showMarking({ repos }: Context, actor: Person, id: number): MarkingView {
  allow(actor, 'attempt.mark')
  const attempt = found(repos.attempts.byId(id))
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const criteria = criteriaFor(repos, exercise.criteria)
  const decision = repos.decisions.latest(id)
  const draft = repos.decisions.draft(id)
  const marked = attempt.stage === 'released' && decision ? decision.evidence.marked : mark(repos, attempt)
  const proposal = propose(marked, criteria, draft.overrides)
  return {
    attempt: {
      id, name: attempt.personName, number: attempt.personNumber, cohort: attempt.cohort, bay: attempt.bay, stage: attempt.stage,
      variantIndex: attempt.variantIndex, task: attempt.task,
    },
    exercise: { id: attempt.exerciseId, code: exercise.code, title: exercise.title, circuitName: exercise.circuitName },
    events: repos.attempts.events(id),
    criteria, marked, proposal, draft, decision,
    suggestedFeedback: composeFeedback(marked, draft.overrides, proposal),
  }
}

export function saveMarking(context: Context, actor: Person, id: number, body: MarkingBody): MarkingView {
  const { repos } = context
  allow(actor, 'attempt.mark')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    if (attempt.stage !== 'handedIn' && attempt.stage !== 'decided') throw new Problem('wrongStage')
    if (!repos.decisions.saveDraft(id, body.version, body.overrides, body.feedback)) {
      throw new Problem('stale', { extra: { theirs: repos.decisions.draft(id) } })
    }
  })
  return showMarking(context, actor, id)
}

/** Signs the decision as it stands: adds an occasion on every criterion of the exercise to the record. */
export function decide(context: Context, actor: Person, id: number, version: number): MarkingView {
  const { repos, now } = context
  allow(actor, 'attempt.mark')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    const stage = nextStage(attempt, 'decide')
    const view = showMarking(context, actor, id)
    // What is signed must be what was on the screen.
    if (view.draft.version !== version) throw new Problem('stale', { extra: { theirs: view.draft } })
    const feedback = view.draft.feedback ?? view.suggestedFeedback
    const evidence = { marked: view.marked, overrides: view.draft.overrides, proposal: view.proposal }
    repos.decisions.insert(id, attempt.personId, actor.id, now, feedback, evidence)
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, 'decide', actor.id, now, view.proposal.met ? 'met' : 'not yet')
    repos.audit.add(now, actor.id, 'decided', `attempt ${id}`)
  })
  return showMarking(context, actor, id)
}

export function release(context: Context, actor: Person, id: number): MarkingView {
  const { repos, now } = context
  allow(actor, 'attempt.mark')
  repos.transaction(() => {
    const attempt = found(repos.attempts.byId(id))
    const decision = repos.decisions.latest(id)
    const draft = repos.decisions.draft(id)
    const stage = nextStage(attempt, 'release')
    // Something changed after signing must be signed before it goes out.
    const isSigned = decision && JSON.stringify(decision.evidence.overrides) === JSON.stringify(draft.overrides)
      && (draft.feedback === null || draft.feedback === decision.feedback)
    if (!isSigned) throw new Problem('wrongStage', { sentence: 'Marks or feedback have changed since the decision. Decide again, then release.' })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, 'release', actor.id, now, '')
    repos.audit.add(now, actor.id, 'released', `attempt ${id}`)
  })
  return showMarking(context, actor, id)
}

function mark(repos: Context['repos'], attempt: Attempt): Marked {
  return { design: markDesign(attempt.task, attempt.answers), readings: judgeReadings(attempt.task, attempt.readings, otherBays(repos, attempt)) }
}

function otherBays(repos: Context['repos'], attempt: Attempt): OtherBay[] {
  return repos.attempts.byExercise(attempt.exerciseId).filter((other) => other.id !== attempt.id).flatMap((other) => {
    const design = referenceDesign(other.task)
    return design.ok ? [{ bay: other.bay, r1r2Ohm: design.values.r1r2 }] : []
  })
}

function criteriaFor(repos: Context['repos'], codes: readonly string[]): Criterion[] {
  const framework = repos.centre.framework()
  if (!framework) throw new Problem('frameworkMissing')
  return criteriaOf(framework).filter((criterion) => codes.includes(criterion.code))
}

