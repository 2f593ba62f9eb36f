import { askedFeedback, composeFeedback } from '#words/feedback'
import { shownByTask } from '#core/assessment/outcomes/shows'
import { propose, type Marked } from '#core/assessment/marking/proposal'
import type { AskedView } from '#schemas/question-views'
import type { MarkingBody } from '#schemas/requests'
import type { Decision, MarkingListItem, MarkingView } from '#schemas/marking-views'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { allow, attemptSeen, seesGroup } from './access'
import { assignmentFor } from './assignment'
import type { Context } from './context'
import { Problem } from './problem'
import { workOf } from './inspection-work'
import { criteriaFor, draftOf, keepMarks, summariesOf } from './kept-marks'
import { markedOf, scopeNames } from './marked'
import { askedViews } from './question-statistics'
import { saveIfCurrent } from './save-current'
import { learnComments } from './comments'
import { needProof } from './proof'
import { refuseUnseen, seenOf } from './seen'
import { nextStage } from './stages'

/** So many that were given back are still on the pile, to look at again; older ones stand in the records. */
const RELEASED_SHOWN = 300

/** Attempts to be decided first, then those decided, by exercise and bay. */
export function markingPile(context: Context, actor: Person): MarkingListItem[] {
  allow(actor, 'attempt.see')
  const { repos } = context
  const pile = repos.attempts.onPile(RELEASED_SHOWN).filter(({ cohort }) => seesGroup(actor, cohort))
  const summaries = summariesOf(context, pile)
  const exerciseOf = repos.exercises.lookup()
  return pile
    .map(({ id, name, cohort, bay, stage, exerciseId, handedInAt }): MarkingListItem => {
      const { exercise } = exerciseOf(exerciseId)
      const { mark, outOf, critical, met } = summaries.get(id)!
      const { code, title } = exercise
      return { id, name, cohort, bay, stage, exerciseId, code, title, mark, outOf, critical, met, handedInAt }
    })
    .sort((a, b) => Number(a.stage !== 'handedIn') - Number(b.stage !== 'handedIn'))
}

/** The feedback with what the questions at the bay showed. */
const withAsked = (composed: string, asked: readonly AskedView[]): string =>
  [composed, askedFeedback(asked.filter(({ isUndone }) => !isUndone))].filter(Boolean).join('\n\n')

/** Everything the marking screen shows: proposed marks with reasons, the assessor's overrides, the feedback. */
export function showMarking({ repos }: Context, actor: Person, id: number): MarkingView {
  allow(actor, 'attempt.see')
  const attempt = attemptSeen(actor, repos.attempts.byId(id))
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const criteria = criteriaFor(repos, exercise.criteria)
  const decision = repos.decisions.latest(id)
  const marked = shownMarks({ repos }, attempt, decision)
  const draft = draftOf({ repos }, attempt, marked)
  const proposal = propose(marked, criteria, draft.overrides)
  const scopes = scopeNames(attempt, marked)
  const asked = askedViews(repos.questions.askedOn(id))
  const suggestedFeedback = withAsked(composeFeedback(marked, draft.overrides, proposal, scopes), asked)
  const signed = {
    marked,
    overrides: draft.overrides,
    proposal,
    feedback: draft.feedback ?? suggestedFeedback,
  }
  return {
    attempt: {
      id,
      name: attempt.personName,
      number: attempt.personNumber,
      cohort: attempt.cohort,
      bay: attempt.bay,
      stage: attempt.stage,
      variantIndex: attempt.variantIndex,
      installation: attempt.installation,
    },
    exercise: {
      id: attempt.exerciseId,
      code: exercise.code,
      title: exercise.title,
      tests: exercise.tests,
      edition: exercise.edition,
    },
    scopes,
    comments: repos.comments.all(),
    ...neighbours({ repos }, attempt.exerciseId, id),
    events: repos.attempts.events(id),
    criteria,
    marked,
    proposal,
    draft,
    decision,
    suggestedFeedback,
    asked,
    seen: seenOf(signed),
  }
}

/**
 * What was decided shows as it was decided; before a decision as it is marked now. Only an inspection may
 * still change until it is released.
 */
function shownMarks(
  context: Pick<Context, 'repos'>,
  attempt: Attempt,
  decision: Decision | undefined,
): Marked {
  if (!decision) return markedOf(context, attempt)
  const { marked } = decision.evidence
  return attempt.stage === 'released' ? marked : { ...marked, work: workOf(context, attempt) }
}

