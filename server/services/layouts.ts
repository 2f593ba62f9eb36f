import { laidBoard } from '#core/arrangement/from-installation'
import { asTheyCome, isSeating, markLayout, type LayoutTask } from '#core/arrangement/marked'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { LayoutHead, LayoutSetBody, LayoutTryBody, LayoutView } from '#schemas/layout-views'
import { notArrangedSays } from '#words/arrangement'
import { heavy } from '../heavy/pool'
import type { StoredLayout } from '../repos/layouts'
import type { Person } from '../repos/people'
import { allow, found, may, seesGroup } from './access'
import { withBook } from './book-in-force'
import type { Context } from './context'
import { Problem } from './problem'

/** The best is shown once it can no longer be copied: after so many tries, or this near to it. */
const SHOWN_AFTER = { tries: 3, percent: 95 } as const

/** Boards to lay out: an apprentice sees those of their group, staff all of their groups. */
export function listLayouts({ repos }: Context, actor: Person): LayoutHead[] {
  allow(actor, 'layout.see')
  const heads = may(actor, 'layout.set')
    ? repos.layouts.all().filter(({ cohort }) => seesGroup(actor, cohort))
    : repos.layouts.ofCohort(actor.cohort)
  const own = repos.layouts.ownResults(actor.id)
  return heads.map((head) => ({ ...head, tries: 0, percent: null, ...own.get(head.id) }))
}

/** Sets a board of an exercise for a group, with the best arrangement that is found for these wishes. */
export async function setLayout(
  context: Context,
  actor: Person,
  { exerciseId, boardId, cohort, reach, weights }: LayoutSetBody,
): Promise<{ readonly id: number }> {
  allow(actor, 'layout.set')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos, now } = context
  if (repos.people.inCohort(cohort).length === 0) throw new Problem('cohortEmpty')
  const stored = found(repos.exercises.byId(exerciseId))
  const exercise = withBook(context, stored.state, stored.exercise)
  const laid = laidBoard(exercise.installation, designOf(assignmentOf(exercise)), boardId, reach)
  if (!laid) throw new Problem('layoutNoDesign')
  const { circuits, board } = laid
  const arranged = await heavy(context, 'arrangeBoard', circuits, board, weights)
  if ('code' in arranged) throw new Problem('layoutNoDesign', { sentence: notArrangedSays(arranged) })
  const task: LayoutTask = { circuits, board, weights, best: arranged.seating }
  const name = exercise.installation.boards.find(({ id }) => id === boardId)!.name
  return repos.transaction(() => {
    refuseDesigning(context, exerciseId, cohort)
    const id = repos.layouts.insert(
      { title: `${exercise.title}: ${name}`, cohort, exerciseId, task },
      actor.id,
      now,
    )
    repos.audit.add(now, actor.id, 'layoutSet', `${exercise.code} ${name}, ${cohort}`)
    return { id }
  })
}

/** The board shows ratings and currents: whoever still designs it would find answers there. */
function refuseDesigning({ repos }: Context, exerciseId: number, cohort: string): void {
  const designing = repos.attempts.ofGroup(exerciseId, cohort).filter(({ stage }) => stage === 'design')
  if (designing.length > 0) throw new Problem('layoutStillDesigned', { extra: { people: designing.length } })
}

export function withdrawLayout({ repos, now }: Context, actor: Person, id: number): void {
  const layout = layoutKept(actor, repos.layouts.byId(id))
  repos.transaction(() => {
    if (repos.layouts.withdraw(id, now)) repos.audit.add(now, actor.id, 'layoutWithdrawn', layout.title)
  })
}

export function restoreLayout(context: Context, actor: Person, id: number): void {
  const { repos, now } = context
  const layout = layoutKept(actor, repos.layouts.withdrawn(id))
  repos.transaction(() => {
    refuseDesigning(context, layout.exerciseId, layout.cohort)
    if (repos.layouts.restore(id)) repos.audit.add(now, actor.id, 'layoutSet', layout.title)
  })
}

/** For those who set boards; one of another group is not there. */
function layoutKept(actor: Person, layout: StoredLayout | undefined): StoredLayout {
  allow(actor, 'layout.set')
  if (layout === undefined || !seesGroup(actor, layout.cohort)) throw new Problem('notFound')
  return layout
}

/** To anybody outside its group it is not there. */
function layoutSeen({ repos }: Context, actor: Person, id: number): StoredLayout {
  allow(actor, 'layout.see')
  const layout = found(repos.layouts.byId(id))
  const isTheirs = may(actor, 'layout.set') ? seesGroup(actor, layout.cohort) : layout.cohort === actor.cohort
  if (!isTheirs) throw new Problem('notFound')
  // The exercise may have been set after the board.
  const own = repos.attempts.byPerson(actor.id).filter(({ exerciseId }) => exerciseId === layout.exerciseId)
  if (own.some(({ stage }) => stage === 'design')) throw new Problem('layoutWhileDesigning')
  return layout
}

export function showLayout(context: Context, actor: Person, id: number): LayoutView {
  const { title, cohort, task } = layoutSeen(context, actor, id)
  const { circuits, board, weights, best } = task
  const tries = context.repos.layouts.tries(id, actor.id)
  const last = tries.at(-1)
  const isStaff = may(actor, 'layout.set')
  const isShown =
    isStaff ||
    different(tries) >= SHOWN_AFTER.tries ||
    tries.some(({ percent }) => percent >= SHOWN_AFTER.percent)
  return {
    id,
    title,
    cohort,
    circuits,
    board,
    weights,
    start: asTheyCome(circuits, board),
    tries,
    mark: last ? markLayout(task, last.seating) : null,
    best: isShown ? best : null,
    shownAfter: SHOWN_AFTER,
    results: isStaff ? context.repos.layouts.results(id) : null,
  }
}

/** The same board handed in again is no other try. */
const different = (tries: LayoutView['tries']): number =>
  new Set(tries.map(({ seating }) => seating.join())).size

/** Hands an arrangement in; it is marked at once. */
export function tryLayout(context: Context, actor: Person, id: number, body: LayoutTryBody): LayoutView {
  const { task } = layoutSeen(context, actor, id)
  const { repos, now } = context
  if (!isSeating(task.circuits, task.board, body.seating)) throw new Problem('layoutNotWhole')
  return repos.transaction(() => {
    if (repos.layouts.tries(id, actor.id).length !== body.tries)
      throw new Problem('changedSince', { extra: { theirs: showLayout(context, actor, id) } })
    repos.layouts.add(id, actor.id, body.seating, markLayout(task, body.seating).percent, now)
    return showLayout(context, actor, id)
  })
}
