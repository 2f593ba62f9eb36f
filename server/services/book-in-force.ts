import type { Exercise } from '#core/exercise/exercise'
import type { BookChange } from '#core/regulations/book/change'
import type { Context } from './context'

type Repos = Pick<Context, 'repos' | 'now'>
export const today = ({ now }: Pick<Context, 'now'>): string => now.slice(0, 10)

/** What the centre's book says otherwise today. */
export const changesInForce = (context: Repos): readonly BookChange[] =>
  context.repos.book.inForce(today(context))

/** An exercise with the book it is worked by: its own since it was set, the one in force until then. */
export const withBook = (context: Repos, state: 'draft' | 'set', exercise: Exercise): Exercise =>
  state === 'set' ? exercise : { ...exercise, book: changesInForce(context) }
