import type { BookChosen, CompareRules, StepDifference } from '#core/design/compare-designs'
import { rulesOf } from '#core/exercise/assignment'
import type { Installation } from '#core/installation/installation'
import type { BookCompareBody } from '#schemas/book-requests'
import type { BooksCompared, ExerciseCompared } from '#schemas/book-views'
import { heavy } from '../heavy/pool'
import type { Person } from '../repos/people'
import { allow } from './access'
import { changesInForce } from './book-in-force'
import type { Context } from './context'

/** Sheets that were given out last; older ones have been given back. */
const LAST_SHEETS = 300
/** Designs that are worked before the next word of progress. */
const AT_ONCE = 20

interface Stored {
  readonly exerciseId: number
  readonly rules: CompareRules
  readonly installation: Installation
}

/** Every exercise and the latest sheets, designed by one book and by another: which differ, and why. */
export async function compareBooks(
  context: Context,
  actor: Person,
  { first, second }: BookCompareBody,
  tell: (progress: { readonly done: number; readonly of: number }) => void,
): Promise<BooksCompared> {
  allow(actor, 'book.keep')
  const changes = changesInForce(context)
  const chosen = ({ edition, own }: BookCompareBody['first']): BookChosen => ({
    edition,
    changes: own ? changes : [],
  })
  const books = [chosen(first), chosen(second)] as const
  const stored = designsOf(context)
  const found: StepDifference[][] = []
  for (let from = 0; from < stored.length; from += AT_ONCE) {
    tell({ done: from, of: stored.length })
    const batch = stored
      .slice(from, from + AT_ONCE)
      .map(({ installation, rules }) => ({ installation, rules }))
    found.push(...(await heavy(context, 'compareAll', batch, books)))
  }
  return summary(context, stored, found)
}

function designsOf({ repos }: Context): Stored[] {
  const exercises = repos.exercises.all()
  const rules = new Map(
    exercises.map(({ id, exercise }) => {
      const { measuredZs, warmDrop } = rulesOf(exercise)
      return [id, { measuredZs, warmDrop }]
    }),
  )
  return [
    ...exercises.map(({ id, exercise }) => ({ exerciseId: id, installation: exercise.installation })),
    ...repos.attempts.lastInstallations(LAST_SHEETS),
  ].map((one) => ({ ...one, rules: rules.get(one.exerciseId)! }))
}

function summary(
  { repos }: Context,
  stored: readonly Stored[],
  found: readonly StepDifference[][],
): BooksCompared {
  const exercises = repos.exercises.heads().flatMap(({ id, code, title }): ExerciseCompared[] => {
    const own = stored.flatMap(({ exerciseId }, i) => (exerciseId === id ? [found[i]!] : []))
    const changed = own.filter((differences) => differences.length > 0)
    return changed.length === 0
      ? []
      : [{ id, code, title, designs: own.length, changed: changed.length, differences: changed[0]! }]
  })
  return {
    designs: stored.length,
    changed: found.filter((differences) => differences.length > 0).length,
    exercises,
  }
}
