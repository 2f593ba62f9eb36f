import { isDeepStrictEqual } from 'node:util'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import type { Exercise } from '#core/exercise/exercise'
import { makeVariants, type VariantsResult } from '#core/exercise/variants'
import { constraintSentence } from '#words/constraints'
import { tooFewSays } from '#words/variants'
import { heavy } from '../heavy/pool'
import type { Person } from '../repos/people'
import { allow } from './access'
import { withBook } from './book-in-force'
import type { Context } from './context'
import { Problem } from './problem'
import { saveIfCurrent } from './save-current'

interface Setting {
  readonly id: number
  /** The version that stood on the screen. */
  readonly version: number
  readonly cohort: string
}

/** The exercise as it is given out, and how many variants of it there must be. */
interface Wanted {
  readonly exercise: Exercise
  readonly count: number
}

/**
 * Gives everybody in a group who does not have it yet their own variant of the exercise. Variants are made away
 * from the server's thread; where the exercise, the book, the policy or the group has changed meanwhile, they
 * are made anew.
 */
export async function setExercise(
  context: Context,
  actor: Person,
  setting: Setting,
): Promise<{ readonly given: number }> {
  let made: { readonly wanted: Wanted; readonly result: VariantsResult } | undefined
  for (;;) {
    const out = giveOut(context, actor, setting, (wanted) =>
      made && isDeepStrictEqual(made.wanted, wanted) ? made.result : undefined,
    )
    if ('given' in out) return out
    made = { wanted: out, result: await heavy(context, 'makeVariants', out.exercise, out.count) }
  }
}

/** The same at once: inside another transaction, for one circuit; and where nobody waits for the server. */
export function setAtOnce(context: Context, actor: Person, setting: Setting): void {
  giveOut(context, actor, setting, ({ exercise, count }) => makeVariants(exercise, count))
}

/** Writes nothing, and says what is wanted, where the variants are not made yet. */
function giveOut(
  context: Context,
  actor: Person,
  { id, version, cohort }: Setting,
  madeFor: (wanted: Wanted) => VariantsResult | undefined,
): { readonly given: number } | Wanted {
  allow(actor, 'exercise.change')
  const { repos, now } = context
  let out: { readonly given: number } | Wanted = { given: 0 }
  saveIfCurrent(context, {
    sent: version,
    read: () => repos.exercises.byId(id),
    write: (stored) => {
      // The policy and the book in force are written into the exercise when it is first set, and hold from then on.
      const exercise: Exercise =
        stored.state === 'set'
          ? stored.exercise
          : { ...withBook(context, 'draft', stored.exercise), policy: repos.centre.policies() }
      refuseUnsolvable(exercise)
      const { missing, from } = withoutIt(context, id, cohort)
      const wanted = { exercise, count: from + missing.length }
      const made = madeFor(wanted)
      if (!made) return void (out = wanted)
      if (!made.ok) throw tooFew(made, exercise)
      missing.forEach((personId, i) => {
        const { index, installation } = made.variants[from + i]!
        repos.attempts.insert(id, personId, index, index, installation)
      })
      out = { given: missing.length }
      repos.exercises.markSet(id, exercise)
      const what = `exercise ${exercise.code} for ${missing.length} in ${cohort}`
      repos.audit.add(now, actor.id, 'exerciseSet', what)
    },
    theirs: (stored) => stored,
  })
  return out
}

function refuseUnsolvable(exercise: Exercise): void {
  const design = designOf(assignmentOf(exercise))
  const stopped = [...design.circuits, ...design.boards].find((part) => part.stopped)
  if (stopped) throw new Problem('unsolvable', { sentence: constraintSentence(stopped.stopped!.constraint) })
}

/** Who of a group has no variant yet, and how many of theirs have been given out. */
function withoutIt({ repos }: Context, id: number, cohort: string) {
  const people = repos.people.inCohort(cohort)
  if (people.length === 0) throw new Problem('cohortEmpty')
  // A group has variants of its own; another group, at another time, may have the same.
  const given = repos.attempts.ofGroup(id, cohort)
  const missing = people.filter((person) => !given.some((attempt) => attempt.personId === person.id))
  if (missing.length === 0) throw new Problem('cohortDone')
  return {
    missing: missing.map((person) => person.id),
    from: Math.max(0, ...given.map(({ variantIndex }) => variantIndex)),
  }
}

const tooFew = (made: Extract<VariantsResult, { ok: false }>, exercise: Exercise): Problem =>
  new Problem('variantsTooFew', {
    sentence: tooFewSays(made, exercise.installation.circuits),
    extra: { found: made.found, wanted: made.wanted },
  })