export function saveMarking(context: Context, actor: Person, id: number, body: MarkingBody): MarkingView {
  const { repos } = context
  allow(actor, 'attempt.mark')
  saveIfCurrent(context, {
    sent: body.version,
    read: () => attemptSeen(actor, repos.attempts.byId(id)) && repos.decisions.draft(id),
    check: () => {
      const { stage } = repos.attempts.byId(id)!
      if (stage !== 'handedIn' && stage !== 'decided') throw new Problem('wrongStage')
    },
    write: () => {
      const isSaved = repos.decisions.saveDraft(id, body.version, body.overrides, body.feedback)
      if (isSaved) keepMarks(context, id)
      return isSaved
    },
    theirs: (draft) => draft,
  })
  return showMarking(context, actor, id)
}

/** Signs the decision as it stands: adds an occasion on every criterion of the exercise to the record. */
export function decide(
  context: Context,
  actor: Person,
  id: number,
  { version, seen }: { readonly version: number; readonly seen?: string },
): MarkingView {
  const { repos, now } = context
  allow(actor, 'attempt.mark')
  needProof(context)
  // What is signed must be what was on the screen.
  saveIfCurrent(context, {
    sent: version,
    read: () => ({ ...showMarking(context, actor, id), version: repos.decisions.draft(id).version }),
    // Others may have changed what it rests on, such as the inspection, without touching the draft.
    check: (view) => refuseUnseen(seen, view.seen, () => view),
    write: (view) => {
      const attempt = repos.attempts.byId(id)!
      const stage = nextStage(attempt, 'decide')
      const feedback = view.draft.feedback ?? view.suggestedFeedback
      const evidence = {
        marked: view.marked,
        overrides: view.draft.overrides,
        proposal: view.proposal,
        shown: shownByTask(attempt.installation, assignmentFor(context, attempt).tests),
      }
      repos.decisions.insert({
        attemptId: id,
        personId: attempt.personId,
        by: actor.id,
        at: now,
        feedback,
        evidence,
      })
      repos.attempts.setStage(id, stage)
      keepMarks(context, id)
      repos.attempts.addEvent(id, 'decide', actor.id, now, view.proposal.met ? 'met' : 'not yet')
      learnComments({ repos, now }, actor, view, feedback)
      repos.audit.add(now, actor.id, 'decided', `attempt ${id}`)
    },
    theirs: ({ draft }) => draft,
  })
  return showMarking(context, actor, id)
}

export function release(context: Context, actor: Person, id: number): MarkingView {
  const { repos, now } = context
  allow(actor, 'attempt.mark')
  repos.transaction(() => {
    const attempt = attemptSeen(actor, repos.attempts.byId(id))
    const decision = repos.decisions.latest(id)
    const stage = nextStage(attempt, 'release')
    const draft = decision && draftOf({ repos }, attempt, decision.evidence.marked)
    // Something changed after signing must be signed before it goes out.
    const isSigned =
      decision &&
      draft &&
      JSON.stringify(decision.evidence.overrides) === JSON.stringify(draft.overrides) &&
      (draft.feedback === null || draft.feedback === decision.feedback)
    if (!isSigned)
      throw new Problem('wrongStage', {
        sentence: 'Marks or feedback have changed since the decision. Decide again, then release.',
      })
    repos.attempts.setStage(id, stage)
    repos.attempts.addEvent(id, 'release', actor.id, now, '')
    repos.audit.add(now, actor.id, 'released', `attempt ${id}`)
  })
  return showMarking(context, actor, id)
}

/** Releases every sheet of the list that is decided and unchanged since; says which were not. */
export function releaseMany(
  context: Context,
  actor: Person,
  ids: readonly number[],
): { readonly released: number; readonly left: readonly { readonly id: number; readonly why: string }[] } {
  allow(actor, 'attempt.mark')
  const left: { id: number; why: string }[] = []
  for (const id of ids) {
    try {
      release(context, actor, id)
    } catch (error) {
      if (!(error instanceof Problem)) throw error
      left.push({ id, why: error.message })
    }
  }
  return { released: ids.length - left.length, left }
}

/** The sheets of the same exercise on either side, in the order of the pile. */
function neighbours(
  { repos }: Pick<Context, 'repos'>,
  exerciseId: number,
  id: number,
): Pick<MarkingView, 'previous' | 'next'> {
  const pile = repos.attempts.handedIn(exerciseId)
  const at = pile.indexOf(id)
  return { previous: pile[at - 1] ?? null, next: at === -1 ? null : (pile[at + 1] ?? null) }
}
